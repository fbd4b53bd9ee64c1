import { expose } from 'comlink'
import { forecastWhitening } from '#core/cleaning/whitening-forecast'

/** Fits how yellowed parts come towards their references. */
const worker = { forecast: forecastWhitening }
export type ForecastBench = typeof worker
expose(worker)
