import { type RowsOf, running } from '../../kernel/rows'
import { waits } from './schema'

export const rows = { waits: running(waits) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
