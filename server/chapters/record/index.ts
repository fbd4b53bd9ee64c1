import { serverChapter } from '../../kernel/chapter'
import { pinResult, strikeEntry } from './carry-out'

/** Corrections and pinned results: what can be done, with its rules in the core. */
export const recordChapter = serverChapter({ onMachine: { 'pin-result': pinResult, 'strike-entry': strikeEntry } })
export * from './carry-out'
export { prepareJudgement } from './judged'
