import { z } from 'zod'
import { recapByList } from '#core/parts/recap/by-lists'
import { type Due, capacitorSchoolNames, dues } from '#core/parts/recap/schools'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const partsRecap = defineTool({
  id: 'parts/recap',
  title: 'Recapping',
  summary: 'Reads a list of capacitors as people write it, and says which of them each school of practice changes, when and why.',
  input: z.object({ typed: z.string().max(20_000), school: z.enum(capacitorSchoolNames), started: z.boolean() }),
  output: z.object({
    capacitors: z.array(z.object({ place: z.string(), says: z.string(), due: z.enum(keysOf(dues)) as z.ZodType<Due>, why: z.string() })),
    wrong: z.array(z.object({ line: z.number(), says: z.string() })),
    findings: z.array(Finding),
  }),
  example: {
    typed: 'C1 100n 250VAC X2\nC4, C5 470u 35V radial electrolytic hot\nC8-C11 100u 25V radial\nC14 100n ceramic',
    school: 'stressed' as const,
    started: false,
  },
  run: recapByList,
  findings: output => output.findings,
})
