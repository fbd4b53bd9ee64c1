import { type WhiteningResult, forecastWhitening } from '#core/cleaning/whitening-forecast'
import type { SheetOf } from '#shared/chapters/index'

type Part = SheetOf<'cleaning'>['cleaning']['whitenings'][number]

/** What the colours of a part say of it: after its end, of its treatment alone, for what came back is no treatment. */
export function forecastOf({ reference, colours, hours, goalB, similarTauHours, exposures, endedAt }: Part): WhiteningResult {
  const treated = endedAt ? colours.filter(c => c.at <= endedAt) : colours
  return forecastWhitening({
    reference,
    measured: treated,
    ...(endedAt ? {} : { hoursNow: hours }),
    goalB,
    similarTauHours,
    mixed: new Set(exposures.map(e => e.how)).size > 1,
  })
}
