import { and, eq, getTableColumns, ne, sql } from 'drizzle-orm'
import { assembled } from './assembled'
import type { Db } from './db'
import type { MachineFile, MachineRow, SistersCounted } from './file'
import { prepared } from './prepared'
import type { Table } from './rows'
import { machineSummaries, machines } from './trunk'

type Row = Record<string, unknown>
const columns = Object.keys(getTableColumns(machines))
const id = sql.placeholder('id')
const model = sql.placeholder('model')

/** What is used of the query builder here: its own types would work out those of every chapter's rows at once. */
interface Builder {
  machines: { findMany: (query: object) => { prepare: () => { execute: (given: object) => { sync: () => Row[] } } } }
}

/** The statements that read a machine: itself with all that the chapters keep of it in one, itself alone, and what it rests on. */
const statementsOf = (db: Db) => ({
  whole: partsStatement(db, Object.keys(assembled().rows)),
  alone: db.select().from(machines).where(eq(machines.id, id)).prepare(),
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
/** Reads a machine with these parts of its file. */
const partsStatement = (db: Db, names: readonly string[]) =>
  (db.query as unknown as Builder).machines
    .findMany({ where: eq(machines.id, id), with: Object.fromEntries(names.map(name => [name, assembled().rows[name]!.query])) })
    .prepare()
const alone: SistersCounted = { all: 0, leaked: 0, signedOff: 0 }

const partsIn = (row: Row, names: readonly string[]) =>
  Object.fromEntries(names.map(name => [name, assembled().rows[name]!.many ? row[name] : ((row[name] as unknown[])[0] ?? null)]))

/** Adds what a machine rests on, and its sisters: both may have changed by what was done to others. */
function resting(db: Db, file: MachineFile): MachineFile {
  const ask = prepared(db, 'file', statementsOf)
  const { id, modelId } = file.machine
  const restsOn = ask.rests.map(({ name, of, row }) => {
    const on = of(file)
    return [name, on === null ? null : (row.get({ id: on }) ?? null)]
  })
  const sisters = modelId === null ? alone : (ask.sisters.get({ id, model: modelId }) ?? alone)
  return Object.assign(file, { sisters }, Object.fromEntries(restsOn))
}

/** Gathers the file of one machine as it stands in the transaction that is open on this database, or outside of any. */
export function loadFile(db: Db, machineId: number): MachineFile {
  const [row] = prepared(db, 'file', statementsOf).whole.execute({ id: machineId }).sync()
  if (!row) throw new Error(`There is no machine ${machineId}.`)
  const machine = Object.fromEntries(columns.map(name => [name, row[name]])) as MachineRow
  // Each chapter has said what it adds, in the type and in its rows; here they come together.
  return resting(db, { machine, ...partsIn(row, Object.keys(assembled().rows)) } as unknown as MachineFile)
}

/** The same file as it stands now, where nothing but these tables has been written since it was loaded: only what is kept in them is read again. */
export function reloadFile(db: Db, file: MachineFile, written: ReadonlySet<Table>): MachineFile {
  const machine = written.has(machines) ? prepared(db, 'file', statementsOf).alone.get({ id: file.machine.id })! : file.machine
  const stale = Object.entries(assembled().rows).flatMap(([name, { table, within }]) => ([table, ...within].some(t => written.has(t)) ? [name] : []))
  const parts = stale.map(name => {
    const [row] = prepared(db, `file: ${name}`, () => partsStatement(db, [name]))
      .execute({ id: machine.id })
      .sync()
    return partsIn(row!, [name])
  })
  return resting(db, Object.assign({ ...file, machine }, ...parts))
}
