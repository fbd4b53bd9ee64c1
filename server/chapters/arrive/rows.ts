import { type RowsOf, standing } from '../../kernel/rows'
import { accessories, claims, dateCodes } from './schema'

export const rows = { claims: standing(claims), accessories: standing(accessories), dateCodes: standing(dateCodes) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
