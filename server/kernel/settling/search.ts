import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { assembled } from '../assembled'
import type { MachineFile } from '../file'
import type { Tx } from '../history/journal'

export interface SearchText {
  tag: string
  names: string
  claims: string
  notes: string
  faults: string
  /** Tells whether anything of it has changed. */
  hash: string
}

/** What can be found of one machine: its names, claims, notes and faults, as its chapters say. */
export function searchTextOf(file: MachineFile): SearchText {
  const found = assembled().searchOf(file)
  const lines = (texts: string[]) => texts.filter(Boolean).join('\n')
  const text = { tag: file.machine.tag, names: lines(found.names), claims: lines(found.claims), notes: lines(found.notes), faults: lines(found.faults) }
  return { ...text, hash: createHash('sha256').update(JSON.stringify(text)).digest('base64url') }
}

export function writeSearch(tx: Tx, machineId: number, { tag, names, claims, notes, faults }: SearchText): void {
  tx.run(sql`DELETE FROM machine_search WHERE rowid = ${machineId}`)
  tx.run(sql`INSERT INTO machine_search (rowid, tag, names, claims, notes, faults) VALUES (${machineId}, ${tag}, ${names}, ${claims}, ${notes}, ${faults})`)
}

/**
 * The query for machines that match every word typed, each as a beginning of a word; nothing where no word was typed.
 * Words are quoted for the search engine, so that nothing typed is read as its syntax.
 */
export function matchOf(typed: string): string | null {
  const words = wordsIn(typed)
  if (!words.length) return null
  // Somebody at the shelf says the number of a tag alone, without the noughts before it.
  const noughts = /^[1-9]\d{0,4}$/.test(typed.trim()) ? ['0', '00', '000', '0000'] : []
  return [words.map(word => `"${word}"*`).join(' '), ...noughts.map(before => `tag : "${before}${typed.trim()}"`)].join(' OR ')
}

/** More words than these narrow nothing any more. */
const mostWords = 12
const wordsIn = (typed: string) => (typed.match(/[\p{L}\p{N}]+/gu) ?? []).slice(0, mostWords)
/** As the search compares words: without case and accents. */
const plain = (word: string) => word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()
/** So much stands before and after what was found. */
const around = { before: 24, after: 60 }

/**
 * Some words of what was found: the text in which most of the typed words stand, from a little before the first of them, each between ‹ and ›.
 * @param texts what was searched, the most telling first
 */
export function passageOf(texts: readonly string[], typed: string): string {
  const beginnings = wordsIn(typed).map(plain)
  const hitsIn = (text: string) => [...text.matchAll(/[\p{L}\p{N}]+/gu)].filter(({ 0: word }) => beginnings.some(b => plain(word).startsWith(b)))
  const distinct = (hits: RegExpMatchArray[]) => beginnings.filter(b => hits.some(({ 0: word }) => plain(word).startsWith(b))).length
  const [best] = texts
    .map((text, i) => ({ text, hits: hitsIn(text), i }))
    .filter(({ hits }) => hits.length)
    .sort((a, b) => distinct(b.hits) - distinct(a.hits) || a.i - b.i)
  if (!best) return ''
  const { text, hits } = best
  const cut = Math.max(0, hits[0]!.index! - around.before)
  const from = cut && text.indexOf(' ', cut) >= 0 ? Math.min(text.indexOf(' ', cut) + 1, hits[0]!.index!) : cut
  const to = Math.min(text.length, hits[0]!.index! + hits[0]![0].length + around.after)
  let passage = from ? '…' : ''
  let at = from
  for (const { 0: word, index } of hits.filter(h => h.index! + h[0].length <= to)) {
    passage += `${text.slice(at, index)}‹${word}›`
    at = index! + word.length
  }
  return `${passage}${text.slice(at, to)}${to < text.length ? '…' : ''}`.replace(/\s+/g, ' ')
}
