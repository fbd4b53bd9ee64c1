import { seeded } from '#core/kernel/random'
import { type BoardTrouble, boardTroubles } from '#core/simulation/simulated-board'

/**
 * A simulated machine for the stand-in of a meter: what a probe on one of its rails would see. Each scenario is one way in which
 * a first start goes, or a meter fails. Figures are made up in the manner of the bench; they are no model of a circuit.
 */
export interface Seen {
  dcV: number
  acV: number
  ohm: number
  amps: number
  celsius: number
  diodeV: number
}
export interface Moment {
  nominalV: number
  /** Since it was switched on; nothing while it is off. */
  onSeconds: number | null
  loaded: boolean
}
/** How the meter itself answers: as it should, not at all, or rubbish. */
export type Manner = 'plain' | 'overload' | 'silent' | 'garbled'
interface Scenario {
  says: string
  manner?: Manner
  rail?: (moment: Required<Moment> & { onSeconds: number }, noise: number) => Partial<Seen>
}

const rising = (seconds: number, tau = 0.12) => 1 - Math.exp(-seconds / tau)

export const scenarios = {
  'healthy': {
    says: 'every rail comes up and stays',
    rail: ({ nominalV, onSeconds }, noise) => ({ dcV: nominalV * (0.996 * rising(onSeconds) + noise * 0.001) }),
  },
  'sagging': {
    says: 'low without a load, in order with one',
    rail: ({ nominalV, onSeconds, loaded }, noise) => ({ dcV: nominalV * ((loaded ? 0.985 : 0.9) * rising(onSeconds) + noise * 0.001) }),
  },
  'dead-regulator': { says: 'next to nothing out', rail: (_, noise) => ({ dcV: 0.04 + noise * 0.002 }) },
  'shorted': { says: 'the rail is pulled to ground', rail: (_, noise) => ({ dcV: 0.02 + noise * 0.001, amps: 4.8 }) },
  'swapped': {
    says: 'the rail carries the voltage of another',
    rail: ({ nominalV, onSeconds }, noise) => ({ dcV: (nominalV === 5 ? 12 : nominalV === 12 ? 5 : -nominalV) * (0.997 * rising(onSeconds) + noise * 0.001) }),
  },
  'ripple': {
    says: 'a filter capacitor is worn out',
    rail: ({ nominalV, onSeconds }, noise) => ({ dcV: nominalV * (0.98 * rising(onSeconds) + noise * 0.012), acV: Math.abs(nominalV) * 0.07 }),
  },
  'slow-collapse': {
    says: 'comes up, then sinks',
    rail: ({ nominalV, onSeconds }, noise) => ({ dcV: nominalV * (0.998 * rising(onSeconds) - Math.max(0, onSeconds - 4) * 0.008 + noise * 0.0008) }),
  },
  'overload': { says: 'more than the meter can show', manner: 'overload' },
  'silent': { says: 'the meter stops answering once it is on', manner: 'silent' },
  'garbled': { says: 'the meter sends rubbish once it is on', manner: 'garbled' },
  ...(Object.fromEntries(Object.entries(boardTroubles).map(([name, says]) => [name, { says }])) as Record<BoardTrouble, Scenario>),
} satisfies Record<string, Scenario>
export type ScenarioName = keyof typeof scenarios
export const scenarioNames = Object.keys(scenarios) as ScenarioName[]

const offOhm: Partial<Record<ScenarioName, number>> = { shorted: 0.3 }

/** What the probes see of a scenario, with the noise of a fresh seed for every simulated machine. */
export function simulatedMachine(seed = 1) {
  const random = seeded(seed)
  return {
    see(name: ScenarioName, { nominalV, onSeconds, loaded }: Moment): Seen {
      const noise = random() * 2 - 1
      const rest: Seen = {
        dcV: noise * 0.0005,
        acV: 0.0004,
        ohm: (offOhm[name] ?? 180 + Math.abs(nominalV) * 40) * (1 + noise * 0.002),
        amps: 0,
        celsius: 21 + noise * 0.1,
        diodeV: 0.61 + noise * 0.001,
      }
      if (onSeconds === null) return rest
      const scenario: Scenario = scenarios[name]
      const warmed = { ...rest, acV: 0.004, amps: 0.7 + noise * 0.01, celsius: 21 + 38 * rising(onSeconds, 90) + noise * 0.1 }
      return { ...warmed, ...scenario.rail?.({ nominalV, onSeconds, loaded }, noise) }
    },
    /** The meter fails only while the machine is on: it said who it is before. */
    manner: (name: ScenarioName, onSeconds: number | null): Manner => (onSeconds === null ? 'plain' : ((scenarios[name] as Scenario).manner ?? 'plain')),
  }
}
