import { significant } from '../kernel/figure'
import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export interface CorrosionRatingInput {
  /** Corroded areas in per cent of the surface looked at; they are added up. */
  areasPct: number[]
  /** Rust on painted steel has a degree of its own. */
  steel?: boolean
}

export interface CorrosionRatingResult {
  areaPct: number
  /** 10 none to 0 more than half. */
  rating: number
  /** The formula before it is put into a band; nothing where there is no corrosion. */
  exactRating: number | null
  /** Ri 0 to Ri 5, for steel. */
  rustDegree: number | null
  findings: Finding[]
}

/** Upper ends of the bands, in per cent of area. Source: ISO 10289, from memory. */
export const ratingBands: { upToPct: number; rating: number }[] = [
  { upToPct: 0, rating: 10 },
  { upToPct: 0.1, rating: 9 },
  { upToPct: 0.25, rating: 8 },
  { upToPct: 0.5, rating: 7 },
  { upToPct: 1, rating: 6 },
  { upToPct: 2.5, rating: 5 },
  { upToPct: 5, rating: 4 },
  { upToPct: 10, rating: 3 },
  { upToPct: 25, rating: 2 },
  { upToPct: 50, rating: 1 },
  { upToPct: 100, rating: 0 },
]

/** Upper ends of the rust degrees, in per cent of area. Source: ISO 4628-3, from memory; above 8 % everything is Ri 5 here. */
export const rustBands: { upToPct: number; degree: number }[] = [
  { upToPct: 0, degree: 0 },
  { upToPct: 0.05, degree: 1 },
  { upToPct: 0.5, degree: 2 },
  { upToPct: 1, degree: 3 },
  { upToPct: 8, degree: 4 },
  { upToPct: 100, degree: 5 },
]

/**
 * Rates corrosion by the share of the surface that it covers: rating = 3 · (2 − log₁₀ A), A in per cent, 10 for none.
 * @throws InputError for no area, one below zero, or more than 100 per cent together
 * Source: ISO 10289 and, for steel, ISO 4628-3, both from memory.
 */
export function rateCorrosion({ areasPct, steel = false }: CorrosionRatingInput): CorrosionRatingResult {
  if (!areasPct.length) throw new InputError('areasPct', areasPct, 'No area given. Give at least one, in per cent of the surface; 0 for none.')
  areasPct.forEach((area, i) => {
    if (!(area >= 0 && area <= 100)) throw new InputError(`areasPct.${i}`, area, 'An area must lie between 0 and 100 per cent of the surface.')
  })
  const areaPct = areasPct.reduce((sum, area) => sum + area, 0)
  if (areaPct > 100 + 1e-9) throw new InputError('areasPct', areasPct, `Together that is ${areaPct} per cent of the surface; it cannot be more than 100.`)

  // Sums such as 0.1 + 0.2 end a hair above the band that they belong to.
  const within = (upToPct: number) => areaPct <= upToPct + 1e-9
  const rating = ratingBands.find(band => within(band.upToPct))?.rating ?? 0
  const rustDegree = steel ? (rustBands.find(band => within(band.upToPct))?.degree ?? 5) : null
  const exactRating = areaPct > 0 ? 3 * (2 - Math.log10(areaPct)) : null
  const covers = `${significant(areaPct)} % of the surface is corroded.`
  const findings = [
    rating === 10
      ? finding('fine', 'corrosion.none', 'No corrosion: rating 10.', covers, 'ISO 10289, from memory')
      : finding(
          rating <= 3 ? 'stop' : rating <= 6 ? 'care' : 'note',
          'corrosion.rated',
          `Rating ${rating} of 10.`,
          [
            covers,
            rating <= 3
              ? 'So much rarely ends at what can be seen: look beneath the mask and on the other side.'
              : 'Look again in some weeks; what has stopped stays as it is.',
          ],
          'ISO 10289, from memory',
        ),
  ]
  if (rustDegree !== null) findings.push(finding('note', 'corrosion.rust-degree', `Rust degree Ri ${rustDegree}.`, covers, 'ISO 4628-3, from memory'))
  return { areaPct, rating, exactRating, rustDegree, findings }
}

export interface RatingWithin {
  /** Nothing where the error covers several. */
  rating: number | null
  rustDegree: number | null
  findings: Finding[]
}

/**
 * Rates a measured area with its error: no rating is given that its error does not bear.
 * @param measured area and error in per cent of the surface, both ways
 * Source: the bands above.
 */
export function rateMeasured({ areaPct, errorPct, steel = false }: { areaPct: number; errorPct: number; steel?: boolean }): RatingWithin {
  const rate = (area: number, asSteel = steel) => rateCorrosion({ areasPct: [Math.min(100, Math.max(0, area))], steel: asSteel })
  const [best, worst, middle] = [rate(areaPct - errorPct), rate(areaPct + errorPct), rate(areaPct)]
  const steady = best.rustDegree === worst.rustDegree
  if (best.rating === worst.rating)
    return {
      rating: middle.rating,
      rustDegree: steady ? middle.rustDegree : null,
      // A degree of rust that the error does not bear is not spoken of.
      findings: (steady ? middle : rate(areaPct, false)).findings,
    }
  return {
    rating: null,
    rustDegree: null,
    findings: [
      finding(
        worst.rating <= 3 ? 'stop' : worst.rating <= 6 ? 'care' : 'note',
        'corrosion.no-rating',
        `Between rating ${worst.rating} and ${best.rating} of 10: its error covers several, so none is given.`,
        [`${significant(areaPct)} % ± ${errorPct.toFixed(1)} of the surface is corroded.`, 'A closer photograph in even light narrows it.'],
        'ISO 10289, from memory',
      ),
    ],
  }
}
