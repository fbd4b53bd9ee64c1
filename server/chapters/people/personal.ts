import { InputError } from '#core/kernel/input-error'
import { type CommandInput, sentenceOf } from '#shared/chapters/index'
import { asc, eq, ne, or, sql } from 'drizzle-orm'
import type { Db } from '../../kernel/db'
import { digestOf, personForgotten, withoutNamesNow } from '../../kernel/history/chains'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { journal } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import { findPerson } from './carry-out'
import { people, sessions } from './schema'
import { closeAll } from './sessions'

/** What is kept of a person: shown to them, and taken out again with the history whole. */

type Client = Pick<Db, '$client'>
interface Column {
  table: string
  column: string
}

/** Where these are kept, the name is looked after by itself. */
const apart = ['journal', 'people', 'sessions', 'commands_done']
/** A column, or a member of stored JSON, that says who: by, byWhom, done_by, seeker, atProbe. A part may be called like a person, and stays what it is. */
const saysWho = (name: string) =>
  name !== 'use_by' && /^(by|by_whom|byWhom|who|seeker|holder|lender|source|at_probe|at_switch|atProbe|atSwitch|hands)$|(_by|By)$/.test(name)

/** Every column of text in the database. */
function textColumns({ $client }: Client): Column[] {
  return $client
    .prepare(
      `SELECT t.name AS "table", c.name AS "column" FROM sqlite_master AS t JOIN pragma_table_info(t.name) AS c
       WHERE t.type = 'table' AND t.sql LIKE 'CREATE TABLE%' AND t.name NOT LIKE 'sqlite_%' AND t.name NOT LIKE '\\_\\_%' ESCAPE '\\'
         AND t.name NOT LIKE 'machine_search%' AND upper(c.type) = 'TEXT' AND t.name NOT IN (${apart.map(() => '?').join()})`,
    )
    .all(...apart) as Column[]
}

const inJson = (name: string) => JSON.stringify(name)

/** Stored JSON with a name replaced wherever it says who. @param also further members that do */
function renamedIn(value: unknown, name: string, called: string, also: readonly string[] = [], key = ''): unknown {
  if (typeof value === 'string') return value === name && (saysWho(key) || also.includes(key)) ? called : value
  if (Array.isArray(value)) return value.map(one => renamedIn(one, name, called, also, key))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([k, one]) => [k, renamedIn(one, name, called, also, k)]))
}

/** The names under which somebody has written, their present one first. */
function namesOf(tx: Tx, id: number, present: string): string[] {
  const written = tx.select({ by: journal.by }).from(journal).where(eq(journal.personId, id)).groupBy(journal.by).all()
  return [...new Set([present, ...written.map(w => w.by)])]
}

/** Everything that is kept of a person, for them to take along. @throws NotFound */
export function keptOf(db: Db, id: number) {
  const person = findPerson(db, id)
  if (!person) throw new NotFound('There is no such person.')
  const names = namesOf(db, id, person.name)
  const written = db.select().from(journal).where(eq(journal.personId, id)).orderBy(asc(journal.id)).all()
  return {
    person: { name: person.name, signInName: person.signInName, role: person.role, active: person.active, skills: person.skills },
    sessions: db
      .select({ browser: sessions.browser, openedAt: sessions.openedAt, seenAt: sessions.seenAt })
      .from(sessions)
      .where(eq(sessions.personId, id))
      .all(),
    written: written.map(({ at, kind, by, data }) => ({ at, kind, by, says: sentenceOf(kind, JSON.parse(data)) })),
    // Where they stand by name, and how often; the rows themselves tell of others too.
    namedIn: textColumns(db).flatMap(({ table, column }) =>
      saysWho(column)
        ? names.flatMap(name => {
            const times = db.$client.prepare(`SELECT count(*) FROM "${table}" WHERE "${column}" = ?`).pluck().get(name) as number
            return times ? [{ table, column, times }] : []
          })
        : [],
    ),
  }
}

/**
 * Takes a person out: who they were stands nowhere as a name any more, in no row and in no entry. Each entry keeps the digest it is chained by,
 * so that the history stays whole. Words that people wrote about them stay words; how many places those are is told.
 * @throws InputError where the name typed is another, NotNow for the last coordinator, for oneself, and where two share a name
 */
export function forgetPerson(work: Work, { personId, version, name: typed }: CommandInput<'forget-person'>): { places: number } {
  const { tx, db } = work
  const before = findPerson(tx, personId)
  if (!before) throw new NotFound('There is no such person.')
  expectVersion(work, before, version, before.version, ['name'])
  if (typed !== before.name) throw new InputError('name', typed, `Their name: type ${before.name} to say that you mean it.`)
  if (personId === work.person.id) throw new NotNow('Nobody takes out themselves. Ask another coordinator.')
  const names = namesOf(tx, personId, before.name)
  const others = tx.select({ name: people.name }).from(people).where(ne(people.id, personId)).all()
  const shared = names.find(name => others.some(other => other.name === name))
  if (shared) throw new NotNow(`Somebody else is called ${shared} too: what is theirs cannot be told from it.`)

  const called = `Somebody who left (${personId})`
  tx.update(people)
    .set({ name: called, signInName: `left-${personId}`, passwordHash: '', role: 'reader', active: false, skills: [], version: before.version + 1 })
    .where(eq(people.id, personId))
    .run()
  closeAll(tx, personId)
  for (const name of names) replaceInRows(db, name, called)
  const entries = replaceInEntries(work, personId, names, called)
  const places = names.reduce((sum, name) => sum + mentions(db, name), 0)
  work.affects({ of: 'all' })
  work.write(personForgotten, { name: called, entries, places, words: withoutNamesNow(db) })
  return { places }
}

function replaceInRows(db: Client, name: string, called: string): void {
  for (const { table, column } of textColumns(db)) {
    if (saysWho(column)) db.$client.prepare(`UPDATE "${table}" SET "${column}" = ? WHERE "${column}" = ?`).run(called, name)
    const put = db.$client.prepare(`UPDATE "${table}" SET "${column}" = ? WHERE rowid = ?`)
    const rows = db.$client.prepare(`SELECT rowid AS id, "${column}" AS text FROM "${table}" WHERE instr("${column}", ?) > 0`).all(inJson(name))
    for (const { id, text } of rows as { id: number; text: string }[]) {
      const renamed = jsonRenamed(text, name, called)
      if (renamed !== text) put.run(renamed, id)
    }
  }
}

/** Text that is JSON, renamed; any other as it is. */
function jsonRenamed(text: string, name: string, called: string, also?: readonly string[]): string {
  try {
    return JSON.stringify(renamedIn(JSON.parse(text), name, called, also))
  } catch {
    return text
  }
}

/** @returns how many entries the name was taken out of */
function replaceInEntries({ tx }: Work, personId: number, names: readonly string[], called: string): number {
  const named = names.map(name => sql`instr(${journal.data}, ${inJson(name)}) > 0`)
  const rows = tx
    .select()
    .from(journal)
    .where(or(eq(journal.personId, personId), ...named))
    .all()
  let changed = 0
  for (const row of rows) {
    // What is written about people has their name as such.
    const also = /^(person|session)\./.test(row.kind) ? ['name', 'before'] : []
    const data = names.reduce((text, name) => (text.includes(inJson(name)) ? jsonRenamed(text, name, called, also) : text), row.data)
    const by = names.includes(row.by) ? called : row.by
    if (data === row.data && by === row.by) continue
    changed++
    tx.update(journal)
      .set({ by, data, digest: row.digest ?? digestOf(row) })
      .where(eq(journal.id, row.id))
      .run()
  }
  return changed
}

/** In how many places the name still stands within what people wrote. */
const mentions = (db: Client, name: string): number =>
  [...textColumns(db), { table: 'journal', column: 'data' }].reduce(
    (sum, { table, column }) => sum + (db.$client.prepare(`SELECT count(*) FROM "${table}" WHERE instr("${column}", ?) > 0`).pluck().get(name) as number),
    0,
  )
