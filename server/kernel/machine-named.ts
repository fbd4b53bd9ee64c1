import type { MachineRow } from './file'

/** A machine as lists name it: its tag, and what people call it. */
export const machineNamed = ({ tag, nickname, name }: Pick<MachineRow, 'tag' | 'nickname' | 'name'>) => ({ tag, machine: nickname || name })
