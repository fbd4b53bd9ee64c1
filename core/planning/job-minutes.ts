import { median } from 'simple-statistics'

/**
 * What is known of moves by their kind: how long one takes at first, in minutes, until jobs of its kind have been timed here; whether it is done with
 * the machine running, at least in part; whether it can only be waited for; whether it is done to find something out.
 * Our own guesses, from common practice, no source: they only have to be right enough for an evening to be dealt out.
 */
const jobKinds: Record<string, { minutes: number; finds?: true; powered?: true; waits?: true }> = {
  'take-away': { minutes: 10 },
  'corrosion-grows': { minutes: 40 },
  'battery-sister': { minutes: 45 },
  'battery-home': { minutes: 40 },
  'battery-replace': { minutes: 30 },
  'fixing-missing': { minutes: 20 },
  'consent': { minutes: 15 },
  'wait-over': { minutes: 20 },
  'look': { minutes: 40, finds: true },
  'grade-again': { minutes: 15, finds: true },
  'checks': { minutes: 30, finds: true },
  'interventions': { minutes: 30, finds: true },
  'path': { minutes: 15 },
  'assess': { minutes: 30 },
  'hazards': { minutes: 25, finds: true },
  'part': { minutes: 20 },
  'recap': { minutes: 90 },
  'inventory.sockets': { minutes: 20 },
  'inventory.look': { minutes: 40 },
  'fault-new': { minutes: 45, finds: true, powered: true },
  'fault-open': { minutes: 60, finds: true, powered: true },
  'fault.stops': { minutes: 30, finds: true },
  'fault-basics': { minutes: 60, finds: true, powered: true },
  'rail-drift': { minutes: 40, finds: true, powered: true },
  'soak': { minutes: 30, powered: true },
  'build-up': { minutes: 40, powered: true },
  'test-sheet': { minutes: 45, finds: true, powered: true },
  'retest-due': { minutes: 45, finds: true, powered: true },
  'bulletin': { minutes: 15, finds: true },
  'sign-off': { minutes: 30, powered: true },
  'life': { minutes: 10 },
  'move-on': { minutes: 5 },
  'retest': { minutes: 40, finds: true, powered: true },
  'contamination': { minutes: 40 },
  'weigh': { minutes: 10 },
  'measure-colour': { minutes: 15 },
  'cleaning-step': { minutes: 40 },
  'relook': { minutes: 10, finds: true },
  'gate.rails': { minutes: 45, finds: true },
  'wait.contamination': { minutes: 40, waits: true },
}
const otherwise = 30

/** Jobs of one kind take about as long: the kind is the move's code, without what only names a place on one machine. */
export const kindOfJob = (code: string): string => code.split('.').slice(0, 2).join('.')

/** Whether it is done with the machine running, at least in part. */
export const needsPower = (code: string): boolean => jobKinds[kindOfJob(code)]?.powered ?? false
/** Whether it can only be waited for. */
export const onlyWaits = (code: string): boolean => jobKinds[kindOfJob(code)]?.waits ?? false
/** Whether it is done to find something out: whoever ends it is asked what was found. */
export const findsSomething = (code: string): boolean => jobKinds[kindOfJob(code)]?.finds ?? false

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
  return { minutes: jobKinds[kind]?.minutes ?? otherwise, basis: `by rule${timed}` }
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
