import { type RowsOf, all, standing } from '../../kernel/rows'
import { assemblies, checksDone, corrosions, damages, interventions, photographs } from './schema'

export const rows = {
  assemblies: all(assemblies),
  damages: standing(damages),
  photographs: standing(photographs),
  corrosions: standing(corrosions),
  checksDone: standing(checksDone),
  interventions: standing(interventions),
}

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
