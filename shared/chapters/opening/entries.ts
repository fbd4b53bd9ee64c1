import { z } from 'zod'
import { ending, entry, shown } from '../../kernel/contract'

const s = z.string()
const n = z.number()

export const entries = {
  'opening.step': entry(
    z.object({ step: n, what: s, fixings: z.array(s) }),
    d => `Opened, step ${d.step}: ${d.what}${d.fixings.length ? ` (${d.fixings.join('; ')})` : ''}.`,
    shown,
    d => [d.what],
  ),
  'opening.reused': entry(z.object({ fromTag: s, steps: n }), d => `Opening record of ${d.fromTag} taken over: ${d.steps} steps ahead.`, shown),
  'opening.back': entry(
    z.object({ step: n, what: s, missing: n }),
    d => `Put back, step ${d.step}: ${d.what}${d.missing > 0 ? `; ${d.missing} missing` : d.missing < 0 ? `; ${-d.missing} too many` : ''}.`,
    { open: d => `Put back, step ${d.step}: ${ending(d.what)}` },
  ),
} as const
