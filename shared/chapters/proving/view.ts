import { z } from 'zod'
import { Finding } from '../../kernel/shapes'

const s = z.string()
const b = z.boolean()

const n = z.number()

export const view = z.object({
  soaks: z.array(
    z.object({
      id: n,
      what: s,
      seenFailures: n,
      seenPasses: n,
      confidence: n,
      secondsAPass: n.nullable(),
      passes: n,
      failures: n,
      startedAt: s,
      lastAt: s,
      endedAt: s.nullable(),
      note: s,
    }),
  ),
  signOff: z.object({ allowed: b, findings: z.array(Finding), standing: z.object({ statement: s, by: s, at: s }).nullable() }),
})
