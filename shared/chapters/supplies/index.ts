import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The external supplies that the collection keeps. */
export const supplies = chapter({ name: 'supplies', onMachine, onCollection, entries, view })
export * from './shapes'
