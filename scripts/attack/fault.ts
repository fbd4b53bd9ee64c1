import { fork, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { get } from 'node:http'
import { type Socket, connect, createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import Database from 'better-sqlite3'
import sharp from 'sharp'
import { type Application, startApplication } from '../../tests/e2e/support/application'
import { type Run, send } from './attack'

const base = 'jolly-bench.sqlite'
const digestOf = (path: string) => (existsSync(path) ? createHash('sha256').update(readFileSync(path)).digest('hex') : 'none')

/** What goes wrong around the bench: data folders that are no collection, meters that lie, disks that are full, files that are lost. */
export const fault: Run = async ({ app, random, seconds }) => {
  // A short run tries some of each.
  const some = <T>(all: T[]): T[] =>
    seconds >= 10
      ? all
      : all
          .map(one => ({ one, by: random() }))
          .sort((a, b) => a.by - b.by)
          .slice(0, 2)
          .map(({ one }) => one)
  const failures: string[] = []
  const figures: Record<string, number | string> = {}
  const check = (what: string, holds: boolean, told = '') => {
    if (!holds) failures.push(told ? `${what}: ${told}` : what)
  }
  figures['starts refused with a reason'] = await startUps(app, check, some)
  figures['ends with whoever started it'] = await endsWithParent(app, check)
  figures['meters that misbehave'] = await meters(app, check, some)
  figures['files lost or cut off'] = await lostCopies(app, check)
  figures['requests that never come: somebody else waited, ms'] = await slowRequests(app, check)
  figures['a full disk'] = seconds >= 10 ? await fullDisk(check) : 'not tried in a short run'
  return { figures, failures }
}
type Some = <T>(all: T[]) => T[]
type Check = (what: string, holds: boolean, told?: string) => void

/** A data folder or a setting that will not do: the server ends, says what is wrong, and leaves everything as it was. */
async function startUps({ folder, address }: Application, check: Check, some: Some): Promise<number> {
  const before = (at: string) => [base, `${base}-wal`].map(name => digestOf(join(at, name))).join()
  const cases: [string, (at: string) => Record<string, string> | void, RegExp][] = [
    ['a database of 0 bytes', at => truncateSync(join(at, base), 0), /is empty: 0 bytes/],
    ['no database, but photographs', at => rmSync(join(at, base)), /There is no database/],
    ['a text file for a database', at => writeFileSync(join(at, base), 'Dear diary, '.repeat(900)), /is no database/],
    ['a database that was cut off', at => truncateSync(join(at, base), 200_000), /is damaged/],
    [
      'the database of another program',
      at => {
        rmSync(join(at, base))
        new Database(join(at, base)).exec('CREATE TABLE recipes (id INTEGER); CREATE TABLE cooks (id INTEGER)').close()
      },
      /is the database of another program/,
    ],
    [
      'a database of a newer program',
      at => {
        const client = new Database(join(at, base))
        client.exec("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)")
        client.close()
      },
      /written by a newer Jolly Bench/,
    ],
    ['a secret that is too short', () => ({ NUXT_SESSION_PASSWORD: 'short' }), /NUXT_SESSION_PASSWORD is missing, or shorter/],
  ]
  for (const [what, harm, says] of some(cases)) {
    const at = mkdtempSync(join(tmpdir(), 'jolly-bench-start-'))
    try {
      const client = new Database(join(folder, base), { readonly: true })
      await client.backup(join(at, base))
      client.close()
      mkdirSync(join(at, 'files'))
      writeFileSync(join(at, 'files', 'something'), 'x')
      const env = harm(at) ?? {}
      const stood = before(at)
      const { code, told } = await startedAndEnded(at, env)
      check(`${what}: it started all the same`, code !== 0)
      check(`${what}: does not say so`, says.test(told), told.slice(0, 200))
      check(`${what}: the database was changed`, before(at) === stood)
    } finally {
      rmSync(at, { recursive: true, force: true })
    }
  }
  const settings: [Record<string, string>, RegExp][] = [
    [{ PORT: '70000' }, /PORT=70000 is no port/],
    [{ PORT: 'three' }, /PORT=three is no port/],
    [{ HOST: 'no.such.host.invalid' }, /HOST=no\.such\.host\.invalid is no (name|address)/],
    [{ HOST: '192.0.2.1' }, /HOST=192\.0\.2\.1 is no address of this computer/],
    [{ PORT: new URL(address).port }, /Something else already listens/],
    [{ NUXT_SESSION_PASSWORD: 'short' }, /shorter than 32 characters/],
  ]
  for (const [env, says] of some(settings)) {
    const { status, stderr } = spawnSync(process.execPath, ['scripts/start.mjs'], {
      env: { ...process.env, PORT: '3999', HOST: '127.0.0.1', JOLLY_DATA: folder, ...env },
      timeout: 8000,
      encoding: 'utf8',
    })
    check(`a start with ${JSON.stringify(env)}`, status === 1 && says.test(stderr), stderr.slice(0, 200))
  }
  const { code, told } = await startedAndEnded(folder, {})
  check('a second server on one folder', code !== 0 && /Another Jolly Bench works on/.test(told), told.slice(0, 200))
  return cases.length + settings.length + 1
}

/** Starts the server by itself and waits until it has ended; one that stays is ended, and its code is 0. */
async function startedAndEnded(folder: string, env: Record<string, string>): Promise<{ code: number | null; told: string }> {
  // The settings of the one who starts it are looked at before; here the server has to look for itself.
  const child = fork('.output/server/index.mjs', [], {
    silent: true,
    env: { ...process.env, NUXT_SESSION_PASSWORD: 'x'.repeat(40), ...env, JOLLY_DATA: folder, PORT: '0', HOST: '127.0.0.1', NODE_ENV: 'production' },
  })
  let told = ''
  child.stderr!.on('data', chunk => (told += String(chunk)))
  child.stdout!.on('data', chunk => (told += String(chunk)))
  const late = setTimeout(() => child.kill('SIGKILL'), 8000)
  const [code] = (await once(child, 'exit')) as [number | null]
  clearTimeout(late)
  return { code: code ?? 0, told }
}

/** A server whose starter is gone without a word would hold its folder for ever. */
async function endsWithParent({ folder }: Application, check: Check): Promise<string> {
  const at = mkdtempSync(join(tmpdir(), 'jolly-bench-parent-'))
  try {
    cpSync(join(folder, 'session-secret'), join(at, 'session-secret'))
    const script = join(at, 'parent.mjs')
    writeFileSync(
      script,
      `import { serve } from ${JSON.stringify(resolve('scripts/lib/setup.mjs'))}
       const child = serve(${JSON.stringify(at)}, { port: 0, host: '127.0.0.1', stdio: 'ignore' }); process.send(child.pid); setInterval(() => {}, 1000)`,
    )
    const parent = fork(script)
    const [pid] = (await once(parent, 'message')) as [number]
    await new Promise(next => setTimeout(next, 1500))
    parent.kill('SIGKILL')
    const gone = await within(15_000, () => !existsSync(`/proc/${pid}`) || / Z /.test(readFileSync(`/proc/${pid}/stat`, 'utf8')))
    check('the server outlives whoever started it', gone)
    if (!gone) process.kill(pid, 'SIGKILL')
    return gone ? 'yes' : 'no'
  } finally {
    rmSync(at, { recursive: true, force: true })
  }
}

async function within(ms: number, holds: () => boolean): Promise<boolean> {
  for (const until = Date.now() + ms; Date.now() < until;) {
    if (holds()) return true
    await new Promise(next => setTimeout(next, 50))
  }
  return holds()
}

const idn = 'Skerrow,Meter,1,1\n'
/** What answers in place of a meter: each to every line it is sent. */
const liars: Record<string, (socket: Socket, line: string) => void> = {
  'says nothing': () => {},
  'says something else': socket => socket.write('HTTP/1.1 400 Bad Request\r\n\r\n'),
  'never ends its line': socket => socket.write('9'.repeat(500)),
  'sends on and on': socket => socket.write(`${'1.0\n'.repeat(2000)}`),
  'hangs up': socket => socket.destroy(),
  'knows who it is, then hangs up': (socket, line) => (line === '*IDN?' ? socket.write(idn) : socket.destroy()),
  'reads words': (socket, line) => socket.write(line === '*IDN?' ? idn : line === 'SYST:ERR?' ? '0,"No error"\n' : line.endsWith('?') ? 'about five\n' : ''),
  'reads what no meter can show': (socket, line) =>
    socket.write(line === '*IDN?' ? idn : line === 'SYST:ERR?' ? '0,"No error"\n' : line === 'READ?' ? '4e30\n' : line.endsWith('?') ? '"VOLT"\n' : ''),
  'is set to something else': (socket, line) =>
    socket.write(
      line === '*IDN?'
        ? idn
        : line === 'SYST:ERR?'
          ? '0,"No error"\n'
          : line === 'READ?'
            ? '5.0\n'
            : line === 'CONF?'
              ? socket.listenerCount('x')
                ? '"TEMP"\n'
                : (socket.on('x', () => {}), '"VOLT"\n')
              : '',
    ),
  'refuses everything': (socket, line) => socket.write(line === '*IDN?' ? idn : line.endsWith('?') ? '-113,"Undefined header"\n' : ''),
  'answers twice': (socket, line) =>
    socket.write(line === '*IDN?' ? idn : line === 'SYST:ERR?' ? '0,"No error"\n' : line === 'READ?' ? '5.0\n7.0\n' : line.endsWith('?') ? '"VOLT"\n' : ''),
}

/** Whatever a meter does, nothing of it becomes a value, and everybody is answered. */
async function meters(app: Application, check: Check, some: Some): Promise<number> {
  const cookie = await app.cookieOf('ilka')
  const post = async (path: string, body: object) => send(app, path, { method: 'POST', body: JSON.stringify(body), cookie })
  for (const [what, answers] of some(Object.entries(liars))) {
    const server = createServer(socket => {
      socket.on('error', () => {})
      socket.on('data', text =>
        String(text)
          .split('\n')
          .filter(Boolean)
          .forEach(line => socket.destroyed || answers(socket, line)),
      )
    })
    server.listen(0, '127.0.0.1')
    await once(server, 'listening')
    const { practice } = JSON.parse((await send(app, '/api/settings', { cookie })).text) as { practice: { version: number } }
    await post('/api/collection/set-meter', { version: practice.version, host: '127.0.0.1', port: (server.address() as { port: number }).port })
    const asked = await Promise.all([
      send(app, '/api/meter', { cookie }),
      post('/api/meter/read', { what: 'dc-volts' }),
      post('/api/meter/read', { what: 'ohms' }),
    ])
    for (const { status, text, ms } of asked) {
      check(`a meter that ${what}: ${status}`, status === 200 || status === 503, text.slice(0, 160))
      check(`a meter that ${what} became a value`, !/"value":-?\d/.test(text), text.slice(0, 160))
      check(`a meter that ${what} kept somebody waiting`, ms < 20_000, `${Math.round(ms)} ms`)
    }
    server.close()
  }
  return Object.keys(liars).length
}

/** A copy that was lost or cut off comes back; an original that is lost is told. */
/** Requests that are announced and never come are not waited for, and give their places up. */
async function slowRequests(app: Application, check: Check): Promise<number> {
  const { port } = new URL(app.address)
  const head = 'POST /api/tools/identify/date-code HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-type: application/json\r\ncontent-length: 5000\r\n\r\n{'
  const silent = Array.from({ length: 8 }, async () => {
    const socket = connect(Number(port), '127.0.0.1', () => socket.write(head))
    let heard = ''
    socket.setEncoding('utf8').on('data', text => (heard += String(text)))
    await Promise.race([once(socket, 'close'), once(socket, 'error')])
    return heard
  })
  const { status, ms } = await send(app, '/api/tools/identify/date-code', { method: 'POST', body: '{"code":"8235"}' })
  check('an instrument beside requests that never come', status === 200, String(status))
  for (const heard of await Promise.all(silent)) check('a request that never comes', heard.startsWith('HTTP/1.1 408'), heard.slice(0, 60))
  return Math.round(ms)
}

async function lostCopies(app: Application, check: Check): Promise<number> {
  const cookie = await app.cookieOf('rua')
  const jpeg = await sharp({ create: { width: 500, height: 300, channels: 3, background: '#a63' } })
    .jpeg()
    .toBuffer()
  const { hash } = JSON.parse((await send(app, '/api/files', { method: 'POST', body: new Uint8Array(jpeg), cookie })).text) as { hash: string }
  const home = join(app.folder, 'files', hash.slice(0, 2), hash)
  const harms = [() => rmSync(join(home, 'thumb.jpg')), () => truncateSync(join(home, 'working.jpg'), 900), () => truncateSync(join(home, 'full.jpg'), 0)]
  for (const harm of harms) harm()
  for (const size of ['thumb', 'working', 'full'])
    check(`a lost copy (${size}) is not made anew`, (await send(app, `/api/files/${hash}/${size}`, { cookie })).status === 200)
  rmSync(home, { recursive: true })
  check('a lost photograph', (await send(app, `/api/files/${hash}/thumb`, { cookie })).status === 404)
  return harms.length + 1
}

/** Asks under another name, as a page does whose owner points that name at this computer. */
const statusAs = (address: string, host: string) =>
  new Promise<number>(done => {
    get(`${address}/api/health`, { headers: { host } }, answer => {
      answer.resume()
      done(answer.statusCode ?? 0)
    })
  })

/** A disk without room: what is sent is refused with that reason, nothing is left half-done, and it goes on once there is room. */
async function fullDisk(check: Check): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-full-'))
  // A small disk in memory; only root may lay one under a folder.
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=40m', 'tmpfs', folder]).status !== 0) {
    rmSync(folder, { recursive: true })
    return 'not tried: no leave to mount a small disk'
  }
  let app: Application | undefined
  try {
    const { JOLLY_DEMO_TEMPLATE: template } = process.env
    if (!template) return 'not tried: no demo at hand'
    cpSync(template, folder, { recursive: true })
    app = await startApplication({ folder, env: { ALLOWED_HOSTS: '127.0.0.1' } })
    check('a name that this bench is not asked by', (await statusAs(app.address, 'elsewhere.example')) === 421)
    const cookie = await app.cookieOf('rua')
    const tag = await app.tagOf('Two-tone')
    const jpeg = await sharp({ create: { width: 1500, height: 1200, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 128, sigma: 60 } } })
      .jpeg({ quality: 95 })
      .toBuffer()
    const upload = () => send(app!, '/api/files', { method: 'POST', body: new Uint8Array(jpeg), cookie })
    const ask = () => send(app!, `/api/machines/${tag}/ask-question`, { method: 'POST', body: JSON.stringify({ question: 'Is there room?' }), cookie })
    const filler = join(folder, 'filler')
    spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=64k'])
    const refused = await upload()
    check('a photograph on a full disk', refused.status === 507, `${refused.status} ${refused.text.slice(0, 120)}`)
    const left = readdirSync(join(folder, 'files')).filter(name => name.startsWith('coming-'))
    check('a photograph on a full disk left something behind', !left.length, left.join())
    // The log of the database has some room of its own left; sooner or later that is full too.
    let asked = await ask()
    for (let n = 0; n < 400 && asked.status === 200; n++) asked = await ask()
    check('a question on a full disk', asked.status === 507, `${asked.status} ${asked.text.slice(0, 120)}`)
    // A connection that was closed under a refused photograph is opened anew, as a browser does.
    await send(app, '/api/health')
    const read = await send(app, `/api/machines/${tag}`, { cookie })
    check('reading on a full disk', read.status === 200, `${read.status} ${read.text.slice(0, 200)}`)
    rmSync(filler)
    check('a photograph once there is room', (await upload()).status === 200)
    check('a question once there is room', (await ask()).status === 200)
    return 'held'
  } finally {
    await app?.stop().catch(() => {})
    spawnSync('umount', ['-l', folder])
    rmSync(folder, { recursive: true, force: true })
  }
}
