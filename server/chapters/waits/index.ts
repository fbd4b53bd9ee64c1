import { serverChapter } from '../../kernel/chapter'
import { endWait, startWait } from './carry-out'
import { rows } from './rows'

/** Waits: what can be done, and what is loaded with a machine. */
export const waitsChapter = serverChapter({ onMachine: { 'start-wait': startWait, 'end-wait': endWait }, rows })
export * from './carry-out'
export * from './schema'
