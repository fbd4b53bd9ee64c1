import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Recapping: the capacitors of a machine by their places, and one order for those of several. */
export const recap = chapter({ name: 'recap', onMachine, onCollection, entries, view })
export * from './rows'
export { BoardPlaces, CapacitorOffer, PricesView, RecapMachines, RecapOrderQuery, RecapOrderView } from './view'
