import { and, desc, eq, ne, sql } from 'drizzle-orm'
import type { ViewOf } from '#shared/chapters/index'
import type { MachineRow, ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/journal'
import { machines } from '../../kernel/trunk'
import { faults, repairs } from './schema'

/** So many faults of sisters stand beside the one that is written. */
const mostSisters = 8

/** What machines of the same model had, and the repair that closed it; the newest. */
function sisterFaultsOf(tx: Tx, { id, modelId }: MachineRow): ViewOf<'faults'>['sisterFaults'] {
  if (modelId === null) return []
  const did = sql<string>`coalesce((SELECT ${repairs.did} FROM ${repairs} WHERE ${repairs.faultId} = ${faults.id} AND ${repairs.closes} ORDER BY ${repairs.id} DESC LIMIT 1), '')`
  return tx
    .select({
      tag: machines.tag,
      name: sql<string>`iif(${machines.nickname} = '', ${machines.tag}, ${machines.nickname})`,
      symptom: faults.symptom,
      open: faults.open,
      did,
    })
    .from(faults)
    .innerJoin(machines, eq(machines.id, faults.machineId))
    .where(and(eq(machines.modelId, modelId), ne(machines.id, id)))
    .orderBy(desc(faults.id))
    .limit(mostSisters)
    .all()
}

/** Faults with what was observed and repaired. */
export const faultsView = ({ tx, file }: ViewInput): ViewOf<'faults'> => ({
  knownFaults: file.model?.knownFaults ?? [],
  sisterFaults: sisterFaultsOf(tx, file.machine),
  faults: file.faults.map(({ id, version, symptom, firstSeen, stopsMachine, open, observations, repairs }) => ({
    id,
    version,
    symptom,
    firstSeen,
    stopsMachine,
    open,
    observations: observations.map(({ id, says, at }) => ({ id, says, at })),
    repairs: repairs.map(({ id, did, closes, at }) => ({ id, did, closes, at })),
  })),
})
