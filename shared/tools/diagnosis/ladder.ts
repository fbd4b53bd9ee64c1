import { z } from 'zod'
import { climb, machineClasses, observationNames, rungs } from '#core/diagnosis/ladder'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const s = z.string()
const rung = z.enum(rungs)

export const diagnosisLadder = defineTool({
  id: 'diagnosis/ladder',
  title: 'The ladder',
  summary: 'From what is seen and heard: what works for certain, what is under suspicion, and what to look at next.',
  input: z.object({
    machine: z.enum(machineClasses),
    seen: z.array(z.enum(observationNames as [(typeof observationNames)[number], ...typeof observationNames])).max(40),
    more: z
      .array(
        z.object({
          when: z.enum(observationNames as [(typeof observationNames)[number], ...typeof observationNames]),
          proves: z.array(rung).optional(),
          suspects: z.array(rung).optional(),
          because: s.max(200),
        }),
      )
      .max(100)
      .optional(),
  }),
  output: z.object({
    rungs: z.array(z.object({ rung, state: z.enum(['works', 'suspect', 'contradicted', 'unknown']), because: z.array(s) })),
    next: z.object({ rung, how: s }).nullable(),
    findings: z.array(Finding),
  }),
  example: { machine: 'single-board', seen: ['rails-good', 'good-characters'] },
  run: climb,
  findings: output => output.findings,
})
