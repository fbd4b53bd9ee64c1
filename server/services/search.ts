import { and, eq, isNull, sql } from 'drizzle-orm'
import { assemblies, claims, damages, faults, machines, observations, questions } from '../db/schema'
import type { Tx } from './journal'

/** Writes anew what can be found of one machine: its names, claims, notes and faults. */
export function reindex(tx: Tx, machineId: number): void {
  const machine = tx.select().from(machines).where(eq(machines.id, machineId)).get()
  if (!machine) return
  const lines = (rows: Record<string, unknown>[]) => rows.flatMap(row => Object.values(row)).filter(Boolean).join('\n')
  const said = tx.select({ says: claims.says }).from(claims).where(and(eq(claims.machineId, machineId), isNull(claims.struckBy))).all()
  const notes = [
    ...tx.select({ name: assemblies.name, note: assemblies.note }).from(assemblies).where(eq(assemblies.machineId, machineId)).all(),
    ...tx.select({ where: damages.where, kind: damages.kind, extent: damages.extent }).from(damages).where(and(eq(damages.machineId, machineId), isNull(damages.struckBy))).all(),
    ...tx.select({ question: questions.question, answer: questions.answer }).from(questions).where(eq(questions.machineId, machineId)).all(),
    { what: machine.lastPoweredWhat },
  ]
  const troubles = [
    ...tx.select({ symptom: faults.symptom }).from(faults).where(eq(faults.machineId, machineId)).all(),
    ...tx.select({ says: observations.says }).from(observations).innerJoin(faults, eq(observations.faultId, faults.id)).where(and(eq(faults.machineId, machineId), isNull(observations.struckBy))).all(),
  ]
  tx.run(sql`DELETE FROM machine_search WHERE rowid = ${machineId}`)
  tx.run(sql`INSERT INTO machine_search (rowid, tag, names, claims, notes, faults) VALUES (${machineId}, ${machine.tag},
    ${lines([{ nickname: machine.nickname, name: machine.name, maker: machine.maker, serial: machine.serial, place: machine.place }])},
    ${lines(said)}, ${lines(notes)}, ${lines(troubles)})`)
}

/**
 * Machines that match every word typed, each as a beginning of a word, best first.
 * Words are quoted for the search engine, so that nothing typed is read as its syntax.
 */
export function findMachines(tx: Tx, typed: string): number[] {
  const words = typed.match(/[\p{L}\p{N}]+/gu) ?? []
  if (!words.length) return []
  const query = words.map(word => `"${word}"*`).join(' ')
  return tx.all<{ id: number }>(sql`SELECT rowid AS id FROM machine_search WHERE machine_search MATCH ${query}
    ORDER BY bm25(machine_search, 10, 6, 2, 1, 2) LIMIT 500`).map(row => row.id)
}
