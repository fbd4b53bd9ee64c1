import type { Spec } from '../substitute/compare'
import type { CapacitorVerdict } from './measured'

/** Which capacitors are changed, and when; practitioners disagree. */
export const capacitorSchools = {
  'all-first': { title: 'All before power', means: 'Every old electrolytic and paper one is changed before it is powered at all.' },
  'line-filter': { title: 'Line filter only', means: 'Those across the mains line are changed; the others stay while they test good.' },
  'after-start': { title: 'Listed, started, then all', means: 'All are listed; one attended start shows how it stands, and then all are changed.' },
  'stressed': { title: 'Stressed parts first', means: 'Those in heat, with much ripple or across the line are changed; the others stay while they test good.' },
  'evidence': { title: 'On evidence', means: 'One is changed because something was seen or measured of it, and for nothing else.' },
} as const
export type CapacitorSchool = keyof typeof capacitorSchools
export const capacitorSchoolNames = Object.keys(capacitorSchools) as [CapacitorSchool, ...CapacitorSchool[]]

/** What is done about one: changed now, once it was started, or left while nothing speaks against it. */
export const dues = { 'now': 'Change it', 'after-start': 'Change it after the first start', 'stays': 'Stays' } as const
export type Due = keyof typeof dues

export interface JudgedCapacitor {
  spec: Spec
  stressed: boolean
  /** It bulges, leaks or is cracked. */
  looksBad: boolean
  verdict: CapacitorVerdict | null
}

/** What often sits in the same heat, and is looked at while the iron is hot. Common practice, no source. */
export const heatNeighbours = ['pass transistor', 'rectifier'] as const

/** Across the line, or from it to earth. */
const isLineFilter = ({ spec }: Pick<JudgedCapacitor, 'spec'>): boolean => spec.safetyClass !== undefined && spec.safetyClass !== 'none'
/** Made of what dries out or cracks with age. */
const ages = ({ spec }: Pick<JudgedCapacitor, 'spec'>) =>
  spec.technology === undefined || ['electrolytic', 'paper', 'tantalum', 'polymer'].includes(String(spec.technology)) || isLineFilter({ spec })

/**
 * What this school does about one capacitor. What looks or measures bad is changed by each of them.
 * @param started whether an attended start is on record
 * Source: common practice, no source; practitioners disagree, so the collection chooses.
 */
export function recapDue(one: JudgedCapacitor, school: CapacitorSchool, started: boolean): { due: Due; why: string } {
  if (one.looksBad) return { due: 'now', why: 'It bulges, leaks or is cracked.' }
  if (one.verdict === 'bad') return { due: 'now', why: 'It measures bad.' }
  const by = (due: Due, why: string) => ({ due, why: `${capacitorSchools[school].title}: ${why}` })
  if (school === 'evidence') return by('stays', one.verdict === 'suspect' ? 'it is suspect; measure it again under voltage.' : 'nothing speaks against it.')
  if (!ages(one)) return by('stays', 'film and ceramic ones hardly age.')
  if (school === 'all-first') return by('now', 'it is old.')
  if (school === 'after-start') return started ? by('now', 'it has been started.') : by('after-start', 'it is listed until one attended start was made.')
  if (isLineFilter(one)) return by('now', 'it is across the mains line.')
  if (school === 'stressed' && one.stressed) return by('now', 'it sits in heat, or carries much ripple.')
  return by('stays', 'it is none of those that are changed.')
}
