import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const questions = sqliteTable(
  'questions',
  { id: key(), machineId: machineId(), question: text('question').notNull(), answer: words('answer'), settledAt: text('settled_at') },
  t => [index('questions_machine').on(t.machineId)],
)

/** Two photographs for the passport. Plain numbers, for photographs know of machines already. */
export const passportPictures = sqliteTable('passport_pictures', {
  machineId: machineId().primaryKey(),
  beforeId: integer('before_id'),
  afterId: integer('after_id'),
})

/** Times that it ran before visitors. */
export const demonstrations = sqliteTable(
  'demonstrations',
  {
    id: key(),
    machineId: machineId(),
    at: text('at').notNull(),
    minutes: integer('minutes').notNull(),
    says: words('says'),
    trouble: flag('trouble'),
    by: text('by').notNull(),
  },
  t => [index('demonstrations_machine').on(t.machineId)],
)

/** Original parts that came out and are kept. */
export const bags = sqliteTable(
  'kept_parts',
  {
    id: key(),
    machineId: machineId(),
    part: text('part').notNull(),
    bag: text('bag').notNull(),
    why: words('why'),
    at: text('at').notNull(),
    ended: text('ended'),
  },
  t => [index('kept_parts_machine').on(t.machineId)],
)
