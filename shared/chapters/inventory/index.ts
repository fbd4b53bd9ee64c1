import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** What a machine is made of, chip by chip and socket by socket. */
export const inventory = chapter({ name: 'inventory', onMachine, entries, view })
export * from './rows'
export { BesideView } from './view'
