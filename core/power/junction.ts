import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export type Leg = 1 | 2 | 3
/** One reading of the diode test; nothing where the meter shows an open circuit. */
export interface JunctionReading {
  red: Leg
  black: Leg
  volts: number | null
}
export interface JunctionInput {
  legs: 2 | 3
  readings: JunctionReading[]
}

export const pathKinds = ['short', 'low', 'germanium', 'silicon', 'high', 'open'] as const
export type PathKind = (typeof pathKinds)[number]
export interface JunctionPath extends JunctionReading {
  kind: PathKind
}

export interface JunctionResult {
  /** What it behaves like. */
  like: 'wire' | 'shorted' | 'open' | 'diode' | 'npn' | 'pnp' | 'unclear'
  material: 'silicon' | 'germanium' | null
  base: Leg | null
  anode: Leg | null
  paths: JunctionPath[]
  findings: Finding[]
}

/** What a forward voltage in the diode test means, at about 1 mA. Common practice, no source; silicon reads about 0.6 V. */
export const junctionBands: readonly { kind: PathKind; belowV: number; means: string }[] = [
  { kind: 'short', belowV: 0.03, means: 'a short' },
  { kind: 'low', belowV: 0.12, means: 'too low for a junction: leaky, or a low resistance beside it' },
  { kind: 'germanium', belowV: 0.42, means: 'a germanium or Schottky junction' },
  { kind: 'silicon', belowV: 0.9, means: 'a silicon junction' },
  { kind: 'high', belowV: Infinity, means: 'more than one junction in a row, or a poor contact' },
]
/** Junctions that differ by less cannot be told apart with a bench meter; common practice, no source. */
const alikeV = 0.003
const kindOf = (volts: number | null): PathKind => (volts === null ? 'open' : junctionBands.find(b => volts < b.belowV)!.kind)
const isJunction = (kind: PathKind) => kind === 'silicon' || kind === 'germanium'

/** Every way that two of the legs can be measured. */
export const pairsOf = (legs: 2 | 3): [Leg, Leg][] =>
  legs === 2
    ? [
        [1, 2],
        [2, 1],
      ]
    : [
        [1, 2],
        [2, 1],
        [1, 3],
        [3, 1],
        [2, 3],
        [3, 2],
      ]

/**
 * Says what a part of two or three legs is, from readings of the diode test taken out of the circuit, or knowing what lies beside it.
 * A transistor is two junctions that share its base: red on the base of an NPN, black on that of a PNP.
 * @throws InputError for a reading below zero, of a leg with itself, or taken twice
 */
export function readJunctions({ legs, readings }: JunctionInput): JunctionResult {
  readings.forEach(({ red, black, volts }, i) => {
    if (red === black || red > legs || black > legs) throw new InputError(`readings.${i}`, [red, black], `Put the leads on two of its ${legs} legs.`)
    if (volts !== null && !(volts >= 0 && volts <= 10))
      throw new InputError(`readings.${i}.volts`, volts, 'The diode test reads 0 to about 3 V; leave it empty for open.')
    if (readings.findIndex(r => r.red === red && r.black === black) !== i)
      throw new InputError(`readings.${i}`, [red, black], 'These two legs were read this way round already.')
  })
  const paths = readings.map(r => ({ ...r, kind: kindOf(r.volts) }))
  const missing = pairsOf(legs).filter(([red, black]) => !paths.some(p => p.red === red && p.black === black))
  const result = missing.length ? { like: 'unclear' as const, material: null, base: null, anode: null } : classify(legs, paths)
  return { ...result, paths, findings: judge(legs, paths, result, missing) }
}

type Classified = Omit<JunctionResult, 'paths' | 'findings'>

function classify(legs: 2 | 3, paths: JunctionPath[]): Classified {
  const none = { material: null, base: null, anode: null }
  const conducting = paths.filter(p => p.kind !== 'open')
  if (!conducting.length) return { like: 'open', ...none }
  if (paths.every(p => p.kind === 'short')) return { like: 'wire', ...none }
  if (paths.some(p => p.kind === 'short')) return { like: 'shorted', ...none }
  const material = conducting.every(p => p.kind === 'silicon') ? 'silicon' : conducting.every(p => p.kind === 'germanium') ? 'germanium' : null
  if (!conducting.every(p => isJunction(p.kind))) return { like: 'unclear', ...none }
  if (legs === 2) return conducting.length === 1 ? { like: 'diode', material, base: null, anode: conducting[0]!.red } : { like: 'unclear', ...none }
  const [a, b] = conducting
  if (conducting.length !== 2 || !a || !b) return { like: 'unclear', ...none }
  // Two junctions of different kinds are no transistor: one of them is damaged, or something lies beside it.
  if (a.kind !== b.kind) return { like: 'unclear', ...none }
  if (a.red === b.red) return { like: 'npn', material, base: a.red, anode: null }
  if (a.black === b.black) return { like: 'pnp', material, base: a.black, anode: null }
  return { like: 'unclear', ...none }
}

const told = ({ red, black, volts, kind }: JunctionPath) =>
  `Red on ${red}, black on ${black}: ${volts === null ? 'open' : `${volts} V, ${junctionBands.find(b => b.kind === kind)!.means}`}.`

const beside = finding(
  'note',
  'junction.in-circuit',
  'In circuit, whatever is connected beside it is measured too.',
  'Lift a leg before you call it dead.',
  commonPractice,
)

function judge(legs: 2 | 3, paths: JunctionPath[], classified: Classified, missing: [Leg, Leg][]): Finding[] {
  if (missing.length)
    return [
      finding(
        'note',
        'junction.missing',
        `${missing.length} of ${pairsOf(legs).length} readings are missing.`,
        missing.map(([r, b]) => `Red on ${r}, black on ${b}.`),
      ),
    ]
  const { like, material, anode } = classified
  const say = (level: Finding['level'], code: string, says: string, ...more: string[]) =>
    finding(level, `junction.${code}`, says, [...paths.map(told), ...more], commonPractice)
  switch (like) {
    case 'wire':
      return [say('stop', 'wire', legs === 3 ? 'A short between all three legs: it is a wire.' : 'A short both ways: it is a wire.'), beside]
    case 'shorted':
      return [say('stop', 'short', `A short between ${paths.filter(p => p.kind === 'short').map(p => `${p.red} and ${p.black}`)[0]}.`), beside]
    case 'open':
      return [say('care', 'open', 'Open every way.', 'Dead, or no part with plain junctions: a field-effect transistor or a regulator reads like this too.')]
    case 'diode':
      return [say('fine', 'diode', `Plausible as a ${material} diode: anode on ${anode}.`)]
    case 'npn':
    case 'pnp':
      return transistor(paths, classified, say)
    case 'unclear':
      return [say('care', 'unclear', 'This is no plain diode or transistor.', 'A resistor beside it, a Darlington pair, a regulator, or damage.'), beside]
  }
}

/** Two junctions that share a leg: a transistor, or a double diode where they are alike. */
function transistor(
  paths: JunctionPath[],
  { like, material, base }: Classified,
  say: (level: Finding['level'], code: string, says: string, ...more: string[]) => Finding,
): Finding[] {
  const [one, other] = paths.filter(p => isJunction(p.kind))
  const kind = like === 'npn' ? 'an NPN' : 'a PNP'
  if (Math.abs(one!.volts! - other!.volts!) < alikeV)
    return [
      say(
        'care',
        'alike',
        `Two like junctions that share leg ${base}: a double diode, or ${kind} transistor.`,
        'The junction of an emitter reads some millivolts more than that of a collector. Look the type up.',
      ),
    ]
  return [say('fine', 'transistor', `Plausible as ${kind}${material ? ` ${material}` : ''} transistor: base on ${base}.`), ...emitter(paths, base!)]
}

/** The emitter junction is the more heavily doped one and reads a few millivolts more. Common practice, no source. */
function emitter(paths: JunctionPath[], base: Leg): Finding[] {
  const [a, b] = paths.filter(p => p.volts !== null)
  if (!a || !b || Math.abs(a.volts! - b.volts!) < 0.002) return []
  const higher = a.volts! > b.volts! ? a : b
  return [
    finding(
      'note',
      'junction.emitter',
      `The emitter is probably leg ${higher.red === base ? higher.black : higher.red}.`,
      'Its junction reads a little more than that of the collector.',
      commonPractice,
    ),
  ]
}
