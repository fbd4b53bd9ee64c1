/**
 * `npm run verify`: checks the hash chains of the history in the data folder and names the first broken entry.
 * `npm run verify -- file.zip`: checks the archive of a machine that left the house, without any data folder.
 */
import { existsSync, readFileSync } from 'node:fs'
import { resolve } from 'node:path'
import Database from 'better-sqlite3'
import { unzipSync } from 'fflate'
import { backupsFolder, backupsIn } from '../server/backup/manifest'
import { checkArchive } from '../server/chapters/sharing/archive-check'
import { databaseFile } from '../server/db/expect-ours'
import { verifyChains } from '../server/kernel/history/chains'

const [archive] = process.argv.slice(2)
process.exit(archive ? verifyArchive(archive) : verifyFolder())

function verifyArchive(path: string): number {
  let files: Record<string, Uint8Array>
  try {
    files = unzipSync(readFileSync(path))
  } catch (error) {
    console.error(`${path} cannot be unpacked: ${(error as Error).message}. It is no archive, or has been changed.`)
    return 2
  }
  const { manifest, wrong } = checkArchive(files)
  if (wrong.length) {
    console.log(`Changed: ${wrong.join(' ')}`)
    return 1
  }
  const { tag, made, whole, journal } = manifest!
  console.log(
    `Whole: ${tag}, made ${made}, ${Object.keys(files).length} files, ${journal.entries} entries${whole ? '' : ', private matters left out'}. Newest hash: ${journal.hash}`,
  )
  return 0
}

function verifyFolder(): number {
  const dataFolder = resolve(process.env.JOLLY_DATA ?? 'data')
  const file = databaseFile(dataFolder)
  if (!existsSync(file)) {
    console.error(`There is no database at ${file}. Say where it lies with JOLLY_DATA.`)
    return 2
  }
  const noted = backupsIn(backupsFolder(dataFolder)).flatMap(({ manifest }) => manifest.noted ?? [])
  const { entries, chains, withoutNames, broken } = verifyChains({ $client: new Database(file, { readonly: true }) }, noted)
  const also = [
    noted.length ? `compared with ${noted.length} ${noted.length === 1 ? 'backup' : 'backups'}` : '',
    withoutNames ? `${withoutNames} without the names that they had` : '',
  ]
  console.log(
    broken
      ? `Broken: entry ${broken.seq} of chain ${broken.chain}${broken.id === null ? '' : ` (row ${broken.id})`}: ${broken.why}.`
      : `Whole: ${[`${entries} entries in ${chains} chains`, ...also].filter(Boolean).join(', ')}.`,
  )
  return broken ? 1 : 0
}
