import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key } from '../../kernel/columns'
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
