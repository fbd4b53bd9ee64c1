import { and, asc, count, desc, eq, inArray, isNotNull, sql } from 'drizzle-orm'
import { lookAlikes } from '#core/identify/look-alike'
import type { ModelPage, ModelView, SpelledOtherwise } from '#shared/chapters/models/index'
import type { Tx } from '../../kernel/journal'
import { NotFound } from '../../kernel/refusals'
import { machineSummaries, machines } from '../../kernel/trunk'
import { faults } from '../faults/index'
import { openingSteps } from '../opening/index'
import { models } from './schema'

/** How many of its machines a model names; those that tell most come first. */
const mostMachines = 50

const counted = (tx: Tx) =>
  new Map(
    tx
      .select({ modelId: machineSummaries.modelId, here: count(), leaked: sql<number>`coalesce(sum(${machineSummaries.batteryLeaked}), 0)` })
      .from(machineSummaries)
      .where(isNotNull(machineSummaries.modelId))
      .groupBy(machineSummaries.modelId)
      .all()
      .map(({ modelId, ...n }) => [modelId!, n]),
  )

/** What is known of each model, and how many of it are here. */
export function listModels(tx: Tx): ModelView[] {
  const here = counted(tx)
  return tx
    .select()
    .from(models)
    .orderBy(asc(models.maker), asc(models.name))
    .all()
    .map(({ uid: _, bulletins: _b, ...model }) => ({ ...model, ...(here.get(model.id) ?? { here: 0, leaked: 0 }) }))
}

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
  return {
    ...model,
    machines: rows.map(({ id, ...machine }) => ({
      ...machine,
      faults: troubles.filter(f => f.machineId === id).map(({ symptom, open }) => ({ symptom, open })),
      openingSteps: opened.find(o => o.machineId === id)?.steps ?? 0,
    })),
  }
}

/** How many names are compared; a collection with more has other work to do first. */
const mostNames = 500
const mostFound = 20

/** Machines without a model whose name is probably a known model's under another spelling. */
export function spelledOtherwise(tx: Tx): SpelledOtherwise[] {
  const names = tx
    .select({ name: models.name })
    .from(models)
    .all()
    .map(m => m.name)
  if (!names.length) return []
  const written = tx
    .select({ name: machineSummaries.name, tag: sql<string>`min(${machineSummaries.tag})` })
    .from(machineSummaries)
    .where(and(sql`${machineSummaries.name} NOT IN (SELECT ${models.name} FROM ${models})`))
    .groupBy(machineSummaries.name)
    .limit(mostNames)
    .all()
  return written
    .flatMap(({ name, tag }) =>
      lookAlikes(name, names)
        .slice(0, 1)
        .map(model => ({ tag, name, model })),
    )
    .slice(0, mostFound)
}
