import { cpSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { serverBench } from '../../tests/support/server-bench'
import { openDatabase } from '../db/connection'
import { copyOf } from '../files/image-copies'
import { keepImage } from '../files/image-file'
import { rememberFile } from '../chapters/look/index'
import { historyOf } from '../kernel/history/history'
import { verifyChains } from '../kernel/history/chains'
import { machineByTag } from '../kernel/sheet'
import { checkBackup, databaseOf, originalIn } from './check'
import { BackupKeeper } from './keeper'
import { makeBackup } from './make'
import { backupsIn, readManifest, unreadableIn } from './manifest'
import { restoreBackup } from './restore'
import { backupDue, backupSchedule, judgeBackups, lastMade } from './schedule'

const on = serverBench()
let aside: string
beforeEach(() => {
  aside = mkdtempSync(join(tmpdir(), 'jolly-bench-backups-'))
})
afterEach(() => rmSync(aside, { recursive: true }))

const backups = () => join(aside, 'backups')
const make = (minute = 0, kept = 2) => makeBackup({ dataFolder: on.folder, backups: backups(), kept, at: new Date(Date.UTC(2026, 2, 3, 20, minute)) })
async function photograph(): Promise<string> {
  const jpeg = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#25613f' } })
    .jpeg()
    .toBuffer()
  const file = await keepImage(on.folder, Readable.from([jpeg]))
  rememberFile(on.db, file, on.now)
  return file.hash
}

it('is made while the collection is in use, put back into an empty folder, and holds what was there', async () => {
  const hash = await photograph()
  const tag = on.bookIn()
  const { name, manifest } = await make()
  expect(manifest).toMatchObject({ photographs: [hash], entries: on.db.$client.prepare('SELECT count(*) FROM journal').pluck().get() })
  // What is written later is in the next one only.
  on.bookIn()
  const into = join(aside, 'again')
  expect(await restoreBackup(join(backups(), name), into)).toMatchObject({ photographs: 1, entries: manifest.entries })
  const again = openDatabase(into)
  expect(historyOf(again, machineByTag(again, tag).id).length).toBeGreaterThan(0)
  expect(verifyChains(again).broken).toBeNull()
  expect(await copyOf(into, hash, 'thumb')).toBeDefined()
  again.$client.close()
  await expect(restoreBackup(join(backups(), name), into)).rejects.toThrow('not empty')
  await expect(restoreBackup(aside, join(aside, 'elsewhere'))).rejects.toThrow('no backup')
})

it('only so many are kept, with the photographs that they know', async () => {
  await photograph()
  const names = []
  for (let n = 0; n < 4; n++) names.push((await make(n)).name)
  expect(backupsIn(backups()).map(b => b.name)).toEqual(names.slice(2).reverse())
  expect(readdirSync(join(backups(), 'originals'))).toHaveLength(1)
})

it('a clock that stood ahead, or was set back, costs no backup that holds more than the others', async () => {
  const at = (year: number) => makeBackup({ dataFolder: on.folder, backups: backups(), kept: 2, at: new Date(Date.UTC(year, 1, 2)) })
  const names = () => backupsIn(backups()).map(b => b.manifest.made.slice(0, 4))
  // Two were made while it stood ahead; each new one stays, and the newest by date are not the only ones.
  await at(2031)
  await at(2032)
  on.bookIn()
  const { name } = await at(2026)
  expect(backupsIn(backups()).map(b => b.name)).toContain(name)
  on.bookIn()
  await at(2027)
  on.bookIn()
  await at(2028)
  expect(names()).toEqual(['2032', '2031', '2028', '2027'])
  // Set back to the beginning of its time: what it makes holds the newest history.
  on.bookIn()
  await at(1970)
  expect(names()).toEqual(['2032', '2031', '2028', '1970'])
})

it('two at once do not sweep each other away: the second is told to wait', async () => {
  const both = await Promise.allSettled([make(1), make(2)])
  expect(both.map(b => b.status).sort()).toEqual(['fulfilled', 'rejected'])
  expect(both.find(b => b.status === 'rejected')).toMatchObject({ reason: { message: expect.stringContaining('Another backup is being made') as string } })
  await make(3)
})

it('what was changed in a backup is found, and it is not put back', async () => {
  const hash = await photograph()
  const { name, manifest } = await make()
  const copy = (what: string) => {
    const there = join(aside, what)
    cpSync(backups(), there, { recursive: true })
    return there
  }
  const picture = copy('picture')
  writeFileSync(originalIn(picture, hash), 'another picture')
  expect(await checkBackup(picture, name, manifest)).toEqual([`Photograph ${hash.slice(0, 12)} has been changed.`])
  await expect(restoreBackup(join(picture, name), join(aside, 'into'))).rejects.toThrow('not whole')
  const missing = copy('missing')
  rmSync(databaseOf(join(missing, name)))
  expect(await checkBackup(missing, name, manifest)).toEqual(['The database is missing.'])
  const cut = copy('cut')
  writeFileSync(join(cut, name, 'manifest.json'), '{"format":"jolly-bench-backup/1"')
  expect(readManifest(join(cut, name))).toBeUndefined()
  // A manifest that was shortened is not whole, nor is one that was written anew without a photograph or a letter.
  const shortened = copy('shortened')
  const less = { ...manifest, photographs: [] }
  writeFileSync(join(shortened, name, 'manifest.json'), JSON.stringify(less))
  expect(unreadableIn(shortened)).toEqual([name])
  await expect(restoreBackup(join(shortened, name), join(aside, 'into'))).rejects.toThrow('cut or changed')
  expect(await checkBackup(shortened, name, less)).toEqual(['The manifest leaves out 1 of the photographs that the database knows.'])
  mkdirSync(join(shortened, name, 'others', 'outbox'), { recursive: true })
  writeFileSync(join(shortened, name, 'others', 'outbox', 'a.eml'), 'a letter')
  expect(await checkBackup(shortened, name, manifest)).toEqual([`The manifest leaves out ${join('outbox', 'a.eml')}.`])
})

it('a lost photograph is told, and no backup pretends to have it', async () => {
  const hash = await photograph()
  await make(1)
  rmSync(join(on.folder, 'files', hash.slice(0, 2), hash, 'original'))
  // The backup from before has it.
  await make(2)
  rmSync(join(backups(), 'originals'), { recursive: true })
  await expect(make(3)).rejects.toThrow('is lost')
  expect(readdirSync(backups()).some(name => name.startsWith('coming-'))).toBe(false)
})

it('an entry cut off together with its head is missed by what was noted, in the collection and in a backup', async () => {
  const tag = on.bookIn()
  const { manifest } = await make()
  const { uid } = machineByTag(on.db, tag)
  on.db.$client.exec(`DROP TRIGGER journal_is_not_shortened;
    DELETE FROM journal WHERE chain = '${uid}' AND seq = (SELECT max(seq) FROM journal WHERE chain = '${uid}');
    UPDATE journal_heads SET (seq, hash) = (SELECT seq, hash FROM journal WHERE chain = '${uid}' ORDER BY seq DESC LIMIT 1) WHERE chain = '${uid}'`)
  expect(verifyChains(on.db).broken).toBeNull()
  expect(verifyChains(on.db, [manifest.noted!]).broken?.why).toMatch(/were noted .* are there/)
})

it('is due when the last one is older than that', () => {
  const every = (hours: number) => ({ everyHours: hours, kept: 1 })
  const now = new Date('2026-03-03T12:00:00Z')
  expect(backupDue(every(24), undefined, now)).toBe(true)
  expect(backupDue(every(24), '2026-03-02T12:00:01Z', now)).toBe(false)
  expect(backupDue(every(24), '2026-03-02T12:00:00Z', now)).toBe(true)
  expect(backupDue(every(0), undefined, now)).toBe(false)
  expect(backupSchedule({ BACKUP_EVERY_HOURS: 'often', BACKUPS_KEPT: '0' })).toEqual({ everyHours: 24, kept: 14 })
})

it('is told to be old when nothing has come for two turns, and nothing is believed of a clock that stood ahead', () => {
  const now = new Date('2026-03-03T12:00:00Z')
  const said = (everyHours: number, ...made: string[]) => judgeBackups({ everyHours, kept: 1 }, lastMade(made, now), now).code
  expect(said(24)).toBe('backup.none')
  expect(said(24, '2026-03-01T12:00:01Z')).toBe('backup.made')
  expect(said(24, '2026-03-01T11:59:59Z')).toBe('backup.old')
  expect(said(0, '2026-02-25T00:00:00Z')).toBe('backup.made')
  expect(said(0, '2026-02-24T11:00:00Z')).toBe('backup.old')
  expect(said(24, '2028-01-01T00:00:00Z', '2026-02-01T00:00:00Z')).toBe('backup.old')
  expect(said(24, '2028-01-01T00:00:00Z')).toBe('backup.none')
})

it('one that is being made can be given up, and the next one sweeps what it left', async () => {
  const idle = join(aside, 'idle.mjs')
  writeFileSync(idle, 'setInterval(() => {}, 1000)')
  const keeper = new BackupKeeper({ dataFolder: on.folder, backups: backups() }, { everyHours: 24, kept: 2 }, idle, () => on.now)
  const made = keeper.make()
  expect(keeper.view().running).not.toBeNull()
  await keeper.cancel()
  await made
  expect(keeper.view()).toMatchObject({ running: null, trouble: null, backups: [] })
  mkdirSync(join(backups(), 'coming-backup-1'), { recursive: true })
  await make()
  expect(readdirSync(backups()).some(name => name.startsWith('coming-'))).toBe(false)
})
