import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Parts that a machine wants. */
export const parts = chapter({ name: 'parts', onMachine, onCollection, entries, view })
export * from './words'
export { WantedPart } from './view'
