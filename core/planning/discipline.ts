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
  moves?: (known: MachineKnown) => RankedMove[]
  /** Instants at which something changes by time alone; those that have passed are left out by whoever merges. */
  due?: (known: MachineKnown) => string[]
}

export interface RunStep {
  says: string
  done: boolean
}

export interface NextMove {
  code: string
  says: string
  why: string
  who: string
  skill?: Skill
  stage: Stage
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
  'part',
  'new-fault',
  'open-fault',
  'sign-off',
  'life',
  'retest',
] as const
export type Band = (typeof bands)[number]
export interface RankedMove extends NextMove {
  band: Band
}

interface Told {
  says: string
  why: string
  who?: string
  skill?: Skill
}

/** One next move of a band; a bench volunteer's unless somebody else is named. */
export const move = (band: Band, code: string, stage: Stage, { says, why, who = 'a bench volunteer', skill }: Told): RankedMove => ({
  band,
  code,
  stage,
  says,
  why,
  who,
  ...(skill ? { skill } : {}),
})

export const step = (says: string, done: boolean): RunStep => ({ says, done })

/** Up to three names, and how many more. */
export const someOf = (names: string[]) => (names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', '))
