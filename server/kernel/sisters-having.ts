import { and, asc, count, eq, ne } from 'drizzle-orm'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import type { MachineFile } from './file'
import type { Tx } from './history/journal'
import { machines } from './trunk'

const mostSisters = 12

/** Sisters of the same model that have rows in a table of machines, with how many. */
export function sistersHaving(tx: Tx, { machine, sisters }: MachineFile, table: SQLiteTable & { machineId: SQLiteColumn }) {
  if (!sisters.all || machine.modelId === null) return []
  return tx
    .select({ tag: machines.tag, nickname: machines.nickname, variant: machines.variant, rows: count() })
    .from(table)
    .innerJoin(machines, eq(machines.id, table.machineId))
    .where(and(eq(machines.modelId, machine.modelId), ne(machines.id, machine.id)))
    .groupBy(machines.id)
    .orderBy(asc(machines.id))
    .limit(mostSisters)
    .all()
}
