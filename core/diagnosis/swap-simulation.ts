import type { NextTest, SwapPart, SwapResult, SwapTest } from './swap'
import { reasonSwaps } from './swap'

/**
 * Collections of made-up faults that the reasoning is tried on: somebody follows its advice, and is told how often what it named was right. The faults are
 * drawn from rates that are spread evenly over orders of magnitude, not from the rows that the reasoning itself knows.
 */
export interface Mixture {
  /** Share of the faults that come and go. */
  intermittent: number
  /** Whether failures are counted, or only told as they came in one go. */
  counted: boolean
  /** How many parts are at fault at once. */
  faults: 1 | 2
}
export interface SwapScore {
  machines: number
  /** How many were named with 90 of 100 or more, and how many of those were right. */
  named: number
  right: number
  /** Tests made until it was named and the minutes they took, on the average of those that were. */
  tests: number
  minutes: number
}
/** Who chooses the next test: the advice, or somebody who changes one part after the other, the likeliest first, and repeats what works. */
export type Chooser = 'advice' | 'one by one'

const places = ['board', 'drive', 'controller', 'keyboard', 'memory', 'rom'] as const
const kindOf = { board: 'main-board', drive: 'drive', controller: 'controller', keyboard: 'keyboard', memory: 'memory', rom: 'rom' } as const
const parts: SwapPart[] = [
  ...places.map((place): SwapPart => ({ name: `own ${place}`, kind: kindOf[place], place })),
  ...places.map((place): SwapPart => ({ name: `known ${place}`, kind: kindOf[place], place, knownGood: true })),
]
const mostTests = 12

/** Looks for the fault of so many made-up machines, each until the reasoning names it. @param random from 0 up to 1 */
export function scoreSwaps({ intermittent, counted, faults }: Mixture, machines: number, random: () => number, chooser: Chooser = 'advice'): SwapScore {
  const score = { machines, named: 0, right: 0, tests: 0, minutes: 0 }
  // Drawn before anything is tried, so that two who choose otherwise look at the same machines.
  const collection = Array.from({ length: machines }, () => {
    const rates = new Map<string, number>()
    while (rates.size < faults) {
      const name = `own ${places[Math.floor(random() * places.length)]!}`
      rates.set(name, random() < intermittent ? 10 ** (-1.7 + 1.5 * random()) : 1)
    }
    return rates
  })
  for (const rates of collection) {
    const named = look(rates, counted, random, chooser)
    if (!named) continue
    score.named++
    score.tests += named.tests
    score.minutes += named.minutes
    score.right += Number(named.parts.every(p => rates.has(p)))
  }
  const each = Math.max(1, score.named)
  return { ...score, tests: score.tests / each, minutes: score.minutes / each }
}

type Step = Pick<NextTest, 'parts' | 'runs' | 'minutes'>

function look(rates: ReadonlyMap<string, number>, counted: boolean, random: () => number, chooser: Chooser): (Step & { tests: number }) | null {
  const run = (names: readonly string[]) => names.some(name => random() < (rates.get(name) ?? 0))
  const own = places.map(place => `own ${place}`)
  // It was brought in because it failed: seen once, or counted over what it ran.
  let runs = 1
  while (!run(own) && runs < 2000) runs++
  const comesAndGoes = counted ? { runs, failures: 1 } : {}
  const tests: SwapTest[] = [runs > 1 ? { parts: own, outcome: 'sometimes', ...comesAndGoes } : { parts: own, outcome: 'fails' }]
  let minutes = 0
  for (;;) {
    const result = reasonSwaps({ parts, tests })
    const [first] = result.explanations
    if (first && first.share >= 0.9) return { parts: first.parts, tests: tests.length - 1, runs: 0, minutes }
    const next = chooser === 'advice' ? result.next[0] : oneByOne(result, tests.at(-1)!)
    if (!next || tests.length > mostTests) return null
    minutes += next.minutes
    let failures = 0
    for (let r = 0; r < next.runs; r++) failures += Number(run(next.parts))
    tests.push({
      parts: next.parts,
      runs: next.runs,
      outcome: failures === 0 ? 'works' : failures === next.runs ? 'fails' : 'sometimes',
      ...(failures && failures < next.runs ? { failures } : {}),
    })
  }
}

/** The likeliest that still stands on the bench is changed for its known one, a run at a time; what works is run again. */
function oneByOne({ suspects }: SwapResult, { parts: bench, outcome }: SwapTest): Step | undefined {
  if (outcome === 'works') return { parts: [...bench], runs: 1, minutes: 5 }
  const out = suspects.find(s => bench.includes(s.part) && s.part.startsWith('own'))?.part
  return out === undefined ? undefined : { parts: bench.map(name => (name === out ? name.replace('own', 'known') : name)), runs: 1, minutes: 15 }
}
