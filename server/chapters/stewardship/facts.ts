import type { StewardshipRecord } from '#core/stewardship/rules'
import { isOurs } from '#shared/kernel/acquisitions'
import type { MachineFile } from '../../kernel/file'
import { triageInput } from './triage-input'

export const facts = (file: MachineFile): StewardshipRecord => ({
  ours: isOurs(file.machine),
  consent: file.consent,
  appraisal: file.appraisal,
  triage: triageInput(file),
})
