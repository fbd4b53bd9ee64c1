import { type InferSelectModel, type SQL, and, eq, isNull } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import { NotFound } from './refusals'
import type { MachineWork } from './work'

type OfMachine = SQLiteTable & { id: SQLiteColumn; machineId: SQLiteColumn; struckBy?: SQLiteColumn }

/** A row of this machine by its id, unless somebody has struck it. @param what its name in words @throws NotFound */
export function rowOf<T extends OfMachine>({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>, table: T, id: number, what: string): InferSelectModel<T> {
  const standing: SQL | undefined = table.struckBy && isNull(table.struckBy)
  const row = tx
    .select()
    .from(table as OfMachine)
    .where(and(eq(table.id, id), eq(table.machineId, machine.id), standing))
    .get()
  if (!row) throw new NotFound(`${machine.tag} has no such ${what}.`)
  return row as InferSelectModel<T>
}
