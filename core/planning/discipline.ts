import type { Heard } from '../safety/heard'
import type { Skill } from '../safety/skills'
import type { MachineRecord } from './assess'
import type { MachineKnown } from './machine-known'
import type { Stage } from './stages'

/**
 * What a discipline adds to a machine, in one shape: what of its records the gate hears, its steps in the run, its next moves,
 * and when it is to be looked at again.
 * Each declares its own in `<discipline>/rules.ts`; the run, the moves and the due instant only merge them.
 */
export interface Discipline {
  /** What the gate hears of its records. @param now instant in UTC */
  heard?: (record: MachineRecord, now: string) => Heard[]
  steps?: Partial<Record<Stage, (known: MachineKnown) => RunStep[]>>
  moves?: (known: MachineKnown) => NextMove[]
  /** Instants at which something changes by time alone; those that have passed are left out by whoever merges. */
  due?: (known: MachineKnown) => string[]
}

export interface RunStep {
  says: string
  done: boolean
}

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

export const step = (says: string, done: boolean): RunStep => ({ says, done })

/** Up to three names, and how many more. */
export const someOf = (names: string[]) => (names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', '))
