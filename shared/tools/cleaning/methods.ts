import { z } from 'zod'
import { rankMethods } from '#core/cleaning/methods'
import { boardSchools, materials, methods, plasticSchools, soils, workings } from '#core/cleaning/words'
import { cautions } from '#core/safety/cautions'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const cleaningMethods = defineTool({
  id: 'cleaning/methods',
  title: 'Cleaning methods',
  summary: 'Which method suits a material and a soil, which must not be, and why; what is not known is said so.',
  input: z.object({
    material: z.enum(keysOf(materials)),
    soil: z.enum(keysOf(soils)),
    works: z.enum(keysOf(workings)),
    schools: z.object({ boards: z.enum(keysOf(boardSchools)), plastic: z.enum(keysOf(plasticSchools)) }).optional(),
  }),
  output: z.object({
    ranked: z.array(
      z.object({
        method: z.enum(keysOf(methods)),
        suits: z.enum(['suited', 'careful', 'never', 'no-use', 'not-known']),
        findings: z.array(Finding),
        cautions: z.array(z.enum(keysOf(cautions))).readonly(),
        school: z.boolean(),
      }),
    ),
    findings: z.array(Finding),
  }),
  example: { material: 'masked-board', soil: 'alkali', works: 'works', schools: { boards: 'wash', plastic: 'leave' } },
  run: rankMethods,
  findings: output => [...output.findings, ...(output.ranked[0]?.findings ?? [])],
})
