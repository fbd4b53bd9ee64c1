import { millisecondsInDay } from 'date-fns/constants'
import { type SQL, and, asc, count, desc, eq, gt, inArray, isNull, sql } from 'drizzle-orm'
import type { Page } from '#shared/kernel/answers'
import type { MachineNarrowing, MachineQuery, MachineSummary, TodayView } from '#shared/kernel/machine'
import { waits } from '../waits/index'
import type { Tx } from '../../kernel/history/journal'
import { matchOf, passageOf } from '../../kernel/settling/search'
import { journal, machineSummaries, machines } from '../../kernel/trunk'

/** Lists read summaries, filtered, sorted and paged in SQL; none of them assesses a machine. */

const cardOf = ({ card }: { card: string }) => JSON.parse(card) as MachineSummary

/** So many finds are ranked; whoever gets more types another word. */
const mostFound = 500

type Narrowed = Omit<MachineQuery, 'sort' | 'find' | 'page' | 'size'>
const summaries = machineSummaries

/** What each narrowing asks of the rows, by its name; whoever counts the groups of one leaves its own out. */
const asks: { [N in keyof Narrowed]-?: (value: NonNullable<Narrowed[N]>, now: string) => SQL } = {
  gate: v => eq(summaries.gate, v),
  stage: v => eq(summaries.stage, v),
  bench: v => eq(summaries.onBench, v === 'on'),
  tags: v => inArray(summaries.tag, v.split(',').slice(0, mostTags)),
  model: v => eq(summaries.modelId, v),
  place: v => ofMachine(sql`${machines.place} = ${v}`),
  owner: v => ofMachine(sql`${machines.owner} = ${v}`),
  acquired: v => ofMachine(sql`${machines.acquired} = ${v}`),
  life: v => ofMachine(sql`${machines.life} = ${v}`),
  waiting: (v, now) =>
    sql`EXISTS (SELECT 1 FROM ${waits} WHERE ${waits.machineId} = ${summaries.machineId} AND ${waits.endedAt} IS NULL ${v === 'over' ? sql`AND ${waits.until} <= ${now}` : sql``})`,
  person: v =>
    sql`${summaries.machineId} IN (SELECT ${journal.machineId} FROM ${journal} WHERE ${journal.personId} = ${v} AND ${journal.machineId} IS NOT NULL)`,
  olderThan: (v, now) => ofMachine(sql`${machines.bookedInAt} <= ${new Date(Date.parse(now) - v * millisecondsInDay).toISOString()}`),
}
/** So many machines are asked for by name. */
const mostTags = 200
const ofMachine = (condition: SQL) => sql`EXISTS (SELECT 1 FROM ${machines} WHERE ${machines.id} = ${summaries.machineId} AND ${condition})`

/** @param but a narrowing that is left out */
export function fitting(query: Narrowed, now: string, but?: keyof Narrowed): SQL | undefined {
  const names = (Object.keys(asks) as (keyof Narrowed)[]).filter(name => name !== but && query[name] !== undefined && query[name] !== '')
  return and(...names.map(name => (asks[name] as (value: unknown, now: string) => SQL)(query[name], now)))
}

const orders: Record<MachineNarrowing['sort'], SQL[]> = {
  newest: [desc(summaries.tag)],
  oldest: [asc(summaries.tag)],
  harm: [desc(summaries.harmRank), desc(summaries.tag)],
  name: [asc(summaries.name), asc(summaries.tag)],
  place: [sql`(SELECT ${machines.place} FROM ${machines} WHERE ${machines.id} = ${summaries.machineId})`, asc(summaries.tag)],
}

/** A page of machines that fit; best match first where something was typed. */
export function listMachines(tx: Tx, { find, sort, page, size, ...narrowed }: MachineQuery, now: string): Page<MachineSummary> {
  const match = find ? matchOf(find) : null
  if (find && !match) return { rows: [], total: 0 }
  const fits = fitting(narrowed, now)
  const offset = (page - 1) * size
  if (match) return foundMachines(tx, match, String(find).trim(), fits, size, offset)
  const rows = tx
    .select({ card: summaries.card })
    .from(summaries)
    .where(fits)
    .orderBy(...orders[sort])
    .limit(size)
    .offset(offset)
    .all()
  return { rows: rows.map(cardOf), total: countOf(tx, fits) }
}

const countOf = (tx: Tx, fits: SQL | undefined) => tx.select({ n: count() }).from(summaries).where(fits).get()!.n
const foundBy = (match: string) =>
  sql`(SELECT rowid AS id, bm25(machine_search, 10, 6, 2, 1, 2) AS rank FROM machine_search WHERE machine_search MATCH ${match} LIMIT ${mostFound})`
const foundCount = (tx: Tx, match: string, fits: SQL | undefined) =>
  tx.get<{ n: number }>(sql`SELECT count(*) AS n FROM ${foundBy(match)} AS found
    JOIN ${summaries} ON ${summaries.machineId} = found.id ${fits ? sql`WHERE ${fits}` : sql``}`).n

/**
 * A machine whose tag or nickname begins with what was typed stands first; then one that is found by its tag or its names, before one that is found
 * by what was said of it. Each comes with the passage that it was found by.
 */
function foundMachines(tx: Tx, match: string, typed: string, fits: SQL | undefined, size: number, offset: number): Page<MachineSummary> {
  const rows = tx.all<{ id: number; card: string }>(sql`SELECT found.id AS id, ${summaries.card} AS card FROM ${foundBy(match)} AS found
    JOIN ${summaries} ON ${summaries.machineId} = found.id ${fits ? sql`WHERE ${fits}` : sql``}
    ORDER BY ${calledSo(typed)} DESC, found.rank, ${summaries.tag} DESC LIMIT ${size} OFFSET ${offset}`)
  const n = foundCount(tx, match, fits)
  const passages = passagesOf(
    tx,
    typed,
    rows.map(r => r.id),
  )
  return { rows: rows.map(r => ({ ...cardOf(r), found: passages.get(r.id) ?? '' })), total: n, ...(n >= mostFound ? { atLeast: true } : {}) }
}

/** Of each machine found, some words around what was found in it. Read by its id: asked of the search again, the whole of it would be gone through. */
function passagesOf(tx: Tx, typed: string, ids: number[]): Map<number, string> {
  if (!ids.length) return new Map()
  const rows = tx.all<{ id: number } & Record<'tag' | 'names' | 'claims' | 'notes' | 'faults', string>>(
    sql`SELECT rowid AS id, tag, names, claims, notes, faults FROM machine_search WHERE rowid IN ${ids}`,
  )
  return new Map(rows.map(r => [r.id, passageOf([r.faults, r.claims, r.notes, r.names, r.tag], typed)]))
}

/** How many machines a list holds, without fetching them. */
export function countMachines(tx: Tx, { find, ...narrowed }: Partial<MachineNarrowing>, now: string): { machines: number; atLeast: boolean } {
  const match = find ? matchOf(find) : null
  if (find && !match) return { machines: 0, atLeast: false }
  const { sort: _, ...rest } = narrowed
  const fits = fitting(rest, now)
  if (!match) return { machines: countOf(tx, fits), atLeast: false }
  const n = foundCount(tx, match, fits)
  return { machines: n, atLeast: n >= mostFound }
}

/** The number at the end of a tag, without the noughts before it. */
const numberOfTag = sql`ltrim(substr(${machines.tag}, length(rtrim(${machines.tag}, '0123456789')) + 1), '0')`
/** Whether its tag or nickname begins with what was typed, or its number is that; case does not count. */
const calledSo = (typed: string) =>
  sql`EXISTS (SELECT 1 FROM ${machines} WHERE ${machines.id} = found.id AND (${numberOfTag} = ${typed.replace(/^0+/, '') || typed} OR substr(lower(${machines.nickname}), 1, ${typed.length}) = ${typed.toLowerCase()} OR substr(lower(${machines.tag}), 1, ${typed.length}) = ${typed.toLowerCase()}))`

/** How many of each kind Today shows; the rest is a press away. */
const mostToday = 30

export function today(tx: Tx): TodayView {
  const urgent = gt(machineSummaries.harmRank, 0)
  const moving = and(eq(machineSummaries.onBench, true), eq(machineSummaries.hasMove, true))
  const worst = [desc(machineSummaries.harmRank), desc(machineSummaries.tag)]
  const cards = (fits: SQL | undefined) => ({
    rows: tx
      .select({ card: machineSummaries.card })
      .from(machineSummaries)
      .where(fits)
      .orderBy(...worst)
      .limit(mostToday)
      .all()
      .map(cardOf),
    total: countOf(tx, fits),
  })
  return {
    machines: countOf(tx, undefined),
    urgent: cards(urgent),
    waiting: {
      rows: tx
        .select({ id: waits.id, what: waits.what, until: waits.until, tag: machines.tag, nickname: machines.nickname, name: machines.name })
        .from(waits)
        .innerJoin(machines, eq(machines.id, waits.machineId))
        .where(isNull(waits.endedAt))
        .orderBy(asc(waits.until))
        .limit(mostToday)
        .all(),
      total: tx.select({ n: count() }).from(waits).where(isNull(waits.endedAt)).get()!.n,
    },
    moves: cards(moving),
  }
}
