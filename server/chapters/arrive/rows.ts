import { type RowsOf, standing } from '../../kernel/rows'
import { accessories, claims, dateCodes } from './schema'

export const rows = { claims: standing(claims), accessories: standing(accessories), dateCodes: standing(dateCodes) }
export type ArriveRows = RowsOf<typeof rows>
