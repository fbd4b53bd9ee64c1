import type { OpeningRecord } from '#core/opening/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ openingSteps }: MachineFile): OpeningRecord => ({ openingSteps })
