import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Whose it is: what its owner agreed to, what was spent, and the path that was chosen for it. */
export const stewardship = chapter({ name: 'stewardship', onMachine, entries, view })
export type { LetterView } from './view'
export { Agreement, Appraisal } from './rows'
