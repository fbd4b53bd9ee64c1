import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Mend: faults, what was observed, and repairs. */
export const faults = chapter({ name: 'faults', onMachine, onCollection, entries, view })
export { SwapPartShape, SwapTrial } from './shapes'
export { theoryStates } from './commands'
export type { FaultsOfModel } from './view'
