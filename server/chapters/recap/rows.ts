import { type RowsOf, all } from '../../kernel/rows'
import { capacitors } from './schema'

export const rows = { capacitors: all(capacitors) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
