import { serverChapter } from '../../kernel/chapter'
import { changeInventory, dropInventory, listInventory, takeOverInventory, tickInventory } from './carry-out'
import { facts } from './facts'
import { rows } from './rows'
import * as schema from './schema'
import { inventoryView } from './view'

/** What a machine is made of: what can be done, and what is loaded with it. */
export const inventoryChapter = serverChapter({
  name: 'inventory',
  schema,
  facts,
  view: inventoryView,
  onMachine: {
    'list-inventory': listInventory,
    'take-over-inventory': takeOverInventory,
    'tick-inventory': tickInventory,
    'change-inventory': changeInventory,
    'drop-inventory': dropInventory,
  },
  rows,
})
export * from './schema'
export * from './view'
