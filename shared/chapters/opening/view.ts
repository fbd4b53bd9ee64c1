import { z } from 'zod'
import { openingStates } from '#core/opening/reassembly'
import { Finding, FixingShape } from '../../kernel/shapes'
import { OpeningStep } from './rows'

const id = z.number()
const s = z.string()

export const view = z.object({
  opening: z.object({
    steps: z.array(
      z.object({
        id,
        version: z.number(),
        step: z.number(),
        state: z.enum(openingStates),
        ...OpeningStep.seen,
        /** With what was counted back. */
        fixings: z.array(FixingShape),
        photographId: z.number().nullable(),
        findings: z.array(Finding),
      }),
    ),
    findings: z.array(Finding),
    out: z.number(),
    back: z.number(),
    /** Sisters whose record could be taken over. */
    from: z.array(z.object({ tag: s, nickname: s, steps: z.number() })),
  }),
})
