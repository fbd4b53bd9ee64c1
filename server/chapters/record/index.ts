import { serverChapter } from '../../kernel/chapter'
import { pinResult, strikeEntry } from './carry-out'
import { prepareJudgement } from './judged'

/** Corrections and pinned results: what can be done, with its rules in the core. */
export const recordChapter = serverChapter({
  name: 'record',
  preparations: { 'keep-judgement': prepareJudgement, 'pin-result': prepareJudgement },
  onMachine: { 'pin-result': pinResult, 'strike-entry': strikeEntry },
})
export * from './carry-out'
export { prepareJudgement } from './judged'
