import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The practice of the collection, and its meter. */
export const practice = chapter({ name: 'practice', onMachine, onCollection, entries, view })
export * from './backups'
export * from './meter'
export { Practice } from './view'
