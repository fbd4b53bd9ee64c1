import { decimals } from '../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** What a cell of each chemistry is, how it fails, and whether it may be charged. From memory of cell data books; lives are common practice, no source. */
export const chemistries = {
  'nickel-cadmium': { title: 'Nickel-cadmium', cellV: 1.2, rechargeable: true, leaks: 'alkali', lifeYears: 8 },
  'nickel-metal-hydride': { title: 'Nickel-metal hydride', cellV: 1.2, rechargeable: true, leaks: 'alkali', lifeYears: 8 },
  'lead-acid': { title: 'Sealed lead-acid', cellV: 2, rechargeable: true, leaks: 'acid', lifeYears: 6 },
  'lithium-ion': { title: 'Lithium-ion', cellV: 3.6, rechargeable: true, leaks: 'solvent', lifeYears: 10 },
  'alkaline': { title: 'Alkaline', cellV: 1.5, rechargeable: false, leaks: 'alkali', lifeYears: 6 },
  'zinc-carbon': { title: 'Zinc-carbon', cellV: 1.5, rechargeable: false, leaks: 'acid', lifeYears: 3 },
  'lithium-coin': { title: 'Lithium coin cell', cellV: 3, rechargeable: false, leaks: 'rarely', lifeYears: 10 },
  'lithium-thionyl': { title: 'Lithium thionyl chloride', cellV: 3.6, rechargeable: false, leaks: 'rarely', lifeYears: 12 },
  'mercury': { title: 'Mercury', cellV: 1.35, rechargeable: false, leaks: 'alkali', lifeYears: 10 },
  'unknown': { title: 'Not known', cellV: null, rechargeable: null, leaks: 'unknown', lifeYears: 8 },
} as const satisfies Record<
  string,
  { title: string; cellV: number | null; rechargeable: boolean | null; leaks: 'alkali' | 'acid' | 'solvent' | 'rarely' | 'unknown'; lifeYears: number }
>
export type Chemistry = keyof typeof chemistries
export const chemistryNames = Object.keys(chemistries) as Chemistry[]

/** What a leak is, and what takes it off. Common practice, no source. */
const residues = {
  alkali: 'It leaks alkali: neutralise with a mild acid such as white vinegar, rinse, dry.',
  acid: 'It leaks acid: neutralise with bicarbonate of soda, rinse, dry.',
  solvent: 'It vents flammable solvent: do not open, warm or press it; outdoors, in sand.',
  rarely: 'It seldom leaks; do not breathe what it leaks.',
  unknown: 'What it leaks is not known: try the pH of the crust before anything goes on it.',
}

/** The first four are found; from `residue` on, a battery that has leaked goes its way home one step after the other. */
export const batteryStates = ['sound', 'doubtful', 'leaking', 'residue', 'neutralised', 'rinsed', 'dried', 'clean'] as const
export type BatteryState = (typeof batteryStates)[number]
export const batteryStateNames: Record<BatteryState, string> = {
  sound: 'No leak seen',
  doubtful: 'Bulging or furry',
  leaking: 'Leaking',
  residue: 'Gone, residue left',
  neutralised: 'Residue neutralised',
  rinsed: 'Rinsed',
  dried: 'Dried',
  clean: 'Looked at, nothing left behind',
}
/** States that somebody finds; the others are reached by doing. */
export const foundStates = ['sound', 'doubtful', 'leaking', 'residue'] as const satisfies readonly BatteryState[]

/** Ways to make up for a lost battery; the first four are the schools. */
export const replacements = {
  'remote-holder': {
    title: 'Remote holder',
    means: 'A holder on a lead, away from the board, where a leak does no harm; with a diode where the circuit charges.',
  },
  'diode-cell': { title: 'Coin cell with a blocking diode', means: 'A lithium coin cell with a diode, so that the circuit can never charge it.' },
  'none': { title: 'None fitted', means: 'Nothing is fitted; settings and clock are lost at every switch-off, and set by hand.' },
  'like-for-like': { title: 'Like for like', means: 'The same chemistry in the same place, charged as it was; it leaks one day like the one before.' },
} as const
export type Replacement = keyof typeof replacements
export const replacementNames = Object.keys(replacements) as Replacement[]

export const chargings = ['yes', 'no', 'unknown'] as const
export type Charging = (typeof chargings)[number]
export const chargingNames: Record<Charging, string> = { yes: 'It charges', no: 'It does not charge', unknown: 'Not known' }

export interface Battery {
  where: string
  chemistry: Chemistry
  cells?: number
  /** Year on it, or in which it was fitted. */
  year?: number | null
  state: BatteryState
  /** Whether it still sits in the machine. */
  fitted: boolean
  /** Whether the circuit it sits on charges. */
  charging: Charging
  /** What was fitted in its place. */
  replacement?: Fitted | null
}
export interface Fitted {
  how: Replacement
  chemistry: Chemistry
  cells?: number
  /** As marked on it or measured; by chemistry and cells, where it is left out. */
  voltageV?: number | null
  diode: boolean
}
export interface BatteryInput {
  battery: Battery
  school: Replacement
  yearNow: number
}
export interface BatteryResult {
  /** What it says to the gate, as one of the values of the fact `battery`. */
  fact: 'in' | 'leaking' | 'residue' | 'unlooked' | 'out' | 'replaced' | 'mischarged'
  nominalV: number | null
  findings: Finding[]
}

/** What a silicon and a Schottky diode drop at a few microamperes; common practice, no source. */
const diodeDropV = [0.2, 0.5] as const

/**
 * Judges one battery: what it may have done, what has to be done, and whether what replaces it would be charged and must not be.
 * @returns what the gate hears of it, its nominal voltage in volt, findings
 * @throws InputError for a year, a number of cells or a voltage that is none, or a clean place under a battery that is still in
 * Source: common practice, no source; the chemistry table above.
 */
export function judgeBattery({ battery, school, yearNow }: BatteryInput): BatteryResult {
  const { cells = 1, year } = battery
  if (!(Number.isInteger(cells) && cells >= 1 && cells <= 24)) throw new InputError('cells', cells, 'Cells: a whole number from 1 to 24.')
  if (year !== undefined && year !== null && !(year >= 1950 && year <= yearNow))
    throw new InputError('year', year, `Year: from 1950 to ${yearNow}, or left out.`)
  const { replacement } = battery
  if (replacement && !(Number.isInteger(replacement.cells ?? 1) && (replacement.cells ?? 1) >= 1 && (replacement.cells ?? 1) <= 24))
    throw new InputError('replacement.cells', replacement.cells, 'Cells of the replacement: a whole number from 1 to 24.')
  if (replacement?.voltageV !== undefined && replacement.voltageV !== null && !(replacement.voltageV > 0 && replacement.voltageV <= 50))
    throw new InputError('replacement.voltageV', replacement.voltageV, 'Voltage of the replacement: above 0 and up to 50 V.')
  if (battery.fitted && hasLeaked(battery.state) && !(foundStates as readonly BatteryState[]).includes(battery.state))
    throw new InputError('fitted', true, 'It is still in: take it out before what it left is cleaned.')
  const kind = chemistries[battery.chemistry]
  const nominalV = kind.cellV === null ? null : decimals(kind.cellV * cells, 2)
  const misfit = wrongCell(battery)
  const circuit = ofTheCircuit(battery)
  const fact =
    (battery.state === 'leaking' || battery.state === 'doubtful') && battery.fitted
      ? 'leaking'
      : hasLeaked(battery.state) && battery.state !== 'clean'
        ? 'residue'
        : misfit === 'stop' || circuit.some(f => f.level === 'stop')
          ? 'mischarged'
          : battery.fitted
            ? 'in'
            : battery.state === 'doubtful'
              ? 'unlooked'
              : battery.replacement && battery.replacement.how !== 'none'
                ? 'replaced'
                : 'out'
  return { fact, nominalV, findings: mostPressingFirst([...ofTheOldOne(battery, yearNow), ...circuit, ...ofTheNewOne(battery, school, misfit, nominalV)]) }
}

/** Whether it leaked once; true of every step of its way home. */
export const hasLeaked = (state: BatteryState): boolean => state !== 'sound' && state !== 'doubtful'

/** Chemistries that a circuit made for one of them charges alike. */
const chargedAlike: Partial<Record<Chemistry, string>> = { 'nickel-cadmium': 'nickel', 'nickel-metal-hydride': 'nickel' }

/** Whether the replacement would be charged and must not be, or not in this way: for certain, perhaps, or not. */
function wrongCell({ charging, chemistry, replacement }: Battery): 'stop' | 'care' | null {
  if (!replacement || replacement.how === 'none' || replacement.diode || charging === 'no') return null
  const { rechargeable } = chemistries[replacement.chemistry]
  const alike = (one: Chemistry) => chargedAlike[one] ?? one
  if (rechargeable && alike(replacement.chemistry) === alike(chemistry)) return null
  const certain = rechargeable === false || (rechargeable === true && chemistry !== 'unknown')
  return charging === 'yes' && certain ? 'stop' : 'care'
}

/** So much above or below what the old one gave, in share of it. Common practice, no source. */
const voltageShare = { high: 1.3, low: 0.7 } as const

/** Whether what was fitted gives about what the old one gave, behind its diode where it has one. */
function ofItsVoltage({ chemistry, cells = 1, voltageV, diode }: Fitted, nominalV: number | null): Finding[] {
  const { cellV } = chemistries[chemistry]
  const full = voltageV ?? (cellV === null ? null : cellV * cells)
  if (full === null)
    return [finding('care', 'battery.voltage-unknown', 'What the replacement gives is not known.', 'Measure it before it is attached.', commonPractice)]
  if (nominalV === null) return []
  const gives = full - (diode ? diodeDropV[0] : 0)
  const says = `${decimals(gives, 2)} V${diode ? ' behind the diode' : ''}, where the old one gave ${nominalV} V.`
  if (gives > nominalV * voltageShare.high)
    return [
      finding('stop', 'battery.voltage-high', `The replacement gives too much: ${says}`, 'The clock chip gets more than it was made for.', commonPractice),
    ]
  return gives < nominalV * voltageShare.low
    ? [finding('care', 'battery.voltage-low', `The replacement gives little: ${says}`, 'See that the clock keeps time and the settings stay.', commonPractice)]
    : []
}

function ofTheOldOne({ chemistry, state, fitted, year, where }: Battery, yearNow: number): Finding[] {
  const kind = chemistries[chemistry]
  const residue = residues[kind.leaks]
  if (state === 'leaking')
    return [
      finding(
        'stop',
        'battery.leaking',
        `Battery, ${where}: it has leaked.`,
        [fitted ? 'Take it out, then clean what it touched.' : 'It is out; what it left has to be cleaned.', residue],
        commonPractice,
        { heard: 'elsewhere' },
      ),
    ]
  if (hasLeaked(state) && state !== 'clean')
    return [
      finding(
        'stop',
        'battery.residue',
        state === 'residue'
          ? `Battery, ${where}: what it left is still there.`
          : `Battery, ${where}: ${batteryStateNames[state].toLowerCase()}, and not home yet.`,
        residue,
        commonPractice,
        { heard: 'elsewhere' },
      ),
    ]
  if (state === 'clean')
    return [
      finding(
        'fine',
        'battery.home',
        `Battery, ${where}: it has leaked; neutralised, rinsed, dried and looked at.`,
        'What alkali reached may still fail later: buzz the traces around it.',
        commonPractice,
      ),
    ]
  if (!fitted && state === 'doubtful')
    return [
      finding(
        'care',
        'battery.out-doubtful',
        `Battery, ${where}: out, and it was bulging or furry.`,
        [
          'What made it furry may have reached the board: look under it and along the traces that lead away.',
          'Then say what was found: no leak seen, or residue left.',
          residue,
        ],
        commonPractice,
      ),
    ]
  if (!fitted) return [finding('fine', 'battery.out', `Battery, ${where}: out, and no residue was seen.`, 'It can no longer leak or be charged.')]
  const age = year ? yearNow - year : null
  const old = age !== null && age > kind.lifeYears
  if (state === 'doubtful')
    return [
      finding('stop', 'battery.doubtful', `Battery, ${where}: it bulges or is furry.`, ['It is about to leak, or has begun to.', residue], commonPractice),
    ]
  return [
    finding(
      'care',
      'battery.in',
      `Battery, ${where}: still in.`,
      [
        old
          ? `It is ${age} years old; ${kind.title.toLowerCase()} lasts about ${kind.lifeYears}.`
          : age === null
            ? 'Its age is not known.'
            : `It is ${age} years old.`,
        residue,
        'Batteries come out first.',
      ],
      commonPractice,
      { heard: 'elsewhere' },
    ),
  ]
}

function ofTheCircuit({ charging, chemistry, fitted }: Battery): Finding[] {
  if (!fitted) return []
  const { rechargeable, title } = chemistries[chemistry]
  if (charging === 'yes' && rechargeable === false)
    return [
      finding(
        'stop',
        'battery.charged',
        `${title} must not be charged, and this circuit charges.`,
        'Charged, such a cell vents, leaks or bursts.',
        commonPractice,
        { heard: 'elsewhere' },
      ),
    ]
  if (charging === 'unknown' && rechargeable !== true)
    return [
      finding(
        'care',
        'battery.charging-unknown',
        'Whether the circuit charges it is not known.',
        'Follow it: a resistor and a diode from the 5 V rail to the cell charge it.',
        commonPractice,
      ),
    ]
  return []
}

function ofTheNewOne({ replacement, charging, chemistry }: Battery, school: Replacement, misfit: 'stop' | 'care' | null, nominalV: number | null): Finding[] {
  if (!replacement)
    return [finding('note', 'battery.school', `In its place, by the practice here: ${replacements[school].title.toLowerCase()}.`, replacements[school].means)]
  const { title, cellV, rechargeable } = chemistries[replacement.chemistry]
  const fitted = replacements[replacement.how]
  if (replacement.how === 'none') return [finding('fine', 'battery.none-fitted', 'Nothing is fitted in its place.', fitted.means)]
  const differs =
    replacement.how === school
      ? []
      : [
          finding(
            'note',
            'battery.other-school',
            `The practice here is another: ${replacements[school].title.toLowerCase()}.`,
            `${fitted.title}: ${fitted.means}`,
          ),
        ]
  const voltage = ofItsVoltage(replacement, nominalV)
  if (misfit) return [mischarged(misfit, replacement, chemistry), ...voltage, ...differs]
  const blocked =
    replacement.diode && cellV !== null
      ? [
          finding(
            'note',
            'battery.diode-drop',
            `Behind the diode about ${(cellV - diodeDropV[1]).toFixed(1)} to ${(cellV - diodeDropV[0]).toFixed(1)} V a cell are left.`,
            nominalV === null
              ? 'See that the clock chip keeps time with that.'
              : `The old one gave ${nominalV} V; see that the clock chip keeps time with less.`,
            commonPractice,
          ),
        ]
      : []
  const again =
    replacement.how === 'like-for-like'
      ? [finding('care', 'battery.again', 'It will leak one day, like the one before.', 'Write the date on it, and look at it every year.', commonPractice)]
      : []
  const starved =
    rechargeable && (charging === 'no' || replacement.diode)
      ? [
          finding(
            'care',
            'battery.not-charged',
            'A rechargeable cell is fitted where nothing charges it.',
            'It runs empty in some months, and leaks the sooner.',
            commonPractice,
          ),
        ]
      : []
  return [
    finding('fine', 'battery.replaced', `${fitted.title}, ${title.toLowerCase()}.`, fitted.means),
    ...voltage,
    ...blocked,
    ...again,
    ...starved,
    ...differs,
  ]
}

/** A cell that its circuit charges wrongly, or may. */
function mischarged(misfit: 'stop' | 'care', replacement: NonNullable<Battery['replacement']>, before: Battery['chemistry']): Finding {
  if (misfit === 'care')
    return finding(
      'care',
      'battery.perhaps-charged',
      'It is not known whether the replacement is charged, or may be.',
      'Follow the circuit, or fit a blocking diode.',
      commonPractice,
    )
  const { title, rechargeable } = chemistries[replacement.chemistry]
  return finding(
    'stop',
    'battery.mischarged',
    rechargeable
      ? `${title} must not be charged by a circuit made for ${chemistries[before].title.toLowerCase()}.`
      : `${title} must not be charged, and this circuit charges.`,
    'Charged wrongly, such a cell vents, leaks or bursts. Take it out, or fit a blocking diode.',
    commonPractice,
    { heard: 'elsewhere' },
  )
}

/** From the most to the least pressing, as the gate hears of several batteries. */
const pressing = ['leaking', 'residue', 'mischarged', 'in', 'unlooked', 'replaced', 'out'] as const

/** What the batteries on record say of the gate's fact; where none is on record, what somebody entered stands. */
export function batteryFact(entered: string | undefined, recorded: readonly BatteryResult['fact'][]): string | undefined {
  return recorded.length ? pressing.find(fact => recorded.includes(fact)) : entered
}
