import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** The practice of the collection. */
export const practice = chapter({ name: 'practice', onCollection, entries })
export * from './backups'
export { Practice } from './view'
export * from './rows'
