import { accessSync, constants, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import type Database from 'better-sqlite3'

export const databaseFile = (dataFolder: string) => join(dataFolder, 'jolly-bench.sqlite')

/** What lies in the data folder is not what this program can work on. Says what was found and what would do; nothing has been changed. */
export class DataFolderTrouble extends Error {
  constructor(found: string, wouldDo: string) {
    super(`${found} ${wouldDo} Nothing has been changed.`)
    this.name = 'DataFolderTrouble'
  }
}

const restore = 'Restore a backup into an empty folder (npm run restore -- <backup>), or point JOLLY_DATA elsewhere.'

/**
 * Looks at the data folder before anything in it is opened: a collection that lost its database is not a new one.
 * @throws DataFolderTrouble
 */
export function expectFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true })
    accessSync(folder, constants.R_OK | constants.W_OK | constants.X_OK)
  } catch (error) {
    throw new DataFolderTrouble(
      `The data folder ${folder} cannot be used: ${(error as Error).message}.`,
      'Give this user leave to read and write there, or point JOLLY_DATA elsewhere.',
    )
  }
  const file = databaseFile(folder)
  if (!existsSync(file)) return expectNothingLeft(folder)
  if (!statSync(file).isFile()) throw new DataFolderTrouble(`${file} is no file.`, restore)
  if (statSync(file).size === 0)
    throw new DataFolderTrouble(`The database ${file} is empty: 0 bytes. A collection that was lost is not a new one.`, `${restore} To begin anew, remove it.`)
  try {
    accessSync(file, constants.R_OK | constants.W_OK)
  } catch {
    throw new DataFolderTrouble(`The database ${file} cannot be written.`, 'Give this user leave to read and write it.')
  }
}

function expectNothingLeft(folder: string): void {
  const left = ['jolly-bench.sqlite-wal', 'files', 'outbox'].filter(name => {
    const path = join(folder, name)
    return existsSync(path) && (statSync(path).isDirectory() ? readdirSync(path).length : statSync(path).size) > 0
  })
  if (left.length) throw new DataFolderTrouble(`There is no database in ${folder}, but ${left.join(' and ')} of one.`, restore)
}

/** Runs what touches the file for the first time. @throws DataFolderTrouble where it is no database, or a broken one */
export function readable<R>(file: string, touch: () => R): R {
  try {
    return touch()
  } catch (error) {
    const { code = '' } = error as { code?: string }
    if (code === 'SQLITE_NOTADB') throw new DataFolderTrouble(`${file} is no database.`, restore)
    if (code.startsWith('SQLITE_CORRUPT')) throw new DataFolderTrouble(`The database ${file} is damaged: ${(error as Error).message}.`, restore)
    throw error
  }
}

/** @throws DataFolderTrouble for the database of another program, or one that does not hold together */
export function expectOurs(client: Database.Database, file: string): void {
  const tables = client.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'").pluck().all() as string[]
  if (tables.length && !['__drizzle_migrations', 'people', 'journal'].every(name => tables.includes(name)))
    throw new DataFolderTrouble(`${file} is the database of another program: it holds ${tables.slice(0, 3).join(', ')}.`, 'Point JOLLY_DATA elsewhere.')
  const [first] = client.pragma('quick_check(1)') as { quick_check: string }[]
  if (first?.quick_check !== 'ok') throw new DataFolderTrouble(`The database ${file} is damaged: ${first?.quick_check}.`, restore)
}
