import { type RowsOf, running } from '../../kernel/rows'
import { bookings } from './schema'

export const rows = { bookings: running(bookings) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
