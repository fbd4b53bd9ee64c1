import { z } from 'zod'
import { currentKinds, matchSupply, polarities } from '#core/power/supply-match'
import { quantity } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const volts = quantity('V', 'Voltage', { above: 0, upTo: 300 })
const amps = quantity('A', 'Current', { above: 0, upTo: 100 })
const plug = { outerMm: z.number().positive().max(30).optional(), innerMm: z.number().positive().max(30).optional() }
const kind = z.enum(currentKinds)
const polarity = z.enum(polarities).optional()

export const powerSupplyMatch = defineTool({
  id: 'power/supply-match',
  title: 'Supply match',
  summary: 'Whether a supply suits an inlet: voltage, AC or DC, polarity, current, plug; and how to set a bench supply instead.',
  input: z.object({
    needs: z.object({
      voltageV: volts,
      tolerancePct: z.number().positive().max(50).optional(),
      kind,
      polarity,
      currentA: amps,
      regulatedInside: z.boolean().optional(),
      ...plug,
    }),
    supply: z.object({
      voltageV: volts,
      kind: kind.optional(),
      polarity,
      currentA: amps.optional(),
      regulated: z.boolean().optional(),
      unloadedV: volts.optional(),
      ...plug,
    }),
    neighbours: z
      .array(z.object({ name: z.string().max(60), voltageV: volts, kind, polarity, ...plug }))
      .max(10)
      .optional(),
  }),
  output: z.object({
    suits: z.enum(['yes', 'not-yet-known', 'no']),
    bench: z.object({ voltageV: z.number(), firstLimitA: z.number(), runLimitA: z.number() }).nullable(),
    findings: z.array(Finding),
  }),
  example: {
    needs: { voltageV: 9, kind: 'dc' as const, polarity: 'centre-negative' as const, currentA: 1, outerMm: 5.5, innerMm: 2.1, regulatedInside: true },
    supply: { voltageV: 9, kind: 'dc' as const, polarity: 'centre-positive' as const, currentA: 1.5, outerMm: 5.5, innerMm: 2.1, regulated: false },
    neighbours: [{ name: 'the monitor inlet', voltageV: 12, kind: 'dc' as const, polarity: 'centre-positive' as const, outerMm: 5.5, innerMm: 2.1 }],
  },
  run: matchSupply,
  findings: output => output.findings,
})
