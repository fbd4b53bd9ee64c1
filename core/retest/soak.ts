import { betaQuantile } from '../kernel/beta'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export interface SoakInput {
  /** How often it failed before the repair, of all passes: believed, from 0 to 1. */
  failureRate?: number
  /** Or as it was seen: so many failures in so many passes. */
  seenFailures?: number
  seenPasses?: number
  /** How sure it is to be, from 0 to 1; 0.95 where nothing is said. */
  confidence?: number
  secondsAPass?: number
  /** What has run since the repair. */
  passes?: number
  failures?: number
  /** So often it may fail and still count as cured; not at all where nothing is said. */
  curedRate?: number
  /** How often *not cured* may be said of a cured machine; 0.05 where nothing is said. */
  falseAlarm?: number
}
export type SoakVerdict = 'cured' | 'not-cured' | 'go-on'
export interface SoakResult {
  /** The rate that is to be ruled out. */
  failureRate: number
  /** Clean passes, without any failure, that are wanted. */
  wantedPasses: number
  wantedSeconds: number | null
  /** Clean passes that are left, were none to fail; nothing once it is decided. */
  leftPasses: number | null
  leftSeconds: number | null
  /** The failure rate since the repair lies between these, with the confidence asked for. */
  interval: { low: number; high: number } | null
  verdict: SoakVerdict
  /** Bounds of the error rates that the verdict keeps. */
  errors: { curedThoughNot: number; notCuredThoughCured: number }
  findings: Finding[]
}

const most = 10_000_000

/** What was soaked last of each thing says how it stands. @param soaks the oldest first @returns whether any of those has not shown that it is cured */
export const soaksLeft = (soaks: readonly { what: string; verdict: SoakVerdict }[]): boolean =>
  [...new Map(soaks.map(s => [s.what, s.verdict])).values()].some(verdict => verdict !== 'cured')

/**
 * Clean passes in a row that make a failure rate unbelievable: n = ln(1 − c) / ln(1 − p), rounded up.
 * One failure in a hundred, 95 %: 299.
 */
export const cleanPasses = (failureRate: number, confidence: number) => Math.ceil(Math.log(1 - confidence) / Math.log(1 - failureRate) - 1e-9)

/**
 * The exact interval of a rate from failures in passes. Source: Clopper and Pearson 1934, by quantiles of the beta distribution.
 * @returns both ends, from 0 to 1
 */
export function exactInterval(failures: number, passes: number, confidence = 0.95): { low: number; high: number } {
  const tail = (1 - confidence) / 2
  return {
    low: failures === 0 ? 0 : betaQuantile(tail, failures, passes - failures + 1),
    high: failures === passes ? 1 : betaQuantile(1 - tail, failures + 1, passes - failures),
  }
}

/**
 * How many passes make an intermittent fault believable as cured, and, while it runs: cured, not cured, or go on.
 * The sequential test compares *cured* with *as before*, pass by pass; it says cured once the likelihood ratio reaches 1/α and not cured once it falls
 * to β. These lie a little outside of the usual (1 − β)/α and β/(1 − α), so that its error rates stay below α and β, and not merely about them.
 * Source: Wald 1945, Sequential tests of statistical hypotheses (his inequalities).
 * @throws InputError for rates, counts and confidences that cannot be
 */
export function planSoak(input: SoakInput): SoakResult {
  const { confidence = 0.95, secondsAPass, passes = 0, failures = 0, curedRate = 0, falseAlarm = 0.05 } = input
  const failureRate = rateOf(input)
  check(input, failureRate)
  const wantedPasses = cleanPasses(failureRate, confidence)
  const alpha = 1 - confidence
  const ratio = logRatio(passes, failures, failureRate, curedRate)
  const verdict: SoakVerdict = ratio >= -Math.log(alpha) - 1e-9 ? 'cured' : ratio <= Math.log(falseAlarm) ? 'not-cured' : 'go-on'
  const aPass = Math.log((1 - curedRate) / (1 - failureRate))
  const leftPasses = verdict === 'go-on' ? Math.max(1, Math.ceil((-Math.log(alpha) - ratio) / aPass - 1e-9)) : null
  const seconds = (n: number | null) => (n === null || secondsAPass === undefined ? null : n * secondsAPass)
  return {
    failureRate,
    wantedPasses,
    wantedSeconds: seconds(wantedPasses),
    leftPasses,
    leftSeconds: seconds(leftPasses),
    interval: passes ? exactInterval(failures, passes, confidence) : null,
    verdict,
    errors: { curedThoughNot: alpha, notCuredThoughCured: falseAlarm },
    findings: findingsOf(input, { failureRate, wantedPasses, leftPasses, verdict, confidence }),
  }
}

/** The likelihood of what was seen, cured against as before, as a logarithm. */
function logRatio(passes: number, failures: number, before: number, cured: number): number {
  const clean = (passes - failures) * Math.log((1 - cured) / (1 - before))
  if (!failures) return clean
  return cured === 0 ? Number.NEGATIVE_INFINITY : clean + failures * Math.log(cured / before)
}

function rateOf({ failureRate, seenFailures, seenPasses }: SoakInput): number {
  if (failureRate !== undefined) return failureRate
  if (seenFailures === undefined || seenPasses === undefined)
    throw new InputError('failureRate', '', 'How often it failed before: a rate, or failures in passes.')
  if (!Number.isInteger(seenPasses) || seenPasses < 1 || seenPasses > most)
    throw new InputError('seenPasses', seenPasses, 'Passes before: a whole number from 1.')
  if (!Number.isInteger(seenFailures) || seenFailures < 1 || seenFailures > seenPasses)
    throw new InputError('seenFailures', seenFailures, 'Failures before: at least one, and no more than the passes. Without one nothing can be ruled out.')
  if (seenFailures === seenPasses) throw new InputError('seenFailures', seenFailures, 'Failures before: what always fails needs no soak; it shows at once.')
  return seenFailures / seenPasses
}

function check({ confidence = 0.95, secondsAPass, passes = 0, failures = 0, curedRate = 0, falseAlarm = 0.05 }: SoakInput, rate: number): void {
  if (!(rate > 0 && rate < 1))
    throw new InputError('failureRate', rate, 'How often it failed: more than never, less than always. What always fails needs no soak.')
  if (rate < 1e-6) throw new InputError('failureRate', rate, 'How often it failed: less than once in a million passes cannot be soaked.')
  if (!(confidence >= 0.5 && confidence <= 0.9999)) throw new InputError('confidence', confidence, 'How sure: from 50 to 99.99 %.')
  if (!(falseAlarm > 0 && falseAlarm <= 0.5)) throw new InputError('falseAlarm', falseAlarm, 'False alarms: more than none, up to one in two.')
  if (!Number.isInteger(passes) || passes < 0 || passes > most) throw new InputError('passes', passes, 'Passes: a whole number.')
  if (!Number.isInteger(failures) || failures < 0 || failures > passes)
    throw new InputError('failures', failures, 'Failures: a whole number, no more than the passes.')
  if (!(curedRate >= 0 && curedRate < rate)) throw new InputError('curedRate', curedRate, 'Cured: it has to fail less often than before.')
  if (secondsAPass !== undefined && !(secondsAPass > 0 && secondsAPass <= 1e6))
    throw new InputError('secondsAPass', secondsAPass, 'Seconds a pass: more than none.')
}

function findingsOf(
  { seenFailures, seenPasses, failureRate: said, passes = 0, failures = 0 }: SoakInput,
  {
    failureRate,
    wantedPasses,
    leftPasses,
    verdict,
    confidence,
  }: Pick<SoakResult, 'failureRate' | 'wantedPasses' | 'leftPasses' | 'verdict'> & { confidence: number },
): Finding[] {
  const sure = `${Number((confidence * 100).toPrecision(4))} %`
  const often = `once in ${Math.round(1 / failureRate)} passes`
  const findings: Finding[] = []
  if (verdict === 'not-cured')
    findings.push(
      finding('stop', 'soak.not-cured', 'Not cured.', `${failures} of ${passes} passes failed since the repair. It stays open as it was; go on looking.`),
    )
  else if (verdict === 'cured')
    findings.push(
      finding(
        'fine',
        'soak.cured',
        `Believable as cured, at ${sure}.`,
        `${passes} passes with ${failures || 'no'} ${failures === 1 ? 'failure' : 'failures'} speak against ${often}. A fault that comes more seldom is not ruled out by that.`,
      ),
    )
  else
    findings.push(
      finding(
        'note',
        'soak.go-on',
        passes ? `Go on: ${leftPasses} clean passes are left.` : `${wantedPasses} clean passes are wanted.`,
        `So many without a failure make ${often} unbelievable at ${sure}.`,
      ),
    )
  if (said === undefined && seenFailures !== undefined && seenPasses !== undefined) {
    const { low } = exactInterval(seenFailures, seenPasses, 0.8)
    const cautious = low > 1e-6 ? cleanPasses(low, confidence) : null
    findings.push(
      finding(
        'care',
        'soak.rate',
        `How often it failed rests on ${seenFailures === 1 ? 'one failure' : `${seenFailures} failures`}.`,
        `It may well have been ${low > 0 ? `once in ${Math.round(1 / low)}` : 'far less often'}${cautious ? `; to rule that out takes ${cautious} clean passes` : ''}.`,
      ),
    )
  }
  findings.push(
    finding(
      'note',
      'soak.conditions',
      'A soak speaks of the conditions it ran under.',
      'Warm and cold, cover on, with what was connected when it failed.',
      commonPractice,
    ),
  )
  return findings
}
