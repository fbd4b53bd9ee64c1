import { eq, exists, sql } from 'drizzle-orm'
import type { GateVerdict } from '#core/safety/gate-words'
import type { Db } from '../db'
import { prepared } from '../prepared'
import { machineSummaries, settlings } from '../trunk'
import type { MachineWork } from '../work'

const settled = (db: Db) =>
  db
    .select({ gate: machineSummaries.gate, dueAt: machineSummaries.dueAt, waits: sql<number>`${exists(db.select({ id: settlings.id }).from(settlings))}` })
    .from(machineSummaries)
    .where(eq(machineSummaries.machineId, sql.placeholder('id')))
    .prepare()

/**
 * What the gate said of a machine when the command came, for what is only noted or asked about: as it was settled last. It is asked afresh where
 * something may have changed by time alone since, or where what it rests on waits to be settled. Nothing is energised by it.
 */
export function gateAsItStood(work: MachineWork): GateVerdict {
  const row = prepared(work.db, 'gate-as-it-stood', settled).get({ id: work.machine.id })
  const stands = row && !row.waits && (row.dueAt === null || row.dueAt > work.at)
  return stands ? row.gate : work.assess().known.gateInForce
}
