import type { OfferKind } from '#core/sharing/sought'
import { sql } from 'drizzle-orm'
import { check, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, version, words } from '../../kernel/columns'
import { machines } from '../../kernel/trunk'

/** Machines of which anybody may read what they want. Plain numbers for photographs, which know of machines already. */
export const wantsShown = sqliteTable('wants_shown', {
  machineId: integer('machine_id')
    .primaryKey()
    .references(() => machines.id),
  shows: flag('shows').default(false),
  says: words('says'),
  photographId: integer('photograph_id'),
})

/** The list as a whole: one row. */
export const soughtBoard = sqliteTable(
  'sought_board',
  { id: integer('id').primaryKey(), version: version(), open: flag('open').default(false), greeting: words('greeting') },
  t => [check('one_board', sql`${t.id} = 1`)],
)

/** What was said to a line of the list. It is looked over, taken up or forgotten; it is in no history before. */
export const offersIn = sqliteTable(
  'offers_in',
  {
    id: key(),
    version: version(),
    /** What it is about: a part that is wanted, or one that is spared. Plain numbers: an offer outlives its line. */
    needId: integer('need_id'),
    heldId: integer('held_id'),
    name: text('name').notNull(),
    kind: text('kind').$type<OfferKind>().notNull(),
    who: text('who').notNull(),
    reach: words('reach'),
    says: text('says').notNull(),
    /** Somebody of the house; nobody where it came from outside. */
    personId: integer('person_id'),
    at: text('at').notNull(),
    takenAt: text('taken_at'),
  },
  t => [index('offers_in_taken').on(t.takenAt)],
)
