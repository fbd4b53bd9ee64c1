import { type RowsOf, all, single } from '../../kernel/rows'
import { bags, demonstrations, passportPictures, questions } from './schema'

export const rows = { questions: all(questions), passportPictures: single(passportPictures), demonstrations: all(demonstrations), bags: all(bags) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
