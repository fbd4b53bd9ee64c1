import Database from 'better-sqlite3'
import { cpSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { NewerDatabaseError, OlderDatabaseError, migrationsFolder, openDatabase, schemaNumber } from './connection'

let data: string
let migrations: string
const journalFile = () => join(migrations, 'meta/_journal.json')
interface Journal {
  entries: { idx: number; tag: string; when: number }[]
}
const readJournal = () => JSON.parse(readFileSync(journalFile(), 'utf8')) as Journal
const writeJournal = (journal: Journal) => writeFileSync(journalFile(), JSON.stringify(journal))

beforeEach(() => {
  data = mkdtempSync(join(tmpdir(), 'jolly-bench-data-'))
  migrations = mkdtempSync(join(tmpdir(), 'jolly-bench-migrations-'))
  cpSync(migrationsFolder, migrations, { recursive: true })
})
afterEach(() => [data, migrations].forEach(folder => rmSync(folder, { recursive: true })))

/** The database as the program before this one left it: the form that the first migration makes today, reached by eight of its own. */
function olderDatabase() {
  const journal = readJournal()
  writeJournal({ ...journal, entries: journal.entries.slice(0, 1) })
  const db = openDatabase(data, { migrations })
  for (let i = 1; i < 8; i++)
    db.$client.prepare('INSERT INTO __drizzle_migrations (hash, created_at) VALUES (?, ?)').run(`earlier ${i}`, journal.entries[0]!.when - i)
  db.$client.exec(
    "INSERT INTO machines (uid, tag, name, acquired, booked_in_at) VALUES ('m', 'M-1', 'Gannet', 'found', '2026-01-01T00:00:00.000Z'); INSERT INTO waits (machine_id, what, started_at, until) VALUES (1, 'Test sheet: Clock', '2026-01-01T00:00:00.000Z', '2026-01-02T00:00:00.000Z')",
  )
  db.$client.exec("INSERT INTO people (uid, name, sign_in_name, password_hash, role) VALUES ('u', 'Rua', 'rua', 'x', 'reader')")
  db.$client.close()
  writeJournal(journal)
}

it('brings an older database up to date and keeps what is in it', () => {
  olderDatabase()
  const db = openDatabase(data, { migrations })
  expect(schemaNumber(db)).toBe(readJournal().entries.length)
  expect(db.$client.prepare('SELECT name FROM people').all()).toEqual([{ name: 'Rua' }])
  expect(db.$client.prepare('SELECT kind FROM waits').all()).toEqual([{ kind: 'test' }])
  // As it was before, it lies beside.
  const [copy] = readdirSync(data).filter(name => name.includes('before-update'))
  expect(new Database(join(data, copy!), { readonly: true }).prepare('SELECT kind FROM waits').all()).toEqual([{ kind: null }])
  db.$client.close()
})

it.each(['a copy that was cut off', 'nothing of a database'])('%s beside it, from an update that was broken off, is not taken for the copy', what => {
  olderDatabase()
  const client = new Database(join(data, 'jolly-bench.sqlite'))
  const seen = client.prepare('SELECT max(created_at) FROM __drizzle_migrations').pluck().get() as number
  client.pragma('wal_checkpoint(TRUNCATE)')
  client.close()
  const copy = join(data, `jolly-bench-before-update-${seen}.sqlite`)
  const whole = readFileSync(join(data, 'jolly-bench.sqlite'))
  writeFileSync(copy, what.startsWith('a copy') ? whole.subarray(0, whole.length / 2) : 'SQLite format 3')
  openDatabase(data, { migrations }).$client.close()
  expect(new Database(copy, { readonly: true }).prepare('SELECT name FROM people').all()).toEqual([{ name: 'Rua' }])
})

it('a migration that fails half-way changes nothing', () => {
  olderDatabase()
  const journal = readJournal()
  const last = journal.entries.at(-1)!
  writeJournal({ ...journal, entries: [...journal.entries, { ...last, idx: last.idx + 1, tag: '9999_faulty', when: last.when + 1 }] })
  writeFileSync(join(migrations, '9999_faulty.sql'), 'CREATE TABLE half_done (id integer);\n--> statement-breakpoint\nINSERT INTO nowhere VALUES (1);')
  expect(() => openDatabase(data, { migrations })).toThrow()
  writeJournal({ ...journal, entries: journal.entries.slice(0, 1) })
  const db = openDatabase(data, { migrations })
  expect(schemaNumber(db)).toBe(1)
  expect(db.$client.prepare("SELECT name FROM sqlite_master WHERE name = 'half_done'").all()).toEqual([])
  db.$client.close()
})

it('a database from before the first migration is refused, and stays as it is', () => {
  olderDatabase()
  const client = new Database(join(data, 'jolly-bench.sqlite'))
  client.exec('DELETE FROM __drizzle_migrations WHERE created_at = (SELECT max(created_at) FROM __drizzle_migrations)')
  client.close()
  expect(() => openDatabase(data, { migrations })).toThrow(OlderDatabaseError)
})

it('a database of a newer program is refused by name, and stays as it is', () => {
  openDatabase(data, { migrations }).$client.close()
  const journal = readJournal()
  writeJournal({ ...journal, entries: journal.entries.slice(0, -1) })
  expect(() => openDatabase(data, { migrations })).toThrow(NewerDatabaseError)
  expect(() => openDatabase(data, { migrations })).toThrow(/jolly-bench\.sqlite was written by a newer Jolly Bench/)
  const db = openDatabase(data)
  expect(schemaNumber(db)).toBe(journal.entries.length)
  db.$client.close()
})

/** A row in every table, whatever its columns: what must be there is there, and what refers to another row refers to its first. */
function oneRowEach(client: Database.Database): Map<string, number> {
  const tables = client
    .prepare(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '\\_\\_%' ESCAPE '\\' AND name NOT LIKE 'machine_search%'",
    )
    .pluck()
    .all() as string[]
  client.pragma('foreign_keys = OFF')
  for (const table of tables) {
    const columns = client.pragma(`table_info("${table}")`) as { name: string; type: string; notnull: number; dflt_value: string | null; pk: number }[]
    const refers = client.pragma(`foreign_key_list("${table}")`) as { from: string; to: string }[]
    const wanted = columns.filter(c => c.pk || (c.notnull && c.dflt_value === null) || refers.some(r => r.from === c.name))
    const values = wanted.map(c => (/text/i.test(c.type) ? (/_at$|^at$|until|since/.test(c.name) ? '2026-01-01T00:00:00.000Z' : '[]') : 1))
    client.prepare(`INSERT INTO "${table}" (${wanted.map(c => `"${c.name}"`).join()}) VALUES (${wanted.map(() => '?').join()})`).run(...values)
  }
  return new Map(tables.map(table => [table, 1]))
}

it('every form that the database ever had is brought up to date with what is in it', () => {
  const journal = readJournal()
  // Summaries are made anew after an update.
  const madeAnew = ['machine_summaries']
  for (let known = 1; known < journal.entries.length; known++) {
    const folder = join(data, `as-of-${known}`)
    writeJournal({ ...journal, entries: journal.entries.slice(0, known) })
    const before = openDatabase(folder, { migrations })
    const rows = oneRowEach(before.$client)
    before.$client.close()
    writeJournal(journal)
    const after = openDatabase(folder, { migrations })
    const now = after.$client.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all() as string[]
    for (const table of rows.keys())
      if (now.includes(table) && !madeAnew.includes(table))
        expect(after.$client.prepare(`SELECT count(*) FROM "${table}"`).pluck().get(), `${table}, as of ${known}`).toBe(1)
    expect(after.$client.pragma('foreign_key_check'), `as of ${known}`).toEqual([])
    after.$client.close()
  }
})
