import { setImmediate } from 'node:timers/promises'
import { type SQL, asc, count, desc, eq, sql } from 'drizzle-orm'
import type { KeptList, ListCounts } from '#shared/chapters/lists/index'
import type { MachineNarrowing } from '#shared/kernel/machine'
import { keptLists } from './schema'
import { models } from '../models/index'
import type { Tx } from '../../kernel/history/journal'
import { countMachines, fitting } from './list-machines'
import { matchOf } from '../../kernel/settling/search'
import { machineSummaries, machines } from '../../kernel/trunk'

/** So many places, models and owners are offered; the others are found by typing. */
const mostOffered = 40

/**
 * How many machines each narrowing would leave, under everything else that is asked; group by group, between which others are answered.
 */
export async function listCounts(tx: Tx, { find, sort: _, ...query }: MachineNarrowing, now: string): Promise<ListCounts> {
  const match = find ? matchOf(find) : null
  const found = find
    ? match
      ? sql`${machineSummaries.machineId} IN (SELECT rowid FROM machine_search WHERE machine_search MATCH ${match})`
      : sql`0`
    : undefined
  const under = (but?: Parameters<typeof fitting>[2]): SQL | undefined => {
    const fits = fitting(query, now, but)
    return fits && found ? sql`${fits} AND ${found}` : (fits ?? found)
  }
  const groups = async <V>(value: SQL<V>, but: Parameters<typeof fitting>[2]) => {
    await setImmediate()
    return tx
      .select({ value, machines: count() })
      .from(machineSummaries)
      .innerJoin(machines, eq(machines.id, machineSummaries.machineId))
      .where(under(but))
      .groupBy(value)
      .orderBy(desc(count()), asc(value))
      .all()
  }
  const byName = (rows: { value: string | null; machines: number }[]) => Object.fromEntries(rows.filter(r => r.value !== null).map(r => [r.value!, r.machines]))
  const named = (rows: { value: string; machines: number }[]) => rows.filter(r => r.value).slice(0, mostOffered)
  const waiting = sql<number>`EXISTS (SELECT 1 FROM waits WHERE waits.machine_id = ${machines.id} AND waits.ended_at IS NULL)`
  const ofModels = (await groups(sql<number | null>`${machines.modelId}`, 'model')).filter(r => r.value !== null).slice(0, mostOffered)
  const modelNames = new Map(
    tx
      .select({ id: models.id, name: models.name })
      .from(models)
      .all()
      .map(m => [m.id, m.name]),
  )
  return {
    gate: byName(await groups(sql<string>`${machineSummaries.gate}`, 'gate')),
    stage: byName(await groups(sql<string>`${machineSummaries.stage}`, 'stage')),
    bench: byName(await groups(sql<string>`iif(${machineSummaries.onBench}, 'on', 'off')`, 'bench')),
    life: byName(await groups(sql<string | null>`${machines.life}`, 'life')),
    acquired: byName(await groups(sql<string>`${machines.acquired}`, 'acquired')),
    waiting: (await groups(waiting, 'waiting')).find(r => r.value === 1)?.machines ?? 0,
    place: named(await groups(sql<string>`${machines.place}`, 'place')),
    owner: named(await groups(sql<string>`${machines.owner}`, 'owner')),
    model: ofModels.map(r => ({ value: r.value!, label: modelNames.get(r.value!) ?? 'Unknown', machines: r.machines })),
  }
}

/** The lists that are kept under a name, each with how many are in it now. */
export const keptListsOf = (tx: Tx, now: string): KeptList[] =>
  tx
    .select()
    .from(keptLists)
    .orderBy(asc(keptLists.name))
    .all()
    .map(({ id, name, query, byWhom }) => ({ id, name, query, by: byWhom, ...countMachines(tx, query, now) }))
