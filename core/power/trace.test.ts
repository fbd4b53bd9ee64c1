import fc from 'fast-check'
import { expect, it } from 'vitest'
import { judgeTrace } from './trace'
import { wireOf, wireWith } from './wire'

// Source: IPC-2221: 1 A, 10 K, 1 oz (1.378 mil) on the outside wants 11.8 mil, 0.300 mm.
it('the worked example of the standard comes out', () => {
  const { widthForCurrentMm, riseK } = judgeTrace({ widthMm: 0.3, currentA: 1, riseK: 10 })
  expect(widthForCurrentMm).toBeCloseTo(0.3, 2)
  expect(riseK).toBeCloseTo(10, 0)
})

it('inside it carries half of what it carries outside', () => {
  expect(judgeTrace({ widthMm: 1, side: 'inner' }).currentAtRiseA * 2).toBeCloseTo(judgeTrace({ widthMm: 1 }).currentAtRiseA, 9)
})

// Source: ASTM B258 by way of a wire table: AWG 30 0.2546 mm and 0.339 Ω/m, AWG 24 0.5106 mm and 0.0842 Ω/m at 20 °C.
it.each([
  [36, 0.127, undefined],
  [30, 0.2546, 0.339],
  [24, 0.5106, 0.0842],
] as const)('wire of gauge %d', (awg, mm, ohm) => {
  expect(wireOf(awg).diameterMm).toBeCloseTo(mm, 4)
  if (ohm) expect(wireOf(awg).ohmPerM).toBeCloseTo(ohm, 3)
})

// Source: Preece, I = 80·d^1.5; AWG 30: 10.3 A.
it('a trace with the copper of AWG 30 melts where that wire does', () => {
  const { areaMm2 } = wireOf(30)
  expect(judgeTrace({ widthMm: areaMm2 / 0.035 }).fusing.preeceA).toBeCloseTo(10.3, 1)
  expect(judgeTrace({ widthMm: (areaMm2 / 0.035) * 0.999 }).wire?.awg).toBe(30)
})

// Source: laminate data sheets, from memory: paper and phenolic to about 105 °C, glass and epoxy soften at about 130 °C.
it('the temperature it comes to is judged, not only the rise', () => {
  const level = (ambientC: number, currentA: number) =>
    judgeTrace({ widthMm: 0.3, riseK: 90, ambientC, currentA }).findings.find(f => f.code === 'trace.board')?.level
  expect([level(25, 1), level(60, 2.2), level(70, 2.6)]).toEqual([undefined, 'care', 'stop'])
})

it('resistance is ρ·l/A, warmer copper has more of it', () => {
  // 1 oz, 1 mm, 100 mm at 20 °C: 49.3 mΩ, as any table of copper on boards has it (ρ 0.01724 Ω·mm²/m).
  const cold = judgeTrace({ widthMm: 1, lengthMm: 100, ambientC: 10, riseK: 10 }).resistanceOhm!
  expect(cold).toBeCloseTo(0.04926, 4)
  expect(judgeTrace({ widthMm: 1, lengthMm: 100, ambientC: 60, riseK: 10 }).resistanceOhm! / cold).toBeCloseTo(1 + 0.00393 * 50, 6)
})

it('there and back: the rise at the current for a rise is that rise', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 10, noNaN: true }), fc.double({ min: 10, max: 100, noNaN: true }), (widthMm, riseK) => {
      const { currentAtRiseA } = judgeTrace({ widthMm, riseK })
      expect(judgeTrace({ widthMm, riseK, currentA: currentAtRiseA }).riseK).toBeCloseTo(riseK, 6)
    }),
  )
})

it('too much is a stop, warm wants care, outside the charts is said', () => {
  const codes = (input: Parameters<typeof judgeTrace>[0]) => judgeTrace(input).findings.map(f => `${f.level} ${f.code}`)
  expect(codes({ widthMm: 0.3, currentA: 10 })).toEqual(expect.arrayContaining(['stop trace.burns', 'care trace.chart']))
  expect(codes({ widthMm: 0.3, currentA: 1.5 })).toContain('care trace.warm')
  expect(codes({ widthMm: 2, currentA: 1, riseK: 20, lengthMm: 500 })).toEqual(expect.arrayContaining(['fine trace.bears', 'care trace.drop']))
  expect(() => judgeTrace({ widthMm: 0 })).toThrow(/Width in mm/)
  expect(wireWith(100)).toBeNull()
})
