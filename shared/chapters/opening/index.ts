import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The opening record; read backwards it is the reassembly. */
export const opening = chapter({ name: 'opening', onMachine, onCollection, entries, view })
