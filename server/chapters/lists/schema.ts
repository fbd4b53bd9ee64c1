import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { MachineNarrowing } from '#shared/kernel/machine'
import { key } from '../../kernel/columns'

/** What lists of machines are narrowed to, kept under a name for everybody. */
export const keptLists = sqliteTable('kept_lists', {
  id: key(),
  name: text('name').notNull().unique(),
  query: text('query', { mode: 'json' }).$type<Partial<MachineNarrowing>>().notNull(),
  byWhom: text('by_whom').notNull(),
  at: text('at').notNull(),
})
