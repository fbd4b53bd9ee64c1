import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { DamageKind, Severity } from '#core/condition/damage'
import type { Mark } from '#core/condition/marks'
import type { Presence } from '#core/condition/grades'
import type { Inlet } from '#core/power/supply-match'
import type { Configuration } from '#core/safety/configuration'
import type { Life, Stage } from '#core/planning/stages'
import type { Load } from '#core/power/rails'
import type { GateVerdict } from '#core/safety/gate'
import type { PowerFacts, School } from '#core/safety/power-facts'
import type { ExpectedRail } from '#shared/contracts/shapes'
import type { Acquisition, ClaimVerdict, PartOutcome } from '#shared/contracts/vocabulary'
import { flag, key, struckBy, uid, version, words } from './columns'
import { models } from './models'

/** A machine and everything that belongs to it alone. */
export const machines = sqliteTable('machines', {
  id: key(),
  uid: uid(),
  version: version(),
  tag: text('tag').notNull().unique(),
  modelId: integer('model_id').references(() => models.id),
  name: text('name').notNull(),
  maker: words('maker'),
  nickname: words('nickname'),
  serial: words('serial'),
  /** Board issue or variant. */
  variant: words('variant'),
  weightKg: real('weight_kg'),
  place: words('place'),
  acquired: text('acquired').$type<Acquisition>().notNull(),
  fromWhom: words('from_whom'),
  owner: words('owner'),
  lastPowered: words('last_powered'),
  lastPoweredBy: words('last_powered_by'),
  lastPoweredWhat: words('last_powered_what'),
  bookedInAt: text('booked_in_at').notNull(),
  stage: text('stage').$type<Stage>().notNull().default('arrive'),
  onBench: flag('on_bench').default(true),
  /** Rails to expect where they differ from the model's, or there is no model. */
  ownRails: text('own_rails', { mode: 'json' }).$type<ExpectedRail[]>(),
  /** What its inlet wants, where it differs from the model's, or there is no model. */
  ownInlet: text('own_inlet', { mode: 'json' }).$type<Inlet>(),
  life: text('life').$type<Life>(),
  passportToken: text('passport_token').unique(),
  passportOn: flag('passport_on').default(false),
})

export const machineId = () => integer('machine_id').notNull().references(() => machines.id)

export const powerAssessments = sqliteTable('power_assessments', {
  machineId: machineId().primaryKey(),
  version: version(),
  facts: text('facts', { mode: 'json' }).$type<PowerFacts>().notNull(),
  inspectedBy: words('inspected_by'),
  /** Whether its battery was ever found leaking; stays true after cleaning, for the sake of its sisters. */
  batteryHasLeaked: flag('battery_has_leaked').default(false),
  /** The school for this machine; empty for the collection's. */
  school: text('school').$type<School>(),
  /** What of it is connected just now. */
  configuration: text('configuration', { mode: 'json' }).$type<Configuration>().notNull().default({ kind: 'whole', out: [] }),
  /** The external supply that it runs from; a plain number, for supplies belong to the collection. */
  supplyId: integer('supply_id'),
  overruleVerdict: text('overrule_verdict').$type<GateVerdict>(),
  overruleReason: words('overrule_reason'),
  overruledBy: words('overruled_by'),
  /** What the gate rested on when it was overruled; when that changes, the overrule ends. */
  overruleBasis: words('overrule_basis'),
})

export const claims = sqliteTable('claims', { id: key(), machineId: machineId(), version: version(), says: text('says').notNull(), byWhom: words('by_whom'), verdict: text('verdict').$type<ClaimVerdict>().notNull().default('open'), because: words('because'), struckBy: struckBy() }, t => [index('claims_machine').on(t.machineId)])

export const accessories = sqliteTable('accessories', { id: key(), machineId: machineId(), name: text('name').notNull(), struckBy: struckBy() }, t => [index('accessories_machine').on(t.machineId)])

export const dateCodes = sqliteTable('date_codes', { id: key(), machineId: machineId(), part: words('part'), code: text('code').notNull(), reworked: flag('reworked').default(false), socketed: flag('socketed').default(false), struckBy: struckBy() }, t => [index('date_codes_machine').on(t.machineId)])

export const assemblies = sqliteTable('assemblies', {
  id: key(), machineId: machineId(), version: version(),
  name: text('name').notNull(),
  presence: text('presence').$type<Presence>().notNull().default('not-looked'),
  grade: integer('grade'),
  note: words('note'),
}, t => [index('assemblies_machine').on(t.machineId)])

export const damages = sqliteTable('damages', {
  id: key(), machineId: machineId(), version: version(), assemblyId: integer('assembly_id').references(() => assemblies.id),
  kind: text('kind').$type<DamageKind>().notNull(),
  where: text('place').notNull(),
  extent: words('extent'),
  severity: text('severity').$type<Severity>().notNull(),
  /** Where it is marked: photograph and shape. A plain number, for photographs know of machines already. */
  photographId: integer('photograph_id'),
  mark: text('mark', { mode: 'json' }).$type<Mark>(),
  struckBy: struckBy(),
}, t => [index('damages_machine').on(t.machineId)])

export const cleanings = sqliteTable('cleanings', { id: key(), machineId: machineId(), what: text('what').notNull(), withWhat: text('with_what').notNull(), byWhom: words('by_whom'), at: text('at').notNull(), struckBy: struckBy() }, t => [index('cleanings_machine').on(t.machineId)])

export const waits = sqliteTable('waits', { id: key(), machineId: machineId(), what: text('what').notNull(), startedAt: text('started_at').notNull(), until: text('until').notNull(), endedAt: text('ended_at') }, t => [index('waits_machine').on(t.machineId)])

export const faults = sqliteTable('faults', {
  id: key(), machineId: machineId(), version: version(),
  symptom: text('symptom').notNull(),
  firstSeen: words('first_seen'),
  stopsMachine: flag('stops_machine'),
  open: flag('open').default(true),
}, t => [index('faults_machine').on(t.machineId)])

export const observations = sqliteTable('observations', { id: key(), faultId: integer('fault_id').notNull().references(() => faults.id), says: text('says').notNull(), at: text('at').notNull(), struckBy: struckBy() }, t => [index('observations_fault').on(t.faultId)])

export const repairs = sqliteTable('repairs', { id: key(), faultId: integer('fault_id').notNull().references(() => faults.id), did: text('did').notNull(), closes: flag('closes'), at: text('at').notNull() }, t => [index('repairs_fault').on(t.faultId)])

export const partNeeds = sqliteTable('part_needs', {
  id: key(), machineId: machineId(), version: version(),
  name: text('name').notNull(),
  quantity: integer('quantity').notNull(),
  stopsStart: flag('stops_start'),
  outcome: text('outcome').$type<PartOutcome>().notNull().default('wanted'),
  wantedAt: text('wanted_at').notNull(),
}, t => [index('part_needs_machine').on(t.machineId)])

export const readings = sqliteTable('readings', { id: key(), machineId: machineId(), rail: text('rail').notNull(), valueV: real('value_v').notNull(), load: text('load').$type<Load>().notNull(), /** What was connected, as `keyOf` files it. */ configuration: text('configuration').notNull().default('whole'), at: text('at').notNull(), struckBy: struckBy() }, t => [index('readings_machine').on(t.machineId)])

export const signOffs = sqliteTable('sign_offs', { id: key(), machineId: machineId(), statement: text('statement').notNull(), byWhom: text('by_whom').notNull(), at: text('at').notNull(), endedAt: text('ended_at') }, t => [index('sign_offs_machine').on(t.machineId)])

export const questions = sqliteTable('questions', { id: key(), machineId: machineId(), question: text('question').notNull(), answer: words('answer'), settledAt: text('settled_at') }, t => [index('questions_machine').on(t.machineId)])
