import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { homeView } from './view'
import { askQuestion, bagPart, chooseLife, endBag, logDemonstration, settleQuestion, showBeforeAfter, switchPassport } from './carry-out'
import { rows } from './rows'
import { search } from './search'

/** Home: what can be done, and what is loaded with a machine. */
export const homeChapter = serverChapter({
  name: 'home',
  head: { questions: ({ file }) => file.questions.map(({ id, question, answer, settledAt }) => ({ id, question, answer, settled: settledAt !== null })) },
  schema,
  view: homeView,
  onMachine: {
    'choose-life': chooseLife,
    'ask-question': askQuestion,
    'settle-question': settleQuestion,
    'show-before-after': showBeforeAfter,
    'log-demonstration': logDemonstration,
    'bag-part': bagPart,
    'end-bag': endBag,
    'switch-passport': switchPassport,
  },
  rows,
  search,
})
export * from './carry-out'
export { type PublicRecord, publicRecord } from './public'
export * from './schema'
export * from './view'
