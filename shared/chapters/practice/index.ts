import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** The practice of the collection, and its meter. */
export const practice = chapter({ name: 'practice', onCollection, entries })
export * from './backups'
export * from './meter'
export { Practice } from './view'
