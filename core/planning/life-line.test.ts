import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type LifeEvent, lifeLine } from './life-line'

// Places by hand: ten days since it came, 1980 to 2020 before it.
const day = (d: number) => `2026-03-${String(d).padStart(2, '0')}T00:00:00.000Z`
const [bookedInAt, now] = [day(1), day(11)]
const event = (d: number, what: LifeEvent['what'], to?: LifeEvent['to']): LifeEvent => ({ at: day(d), what, ...(to ? { to } : {}), says: `${what} ${d}` })

it('the gate leaves no gap from the day it came, and what was before takes the first part alone where it is known', () => {
  const events = [event(6, 'gate', 'clear-to-run'), event(3, 'gate', 'keep-off'), event(6, 'stage', 'clean')]
  const line = lifeLine({ made: null, bookedInAt, now, events })
  expect([line.cameAt, line.made]).toEqual([0, null])
  expect(line.bands).toEqual([
    { from: 0, to: expect.closeTo(0.2, 9) as number, gate: 'not-yet-assessed' },
    { from: expect.closeTo(0.2, 9) as number, to: expect.closeTo(0.5, 9) as number, gate: 'keep-off' },
    { from: expect.closeTo(0.5, 9) as number, to: 1, gate: 'clear-to-run' },
  ])
  expect(line.stages).toEqual([{ at: expect.closeTo(0.5, 9) as number, stage: 'clean' }])
  const known = lifeLine({ made: { notBefore: '1982-08-30', notAfter: '1983-02-01' }, bookedInAt, now, events })
  expect(known.cameAt).toBeGreaterThan(0.1)
  expect(known.made).toMatchObject({ from: 0, says: '1982 to 1983' })
  expect(known.made!.to).toBeLessThan(known.cameAt / 20)
  expect(known.stages[0]!.at).toBeCloseTo(known.cameAt + (1 - known.cameAt) / 2, 9)
  // Made after it came: a bound that nobody can draw.
  expect(lifeLine({ made: { notBefore: '2030-01-01', notAfter: '2031-01-01' }, bookedInAt, now, events }).made).toBeNull()
})

it('marks too near to be told apart share one of a kind, and another kind stands beside it', () => {
  const marks = (...events: LifeEvent[]) => lifeLine({ made: null, bookedInAt, now, events }).marks
  expect(marks(event(2, 'start'), event(2, 'start'), event(8, 'start')).map(m => m.says.length)).toEqual([2, 1])
  const beside = marks(event(5, 'start'), event(5, 'signed-off'))
  expect(beside.map(m => m.what)).toEqual(['start', 'signed-off'])
  expect(beside[1]!.at).toBeGreaterThan(beside[0]!.at)
  expect(marks(event(5, 'gate', 'keep-off'), event(5, 'stage', 'mend'))).toEqual([])
})

it('stays on the line, whatever the order and however odd the clocks', () => {
  const at = fc.date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true }).map(d => d.toISOString())
  const events = fc.array(
    fc.record({
      at,
      what: fc.constantFrom('gate' as const, 'start' as const, 'fault' as const),
      to: fc.constantFrom('keep-off' as const, 'clear-to-run' as const),
      says: fc.string(),
    }),
  )
  fc.assert(
    fc.property(at, at, events, (came, until, list) => {
      const { bands, marks } = lifeLine({ made: { notBefore: '1981-01-01', notAfter: '1982-01-01' }, bookedInAt: came, now: until, events: list })
      for (const place of [...bands.flatMap(b => [b.from, b.to]), ...marks.map(m => m.at)]) expect(place >= 0 && place <= 1).toBe(true)
      bands.slice(1).forEach((band, i) => expect(band.from).toBe(bands[i]!.to))
      expect(bands.at(-1)!.to).toBe(1)
    }),
  )
})
