import { z } from 'zod'
import { Finding, OpeningStepShape } from '../../kernel/shapes'

const id = z.number()
const s = z.string()

export const view = z.object({
  opening: z.object({
    steps: z.array(OpeningStepShape.extend({ id, version: z.number(), photographId: z.number().nullable(), findings: z.array(Finding) })),
    findings: z.array(Finding),
    out: z.number(),
    back: z.number(),
    /** Sisters whose record could be taken over. */
    from: z.array(z.object({ tag: s, nickname: s, steps: z.number() })),
  }),
})
