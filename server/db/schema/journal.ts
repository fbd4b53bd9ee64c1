import { index, integer, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import { key } from './columns'

/**
 * The history: append-only, one hash chain for each machine and one for the collection. Triggers refuse changes and deletions.
 */
export const journal = sqliteTable('journal', {
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
}, t => [unique().on(t.chain, t.seq), index('journal_machine').on(t.machineId)])

/** The newest entry of each chain, so that an end cut off is noticed. */
export const journalHeads = sqliteTable('journal_heads', {
  chain: text('chain').primaryKey(),
  seq: integer('seq').notNull(),
  hash: text('hash').notNull(),
})
