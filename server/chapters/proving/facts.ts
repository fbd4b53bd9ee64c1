import type { RetestRecord } from '#core/retest/rules'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ signOffs, soaks }: MachineFile): RetestRecord => ({ signOff: signOffs.at(-1), soaks })
