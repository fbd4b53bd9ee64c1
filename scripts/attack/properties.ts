import { execFile } from 'node:child_process'
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import type { Outcome } from './attack'

const rooms = ['core', 'shared', 'server', 'app', 'instruments', 'tests/rules']
const usesProperties = (file: string) => file.endsWith('.test.ts') && readFileSync(file, 'utf8').includes("from 'fast-check'")

/**
 * What has to hold of every case, tried on cases that the tests do not draw: the same properties, one seed after the other.
 * @param seconds no seed is begun after so long
 */
export async function propertiesFor(seed: number, seconds: number): Promise<Outcome> {
  const files = rooms.flatMap(room => readdirSync(room, { recursive: true, encoding: 'utf8' }).map(file => join(room, file))).filter(usesProperties)
  const failures: string[] = []
  const until = Date.now() + seconds * 1000
  let tried = 0
  for (; Date.now() < until; tried++) {
    const drawn = seed * 1000 + tried
    const run = promisify(execFile)('npx', ['vitest', 'run', '--reporter=dot', ...files], {
      env: { ...process.env, JOLLY_SEED: String(drawn), NO_COLOR: '1' },
      maxBuffer: 64 * 2 ** 20,
    })
    const failed: string[] = await run.then(
      () => [],
      (error: { stdout?: string; stderr?: string }) =>
        `${error.stdout ?? ''}${error.stderr ?? ''}`.split('\n').filter(line => /FAIL|Counterexample/.test(line)),
    )
    failures.push(...failed.map(line => `JOLLY_SEED=${drawn}: ${line.trim()}`))
  }
  return { figures: { 'files of properties': files.length, 'seeds tried': tried }, failures }
}
