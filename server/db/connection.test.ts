import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { NewerDatabaseError, migrationsFolder, openDatabase, schemaNumber } from './connection'

let data: string
let migrations: string
const journalFile = () => join(migrations, 'meta/_journal.json')
interface Journal { entries: { idx: number, tag: string, when: number }[] }
const readJournal = () => JSON.parse(readFileSync(journalFile(), 'utf8')) as Journal
const writeJournal = (journal: Journal) => writeFileSync(journalFile(), JSON.stringify(journal))

beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'jolly-bench-data-'))
  migrations = mkdtempSync(join(tmpdir(), 'jolly-bench-migrations-'))
  cpSync(migrationsFolder, migrations, { recursive: true })
})
afterEach(() => [data, migrations].forEach(folder => rmSync(folder, { recursive: true })))

/** The database as an older program left it, after its first two migrations. */
function olderDatabase() {
  const journal = readJournal()
  writeJournal({ ...journal, entries: journal.entries.slice(0, 2) })
  const db = openDatabase(data, migrations)
  db.$client.exec('INSERT INTO people (uid, name, sign_in_name, password_hash, role) VALUES (\'u\', \'Rua\', \'rua\', \'x\', \'reader\')')
  db.$client.close()
  writeJournal(journal)
}

it('brings an older database up to date and keeps what is in it', () => {
  olderDatabase()
  const db = openDatabase(data, migrations)
  expect(schemaNumber(db)).toBe(readJournal().entries.length)
  expect(db.$client.prepare('SELECT name FROM people').all()).toEqual([{ name: 'Rua' }])
  expect(db.$client.prepare('SELECT count(*) AS n FROM pragma_table_info(\'claims\') WHERE name = \'verdict\'').get()).toEqual({ n: 1 })
  db.$client.close()
})

it('a migration that fails half-way changes nothing', () => {
  olderDatabase()
  const journal = readJournal()
  const last = journal.entries.at(-1)!
  writeJournal({ ...journal, entries: [...journal.entries, { ...last, idx: last.idx + 1, tag: '9999_faulty', when: last.when + 1 }] })
  writeFileSync(join(migrations, '9999_faulty.sql'), 'CREATE TABLE half_done (id integer);\n--> statement-breakpoint\nINSERT INTO nowhere VALUES (1);')
  expect(() => openDatabase(data, migrations)).toThrow()
  writeJournal({ ...journal, entries: journal.entries.slice(0, 2) })
  const db = openDatabase(data, migrations)
  expect(schemaNumber(db)).toBe(2)
  expect(db.$client.prepare('SELECT name FROM sqlite_master WHERE name = \'half_done\'').all()).toEqual([])
  db.$client.close()
})

it('a database of a newer program is refused by name, and stays as it is', () => {
  openDatabase(data, migrations).$client.close()
  const journal = readJournal()
  writeJournal({ ...journal, entries: journal.entries.slice(0, -1) })
  expect(() => openDatabase(data, migrations)).toThrow(NewerDatabaseError)
  expect(() => openDatabase(data, migrations)).toThrow(/jolly-bench\.sqlite was written by a newer Jolly Bench/)
  const db = openDatabase(data)
  expect(schemaNumber(db)).toBe(journal.entries.length)
  db.$client.close()
})
