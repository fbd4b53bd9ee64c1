import { index, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Bulletins that somebody has looked for on a machine. */
export const bulletinReads = sqliteTable('bulletin_reads', { id: key(), machineId: machineId(), uid: text('uid').notNull(), at: text('at').notNull() }, t => [
  index('bulletin_reads_machine').on(t.machineId),
])
