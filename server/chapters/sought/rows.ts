import { type RowsOf, single } from '../../kernel/rows'
import { wantsShown } from './schema'

export const rows = { wantsShown: single(wantsShown) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
