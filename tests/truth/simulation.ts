/** So many of so many; it holds where their share is no less than `least` and no more than `most`. */
export interface Counted {
  n: number
  of: number
  least?: number
  most?: number
}
export type Figures = Record<string, Counted | number>

/**
 * An instrument on made-up cases of which the truth is known. Its few runs in the tests are the same each time;
 * `npm run attack -- truth` makes many, from any seed.
 */
export interface Simulation {
  title: string
  /** So many are made in the tests. */
  runs: number
  /** @returns figures to be compared with others, and single cases that must not happen at all */
  simulate(random: () => number, runs: number): { figures: Figures; failures: string[] }
}

export const count = (n: number, of: number, bounds: Pick<Counted, 'least' | 'most'> = {}): Counted => ({ n, of, ...bounds })
export const inWords = ({ n, of }: Counted) => `${n} of ${of} (${of ? Math.round((n / of) * 1000) / 10 : 0} %)`

/** Figures of rounds together: what was counted is added up, of the others the mean is taken. */
export function together(rounds: readonly Figures[]): Figures {
  return Object.fromEntries(
    Object.keys(rounds[0] ?? {}).map(name => {
      const each = rounds.map(r => r[name]!)
      const [first] = each
      if (typeof first === 'number') return [name, (each as number[]).reduce((sum, x) => sum + x, 0) / each.length]
      const all = each as Counted[]
      return [name, { ...first!, n: all.reduce((sum, x) => sum + x.n, 0), of: all.reduce((sum, x) => sum + x.of, 0) }]
    }),
  )
}

/** What is beyond its bounds, by more than two standard deviations of chance. */
export function beyond(figures: Figures): string[] {
  return Object.entries(figures).flatMap(([name, figure]) => {
    if (typeof figure === 'number') return []
    const { n, of, least = 0, most = 1 } = figure
    const chance = (bound: number) => 2 * Math.sqrt((bound * (1 - bound)) / Math.max(1, of))
    return of && (n / of < least - chance(least) || n / of > most + chance(most)) ? [`${name}: ${inWords(figure)}`] : []
  })
}

/** A number of a normal distribution, by Box and Muller (1958). */
export const normal = (random: () => number, mean = 0, deviation = 1) =>
  mean + deviation * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
