import { type SQL, and, asc, count, desc, eq, gt, isNull, sql } from 'drizzle-orm'
import type { Page } from '#shared/kernel/answers'
import type { MachineQuery, MachineSummary, TodayView } from '#shared/kernel/machine'
import { waits } from '../chapters/waits/index'
import type { Tx } from './journal'
import { matchOf } from './search'
import { machineSummaries, machines } from './trunk'

/** Lists read summaries, filtered, sorted and paged in SQL; none of them assesses a machine. */

const cardOf = ({ card }: { card: string }) => JSON.parse(card) as MachineSummary

/** So many finds are ranked; whoever gets more types another word. */
const mostFound = 500

/** A page of machines that fit; best match first where something was typed. */
export function listMachines(tx: Tx, { find, gate, stage, bench, sort, page, size }: MachineQuery): Page<MachineSummary> {
  const match = find ? matchOf(find) : null
  if (find && !match) return { rows: [], total: 0 }
  const fits = and(gate && eq(machineSummaries.gate, gate), stage && eq(machineSummaries.stage, stage), bench && eq(machineSummaries.onBench, bench === 'on'))
  const offset = (page - 1) * size
  if (match) return foundMachines(tx, match, String(find).trim(), fits, size, offset)
  const order = sort === 'harm' ? [desc(machineSummaries.harmRank), desc(machineSummaries.tag)] : [desc(machineSummaries.tag)]
  const rows = tx
    .select({ card: machineSummaries.card })
    .from(machineSummaries)
    .where(fits)
    .orderBy(...order)
    .limit(size)
    .offset(offset)
    .all()
  return { rows: rows.map(cardOf), total: countOf(tx, fits) }
}

const countOf = (tx: Tx, fits: SQL | undefined) => tx.select({ n: count() }).from(machineSummaries).where(fits).get()!.n

/**
 * A machine whose tag or nickname begins with what was typed stands first; then one that is found by its tag or its names, before one that is found
 * by what was said of it.
 */
function foundMachines(tx: Tx, match: string, typed: string, fits: SQL | undefined, size: number, offset: number): Page<MachineSummary> {
  const found = sql`(SELECT rowid AS id, bm25(machine_search, 10, 6, 2, 1, 2) AS rank FROM machine_search WHERE machine_search MATCH ${match} LIMIT ${mostFound})`
  const rows = tx.all<{ card: string }>(sql`SELECT ${machineSummaries.card} AS card FROM ${found} AS found
    JOIN ${machineSummaries} ON ${machineSummaries.machineId} = found.id ${fits ? sql`WHERE ${fits}` : sql``}
    ORDER BY ${calledSo(typed)} DESC, found.rank, ${machineSummaries.tag} DESC LIMIT ${size} OFFSET ${offset}`)
  const { n } = tx.get<{ n: number }>(sql`SELECT count(*) AS n FROM ${found} AS found
    JOIN ${machineSummaries} ON ${machineSummaries.machineId} = found.id ${fits ? sql`WHERE ${fits}` : sql``}`)
  return { rows: rows.map(cardOf), total: n, ...(n >= mostFound ? { atLeast: true } : {}) }
}

/** Whether its tag or nickname begins with what was typed; case does not count. */
const calledSo = (typed: string) =>
  sql`EXISTS (SELECT 1 FROM ${machines} WHERE ${machines.id} = found.id AND (substr(lower(${machines.nickname}), 1, ${typed.length}) = ${typed.toLowerCase()} OR substr(lower(${machines.tag}), 1, ${typed.length}) = ${typed.toLowerCase()}))`

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
