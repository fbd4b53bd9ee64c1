import { and, eq, getTableColumns, ne, sql } from 'drizzle-orm'
import { assembled } from './assembled'
import type { Db } from './db'
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
    .findMany({ where: eq(machines.id, id), with: Object.fromEntries(Object.entries(assembled().rows).map(([name, { query }]) => [name, query])) })
    .prepare(),
  rests: Object.entries(assembled().rests).map(([name, { table, of }]) => ({ name, of, row: db.select().from(table).where(eq(table.id, id)).prepare() })),
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
  const rows = Object.fromEntries(Object.entries(assembled().rows).map(([name, { many }]) => [name, many ? row[name] : ((row[name] as unknown[])[0] ?? null)]))
  const { modelId } = machine
  const sisters = modelId === null ? alone : (ask.sisters.get({ id: machineId, model: modelId }) ?? alone)
  // Each chapter has said what it adds, in the type and in its rows; here they come together.
  const file = { machine, sisters, ...rows } as unknown as MachineFile
  const restsOn = ask.rests.map(({ name, of, row: asked }) => {
    const on = of(file)
    return [name, on === null ? null : (asked.get({ id: on }) ?? null)]
  })
  return Object.assign(file, Object.fromEntries(restsOn))
}
