import { type RowsOf, running } from '../../kernel/rows'
import { waits } from './schema'

export const rows = { waits: running(waits) }
export type WaitsRows = RowsOf<typeof rows>
