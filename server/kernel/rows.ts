import { type InferSelectModel, type SQL, relations } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { machines } from './trunk'

export type Table = SQLiteTable
/** A table whose rows belong to a machine. */
type OfMachine = SQLiteTable & { machineId: SQLiteColumn }
// The columns that a condition names differ from table to table; the query builder checks them when it is run.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Columns = any
interface Operators {
  isNull: (column: SQLiteColumn) => SQL
  asc: (column: SQLiteColumn) => SQL
}

/** How rows of one table are loaded with their machine. */
export interface Loaded<T extends OfMachine = OfMachine, Many extends boolean = boolean> {
  table: T
  many: Many
  query: Query | true
  /** The tables whose rows come within its own. */
  within: readonly Table[]
}
interface Query {
  where?: (t: Columns, ops: Operators) => SQL
  orderBy?: (t: Columns, ops: Operators) => SQL
  with?: Record<string, Query | true>
}

const inOrder = { orderBy: (t: Columns, { asc }: Operators) => asc(t.id) }
const notStruck = { where: (t: Columns, { isNull }: Operators) => isNull(t.struckBy) }
/** Every row of the table, oldest first. */
export const all = <T extends OfMachine>(table: T, more: object = {}): Loaded<T, true> => ({ table, many: true, query: { ...inOrder, ...more }, within: [] })
/** Those that nobody has struck. */
export const standing = <T extends OfMachine>(table: T, more: object = {}): Loaded<T, true> => all(table, { ...notStruck, ...more })
/** Those that have not ended. */
export const running = <T extends OfMachine>(table: T): Loaded<T, true> => all(table, { where: (t: Columns, { isNull }: Operators) => isNull(t.endedAt) })
/** Rows that come within others: every one of theirs, oldest first, but for those that somebody has struck. */
export const inner = (table: Table) => ({ table, query: { ...inOrder, ...('struckBy' in table ? notStruck : {}) } })
/** Every row of the table, oldest first, and within each the rows of others that belong to it, by the names of their relations. */
export const nesting = <T extends OfMachine>(table: T, within: Record<string, ReturnType<typeof inner>>): Loaded<T, true> => ({
  ...all(table, { with: Object.fromEntries(Object.entries(within).map(([name, { query }]) => [name, query])) }),
  within: Object.values(within).map(w => w.table),
})
/**
 * The one row of a table that has one a machine. It is asked for like many and the first taken: the query builder limits single
 * rows by a parameter, and with several of those SQLite plans the whole statement twenty times slower.
 */
export const single = <T extends OfMachine>(table: T): Loaded<T, false> => ({ table, many: false, query: true, within: [] })

export type RowsOf<R extends Record<string, Loaded>> = {
  [K in keyof R]: R[K] extends Loaded<infer T, infer Many> ? (Many extends true ? InferSelectModel<T>[] : InferSelectModel<T> | null) : never
}

/** The relations that let a machine and these rows be read in one statement. */
export function relationsOf(rows: Record<string, Loaded>) {
  const tables = Object.entries(rows)
  return [
    relations(machines, ({ many }) => Object.fromEntries(tables.map(([name, { table }]) => [name, many(table)]))),
    ...tables.map(([, { table }]) =>
      relations(table, ({ one }) => ({ machine: one(machines, { fields: [table.machineId] as never, references: [machines.id] as never }) })),
    ),
  ]
}
