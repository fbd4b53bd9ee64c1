import { createHash } from 'node:crypto'
import type { Db } from '../db/connection'
import type { journal } from './trunk'

/** The hash chains of the history, by themselves: whoever checks them needs nothing else of the product. */

/** What the first entry of a chain carries as the hash before it. */
export const beginning = '0'.repeat(64)
const sha256 = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex')

type Hashed = Pick<typeof journal.$inferSelect, 'chain' | 'seq' | 'kind' | 'at' | 'by' | 'data' | 'subject' | 'subjectId' | 'strikes' | 'previousHash'>

/**
 * SHA-256 over the hash before and the digest of what the entry says, in that order.
 * Two steps, so that a chain can be checked by someone to whom only the digests of private entries are shown.
 */
export function hashOf(entry: Hashed): string {
  const { chain, seq, kind, at, by, data, subject, subjectId, strikes } = entry
  return sha256(entry.previousHash + sha256(JSON.stringify([chain, seq, kind, at, by, data, subject, subjectId, strikes])))
}

export interface BrokenEntry {
  chain: string
  seq: number
  id: number | null
  why: string
}
export interface Verified {
  entries: number
  chains: number
  broken: BrokenEntry | null
}

/**
 * Walks every chain, entry by entry as they come from the file, so that a history of any length fits in memory.
 * @returns how many entries were checked, and the first broken entry, if any
 */
export function verifyChains({ $client }: Pick<Db, '$client'>): Verified {
  const rows = $client.prepare(
    `SELECT id, chain, seq, kind, at, by, data, subject, subject_id AS subjectId, strikes, previous_hash AS previousHash, hash
     FROM journal ORDER BY chain, seq`,
  )
  const headOf = $client.prepare('SELECT hash FROM journal_heads WHERE chain = ?').pluck()
  let [count, chains] = [0, 0]
  let end = { chain: '', seq: 0, hash: beginning }
  const broken = (chain: string, seq: number, id: number | null, why: string): Verified => ({ entries: count, chains, broken: { chain, seq, id, why } })
  const cutOff = () => end.chain !== '' && headOf.get(end.chain) !== end.hash
  for (const entry of rows.iterate() as Iterable<Hashed & { id: number; hash: string }>) {
    if (entry.chain !== end.chain) {
      if (cutOff()) return broken(end.chain, end.seq + 1, null, 'the end of the chain has been cut off')
      end = { chain: entry.chain, seq: 0, hash: beginning }
      chains++
    }
    count++
    const why =
      entry.seq !== end.seq + 1
        ? `entry ${end.seq + 1} is missing before it`
        : entry.previousHash !== end.hash
          ? 'it does not carry the hash of the entry before it'
          : entry.hash !== hashOf(entry)
            ? 'what it says does not match its hash'
            : null
    if (why) return broken(entry.chain, entry.seq, entry.id, why)
    end = { chain: entry.chain, seq: entry.seq, hash: entry.hash }
  }
  if (cutOff()) return broken(end.chain, end.seq + 1, null, 'the end of the chain has been cut off')
  const gone = $client.prepare('SELECT chain FROM journal_heads WHERE chain NOT IN (SELECT DISTINCT chain FROM journal) LIMIT 1').pluck().get()
  if (gone) return broken(gone as string, 1, null, 'the end of the chain has been cut off')
  return { entries: count, chains, broken: null }
}
