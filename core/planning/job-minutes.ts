import { median } from 'simple-statistics'

/**
 * How long a job of each kind takes at first, in minutes, until jobs of its kind have been timed here.
 * Our own guesses, from common practice, no source: they only have to be right enough for an evening to be dealt out.
 */
const ruledMinutes: Record<string, number> = {
  'take-away': 10,
  'corrosion-grows': 40,
  'battery-sister': 45,
  'battery-home': 40,
  'battery-replace': 30,
  'fixing-missing': 20,
  'consent': 15,
  'wait-over': 20,
  'look': 40,
  'grade-again': 15,
  'checks': 30,
  'interventions': 30,
  'path': 15,
  'assess': 30,
  'hazards': 25,
  'part': 20,
  'fault-new': 45,
  'fault-open': 60,
  'fault-basics': 60,
  'rail-drift': 40,
  'soak': 30,
  'build-up': 40,
  'test-sheet': 45,
  'retest-due': 45,
  'bulletin': 15,
  'sign-off': 30,
  'life': 10,
  'move-on': 5,
  'retest': 40,
  'contamination': 40,
  'weigh': 10,
  'measure-colour': 15,
  'cleaning-step': 40,
  'relook': 10,
  'gate.rails': 45,
}
const otherwise = 30

/** Jobs of one kind take about as long: the kind is the move's code, without what only names a place on one machine. */
export const kindOfJob = (code: string): string => code.split('.').slice(0, 2).join('.')

/** So many timed jobs of a kind are needed before their median counts. */
export const enoughTimed = 3

export interface MinutesGuess {
  minutes: number
  /** How the guess was come by, as people read it. */
  basis: string
}

/** @param takenMinutes how long jobs of this kind took here */
export function guessMinutes(code: string, takenMinutes: readonly number[]): MinutesGuess {
  const kind = kindOfJob(code)
  if (takenMinutes.length >= enoughTimed)
    return { minutes: Math.max(5, Math.round(median([...takenMinutes]) / 5) * 5), basis: `the median of ${takenMinutes.length} such jobs here` }
  const timed = takenMinutes.length ? `; ${takenMinutes.length} of ${enoughTimed} timed here so far` : ''
  return { minutes: ruledMinutes[kind] ?? otherwise, basis: `by rule${timed}` }
}

/** A job that was finished, with what was guessed before. */
export interface TimedJob {
  guessMinutes: number
  takenMinutes: number
}

/**
 * How outcomes compare with guesses: the median of taken over guessed. Nothing is said before there are enough.
 * @returns the ratio, how many jobs it rests on, and a kind sentence
 */
export function guessAgainstOutcome(jobs: readonly TimedJob[]): { ratio: number; jobs: number; says: string } | null {
  const ratios = jobs.filter(j => j.guessMinutes > 0).map(j => j.takenMinutes / j.guessMinutes)
  if (ratios.length < enoughTimed) return null
  const ratio = median(ratios)
  const rounded = ratio.toFixed(1)
  const says =
    rounded === '1.0'
      ? `Guesses have been about right: the median of ${ratios.length} jobs.`
      : `Jobs have taken ${rounded} times the guess, the median of ${ratios.length}. ${ratio > 1 ? 'Jobs grow; the guesses grow with them.' : 'There was time to spare.'}`
  return { ratio, jobs: ratios.length, says }
}
