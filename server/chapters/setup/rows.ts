import { type RowsOf, all } from '../../kernel/rows'
import { settings } from './schema'

export const rows = { settings: all(settings) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
