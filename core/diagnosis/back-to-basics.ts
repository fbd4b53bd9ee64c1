import { type Finding, commonPractice, finding } from '../kernel/finding'

/** What a fault was looked into by: rungs of the ladder, and whatever else. */
export const attemptAreas = ['rails', 'damage', 'clock', 'processor', 'memory', 'video', 'keyboard', 'storage', 'ports', 'swap', 'other'] as const
export type AttemptArea = (typeof attemptAreas)[number]
export const attemptAreaNames: Record<AttemptArea, string> = {
  rails: 'Rails',
  damage: 'The damaged zone',
  clock: 'Clock and reset',
  processor: 'Is code being executed',
  memory: 'Memory and ROM',
  video: 'Video',
  keyboard: 'Keyboard',
  storage: 'Drives and media',
  ports: 'Ports',
  swap: 'A swap',
  other: 'Something else',
}
export type TheoryState = 'held' | 'struck' | 'confirmed'

export interface FaultSoFar {
  open: boolean
  attempts: readonly { area: AttemptArea; minutes: number | null }[]
  theories: readonly { state: TheoryState; damaged: boolean }[]
  /** Damage is known on this machine: marks, broken nets, a battery that leaked. */
  damageKnown: boolean
  /** A rail was read in any start, on the machine as it is. */
  railsRead: boolean
  /** Every probe sheet of the damaged zone is answered. */
  zoneProbed: boolean
}

/** So long on one fault is long; so many theories refuted are many. Common practice, no source. */
const longMinutes = 120
const manyStruck = 3

/** What has to be looked at first and was not, in its order. */
export function basicsLeft({ attempts, damageKnown, railsRead, zoneProbed }: Omit<FaultSoFar, 'open' | 'theories'>): AttemptArea[] {
  const tried = (area: AttemptArea) => attempts.some(a => a.area === area)
  return [
    ...(railsRead || tried('rails') ? [] : (['rails'] as const)),
    ...(!damageKnown || zoneProbed || tried('damage') ? [] : (['damage'] as const)),
    ...(tried('clock') ? [] : (['clock'] as const)),
  ]
}

/**
 * Whether a fault has to go back to basics, and why: people lose days on a picture because the screen is wrong, while the damaged zone was never probed.
 * Common practice, no source.
 */
export function backToBasics(fault: FaultSoFar): Finding[] {
  if (!fault.open) return []
  const minutes = fault.attempts.reduce((sum, a) => sum + (a.minutes ?? 0), 0)
  const struck = fault.theories.filter(t => t.state === 'struck').length
  const held = fault.theories.filter(t => t.state === 'held')
  const farOff = fault.damageKnown && held.length > 0 && !held.some(t => t.damaged)
  const why = [
    ...(minutes >= longMinutes ? [`It has taken ${Math.round(minutes / 6) / 10} hours.`] : []),
    ...(struck >= manyStruck ? [`${struck} theories have been refuted.`] : []),
    ...(farOff ? ['Damage is known, and no theory that is held concerns it.'] : []),
  ]
  const left = basicsLeft(fault)
  if (!why.length || (!left.length && !farOff)) return []
  const first = left.map(a => attemptAreaNames[a].toLowerCase())
  return [
    finding(
      'care',
      'fault.basics',
      `Back to basics${first.length ? `: ${first.join(', then ')}` : ': the damaged zone again'}.`,
      why.join(' '),
      commonPractice,
    ),
  ]
}
