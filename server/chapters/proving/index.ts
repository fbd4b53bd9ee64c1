import { serverChapter } from '../../kernel/chapter'
import { signOff } from './carry-out'
import { rows } from './rows'

/** The sign-off: what can be done, and what is loaded with a machine. */
export const provingChapter = serverChapter({ onMachine: { 'sign-off': signOff }, rows })
export * from './carry-out'
export * from './schema'
export { facts as provingFacts } from './facts'
export * from './view'
