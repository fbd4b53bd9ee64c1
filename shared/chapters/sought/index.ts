import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Parts that are sought and spared, as anybody may read it; and what is offered. */
export const sought = chapter({ name: 'sought', onMachine, onCollection, entries, view })
export { OfferMade } from './rows'
export * from './view'
