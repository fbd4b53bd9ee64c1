/**
 * `npm run mutate [-- --seed 1 --seconds 300 --in core/safety,core/power]`: small wrong turns in the rules of the core, each tried against the tests
 * that rest on its file. What no test notices is told, with its place. The files themselves are never touched.
 */
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { seeded } from '#core/kernel/random'
import { type Mutant, mutantsOf, withMutant } from './mutants'

const { values } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, seconds: { type: 'string', default: '300' }, in: { type: 'string', default: 'core' } },
})
/** Decides whether a machine may be energised, or is proved: here hardly one may get through. */
const strict = ['core/safety', 'core/power', 'core/planning', 'core/retest']
const mostShare = { strict: 0.05, other: 0.15 }

const random = seeded(Number(values.seed))
const places = values.in.split(',')
const files = readdirSync('core', { recursive: true, encoding: 'utf8' })
  .map(f => join('core', f))
  .filter(f => f.endsWith('.ts') && !f.endsWith('.test.ts') && places.some(p => f.startsWith(p)))
const all = files.flatMap(file => mutantsOf(file, readFileSync(file, 'utf8')).map(mutant => ({ file, mutant })))
const order = all.map(one => ({ one, at: random() })).sort((a, b) => a.at - b.at)
const folder = mkdtempSync(join(tmpdir(), 'jolly-mutants-'))

/** The tests beside a file; what a discipline adds to a machine is tried where all of them meet, too. */
const nearestTo = (file: string) => [dirname(file), ...(/\/(rules|assess)\.ts$/.test(file) || file.startsWith('core/safety/') ? ['core/planning'] : [])]

/** Whether a test notices. */
function noticed(file: string, mutant: Mutant, nth: number): Promise<boolean> {
  const changed = join(folder, `${nth}.ts`)
  writeFileSync(changed, withMutant(readFileSync(file, 'utf8'), mutant))
  const env = { ...process.env, JOLLY_MUTANT: `${resolve(file)}=${changed}` }
  const child = spawn('npx', ['vitest', 'run', '--project', 'core', '--bail', '1', '--reporter', 'dot', ...nearestTo(file).map(f => `${f}/`)], {
    env,
    stdio: 'ignore',
    detached: true,
  })
  // What never ends is noticed too.
  const patience = setTimeout(() => process.kill(-child.pid!, 'SIGKILL'), 60_000)
  return new Promise(done =>
    child.on('exit', code => {
      clearTimeout(patience)
      done(code !== 0)
    }),
  )
}

const until = Date.now() + Number(values.seconds) * 1000
const tally = new Map<string, { tried: number; survived: string[] }>()
let next = 0
async function work(): Promise<void> {
  while (Date.now() < until && next < order.length) {
    const nth = next++
    const { file, mutant } = order[nth]!.one
    const room = file.split('/').slice(0, 2).join('/')
    const row = tally.get(room) ?? { tried: 0, survived: [] }
    tally.set(room, row)
    const caught = await noticed(file, mutant, nth)
    row.tried++
    if (!caught) row.survived.push(`${file}:${mutant.line}  ${mutant.was.replace(/\s+/g, ' ').slice(0, 90)}  →  ${mutant.is.slice(0, 40)}`)
  }
}
await Promise.all([work(), work()])
rmSync(folder, { recursive: true })

for (const [room, { tried, survived }] of [...tally].sort()) {
  console.log(`${room}: ${survived.length} of ${tried} survived`)
  for (const one of survived) console.log(`  ${one}`)
}
const share = (rooms: [string, { tried: number; survived: string[] }][]) => {
  const tried = rooms.reduce((n, [, r]) => n + r.tried, 0)
  return { tried, share: tried ? rooms.reduce((n, [, r]) => n + r.survived.length, 0) / tried : 0 }
}
const isStrict = ([room]: [string, unknown]) => strict.includes(room)
const [deciding, other] = [share([...tally].filter(isStrict)), share([...tally].filter(one => !isStrict(one)))]
console.log(
  `${all.length} mutants there are. Where it is decided: ${Math.round(deciding.share * 100)} % of ${deciding.tried} survived; elsewhere: ${Math.round(other.share * 100)} % of ${other.tried}.`,
)
process.exit(deciding.share > mostShare.strict || other.share > mostShare.other ? 1 : 0)
