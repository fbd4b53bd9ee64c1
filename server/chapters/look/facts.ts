import type { ConditionRecord } from '#core/condition/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ assemblies, damages, checksDone, interventions }: MachineFile): ConditionRecord => ({ assemblies, damages, checksDone, interventions })
