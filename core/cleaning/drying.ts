import { significant } from '../kernel/figure'
import { type Band, exponentialAlone, fitApproach, slopeOf } from '../kernel/approach'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

export interface DryingInput {
  /** One weighing each: hours since it was laid out to dry, and its mass. */
  weighings: { atHours: number; massG: number }[]
  /** How far one weighing may be off: the last digit of the scales, or what two weighings of the same differ. */
  errorG?: number
  /** So much water left counts as dry. */
  leftG?: number
  /** Hours since it was laid out, by now; the last weighing where nobody says. */
  nowHours?: number
}
export const dryingStates = ['too-few', 'rises', 'cannot-tell', 'drying', 'dry'] as const
export type DryingState = (typeof dryingStates)[number]
export const dryingWords: Record<DryingState, string> = {
  'too-few': 'Not yet enough readings',
  'rises': 'Not drying: the readings rise',
  'cannot-tell': 'Cannot tell yet',
  'drying': 'Still drying',
  'dry': 'Dry by its mass',
}
export interface DryingResult {
  state: DryingState
  /** The mass it comes to, and the time in which all but a third of the water goes. */
  dryMassG: Band | null
  tauHours: number | null
  /** Water left now. */
  leftNowG: Band | null
  /** When less than the chosen amount is left, in hours since it was laid out: at the earliest, most likely, at the latest. */
  dryAtHours: Band | null
  /** When weighing it again would tell most, in hours since it was laid out. */
  weighAgainAtHours: number
  findings: Finding[]
}

const usualErrorG = 0.1
const usualLeftG = 0.2
/** No more than this is forecast: what takes longer wants another way of drying. */
const horizonHours = 24 * 60
const fewestWeighings = 4

/**
 * From a series of weighings: what it weighs dry, how quickly it dries, and when too little water is left to matter.
 *
 * m(t) = m_dry + (m₀ − m_dry)·d(t/τ), the falling-rate part of drying, in any of the shapes of `fitApproach`: with a slow remainder too, as of
 * water under chips. The bands are the union over all that the weighings allow, and never narrower than the scales can show; what they cannot
 * show yet is asked about. The mass alone never says that a board may be powered.
 * @throws InputError for times and masses that are none
 */
export function judgeDrying({ weighings, errorG = usualErrorG, leftG = usualLeftG, nowHours }: DryingInput): DryingResult {
  check(weighings, errorG, leftG)
  const points = weighings.map(({ atHours, massG }) => ({ at: atHours, value: massG })).sort((a, b) => a.at - b.at)
  const last = points.at(-1)?.at ?? 0
  const now = nowHours ?? last
  if (!(now >= last && now <= 20_000)) throw new InputError('nowHours', nowHours, 'Now: not before the last weighing.')
  const times = new Set(points.map(p => p.at)).size
  const untold = rises(points, times, errorG, now) ?? tooFew(points, times, now)
  if (untold) return untold

  const fit = fitApproach(points, errorG)
  const scattered = scatters(fit, errorG)
  if (!fit.bounded)
    return {
      state: 'cannot-tell',
      ...nothing,
      weighAgainAtHours: now + Math.max(0.5, last / 2),
      findings: [
        finding(
          'note',
          'drying.cannot-tell',
          'It cannot be told yet where this ends.',
          'The readings fit a straight line just as well. Weigh again, later rather than sooner.',
        ),
        ...scattered,
      ],
    }

  // Less than the scales show is not known to be left, and not known to be gone.
  const shownG = Math.max(errorG, fit.sigma)
  const left = fit.leftAt(now)
  const leftNowG = { low: Math.max(0, left.low), mid: Math.max(0, left.mid), high: Math.max(shownG, left.high) }
  const wantedG = Math.max(leftG, shownG)
  const reached = (edge: keyof Band) => firstBelow(at => fit.leftAt(at)[edge], wantedG)
  const dryAtHours = { low: reached('low'), mid: reached('mid'), high: reached('high') }
  const dry = leftNowG.high <= wantedG
  // What a single approach would leave, beside what a slow remainder may: the difference is what has to be asked about.
  const alone = fitApproach(points, errorG, exponentialAlone).leftAt(now)
  const deepG = leftNowG.high - Math.max(shownG, alone.high)
  const reference = `${points.length} weighings, ± ${three(fit.sigma)} g each; a time constant of ${three(fit.tau)} h${fit.shape === 'exponential' ? '' : ', and no plain exponential'}.`
  return {
    state: dry ? 'dry' : 'drying',
    dryMassG: fit.endBand,
    tauHours: fit.tau,
    leftNowG,
    dryAtHours,
    // What is slow shows only in time: each wait is a quarter longer than all before.
    weighAgainAtHours: now + Math.max(0.5, now / 4, Math.min(fit.tau, dry ? fit.tau : Math.max(0, dryAtHours.low - now))),
    findings: [
      dry
        ? finding('fine', 'drying.dry', `Dry by its mass: at most ${three(leftNowG.high)} g is left.`, reference)
        : finding('note', 'drying.drying', `Still drying: ${three(leftNowG.low)} to ${three(leftNowG.high)} g is left.`, reference),
      ...(!dry && deepG > wantedG / 2 ? [remainder(leftNowG.high, Math.max(fit.tau, last))] : []),
      ...(shownG > leftG ? [scalesTooCoarse(shownG, leftG)] : []),
      ...(dryAtHours.high >= horizonHours && !dry ? [slow] : []),
      underChips,
      ...scattered,
    ],
  }
}

const nothing = { dryMassG: null, tauHours: null, leftNowG: null, dryAtHours: null }

function check(weighings: DryingInput['weighings'], errorG: number, leftG: number): void {
  if (!(errorG > 0 && errorG <= 1000)) throw new InputError('errorG', errorG, 'Error of one weighing in g: more than 0 and up to 1000, please.')
  if (!(leftG > 0 && leftG <= 1000)) throw new InputError('leftG', leftG, 'Water that may be left in g: more than 0 and up to 1000, please.')
  if (weighings.length > 200) throw new InputError('weighings', weighings.length, 'Up to 200 weighings, please.')
  weighings.forEach(({ atHours, massG }, i) => {
    if (!(atHours >= 0 && atHours <= 10_000)) throw new InputError(`weighings.${i}.atHours`, atHours, 'Hours: from 0 to 10000, please.')
    if (!(massG > 0 && massG <= 200_000)) throw new InputError(`weighings.${i}.massG`, massG, 'Mass in g: more than 0 and up to 200000, please.')
  })
}

type Points = { at: number; value: number }[]

/** Whether the readings rise, beyond what the scales explain. */
function rises(points: Points, times: number, errorG: number, now: number): DryingResult | undefined {
  if (points.length < 3 || times < 2) return undefined
  const { slope, error } = slopeOf(points, errorG)
  if (slope <= 2 * error) return undefined
  return {
    state: 'rises',
    ...nothing,
    weighAgainAtHours: now + 1,
    findings: [
      finding('stop', 'drying.rises', 'Not drying: the readings rise.', [
        `By ${three(slope)} g an hour, ± ${three(2 * error)}.`,
        'It is taking up damp, or something else is on the scales.',
      ]),
    ],
  }
}

function tooFew(points: Points, times: number, now: number): DryingResult | undefined {
  if (points.length >= fewestWeighings && times >= fewestWeighings) return undefined
  return {
    state: 'too-few',
    ...nothing,
    weighAgainAtHours: now + Math.max(0.5, (points.at(-1)?.at ?? 0) / 2),
    findings: [
      finding(
        'note',
        'drying.too-few',
        `Not yet enough readings: ${times} of ${fewestWeighings}.`,
        'Three figures make a curve, and the fourth says whether it is the right one.',
      ),
    ],
  }
}

const scatters = (fit: { scatters: boolean; sigma: number }, errorG: number): Finding[] =>
  fit.scatters
    ? [
        finding('care', 'drying.scatters', 'The readings scatter more than the scales explain.', [
          `By ${three(fit.sigma)} g rather than ${three(errorG)} g.`,
          'Weigh it the same way each time, cool, with nothing else on the scales.',
        ]),
      ]
    : []

const remainder = (mostG: number, againAfterHours: number): Finding =>
  finding(
    'care',
    'drying.remainder',
    `Up to ${three(mostG)} g may leave slowly. Is there anything that holds water: chips on the board, sockets, windings, foam, a label?`,
    [
      'These weighings cannot tell it from a dry mass that is a little higher; longer ones can.',
      `Weigh again after ${hoursInWords(againAfterHours)}, as exactly as the scales go.`,
    ],
  )
const scalesTooCoarse = (shownG: number, leftG: number): Finding =>
  finding(
    'note',
    'drying.scales',
    `These scales show no less than ${three(shownG)} g: that is what is judged, and not ${three(leftG)} g.`,
    'Less may be left and is not seen. Weigh more exactly, or weigh less at once.',
  )
const slow = finding(
  'care',
  'drying.slow',
  'It may take more than sixty days this way.',
  'Warmer, drier or moving air; or lift what holds the water.',
  commonPractice,
)
const underChips = finding(
  'note',
  'drying.under',
  'Mass says nothing of water under a chip or in a transformer.',
  'There is little of it, and it leaves last. Wait longer, and look there.',
  commonPractice,
)

/** The first instant, to a minute, at which something that falls is no more than an amount; the horizon where it is not reached before. */
function firstBelow(value: (at: number) => number, amount: number): number {
  if (value(0) <= amount) return 0
  let [low, high] = [0, horizonHours]
  if (value(high) > amount) return horizonHours
  while (high - low > 1 / 60) {
    const middle = (low + high) / 2
    if (value(middle) > amount) low = middle
    else high = middle
  }
  return high
}
const hoursInWords = (h: number) => (h < 36 ? `${Math.max(1, Math.round(h))} h` : `${Math.round(h / 24)} days`)
const three = (n: number) => String(significant(n))
