import { type Mixture, scoreSwaps } from '#core/diagnosis/swap-simulation'
import { type Simulation, count } from './simulation'

const mixtures: [name: string, mixture: Mixture][] = [
  ['dead', { intermittent: 0, counted: true, faults: 1 }],
  ['a third come and go', { intermittent: 0.3, counted: true, faults: 1 }],
  ['all come and go, counted', { intermittent: 1, counted: true, faults: 1 }],
  ['all come and go, told in words', { intermittent: 1, counted: false, faults: 1 }],
  ['two that come and go', { intermittent: 1, counted: true, faults: 2 }],
]

/** Swaps by its advice, until something is named at 90 of 100. */
export const swaps: Simulation = {
  title: 'swaps',
  runs: 12,
  simulate(random, runs) {
    const scores = mixtures.map(([name, mixture]) => ({ name, ...scoreSwaps(mixture, runs, random) }))
    return {
      figures: Object.fromEntries(
        scores.flatMap(({ name, right, named, tests, minutes }) => [
          [`right of those named, ${name}`, count(right, named, { least: 0.88 })],
          [`named, ${name}`, count(named, runs)],
          [`tests, ${name}`, tests],
          [`minutes, ${name}`, minutes],
        ]),
      ),
      failures: [],
    }
  },
}
