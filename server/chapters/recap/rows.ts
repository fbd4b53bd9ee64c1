import { type RowsOf, all, single } from '../../kernel/rows'
import { capacitors, recapSchools } from './schema'

export const rows = { capacitors: all(capacitors), recapSchools: single(recapSchools) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
