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
  /** What goes in and comes out, from what stands on the bench now. */
  puts: string[]
  takes: string[]
  /** So many runs tell most for their minutes: a part that fails now and then seldom does so in the first. */
  runs: number
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

/** The rates that are summed over where so many parts are at fault at once, for whoever reckons the odds again in another way. */
export const rateRowOf = (size: number): readonly number[] => rateRows[size]!

const most = { parts: 40, tests: 30, name: 80, explanations: 12_000 } as const
const largestSet = 3
/**
 * How often a part at fault fails: dead, or in some share of its runs that nobody knows before. The share is inferred: each of these counts by what was
 * seen, finer where few parts are at fault at once. A row is evenly spread over orders of magnitude. Common practice, no source.
 */
const rateRows: Readonly<Record<number, readonly number[]>> = {
  1: [1, 0.7, 0.4, 0.2, 0.1, 0.05, 0.025, 0.012],
  2: [1, 0.5, 0.2, 0.08, 0.03, 0.012],
  3: [1, 0.3, 0.05],
}
/** Kept for what is on no list: a part nobody named, two that do not suit each other. Nothing is ever surer than the rest. Common practice, no source. */
export const elsewhereShare = 0.08
/** Even a good test is misread once in so many. Common practice, no source. */
const misreadShare = 0.01
/** What is known good from elsewhere is still at fault so often. Common practice, no source. */
const knownGoodShare = 0.002
/** So likely at fault, a part that harms others is not connected to what is precious. Common practice, no source. */
const riskShare = 0.02
/** Explanations of so small a share together are told as hardly any. */
const hardlyShare = 0.05
const testMinutes = 5
const swapMinutes = 5
const runMinutes = 1
/** Explanations, and ways in which each may fail, that the next test is chosen by; what comes after them weighs next to nothing. */
const weighed = { explanations: 60, ways: 24 } as const
/** A test that tells less is not worth anybody's minutes. */
const leastGainBits = 0.01
const mostProposed = 5
/** Runs that a test may be asked for. */
const runChoices = [1, 3, 10, 30] as const

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

  /** One of these is at fault; what worked elsewhere is not dead, and may yet be what fails now and then. */
  function conflictOf(t: SwapTest, i: number): number[] {
    if (t.outcome === 'fails' && sets[i]!.every(p => good.has(p)))
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
  // A test whose own equipment is in doubt makes nothing more certain: it is told, and left out of the reckoning.
  const counted = tests.flatMap((test, i) => (sure[i] ? [{ test, members: new Set(sets[i]!) }] : []))
  const ways = weighing(parts, priors, counted)
  const likely = (set: readonly number[]) => ways(set).reduce((sum, w) => sum + w.weight, 0)
  const minimal = minimalHittingSets(conflicts, largestSet, most.explanations)
  const weights = minimal.map(likely)
  const all = weights.reduce((sum, w) => sum + w, 0)
  const explanations = minimal
    .map((set, i) => ({ set, parts: set.map(p => parts[p]!.name), share: (1 - elsewhereShare) * (all > 0 ? weights[i]! / all : 1 / minimal.length) }))
    .sort((a, b) => b.share - a.share || a.set.length - b.set.length)
  findings.unshift(...summary(explanations, conflicts.length, tests))
  const fewest = Math.min(...tests.filter((t, i) => t.outcome === 'works' && sure[i]).map(t => t.runs ?? 1))
  if (conflicts.length && good.size)
    findings.push(
      finding(
        'note',
        'swap.once',
        `What worked is not dead; that it never fails is not shown by ${fewest === 1 ? 'one run' : `${fewest} runs`}.`,
        `A part that fails in one of ten runs would have worked as well with a chance of ${Math.round(0.9 ** fewest * 100)} in 100.`,
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
  const { next, refused } = nextTests(parts, sets, tests, explanations, ways, good)
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

/** One way in which a set of parts may be at fault: how often each fails, and how likely that is together with how the tests came out. */
interface Way {
  rates: readonly number[]
  weight: number
}

/**
 * How likely it is that exactly a set of parts is at fault, in each way in which they may fail, and that the tests came out as they did. The rate of a part
 * is one over all tests that it took part in; it is inferred, and summed over where only the set matters.
 * A test that none of them took part in says the same of every set, and is reckoned once.
 */
function weighing(parts: readonly SwapPart[], priors: readonly number[], counted: readonly { test: SwapTest; members: ReadonlySet<number> }[]) {
  const idle = counted.map(({ test }) => chanceOf(test, 0))
  const odds = priors.map(p => p / (1 - p))
  const allGood = priors.reduce((product, p) => product * (1 - p), 1) * idle.reduce((product, c) => product * c, 1)
  const shareOf = parts.map(p => partKinds[p.kind].sometimes)
  const bySize = Object.fromEntries(Object.entries(rateRows).map(([size, row]) => [size, tablesFor(Number(size), row)]))

  /** All ways of a size, and what each test says to each of them by which of the parts took part in it. */
  function tablesFor(size: number, row: readonly number[]) {
    const ways = Array.from({ length: row.length ** size }, (_, way) =>
      Array.from({ length: size }, (_, k) => row[Math.floor(way / row.length ** k) % row.length]!),
    )
    const chances = counted.map(({ test }, i) => {
      const known = new Map<number, number>()
      const chance = (fails: number) => known.get(fails) ?? (known.set(fails, chanceOf(test, fails) / idle[i]!), known.get(fails)!)
      return Float64Array.from(
        ways.flatMap(rates =>
          Array.from({ length: 1 << size }, (_, inside) => chance(1 - rates.reduce((ok, r, k) => (inside & (1 << k) ? ok * (1 - r) : ok), 1))),
        ),
      )
    })
    return { ways, chances, others: row.length - 1 }
  }

  return (set: readonly number[]): Way[] => {
    const { ways, chances, others } = bySize[set.length]!
    const inside = counted.map(({ members }) => set.reduce((bits, p, k) => (members.has(p) ? bits | (1 << k) : bits), 0))
    const base = set.reduce((product, p) => product * odds[p]!, allGood)
    return ways.map((rates, way) => {
      let weight = base
      for (let k = 0; k < set.length; k++) weight *= rates[k] === 1 ? 1 - shareOf[set[k]!]! : shareOf[set[k]!]! / others
      for (let i = 0; i < inside.length; i++) if (inside[i]) weight *= chances[i]![(way << set.length) + inside[i]!]!
      return { rates, weight }
    })
  }
}

/** How likely the outcome of a test is, where each of its runs fails with this chance. */
function chanceOf({ outcome, runs: told, failures }: SwapTest, fails: number): number {
  const runs = told ?? 1
  const truth =
    outcome === 'works'
      ? (1 - fails) ** runs
      : outcome === 'fails'
        ? fails ** runs
        : failures !== undefined && failures > 0 && failures < runs
          ? fails ** failures * (1 - fails) ** (runs - failures)
          : told === undefined
            ? // Now and then, in runs that nobody counted: of every rate alike, but not of what is dead.
              Number(fails > 0 && fails < 1)
            : 1 - fails ** Math.max(2, runs) - (1 - fails) ** Math.max(2, runs)
  return (1 - misreadShare) * Math.max(0, truth) + misreadShare / outcomes.length
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
  const single = explanations.filter(e => e.parts.length === 1).reduce((sum, e) => sum + e.share, 0)
  return [
    finding(
      first.share >= 0.9 ? 'care' : 'note',
      first.share >= 0.9 ? 'swap.likely' : 'swap.open',
      first.share >= 0.9 ? `Most likely: ${listed(first.parts)}.` : `${explanations.length} explanations are left; the likeliest is ${listed(first.parts)}.`,
      `${percent}. It rests on how often such parts fail, and on ${tests.length === 1 ? 'one test' : `${tests.length} tests`}; it is no proof.`,
    ),
    ...(single < hardlyShare
      ? [finding('note', 'swap.several', 'Hardly a single part explains all of it.', `Two or more are at fault at once: ${listed(first.parts)} first.`)]
      : []),
  ]
}

/** Of those that would do in a place, the least suspect are tried. */
const mostStandIns = 2
/** So many suspects are changed at once at the most, where that tells more than one by one. */
const mostChanged = 6

/**
 * Tests that can be made with what is at hand, from what stands on the bench now: one part changed for another of its place, or left out; or the likeliest
 * suspects of a test that failed changed all at once, so that one answer halves them.
 */
function* candidates(parts: readonly SwapPart[], sets: readonly number[][], tests: readonly SwapTest[], shares: readonly number[]): Generator<number[]> {
  const placeOf = (i: number) => parts[i]!.place ?? parts[i]!.kind
  const usable = (i: number) => parts[i]!.atHand !== false
  /** The least suspect of those that would do in its place; nothing to leave it out. */
  const alternatives = (i: number, set: readonly number[]): (number | null)[] => [
    ...parts
      .flatMap((_, j) => (j !== i && placeOf(j) === placeOf(i) && usable(j) && !set.includes(j) ? [j] : []))
      .sort((a, b) => shares[a]! - shares[b]!)
      .slice(0, mostStandIns),
    ...(parts[i]!.optional && set.length > 1 ? [null] : []),
  ]
  const changed = (set: readonly number[], out: number, into: number | null) => [...set.filter(i => i !== out), ...(into === null ? [] : [into])]
  for (const set of sets) for (const out of set) for (const into of alternatives(out, set)) yield changed(set, out, into)
  for (const [t, set] of sets.entries()) {
    if (tests[t]!.outcome === 'works') continue
    let now = [...set]
    let many = 0
    for (const out of [...set].sort((a, b) => shares[b]! - shares[a]!)) {
      const [into] = alternatives(out, now)
      if (into === undefined || (into !== null && shares[into]! >= shares[out]!)) continue
      now = changed(now, out, into)
      if (++many > mostChanged) break
      if (many > 1) yield now
    }
  }
}

function nextTests(
  parts: readonly SwapPart[],
  sets: readonly number[][],
  tests: readonly SwapTest[],
  explanations: readonly (Explanation & { set: number[] })[],
  ways: (set: readonly number[]) => Way[],
  good: ReadonlySet<number>,
): Pick<SwapResult, 'next' | 'refused'> {
  if (explanations.length < 2) return { next: [], refused: [] }
  const heavy = explanations.slice(0, weighed.explanations).map(e => {
    const all = ways(e.set)
      .sort((a, b) => b.weight - a.weight)
      .slice(0, weighed.ways)
    const sum = all.reduce((total, w) => total + w.weight, 0) || 1
    return { set: e.set, ways: all.map(w => ({ rates: w.rates, share: w.weight / sum })) }
  })
  const weights = explanations.slice(0, weighed.explanations).map(e => e.share)
  const shares = parts.map((_, i) => explanations.reduce((sum, e) => (e.set.includes(i) ? sum + e.share : sum), 0))
  const tried = sets.flat()
  const bench = sets.at(-1) ?? []
  /** How likely a test with these parts is not to work in so many runs, under each explanation. */
  const failing = (there: ReadonlySet<number>, runs: number) =>
    heavy.map(({ set, ways }) =>
      ways.reduce((sum, { rates, share }) => sum + share * (1 - rates.reduce((ok, r, k) => (there.has(set[k]!) ? ok * (1 - r) ** runs : ok), 1)), 0),
    )
  // What was made already with the same parts may be made again, where more runs tell more.
  const seen = new Set<string>()
  const proposed: (NextTest & { risk: string })[] = []
  for (const changed of [...candidates(parts, sets, tests, shares), ...sets.filter(s => s.every(i => parts[i]!.atHand !== false))]) {
    const set = [...changed].sort((a, b) => a - b)
    const key = set.join()
    if (!set.length || seen.has(key) || set.some(i => parts[i]!.atHand === false)) continue
    seen.add(key)
    const there = new Set(set)
    const [puts, takes] = [set.filter(i => !bench.includes(i)), bench.filter(i => !there.has(i))]
    const setUp = testMinutes + [...puts, ...takes].reduce((sum, i) => sum + (parts[i]!.minutes ?? swapMinutes), 0)
    const best = runChoices
      .map(runs => {
        const fails = failing(there, runs)
        const gainBits = expectedGainBits(
          weights,
          fails.map(f => [f * (1 - misreadShare), 1 - f * (1 - misreadShare)]),
        )
        return { runs, gainBits, minutes: setUp + (runs - 1) * runMinutes }
      })
      .reduce((most, one) => (one.gainBits / one.minutes > most.gainBits / most.minutes ? one : most))
    if (best.gainBits < leastGainBits) continue
    const names = (list: readonly number[]) => list.map(i => parts[i]!.name)
    proposed.push({
      parts: names(set),
      puts: names(puts),
      takes: names(takes),
      ...best,
      says: routeOf(names(puts), names(takes), best.runs),
      risk: riskOf(set, parts, shares, good, tried),
    })
  }
  proposed.sort((a, b) => b.gainBits / b.minutes - a.gainBits / a.minutes || a.minutes - b.minutes)
  return {
    next: proposed
      .filter(t => !t.risk)
      .slice(0, mostProposed)
      .map(({ risk: _, ...test }) => test),
    refused: proposed
      .filter(t => t.risk)
      .slice(0, mostProposed)
      .map(t => ({ parts: t.parts, why: t.risk })),
  }
}

/** What to do with what stands on the bench now. */
function routeOf(puts: readonly string[], takes: readonly string[], runs: number): string {
  const often = runs > 1 ? `, and run it ${runs} times` : ''
  if (!puts.length && !takes.length) return `As it stands on the bench: run it ${runs === 1 ? 'once more' : `${runs} times more`}.`
  if (!puts.length) return `From what stands on the bench, leave out ${listed(takes)}${often}.`
  if (!takes.length) return `To what stands on the bench, add ${listed(puts)}${often}.`
  return `From what stands on the bench, put in ${listed(puts)} for ${listed(takes)}${often}.`
}

/**
 * What speaks against connecting these parts: beside something that cannot be had again there stands nothing that may harm it, each thing by its own odds.
 * A supply harms until it is known good, whatever worked on it once; so does a spare that was in no test yet, and a suspect of which it was said.
 */
function riskOf(set: readonly number[], parts: readonly SwapPart[], shares: readonly number[], good: ReadonlySet<number>, tried: readonly number[]): string {
  const precious = set.filter(i => parts[i]!.precious)
  if (!precious.length) return ''
  const why = (i: number): string | null => {
    const { kind, harms, knownGood, name } = parts[i]!
    if (knownGood) return null
    if (kind === 'supply') return `${name} is a supply that nobody has checked on its own`
    if (harms && shares[i]! >= riskShare) return `${name} may harm what it is connected to, and is at fault with odds of ${Math.round(shares[i]! * 100)} in 100`
    if (harms && !good.has(i)) return `${name} may harm what it is connected to, and has not worked yet`
    return tried.includes(i) || parts[i]!.precious ? null : `${name} is a spare that was in no test yet`
  }
  const against = set.flatMap(i => (precious.some(p => p !== i) ? (why(i) ?? []) : []))
  return against.length
    ? `${listed(against)}; ${listed(precious.map(i => parts[i]!.name))} cannot be had again. Check on its own first what stands beside it.`
    : ''
}
