import type { Assessment } from '#core/planning/assess'
import type { ArriveRows } from '../chapters/arrive/rows'
import type { CleaningRows } from '../chapters/cleaning/rows'
import type { ContinuityRows } from '../chapters/continuity/rows'
import type { WorkshopRows } from '../chapters/workshop/rows'
import type { FaultsRows } from '../chapters/faults/rows'
import type { HomeRows } from '../chapters/home/rows'
import type { LookRows } from '../chapters/look/rows'
import type { models } from '../chapters/models/schema'
import type { OpeningRows } from '../chapters/opening/rows'
import type { PartsRows } from '../chapters/parts/rows'
import type { PlanRows } from '../chapters/plan/rows'
import type { PowerRows } from '../chapters/power/rows'
import type { practice } from '../chapters/practice/schema'
import type { ProvingRows } from '../chapters/proving/rows'
import type { SharingRows } from '../chapters/sharing/rows'
import type { StartsRows } from '../chapters/starts/rows'
import type { StewardshipRows } from '../chapters/stewardship/rows'
import type { supplies } from '../chapters/supplies/schema'
import type { WaitsRows } from '../chapters/waits/rows'
import type { Tx } from './journal'
import type { machines } from './trunk'

export type MachineRow = typeof machines.$inferSelect
/** Machines of the same model, counted: how many there are besides this one, with a battery that leaked, and signed off. */
export interface SistersCounted {
  all: number
  leaked: number
  signedOff: number
}

/** Everything that is kept of one machine, gathered; what the rules of the core are asked about. */
export type MachineFile = {
  machine: MachineRow
  model: typeof models.$inferSelect | null
  /** The supply of the collection that it runs from. */
  supply: typeof supplies.$inferSelect | null
  practice: typeof practice.$inferSelect
  sisters: SistersCounted
} & ArriveRows &
  StewardshipRows &
  LookRows &
  OpeningRows &
  PowerRows &
  StartsRows &
  WaitsRows &
  CleaningRows &
  WorkshopRows &
  ContinuityRows &
  FaultsRows &
  PartsRows &
  ProvingRows &
  HomeRows &
  SharingRows &
  PlanRows

/** What a chapter is given to make its part of a sheet. */
export interface ViewInput {
  tx: Tx
  file: MachineFile
  assessment: Assessment
  /** Instant in UTC with milliseconds. */
  now: string
}
