import { serverChapter } from '../../kernel/chapter'
import { beginStart, endStart } from './carry-out'

/** Attended starts: what can be done, with its rules in the core. */
export const startsChapter = serverChapter({ onMachine: { 'begin-start': beginStart, 'end-start': endStart } })
export * from './carry-out'
export * from './schema'
export * from './view'
