import { z } from 'zod'
import { limitWords } from '#core/retest/sign-off'
import { type LineOutcome, lineOutcomeNames } from '#core/retest/test-sheet'
import { quote, closed, ending, entry, shown } from '../../kernel/contract'
import { LimitsShape } from './shapes'

const s = z.string()

const verdicts: Record<string, string> = { 'cured': 'believable as cured', 'not-cured': 'not cured', 'go-on': 'not decided' }
const n = z.number()

export const entries = {
  'soak.begun': entry(
    z.object({ what: s, failures: n, passes: n, wanted: n, confidencePct: n }),
    d => `Soak begun: ${d.what}. It failed ${d.failures} of ${d.passes} times before; ${d.wanted} clean passes are wanted for ${d.confidencePct} %.`,
    shown,
  ),
  'soak.tallied': entry(
    z.object({ what: s, passes: n, failures: n, all: n, allFailures: n, verdict: s }),
    d => `Soak, ${d.what}: ${d.passes} passes, ${d.failures} failed; ${d.allFailures} of ${d.all} by now, ${verdicts[d.verdict] ?? d.verdict}.`,
    shown,
  ),
  'soak.untallied': entry(
    z.object({ what: s, passes: n, failures: n, all: n, allFailures: n }),
    d => `Soak, ${d.what}: taken back at once, ${d.passes} ${d.passes === 1 ? 'pass' : 'passes'}, ${d.failures} failed; ${d.allFailures} of ${d.all} by now.`,
    shown,
  ),
  'soak.ended': entry(
    z.object({ what: s, passes: n, failures: n, verdict: s, note: s }),
    d => `Soak ended, ${d.what}: ${d.failures} of ${d.passes} failed, ${verdicts[d.verdict] ?? d.verdict}. ${d.note && ending(d.note)}`.trim(),
    shown,
    d => [d.note],
  ),
  'machine.signed-off': entry(
    z.object({ statement: s, limits: LimitsShape.nullable().optional() }),
    d => `Signed off${d.limits ? `, ${limitWords(d.limits)}` : ''}: ${ending(d.statement)}`,
    shown,
  ),
  'build-up.planned': entry(z.object({ steps: z.array(s) }), d => `Build-up planned: ${d.steps.join(', then ')}.`, shown),
  'build-up.changed': entry(z.object({ steps: z.array(s) }), d => `Build-up changed: ${d.steps.join(', then ')}.`, closed),
  'build-up.stepped': entry(
    z.object({ step: n, adds: s, outcome: s, seen: s }),
    d => `Build-up, step ${d.step}, ${d.adds}: ${d.outcome === 'failed' ? 'it failed' : 'as expected'}.${d.seen && ` ${ending(d.seen)}`}`,
    shown,
    d => [d.seen],
  ),
  'build-up.ended': entry(
    z.object({ verdict: s, note: s }),
    d => `Build-up ended${d.verdict === 'done' ? ', each step as expected' : ', not done'}.${d.note && ` ${ending(d.note)}`}`,
    shown,
    d => [d.note],
  ),
  'test.begun': entry(z.object({ lines: n }), d => `Test sheet begun, ${d.lines} lines.`, shown),
  'test.looked': entry(
    z.object({ says: s, outcome: s, value: n.nullable(), unit: s, note: s }),
    d =>
      `Test, ${d.says}: ${(lineOutcomeNames[d.outcome as LineOutcome] ?? d.outcome).toLowerCase()}${d.value === null ? '' : `, ${d.value} ${d.unit}`.trimEnd()}.${d.note && ` ${ending(d.note)}`}`,
    shown,
    d => [d.note],
  ),
  'test.lines': entry(z.object({ model: s, lines: n }), d => `Test sheet of ${d.model}: ${d.lines} lines.`, closed),
  'soak.log-opened': entry(z.object({ what: s }), d => `A program may tally the soak: ${d.what}.`, closed),
  'soak.log-said': entry(
    z.object({ what: s, words: z.object({ pass: s, fail: s }).nullable() }),
    d =>
      d.words
        ? `Soak, ${d.what}: a line with ${quote(d.words.pass)} is a pass${d.words.fail && `, one with ${quote(d.words.fail)} a failure`}.`
        : `Soak, ${d.what}: its lines are read by the usual words again.`,
    closed,
  ),
  'sign-off.ended': entry(z.object({ why: s }), d => `The sign-off no longer stands: ${ending(d.why)}`, shown),
} as const
