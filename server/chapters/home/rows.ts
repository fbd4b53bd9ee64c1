import { type RowsOf, all } from '../../kernel/rows'
import { questions } from './schema'

export const rows = { questions: all(questions) }
export type HomeRows = RowsOf<typeof rows>
