import { type InferSelectModel, type SQL, relations } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { machines } from './trunk'

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
  query: { where?: (t: Columns, ops: Operators) => SQL; orderBy?: (t: Columns, ops: Operators) => SQL; with?: Record<string, unknown> } | true
}

const inOrder = { orderBy: (t: Columns, { asc }: Operators) => asc(t.id) }
/** Every row of the table, oldest first. */
export const all = <T extends OfMachine>(table: T, more: object = {}): Loaded<T, true> => ({ table, many: true, query: { ...inOrder, ...more } })
/** Those that nobody has struck. */
export const standing = <T extends OfMachine>(table: T, more: object = {}): Loaded<T, true> =>
  all(table, { where: (t: Columns, { isNull }: Operators) => isNull(t.struckBy), ...more })
/** Those that have not ended. */
export const running = <T extends OfMachine>(table: T): Loaded<T, true> => all(table, { where: (t: Columns, { isNull }: Operators) => isNull(t.endedAt) })
/**
 * The one row of a table that has one a machine. It is asked for like many and the first taken: the query builder limits single
 * rows by a parameter, and with several of those SQLite plans the whole statement twenty times slower.
 */
export const single = <T extends OfMachine>(table: T): Loaded<T, false> => ({ table, many: false, query: true })

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
