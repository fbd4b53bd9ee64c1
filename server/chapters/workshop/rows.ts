import { type RowsOf, running } from '../../kernel/rows'
import { bookings } from './schema'

export const rows = { bookings: running(bookings) }
export type WorkshopRows = RowsOf<typeof rows>
