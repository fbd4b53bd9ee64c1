import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Starts that are attended and watched. */
export const starts = chapter({ name: 'starts', onMachine, onCollection, entries, view })
export * from './words'
export * from './shapes'
