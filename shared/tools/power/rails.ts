import { z } from 'zod'
import { judgeRails, loads, railVerdicts } from '#core/power/rails'
import { Finding, JudgedRail } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const powerRails = defineTool({
  id: 'power/rails',
  title: 'Rails',
  summary: 'Judges readings of supply rails: within limits, low, missing, wrong sign, changed over, or to be read again under load.',
  input: z.object({
    rails: z
      .array(
        z.object({
          name: z.string().max(30),
          nominalV: z.number(),
          tolerancePct: z.number().optional(),
          readings: z.array(z.object({ valueV: z.number(), load: z.enum(loads) })).max(1000),
        }),
      )
      .max(40),
  }),
  output: z.object({ rails: z.array(JudgedRail), verdict: z.enum(railVerdicts), findings: z.array(Finding) }),
  example: {
    rails: [
      { name: '+5 V', nominalV: 5, readings: [{ valueV: 4.96, load: 'loaded' as const }] },
      {
        name: '+12 V',
        nominalV: 12,
        readings: [
          { valueV: 10.9, load: 'unloaded' as const },
          { valueV: 11.75, load: 'loaded' as const },
        ],
      },
      { name: '-5 V', nominalV: -5, readings: [{ valueV: -5.09, load: 'loaded' as const }] },
    ],
  },
  run: judgeRails,
  findings: output => [...output.findings, ...output.rails.flatMap(r => r.findings)],
})
