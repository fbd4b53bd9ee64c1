import { z } from 'zod'
import { rateCorrosion } from '#core/condition/corrosion-rating'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const conditionCorrosionRating = defineTool({
  id: 'condition/corrosion-rating',
  title: 'Corrosion rating',
  summary: 'Rates corroded areas, in per cent of the surface, by ISO 10289 and, for steel, ISO 4628-3.',
  input: z.object({ areasPct: z.array(z.number()).max(1000), steel: z.boolean().optional() }),
  output: z.object({
    areaPct: z.number(),
    rating: z.number(),
    exactRating: z.number().nullable(),
    rustDegree: z.number().nullable(),
    findings: z.array(Finding),
  }),
  example: { areasPct: [0.4, 1.1], steel: true },
  run: rateCorrosion,
  findings: output => output.findings,
})
