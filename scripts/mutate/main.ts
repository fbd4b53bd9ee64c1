/**
 * `npm run mutate [-- --in core/safety,core/power --share 0.2 --seed 1]`: small wrong turns in the rules of the core, each tried against the tests of
 * the core that come past it. What no test notices is told, with its place. The files themselves are never touched: the tests are bundled once with a
 * switch at every turn, and read anew for each.
 */
import { mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { type ChildProcess, fork } from 'node:child_process'
import { build } from 'esbuild'
import { seeded } from '#core/kernel/random'
import { type Mutant, switched } from './mutants'
import type { Passed } from './worker'

const { values } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, share: { type: 'string', default: '1' }, in: { type: 'string', default: 'core' } },
})
/** Decides whether a machine may be energised, or is proved: here hardly one may get through. */
const strict = ['core/safety', 'core/power', 'core/planning', 'core/retest']
const mostShare = { strict: 0.05, other: 0.15 }
/** What makes up cases to practise or be tried on judges nothing. */
const madeUp = /[/-](made-up|simulation)\.ts$/
/** What the tests may take over one turn, and when nothing comes back from it: in shares of what all of them took, for a machine may be slow. */
const [patience, neverEnds] = [0.15, 0.4]

const places = values.in.split(',')
const ours = readdirSync('core', { recursive: true, encoding: 'utf8' }).map(f => join('core', f))
// What decides is tried where all disciplines meet, too.
const near = (f: string) => places.some(p => f.startsWith(p) || p.startsWith(dirname(f))) || strict.some(p => f.startsWith(p))
// Made-up cases of which the truth is known come past most of what estimates.
const tests = [...ours.filter(f => f.endsWith('.test.ts') && near(f)), 'tests/truth/truth.test.ts']
const mutants: Mutant[] = []
const folder = resolve(`.cache/mutate-${process.pid}`)
mkdirSync(folder, { recursive: true })
process.on('exit', () => rmSync(folder, { recursive: true }))

async function bundled(name: string, contents: string) {
  const outfile = join(folder, `${name}.cjs`)
  await build({
    stdin: { contents, resolveDir: resolve('.'), loader: 'ts' },
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    packages: 'external',
    // Its form for CommonJS has its default elsewhere.
    alias: {
      '#core': resolve('core'),
      '#shared': resolve('shared'),
      'vitest': resolve('scripts/mutate/as-vitest.ts'),
      'munkres': resolve('node_modules/munkres/dist/munkres.mjs'),
    },
    logLevel: 'error',
    plugins: [
      {
        name: 'turns',
        setup: ({ onLoad }) =>
          onLoad({ filter: /[/\\]core[/\\].*\.ts$/ }, ({ path }) => {
            const file = path.slice(resolve('.').length + 1)
            const code = readFileSync(path, 'utf8')
            if (file.endsWith('.test.ts')) return { loader: 'ts', contents: `import { testsOf } from 'vitest'\ntestsOf('${dirname(file)}')\n${code}` }
            const turns = places.some(p => file.startsWith(p)) && !madeUp.test(file)
            return { loader: 'ts', contents: turns ? switched(file, code, mutant => mutants.push(mutant) - 1) : code }
          }),
      },
    ],
  })
  return outfile
}
const imports = ['tests/support/seeded.ts', ...tests].map(f => `import './${f}'`).join('\n')
const bundle = await bundled('tests', `${imports}\nexport { registered } from 'vitest'`)
const program = await bundled('worker', readFileSync('scripts/mutate/worker.ts', 'utf8'))

/** A process of its own: some wrong turns end it, and not by an error that could be caught. */
const employ = () => fork(program, [bundle], { execArgv: [], stdio: ['ignore', 'inherit', 'ignore', 'ipc'] })
const answer = <T>(worker: ChildProcess, question: object | string, waitMs = Infinity) =>
  new Promise<T | 'never ends'>(done => {
    const timer = Number.isFinite(waitMs) ? setTimeout(() => over('never ends'), waitMs) : undefined
    const gone = () => over('never ends')
    function over(said: T | 'never ends') {
      clearTimeout(timer)
      worker.off('exit', gone).off('message', over)
      done(said)
    }
    worker.once('exit', gone).once('message', over)
    worker.send(question)
  })

const began = Date.now()
const scout = employ()
const passed = (await answer<Passed>(scout, 'look around')) as Passed
scout.kill()
if (passed.failed.length) {
  console.error(`These fail as they are:\n${passed.failed.join('\n')}`)
  process.exit(1)
}

console.log(`${passed.milliseconds.length} tests, once: ${Math.round((Date.now() - began) / 1000)} s; ${mutants.length} turns`)
const random = seeded(Number(values.seed))
const chosen = mutants.map((_, turn) => turn).filter(() => random() < Number(values.share))
const survived: number[] = []
const everyTest = passed.milliseconds.map((_, nth) => nth)
const allMs = passed.milliseconds.reduce((sum, ms) => sum + ms, 0)
/** The tests that come past a turn, as far as there is patience: those of its own discipline first, and of these the quickest. */
const orderOf = (turn: number) => {
  const past = passed.by[turn] ?? []
  const near = (nth: number) => Number(passed.folders[nth] !== dirname(mutants[turn]!.file))
  let spentMs = 0
  return (past === 'all' ? everyTest : past)
    .toSorted((a, b) => near(a) - near(b) || passed.milliseconds[a]! - passed.milliseconds[b]!)
    .filter(nth => (spentMs += passed.milliseconds[nth]!) <= allMs * patience)
}
let [next, told] = [0, Date.now()]
async function work() {
  let worker = employ()
  while (next < chosen.length) {
    const turn = chosen[next++]!
    if (Date.now() - told > 30_000) console.log(`${next} of ${chosen.length}, ${survived.length} survived`, (told = Date.now()) && '')
    const order = orderOf(turn)
    const found = order.length ? await answer<{ by?: string }>(worker, { turn, order }, Math.max(allMs * neverEnds, 30_000)) : {}
    // What never ends, or takes the process with it, is noticed too.
    if (found === 'never ends') {
      worker.kill('SIGKILL')
      worker = employ()
    } else if (!found.by) survived.push(turn)
  }
  worker.kill()
}
await Promise.all([work(), work()])

const roomOf = (turn: number) => mutants[turn]!.file.split('/').slice(0, 2).join('/')
const inOrder = (a: number, b: number) => a - b
for (const room of [...new Set(chosen.map(roomOf))].sort()) {
  const turns = chosen.filter(turn => roomOf(turn) === room)
  const lost = turns.filter(turn => survived.includes(turn)).sort(inOrder)
  console.log(`${room}: ${lost.length} of ${turns.length} survived`)
  for (const turn of lost) {
    const { file, line, was, is } = mutants[turn]!
    console.log(`  ${file}:${line}  ${was.replace(/\s+/g, ' ').slice(0, 100)}  →  ${is.slice(0, 40)}${passed.by[turn] ? '' : '  (no test comes past)'}`)
  }
}
const shareOf = (turns: number[]) => (turns.length ? turns.filter(turn => survived.includes(turn)).length / turns.length : 0)
const ofKind = (isStrict: boolean, edge: boolean) => chosen.filter(turn => strict.includes(roomOf(turn)) === isStrict && mutants[turn]!.edge === edge)
const [deciding, other] = [ofKind(true, false), ofKind(false, false)]
const percent = (turns: number[]) => `${(shareOf(turns) * 100).toFixed(1)} % of ${turns.length}`
console.log(`Where it is decided ${percent(deciding)} survived; elsewhere ${percent(other)}.`)
console.log(`Whether a bound itself belongs: ${percent(ofKind(true, true))} and ${percent(ofKind(false, true))}.`)
process.exit(shareOf(deciding) > mostShare.strict || shareOf(other) > mostShare.other ? 1 : 0)
