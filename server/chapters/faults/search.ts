import type { Searched } from '../../kernel/chapter'
import type { MachineFile } from '../../kernel/file'

export const search = ({ faults }: MachineFile): Searched => ({
  faults: faults.flatMap(f => [f.symptom, f.cause, ...f.observations.map(o => o.says), ...f.theories.map(t => t.says)]),
})
