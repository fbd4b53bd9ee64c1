import { type RowsOf, all } from '../../kernel/rows'
import { partNeeds } from './schema'

export const rows = { partNeeds: all(partNeeds) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
