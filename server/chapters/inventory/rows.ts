import { type RowsOf, all } from '../../kernel/rows'
import { inventoryLines } from './schema'

export const rows = { inventoryLines: all(inventoryLines) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
