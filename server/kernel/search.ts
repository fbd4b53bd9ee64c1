import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import { searchOf } from '../chapters/index'
import type { MachineFile } from './file'
import type { Tx } from './journal'

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
  const found = searchOf(file)
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
  const words = typed.match(/[\p{L}\p{N}]+/gu) ?? []
  return words.length
    ? words
        .slice(0, 12)
        .map(word => `"${word}"*`)
        .join(' ')
    : null
}
