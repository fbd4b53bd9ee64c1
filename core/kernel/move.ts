import type { Skill } from './skills'
import type { Stage } from './stages'

/**
 * The order of the work between disciplines: harm first, then what blocks, then what brings the machine on.
 * Source: common practice, no source.
 */
export const bands = [
  'alarm',
  'harm',
  'loose',
  'owner',
  'wait-over',
  'keeps-off',
  'look',
  'checks',
  'before-us',
  'path',
  'assess',
  'suspicion',
  'guarded',
  'replace',
  'clean',
  'part',
  'new-fault',
  'open-fault',
  'sign-off',
  'life',
  'retest',
] as const
export type Band = (typeof bands)[number]

export interface NextMove {
  band: Band
  code: string
  says: string
  why: string
  who: string
  skill?: Skill
  stage: Stage
  /** Only a coordinator may. */
  coordinator?: true
  /** Two people at once: one at the switch, one at the probe. */
  pair?: true
}

interface Told extends Pick<NextMove, 'skill' | 'coordinator' | 'pair'> {
  says: string
  why: string
  who?: string
}

/** One next move of a band; a bench volunteer's unless somebody else is named. */
export const move = (band: Band, code: string, stage: Stage, { says, why, who, ...more }: Told): NextMove => ({
  band,
  code,
  stage,
  says,
  why,
  who: who ?? (more.coordinator ? 'the coordinator' : 'a bench volunteer'),
  ...more,
})

/** Up to three names, and how many more. */
export const someOf = (names: string[]) => (names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', '))
