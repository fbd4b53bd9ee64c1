import { z } from 'zod'
import { mixBath, strengthKinds } from '#core/cleaning/bath'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningBath = defineTool({
  id: 'cleaning/bath',
  title: 'A bath',
  summary: 'How much concentrate and water a tank takes, with what is in it already; one to ten and one in ten kept apart.',
  input: z.object({
    strength: z.object({ kind: z.enum(keysOf(strengthKinds)), value: n }),
    volumeL: n.optional(),
    lengthCm: n.optional(),
    widthCm: n.optional(),
    fillCm: n.optional(),
    tankL: n.optional(),
    inItL: n.optional(),
    inItPct: n.optional(),
    concentratePct: n.optional(),
    recipeConcentratePct: n.optional(),
    concentrateKgPerL: n.optional(),
  }),
  output: z.object({ totalL: n, addConcentrateL: n, addConcentrateG: n, addWaterL: n, volumePct: n, takeOutL: n, findings: z.array(Finding) }),
  example: { strength: { kind: 'parts-to', value: 10 }, lengthCm: 30, widthCm: 24, fillCm: 8, tankL: 6 },
  run: mixBath,
  findings: output => output.findings,
})
