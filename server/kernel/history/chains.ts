import { createHash } from 'node:crypto'
import type { Db } from '../db'
import type { journal } from '../trunk'

/** The hash chains of the history, by themselves: whoever checks them needs nothing else of the product. */

/** What the first entry of a chain carries as the hash before it. */
export const beginning = '0'.repeat(64)
const sha256 = (text: string) => createHash('sha256').update(text, 'utf8').digest('hex')

type Row = typeof journal.$inferSelect
export type Hashed = Pick<Row, 'chain' | 'seq' | 'kind' | 'at' | 'by' | 'data' | 'subject' | 'subjectId' | 'strikes' | 'previousHash'>
type Said = Omit<Hashed, 'previousHash'>

/**
 * SHA-256 over the hash before and the digest of what the entry says, in that order.
 * Two steps, so that a chain can be checked by someone to whom only the digests of private entries are shown.
 */
export const hashOf = (entry: Hashed): string => linkOf(entry.previousHash, digestOf(entry))
/** The digest of what an entry says. */
export const digestOf = ({ chain, seq, kind, at, by, data, subject, subjectId, strikes }: Said): string =>
  sha256(JSON.stringify([chain, seq, kind, at, by, data, subject, subjectId, strikes]))
/** The digest that an entry is chained by: of what it says, or said before a person was taken out of it. */
export const keptDigestOf = (entry: Said & Pick<Row, 'digest'>): string => entry.digest ?? digestOf(entry)
/** One link of a chain. */
export const linkOf = (previousHash: string, digest: string): string => sha256(previousHash + digest)

export interface BrokenEntry {
  chain: string
  seq: number
  id: number | null
  why: string
}
export interface Verified {
  entries: number
  chains: number
  /** How many entries a person was taken out of: their chain is whole, what they said before is not kept. */
  withoutNames: number
  broken: BrokenEntry | null
}
/** A run of entries in the order in which they were written, whichever chain they belong to: from after one row up to another. */
export interface Noted {
  from: number
  to: number
  entries: number
  /** SHA-256 over their hashes, one after the other. */
  digest: string
}

type Client = Pick<Db, '$client'>
const columns = `id, chain, seq, kind, at, by, data, subject, subject_id AS subjectId, strikes, previous_hash AS previousHash, hash, digest`

/**
 * Walks every chain, entry by entry as they come from the file, so that a history of any length fits in memory; then whether what the
 * collection's own chain has noted of all chains is still there: an entry cut off together with its head is missed by that.
 * @param elsewhere what was noted outside, as every backup does
 * @returns how many entries were checked, and the first broken entry, if any
 */
export function verifyChains(db: Client, elsewhere: readonly Noted[] = []): Verified {
  const walked = walkChains(db)
  if (walked.broken) return walked
  return { ...walked, broken: gapIn(db, [...notesIn(db), ...elsewhere]) ?? renamedUnsaid(db) }
}

function walkChains({ $client }: Client): Verified {
  const rows = $client.prepare(`SELECT ${columns} FROM journal ORDER BY chain, seq`)
  const headOf = $client.prepare('SELECT hash FROM journal_heads WHERE chain = ?').pluck()
  let [count, chains, withoutNames] = [0, 0, 0]
  let end = { chain: '', seq: 0, hash: beginning }
  const done = (broken: BrokenEntry | null): Verified => ({ entries: count, chains, withoutNames, broken })
  const cutOff = () =>
    end.chain !== '' && headOf.get(end.chain) !== end.hash
      ? { chain: end.chain, seq: end.seq + 1, id: null, why: 'the end of the chain has been cut off' }
      : null
  for (const entry of rows.iterate() as Iterable<Row>) {
    if (entry.chain !== end.chain) {
      const cut = cutOff()
      if (cut) return done(cut)
      end = { chain: entry.chain, seq: 0, hash: beginning }
      chains++
    }
    count++
    if (entry.digest !== null) withoutNames++
    const why =
      entry.seq !== end.seq + 1
        ? `entry ${end.seq + 1} is missing before it`
        : entry.previousHash !== end.hash
          ? 'it does not carry the hash of the entry before it'
          : entry.hash !== linkOf(entry.previousHash, keptDigestOf(entry))
            ? 'what it says does not match its hash'
            : null
    if (why) return done({ chain: entry.chain, seq: entry.seq, id: entry.id, why })
    end = { chain: entry.chain, seq: entry.seq, hash: entry.hash }
  }
  const cut = cutOff()
  if (cut) return done(cut)
  const gone = $client.prepare('SELECT chain FROM journal_heads WHERE chain NOT IN (SELECT DISTINCT chain FROM journal) LIMIT 1').pluck().get()
  return done(gone === undefined ? null : { chain: gone as string, seq: 1, id: null, why: 'the end of the chain has been cut off' })
}

export const historyNoted = 'history.noted'
export const personForgotten = 'person.forgotten'

const notesIn = ({ $client }: Client): Noted[] =>
  ($client.prepare('SELECT data FROM journal WHERE kind = ? ORDER BY id').pluck().all(historyNoted) as string[]).map(data => JSON.parse(data) as Noted)

/** What there is to note of the entries after a row, up to so many; nothing where there are none. */
export function noteAfter({ $client }: Client, from: number, most: number): Noted | undefined {
  const rows = $client.prepare('SELECT id, hash FROM journal WHERE id > ? ORDER BY id LIMIT ?').iterate(from, most) as Iterable<Pick<Row, 'id' | 'hash'>>
  const hash = createHash('sha256')
  let [to, entries] = [from, 0]
  for (const row of rows) {
    hash.update(row.hash)
    to = row.id
    entries++
  }
  return entries ? { from, to, entries, digest: hash.digest('hex') } : undefined
}

/** The first run of entries that is not as it was noted. */
function gapIn({ $client }: Client, notes: readonly Noted[]): BrokenEntry | null {
  const rows = $client.prepare('SELECT hash FROM journal WHERE id > ? AND id <= ? ORDER BY id').pluck()
  for (const { from, to, entries, digest } of notes) {
    const hash = createHash('sha256')
    let count = 0
    for (const one of rows.iterate(from, to) as Iterable<string>) {
      hash.update(one)
      count++
    }
    const at = { chain: 'collection', seq: from + 1, id: to }
    if (count !== entries) return { ...at, why: `${entries} entries were noted from row ${from + 1} to row ${to}, and ${count} are there` }
    if (hash.digest('hex') !== digest) return { ...at, why: `the entries from row ${from + 1} to row ${to} are not those that were noted` }
  }
  return null
}

/** What entries without names say by now, all of it: kept with the entry that tells of taking them out, so that nobody else rewrites them. */
export function withoutNamesNow({ $client }: Client): string {
  const hash = createHash('sha256')
  for (const row of $client.prepare(`SELECT ${columns} FROM journal WHERE digest IS NOT NULL ORDER BY id`).iterate() as Iterable<Row>)
    hash.update(digestOf(row))
  return hash.digest('hex')
}

function renamedUnsaid(db: Client): BrokenEntry | null {
  const told = db.$client.prepare('SELECT data FROM journal WHERE kind = ? ORDER BY id DESC LIMIT 1').pluck().get(personForgotten) as string | undefined
  const expected = told === undefined ? createHash('sha256').digest('hex') : (JSON.parse(told) as { words: string }).words
  return withoutNamesNow(db) === expected
    ? null
    : { chain: 'collection', seq: 0, id: null, why: 'entries that names were taken out of say something else than then' }
}
