import { type RowsOf, all } from '../../kernel/rows'
import { bulletinReads } from './schema'

export const rows = { bulletinReads: all(bulletinReads) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
