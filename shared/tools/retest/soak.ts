import { z } from 'zod'
import { planSoak } from '#core/retest/soak'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()

export const retestSoak = defineTool({
  id: 'retest/soak',
  title: 'A soak',
  summary: 'How many clean passes make an intermittent fault believable as cured; and, while it runs: cured, not cured, or go on.',
  input: z.object({
    failureRate: n.optional(),
    seenFailures: n.optional(),
    seenPasses: n.optional(),
    confidence: n.optional(),
    secondsAPass: n.optional(),
    passes: n.optional(),
    failures: n.optional(),
    curedRate: n.optional(),
    falseAlarm: n.optional(),
  }),
  output: z.object({
    failureRate: n,
    wantedPasses: n,
    wantedSeconds: n.nullable(),
    leftPasses: n.nullable(),
    leftSeconds: n.nullable(),
    interval: z.object({ low: n, high: n }).nullable(),
    verdict: z.enum(['cured', 'not-cured', 'go-on']),
    errors: z.object({ curedThoughNot: n, notCuredThoughCured: n }),
    findings: z.array(Finding),
  }),
  example: { failureRate: 0.01, confidence: 0.95, secondsAPass: 40, passes: 120, failures: 0 },
  run: planSoak,
  findings: output => output.findings,
})
