import { type RowsOf, all } from '../../kernel/rows'
import { partNeeds } from './schema'

export const rows = { partNeeds: all(partNeeds) }
export type PartsRows = RowsOf<typeof rows>
