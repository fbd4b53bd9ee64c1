import { readForHazards } from '#core/safety/free-text'
import { writtenIn } from '#shared/chapters/index'
import { and, asc, eq, gt, isNotNull } from 'drizzle-orm'
import type { Db } from '../db'
import type { Tx } from './journal'
import { journal, sayings } from '../trunk'

/** An entry of a machine, as the ear needs it. */
interface Entry {
  id: number
  machineId: number
  kind: string
  data: unknown
  at: string
  by: string
}

/**
 * Reads what people wrote in an entry, of whatever kind, and keeps each sentence that speaks of a danger. What was written once is heard for good:
 * it goes with a struck entry, or when somebody says what it was, and not by being written over.
 */
export function hear(tx: Tx, { id, machineId, kind, data, at, by }: Entry): void {
  const written = writtenIn(kind, data)
  const { texts, deafTo } = Array.isArray(written) ? { texts: written, deafTo: [] } : written
  const heard = texts
    .filter(Boolean)
    .flatMap(readForHazards)
    .filter(h => !deafTo.includes(h.kind))
  const once = new Map(heard.map(h => [h.kind, h]))
  for (const { kind: hazard, sentence } of once.values())
    tx.insert(sayings)
      .values({ machineId, entryId: id, kind: hazard, sentence: sentence.slice(0, 500), at, by })
      .run()
}

const piece = 2000

/** Reads the next entries of former days, for a collection that was kept before anybody listened; an entry that was heard already is left. */
function hearFormer(tx: Tx, after: number): { last: number; more: boolean } {
  const entries = tx
    .select({ id: journal.id, machineId: journal.machineId, kind: journal.kind, data: journal.data, at: journal.at, by: journal.by })
    .from(journal)
    .where(and(gt(journal.id, after), isNotNull(journal.machineId)))
    .orderBy(asc(journal.id))
    .limit(piece)
    .all()
  const is = (table: typeof sayings | typeof journal, column: Parameters<typeof eq>[0], id: number) =>
    tx.select({ id: table.id }).from(table).where(eq(column, id)).limit(1).get() !== undefined
  for (const { id, machineId, data, ...entry } of entries)
    if (!is(sayings, sayings.entryId, id) && !is(journal, journal.strikes, id)) hear(tx, { ...entry, id, machineId: machineId!, data: JSON.parse(data) })
  return { last: entries.at(-1)?.id ?? after, more: entries.length === piece }
}

/** What a database has been told to remember of itself, beside its form: 1, everything that people wrote in it has been listened to. */
const listenedTo = 1
/** Listens to all that was written before anybody did, once. @returns whether anything was to be listened to */
export function listenToFormer(db: Db): boolean {
  if ((db.$client.pragma('user_version', { simple: true }) as number) >= listenedTo) return false
  for (let [after, more] = [0, true]; more;) ({ last: after, more } = db.transaction(tx => hearFormer(tx, after), { behavior: 'immediate' }))
  db.$client.pragma(`user_version = ${listenedTo}`)
  return true
}
