import type { WaitKind } from '#core/cleaning/wait-kinds'
import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const waits = sqliteTable(
  'waits',
  {
    id: key(),
    machineId: machineId(),
    what: text('what').notNull(),
    /** What somebody said that it is; nothing where only words say. */
    kind: text('kind').$type<WaitKind>(),
    startedAt: text('started_at').notNull(),
    until: text('until').notNull(),
    endedAt: text('ended_at'),
  },
  t => [index('waits_machine').on(t.machineId), index('waits_open').on(t.endedAt, t.until)],
)
