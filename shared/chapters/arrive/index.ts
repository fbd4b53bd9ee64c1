import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Arrive: booking in, what was claimed, what came with it, dates on its parts, and where it stands in the run. */
export const arrive = chapter({ name: 'arrive', onMachine, onCollection, entries, view })
export * from './words'
export { BookIn } from './commands'
export * from './lot'
export * from './rows'
