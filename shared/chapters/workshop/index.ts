import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** What machines share: tanks, ovens, boxes and lamps with who booked them, and the materials on the shelf. */
export const workshop = chapter({ name: 'workshop', onMachine, onCollection, entries, view })
export { Used } from './commands'
export type { MaterialView, ThingView, WorkshopView } from './view'
export { Material, Thing } from './rows'
