import { closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { drizzle } from 'drizzle-orm/better-sqlite3'
import { type MigrationMeta, readMigrationFiles } from 'drizzle-orm/migrator'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import { chapters } from '../chapters/index'
import type { Db } from '../kernel/db'
import { databaseFile, expectFolder, expectOurs, readable } from './expect-ours'

/** The database was written by a newer program; opening it could lose what that program knows. */
export class NewerDatabaseError extends Error {
  constructor(file: string) {
    super(`The database ${file} was written by a newer Jolly Bench. Update the program, or point JOLLY_DATA at another folder. Nothing has been changed.`)
    this.name = 'NewerDatabaseError'
  }
}
/** The database is older than the oldest form that this program can bring up to date. */
export class OlderDatabaseError extends Error {
  constructor(file: string) {
    super(`The database ${file} is older than this program can bring up to date. Open it once with the version before. Nothing has been changed.`)
    this.name = 'OlderDatabaseError'
  }
}

/** Migrations lie beside the program; both are started from the program's folder. */
export const migrationsFolder = join(process.cwd(), 'server/db/migrations')

interface Options {
  migrations?: string
  /** Hears every statement that is run. */
  hears?: (sql: string) => void
}

/**
 * Opens the database in the data folder, made where it is missing, and brings it up to date in one transaction: a copy is laid
 * beside it before, and the result is checked after.
 * WAL, foreign keys on, synchronous FULL: what was answered as saved survives a power cut.
 * @throws NewerDatabaseError, OlderDatabaseError, DataFolderTrouble
 */
export function openDatabase(dataFolder: string, { migrations = migrationsFolder, hears }: Options = {}): Db {
  expectFolder(dataFolder)
  const file = databaseFile(dataFolder)
  const client = new Database(file, hears ? { verbose: sql => hears(String(sql)) } : {})
  client.pragma('busy_timeout = 5000')
  const known = readMigrationFiles({ migrationsFolder: migrations })
  const seen = lookedAt(client, file, known)
  client.pragma('journal_mode = WAL')
  client.pragma('synchronous = FULL')
  const db = drizzle(client, { schema: chapters.schema })
  const outdated = seen !== null && seen < known.at(-1)!.folderMillis
  if (outdated) copyBeside(client, dataFolder, seen)
  migrate(db, { migrationsFolder: migrations })
  if (outdated) check(client, file)
  client.pragma('foreign_keys = ON')
  return db
}

/** What the database has seen, once it is known to be one that this program can work on; closed again where it is not. */
function lookedAt(client: Database.Database, file: string, known: MigrationMeta[]): number | null {
  try {
    return readable(file, () => {
      expectOurs(client, file)
      const seen = newestOf(client)
      const refusal = seen === null ? null : refusalOf(file, seen, known)
      if (refusal) throw refusal
      return seen
    })
  } catch (error) {
    client.close()
    throw error
  }
}

/** When the newest migration that a database has seen was made; nothing for a fresh one. */
function newestOf(client: Database.Database): number | null {
  const exists = client.prepare("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'").get()
  return exists === undefined ? null : (client.prepare('SELECT max(created_at) AS at FROM __drizzle_migrations').get() as { at: number | null }).at
}

function refusalOf(file: string, seen: number, known: MigrationMeta[]): Error | null {
  if (seen > known.at(-1)!.folderMillis) return new NewerDatabaseError(file)
  return seen < known[0]!.folderMillis ? new OlderDatabaseError(file) : null
}

/** Lays a copy beside the database before it is changed. One from an update that was broken off is believed only where it holds together. */
function copyBeside(client: Database.Database, dataFolder: string, seen: number): void {
  const copy = join(dataFolder, `jolly-bench-before-update-${seen}.sqlite`)
  if (isWholeCopy(copy, seen)) return
  const part = `${copy}.part`
  rmSync(part, { force: true })
  client.prepare('VACUUM INTO ?').run(part)
  flushSync(part)
  renameSync(part, copy)
  flushSync(dataFolder)
}

function isWholeCopy(copy: string, seen: number): boolean {
  if (!existsSync(copy)) return false
  try {
    const client = new Database(copy, { readonly: true })
    try {
      return client.pragma('integrity_check(1)', { simple: true }) === 'ok' && newestOf(client) === seen
    } finally {
      client.close()
    }
  } catch {
    return false
  }
}

/** A start waits for this; nobody is being answered yet. */
function flushSync(path: string): void {
  const descriptor = openSync(path, 'r')
  try {
    fsyncSync(descriptor)
  } finally {
    closeSync(descriptor)
  }
}

/** @throws Error where the updated database does not hold together; the copy beside it is as it was */
function check(client: Database.Database, file: string): void {
  const loose = client.pragma('foreign_key_check') as unknown[]
  const whole = client.pragma('quick_check', { simple: true })
  if (loose.length || whole !== 'ok') {
    client.close()
    throw new Error(`The database ${file} did not hold together after its update. The copy from before lies beside it.`)
  }
}

/** How many migrations of this program the open database has seen. */
export const schemaNumber = (db: Db, migrations = migrationsFolder): number => {
  const seen = newestOf(db.$client) ?? 0
  return readMigrationFiles({ migrationsFolder: migrations }).filter(m => m.folderMillis <= seen).length
}
