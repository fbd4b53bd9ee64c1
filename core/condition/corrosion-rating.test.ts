import fc from 'fast-check'
import { expect, it } from 'vitest'
import { rateCorrosion, rateMeasured } from './corrosion-rating'

// Bands of ISO 10289, from memory: a value at the upper end belongs to the better rating.
it.each([
  [0, 10],
  [0.05, 9],
  [0.1, 9],
  [0.11, 8],
  [0.25, 8],
  [0.5, 7],
  [1, 6],
  [2.5, 5],
  [5, 4],
  [10, 3],
  [25, 2],
  [50, 1],
  [50.1, 0],
  [100, 0],
])('%f %% rates %i', (areaPct, rating) => {
  expect(rateCorrosion({ areasPct: [areaPct] }).rating).toBe(rating)
})

it('agrees with the formula 3 · (2 − log₁₀ A) to within one step of the bands', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.05, max: 100, noNaN: true }), areaPct => {
      const { rating, exactRating } = rateCorrosion({ areasPct: [areaPct] })
      expect(Math.abs(rating - exactRating!)).toBeLessThanOrEqual(1)
    }),
  )
})

// Degrees of ISO 4628-3, from memory.
it.each([
  [0, 0],
  [0.05, 1],
  [0.5, 2],
  [1, 3],
  [8, 4],
  [45, 5],
])('rust on %f %% of steel is Ri %i', (areaPct, degree) => {
  expect(rateCorrosion({ areasPct: [areaPct], steel: true }).rustDegree).toBe(degree)
})

it('adds areas up, and knows steel from the rest', () => {
  const both = rateCorrosion({ areasPct: [0.1, 0.2, 0.2] })
  expect(both).toMatchObject({ rating: 7, rustDegree: null })
  expect(both.findings.map(f => f.code)).toEqual(['corrosion.rated'])
})

it.each([
  [[], 'areasPct'],
  [[-1], 'areasPct.0'],
  [[5, 101], 'areasPct.1'],
  [[60, 50], 'areasPct'],
  [[Number.NaN], 'areasPct.0'],
])('refuses %j at %s', (areasPct, field) => {
  expect(() => rateCorrosion({ areasPct })).toThrow(expect.objectContaining({ field }) as Error)
})

it('gives no rating where the error covers several', () => {
  expect(rateMeasured({ areaPct: 35, errorPct: 4 })).toMatchObject({ rating: 1 })
  expect(rateMeasured({ areaPct: 9, errorPct: 3, steel: true })).toMatchObject({ rating: null, rustDegree: null, findings: [{ code: 'corrosion.no-rating' }] })
  expect(rateMeasured({ areaPct: 0.3, errorPct: 1.5 }).rating).toBeNull()
})

// Bands: rating 3 from 5 to 10 %, and Ri 4 from 1 to 8 % (see the bands; ISO 10289 and ISO 4628-3, from memory).
it('a degree of rust that its error does not bear is not spoken of, and the rating beside it still is', () => {
  const rated = (areaPct: number, errorPct: number) => rateMeasured({ areaPct, errorPct, steel: true })
  const degrees = (of: ReturnType<typeof rated>) => of.findings.filter(f => f.code === 'corrosion.rust-degree').length
  const steady = rated(6.5, 1)
  expect([steady.rating, steady.rustDegree, degrees(steady)]).toEqual([3, steady.rustDegree, 1])
  expect(steady.rustDegree).not.toBeNull()
  const between = rated(8, 1)
  expect([between.rating, between.rustDegree, degrees(between)]).toEqual([3, null, 0])
  const wide = rated(8, 4)
  expect([wide.rating, wide.rustDegree, wide.findings.map(f => f.code)]).toEqual([null, null, ['corrosion.no-rating']])
  expect(wide.findings[0]!.because[0]).toBe('8 % ± 4.0 of the surface is corroded.')
  expect([wide.findings[0]!.level, rated(2, 1).findings[0]!.level]).toEqual(['stop', 'care'])
})
