import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join, relative } from 'node:path'
import Database from 'better-sqlite3'
import { sha256OfFile } from '../files/image-copies'
import { type Noted, noteAfter, verifyChains } from '../kernel/history/chains'
import { type BackupManifest, originalsOf } from './manifest'

export const databaseOf = (backup: string) => join(backup, 'jolly-bench.sqlite')
export const otherOf = (backup: string, name: string) => join(backup, 'others', name)
export const originalIn = (backups: string, hash: string) => join(originalsOf(backups), hash)
export const sha256Of = (path: string) => createHash('sha256').update(readFileSync(path)).digest('hex')

export interface DatabaseFacts {
  schema: number
  entries: number
  chains: number
  noted: Noted | null
  /** Hashes of the photographs that it knows. */
  photographs: string[]
}

/** Opens a copy of a database by itself: whether it holds together, and what is in it. @throws Error saying what is wrong */
export function openCopy(file: string): DatabaseFacts {
  const client = new Database(file, { readonly: true })
  try {
    const whole = client.pragma('integrity_check(1)', { simple: true })
    if (whole !== 'ok') throw new Error(`The copy of the database does not hold together: ${String(whole)}.`)
    if ((client.pragma('foreign_key_check') as unknown[]).length) throw new Error('The copy of the database refers to rows that are not there.')
    const { entries, chains, broken } = verifyChains({ $client: client })
    if (broken) throw new Error(`The history is broken at entry ${broken.seq} of chain ${broken.chain}: ${broken.why}.`)
    return {
      schema: client.prepare('SELECT count(*) FROM __drizzle_migrations').pluck().get() as number,
      entries,
      chains,
      noted: noteAfter({ $client: client }, 0, Number.MAX_SAFE_INTEGER) ?? null,
      photographs: client.prepare('SELECT hash FROM files ORDER BY hash').pluck().all() as string[],
    }
  } finally {
    client.close()
  }
}

const filesIn = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder, { recursive: true, withFileTypes: true })
        .filter(entry => entry.isFile())
        .map(entry => relative(folder, join(entry.parentPath, entry.name)))
    : []

/** Checks a backup against what it says of itself. @returns what is wrong, a sentence each; nothing where all is as it was made */
export async function checkBackup(backups: string, name: string, manifest: BackupManifest): Promise<string[]> {
  const backup = join(backups, name)
  const wrong: string[] = []
  const same = async (path: string, hash: string, what: string) => {
    if (!existsSync(path)) wrong.push(`${what} is missing.`)
    else if ((await sha256OfFile(path)) !== hash) wrong.push(`${what} has been changed.`)
  }
  await same(databaseOf(backup), manifest.database, 'The database')
  for (const hash of manifest.photographs) await same(originalIn(backups, hash), hash, `Photograph ${hash.slice(0, 12)}`)
  for (const [other, hash] of Object.entries(manifest.others)) await same(otherOf(backup, other), hash, other)
  for (const other of filesIn(join(backup, 'others'))) if (!Object.hasOwn(manifest.others, other)) wrong.push(`The manifest leaves out ${other}.`)
  if (wrong.length) return wrong
  try {
    const facts = openCopy(databaseOf(backup))
    if (facts.noted?.digest !== manifest.noted?.digest || facts.entries !== manifest.entries) wrong.push('The history is not the one that was backed up.')
    // What a manifest leaves out, nobody would miss: the database itself says which photographs there are, the folder which letters.
    const untold = facts.photographs.filter(hash => !manifest.photographs.includes(hash))
    if (untold.length) wrong.push(`The manifest leaves out ${untold.length} of the photographs that the database knows.`)
  } catch (error) {
    wrong.push((error as Error).message)
  }
  return wrong
}
