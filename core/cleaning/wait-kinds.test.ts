import { describe, expect, it } from 'vitest'
import { assess } from '../planning/assess'
import { settled } from '../../tests/support/settled-machine'
import { type WaitKind, proposedWaitKind, waitKindNames, waitKinds } from './wait-kinds'

const now = '2026-03-03T19:00:00.000Z'
const gateWith = (what: string, kind: WaitKind | null, until = '2026-03-04T19:00:00.000Z') =>
  assess({ ...settled, waits: [{ what, until, kind }] }, now).known.gate.verdict

// What people write of waits: common practice, no source.
it.each<[string, WaitKind]>([
  ['Main board drying at 40 °C', 'wet'],
  ['Main board in isopropyl alcohol', 'wet'],
  ['Keycaps soaking over night', 'wet'],
  ['lower bezel under peroxide cream', 'wet'],
  ['Bezel baked at 50 °C', 'hot'],
  ['Board in the oven to dry', 'hot'],
  ['Lacquer hardening: under the battery', 'curing'],
  ['Glue at the post of the lid', 'curing'],
  ['Washers from Tarnwick', 'post'],
  ['Mask ROM reader on loan', 'away'],
  ['sockets in the post', 'post'],
  ['answer from Oona Tveit', 'owner'],
  ['Test sheet: Clock keeps the time', 'test'],
  ['soak test over night', 'test'],
  ['the big decision', 'other'],
])('“%s” is proposed as %s', (what, kind) => expect(proposedWaitKind(what)).toBe(kind))

describe('the gate', () => {
  it.each(waitKindNames)('hears of a wait that is %s what its kind says, whatever its words', kind => {
    const verdict = { stop: 'keep-off', care: 'guarded-start', none: 'clear-to-run' } as const
    for (const what of ['Board drying', 'Washers in the post', 'the big decision']) expect(gateWith(what, kind)).toBe(verdict[waitKinds[kind].gate ?? 'none'])
  })
  it('goes by the words where nobody has said, and opens nothing that nobody understands', () => {
    expect([gateWith('Main board in isopropyl alcohol', null), gateWith('Washers from Tarnwick', null), gateWith('the big decision', null)]).toEqual([
      'keep-off',
      'clear-to-run',
      'guarded-start',
    ])
  })
  it('is not told by a clock that something is dry', () => {
    for (const kind of ['wet', 'hot', 'curing'] as const) expect(gateWith('Board', kind, '2026-03-03T18:00:00.000Z')).toBe('not-yet-assessed')
  })
})

it('what was taken up wet counts as wet until the same thing was laid out again and dried', () => {
  const drying = (what: string, endedAt: string | null, endedWet = '') => ({
    what,
    startedAt: '2026-03-01T00:00:00.000Z',
    endedAt,
    endedWet,
    errorG: 0.1,
    leftG: 0.2,
    weighings: [{ at: '2026-03-01T00:00:00.000Z', massG: 300 }],
  })
  const verdict = (...dryings: ReturnType<typeof drying>[]) => assess({ ...settled, dryings }, now).known.gate.verdict
  const wet = drying('Board', '2026-03-02T00:00:00.000Z', 'It is wanted tonight')
  expect([
    verdict(wet),
    verdict(wet, drying('Board', null)),
    verdict(wet, drying('Board', '2026-03-03T00:00:00.000Z')),
    // Another thing that dried says nothing of it.
    verdict(wet, drying('Keys', '2026-03-03T00:00:00.000Z')),
  ]).toEqual(['not-yet-assessed', 'keep-off', 'clear-to-run', 'not-yet-assessed'])
})
