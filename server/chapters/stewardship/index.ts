import { serverChapter } from '../../kernel/chapter'
import { asksOwner } from '#shared/chapters/index'
import * as schema from './schema'
import { facts } from './facts'
import { stewardshipView } from './view'
import { appraise, choosePath, expectConsent, passOverConsent, recordConsent, recordSpending, writeClosingLetter, writeToOwner } from './carry-out'
import { rows } from './rows'
import { spendings } from './schema'

/** Whose it is, and its path: what can be done, and what is loaded with a machine. */
export const stewardshipChapter = serverChapter({
  name: 'stewardship',
  before: (work, command, input) => {
    const asked = asksOwner(command, input)
    if (asked) expectConsent(work, asked)
  },
  schema,
  facts,
  view: stewardshipView,
  onMachine: {
    'record-consent': recordConsent,
    'pass-over-consent': passOverConsent,
    'record-spending': recordSpending,
    'appraise': appraise,
    'choose-path': choosePath,
    'write-to-owner': writeToOwner,
    'write-closing-letter': writeClosingLetter,
  },
  rows,
  privateWords: ({ consent, letters }) => [
    ...(consent ? [{ word: consent.agreedWith, kind: 'owner' as const }] : []),
    ...letters.map(l => ({ word: l.to, kind: 'owner' as const })),
  ],
  strikeable: { spendings },
})
export * from './carry-out'
export { doneTo, outcomeOf } from './outcome'
export * from './schema'
export * from './view'
