import { serverChapter } from '../../kernel/chapter'
import { handedOnOf, inHandOn } from './view'
import * as schema from './schema'
import { beHere, finishJob, goHome, handOnJob, reopenJob, startJob, tellEvening } from './carry-out'
import { dealEvening } from './deal'
import { rows } from './rows'

/** Evenings: who is here, what each does, and what came of it; dealt out by the core. */
export const planChapter = serverChapter({
  name: 'plan',
  head: { inHand: ({ file }) => inHandOn(file), handedOn: ({ file }) => handedOnOf(file) },
  card: { inHand: inHandOn },
  schema,
  onMachine: { 'start-job': startJob, 'finish-job': finishJob, 'reopen-job': reopenJob, 'hand-on-job': handOnJob },
  onCollection: { 'be-here': beHere, 'go-home': goHome, 'deal-evening': dealEvening, 'tell-evening': tellEvening },
  rows,
})
export * from './schema'
export * from './view'
