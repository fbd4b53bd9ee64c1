// @ts-expect-error jstat ships no types of its own; what is used of it is said below.
import untyped from 'jstat'
import { describe, expect, it } from 'vitest'
import { exponentialAlone, fitApproach, slopeOf } from './approach'
import { seeded } from './random'

const jstat = untyped as { chisquare: { inv: (p: number, df: number) => number }; studentt: { inv: (p: number, df: number) => number } }
const range = (n: number) => Array.from({ length: n }, (_, i) => i)
const along = (hours: readonly number[], value: (at: number) => number) => hours.map(at => ({ at, value: value(at) }))

describe('what a fit says of its error', () => {
  /** Points of one exponential with a scatter of their own. */
  const scattered = (n: number) => {
    const random = seeded(n)
    return along(
      range(n).map(i => (i * 5) / (n - 1)),
      at => 20 + 10 * Math.exp(-at) + 0.02 * (random() - 0.5),
    )
  }
  // The tables against a library of statistics: jstat, quantiles of the χ² and the t distribution.
  it.each(range(15).map(i => i + 1))('goes by χ² and by t at %i degrees of freedom', df => {
    const points = scattered(df + 3)
    // With a stated error of next to nothing, what it rests on is the scatter itself: the square root of χ² over the degrees of freedom.
    const { sigma: shown } = fitApproach(points, 3e-5, exponentialAlone)
    const chi2 = df * shown ** 2
    const edge = Math.sqrt(chi2 / jstat.chisquare.inv(0.95, df))
    const [sure, doubted] = [1.01, 0.99].map(by => fitApproach(points, edge * by, exponentialAlone))
    expect([sure!.scatters, doubted!.scatters]).toEqual([false, true])
    expect(sure!.sigma).toBeCloseTo(edge * 1.01, 9)
    expect(doubted!.sigma).toBeCloseTo(shown, 6)
    // Where the curve is nearly linear in what is fitted, half a band is its quantile times its error.
    const half = (fit: typeof sure) => (fit!.endBand.high - fit!.endBand.low) / 2
    const wanted = (jstat.studentt.inv(0.975, df) * shown) / (Math.sqrt(jstat.chisquare.inv(0.95, 1)) * edge * 1.01)
    // With one degree of freedom the band is wide, and its curve bends.
    const near = df === 1 ? 0.2 : 0.07
    expect(Math.abs(half(doubted) / half(sure) / wanted - 1)).toBeLessThan(near)
  })
  it('never says that three points scatter, and is never better than a millionth of what is measured', () => {
    const three = along([0, 1, 3], at => 20 + 10 * Math.exp(-at))
    expect(fitApproach(three, 0.001, exponentialAlone)).toMatchObject({ scatters: false, sigma: 0.001 })
    expect(fitApproach(three, 0, exponentialAlone).sigma).toBeCloseTo(30e-6, 9)
  })
})

describe('each way to approach an end', () => {
  /** Water out of a slab by its whole series. Source: Crank 1975, from memory: 8/π² · Σ exp(−(2n+1)²·u) / (2n+1)². */
  const slab = (u: number) => range(400).reduce((sum, n) => sum + Math.exp(-((2 * n + 1) ** 2) * u) / (2 * n + 1) ** 2, 0) * (8 / Math.PI ** 2)
  const ways: [kind: string, left: (u: number) => number][] = [
    ['exponential', u => Math.exp(-u)],
    ['stretched', u => Math.exp(-(u ** 0.6))],
    ['late', u => (u < 0.33 ? 1 : Math.exp(0.33 - u))],
    ['steady-first', u => (u < 1.2 ? 1 - u / 2.2 : Math.exp(1.2 - u) / 2.2)],
    ['two-speed', u => 0.75 * Math.exp(-u) + 0.25 * Math.exp(-u / 8)],
    ['diffusion', slab],
    ['power', u => 1 / (1 + u) ** 2],
  ]
  const measured = [0, 0.1, 0.25, 0.45, 0.7, 1, 1.4, 1.9, 2.5, 3.2]
  it.each(ways)('%s: what is left later lies in the band, and one exponential alone would often have missed it', (_, left) => {
    const points = along(measured, at => 300 + 40 * left(at))
    const fit = fitApproach(points, 0.01)
    for (const at of [4, 6, 9]) {
      const { low, high } = fit.valueAt(at)
      expect(300 + 40 * left(at)).toBeGreaterThanOrEqual(low)
      expect(300 + 40 * left(at)).toBeLessThanOrEqual(high)
    }
  })
  it('follows at its points what it was measured to be, whichever it is', () => {
    for (const [kind, left] of ways) {
      const fit = fitApproach(
        along(measured, at => 300 + 40 * left(at)),
        0.01,
      )
      const off = Math.max(...measured.map(at => Math.abs(fit.valueAt(at).mid - 300 - 40 * left(at))))
      expect(off, kind).toBeLessThan(40 * 0.03)
    }
  })
  it('is told apart where it differs enough from one exponential', () => {
    const kind = (left: (u: number) => number) =>
      fitApproach(
        along(
          measured.map(at => at * 2),
          at => 300 + 400 * left(at),
        ),
        0.001,
      ).shape
    expect(kind(ways[0]![1])).toBe('exponential')
    for (const [name, left] of ways.slice(1)) expect(kind(left), name).not.toBe('exponential')
  })
})

it('an end is bounded once it is near, and not while a line would do', () => {
  const of = (hours: number[]) =>
    fitApproach(
      along(hours, at => 20 + 10 * Math.exp(-at / 10)),
      0.05,
    )
  expect(of([0, 10, 20, 30, 45, 60]).bounded).toBe(true)
  expect(of([0, 0.2, 0.4, 0.6]).bounded).toBe(false)
})

it('points may come in any order and begin at any hour', () => {
  const points = along([3, 5, 8, 12, 20], at => 20 + 10 * Math.exp(-(at - 3) / 4))
  const [one, other] = [fitApproach(points, 0.01, exponentialAlone), fitApproach([...points].reverse(), 0.01, exponentialAlone)]
  expect(one.end).toBeCloseTo(20, 4)
  expect(one.tau).toBeCloseTo(4, 3)
  // Its gap is reckoned from hour nothing: ten at hour three.
  expect(one.gap).toBeCloseTo(10 * Math.exp(3 / 4), 2)
  expect(other.end).toBeCloseTo(one.end, 6)
  expect(one.leftAt(7).mid).toBeCloseTo(10 * Math.exp(-1), 3)
  expect(one.valueAt(7).mid).toBeCloseTo(20 + 10 * Math.exp(-1), 3)
})

it('a slope is that of the least squares, and its error that of a library’s line', () => {
  // Worked by hand: (0,1) (1,3) (2,5) lie on 2·t + 1; the spread about their mean is 2.
  expect(
    slopeOf(
      along([0, 1, 2], at => 2 * at + 1),
      0.1,
    ),
  ).toEqual({ slope: 2, error: 0.1 / Math.sqrt(2) })
})
