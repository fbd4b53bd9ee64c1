import { spawn } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import { createServer } from 'node:net'
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'

/** What every command needs before it can do its work. Runs on a fresh clone: only what comes with Node is used. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
process.chdir(root)
const startedBy = process.ppid
process.env.NUXT_TELEMETRY_DISABLED = '1'

/** Runs a program to its end and hands its output on. @returns its exit code */
export function run(program, args, options = {}) {
  return new Promise(done => {
    const child = spawn(program, args, { stdio: 'inherit', ...options })
    child.on('error', () => done(127))
    child.on('close', code => done(code ?? 1))
  })
}

/** Runs a program that has to succeed. */
export async function must(program, args, options) {
  const code = await run(program, args, options)
  if (code !== 0) throw new Error(`${[program, ...args].join(' ')} ended with ${code}.`)
}

const digest = (...parts) => parts.reduce((hash, part) => hash.update(part), createHash('sha256')).digest('hex')
const remembered = (file, value) => existsSync(file) && readFileSync(file, 'utf8') === value
function remember(file, value) {
  mkdirSync(dirname(file), { recursive: true })
  writeFileSync(file, value)
}

/** What has to be compiled on this machine; whatever else is in use works as it comes. */
const compiledHere = ['better-sqlite3']

/**
 * Fetches the packages of the lock file, unless that was done for this lock file and this Node.
 * @returns what compiles those that have to be; it takes two minutes, and what only reads sources need not wait for it
 */
export async function fetched() {
  const stamp = 'node_modules/.jolly-bench-installed'
  const wanted = digest(readFileSync('package-lock.json'), process.version)
  if (remembered(stamp, wanted)) return async () => {}
  console.log('Installing packages; the first time this takes some minutes.')
  // `npm ci` wants optional packages of other systems too, which not every registry serves.
  await must('npm', ['install', '--no-audit', '--no-fund', '--loglevel=error', '--ignore-scripts'])
  return async () => {
    await must('npm', ['rebuild', '--loglevel=error', ...compiledHere])
    remember(stamp, digest(readFileSync('package-lock.json'), process.version))
  }
}

/** Fetches and compiles the packages, where that has not been done. */
export const installed = async () => (await fetched())()

const sources = ['app', 'core', 'public', 'server', 'shared', 'nuxt.config.ts', 'package.json', 'package-lock.json']

function* filesIn(path) {
  if (!existsSync(path)) return
  const entries = path.includes('.') && !path.includes('/') ? null : readdirSync(path, { withFileTypes: true })
  if (!entries) return yield path
  for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const inside = join(path, entry.name)
    if (entry.isDirectory()) yield* filesIn(inside)
    else if (!entry.name.includes('.test.')) yield inside
  }
}

/** Builds the application, unless what it is built from has not changed. */
export async function built() {
  const stamp = '.output/.built-from'
  const wanted = digest(...sources.flatMap(source => [...filesIn(source)].flatMap(file => [relative(root, join(root, file)), readFileSync(file)])))
  if (remembered(stamp, wanted)) return
  console.log('Building; this takes about half a minute.')
  await must('npx', ['nuxt', 'build', '--logLevel=silent'], { env: { ...process.env, JOLLY_BUILD_DIR: '.cache/build' } })
  remember(stamp, wanted)
}

/** What is wrong, and what would do; then it ends. */
export function giveUp(...lines) {
  console.error(lines.join(' '))
  process.exit(1)
}

const shortestSecret = 32

/** The secret that seals session cookies: made at the first start, readable by its owner alone. */
export function sessionSecret(dataFolder) {
  const given = process.env.NUXT_SESSION_PASSWORD
  if (given !== undefined) {
    if (given.length < shortestSecret)
      giveUp(`NUXT_SESSION_PASSWORD is shorter than ${shortestSecret} characters.`, 'Set a longer one, or none: then one is made.')
    return given
  }
  const file = join(dataFolder, 'session-secret')
  try {
    mkdirSync(dataFolder, { recursive: true })
    if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('hex'), { mode: 0o600 })
    const secret = readFileSync(file, 'utf8').trim()
    if (secret.length >= shortestSecret) return secret
  } catch (error) {
    return giveUp(
      `The data folder ${dataFolder} cannot be used: ${error.message}.`,
      'Give this user leave to read and write there, or point JOLLY_DATA elsewhere.',
    )
  }
  return giveUp(`${file} is shorter than ${shortestSecret} characters: it was cut off.`, 'Remove it; a new one is made, and everybody signs in anew.')
}

const listenTroubles = {
  EADDRINUSE: (host, port) => `Something else already listens at ${host}:${port}. Choose another port, such as PORT=3001.`,
  EACCES: (host, port) => `This user may not listen at port ${port}. Choose one above 1023, such as PORT=3000.`,
  EADDRNOTAVAIL: host => `HOST=${host} is no address of this computer. Leave it out to listen on this computer only, or take 0.0.0.0 for every address.`,
  ENOTFOUND: host => `HOST=${host} is no name of this computer. Leave it out to listen on this computer only.`,
}

/** Ends with a clear message when nobody can listen at the address. */
export function portFree(port, host) {
  if (!/^\d{1,5}$/.test(String(port)) || Number(port) < 1 || Number(port) > 65535)
    giveUp(`PORT=${port} is no port: a whole number from 1 to 65535, such as PORT=3000.`)
  return new Promise(free => {
    const probe = createServer()
    probe.once('error', error => giveUp((listenTroubles[error.code] ?? (() => `Nobody can listen at ${host}:${port}: ${error.message}.`))(host, port)))
    probe.listen(Number(port), host, () => probe.close(free))
  })
}

/** Starts the built application on a data folder. @returns the child process */
export function serve(dataFolder, { port, host, stdio = 'inherit', env = {} }) {
  return spawn(process.execPath, ['.output/server/index.mjs'], {
    cwd: root,
    // By the line between them the server hears when this program is gone, however it went.
    stdio: [...(Array.isArray(stdio) ? stdio : [stdio, stdio, stdio]), 'ipc'],
    // Open pages hold a connection for changes; a stopping server does not wait for them long.
    env: {
      ...process.env,
      ...env,
      NODE_ENV: 'production',
      JOLLY_DATA: dataFolder,
      PORT: String(port),
      HOST: host,
      NITRO_SHUTDOWN_TIMEOUT: '1500',
      // The C library keeps memory apart for each thread otherwise, and pictures are unpacked in many.
      MALLOC_ARENA_MAX: '2',
      NUXT_SESSION_PASSWORD: sessionSecret(dataFolder),
    },
  })
}

/** Waits until the application answers, or its process has ended. */
export async function answering(child, address, seconds = 30) {
  for (let tries = 0; tries < seconds * 20; tries++) {
    if (child.exitCode !== null) throw new Error('The application ended before it answered.')
    try {
      if ((await fetch(`${address}/api/health`)).ok) return
    } catch {
      /* not listening yet */
    }
    await new Promise(next => setTimeout(next, 50))
  }
  throw new Error(`No answer at ${address} after ${seconds} seconds.`)
}

/** Hands the end of this command on to the server, and its end back. */
export function endTogether(child) {
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
  // npm does not hand on that it was ended; what it started would live on with nobody to end it.
  if (process.env.npm_lifecycle_event) setInterval(() => process.ppid !== startedBy && child.kill('SIGTERM'), 1000).unref()
  child.on('close', code => process.exit(code ?? 0))
}
