import { serverChapter } from '../../kernel/chapter'
import { recordCleaning } from './carry-out'
import { rows } from './rows'
import { cleanings } from './schema'

/** Clean: what can be done, and what is loaded with a machine. */
export const cleaningChapter = serverChapter({ onMachine: { 'record-cleaning': recordCleaning }, rows, strikeable: { cleanings } })
export * from './carry-out'
export * from './schema'
export { facts as cleaningFacts } from './facts'
export * from './view'
