/**
 * An instrument on made-up cases of which the truth is known. Its few runs in the tests are the same each time;
 * `npm run attack -- truth` makes many, from any seed.
 */
export interface Simulation {
  title: string
  /** So many are made in the tests. */
  runs: number
  /** @returns figures to be compared with others, and what should not have happened */
  simulate(random: () => number, runs: number): { figures: Record<string, string>; failures: string[] }
}

export const share = (n: number, of: number) => `${n} of ${of} (${of ? Math.round((n / of) * 1000) / 10 : 0} %)`

/** A number of a normal distribution, by Box and Muller (1958). */
export const normal = (random: () => number, mean = 0, deviation = 1) =>
  mean + deviation * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
