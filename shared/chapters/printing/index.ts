import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** Labels on a printer in the network. */
export const printing = chapter({ name: 'printing', onCollection, entries })
export { labelKinds } from './commands'
export type { PrintState, PrinterView } from './view'
