import { type Assessment, assess } from '#core/planning/assess'
import { assembled, recordOf } from './assembled'
import type { MachineFile, MachineRow } from './file'
import type { MachineWork, Work } from './work'

/** The work of one command, turned to one machine. */
export function workOn(work: Work, machine: MachineRow): MachineWork {
  let file: MachineFile | undefined
  let assessment: Assessment | undefined
  const asItStood = () => (file ??= work.files.ofNow(machine.id))
  const on: MachineWork = {
    ...work,
    machine,
    whole: work,
    write: (kind, data, about) => {
      const id = work.write(kind, data, { ...about, machine })
      for (const { hears } of assembled().chapters) hears?.[kind]?.(on, data)
      return id
    },
    file: asItStood,
    assess: () => (assessment ??= assess(recordOf(asItStood()), work.at)),
  }
  return on
}
