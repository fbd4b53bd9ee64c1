import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, words } from '../../kernel/columns'
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
