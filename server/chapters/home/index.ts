import { serverChapter } from '../../kernel/chapter'
import { askQuestion, chooseLife, settleQuestion, showBeforeAfter, switchPassport } from './carry-out'
import { rows } from './rows'
import { search } from './search'

/** Home: what can be done, and what is loaded with a machine. */
export const homeChapter = serverChapter({
  onMachine: {
    'choose-life': chooseLife,
    'ask-question': askQuestion,
    'settle-question': settleQuestion,
    'show-before-after': showBeforeAfter,
    'switch-passport': switchPassport,
  },
  rows,
  search,
})
export * from './carry-out'
export * from './schema'
export * from './view'
