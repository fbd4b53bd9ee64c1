import { type RowsOf, standing } from '../../kernel/rows'
import { cleanings } from './schema'

export const rows = { cleanings: standing(cleanings) }
export type CleaningRows = RowsOf<typeof rows>
