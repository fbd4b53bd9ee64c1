import type { WhiteningInput, WhiteningResult } from '#core/cleaning/whitening-forecast'
import type { SheetOf } from '#shared/chapters/index'
import type { ForecastBench } from '~/workers/forecast.worker'
import ForecastWorker from '~/workers/forecast.worker?worker'

type Part = SheetOf<'cleaning'>['cleaning']['whitenings'][number]

/** What is asked of a part: after its end, of its treatment alone, for what came back is no treatment. */
function inputOf({ reference, colours, hours, goalB, similarTauHours, exposures, endedAt }: Part): WhiteningInput {
  const plain = { l: reference.l, a: reference.a, b: reference.b, error: reference.error }
  const treated = (endedAt ? colours.filter(c => c.at <= endedAt) : colours).map(({ l, a, b, error, hours: before }) => ({ l, a, b, error, hours: before }))
  return {
    reference: plain,
    measured: treated,
    ...(endedAt ? {} : { hoursNow: hours }),
    goalB,
    similarTauHours: [...similarTauHours],
    mixed: new Set(exposures.map(e => e.how)).size > 1,
  }
}

/** The forecast of each part, fitted beside the page; nothing of a part while it is being fitted for the first time. */
export function useForecasts(parts: () => readonly Part[]) {
  const forecasts = shallowRef<Record<number, WhiteningResult>>({})
  const { trouble, run } = useBeside<ForecastBench>(() => new ForecastWorker(), { keeps: true })
  async function fit(now: readonly Part[]) {
    if (!now.length) return
    await run(
      bench => Promise.all(now.map(async part => [part.id, await bench.forecast(inputOf(part))] as const)),
      found => (forecasts.value = Object.fromEntries(found)),
    )
  }
  onMounted(() => watch(parts, fit, { immediate: true }))
  return { forecasts, trouble }
}
