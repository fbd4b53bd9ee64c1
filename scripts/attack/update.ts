import { spawn } from 'node:child_process'
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { seeded } from '#core/kernel/random'
import { migrationsFolder, openDatabase } from '../../server/db/connection'
import { type Outcome, stepBack } from './attack'

/** So large the collection is, in MB: most of it a history of entries. */
const collectionMb = 300
const entryBytes = 1000

/** The migrations without the newest: what the version before had. */
function formerMigrations(): string {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-former-'))
  cpSync(migrationsFolder, folder, { recursive: true })
  const file = join(folder, 'meta/_journal.json')
  const told = JSON.parse(readFileSync(file, 'utf8')) as { entries: unknown[] }
  writeFileSync(file, JSON.stringify({ ...told, entries: told.entries.slice(0, -1) }))
  return folder
}

/** A collection as the version before left it. */
function formerCollection(migrations: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-update-'))
  const { $client } = openDatabase(folder, { migrations })
  const columns = $client.pragma('table_info(journal)') as { name: string; type: string; notnull: number; dflt_value: unknown; pk: number }[]
  const given = columns.filter(c => !c.pk && c.notnull && c.dflt_value === null)
  const entry = $client.prepare(`INSERT INTO journal (${given.map(c => c.name).join(', ')}) VALUES (${given.map(() => '?').join(', ')})`)
  const filler = JSON.stringify({ says: 'It was cleaned, dried and put back. '.repeat(entryBytes / 36) })
  $client.transaction(() => {
    for (let i = 0; i < (collectionMb * 1e6) / entryBytes; i++)
      entry.run(
        ...given.map(c => (c.name === 'data' ? filler : /INT|REAL/i.test(c.type) ? i + 1 : c.name === 'at' ? '2025-01-01T00:00:00.000Z' : `${c.name}-${i}`)),
      )
  })()
  $client.pragma('wal_checkpoint(TRUNCATE)')
  $client.close()
  return folder
}

const program = "import { openDatabase } from './server/db/connection'; const db = openDatabase(process.argv[1]); db.$client.close(); console.log('updated')"

/** Brings a collection up to date in a process of its own, ended without a word after so long. @returns whether it came to its end, and how long it took */
const update = (folder: string, killedAfterMs = Infinity) =>
  new Promise<{ done: boolean; ms: number }>(ended => {
    const began = Date.now()
    const child = spawn('npx', ['tsx', '-e', program, folder], { stdio: ['ignore', 'pipe', 'inherit'], detached: true })
    let said = ''
    child.stdout.on('data', data => (said += String(data)))
    // Its whole group, for the program runs below whatever starts it.
    const timer = Number.isFinite(killedAfterMs) ? setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), killedAfterMs) : undefined
    child.on('close', () => {
      clearTimeout(timer)
      ended({ done: said.includes('updated'), ms: Date.now() - began })
    })
  })

/**
 * An update of a large collection, killed again and again in its middle: it is whole after each, and up to date once it is let.
 * @param seconds no further kill is begun after so long
 */
export async function updateKilled(seed: number, seconds: number): Promise<Outcome> {
  const random = seeded(seed)
  const former = formerMigrations()
  const folder = formerCollection(former)
  const failures: string[] = []
  let kills = 0
  try {
    stepBack()
    const count = (migrations?: string) => {
      const { $client } = openDatabase(folder, migrations ? { migrations } : {})
      const n = ($client.prepare('SELECT count(*) AS n FROM journal').get() as { n: number }).n
      const whole = $client.pragma('integrity_check(1)', { simple: true })
      $client.close()
      return { n, whole }
    }
    const { n: before } = count(former)
    const pristine = mkdtempSync(join(tmpdir(), 'jolly-bench-update-'))
    cpSync(folder, pristine, { recursive: true })
    const again = () => {
      rmSync(folder, { recursive: true })
      cpSync(pristine, folder, { recursive: true })
    }
    const { ms: takesMs, done } = await update(folder)
    if (!done) failures.push('the update does not come to its end even when it is let')
    again()
    for (const until = Date.now() + seconds * 1000; Date.now() < until && kills < 40;) {
      const { done: early } = await update(folder, takesMs * (0.3 + 0.7 * random()))
      // It was quicker this time: the next begins where the version before left it.
      if (early) again()
      else kills++
    }
    rmSync(pristine, { recursive: true })
    const last = await update(folder)
    if (!last.done) failures.push('after it was killed, the update does not come to its end')
    const { n, whole } = count()
    if (n !== before) failures.push(`${before} entries before, ${n} after`)
    if (whole !== 'ok') failures.push(`the database is not whole: ${String(whole)}`)
    return { figures: { 'entries': before, 'an update takes, ms': takesMs, 'killed in its middle': kills, 'entries lost': before - n }, failures }
  } finally {
    rmSync(folder, { recursive: true })
    rmSync(former, { recursive: true })
  }
}
