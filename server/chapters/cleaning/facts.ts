import type { CleaningRecord } from '#core/cleaning/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ cleanings, waits }: MachineFile): CleaningRecord => ({ cleanings, waits })
