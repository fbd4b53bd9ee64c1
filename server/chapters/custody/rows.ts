import { type RowsOf, all } from '../../kernel/rows'
import { custodies } from './schema'

export const rows = { custodies: all(custodies) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
