import { type RowsOf, all, single } from '../../kernel/rows'
import { passportPictures, questions } from './schema'

export const rows = { questions: all(questions), passportPictures: single(passportPictures) }
export type HomeRows = RowsOf<typeof rows>
