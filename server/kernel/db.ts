import type Database from 'better-sqlite3'
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3'

/** The open database, with the tables of all chapters. */
export type Db = BetterSQLite3Database<Record<string, unknown>> & { $client: Database.Database }
