import { serverChapter } from '../../kernel/chapter'
import { beginSoak, endSoak, signOff, tallySoak } from './carry-out'
import { rows } from './rows'

/** Soaks and the sign-off: what can be done, and what is loaded with a machine. */
export const provingChapter = serverChapter({ onMachine: { 'sign-off': signOff, 'begin-soak': beginSoak, 'tally-soak': tallySoak, 'end-soak': endSoak }, rows })
export * from './carry-out'
export * from './schema'
export { facts as provingFacts } from './facts'
export * from './view'
