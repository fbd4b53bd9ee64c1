import { type RowsOf, all } from '../../kernel/rows'
import { heldParts, partNeeds } from './schema'

export const rows = { partNeeds: all(partNeeds), heldParts: all(heldParts) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
