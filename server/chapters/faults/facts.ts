import type { DiagnosisRecord } from '#core/diagnosis/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ faults }: MachineFile): DiagnosisRecord => ({ faults })
