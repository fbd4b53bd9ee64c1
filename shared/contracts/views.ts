import { z } from 'zod'
import { presences } from '#core/condition/grades'
import { damageKinds, severities } from '#core/condition/damage'
import { type InterventionKind, interventionKinds, interventionStates } from '#core/condition/interventions'
import { type Path, paths } from '#core/condition/triage'
import { type WorkAsked, worksAsked } from '#core/stewardship/consent'
import { lives, stages } from '#core/planning/stages'
import { offVerdicts } from '#core/power/off-state'
import { replacementNames } from '#core/power/battery'
import { loads, railVerdicts } from '#core/power/rails'
import type { Inlet } from '#core/power/supply-match'
import { gateVerdicts } from '#core/safety/gate'
import type { Letter } from '#core/stewardship/letter'
import type { CommandName } from './commands'
import { BatteryView, ConfigurationShape, StartView, SupplyView, TemperatureView } from './power'
import { CorrosionInputs, DatingShape, ExpectedRail, Finding, GateShape, HazardShape, JudgedRail, MarkShape, OpeningStepShape, PowerFactsShape, ScaleShape, SchoolShape, SignificanceShape, SkillShape, TriageShape } from './shapes'
import { acquisitions, checkOutcomes, claimVerdicts, partOutcomes, roles } from './vocabulary'

/** What the server answers with. */

const id = z.number()
const s = z.string()
const b = z.boolean()

export const Practice = z.object({ version: z.number(), name: s, school: SchoolShape, numbering: s, zone: s, currency: s, batterySchool: z.enum(replacementNames as ['none', ...typeof replacementNames]), meterHost: s, meterPort: z.number().nullable() })
export const PersonView = z.object({ id, version: z.number(), name: s, signInName: s, role: z.enum(roles), active: b, skills: z.array(SkillShape) })

export const SessionView = z.object({
  person: z.object({ id, name: s, role: z.enum(roles), may: z.array(s as unknown as z.ZodType<CommandName>) }).nullable(),
  needsFirstStart: b,
  collection: z.object({ name: s, zone: s }).nullable(),
  /** Everybody who may sign in, and what they have been granted; empty before one has signed in. */
  crew: z.array(z.object({ id, name: s, role: z.enum(roles), skills: z.array(SkillShape) })),
  /** The made-up people of the demo, on its sign-in page; nowhere else. */
  demoSignIns: z.array(z.object({ name: s, signInName: s, password: s, role: z.enum(roles) })),
})

export const WaitView = z.object({ id, what: s, startedAt: s, until: s, over: b })
export const NextMoveView = z.object({ code: s, says: s, why: s, who: s, skill: SkillShape.optional(), stage: z.enum(stages) })
const StageView = z.object({ stage: z.enum(stages), title: s, done: z.number(), of: z.number(), share: z.number(), steps: z.array(z.object({ says: s, done: b })) })

/** One machine as lists show it. */
export const MachineSummary = z.object({
  tag: s, name: s, maker: s, nickname: s, place: s, stage: z.enum(stages), life: z.enum(lives).nullable(),
  acquired: z.enum(acquisitions), onBench: b, daysHere: z.number(),
  gate: z.enum(gateVerdicts), overruled: b,
  waits: z.array(WaitView), moves: z.array(NextMoveView), run: z.array(StageView),
  harm: z.object({ rank: z.number(), findings: z.array(Finding) }),
  openFaults: z.array(s),
})

export const HistoryLine = z.object({
  id, seq: z.number(), at: s, by: s, kind: s, says: s, hash: s,
  strikeable: b, struck: z.object({ by: s, at: s, reason: s }).nullable(),
})

const Identity = z.object({
  version: z.number(), name: s, maker: s, nickname: s, serial: s, variant: s, weightKg: z.number().nullable(), place: s,
  acquired: z.enum(acquisitions), fromWhom: s, owner: s, lastPowered: s, lastPoweredBy: s, lastPoweredWhat: s,
})

export const PhotographView = z.object({
  id, version: z.number(), uid: s, hash: s, name: s, caption: s, assembly: s, assemblyId: z.number().nullable(),
  widthPx: z.number(), heightPx: z.number(), takenAt: s, at: s, by: s, scale: ScaleShape.nullable(),
})
export const CorrosionView = z.object({
  id, photographId: z.number(), what: s, inputs: CorrosionInputs, steel: b, areaPct: z.number(), errorPct: z.number(), areaMm2: z.number().nullable(), rating: z.number(), rustDegree: z.number().nullable(), at: s, by: s,
})

/** Everything about one machine, for those who work on it. */
export const MachineSheet = z.object({
  tag: s, uid: s, stage: z.enum(stages), onBench: b, life: z.enum(lives).nullable(), bookedInAt: s, daysHere: z.number(),
  identity: Identity,
  about: s,
  sisters: z.array(z.object({ tag: s, nickname: s, batteryLeaked: b, signedOff: b })),
  claims: z.array(z.object({ id, version: z.number(), says: s, byWhom: s, verdict: z.enum(claimVerdicts), because: s })),
  /** How the claims of the same source have fared over all machines, this one included. */
  sourceFared: z.object({ confirmed: z.number(), refuted: z.number(), undecided: z.number(), open: z.number() }),
  /** The model's usual kit, and what of it came. */
  kit: z.array(z.object({ name: s, came: b, wanted: b })),
  accessories: z.array(z.object({ id, name: s })),
  dateCodes: z.array(z.object({ id, part: s, code: s, reworked: b, socketed: b, says: s })),
  dating: DatingShape.nullable(),
  assemblies: z.array(z.object({ id, version: z.number(), name: s, presence: z.enum(presences), grade: z.number().nullable(), note: s })),
  damages: z.array(z.object({ id, version: z.number(), assemblyId: z.number().nullable(), photographId: z.number().nullable(), mark: MarkShape.nullable(), assembly: s, kind: z.enum(Object.keys(damageKinds) as [keyof typeof damageKinds]), where: s, extent: s, severity: z.enum(severities) })),
  power: z.object({
    /** The facts that count; what people entered; and what was measured or recorded, which counts before it. */
    version: z.number(), facts: PowerFactsShape, entered: PowerFactsShape, measured: PowerFactsShape, inspectedBy: s,
    school: SchoolShape, ownSchool: SchoolShape.nullable(),
    /** The newest measurement of every expected rail with the power off. */
    offState: z.array(z.object({ rail: s, nominalV: z.number(), last: z.object({ ohm: z.number().nullable(), reversedOhm: z.number().nullable().optional(), loadAttached: b, at: s, verdict: z.enum(offVerdicts), findings: z.array(Finding) }).nullable() })),
    gate: GateShape, inForce: z.enum(gateVerdicts),
    overrule: z.object({ verdict: z.enum(gateVerdicts), reason: s, by: s }).nullable(),
    /** Every change of the verdict that held, newest first. */
    history: z.array(z.object({ at: s, by: s, verdict: z.enum(gateVerdicts), why: s })),
    configuration: ConfigurationShape,
    batteries: z.array(BatteryView), batterySchool: z.enum(replacementNames as ['none', ...typeof replacementNames]),
    inlet: z.custom<Inlet>().nullable(), supplyId: z.number().nullable(), supplies: z.array(SupplyView),
    /** Seen to before a start. */
    startChecks: z.array(z.object({ code: s, do: s, why: s, known: b.nullable() })), takesMains: b, firstLimitA: z.number().nullable(),
    starts: z.array(StartView), temperatures: z.array(TemperatureView),
  }),
  hazards: z.array(HazardShape.extend({ version: z.number(), by: s, at: s })),
  photographs: z.array(PhotographView),
  corrosions: z.array(CorrosionView),
  checks: z.array(z.object({ code: s, says: s, why: s, source: s, done: z.object({ outcome: z.enum(checkOutcomes), note: s, by: s, at: s }).nullable() })),
  opening: z.object({
    steps: z.array(OpeningStepShape.extend({ id, version: z.number(), photographId: z.number().nullable(), findings: z.array(Finding) })),
    findings: z.array(Finding), out: z.number(), back: z.number(),
    /** Sisters whose record could be taken over. */
    from: z.array(z.object({ tag: s, nickname: s, steps: z.number() })),
  }),
  interventions: z.array(z.object({ id, version: z.number(), kind: z.enum(Object.keys(interventionKinds) as [InterventionKind, ...InterventionKind[]]), assembly: s, where: s, note: s, state: z.enum(interventionStates), photographId: z.number().nullable() })),
  stewardship: z.object({
    ours: b, currency: s,
    consent: z.object({ version: z.number(), allowed: z.array(z.enum(Object.keys(worksAsked) as [WorkAsked, ...WorkAsked[]])), upTo: z.number(), mustAsk: s, agreedWith: s, agreedOn: s }).nullable(),
    spent: z.number(), spendings: z.array(z.object({ id, what: s, amount: z.number(), at: s })),
    letters: z.array(z.object({ id, subject: s, at: s, by: s, sent: b })),
  }),
  appraisal: z.object({ version: z.number(), significance: SignificanceShape, hoursLow: z.number(), hoursHigh: z.number(), costLow: z.number(), costHigh: z.number(), irreplaceable: z.array(s), path: z.enum(Object.keys(paths) as [Path, ...Path[]]).nullable(), pathReason: s }).nullable(),
  triage: TriageShape.nullable(),
  cleanings: z.array(z.object({ id, what: s, withWhat: s, byWhom: s, at: s })),
  waits: z.array(WaitView),
  faults: z.array(z.object({
    id, version: z.number(), symptom: s, firstSeen: s, stopsMachine: b, open: b,
    observations: z.array(z.object({ id, says: s, at: s })),
    repairs: z.array(z.object({ id, did: s, closes: b, at: s })),
  })),
  parts: z.array(z.object({ id, version: z.number(), name: s, quantity: z.number(), stopsStart: b, outcome: z.enum(partOutcomes) })),
  expectedRails: z.array(ExpectedRail),
  /** Every reading there is; those of another configuration say nothing of this one. */
  readings: z.array(z.object({ id, rail: s, valueV: z.number(), load: z.enum(loads), at: s, configuration: s, here: b })),
  /** Rails that moved between two visits. */
  drifts: z.array(z.object({ rail: s, finding: Finding })),
  rails: z.object({ rails: z.array(JudgedRail), verdict: z.enum(railVerdicts), findings: z.array(Finding) }).nullable(),
  signOff: z.object({ allowed: b, findings: z.array(Finding), standing: z.object({ statement: s, by: s, at: s }).nullable() }),
  questions: z.array(z.object({ id, question: s, answer: s, settled: b })),
  passport: z.object({ on: b, path: s.nullable() }),
  run: z.array(StageView),
  moves: z.array(NextMoveView),
  harm: z.object({ rank: z.number(), findings: z.array(Finding) }),
  history: z.array(HistoryLine),
})

export const ModelView = z.object({
  id, version: z.number(), maker: s, name: s, about: s, variants: z.array(s), usualKit: z.array(s), assemblies: z.array(s), knownFaults: z.array(s), rails: z.array(ExpectedRail), inlet: z.custom<Inlet>().nullable(),
  weightKg: z.number().nullable(), madeFrom: z.number().nullable(), madeTo: z.number().nullable(),
  machines: z.array(z.object({ tag: s, nickname: s, variant: s, gate: z.enum(gateVerdicts), batteryLeaked: b, faults: z.array(z.object({ symptom: s, open: b })), openingSteps: z.number() })),
})
export const WantedPart = z.object({ id, version: z.number(), tag: s, machine: s, name: s, quantity: z.number(), stopsStart: b, wantedAt: s })

/** What anybody with the link may read: no donor, owner, price, place or person. */
export const Passport = z.object({
  collection: s, tag: s, name: s, maker: s, serial: s, about: s, stage: z.enum(stages), life: z.enum(lives).nullable(), bookedInAt: s,
  gate: z.enum(gateVerdicts),
  assemblies: z.array(z.object({ name: s, presence: z.enum(presences), grade: z.number().nullable() })),
  faults: z.array(z.object({ symptom: s, open: b })),
  partsSought: z.array(z.object({ name: s, quantity: z.number() })),
  questions: z.array(s),
  dateCodes: z.array(s),
  made: s,
  history: z.array(z.object({ at: s, says: s })),
  proof: z.object({ entries: z.number(), hash: s }),
})

export type Practice = z.infer<typeof Practice>
export type PersonView = z.infer<typeof PersonView>
export type SessionView = z.infer<typeof SessionView>
export type WaitView = z.infer<typeof WaitView>
export type MachineSummary = z.infer<typeof MachineSummary>
export type MachineSheet = z.infer<typeof MachineSheet>
export type HistoryLine = z.infer<typeof HistoryLine>
export type ModelView = z.infer<typeof ModelView>
export type PhotographView = z.infer<typeof PhotographView>
export type CorrosionView = z.infer<typeof CorrosionView>
export interface LetterView extends Letter { uid: string, tag: string, owner: string, at: string, photographs: { hash: string, caption: string }[] }
export type WantedPart = z.infer<typeof WantedPart>
export type Passport = z.infer<typeof Passport>
export type FindingView = z.infer<typeof Finding>

/** A change that a second browser hears of. */
export interface LiveChange { at: string, by: string, kinds: string[], tag: string | null }

/** How a refused request is answered. */
export interface ErrorAnswer {
  error: { code: string, field?: string, message: string, fields?: Record<string, string>, because?: string[], current?: Record<string, unknown>, changedBy?: string, changedAt?: string }
}
