import type { ContinuityRecord } from '#core/continuity/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ probeSheets }: MachineFile): ContinuityRecord => ({ probeSheets })
