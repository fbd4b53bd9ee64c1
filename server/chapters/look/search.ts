import type { Searched } from '../../kernel/chapter'
import type { MachineFile } from '../../kernel/file'

export const search = ({ assemblies, damages }: MachineFile): Searched => ({
  notes: [...assemblies.flatMap(a => [a.name, a.note]), ...damages.flatMap(d => [d.where, d.kind, d.extent])],
})
