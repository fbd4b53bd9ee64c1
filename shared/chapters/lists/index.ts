import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Lists of machines that are kept under a name. */
export const lists = chapter({ name: 'lists', onMachine, onCollection, entries, view })
export type * from './view'
