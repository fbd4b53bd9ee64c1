import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Mend: faults, what was observed, and repairs. */
export const faults = chapter({ name: 'faults', onMachine, onCollection, entries, view })
export { type BenchMap, type BenchMapOf, type BenchMaps, type FaultInstrument, SwapPartShape, SwapTrial, faultInstrumentIds, faultInstruments } from './shapes'
export { theoryStates } from './commands'
export type { FaultsOfModel } from './view'
export * from './rows'
