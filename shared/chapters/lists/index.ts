import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** Lists of machines that are kept under a name. */
export const lists = chapter({ name: 'lists', onCollection, entries })
export type * from './view'
