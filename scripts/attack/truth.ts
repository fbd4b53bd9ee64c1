import { seeded } from '#core/kernel/random'
import { simulations } from '../../tests/truth'
import { type Figures, beyond, inWords, together } from '../../tests/truth/simulation'
import type { Outcome } from './attack'

/**
 * Every instrument on made-up cases of which the truth is known: many more than the tests make, and other ones for every seed.
 * @param seconds shared out among the instruments
 */
export function truthFor(seed: number, seconds: number): Promise<Outcome> {
  const figures: Outcome['figures'] = {}
  const failures: string[] = []
  for (const { title, runs, simulate } of simulations) {
    const random = seeded(seed)
    const until = Date.now() + (seconds * 1000) / simulations.length
    const rounds: Figures[] = []
    do {
      const came = simulate(random, runs)
      failures.push(...came.failures.map(failure => `${title}, round ${rounds.length}: ${failure}`))
      rounds.push(came.figures)
    } while (Date.now() < until)
    const all = together(rounds)
    failures.push(...beyond(all).map(failure => `${title}, ${failure}`))
    for (const [what, figure] of Object.entries(all)) figures[`${title}: ${what}`] = typeof figure === 'number' ? figure.toFixed(1) : inWords(figure)
  }
  return Promise.resolve({ figures, failures })
}
