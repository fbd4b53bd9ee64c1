import { and, asc, count, isNotNull, sql } from 'drizzle-orm'
import { lookAlikes } from '#core/identify/look-alike'
import { Model, type ModelView, type SpelledOtherwise } from '#shared/chapters/models/index'
import type { Tx } from '../../kernel/history/journal'
import { machineSummaries, models } from '../../kernel/trunk'

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
    .map(model => ({ id: model.id, version: model.version, ...Model.of(model), ...(here.get(model.id) ?? { here: 0, leaked: 0 }) }))
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
