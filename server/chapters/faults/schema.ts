import type { AttemptArea, TheoryState } from '#core/diagnosis/back-to-basics'
import type { SwapPart, SwapTest } from '#core/diagnosis/swap'
import type { BenchMap } from '#shared/chapters/faults/index'
import { blob, index, integer, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const faults = sqliteTable(
  'faults',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    symptom: text('symptom').notNull(),
    firstSeen: words('first_seen'),
    /** When it was reported; empty in rows of former days. */
    reportedAt: words('reported_at'),
    stopsMachine: flag('stops_machine'),
    open: flag('open').default(true),
    symptoms: text('symptoms', { mode: 'json' }).$type<string[]>().notNull().default([]),
    conditions: words('conditions'),
    /** Why it stays open and is not worked on, or only when it shows. */
    leftAs: words('left_as').$type<'' | 'known' | 'came-back'>(),
    /** What it turned out to be. */
    cause: words('cause'),
    causeKind: words('cause_kind'),
    swapParts: text('swap_parts', { mode: 'json' }).$type<SwapPart[]>().notNull().default([]),
  },
  t => [index('faults_machine').on(t.machineId)],
)

export const observations = sqliteTable(
  'observations',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    says: text('says').notNull(),
    /** A plain number, for photographs know of machines already. */
    photographId: integer('photograph_id'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('observations_fault').on(t.faultId)],
)

export const repairs = sqliteTable(
  'repairs',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    did: text('did').notNull(),
    closes: flag('closes'),
    part: words('part'),
    partFrom: words('part_from'),
    reversible: flag('reversible').default(true),
    /** Whether it touched what feeds the rails, as somebody said. */
    feedsRails: integer('feeds_rails', { mode: 'boolean' }),
    /** Whoever did it; somebody else signs the machine off. A plain number, nothing of former days. */
    byId: integer('by_id'),
    at: text('at').notNull(),
  },
  t => [index('repairs_fault').on(t.faultId)],
)

/** What was tried, with the minutes that it took; a swap with what took part and how it came out. */
export const attempts = sqliteTable(
  'fault_attempts',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    area: text('area').$type<AttemptArea>().notNull(),
    did: text('did').notNull(),
    minutes: integer('minutes'),
    trial: text('trial', { mode: 'json' }).$type<SwapTest>(),
    /** The name of a capture that is kept with it. */
    capture: words('capture'),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [index('fault_attempts_fault').on(t.faultId)],
)

/** What somebody thinks it is; one that tests refute is struck, not deleted. */
export const theories = sqliteTable(
  'fault_theories',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    says: text('says').notNull(),
    why: text('why').notNull(),
    wouldRefute: text('would_refute').notNull(),
    damaged: flag('damaged').default(false),
    state: text('state').$type<TheoryState>().notNull().default('held'),
    stateWhy: words('state_why'),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [index('fault_theories_fault').on(t.faultId)],
)

/** Captures as text, packed; apart from what is loaded with a machine. */
export const captures = sqliteTable('fault_captures', {
  attemptId: integer('attempt_id')
    .primaryKey()
    .references(() => attempts.id),
  packed: blob('packed', { mode: 'buffer' }).notNull(),
})

/** What the instruments of the bench know of a model. */
export const benchMaps = sqliteTable(
  'model_bench_maps',
  {
    id: key(),
    modelId: integer('model_id').notNull(),
    kind: text('kind').$type<BenchMap['kind']>().notNull(),
    map: text('map', { mode: 'json' }).$type<BenchMap>().notNull(),
    version: version(),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [unique().on(t.modelId, t.kind)],
)

/** Error and beep codes of a model, as the collection has learned them. */
export const modelCodes = sqliteTable(
  'model_codes',
  {
    id: key(),
    /** A plain number, for models are known to machines. */
    modelId: integer('model_id').notNull(),
    code: text('code').notNull(),
    says: text('says').notNull(),
    by: text('by').notNull(),
    at: text('at').notNull(),
  },
  t => [index('model_codes_model').on(t.modelId)],
)
