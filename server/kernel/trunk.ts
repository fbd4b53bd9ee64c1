import type { Life, Stage } from '#core/kernel/stages'
import type { GateVerdict } from '#core/safety/gate-words'
import type { HazardKind } from '#core/safety/hazards'
import type { Inlet } from '#core/power/supply-match'
import type { Bulletin } from '#core/sharing/bulletins'
import type { Acquisition } from '#shared/kernel/acquisitions'
import type { ExpectedRail } from '#shared/kernel/shapes'
import { index, integer, real, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, uid, version, words } from './columns'

/** What is known of a model: the parts it is made of and the rails to expect. */
export const models = sqliteTable(
  'models',
  {
    id: key(),
    uid: uid(),
    version: version(),
    maker: words('maker'),
    name: text('name').notNull(),
    about: words('about'),
    assemblies: text('assemblies', { mode: 'json' }).$type<string[]>().notNull(),
    /** What it is usually complete with. */
    usualKit: text('usual_kit', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** Board issues and variants, each with how to tell it. */
    /** What wears out on it, sizes of memory it was sold with, and which of its sockets matter; a line each. */
    wearParts: text('wear_parts', { mode: 'json' }).$type<string[]>().notNull().default([]),
    memorySizes: text('memory_sizes', { mode: 'json' }).$type<string[]>().notNull().default([]),
    sockets: text('sockets', { mode: 'json' }).$type<string[]>().notNull().default([]),
    variants: text('variants', { mode: 'json' }).$type<string[]>().notNull().default([]),
    knownFaults: text('known_faults', { mode: 'json' }).$type<string[]>().notNull().default([]),
    weightKg: real('weight_kg'),
    madeFrom: integer('made_from'),
    madeTo: integer('made_to'),
    /** What its inlet needs; nothing where it takes mains itself. */
    inlet: text('inlet', { mode: 'json' }).$type<Inlet>(),
    /** What was learned on machines of it. */
    bulletins: text('bulletins', { mode: 'json' }).$type<Bulletin[]>().notNull().default([]),
    rails: text('rails', { mode: 'json' }).$type<ExpectedRail[]>().notNull(),
  },
  t => [unique().on(t.maker, t.name)],
)

/** A machine: the trunk that every chapter's rows hang on. */
export const machines = sqliteTable(
  'machines',
  {
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
    /** What its inlet needs, where it differs from the model's, or there is no model. */
    ownInlet: text('own_inlet', { mode: 'json' }).$type<Inlet>(),
    life: text('life').$type<Life>(),
    /** When that life was chosen. */
    lifeSince: text('life_since'),
    passportToken: text('passport_token').unique(),
    passportOn: flag('passport_on').default(false),
    /** Whether its passport tells of losses and mishaps of the bench. */
    passportDiary: flag('passport_diary').default(false),
  },
  t => [index('machines_model').on(t.modelId), index('machines_from_whom').on(t.fromWhom)],
)

export const machineId = () =>
  integer('machine_id')
    .notNull()
    .references(() => machines.id)

/**
 * The history: append-only, one hash chain for each machine and one for the collection. Triggers refuse changes and deletions.
 */
export const journal = sqliteTable(
  'journal',
  {
    id: key(),
    /** The machine's uid, or `collection`. */
    chain: text('chain').notNull(),
    seq: integer('seq').notNull(),
    machineId: integer('machine_id'),
    kind: text('kind').notNull(),
    at: text('at').notNull(),
    personId: integer('person_id'),
    by: text('by').notNull(),
    data: text('data').notNull(),
    /** Table and row that the entry is about, for corrections. */
    subject: text('subject'),
    subjectId: integer('subject_id'),
    /** The entry that this one strikes. */
    strikes: integer('strikes'),
    previousHash: text('previous_hash').notNull(),
    hash: text('hash').notNull(),
    /** Of an entry that a person was taken out of: the digest of what it said. The chain stays whole by it. */
    digest: text('digest'),
  },
  t => [
    unique().on(t.chain, t.seq),
    index('journal_machine').on(t.machineId),
    index('journal_strikes').on(t.strikes),
    index('journal_at').on(t.at),
    index('journal_person').on(t.personId, t.machineId),
  ],
)

/** The newest entry of each chain, so that an end cut off is noticed. */
export const journalHeads = sqliteTable('journal_heads', { chain: text('chain').primaryKey(), seq: integer('seq').notNull(), hash: text('hash').notNull() })

/**
 * What every list shows of a machine, and what stood when it was last settled: written in the transaction of each change.
 * The columns are what lists filter and sort by; `card` is what they show. A summary never energises anything.
 */
export const machineSummaries = sqliteTable(
  'machine_summaries',
  {
    machineId: integer('machine_id')
      .primaryKey()
      .references(() => machines.id),
    tag: text('tag').notNull(),
    name: text('name').notNull(),
    modelId: integer('model_id'),
    stage: text('stage').$type<Stage>().notNull(),
    gate: text('gate').$type<GateVerdict>().notNull(),
    overruled: flag('overruled'),
    onBench: flag('on_bench'),
    signedOff: flag('signed_off'),
    batteryLeaked: flag('battery_leaked'),
    harmRank: integer('harm_rank').notNull(),
    hasMove: flag('has_move'),
    /** When something changes by time alone; nothing where nothing does. */
    dueAt: text('due_at'),
    card: text('card').$type<string>().notNull(),
    /** What kept its gate closed when it was last settled: only who may say that it is gone may do what makes it go. */
    closedBy: text('closed_by').notNull().default('[]'),
    /** What can be found of it, as it was last written to the search. */
    searchHash: text('search_hash').notNull().default(''),
  },
  t => [
    index('summaries_tag').on(t.tag),
    index('summaries_gate').on(t.gate, t.tag),
    index('summaries_stage').on(t.stage, t.tag),
    index('summaries_bench').on(t.onBench, t.harmRank, t.tag),
    index('summaries_moves').on(t.onBench, t.hasMove, t.harmRank, t.tag),
    index('summaries_harm').on(t.harmRank, t.tag),
    index('summaries_model').on(t.modelId, t.batteryLeaked, t.signedOff),
    index('summaries_name').on(t.name),
    index('summaries_due').on(t.dueAt),
  ],
)

/** Sentences that people wrote of a machine, wherever they did, and that were heard as speaking of a danger; until somebody says what each was. */
export const sayings = sqliteTable(
  'sayings',
  {
    id: key(),
    machineId: machineId(),
    /** The entry that it stands in. */
    entryId: integer('entry_id').notNull(),
    kind: text('kind').$type<HazardKind>().notNull(),
    sentence: text('sentence').notNull(),
    at: text('at').notNull(),
    by: text('by').notNull(),
    state: text('state').$type<'open' | 'yes' | 'no'>().notNull().default('open'),
    /** What was found. */
    found: words('found'),
    foundBy: words('found_by'),
    struckBy: struckBy(),
  },
  t => [index('sayings_machine').on(t.machineId), index('sayings_entry').on(t.entryId)],
)

/** Commands that were carried out, by the id that each brings along: a repeated request is answered, not carried out again. */
export const commandsDone = sqliteTable(
  'commands_done',
  {
    uid: text('uid').primaryKey(),
    name: text('name').notNull(),
    personId: integer('person_id').notNull(),
    at: text('at').notNull(),
    /** A digest of what was asked, under the house's own key: the same id with other words is another command. Nothing in rows of former days. */
    asked: text('asked'),
    result: text('result', { mode: 'json' }).$type<unknown>(),
  },
  t => [index('commands_done_at').on(t.at)],
)

/** Machines of a whole scope that are to be settled because something they rest on has changed: a cursor that slices move on. */
export const settlings = sqliteTable('settlings', {
  id: key(),
  uid: uid(),
  scope: text('scope').$type<'all' | 'model' | 'supply'>().notNull(),
  scopeId: integer('scope_id'),
  /** The last machine that was seen to. */
  cursor: integer('cursor').notNull().default(0),
  done: integer('done').notNull().default(0),
  total: integer('total').notNull(),
  /** In whose name consequences are written. */
  personId: integer('person_id').notNull(),
  by: text('by').notNull(),
  at: text('at').notNull(),
})
