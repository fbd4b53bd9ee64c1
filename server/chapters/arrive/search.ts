import type { Searched } from '../../kernel/chapter'
import type { MachineFile } from '../../kernel/file'

export const search = ({ machine, claims }: MachineFile): Searched => ({
  names: [machine.nickname, machine.name, machine.maker, machine.serial, machine.place],
  claims: claims.map(c => c.says),
  notes: [machine.lastPoweredWhat, machine.owner, machine.fromWhom],
})
