/**
 * `npm test`: installs what is missing, then types, lint, unit, server, build, browser; ends with `N passed, N failed`.
 * What does not touch the same files runs side by side. With `--loaded` the browser tests run beside two busy processes, as on a machine that is slow.
 */
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { built, fetched, must, run } from './lib/setup.mjs'

const tally = { passed: 0, failed: 0 }

async function step(title, work) {
  console.log(`\n— ${title} begins`)
  const began = Date.now()
  const ok = await work()
  tally[ok ? 'passed' : 'failed']++
  console.log(`${ok ? 'passed' : 'FAILED'}: ${title} (${Math.round((Date.now() - began) / 1000)} s)`)
}

const ends =
  (program, ...args) =>
  async () =>
    (await run(program, args)) === 0

/** One Vitest project, its tests counted one by one. */
function tests(project) {
  return async () => {
    const report = `.cache/tests-${project}.json`
    mkdirSync('.cache', { recursive: true })
    const code = await run('npx', ['vitest', 'run', '--project', project, '--reporter=default', '--reporter=json', `--outputFile.json=${report}`])
    const { numPassedTests, numFailedTests } = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : { numPassedTests: 0, numFailedTests: 1 }
    tally.passed += numPassedTests
    tally.failed += numFailedTests
    return code === 0 && numPassedTests > 0
  }
}

/** Chromium and its driver, from Debian when that can be done. */
async function browserReady() {
  if (existsSync('/usr/bin/chromium') && existsSync('/usr/bin/chromedriver')) return true
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get')) {
    console.error('Missing: /usr/bin/chromium and /usr/bin/chromedriver. On Debian: apt-get install chromium chromium-driver')
    return false
  }
  await must('apt-get', ['update', '-qq'])
  return (await run('apt-get', ['install', '-y', '-qq', 'chromium', 'chromium-driver'])) === 0
}

// Packages and browser come over the network, and are waited for together.
const [compile] = await Promise.all([fetched(), step('browser at hand', browserReady)])
await must('npx', ['nuxt', 'prepare', '--logLevel=silent'])
// The demo is filled once; whoever tests it works on a copy.
const template = mkdtempSync(join(tmpdir(), 'jolly-bench-template-'))
process.env.JOLLY_DEMO_TEMPLATE = template
process.on('exit', () => rmSync(template, { recursive: true, force: true }))
const compiled = compile()
// Whoever needs it hears of its trouble; until then nobody does.
compiled.catch(() => {})
const build = () =>
  built().then(
    () => true,
    error => {
      console.error(error)
      return false
    },
  )
// Two lanes on two cores: what reads the sources, and what runs them. Only what opens a database waits for what is compiled.
const filled = (async () => {
  await step('types', ends('npm', 'run', '--silent', 'types'))
  await compiled
  await step('demo filled', ends('npx', 'tsx', 'scripts/fill-demo.ts', template))
})()
await Promise.all([
  (async () => {
    await filled
    await step('lint', ends('npm', 'run', '--silent', 'lint'))
    await step('unit tests', tests('core'))
  })(),
  (async () => {
    await step('build', build)
    // They look at the filled demo, and at what was built.
    await filled
    await step('server tests', tests('server'))
  })(),
])
const busy = process.argv.includes('--loaded') ? [1, 2].map(() => spawn(process.execPath, ['-e', 'for (;;) Math.random()'], { stdio: 'ignore' })) : []
await step('browser tests', tests('browser'))
busy.forEach(child => child.kill())

console.log(`\n${tally.passed} passed, ${tally.failed} failed`)
process.exit(tally.failed ? 1 : 0)
