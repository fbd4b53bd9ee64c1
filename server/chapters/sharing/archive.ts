import { createReadStream } from 'node:fs'
import { createHash } from 'node:crypto'
import { Zip, ZipDeflate, ZipPassThrough, strToU8 } from 'fflate'
import { z } from 'zod'
import { chapterNames, sentenceOf } from '#shared/chapters/index'
import { Passport } from '#shared/chapters/home/index'
import { and, asc, eq, gt } from 'drizzle-orm'
import { copyOf } from '../../files/image-copies'
import { keptDigestOf } from '../../kernel/history/chains'
import { csvOf } from '../../kernel/csv'
import { loadFile } from '../../kernel/load'
import { machineByTag, machineSheet } from '../../kernel/sheet'
import { journal } from '../../kernel/trunk'
import type { Bench } from '../../kernel/work'
import { type PublicRecord, passportOfFile, publicRecord } from '../home/index'
import { type Manifest, archiveFormat, sha256Of } from './archive-check'

/** JSON Schema of the passport, as it is offered and goes into archives. */
export const passportSchema = () => ({ $id: 'passport.schema.json', title: 'Machine passport', ...z.toJSONSchema(Passport) })

const readme = (whole: boolean) => `The record of one machine.

manifest.json       every file with its SHA-256, and the hash of the newest entry of the journal
machine.json        ${whole ? 'everything that is kept of it, by chapter' : 'its passport: no donor, owner, price, place or person'}
passport.schema.json  JSON Schema of a passport
readings.csv        rails as they were read, in volts
journal.jsonl       the history, an entry a line: seq, digest, hash${whole ? ', entry' : '; what is open with its sentence'}
photographs/        copies without place and camera

hash = SHA-256(hash of the entry before + digest); the first follows 64 zeros.
digest = SHA-256 of the JSON array [chain, seq, kind, at, by, data, subject, subjectId, strikes].
Check it with: npm run verify -- file.zip

It says what was checked. It does not say that the machine is safe.
`

/** Journal entries are read in pieces, so that a long history is never held at once. */
const piece = 500

function* journalLines({ db }: Pick<Bench, 'db'>, machineId: number, open: PublicRecord | null): Generator<string> {
  const told = new Map(open?.lines.map(({ seq, at, kind, says }) => [seq, { at, kind, says }]))
  for (let after = 0; ;) {
    const rows = db
      .select()
      .from(journal)
      .where(and(eq(journal.machineId, machineId), gt(journal.seq, after)))
      .orderBy(asc(journal.seq))
      .limit(piece)
      .all()
    for (const row of rows) {
      const { chain, seq, kind, at, by, data, subject, subjectId, strikes, hash } = row
      const entry = open
        ? told.get(seq)
        : row.digest === null
          ? { entry: { chain, kind, at, by, data, subject, subjectId, strikes } }
          : // What an entry said with a name in it is not kept; its digest is.
            { at, kind, says: sentenceOf(kind, JSON.parse(data)) }
      yield `${JSON.stringify({ seq, digest: keptDigestOf(row), hash, ...entry })}\n`
    }
    if (rows.length < piece) return
    after = rows.at(-1)!.seq
  }
}

/**
 * One machine as a zip that is written while it is sent: documented JSON, readings, photographs, and the journal with its hashes.
 * @param whole with names, owner, prices, places and private entries
 */
export async function* archiveOf(bench: Bench, dataFolder: string, tag: string, whole: boolean): AsyncGenerator<Uint8Array> {
  const machine = machineByTag(bench.db, tag)
  const file = loadFile(bench.db, machine.id)
  const files: Manifest['files'] = {}
  let chunks: Uint8Array[] = []
  const zip = new Zip((error, chunk) => {
    if (error) throw error
    chunks.push(chunk)
  })
  const taken = () => {
    const now = chunks
    chunks = []
    return now
  }
  const add = (name: string, text: string) => {
    const bytes = strToU8(text)
    const entry = new ZipDeflate(name, { level: 6 })
    zip.add(entry)
    entry.push(bytes, true)
    return sha256Of(bytes)
  }
  const open = whole ? null : publicRecord(bench.db, file, machine.passportDiary)
  const clean = open?.clean ?? ((text: string) => text)
  const content = whole ? machineSheet(bench, tag, chapterNames) : passportOfFile(bench, file)
  const csv = csvOf([
    ['at', 'rail', 'valueV', 'load', 'configuration'],
    ...file.readings.map(({ at, rail, valueV, load, configuration }) => [at, clean(rail), valueV, load, clean(configuration)]),
  ])
  for (const [name, text] of [
    ['README.txt', readme(whole)],
    ['machine.json', JSON.stringify(content, null, 2)],
    ['passport.schema.json', JSON.stringify(passportSchema(), null, 2)],
    ['readings.csv', csv],
  ] as const) {
    files[name] = add(name, text)
    yield* taken()
  }
  const hash = createHash('sha256')
  const lines = new ZipDeflate('journal.jsonl', { level: 6 })
  zip.add(lines)
  let entries = 0
  let last = ''
  for (const line of journalLines(bench, machine.id, open)) {
    hash.update(line)
    lines.push(strToU8(line))
    entries++
    last = (JSON.parse(line) as { hash: string }).hash
    yield* taken()
  }
  lines.push(new Uint8Array(), true)
  files['journal.jsonl'] = hash.digest('hex')
  yield* taken()
  for (const [i, photograph] of file.photographs.entries()) {
    const path = await copyOf(dataFolder, photograph.hash, 'full')
    if (!path) continue
    const name = `photographs/${String(i + 1).padStart(3, '0')}-${photograph.hash.slice(0, 8)}.jpg`
    const entry = new ZipPassThrough(name)
    zip.add(entry)
    const digest = createHash('sha256')
    for await (const bytes of createReadStream(path) as AsyncIterable<Buffer>) {
      digest.update(bytes)
      entry.push(bytes)
      yield* taken()
    }
    entry.push(new Uint8Array(), true)
    files[name] = digest.digest('hex')
    yield* taken()
  }
  const manifest: Manifest = { format: archiveFormat, tag, made: bench.now().toISOString(), whole, journal: { entries, hash: last }, files }
  add('manifest.sha256', add('manifest.json', JSON.stringify(manifest, null, 2)))
  zip.end()
  yield* taken()
}
