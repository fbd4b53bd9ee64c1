import { seeded } from '#core/kernel/random'
import { simulations } from '../../tests/truth'
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
    let rounds = 0
    for (; rounds === 0 || Date.now() < until; rounds++) {
      const came = simulate(random, runs)
      failures.push(...came.failures.map(failure => `${title}, round ${rounds}: ${failure}`))
      for (const [what, figure] of Object.entries(came.figures)) figures[`${title}: ${what}, round ${rounds}`] = figure
    }
  }
  return Promise.resolve({ figures, failures })
}
