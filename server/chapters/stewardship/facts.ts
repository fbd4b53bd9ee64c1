import type { StewardshipRecord } from '#core/stewardship/rules'
import { isOurs } from '#shared/kernel/acquisitions'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ machine, consent, appraisal }: MachineFile): StewardshipRecord => ({ ours: isOurs(machine), consent, appraisal })
