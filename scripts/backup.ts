/**
 * `npm run backup`: a backup of the collection in the data folder, in use or not, checked by opening it.
 * `npm run backup -- check`: checks every backup that lies there against what it says of itself.
 * `npm run restore -- <backup>`: puts one back into an empty data folder.
 */
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { checkBackup } from '../server/backup/check'
import { makeBackup } from '../server/backup/make'
import { backupsFolder, backupsIn, unreadableIn } from '../server/backup/manifest'
import { NotRestored, restoreBackup } from '../server/backup/restore'
import { backupSchedule } from '../server/backup/schedule'
import { databaseFile } from '../server/db/expect-ours'
import { onlyOurs } from '../server/db/only-ours'

const dataFolder = resolve(process.env.JOLLY_DATA ?? 'data')
const [verb, which] = process.argv.slice(2)
process.exit(verb === 'restore' ? await restore(which) : verb === 'check' ? await check() : await make())

async function make(): Promise<number> {
  if (!existsSync(databaseFile(dataFolder))) {
    console.error(`There is no database in ${dataFolder}. Say where it lies with JOLLY_DATA.`)
    return 2
  }
  const backups = backupsFolder(dataFolder)
  onlyOurs(backups)
  try {
    const { name, manifest } = await makeBackup({ dataFolder, backups, kept: backupSchedule().kept, at: new Date() })
    console.log(
      `Made and checked: ${join(backups, name)}: ${manifest.entries} entries in ${manifest.chains} chains, ${manifest.photographs.length} photographs, ${Math.round(manifest.bytes / 1e6)} MB.`,
    )
    return 0
  } catch (error) {
    console.error(`No backup was made: ${(error as Error).message}`)
    return 1
  }
}

async function check(): Promise<number> {
  const backups = backupsFolder(dataFolder)
  const all = backupsIn(backups)
  const unreadable = unreadableIn(backups)
  if (!all.length && !unreadable.length) console.log(`There is no backup in ${backups}.`)
  for (const name of unreadable) console.log(`Not whole: ${name}: its manifest is missing, was cut or changed.`)
  let bad = unreadable.length
  for (const { name, manifest } of all) {
    const wrong = await checkBackup(backups, name, manifest)
    bad += wrong.length ? 1 : 0
    console.log(`${wrong.length ? 'Not whole' : 'Whole'}: ${name}${wrong.length ? `: ${wrong.join(' ')}` : `, ${manifest.entries} entries.`}`)
  }
  return bad ? 1 : 0
}

async function restore(backup: string | undefined): Promise<number> {
  if (!backup) {
    console.error('Say which backup: npm run restore -- data/backups/backup-…')
    return 2
  }
  onlyOurs(dataFolder)
  try {
    const { entries, photographs, made } = await restoreBackup(backup, dataFolder)
    console.log(`Put back into ${dataFolder}: ${entries} entries, ${photographs} photographs, as of ${made}. Start with npm start.`)
    return 0
  } catch (error) {
    console.error(error instanceof NotRestored ? error.message : `It could not be put back: ${(error as Error).message}`)
    return 1
  }
}
