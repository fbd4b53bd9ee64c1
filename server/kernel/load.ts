import { and, eq, getTableColumns, ne, sql } from 'drizzle-orm'
import type { Db } from '../db/connection'
import { models } from '../chapters/models/index'
import { practice } from '../chapters/practice/index'
import { supplies } from '../chapters/supplies/index'
import { loadedRows } from '../chapters/index'
import type { MachineFile, MachineRow, SistersCounted } from './file'
import { prepared } from './prepared'
import { machineSummaries, machines } from './trunk'

type Row = Record<string, unknown>
const columns = Object.keys(getTableColumns(machines))
const id = sql.placeholder('id')
const model = sql.placeholder('model')

/** What is used of the query builder here: its own types would work out those of every chapter's rows at once. */
interface Builder {
  machines: { findMany: (query: object) => { prepare: () => { execute: (given: object) => { sync: () => Row[] } } } }
}

/** The statements that read a machine: itself with all that the chapters keep of it in one, and what it rests on. */
const statementsOf = (db: Db) => ({
  machine: (db.query as unknown as Builder).machines
    .findMany({ where: eq(machines.id, id), with: Object.fromEntries(Object.entries(loadedRows()).map(([name, { query }]) => [name, query])) })
    .prepare(),
  model: db.select().from(models).where(eq(models.id, id)).prepare(),
  supply: db.select().from(supplies).where(eq(supplies.id, id)).prepare(),
  practice: db.select().from(practice).prepare(),
  /** Machines of the same model, counted from their summaries. */
  sisters: db
    .select({
      all: sql<number>`count(*)`,
      leaked: sql<number>`coalesce(sum(${machineSummaries.batteryLeaked}), 0)`,
      signedOff: sql<number>`coalesce(sum(${machineSummaries.signedOff}), 0)`,
    })
    .from(machineSummaries)
    .where(and(eq(machineSummaries.modelId, model), ne(machineSummaries.machineId, id)))
    .prepare(),
})
const alone: SistersCounted = { all: 0, leaked: 0, signedOff: 0 }

/** Gathers the file of one machine as it stands in the transaction that is open on this database, or outside of any. */
export function loadFile(db: Db, machineId: number): MachineFile {
  const ask = prepared(db, 'file', statementsOf)
  const [row] = ask.machine.execute({ id: machineId }).sync()
  if (!row) throw new Error(`There is no machine ${machineId}.`)
  const machine = Object.fromEntries(columns.map(name => [name, row[name]])) as MachineRow
  const rows = Object.fromEntries(
    Object.entries(loadedRows()).map(([name, { many }]) => [name, many ? row[name] : ((row[name] as unknown[])[0] ?? null)]),
  ) as unknown as Omit<MachineFile, 'machine' | 'model' | 'supply' | 'practice' | 'sisters'>
  const { modelId } = machine
  return {
    machine,
    ...rows,
    model: modelId === null ? null : (ask.model.get({ id: modelId }) ?? null),
    supply: rows.power.supplyId === null ? null : (ask.supply.get({ id: rows.power.supplyId }) ?? null),
    practice: ask.practice.get()!,
    sisters: modelId === null ? alone : (ask.sisters.get({ id: machineId, model: modelId }) ?? alone),
  }
}
