import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Parts that machines want, and those that are held. */
export const parts = chapter({ name: 'parts', onMachine, onCollection, entries, view })
export { HeldPart, PartNeed } from './rows'
export * from './words'
export * from './view'
