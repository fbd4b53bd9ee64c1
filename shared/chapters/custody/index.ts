import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** What of a machine is at somebody's home, since when, for what. */
export const custody = chapter({ name: 'custody', onMachine, entries, view })
export type { CustodyDue } from './view'
