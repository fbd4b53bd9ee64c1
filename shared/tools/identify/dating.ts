import { z } from 'zod'
import { dateMachine } from '#core/identify/dating'
import { DatingShape } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const identifyDating = defineTool({
  id: 'identify/dating',
  title: 'Dating',
  summary: 'Dates a machine from the codes on its parts: interval, likely quarter, and which parts a later service left behind.',
  input: z.object({
    codes: z
      .array(z.object({ code: z.string().max(60), place: z.string().max(60).optional(), reworked: z.boolean().optional(), socketed: z.boolean().optional() }))
      .max(300),
    bounds: z
      .array(z.object({ notBefore: z.string().optional(), notAfter: z.string().optional(), why: z.string().max(200) }))
      .max(50)
      .optional(),
    assemblyLagWeeks: z.number().optional(),
    madeFrom: z.number().int().min(1900).max(2100).optional(),
    madeTo: z.number().int().min(1900).max(2100).optional(),
  }),
  output: DatingShape,
  example: {
    codes: [
      { code: '8012', place: 'memory' },
      { code: '8018', place: 'logic near the slots' },
      { code: '8310', place: 'processor' },
      { code: '8522', place: 'output buffer', socketed: true, reworked: true },
    ],
    bounds: [{ notAfter: '1984-12-31', why: 'the maker’s new name from 1985' }],
  },
  run: dateMachine,
  findings: output => output.findings,
})
