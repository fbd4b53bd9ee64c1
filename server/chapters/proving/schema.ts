import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const signOffs = sqliteTable(
  'sign_offs',
  {
    id: key(),
    machineId: machineId(),
    statement: text('statement').notNull(),
    byWhom: text('by_whom').notNull(),
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
  },
  t => [index('soaks_machine').on(t.machineId)],
)
