import type { PartsRecord } from '#core/parts/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ partNeeds, heldParts }: MachineFile): PartsRecord => ({ partNeeds, heldParts })
