import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Jumpers, switches, trimmers and pages as they were found, and the way back to that. */
export const setup = chapter({ name: 'setup', onMachine, entries, view })
export * from './rows'
