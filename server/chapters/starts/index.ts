import { serverChapter } from '../../kernel/chapter'
import { beginStart, endStart } from './carry-out'
import { rows } from './rows'

/** Attended starts: what can be done, with its rules in the core. */
export const startsChapter = serverChapter({ onMachine: { 'begin-start': beginStart, 'end-start': endStart }, rows })
export * from './carry-out'
export * from './schema'
export { startAlarmsOf, witnessedOf } from './facts'
export * from './view'
