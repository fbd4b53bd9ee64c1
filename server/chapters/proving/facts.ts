import type { RetestRecord } from '#core/retest/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ signOffs }: MachineFile): RetestRecord => ({ signOff: signOffs.at(-1) })
