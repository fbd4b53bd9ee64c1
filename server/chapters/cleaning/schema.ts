import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, struckBy, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const cleanings = sqliteTable(
  'cleanings',
  {
    id: key(),
    machineId: machineId(),
    what: text('what').notNull(),
    withWhat: text('with_what').notNull(),
    byWhom: words('by_whom'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('cleanings_machine').on(t.machineId)],
)
