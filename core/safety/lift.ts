import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export const grips = ['good', 'fair', 'poor'] as const
export type Grip = (typeof grips)[number]

/** Who lifts: the reference masses of ISO 11228-1, from memory. Nobody has to say; the most cautious holds then. */
export const lifters = {
  'not-said': { title: 'Not said', massKg: 15 },
  'man-20-45': { title: 'A man of 20 to 45', massKg: 25 },
  'woman-20-45': { title: 'A woman of 20 to 45', massKg: 20 },
  'man-other': { title: 'A younger or older man', massKg: 20 },
  'woman-other': { title: 'A younger or older woman', massKg: 15 },
} as const
export type Lifter = keyof typeof lifters
export const lifterNames = Object.keys(lifters) as Lifter[]

export interface LiftInput {
  massKg: number
  /** Who lifts, where somebody says so. */
  lifter?: Lifter
  /** Height of the hands at the start and at the end. */
  fromHeightCm: number
  toHeightCm: number
  /** How far the hands are from the ankles, level; 25 is close to the body. */
  reachCm?: number
  /** How far the body turns. */
  turnDeg?: number
  /** Handles are good, a smooth case is poor. */
  grip?: Grip
  stairs?: boolean
}

export interface LiftResult {
  /** What one practised adult may lift this way. */
  limitKg: number
  /** Mass over limit; above 1 it is too much for one. */
  index: number
  /** People needed; more than four means lifting gear. */
  people: number
  multipliers: { reach: number; height: number; distance: number; turn: number; grip: number }
  findings: Finding[]
}

const niosh = 'revised NIOSH lifting equation, Waters et al. 1993, from memory'
const loadConstantKg = 23
/** ISO 11228-1, from memory: nobody lifts more than this alone, whoever it is. */
export const referenceMassKg = 25
/**
 * Several people lift less than the sum of what each can: two thirds of it in twos, half in threes.
 * Source: HSE L23 guidance, from memory; in fours as in threes.
 */
const teamShares = [1, 2 / 3, 1 / 2, 1 / 2] as const
/** A machine has four corners. */
const peopleAtMost = teamShares.length

const gripMultiplier = (grip: Grip, heightCm: number) => (grip === 'poor' ? 0.9 : grip === 'fair' && heightCm < 75 ? 0.95 : 1)

/** RWL = 23 kg · HM · VM · DM · AM · CM at one end of the lift; with the reference mass of whoever lifts in its place where that is less. */
function limitAt(
  heightCm: number,
  constantKg: number,
  { reachCm, distanceCm, turnDeg, grip }: { reachCm: number; distanceCm: number; turnDeg: number; grip: Grip },
) {
  const multipliers = {
    reach: Math.min(1, 25 / reachCm),
    height: 1 - 0.003 * Math.abs(heightCm - 75),
    distance: Math.min(1, 0.82 + 4.5 / distanceCm),
    turn: 1 - 0.0032 * turnDeg,
    grip: gripMultiplier(grip, heightCm),
  }
  return { multipliers, limitKg: Object.values(multipliers).reduce((limit, m) => limit * m, constantKg) }
}

/**
 * How much may be lifted this way, and how many people this machine needs.
 *
 * The limit is taken at the worse end of the lift, for an occasional lift on a firm floor.
 * @param input mass in kg, heights and reach in cm, turn in degrees
 * @returns limit in kg, index, people needed, the multipliers at the worse end, findings
 * @throws InputError for a mass, height, reach or turn outside what the equation covers
 * Source: revised NIOSH equation (Waters et al. 1993, from memory); reference masses by sex and age (ISO 11228-1, from memory);
 *   share of a team (HSE L23, from memory).
 */
export function judgeLift(input: LiftInput): LiftResult {
  const { massKg, lifter = 'not-said', fromHeightCm, toHeightCm, reachCm = 40, turnDeg = 0, grip = 'fair', stairs = false } = input
  const within = (field: string, value: number, least: number, most: number, unit: string) => {
    if (!(value >= least && value <= most))
      throw new InputError(field, value, `${value} ${unit} is outside what can be judged. Give ${least} to ${most} ${unit}.`)
  }
  within('massKg', massKg, 0.1, 2000, 'kg')
  within('fromHeightCm', fromHeightCm, 0, 175, 'cm')
  within('toHeightCm', toHeightCm, 0, 175, 'cm')
  within('reachCm', reachCm, 10, 63, 'cm')
  within('turnDeg', turnDeg, 0, 135, '°')

  const referenceKg = lifters[lifter].massKg
  const distanceCm = Math.max(25, Math.abs(toHeightCm - fromHeightCm))
  const ends = [fromHeightCm, toHeightCm].map(height =>
    limitAt(height, Math.min(loadConstantKg, referenceKg), { reachCm: Math.max(25, reachCm), distanceCm, turnDeg, grip }),
  )
  const { limitKg, multipliers } = ends.reduce((worse, end) => (end.limitKg < worse.limitKg ? end : worse))
  const index = massKg / limitKg
  const enough = teamShares.findIndex((share, i) => massKg <= limitKg * (i + 1) * share + 1e-9)
  const byLimit = enough < 0 ? peopleAtMost + 1 : enough + 1
  const people = Math.max(byLimit, massKg > referenceKg ? 2 : 1)
  return { limitKg, index, people, multipliers, findings: judge(massKg, limitKg, people, stairs, lifter) }
}

function judge(massKg: number, limitKg: number, people: number, stairs: boolean, lifter: Lifter): Finding[] {
  const referenceKg = lifters[lifter].massKg
  const kg = (value: number) => `${value.toFixed(1)} kg`
  const because = [`${kg(massKg)} against ${kg(limitKg)}, the limit for one person this way.`]
  const findings = [
    people === 1
      ? finding('fine', 'lift.one', 'Within the limit for one practised adult.', because, niosh)
      : people <= peopleAtMost
        ? finding(
            'care',
            'lift.team',
            `${people} people are needed.`,
            [...because, 'Together people lift less than the sum of what each can: two thirds of it in twos, half in threes.'],
            `${niosh}; HSE L23, from memory`,
          )
        : finding('stop', 'lift.gear', 'Too heavy to be lifted by hand this way. Use a trolley, a lift table or a hoist.', because, niosh),
  ]
  if (massKg > referenceKg)
    findings.push(
      finding(
        'care',
        'lift.reference-mass',
        `More than the ${referenceKg} kg that ${lifter === 'not-said' ? 'anybody may be asked to lift' : `${lifters[lifter].title.toLowerCase()} should lift`} under the best conditions.`,
        `${kg(massKg)} against ${referenceKg} kg.${lifter === 'not-said' ? ' Who lifts was not said, so the most cautious figure holds.' : ''}`,
        'ISO 11228-1, from memory',
      ),
    )
  if (stairs)
    findings.push(
      finding(
        massKg > referenceMassKg ? 'stop' : 'care',
        'lift.stairs',
        massKg > referenceMassKg
          ? 'Not up or down stairs by hand. Take it apart, or use a stair climber.'
          : 'Stairs: clear them, and keep somebody below who carries nothing.',
        'The equation is for a firm, level floor; stairs are how backs are hurt.',
        commonPractice,
      ),
    )
  return findings
}
