import { type Mixture, scoreSwaps } from '#core/diagnosis/swap-simulation'
import { type Simulation, share } from './simulation'

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
    const [named, right] = [scores.reduce((sum, s) => sum + s.named, 0), scores.reduce((sum, s) => sum + s.right, 0)]
    return {
      figures: Object.fromEntries(scores.map(s => [`right of those named, ${s.name}`, `${share(s.right, s.named)}, ${s.tests.toFixed(1)} tests`])),
      failures: right < 0.88 * named ? [`of what was named at 90 of 100 ${share(right, named)} was right`] : [],
    }
  },
}
