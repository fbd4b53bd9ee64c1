import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The opening record; read backwards it is the reassembly. */
export const opening = chapter({ name: 'opening', onMachine, entries, view })
export * from './rows'
