import type { ConditionRecord } from '#core/condition/rules'
import { shareOfPicture } from '#core/condition/marks'
import type { MachineFile } from '../../kernel/file'

export const facts = ({ assemblies, damages, checksDone, interventions, corrosions, photographs }: MachineFile): ConditionRecord => ({
  assemblies,
  damages,
  checksDone,
  interventions,
  corrosions: corrosions.map(({ what, areaPct, errorPct, at, inputs, photographId }) => {
    const { assemblyId = null } = photographs.find(p => p.id === photographId) ?? {}
    return {
      what,
      areaPct,
      errorPct,
      at,
      areaMm2: null,
      outlineShare: shareOfPicture(inputs.outline),
      assembly: assemblies.find(a => a.id === assemblyId)?.name ?? '',
    }
  }),
})
