import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { type BetterSQLite3Database, drizzle } from 'drizzle-orm/better-sqlite3'
import { readMigrationFiles } from 'drizzle-orm/migrator'
import { migrate } from 'drizzle-orm/better-sqlite3/migrator'
import * as schema from './schema'

export type Db = BetterSQLite3Database<typeof schema> & { $client: Database.Database }

/** The database was written by a newer program; opening it could lose what that program knows. */
export class NewerDatabaseError extends Error {
  constructor(file: string) {
    super(`The database ${file} was written by a newer Jolly Bench. Update the program, or point JOLLY_DATA at another folder. Nothing has been changed.`)
    this.name = 'NewerDatabaseError'
  }
}

/** Migrations lie beside the program; both are started from the program's folder. */
export const migrationsFolder = join(process.cwd(), 'server/db/migrations')

/**
 * Opens the database in the data folder, made where it is missing, and brings it up to date in one transaction.
 * WAL, foreign keys on, synchronous FULL: what was answered as saved survives a power cut.
 * @throws NewerDatabaseError
 */
export function openDatabase(dataFolder: string, migrations = migrationsFolder): Db {
  mkdirSync(dataFolder, { recursive: true })
  const file = join(dataFolder, 'jolly-bench.sqlite')
  const client = new Database(file)
  client.pragma('busy_timeout = 5000')
  refuseNewer(client, file, migrations)
  client.pragma('journal_mode = WAL')
  client.pragma('synchronous = FULL')
  const db = drizzle(client, { schema })
  migrate(db, { migrationsFolder: migrations })
  client.pragma('foreign_keys = ON')
  return db
}

function refuseNewer(client: Database.Database, file: string, migrations: string) {
  const known = readMigrationFiles({ migrationsFolder: migrations }).at(-1)?.folderMillis ?? 0
  const exists = client.prepare('SELECT 1 FROM sqlite_master WHERE name = \'__drizzle_migrations\'').get()
  const newest = exists === undefined ? undefined : client.prepare('SELECT max(created_at) AS at FROM __drizzle_migrations').get() as { at: number } | undefined
  if (newest && newest.at > known) {
    client.close()
    throw new NewerDatabaseError(file)
  }
}

/** How many migrations the open database has seen. */
export const schemaNumber = (db: Db): number =>
  (db.$client.prepare('SELECT count(*) AS n FROM __drizzle_migrations').get() as { n: number }).n
