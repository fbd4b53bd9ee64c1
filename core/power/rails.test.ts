import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type RailReading, judgeRails, limitsOf } from './rails'
import { toleranceFor } from './tolerances'

const loaded = (valueV: number): RailReading => ({ valueV, load: 'loaded' })
const unloaded = (valueV: number): RailReading => ({ valueV, load: 'unloaded' })
const judge = (nominalV: number, ...readings: RailReading[]) => judgeRails({ rails: [{ name: 'rail', nominalV, readings }] }).rails[0]!
const codes = (nominalV: number, ...readings: RailReading[]) => judge(nominalV, ...readings).findings.map(f => f.code)

describe('limits', () => {
  it('of 5 V are 4.75 to 5.25 V (74-series logic, data books, from memory); of −12 V within 10 % (ATX12V guide, from memory)', () => {
    expect(limitsOf(5, toleranceFor(5).tolerancePct)).toEqual({ lowV: 4.75, highV: 5.25 })
    expect(limitsOf(-12, toleranceFor(-12).tolerancePct)).toEqual({ lowV: -13.2, highV: -10.8 })
  })

  // Common practice, no source.
  it.each([
    [5, 5.09],
    [5, 4.96],
    [5, 4.94],
    [12, 11.75],
    [-5, -5.09],
  ])('%f V takes %f V', (nominal, value) => {
    expect(judge(nominal, loaded(value)).verdict).toBe('good')
  })

  it('a reading is good exactly when it lies within the limits', () => {
    fc.assert(
      fc.property(fc.constantFrom(3.3, 5, 12, -5, -12), fc.double({ min: 0.3, max: 1.25, noNaN: true }), (nominal, share) => {
        const rail = judge(nominal, loaded(nominal * share))
        expect(rail.verdict === 'good').toBe(nominal * share >= rail.lowV && nominal * share <= rail.highV)
        expect(rail.deviationPct).toBeCloseTo((share - 1) * 100, 5)
      }),
    )
  })
})

describe('what is wrong', () => {
  it('knows a missing rail, a sign error, a low and a high one', () => {
    expect(codes(5, loaded(0.02))).toEqual(['rail.missing'])
    expect(codes(-5, loaded(5.05))).toEqual(['rail.sign'])
    expect(codes(5, loaded(4.6))).toEqual(['rail.low'])
    expect(codes(5, loaded(5.4))).toEqual(['rail.high'])
  })

  it('9 V on a 5 V rail: the regulator may pass its input through', () => {
    expect(codes(5, loaded(9))).toEqual(['rail.passes-input'])
  })

  it('low only when unloaded asks for a load, and comes good with one', () => {
    expect(judge(12, unloaded(10.9))).toMatchObject({ verdict: 'reread' })
    const cured = judge(12, unloaded(10.9), loaded(11.75))
    expect(cured.verdict).toBe('good')
    expect(cured.findings.map(f => f.code)).toContain('rail.low-only-unloaded')
    expect(judge(12, unloaded(3)).verdict).toBe('out')
  })

  it('the newest reading under load decides, not a later one without', () => {
    expect(judge(5, loaded(4.5), loaded(5.01), unloaded(4.2)).deciding).toEqual(loaded(5.01))
  })

  it('tells changed-over rails from one that carries another', () => {
    const rails = (five: number, twelve: number) =>
      judgeRails({
        rails: [
          { name: '+5', nominalV: 5, readings: [loaded(five)] },
          { name: '+12', nominalV: 12, readings: [loaded(twelve)] },
        ],
      }).rails[0]!.findings[0]!.code
    expect(rails(12.1, 5.02)).toBe('rail.swapped')
    expect(rails(12.1, 12.0)).toBe('rail.carries-another')
  })
})

it('one verdict over all: out before reread before unread before good', () => {
  const rail = (name: string, ...readings: RailReading[]) => ({ name, nominalV: 5, readings })
  const verdict = (...rails: ReturnType<typeof rail>[]) => judgeRails({ rails }).verdict
  expect(verdict(rail('a', loaded(5)), rail('b'))).toBe('unread')
  expect(verdict(rail('a', unloaded(4.5)), rail('b'))).toBe('reread')
  expect(verdict(rail('a', unloaded(4.5)), rail('b', loaded(6)))).toBe('out')
  expect(verdict(rail('a', loaded(5)))).toBe('good')
})

it.each([
  [{ rails: [] }, 'rails'],
  [{ rails: [{ name: 'a', nominalV: 0, readings: [] }] }, 'rails.0.nominalV'],
  [{ rails: [{ name: 'a', nominalV: 5, tolerancePct: 0, readings: [] }] }, 'rails.0.tolerancePct'],
  [
    {
      rails: [
        { name: 'a', nominalV: 5, readings: [] },
        { name: 'a', nominalV: 12, readings: [] },
      ],
    },
    'rails.1.name',
  ],
  [{ rails: [{ name: 'a', nominalV: 5, readings: [loaded(NaN)] }] }, 'rails.0.readings.0.valueV'],
])('refuses %o at %s', (input, field) => {
  expect(() => judgeRails(input)).toThrow(expect.objectContaining({ field }) as Error)
})
