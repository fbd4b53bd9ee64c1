import { z } from 'zod'
import { neutralise, residueSources } from '#core/cleaning/neutralise'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningNeutralise = defineTool({
  id: 'cleaning/neutralise',
  title: 'Neutralising',
  summary: 'What neutralises what a cell or capacitor left, how much of what is on the shelf, and what must not come near it.',
  input: z.object({
    source: z.enum(keysOf(residueSources)),
    amountG: n.optional(),
    cells: n.optional(),
    capacityMah: n.optional(),
    leakedPct: n.optional(),
    vinegarGPer100ml: n.optional(),
    citricGPer100ml: n.optional(),
    bicarbonateGPer100ml: n.optional(),
  }),
  output: z.object({
    amountG: n.nullable(),
    kind: z.enum(['alkali', 'acid', 'mild-acid', 'solvent', 'thionyl', 'oil', 'organic', 'unknown']),
    doses: z.array(
      z.object({ agent: z.enum(['vinegar', 'citric-acid', 'bicarbonate']), title: z.string(), exactG: n, practicalG: n, exactMl: n, practicalMl: n }),
    ),
    never: z.array(z.string()),
    rinse: z.string(),
    findings: z.array(Finding),
  }),
  example: { source: 'nickel', cells: 3, capacityMah: 60, leakedPct: 100, vinegarGPer100ml: 5 },
  run: neutralise,
  findings: output => output.findings,
})
