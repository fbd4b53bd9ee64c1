import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, version, words } from '../../kernel/columns'
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

/** Assemblies that came from another machine or went into one, a row on each side. */
export const exchanges = sqliteTable(
  'exchanges',
  {
    id: key(),
    machineId: machineId(),
    assembly: text('assembly').notNull(),
    came: flag('came'),
    /** The tag of the other machine. */
    other: text('other').notNull(),
    at: text('at').notNull(),
    /** What is on record where it came from, and may have come along. */
    known: words('known'),
    lookedAt: text('looked_at'),
  },
  t => [index('exchanges_machine').on(t.machineId)],
)
