import { copyFileSync, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import { databaseFile } from '../db/expect-ours'
import { flush, nameDurably } from '../files/durable'
import { folderOf, originalIn as originalAt } from '../files/image-copies'
import { checkBackup, databaseOf, originalIn, otherOf } from './check'
import { readManifest } from './manifest'

/** What keeps a backup from being put back. */
export class NotRestored extends Error {}

/**
 * Puts a backup back into an empty folder, once it has been checked. The database comes last: a folder that is half filled is no collection.
 * Smaller copies of photographs are made anew when they are first looked at.
 * @throws NotRestored with what is wrong
 */
export async function restoreBackup(backup: string, dataFolder: string): Promise<{ entries: number; photographs: number; made: string }> {
  const path = resolve(backup)
  const [backups, name] = [dirname(path), basename(path)]
  const manifest = readManifest(path)
  if (!manifest) throw new NotRestored(`${path} is no backup: it has no manifest.json that can be read, or one that was cut or changed.`)
  if (existsSync(dataFolder) && readdirSync(dataFolder).length)
    throw new NotRestored(`${dataFolder} is not empty. A backup is put back into an empty folder, never over a collection; say which with JOLLY_DATA.`)
  const wrong = await checkBackup(backups, name, manifest)
  if (wrong.length) throw new NotRestored(`The backup is not whole: ${wrong.join(' ')}`)
  try {
    for (const hash of manifest.photographs) {
      const home = folderOf(dataFolder, hash)
      mkdirSync(home, { recursive: true })
      copyFileSync(originalIn(backups, hash), originalAt(home))
      await flush(originalAt(home))
    }
    for (const other of Object.keys(manifest.others)) {
      mkdirSync(dirname(join(dataFolder, other)), { recursive: true })
      copyFileSync(otherOf(path, other), join(dataFolder, other))
    }
    mkdirSync(dataFolder, { recursive: true })
    copyFileSync(databaseOf(path), `${databaseFile(dataFolder)}.part`)
    await flush(`${databaseFile(dataFolder)}.part`)
    await nameDurably(`${databaseFile(dataFolder)}.part`, databaseFile(dataFolder))
  } catch (error) {
    for (const left of readdirSync(dataFolder)) rmSync(join(dataFolder, left), { recursive: true, force: true })
    throw error
  }
  return { entries: manifest.entries, photographs: manifest.photographs.length, made: manifest.made }
}
