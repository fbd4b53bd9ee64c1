import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { minimalHittingSets } from './hitting-sets'
import { expectedGainBits } from './information'
import { type PartKind, partKinds, priorOf } from './part-priors'

export const outcomes = ['works', 'fails', 'sometimes'] as const
export type SwapOutcome = (typeof outcomes)[number]

/** A part that takes part in tests: of the machine, of the test bed, a lead, the tester itself. */
export interface SwapPart {
  name: string
  kind: PartKind
  /** Where it goes: parts of one place stand in for each other, and a test takes one of each. Its kind, where nothing is said. */
  place?: string
  /** How likely it is at fault before any test, from 0 to 1; by its kind where nothing is said. */
  prior?: number
  /** Once at fault it harms what it is connected to; a supply that nobody has checked does. */
  harms?: boolean
  /** It cannot be had again. */
  precious?: boolean
  /** Known good from elsewhere: it counts as such, and is not doubted before everything else is. */
  knownGood?: boolean
  /** A test can be made without it. */
  optional?: boolean
  /** It lies on the bench; what does not is in no test that is proposed. */
  atHand?: boolean
  /** Minutes to put it in or take it out. */
  minutes?: number
}
export interface SwapTest {
  /** What took part, by name. */
  parts: readonly string[]
  outcome: SwapOutcome
  /** How many times it was tried, and how often it failed; once where nothing is said. */
  runs?: number
  failures?: number
  /** Whether all of its own equipment was known good: if not, it never refutes on its own. */
  trusted?: boolean
}
export interface SwapInput {
  parts: readonly SwapPart[]
  tests: readonly SwapTest[]
}
export interface Explanation {
  parts: string[]
  /** How likely it is among those that explain everything, from 0 to 1. */
  share: number
}
export interface NextTest {
  parts: string[]
  puts: string[]
  takes: string[]
  minutes: number
  gainBits: number
  says: string
}
export interface SwapResult {
  explanations: Explanation[]
  /** Each part with how likely it is at fault, the likeliest first. */
  suspects: { part: string; share: number }[]
  good: string[]
  next: NextTest[]
  /** Tests that would tell much, and put something precious at risk. */
  refused: { parts: string[]; why: string }[]
  findings: Finding[]
}

const most = { parts: 40, tests: 30, name: 80, explanations: 12_000 } as const
const largestSet = 3
/** A part that fails now and then does so in this share of its runs, as long as nobody has counted. Common practice, no source. */
const usualRate = 0.3
/** A test whose equipment is in doubt says the opposite of the truth so often. Common practice, no source. */
const doubtShare = 0.25
/** Even a good test is misread once in so many. Common practice, no source. */
const misreadShare = 0.01
/** What is known good from elsewhere is still at fault so often. Common practice, no source. */
const knownGoodShare = 0.002
/** So likely at fault, a part that harms others is not connected to what is precious. Common practice, no source. */
const riskShare = 0.02
const testMinutes = 5
const swapMinutes = 5

/**
 * Which parts explain every test so far, and which test to make next.
 * A part at fault is dead, or fails in some of its runs; a test works when none of its parts fails in it. Parts fail independently of each other.
 * Sources: minimal hitting sets, Reiter 1987; Bayes' rule over them; the next test by its expected gain in bits a minute, de Kleer and Williams 1987.
 * @throws InputError for parts that are named twice or not known, and for more than anybody tries
 */
export function reasonSwaps({ parts, tests }: SwapInput): SwapResult {
  check(parts, tests)
  const index = new Map(parts.map((p, i) => [p.name, i]))
  const sets = tests.map(t => [...new Set(t.parts)].map(name => index.get(name)!))
  const sure = tests.map(t => t.trusted ?? true)
  const good = goodOf(tests, sets, sure)
  const findings: Finding[] = []
  const conflicts = tests.flatMap((t, i) => (t.outcome === 'works' || !sure[i] ? [] : [conflictOf(t, i)]))

  /** One of these is at fault. What worked elsewhere can only fail now and then. */
  function conflictOf(t: SwapTest, i: number): number[] {
    const left = t.outcome === 'sometimes' ? sets[i]! : sets[i]!.filter(p => !good.has(p))
    if (left.length) return left
    findings.push(
      finding(
        'care',
        'swap.contradiction',
        `Test ${i + 1} failed, and each of its parts has worked in another test.`,
        `${t.parts.join(', ')}: one of them fails only now and then, two of them do not suit each other, or a test was misread. Repeat it before you go on.`,
      ),
    )
    return sets[i]!
  }

  const priors = parts.map(p => (p.knownGood ? knownGoodShare : (p.prior ?? priorOf(p.kind))))
  const members = sets.map(s => new Set(s))
  const likely = weighing(parts, priors, tests, members, sure)
  const minimal = minimalHittingSets(conflicts, largestSet, most.explanations)
  const weights = minimal.map(likely)
  const all = weights.reduce((sum, w) => sum + w, 0)
  const explanations = minimal
    .map((set, i) => ({ set, parts: set.map(p => parts[p]!.name), share: all > 0 ? weights[i]! / all : 1 / minimal.length }))
    .sort((a, b) => b.share - a.share || a.set.length - b.set.length)
  findings.unshift(...summary(explanations, conflicts.length, tests))
  const fewest = Math.min(...tests.filter((t, i) => t.outcome === 'works' && sure[i]).map(t => t.runs ?? 1))
  if (conflicts.length && good.size)
    findings.push(
      finding(
        'note',
        'swap.once',
        `What worked is not dead; that it never fails is not shown by ${fewest === 1 ? 'one run' : `${fewest} runs`}.`,
        `A part that fails in ${Math.round(usualRate * 100)} of 100 runs would have worked as well with a chance of ${Math.round((1 - usualRate) ** fewest * 100)} in 100.`,
      ),
    )
  tests.forEach((t, i) => {
    if (!sure[i])
      findings.push(
        finding(
          'note',
          'swap.checker',
          `Test ${i + 1} weighs little: its own equipment is not known good.`,
          'It refutes nothing on its own. Check the checker: try it on something that is known to work.',
          commonPractice,
        ),
      )
  })
  const suspects = parts
    .map((p, i) => ({ part: p.name, share: explanations.filter(e => e.set.includes(i)).reduce((sum, e) => sum + e.share, 0) }))
    .filter(s => s.share > 0)
    .sort((a, b) => b.share - a.share)
  const { next, refused } = nextTests(parts, tests, sets, explanations, good)
  return {
    explanations: explanations.map(({ parts: names, share }) => ({ parts: names, share })),
    suspects,
    good: parts.filter((_, i) => good.has(i)).map(p => p.name),
    next,
    refused,
    findings,
  }
}

function check(parts: readonly SwapPart[], tests: readonly SwapTest[]): void {
  if (!parts.length || parts.length > most.parts) throw new InputError('parts', parts.length, `Parts: 1 to ${most.parts}, please.`)
  if (tests.length > most.tests) throw new InputError('tests', tests.length, `Tests: up to ${most.tests}, please.`)
  const names = new Set<string>()
  parts.forEach((p, i) => {
    if (!p.name.trim() || p.name.length > most.name)
      throw new InputError(`parts.${i}.name`, p.name, `Part ${i + 1}: give it a name of up to ${most.name} characters.`)
    if (names.has(p.name)) throw new InputError(`parts.${i}.name`, p.name, `${p.name} is named twice. Tell the two apart.`)
    names.add(p.name)
    if (p.prior !== undefined && !(p.prior > 0 && p.prior < 1))
      throw new InputError(`parts.${i}.prior`, p.prior, `${p.name}: how likely it is at fault lies between 0 and 1, and is neither.`)
    if (p.minutes !== undefined && !(p.minutes >= 0 && p.minutes <= 10_000))
      throw new InputError(`parts.${i}.minutes`, p.minutes, `${p.name}: minutes, please.`)
  })
  tests.forEach((t, i) => {
    if (!t.parts.length) throw new InputError(`tests.${i}.parts`, '', `Test ${i + 1}: say what took part.`)
    const stranger = t.parts.find(name => !names.has(name))
    if (stranger !== undefined) throw new InputError(`tests.${i}.parts`, stranger, `Test ${i + 1}: “${stranger}” is none of the parts.`)
    const runs = t.runs ?? 1
    if (!Number.isInteger(runs) || runs < 1 || runs > 10_000) throw new InputError(`tests.${i}.runs`, runs, `Test ${i + 1}: 1 to 10 000 runs.`)
    if (t.failures !== undefined && !(Number.isInteger(t.failures) && t.failures >= 0 && t.failures <= runs))
      throw new InputError(`tests.${i}.failures`, t.failures, `Test ${i + 1}: no more failures than runs.`)
  })
}

/** Parts that took part in a trusted test that worked: none of them is dead. */
function goodOf(tests: readonly SwapTest[], sets: readonly number[][], sure: readonly boolean[]): Set<number> {
  return new Set(sets.filter((_, i) => tests[i]!.outcome === 'works' && sure[i]).flat())
}

/**
 * How likely it is that exactly a set of parts is at fault, and that the tests came out as they did; over all ways in which they may fail.
 * A test that none of them took part in says the same of every set, and is reckoned once.
 */
function weighing(
  parts: readonly SwapPart[],
  priors: readonly number[],
  tests: readonly SwapTest[],
  members: readonly ReadonlySet<number>[],
  sure: readonly boolean[],
) {
  const idle = tests.map((t, i) => chanceOf(t, 0, sure[i]!))
  const odds = priors.map(p => p / (1 - p))
  const allGood = priors.reduce((product, p) => product * (1 - p), 1) * idle.reduce((product, c) => product * c, 1)
  // Of a test it counts alone whether one of its parts is dead, and else how many fail now and then.
  const dead = tests.map((t, i) => chanceOf(t, 1, sure[i]!) / idle[i]!)
  const seldom = tests.map((t, i) => Array.from({ length: largestSet + 1 }, (_, k) => chanceOf(t, 1 - (1 - usualRate) ** k, sure[i]!) / idle[i]!))
  const shareOf = parts.map(p => partKinds[p.kind].sometimes)
  return (set: readonly number[]): number => {
    const inside = members.map(m => set.reduce((bits, p, k) => (m.has(p) ? bits | (1 << k) : bits), 0))
    let sum = 0
    // Each part of the set is dead, or fails now and then: a bit says which.
    for (let ways = 0; ways < 1 << set.length; ways++) {
      let weight = allGood
      set.forEach((p, k) => (weight *= odds[p]! * (ways & (1 << k) ? shareOf[p]! : 1 - shareOf[p]!)))
      for (let i = 0; i < inside.length; i++) {
        const bits = inside[i]!
        if (bits) weight *= bits & ~ways ? dead[i]! : seldom[i]![bitCount(bits & ways)]!
      }
      sum += weight
    }
    return sum
  }
}

const bitCount = (bits: number) => (bits & 1) + ((bits >> 1) & 1) + ((bits >> 2) & 1)

/** How often a test with these parts fails: each part at fault fails on its own, in this share of its runs. */
const failing = (set: ReadonlySet<number>, rates: readonly (readonly [part: number, rate: number])[]) =>
  1 - rates.reduce((ok, [p, rate]) => (set.has(p) ? ok * (1 - rate) : ok), 1)

/** How likely the outcome of a test is, where each of its runs fails with this chance. */
function chanceOf({ outcome, runs = 1, failures }: SwapTest, fails: number, trusted: boolean): number {
  const n = outcome === 'sometimes' ? Math.max(2, runs) : runs
  const truth =
    outcome === 'works'
      ? (1 - fails) ** n
      : outcome === 'fails'
        ? fails ** n
        : failures !== undefined && failures > 0 && failures < n
          ? fails ** failures * (1 - fails) ** (n - failures)
          : 1 - fails ** n - (1 - fails) ** n
  const wrong = trusted ? misreadShare : doubtShare
  return (1 - wrong) * Math.max(0, truth) + wrong / outcomes.length
}

const listed = (names: readonly string[]) => (names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`)

function summary(explanations: readonly Explanation[], conflicts: number, tests: readonly SwapTest[]): Finding[] {
  if (!conflicts)
    return [
      finding(
        'note',
        'swap.nothing',
        tests.length ? 'Nothing to explain: no trusted test has failed.' : 'No test yet.',
        'Note what was connected, and whether it worked.',
      ),
    ]
  const [first] = explanations
  if (!first)
    return [
      finding(
        'care',
        'swap.too-many',
        'No three parts explain all of it.',
        'More than three at fault at once, parts that do not suit each other, or a test that was misread: repeat the oldest failing one with as few parts as it takes.',
      ),
    ]
  const percent = `${Math.round(first.share * 100)} of 100 among what explains everything`
  const single = explanations.filter(e => e.parts.length === 1)
  return [
    finding(
      first.share >= 0.9 ? 'care' : 'note',
      first.share >= 0.9 ? 'swap.likely' : 'swap.open',
      first.share >= 0.9 ? `Most likely: ${listed(first.parts)}.` : `${explanations.length} explanations are left; the likeliest is ${listed(first.parts)}.`,
      `${percent}. It rests on how often such parts fail, and on ${tests.length === 1 ? 'one test' : `${tests.length} tests`}; it is no proof.`,
    ),
    ...(single.length === 0
      ? [finding('note', 'swap.several', 'No single part explains all of it.', `Two or more are at fault at once: ${listed(first.parts)} first.`)]
      : []),
  ]
}

/** Tests that can be made with what is at hand: one of the former with a part changed for another of its place, or left out. */
function nextTests(
  parts: readonly SwapPart[],
  tests: readonly SwapTest[],
  sets: readonly number[][],
  explanations: readonly (Explanation & { set: number[] })[],
  good: ReadonlySet<number>,
): Pick<SwapResult, 'next' | 'refused'> {
  if (explanations.length < 2) return { next: [], refused: [] }
  const placeOf = (i: number) => parts[i]!.place ?? parts[i]!.kind
  const byPlace = new Map<string, number[]>()
  parts.forEach((_, i) => byPlace.set(placeOf(i), [...(byPlace.get(placeOf(i)) ?? []), i]))
  const made = new Set(sets.map(s => [...s].sort((a, b) => a - b).join()))
  const seen = new Set(made)
  const heavy = explanations.slice(0, 60)
  const weights = heavy.map(e => e.share)
  const rates = heavy.map(e => e.set.map(p => [p, good.has(p) ? usualRate : 1] as const))
  const shareOf = (i: number) => explanations.filter(e => e.set.includes(i)).reduce((sum, e) => sum + e.share, 0)
  const shares = parts.map((_, i) => shareOf(i))
  const proposed: (NextTest & { risk: string })[] = []
  for (const set of sets)
    for (const out of set)
      for (const into of [...byPlace.get(placeOf(out))!.filter(i => i !== out && !set.includes(i)), null]) {
        if (into === null && (!parts[out]!.optional || set.length < 2)) continue
        const changed = [...set.filter(i => i !== out), ...(into === null ? [] : [into])].sort((a, b) => a - b)
        const key = changed.join()
        if (seen.has(key) || changed.some(i => parts[i]!.atHand === false)) continue
        seen.add(key)
        const there = new Set(changed)
        const fails = rates.map(r => failing(there, r))
        const gainBits = expectedGainBits(
          weights,
          fails.map(f => [f * (1 - misreadShare), 1 - f * (1 - misreadShare)]),
        )
        if (gainBits < 0.01) continue
        const names = (list: readonly (number | null)[]) => list.flatMap(i => (i === null ? [] : [parts[i]!.name]))
        const minutes = testMinutes + [out, into].reduce<number>((sum, i) => sum + (i === null ? 0 : (parts[i]!.minutes ?? swapMinutes)), 0)
        proposed.push({
          parts: names(changed),
          puts: names([into]),
          takes: names([out]),
          minutes,
          gainBits,
          says: into === null ? `Leave out ${parts[out]!.name}, with the rest as it was.` : `Put in ${parts[into]!.name} for ${parts[out]!.name}.`,
          risk: riskOf(changed, parts, shares, good),
        })
      }
  proposed.sort((a, b) => b.gainBits / b.minutes - a.gainBits / a.minutes || a.minutes - b.minutes)
  return {
    next: proposed
      .filter(t => !t.risk)
      .slice(0, 5)
      .map(({ risk: _, ...test }) => test),
    refused: proposed
      .filter(t => t.risk)
      .slice(0, 5)
      .map(t => ({ parts: t.parts, why: t.risk })),
  }
}

/** What speaks against connecting these parts: a suspect that harms others beside something that cannot be had again. */
function riskOf(set: readonly number[], parts: readonly SwapPart[], shares: readonly number[], good: ReadonlySet<number>): string {
  const precious = set.filter(i => parts[i]!.precious)
  const harming = set.find(i => parts[i]!.harms && !parts[i]!.knownGood && !good.has(i) && (shares[i]! >= riskShare || parts[i]!.kind === 'supply'))
  if (harming === undefined || !precious.some(i => i !== harming)) return ''
  return `${parts[harming]!.name} may harm what it is connected to, and ${listed(precious.filter(i => i !== harming).map(i => parts[i]!.name))} cannot be had again. Check ${parts[harming]!.name} on its own first.`
}
