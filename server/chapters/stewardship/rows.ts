import { type RowsOf, all, single, standing } from '../../kernel/rows'
import { appraisals, consentExceptions, consents, letters, spendings } from './schema'

export const rows = {
  consent: single(consents),
  appraisal: single(appraisals),
  spendings: standing(spendings),
  letters: all(letters),
  consentExceptions: all(consentExceptions),
}

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
