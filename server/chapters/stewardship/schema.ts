import type { Path, Significance } from '#core/condition/triage'
import type { WorkAsked } from '#core/stewardship/consent'
import type { Letter } from '#core/stewardship/letter'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, struckBy, uid, version, words } from '../../kernel/columns'
import { machineId, machines } from '../../kernel/trunk'

/** What the owner of a machine that is not ours agreed to; the newest row holds. */
export const consents = sqliteTable('consents', {
  machineId: integer('machine_id')
    .primaryKey()
    .references(() => machines.id),
  version: version(),
  allowed: text('allowed', { mode: 'json' }).$type<WorkAsked[]>().notNull(),
  upTo: real('up_to').notNull(),
  mustAsk: words('must_ask'),
  agreedWith: text('agreed_with').notNull(),
  agreedOn: words('agreed_on'),
})

/** What is done without asking its owner, by decision of a coordinator; until something new is agreed. */
export const consentExceptions = sqliteTable(
  'consent_exceptions',
  {
    id: key(),
    machineId: machineId(),
    work: text('work').$type<WorkAsked>().notNull(),
    reason: text('reason').notNull(),
    at: text('at').notNull(),
    by: text('by').notNull(),
  },
  t => [index('consent_exceptions_machine').on(t.machineId)],
)

export const spendings = sqliteTable(
  'spendings',
  { id: key(), machineId: machineId(), what: text('what').notNull(), amount: real('amount').notNull(), at: text('at').notNull(), struckBy: struckBy() },
  t => [index('spendings_machine').on(t.machineId)],
)

/** What speaks for one path or another, and the path that was chosen. */
export const appraisals = sqliteTable('appraisals', {
  machineId: integer('machine_id')
    .primaryKey()
    .references(() => machines.id),
  version: version(),
  significance: text('significance', { mode: 'json' }).$type<Significance>().notNull(),
  hoursLow: real('hours_low').notNull(),
  hoursHigh: real('hours_high').notNull(),
  costLow: real('cost_low').notNull(),
  costHigh: real('cost_high').notNull(),
  irreplaceable: text('irreplaceable', { mode: 'json' }).$type<string[]>().notNull(),
  path: text('path').$type<Path>(),
  pathReason: words('path_reason'),
})

export const letters = sqliteTable(
  'letters',
  {
    id: key(),
    uid: uid(),
    machineId: machineId(),
    letter: text('letter', { mode: 'json' }).$type<Letter>().notNull(),
    photographIds: text('photograph_ids', { mode: 'json' }).$type<number[]>().notNull(),
    /** Where it goes; empty when it is printed and posted. */
    to: words('to_address'),
    at: text('at').notNull(),
    byWhom: text('by_whom').notNull(),
    /** When it was laid into the outbox. */
    sentAt: text('sent_at'),
  },
  t => [index('letters_machine').on(t.machineId)],
)
