import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Assemblies that somebody took along; those without an end are away. */
export const custodies = sqliteTable(
  'custodies',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    /** A plain number, for assemblies belong to another chapter. */
    assemblyId: integer('assembly_id').notNull(),
    assembly: text('assembly').notNull(),
    holder: text('holder').notNull(),
    what: text('what').notNull(),
    since: text('since').notNull(),
    backBy: text('back_by').notNull(),
    endedAt: text('ended_at'),
  },
  t => [index('custodies_machine').on(t.machineId), index('custodies_due').on(t.endedAt, t.backBy)],
)
