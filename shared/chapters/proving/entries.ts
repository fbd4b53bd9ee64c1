import { z } from 'zod'
import { ending, entry } from '../../kernel/contract'

const s = z.string()

const verdicts: Record<string, string> = { 'cured': 'believable as cured', 'not-cured': 'not cured', 'go-on': 'not decided' }
const n = z.number()

export const entries = {
  'soak.begun': entry(
    z.object({ what: s, failures: n, passes: n, wanted: n, confidencePct: n }),
    d => `Soak begun: ${d.what}. It failed ${d.failures} of ${d.passes} times before; ${d.wanted} clean passes are wanted for ${d.confidencePct} %.`,
  ),
  'soak.tallied': entry(
    z.object({ what: s, passes: n, failures: n, all: n, allFailures: n, verdict: s }),
    d => `Soak, ${d.what}: ${d.passes} passes, ${d.failures} failed; ${d.allFailures} of ${d.all} by now, ${verdicts[d.verdict] ?? d.verdict}.`,
  ),
  'soak.ended': entry(z.object({ what: s, passes: n, failures: n, verdict: s, note: s }), d =>
    `Soak ended, ${d.what}: ${d.failures} of ${d.passes} failed, ${verdicts[d.verdict] ?? d.verdict}. ${d.note && ending(d.note)}`.trim(),
  ),
  'machine.signed-off': entry(z.object({ statement: s }), d => `Signed off: ${ending(d.statement)}`),
  'sign-off.ended': entry(z.object({ why: s }), d => `The sign-off no longer stands: ${ending(d.why)}`),
} as const
