import type { Presence } from '../condition/grades'
import type { RailVerdict } from '../power/rails'
import type { GateResult, GateVerdict } from '../safety/gate'
import type { PowerFacts } from '../safety/power-facts'
import type { Life, Stage } from './stages'

/** One machine as the planning rules see it: what is known, at one moment, with no names of people in it. */
export interface MachineState {
  stage: Stage
  identified: boolean
  provenanceKnown: boolean
  lastPoweredKnown: boolean
  accessoriesNoted: boolean
  assemblies: { name: string, presence: Presence, grade: number | null }[]
  /** Checks that damage implies. */
  checks: { says: string, why: string, done: boolean }[]
  /** Fixings that were not counted back, with the step they belong to. */
  fixingsMissing: { says: string, where: string }[]
  /** What somebody did before us and nobody understands yet. */
  interventionsOpen: number
  /** It belongs to somebody else, and nobody has recorded what may be done. */
  consentWanted: boolean
  pathChosen: boolean
  facts: PowerFacts
  gate: GateResult
  gateInForce: GateVerdict
  /** Hazards that nobody has confirmed or ruled out. */
  hazardsSuspected: { title: string, evidence: string }[]
  cleanings: number
  waits: { what: string, over: boolean }[]
  faults: { symptom: string, stopsMachine: boolean, open: boolean, observations: number, repairs: number }[]
  wantedParts: { name: string, stopsStart: boolean }[]
  rails: { name: string, verdict: RailVerdict }[]
  railsVerdict: RailVerdict
  signedOff: boolean
  /** Whether everything of it is connected. */
  whole: boolean
  /** Batteries that are out, with what the practice puts in their place. */
  batteriesToReplace: { where: string, by: string }[]
  /** Whether the model is known for leaking batteries. */
  modelBatteryLeaks: boolean
  life: Life | null
  /** Whole days since it was booked in. */
  daysHere: number
  /** Machines of the same model whose battery was found leaking. */
  sistersWithLeakedBattery: number
}

/** An assembly is done once it was found missing, or found present and graded. */
export const lookedAt = (a: MachineState['assemblies'][number]) => a.presence === 'missing' || (a.presence === 'present' && a.grade !== null)
