import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { startsView } from './view'
import { beginStart, endStart, refuseWhileRunning } from './carry-out'
import { rows } from './rows'

/** Attended starts: what can be done, with its rules in the core. */
export const startsChapter = serverChapter({
  name: 'starts',
  before: refuseWhileRunning,
  schema,
  facts,
  view: startsView,
  onMachine: { 'begin-start': beginStart, 'end-start': endStart },
  rows,
})
export * from './carry-out'
export * from './schema'
export * from './view'
export { happen, runningById } from './running'
