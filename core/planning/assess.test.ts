import { describe, expect, it } from 'vitest'
import { good, now, reading, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { basisOf } from '../safety/overrule'
import { assess } from './assess'
import { consequencesOf } from './consequences'

// How the disciplines are asked about one machine, and what comes of it. Common practice, no source.
const of = (more: object) => assess({ ...settled, ...more } as MachineRecord, now)

describe('what cannot be read', () => {
  it('says which record, and why, and is heard by the gate with what would settle it', () => {
    const { known } = of({ readings: [reading(Number.NaN)] })
    const found = known.gate.findings.filter(f => f.code.startsWith('record.unreadable'))
    expect(found.length).toBeGreaterThan(0)
    for (const f of found) expect(f.because).toEqual([expect.stringMatching(/number/), 'It stays off until the record has been put right.'])
    expect(known.gate.toOpen.find(o => o.code === found[0]!.code)?.do).toContain('Put the record right')
  })
  it('after the gate was asked is heard by it all the same', () => {
    // A soak that cannot be planned is read by proving, which comes after the gate.
    const soak = { what: 'x', seenFailures: 9, seenPasses: 3, confidence: 0.95, passes: 0, failures: 0, startedAt: now, endedAt: null }
    const { known } = of({ soaks: [soak] })
    expect(known.gate.findings.some(f => f.code === 'record.unreadable' && f.says.includes('how it was proved'))).toBe(true)
    expect([known.gateInForce, known.signedOff]).toEqual(['keep-off', false])
  })
  it('in the words of its faults closes the gate by itself, once', () => {
    const codes = of({ expectedRails: null }).known.gate.findings.map(f => f.code)
    expect(new Set(codes).size).toBe(codes.length)
    expect(codes).toContain('record.unreadable')
  })
})

describe('what comes of a change', () => {
  const after = (more: object, gate: 'keep-off' | 'clear-to-run' | 'guarded-start' | 'not-yet-assessed', overruled = false) =>
    consequencesOf({ gate, overruled }, of(more))
  it('is the new verdict with its reason in the words of the rule', () => {
    expect(after({}, 'clear-to-run').gate).toBeNull()
    expect(after({}, 'keep-off').gate).toEqual({ from: 'keep-off', to: 'clear-to-run', why: 'No reason to keep it off or guarded is left' })
    expect(after({ entered: { ...good, smoke: 'yes' } }, 'clear-to-run').gate?.why).toContain('Smoke')
  })
  it('is said to be overruled while an overrule stands, and that it ended where it does not', () => {
    const off = { entered: { ...good, smoke: 'yes' } }
    const overrule = { verdict: 'guarded-start', basis: basisOf(of(off).known.gate, settled.configuration) }
    expect(after({ ...off, overrule }, 'keep-off')).toMatchObject({ gate: { to: 'guarded-start', why: 'Overruled' }, overruleEnded: null })
    expect(after({ overrule }, 'guarded-start', true)).toMatchObject({
      overruleEnded: 'the facts have changed',
      gate: { to: 'clear-to-run', why: expect.stringContaining('No reason') as string },
    })
    expect(after({}, 'clear-to-run', false).overruleEnded).toBeNull()
  })
})

describe('the run and the moves', () => {
  it('end with its life chosen and the machine in its place', () => {
    const home = (more: object) =>
      of(more)
        .run[6]!.steps.filter(s => ['Its life chosen', 'In its place'].includes(s.says))
        .map(s => s.done)
    expect([home({}), home({ life: 'store' }), home({ life: 'store', stage: 'home' })]).toEqual([
      [false, false],
      [true, false],
      [true, true],
    ])
  })
  it('count a stage that has no step of its own as done once the machine has gone past it', () => {
    const mend = (stage: string) => of({ stage }).run.find(s => s.stage === 'mend')!
    expect([mend('look'), mend('mend'), mend('prove')].map(s => [s.of, s.share])).toEqual([
      [0, 0],
      [0, 0],
      [0, 1],
    ])
  })
  it('go on to the next stage only where nothing is left and nothing is waited for', () => {
    const on = (more: object) => of(more).moves.find(m => m.code === 'move-on')
    expect(on({})).toMatchObject({ says: 'Move on to Mend', why: 'Nothing is left to do in Clean.', stage: 'mend' })
    expect(on({ waits: [{ what: 'post', until: '2026-03-04T19:00:00.000Z', kind: 'post' }] })).toBeUndefined()
    expect(on({ stage: 'home', life: 'gallery' })).toBeUndefined()
    expect(on({ entered: { ...good, smoke: 'yes' } })).toBeUndefined()
  })
  it('are due at the next instant that is not over yet', () => {
    const due = (...untils: string[]) => of({ waits: untils.map((until, i) => ({ what: `w${i}`, until, kind: 'post' })) }).dueAt
    expect([due(now), due('2026-03-03T19:00:00.001Z'), due('2026-03-05T19:00:00.000Z', '2026-03-04T19:00:00.000Z')]).toEqual([
      null,
      '2026-03-03T19:00:00.001Z',
      '2026-03-04T19:00:00.000Z',
    ])
  })
})
