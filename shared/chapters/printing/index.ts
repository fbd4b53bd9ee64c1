import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Labels on a printer in the network. */
export const printing = chapter({ name: 'printing', onMachine, onCollection, entries, view })
export { labelKinds } from './commands'
export type { PrintState, PrinterView } from './view'
