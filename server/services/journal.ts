import { createHash } from 'node:crypto'
import { asc, eq } from 'drizzle-orm'
import { type JournalData, type JournalKind, journalKinds } from '#shared/journal/kinds'
import type { Db } from '../db/connection'
import { journal, journalHeads } from '../db/schema'

export type Tx = Pick<Db, 'select' | 'insert' | 'update' | 'delete' | 'run' | 'all' | 'get'>

export const collectionChain = 'collection'
const beginning = '0'.repeat(64)
const sha256 = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex')

export interface NewEntry<K extends JournalKind = JournalKind> {
  kind: K
  data: JournalData<K>
  chain: string
  machineId: number | null
  at: string
  personId: number | null
  by: string
  subject?: { table: string, id: number }
  strikes?: number
}

type Hashed = Pick<typeof journal.$inferSelect, 'chain' | 'seq' | 'kind' | 'at' | 'by' | 'data' | 'subject' | 'subjectId' | 'strikes' | 'previousHash'>

/**
 * SHA-256 over the hash before and the digest of what the entry says, in that order.
 * Two steps, so that a chain can be checked by someone to whom only the digests of private entries are shown.
 */
export function hashOf(entry: Hashed): string {
  const { chain, seq, kind, at, by, data, subject, subjectId, strikes } = entry
  return sha256(entry.previousHash + sha256(JSON.stringify([chain, seq, kind, at, by, data, subject, subjectId, strikes])))
}

/** Appends an entry at the end of its chain. Only ever called inside the transaction of the change that it tells of. */
export function append<K extends JournalKind>(tx: Tx, entry: NewEntry<K>): number {
  const head = tx.select().from(journalHeads).where(eq(journalHeads.chain, entry.chain)).get()
  const seq = (head?.seq ?? 0) + 1
  const row = {
    chain: entry.chain, seq, machineId: entry.machineId, kind: entry.kind, at: entry.at,
    personId: entry.personId, by: entry.by,
    data: JSON.stringify(journalKinds[entry.kind].data.parse(entry.data)),
    subject: entry.subject?.table ?? null, subjectId: entry.subject?.id ?? null,
    strikes: entry.strikes ?? null, previousHash: head?.hash ?? beginning,
  }
  const hash = hashOf(row)
  const { id } = tx.insert(journal).values({ ...row, hash }).returning({ id: journal.id }).get()
  tx.insert(journalHeads).values({ chain: entry.chain, seq, hash })
    .onConflictDoUpdate({ target: journalHeads.chain, set: { seq, hash } }).run()
  return id
}

export interface BrokenEntry { chain: string, seq: number, id: number | null, why: string }

/** Walks every chain. @returns how many entries were checked, and the first broken entry, if any */
export function verifyChains(db: Tx): { entries: number, chains: number, broken: BrokenEntry | null } {
  const entries = db.select().from(journal).orderBy(asc(journal.chain), asc(journal.seq)).all()
  const ends = new Map<string, { seq: number, hash: string }>()
  for (const entry of entries) {
    const before = ends.get(entry.chain) ?? { seq: 0, hash: beginning }
    const why = entry.seq !== before.seq + 1
      ? `entry ${before.seq + 1} is missing before it`
      : entry.previousHash !== before.hash
        ? 'it does not carry the hash of the entry before it'
        : entry.hash !== hashOf(entry) ? 'what it says does not match its hash' : null
    if (why) return { entries: entries.length, chains: ends.size, broken: { chain: entry.chain, seq: entry.seq, id: entry.id, why } }
    ends.set(entry.chain, { seq: entry.seq, hash: entry.hash })
  }
  for (const head of db.select().from(journalHeads).all()) {
    const end = ends.get(head.chain)
    if (end?.hash !== head.hash) return { entries: entries.length, chains: ends.size, broken: { chain: head.chain, seq: (end?.seq ?? 0) + 1, id: null, why: 'the end of the chain has been cut off' } }
  }
  return { entries: entries.length, chains: ends.size, broken: null }
}
