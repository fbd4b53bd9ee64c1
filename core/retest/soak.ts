import { significant } from '../kernel/figure'
import { betaQuantile, lnBeta } from '../kernel/beta'
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

/** A soak as it stands, for whoever decides by it. */
export interface StandingSoak {
  what: string
  verdict: SoakVerdict
  /** Clean passes that it asks for: the more, the harder it is to pass. */
  wantedPasses: number
  failures: number
  /** Instants in UTC; when it was begun, and when it ran last. */
  startedAt: string
  lastAt: string
}

/**
 * The soaks that stand against believing in a cure. One that was not passed stands until another of the same thing, at least as hard, was passed; and one
 * that failed until something was mended in between. That it was ended, or followed by an easier one, changes nothing.
 * @param repairedAt instants at which something was mended
 */
export function soaksStanding<S extends StandingSoak>(soaks: readonly S[], repairedAt: readonly string[]): S[] {
  const same = (one: string, other: string) => one.trim().toLowerCase() === other.trim().toLowerCase()
  return soaks.filter(soak => {
    if (soak.verdict === 'cured') return false
    const settles = (later: StandingSoak) =>
      same(later.what, soak.what) &&
      later.startedAt > soak.startedAt &&
      later.verdict === 'cured' &&
      later.wantedPasses >= soak.wantedPasses &&
      (!soak.failures || repairedAt.some(at => at > soak.lastAt && at <= later.startedAt))
    return !soaks.some(settles)
  })
}

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
  const before = beforeOf(input, failureRate)
  const alpha = 1 - confidence
  const wantedPasses = fewestClean(before, confidence)
  const ratio = logRatio(passes, failures, before, curedRate)
  const verdict: SoakVerdict = ratio >= -Math.log(alpha) - 1e-9 ? 'cured' : ratio <= Math.log(falseAlarm) ? 'not-cured' : 'go-on'
  const leftPasses = verdict === 'go-on' ? fewestUntil(n => logRatio(passes + n, failures, before, curedRate) >= -Math.log(alpha) - 1e-9) : null
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

/** How likely so many clean passes and so many failures are, as a logarithm, of a machine that is as it was before. */
type Before = (clean: number, failures: number) => number

/**
 * A rate that is believed is one rate. One that was seen as failures in passes is uncertain itself, the more so the fewer they are: every rate counts by
 * what was seen of it (a beta distribution over rates, with a prior that favours none by its size, 1/p), so that *cured* keeps its confidence for
 * faults that are rarer than they showed. Source: the beta-binomial predictive distribution (Geisser 1993, from memory); that a ratio of such mixtures
 * keeps its error rates at every stop: Ville's inequality (Ville 1939, from memory).
 */
function beforeOf({ failureRate, seenFailures: k, seenPasses: n }: SoakInput, rate: number): Before {
  if (failureRate !== undefined || k === undefined || n === undefined) return (clean, failures) => clean * Math.log(1 - rate) + failures * Math.log(rate)
  const [alpha, beta] = [k, n - k + 1]
  return (clean, failures) => lnBeta(alpha + failures, beta + clean) - lnBeta(alpha, beta)
}

/** The fewest passes, all clean, of which so many would be unbelievable of a machine that is as before. */
const fewestClean = (before: Before, confidence: number): number => fewestUntil(n => before(n, 0) <= Math.log(1 - confidence) + 1e-9)

const mostWanted = 2 ** 40
/** The smallest whole number from 1 at which something holds that holds from there on. */
function fewestUntil(holds: (n: number) => boolean): number {
  let high = 1
  while (high < mostWanted && !holds(high)) high *= 2
  let low = high / 2
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (holds(middle)) high = middle
    else low = middle
  }
  return Math.ceil(high)
}

/** The likelihood of what was seen, cured against as before, as a logarithm. */
function logRatio(passes: number, failures: number, before: Before, cured: number): number {
  const clean = passes - failures
  if (failures && cured === 0) return Number.NEGATIVE_INFINITY
  return clean * Math.log(1 - cured) + (failures ? failures * Math.log(cured) : 0) - before(clean, failures)
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
  const sure = `${significant(confidence * 100, 4)} %`
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
    const naive = cleanPasses(failureRate, confidence)
    findings.push(
      finding(
        'note',
        'soak.rate',
        `How often it failed rests on ${seenFailures === 1 ? 'one failure' : `${seenFailures} failures`}, so more passes are wanted: ${wantedPasses}, not ${naive}.`,
        `It may well have been ${low > 0 ? `once in ${Math.round(1 / low)}` : 'far less often'} only. More failures seen before the repair would make the soak shorter.`,
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
