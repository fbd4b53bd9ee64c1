import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { InterventionKind, InterventionState } from '#core/condition/interventions'
import type { Scale } from '#core/condition/marks'
import type { Path, Significance } from '#core/condition/triage'
import type { Fixing, OpeningState } from '#core/opening/reassembly'
import type { Letter } from '#core/stewardship/letter'
import type { WorkAsked } from '#core/stewardship/consent'
import type { CorrosionInputs } from '#shared/contracts/shapes'
import type { CheckOutcome } from '#shared/contracts/vocabulary'
import { flag, key, struckBy, uid, version, words } from './columns'
import { assemblies, machineId, machines } from './machines'

/** What the examination of a machine leaves behind: photographs, measurements, the opening record, what its owner agreed to. */

/** A photograph's file, stored once however many machines show it. */
export const files = sqliteTable('files', {
  hash: text('hash').primaryKey(),
  mime: text('mime').notNull(),
  bytes: integer('bytes').notNull(),
  /** As it is shown, with its orientation honoured. */
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  /** By the camera's own clock, which knows no zone; empty where it says nothing. */
  takenAt: words('taken_at'),
  keptAt: text('kept_at').notNull(),
})

const photographId = () => integer('photograph_id').references(() => photographs.id)

export const photographs = sqliteTable('photographs', {
  id: key(), uid: uid(), machineId: machineId(), version: version(),
  hash: text('hash').notNull().references(() => files.hash),
  name: text('name').notNull(),
  assemblyId: integer('assembly_id').references(() => assemblies.id),
  caption: words('caption'),
  scale: text('scale', { mode: 'json' }).$type<Scale>(),
  at: text('at').notNull(),
  byWhom: words('by_whom'),
  struckBy: struckBy(),
}, t => [index('photographs_machine').on(t.machineId)])

export const corrosions = sqliteTable('corrosions', {
  id: key(), machineId: machineId(), photographId: photographId().notNull(),
  what: text('what').notNull(),
  inputs: text('inputs', { mode: 'json' }).$type<CorrosionInputs>().notNull(),
  steel: flag('steel'),
  areaPct: real('area_pct').notNull(),
  errorPct: real('error_pct').notNull(),
  at: text('at').notNull(),
  byWhom: words('by_whom'),
  struckBy: struckBy(),
}, t => [index('corrosions_machine').on(t.machineId)])

/** A check that damage implied, once somebody has done it. */
export const checksDone = sqliteTable('checks_done', {
  id: key(), machineId: machineId(), code: text('code').notNull(),
  outcome: text('outcome').$type<CheckOutcome>().notNull(),
  note: words('note'), at: text('at').notNull(), byWhom: words('by_whom'), struckBy: struckBy(),
}, t => [index('checks_done_machine').on(t.machineId)])

export const openingSteps = sqliteTable('opening_steps', {
  id: key(), machineId: machineId(), version: version(),
  step: integer('step').notNull(),
  what: text('what').notNull(),
  state: text('state').$type<OpeningState>().notNull(),
  fixings: text('fixings', { mode: 'json' }).$type<Fixing[]>().notNull(),
  connectors: text('connectors', { mode: 'json' }).$type<string[]>().notNull(),
  hides: words('hides'), hazard: words('hazard'),
  photographId: photographId(),
}, t => [index('opening_steps_machine').on(t.machineId)])

export const interventions = sqliteTable('interventions', {
  id: key(), machineId: machineId(), version: version(),
  kind: text('kind').$type<InterventionKind>().notNull(),
  assemblyId: integer('assembly_id').references(() => assemblies.id),
  where: text('place').notNull(),
  note: words('note'),
  state: text('state').$type<InterventionState>().notNull(),
  photographId: photographId(),
  struckBy: struckBy(),
}, t => [index('interventions_machine').on(t.machineId)])

/** What the owner of a machine that is not ours agreed to; the newest row holds. */
export const consents = sqliteTable('consents', {
  machineId: integer('machine_id').primaryKey().references(() => machines.id), version: version(),
  allowed: text('allowed', { mode: 'json' }).$type<WorkAsked[]>().notNull(),
  upTo: real('up_to').notNull(), mustAsk: words('must_ask'),
  agreedWith: text('agreed_with').notNull(), agreedOn: words('agreed_on'),
})

export const spendings = sqliteTable('spendings', { id: key(), machineId: machineId(), what: text('what').notNull(), amount: real('amount').notNull(), at: text('at').notNull(), struckBy: struckBy() }, t => [index('spendings_machine').on(t.machineId)])

/** What speaks for one path or another, and the path that was chosen. */
export const appraisals = sqliteTable('appraisals', {
  machineId: integer('machine_id').primaryKey().references(() => machines.id), version: version(),
  significance: text('significance', { mode: 'json' }).$type<Significance>().notNull(),
  hoursLow: real('hours_low').notNull(), hoursHigh: real('hours_high').notNull(),
  costLow: real('cost_low').notNull(), costHigh: real('cost_high').notNull(),
  irreplaceable: text('irreplaceable', { mode: 'json' }).$type<string[]>().notNull(),
  path: text('path').$type<Path>(), pathReason: words('path_reason'),
})

export const letters = sqliteTable('letters', {
  id: key(), uid: uid(), machineId: machineId(),
  letter: text('letter', { mode: 'json' }).$type<Letter>().notNull(),
  photographIds: text('photograph_ids', { mode: 'json' }).$type<number[]>().notNull(),
  /** Where it goes; empty when it is printed and posted. */
  to: words('to_address'),
  at: text('at').notNull(), byWhom: text('by_whom').notNull(),
  /** When it was laid into the outbox. */
  sentAt: text('sent_at'),
}, t => [index('letters_machine').on(t.machineId)])
