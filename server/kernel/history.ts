import { and, desc, eq, inArray, lt } from 'drizzle-orm'
import { isStrikeable, sentenceOf } from '#shared/chapters/index'
import type { HistoryLine } from '#shared/kernel/machine'
import type { Tx } from './journal'
import { journal } from './trunk'

/**
 * The history of a machine, newest first, with what was struck and why.
 * @param before only entries before this one
 * @param most so many at the most; all of them where it is left out
 */
export function historyOf(tx: Tx, machineId: number, { before, most }: { before?: number; most?: number } = {}): HistoryLine[] {
  const query = tx
    .select()
    .from(journal)
    .where(and(eq(journal.machineId, machineId), before === undefined ? undefined : lt(journal.seq, before)))
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
