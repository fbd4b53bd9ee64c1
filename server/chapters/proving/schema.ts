import type { BuildUpStep, StepSeen } from '#core/retest/build-up'
import type { SignOffLimits } from '#core/retest/sign-off'
import type { LogWords } from '#core/retest/soak-log'
import type { LineSeen, TestLine } from '#core/retest/test-sheet'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const signOffs = sqliteTable(
  'sign_offs',
  {
    id: key(),
    machineId: machineId(),
    statement: text('statement').notNull(),
    byWhom: text('by_whom').notNull(),
    limits: text('limits', { mode: 'json' }).$type<SignOffLimits>(),
    at: text('at').notNull(),
    endedAt: text('ended_at'),
  },
  t => [index('sign_offs_machine').on(t.machineId)],
)

/** Soaks: clean passes that make an intermittent fault believable as cured, tallied as they run. */
export const soaks = sqliteTable(
  'soaks',
  {
    id: key(),
    machineId: machineId(),
    what: text('what').notNull(),
    seenFailures: integer('seen_failures').notNull(),
    seenPasses: integer('seen_passes').notNull(),
    confidence: real('confidence').notNull(),
    secondsAPass: real('seconds_a_pass'),
    passes: integer('passes').notNull().default(0),
    failures: integer('failures').notNull().default(0),
    startedAt: text('started_at').notNull(),
    lastAt: words('last_at'),
    endedAt: text('ended_at'),
    note: words('note'),
    /** Sums as they stood, for the chart; of many the oldest are thinned. */
    tallies: text('tallies', { mode: 'json' }).$type<{ at: string; passes: number; failures: number }[]>().notNull().default([]),
    /** What a line of its program has in it where it tells of a pass, and of a failure; nothing while the usual words decide. */
    logWords: text('log_words', { mode: 'json' }).$type<LogWords>(),
    /** The hash of the secret under which a program may post, and in whose name. */
    logSecret: words('log_secret'),
    logPersonId: integer('log_person_id'),
  },
  t => [index('soaks_machine').on(t.machineId), index('soaks_log').on(t.logSecret)],
)

/** Build-ups: least first, one thing at a time. */
export const buildUps = sqliteTable(
  'build_ups',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    steps: text('steps', { mode: 'json' }).$type<BuildUpStep[]>().notNull(),
    looks: text('looks', { mode: 'json' }).$type<(StepSeen & { seen: string; at: string; by: string })[]>().notNull().default([]),
    startedAt: text('started_at').notNull(),
    endedAt: text('ended_at'),
  },
  t => [index('build_ups_machine').on(t.machineId)],
)

/** Test sheets; the newest counts. */
export const testSheets = sqliteTable(
  'test_sheets',
  {
    id: key(),
    machineId: machineId(),
    lines: text('lines', { mode: 'json' }).$type<TestLine[]>().notNull(),
    looks: text('looks', { mode: 'json' }).$type<(LineSeen & { note: string; by: string })[]>().notNull().default([]),
    startedAt: text('started_at').notNull(),
  },
  t => [index('test_sheets_machine').on(t.machineId)],
)

/** How machines of a model are built up and tested. */
export const modelProofs = sqliteTable('model_proofs', {
  /** A plain number, for models are known to machines. */
  modelId: integer('model_id').primaryKey(),
  buildUp: text('build_up', { mode: 'json' }).$type<BuildUpStep[]>().notNull().default([]),
  testLines: text('test_lines', { mode: 'json' }).$type<TestLine[]>().notNull().default([]),
  /** Of the test lines. */
  version: version(),
})
