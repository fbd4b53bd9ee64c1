import { and, desc, eq, inArray, like, lt, or, sql } from 'drizzle-orm'
import { type HistoryPart, historyParts } from '#shared/kernel/history-parts'
import { isStrikeable, sentenceOf } from '#shared/chapters/index'
import type { HistoryLine } from '#shared/kernel/machine'
import type { Tx } from './journal'
import { journal } from '../trunk'

interface HistoryAsked {
  before?: number
  most?: number
  part?: HistoryPart
  find?: string
}

/**
 * The history of a machine, newest first, with what was struck and why.
 * @param before only entries before this one
 * @param most so many at the most; all of them where it is left out
 * @param part one part of it, by the kinds of entries
 * @param find only entries in whose own words, or whose writer, this stands
 */
export function historyOf(tx: Tx, machineId: number, { before, most, part, find }: HistoryAsked = {}): HistoryLine[] {
  const query = tx
    .select()
    .from(journal)
    .where(
      and(
        eq(journal.machineId, machineId),
        before === undefined ? undefined : lt(journal.seq, before),
        part && or(...historyParts[part].kinds.map(kind => like(journal.kind, `${kind}%`))),
        // Whoever looks for a word finds it in what was written, or by whom; the sentence around it is the program's.
        find ? or(sql`instr(lower(${journal.data}), ${find.toLowerCase()})`, sql`instr(lower(${journal.by}), ${find.toLowerCase()})`) : undefined,
      ),
    )
    .orderBy(desc(journal.seq))
  const entries = most === undefined ? query.all() : query.limit(most).all()
  const strikes = new Map(
    strikesOf(
      tx,
      entries.map(e => e.id),
    ).map(e => [e.strikes, e]),
  )
  return entries.map(({ id, seq, at, by, kind, data, hash }) => {
    const strike = strikes.get(id)
    return {
      id,
      seq,
      at,
      by,
      kind,
      hash,
      says: sentenceOf(kind, JSON.parse(data)),
      strikeable: isStrikeable(kind) && !strike,
      struck: strike ? { by: strike.by, at: strike.at, reason: (JSON.parse(strike.data) as { reason: string }).reason } : null,
    }
  })
}

/** The entries that strike these; asked for in lots, for a statement takes only so many values. */
function strikesOf(tx: Tx, ids: number[]) {
  const lots = Array.from({ length: Math.ceil(ids.length / 500) }, (_, i) => ids.slice(i * 500, (i + 1) * 500))
  return lots.flatMap(lot => tx.select().from(journal).where(inArray(journal.strikes, lot)).all())
}
