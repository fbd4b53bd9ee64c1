import { type RowsOf, all } from '../../kernel/rows'
import { bulletinReads } from './schema'

export const rows = { bulletinReads: all(bulletinReads) }
export type SharingRows = RowsOf<typeof rows>
