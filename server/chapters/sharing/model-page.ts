import { and, asc, count, desc, eq, inArray, isNull } from 'drizzle-orm'
import type { ModelPage } from '#shared/chapters/models/index'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { machineSummaries, machines } from '../../kernel/trunk'
import { faults } from '../faults/index'
import { photographs } from '../look/index'
import { listModels } from '../models/index'
import { openingSteps } from '../opening/index'

/** How many of its machines a model names; those that tell most come first. */
const mostMachines = 50

/** One model with the machines of it that are kept here. @throws NotFound */
export function modelPage(tx: Tx, id: number): ModelPage {
  const model = listModels(tx).find(m => m.id === id)
  if (!model) throw new NotFound('There is no such model.')
  const rows = tx
    .select({
      id: machines.id,
      tag: machines.tag,
      nickname: machines.nickname,
      variant: machines.variant,
      gate: machineSummaries.gate,
      batteryLeaked: machineSummaries.batteryLeaked,
    })
    .from(machineSummaries)
    .innerJoin(machines, eq(machines.id, machineSummaries.machineId))
    .where(eq(machineSummaries.modelId, id))
    .orderBy(desc(machineSummaries.batteryLeaked), asc(machines.tag))
    .limit(mostMachines)
    .all()
  const ids = rows.map(r => r.id)
  const troubles = tx.select().from(faults).where(inArray(faults.machineId, ids)).orderBy(asc(faults.id)).all()
  const opened = tx
    .select({ machineId: openingSteps.machineId, steps: count() })
    .from(openingSteps)
    .where(inArray(openingSteps.machineId, ids))
    .groupBy(openingSteps.machineId)
    .all()
  const faces = tx
    .select({ machineId: photographs.machineId, hash: photographs.hash })
    .from(photographs)
    .where(and(inArray(photographs.machineId, ids), eq(photographs.portrait, true), isNull(photographs.struckBy)))
    .all()
  return {
    ...model,
    machines: rows.map(({ id, ...machine }) => ({
      ...machine,
      portrait: faces.find(f => f.machineId === id)?.hash ?? null,
      faults: troubles.filter(f => f.machineId === id).map(({ symptom, open }) => ({ symptom, open })),
      openingSteps: opened.find(o => o.machineId === id)?.steps ?? 0,
    })),
  }
}
