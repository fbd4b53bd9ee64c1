import { PhCamera, PhGauge, PhThermometer, PhWarning } from '~/kernel/signs/icons'
import type { BenchSheet } from '~/kernel/bench/useBenchSheets'

const lazy = defineAsyncComponent

/** What the hand needs at the bench, in the order of the bar. */
export const benchSheets: readonly BenchSheet[] = [
  { name: 'reading', title: 'Reading', icon: PhGauge, may: 'take-reading', view: lazy(() => import('./power/BenchReading.vue')) },
  { name: 'fault', title: 'Fault', icon: PhWarning, may: 'report-fault', view: lazy(() => import('./faults/BenchFault.vue')) },
  { name: 'temperature', title: 'Temperature', icon: PhThermometer, may: 'take-temperature', view: lazy(() => import('./power/BenchTemperature.vue')) },
  { name: 'photograph', title: 'Photograph', icon: PhCamera, may: 'add-photograph', view: lazy(() => import('./look/BenchPhotograph.vue')) },
]
