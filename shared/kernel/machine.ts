import { waitKindNames } from '#core/cleaning/wait-kinds'
import { z } from 'zod'
import { bands } from '#core/kernel/move'
import { lives, stages } from '#core/kernel/stages'
import { gateVerdicts } from '#core/safety/gate-words'
import { acquisitions } from './acquisitions'
import { Finding, SkillShape } from './shapes'

/** What every list and every sheet shows of a machine, whichever chapters are open. */

const id = z.number()
const s = z.string()
const b = z.boolean()

/** `said` where a person chose the kind; else words propose it. */
export const WaitView = z.object({ id, what: s, startedAt: s, until: s, over: b, kind: z.enum(waitKindNames as ['wet', ...typeof waitKindNames]), said: b })
export type WaitView = z.infer<typeof WaitView>
const NextMoveView = z.object({
  band: z.enum(bands),
  code: s,
  says: s,
  why: s,
  who: s,
  skill: SkillShape.optional(),
  stage: z.enum(stages),
  coordinator: z.literal(true).optional(),
  pair: z.literal(true).optional(),
})
/** What somebody has in hand on it just now. */
const InHand = z.object({ jobId: id, says: s, finds: b, by: s, since: s })
export type InHand = z.infer<typeof InHand>
const stageProgress = { stage: z.enum(stages), title: s, done: z.number(), of: z.number(), share: z.number() }
const StageView = z.object({ ...stageProgress, steps: z.array(z.object({ says: s, done: b })) })
/** How full a stage is, without its steps. */
export const StageGauge = z.object(stageProgress)
export type StageGauge = z.infer<typeof StageGauge>

/** One machine as lists show it: its settled summary. It says nothing of a moment; what time alone changes has been settled by then. */
export const MachineSummary = z.object({
  tag: s,
  name: s,
  maker: s,
  nickname: s,
  place: s,
  stage: z.enum(stages),
  life: z.enum(lives).nullable(),
  acquired: z.enum(acquisitions),
  onBench: b,
  bookedInAt: s,
  gate: z.enum(gateVerdicts),
  overruled: b,
  /** When the first of its running waits ends, and how many there are. */
  nextWaitAt: s.nullable(),
  waits: z.number(),
  inHand: z.array(InHand),
  /** Whether mains comes to it as it is connected now. */
  mains: b,
  /** The first three of its next moves. */
  moves: z.array(NextMoveView),
  run: z.array(StageGauge),
  harm: z.object({ rank: z.number(), findings: z.array(Finding) }),
  openFaults: z.array(s),
  /** The hash of the picture it is known by. */
  portrait: s.nullable(),
  /** Where what was looked for stands in it, with the words found between ‹ and ›; only in a list that looks for words. */
  found: s.optional(),
})
export type MachineSummary = z.infer<typeof MachineSummary>

const Identity = z.object({
  version: z.number(),
  name: s,
  maker: s,
  nickname: s,
  serial: s,
  variant: s,
  weightKg: z.number().nullable(),
  place: s,
  acquired: z.enum(acquisitions),
  fromWhom: s,
  owner: s,
  lastPowered: s,
  lastPoweredBy: s,
  lastPoweredWhat: s,
})

/** The head of a sheet: what stands above and beside whichever stage is open. */
export const SheetHead = z.object({
  tag: s,
  uid: s,
  stage: z.enum(stages),
  onBench: b,
  life: z.enum(lives).nullable(),
  bookedInAt: s,
  daysHere: z.number(),
  identity: Identity,
  /** The picture it is known by. */
  portrait: z.object({ photographId: id, hash: s }).nullable(),
  gate: z.object({ inForce: z.enum(gateVerdicts), overruled: b }),
  waits: z.array(WaitView),
  inHand: z.array(InHand),
  /** What somebody began, and handed on with a note. */
  handedOn: z.array(z.object({ jobId: id, code: s, says: s, note: s, by: s, at: s })),
  questions: z.array(z.object({ id, question: s, answer: s, settled: b })),
  run: z.array(StageView),
  moves: z.array(NextMoveView),
  harm: z.object({ rank: z.number(), findings: z.array(Finding) }),
  /** Chapters asked for whose stored rows cannot be shown, each with why; what they would have shown is left out. */
  /** The chapters whose views it holds; those that could not be read are not among them. */
  shown: z.array(s),
  unreadable: z.array(z.object({ chapter: s, says: s })),
})
export type SheetHead = z.infer<typeof SheetHead>

export const HistoryLine = z.object({
  id,
  seq: z.number(),
  at: s,
  by: s,
  kind: s,
  says: s,
  hash: s,
  strikeable: b,
  struck: z.object({ by: s, at: s, reason: s }).nullable(),
})
export type HistoryLine = z.infer<typeof HistoryLine>

/** What lists of machines are asked for: filtered, sorted and paged by the server. */
export const MachineNarrowing = z.object({
  find: z.string().trim().max(200).default(''),
  gate: z.enum(gateVerdicts).optional(),
  stage: z.enum(stages).optional(),
  bench: z.enum(['on', 'off']).optional(),
  place: z.string().trim().max(200).optional(),
  /** A model by its id. */
  model: z.coerce.number().int().positive().optional(),
  owner: z.string().trim().max(200).optional(),
  acquired: z.enum(acquisitions).optional(),
  life: z.enum(lives).optional(),
  waiting: z.enum(['yes', 'over']).optional(),
  /** Somebody who wrote to it, by their id. */
  person: z.coerce.number().int().positive().optional(),
  /** Booked in at least so many days ago. */
  olderThan: z.coerce.number().int().min(0).max(36_500).optional(),
  sort: z.enum(['newest', 'oldest', 'harm', 'name', 'place']).default('newest'),
})
export type MachineNarrowing = z.infer<typeof MachineNarrowing>

export const MachineQuery = z.object({
  ...MachineNarrowing.shape,
  /** These machines alone, by their tags with commas between. */
  tags: z.string().max(8000).optional(),
  page: z.coerce.number().int().min(1).max(100_000).default(1),
  size: z.coerce.number().int().min(1).max(100).default(50),
})
export type MachineQuery = z.infer<typeof MachineQuery>

/** A wait as Today shows it, with its machine. */
export interface WaitOn {
  id: number
  what: string
  until: string
  tag: string
  nickname: string
  name: string
}

/** What Today shows: what gets worse by waiting, what waits, and the next move of what is on the bench; of each the first, and how many. */
export interface TodayView {
  machines: number
  urgent: { rows: MachineSummary[]; total: number }
  waiting: { rows: WaitOn[]; total: number }
  moves: { rows: MachineSummary[]; total: number }
}

/** Which page of a list. */
export const PageQuery = z.object({ page: z.coerce.number().int().min(1).max(100_000).default(1), size: z.coerce.number().int().min(1).max(200).default(100) })
export type PageQuery = z.infer<typeof PageQuery>
