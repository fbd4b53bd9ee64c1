import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** The external supplies that the collection keeps. */
export const supplies = chapter({ name: 'supplies', onCollection, entries })
export * from './shapes'
