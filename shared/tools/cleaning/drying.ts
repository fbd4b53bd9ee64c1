import { z } from 'zod'
import { dryingStates, judgeDrying } from '#core/cleaning/drying'
import { Band, Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningDrying = defineTool({
  id: 'cleaning/drying',
  title: 'Drying by mass',
  summary: 'From a few weighings: the dry mass, how quickly it dries, and when too little water is left to matter.',
  input: z.object({ weighings: z.array(z.object({ atHours: n, massG: n })).max(200), errorG: n.optional(), leftG: n.optional(), nowHours: n.optional() }),
  output: z.object({
    state: z.enum(dryingStates),
    dryMassG: Band.nullable(),
    tauHours: n.nullable(),
    leftNowG: Band.nullable(),
    dryAtHours: Band.nullable(),
    weighAgainAtHours: n,
    findings: z.array(Finding),
  }),
  example: {
    weighings: [
      { atHours: 0, massG: 332.1 },
      { atHours: 2, massG: 325.8 },
      { atHours: 4, massG: 321.3 },
      { atHours: 8, massG: 315.9 },
      { atHours: 12, massG: 313.0 },
    ],
    errorG: 0.1,
    leftG: 0.2,
  },
  run: judgeDrying,
  findings: output => output.findings,
})
