import { type RowsOf, all } from '../../kernel/rows'
import { custodies, exchanges } from './schema'

export const rows = { custodies: all(custodies), exchanges: all(exchanges) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
