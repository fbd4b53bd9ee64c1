import { eq } from 'drizzle-orm'
import { type EntryData, type EntryKind, entries } from '#shared/chapters/index'
import type { Db } from '../db'
import { beginning, hashOf } from './chains'
import { journal, journalHeads } from '../trunk'

export type Tx = Pick<Db, 'select' | 'insert' | 'update' | 'delete' | 'run' | 'all' | 'get'>

export const collectionChain = 'collection'

export interface NewEntry<K extends EntryKind = EntryKind> {
  kind: K
  data: EntryData<K>
  chain: string
  machineId: number | null
  at: string
  personId: number | null
  by: string
  subject?: { table: string; id: number }
  strikes?: number
}

/** Appends an entry at the end of its chain. Only ever called inside the transaction of the change that it tells of. */
export function append<K extends EntryKind>(tx: Tx, entry: NewEntry<K>): number {
  const head = tx.select().from(journalHeads).where(eq(journalHeads.chain, entry.chain)).get()
  const seq = (head?.seq ?? 0) + 1
  const row = {
    chain: entry.chain,
    seq,
    machineId: entry.machineId,
    kind: entry.kind,
    at: entry.at,
    personId: entry.personId,
    by: entry.by,
    data: JSON.stringify(entries[entry.kind].data.parse(entry.data)),
    subject: entry.subject?.table ?? null,
    subjectId: entry.subject?.id ?? null,
    strikes: entry.strikes ?? null,
    previousHash: head?.hash ?? beginning,
  }
  const hash = hashOf(row)
  const { id } = tx
    .insert(journal)
    .values({ ...row, hash })
    .returning({ id: journal.id })
    .get()
  tx.insert(journalHeads).values({ chain: entry.chain, seq, hash }).onConflictDoUpdate({ target: journalHeads.chain, set: { seq, hash } }).run()
  return id
}
