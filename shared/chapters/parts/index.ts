import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Parts that a machine wants. */
export const parts = chapter({ name: 'parts', onMachine, entries, view })
export { PartNeed } from './rows'
export * from './words'
export { WantedPart } from './view'
