import type { CleaningFacts } from '../cleaning/rules'
import type { ConditionFacts } from '../condition/rules'
import type { ContinuityFacts } from '../continuity/rules'
import type { DiagnosisFacts } from '../diagnosis/rules'
import type { IdentifyFacts } from '../identify/rules'
import type { OpeningFacts } from '../opening/rules'
import type { PartsFacts } from '../parts/rules'
import type { PowerFactsKnown } from '../power/rules'
import type { RetestFacts } from '../retest/rules'
import type { SharingFacts } from '../sharing/rules'
import type { SafetyFacts } from '../safety/rules'
import type { StewardshipFacts } from '../stewardship/rules'
import type { Life, Stage } from './stages'

/** What belongs to no single discipline. */
export interface TrunkFacts {
  stage: Stage
  life: Life | null
  /** The moment that all of this is said for. */
  now: string
  /** When it was booked in. */
  bookedInAt: string
}

/** One machine as the planning rules see it: what every discipline knows of it at one moment, with no names of people in it. */
export type MachineKnown = TrunkFacts &
  IdentifyFacts &
  StewardshipFacts &
  ConditionFacts &
  OpeningFacts &
  PowerFactsKnown &
  SafetyFacts &
  CleaningFacts &
  DiagnosisFacts &
  ContinuityFacts &
  PartsFacts &
  RetestFacts &
  SharingFacts
