import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'

/** Another server has this data folder; two would each keep a clock, a queue and starts of their own. */
export class FolderInUse extends Error {
  constructor(folder: string) {
    super(`Another Jolly Bench works on the data folder ${folder}. End it first, or point JOLLY_DATA at another folder. Nothing has been changed.`)
    this.name = 'FolderInUse'
  }
}

/**
 * Takes the data folder for this process, until it ends: a file that is held open under an exclusive lock of the system,
 * which a crash releases as well.
 * @returns what lets it go @throws FolderInUse
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true })
  const holder = new Database(join(folder, 'in-use.lock'))
  holder.pragma('busy_timeout = 1500')
  try {
    holder.exec('BEGIN EXCLUSIVE')
  } catch (error) {
    holder.close()
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) throw new FolderInUse(folder)
    throw error
  }
  return () => holder.close()
}
