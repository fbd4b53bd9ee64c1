import type { Life, Stage } from './stages'

/** What belongs to no single discipline. */
export interface TrunkRecord {
  stage: Stage
  life: Life | null
  /** When it was booked in; an instant in UTC. */
  bookedInAt: string
}

/**
 * Everything that the disciplines ask of one machine's records. Each adds its own where it declares itself,
 * by `declare module '../kernel/machine' { interface MachineRecord extends … }`: nobody keeps a list.
 */
export interface MachineRecord extends TrunkRecord {}

/** One machine as it is known at one moment, with no names of people in it: what every discipline makes of it, added in the same way. */
export interface MachineKnown extends TrunkRecord {
  /** The moment that all of this is said for. */
  now: string
}
