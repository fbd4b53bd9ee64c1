import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { copyFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import Database from 'better-sqlite3'
import { databaseFile } from '../db/expect-ours'
import { FolderInUse, lockFolder } from '../db/lock'
import { flush, nameDurably, writeDurably } from '../files/durable'
import { folderOf, originalIn as originalAt, sha256OfFile } from '../files/image-copies'
import { databaseOf, openCopy, originalIn, otherOf, sha256Of } from './check'
import { type BackupManifest, backupFormat, backupsIn, keptOf, nameOfBackup, originalsOf, sealed, unreadableIn } from './manifest'

/** How far a backup has come. */
export interface BackupProgress {
  what: 'database' | 'photographs' | 'checking'
  done: number
  of: number
}
export interface BackupOrder {
  dataFolder: string
  backups: string
  /** How many are kept; older ones are removed once the new one is whole. */
  kept: number
  at: Date
}

const coming = 'coming-'
/** Removes what was still being made when the program ended. */
function sweepUnfinished(backups: string): void {
  if (!existsSync(backups)) return
  for (const name of readdirSync(backups)) if (name.startsWith(coming)) rmSync(join(backups, name), { recursive: true, force: true })
}

/** So many pages are copied before whoever writes has their turn. */
const pagesAtOnce = 200
const others = (dataFolder: string): string[] => {
  const outbox = join(dataFolder, 'outbox')
  const letters = existsSync(outbox) ? readdirSync(outbox).filter(name => name.endsWith('.eml')) : []
  return [...letters.map(name => join('outbox', name)), ...(existsSync(join(dataFolder, 'demo-sign-ins.json')) ? ['demo-sign-ins.json'] : [])]
}

/**
 * Makes a backup of a collection in use: the database by SQLite's online backup, photographs by their hash. It is opened, its history walked and
 * every photograph compared with its hash before it gets its name; what does not hold is removed again, and older backups stay.
 * @throws Error saying what does not hold
 */
export async function makeBackup(order: BackupOrder, tell: (progress: BackupProgress) => void = () => {}) {
  const unlock = lockedFor(order.backups)
  try {
    return await makeAlone(order, tell)
  } finally {
    unlock()
  }
}

/** Two that are made at once would sweep away what the other has begun. @throws Error */
function lockedFor(backups: string): () => void {
  try {
    return lockFolder(backups)
  } catch (error) {
    throw error instanceof FolderInUse ? new Error(`Another backup is being made in ${backups}. Wait until it is done.`) : error
  }
}

async function makeAlone({ dataFolder, backups, kept, at }: BackupOrder, tell: (progress: BackupProgress) => void) {
  const name = nameOfBackup(at)
  const beside = join(backups, `${coming}${name}`)
  sweepUnfinished(backups)
  mkdirSync(join(beside, 'others'), { recursive: true })
  mkdirSync(originalsOf(backups), { recursive: true })
  try {
    await copyDatabase(dataFolder, databaseOf(beside), tell)
    await flush(databaseOf(beside))
    tell({ what: 'checking', done: 0, of: 1 })
    const facts = openCopy(databaseOf(beside))
    for (const [i, hash] of facts.photographs.entries()) {
      tell({ what: 'photographs', done: i, of: facts.photographs.length })
      await keepOriginal(dataFolder, backups, hash)
    }
    await flush(originalsOf(backups))
    const laid: BackupManifest['others'] = {}
    for (const other of others(dataFolder)) {
      mkdirSync(dirname(otherOf(beside, other)), { recursive: true })
      copyFileSync(join(dataFolder, other), otherOf(beside, other))
      await flush(otherOf(beside, other))
      laid[other] = sha256Of(otherOf(beside, other))
    }
    const database = await sha256OfFile(databaseOf(beside))
    const bytes = statSync(databaseOf(beside)).size + facts.photographs.reduce((sum, hash) => sum + statSync(originalIn(backups, hash)).size, 0)
    const manifest = sealed({ format: backupFormat, made: at.toISOString(), verified: new Date().toISOString(), database, ...facts, others: laid, bytes })
    await writeDurably(join(beside, 'manifest.json'), JSON.stringify(manifest, null, 2))
    await nameDurably(beside, join(backups, name))
    forgetOld(backups, kept, name)
    return { name, manifest }
  } finally {
    rmSync(beside, { recursive: true, force: true })
  }
}

async function copyDatabase(dataFolder: string, to: string, tell: (progress: BackupProgress) => void): Promise<void> {
  const client = new Database(databaseFile(dataFolder), { readonly: true, fileMustExist: true })
  try {
    client.pragma('busy_timeout = 5000')
    await client.backup(to, {
      progress: ({ totalPages, remainingPages }) => {
        tell({ what: 'database', done: totalPages - remainingPages, of: totalPages })
        return pagesAtOnce
      },
    })
  } finally {
    client.close()
  }
}

/** Keeps the original of a photograph, once for all backups. @throws Error where it is lost, or is not what its hash says */
async function keepOriginal(dataFolder: string, backups: string, hash: string): Promise<void> {
  const to = originalIn(backups, hash)
  if (existsSync(to) && (await sha256OfFile(to)) === hash) return
  const from = originalAt(folderOf(dataFolder, hash))
  if (!existsSync(from)) throw new Error(`The original of photograph ${hash.slice(0, 12)} is lost from ${dirname(from)}. An older backup may have it.`)
  await copyFile(from, `${to}.part`)
  if ((await sha256OfFile(`${to}.part`)) !== hash) {
    rmSync(`${to}.part`)
    throw new Error(`The original of photograph ${hash.slice(0, 12)} is not what it was. An older backup may have it.`)
  }
  await flush(`${to}.part`)
  await nameDurably(`${to}.part`, to)
}

/** Removes whole backups beyond so many, and photographs that none of those that lie there knows. One that cannot be read may need any of them. */
function forgetOld(backups: string, most: number, justMade: string): void {
  const all = backupsIn(backups)
  const kept = keptOf(all, most, justMade)
  const old = all.filter(({ name }) => !kept.has(name))
  for (const { name } of old) rmSync(join(backups, name), { recursive: true, force: true })
  if (!old.length || unreadableIn(backups).length) return
  const needed = new Set(all.filter(({ name }) => kept.has(name)).flatMap(({ manifest }) => manifest.photographs))
  for (const hash of readdirSync(originalsOf(backups))) if (!needed.has(hash)) rmSync(join(originalsOf(backups), hash), { force: true })
}
