import { once } from 'node:events'
import { request } from 'node:http'
import { type Socket, connect, createServer } from 'node:net'
import { deflateSync } from 'node:zlib'
import ipp from 'ipp'
import sharp from 'sharp'
import type { Application } from '../../tests/e2e/support/application'
import { type Answered, type Run, send } from './attack'
import { pngOf, textChunk } from './pictures'

type Check = (what: string, holds: boolean, told?: string) => void
/** What has to hold; and what is owed in time and memory, which hangs on the computer as well. */
type Checks = Check & { owed: Check }

/** Somebody who works is answered within this, whatever goes on at the door. */
const workMs = 3000

/** What is sent to, and comes back from, the things around the bench: the door, the printer, pages that are opened and dropped, dear requests. */
export const door: Run = async ({ app, random, seconds }) => {
  const failures: string[] = []
  const late: string[] = []
  const noting =
    (into: string[]): Check =>
    (what, holds, told = '') => {
      if (!holds) into.push(told ? `${what}: ${told}` : what)
    }
  const check: Checks = Object.assign(noting(failures), { owed: noting(late) })
  const long = seconds >= 10
  const cookie = await app.cookieOf('ilka')
  const figures: Record<string, number | string> = {}
  figures['printers that misbehave'] = await printers(app, cookie, random, long ? 60 : 14, check)
  figures['streams opened and dropped'] = await droppedStreams(app, cookie, long ? 400 : 60, check)
  figures['a crowd at the first door: signing in, ms'] = await crowdAtFirstStart(app, check)
  figures['a command id with other words'] = await otherWords(app, cookie, check)
  figures['dear requests of one address: another waited, ms'] = await dearFromOneAddress(app, check)
  figures['the list of instruments, 200 times, ms'] = Math.round(await instrumentsListed(app, check))
  figures['a picture whose texts unfold: memory, MB'] = await unfolding(app, check)
  if (long) figures['three pictures of 120 Mpx: a small one took, ms'] = await largePictures(app, check)
  figures['sessions ended by the other door'] = await otherDoor(app, check)
  return { figures, failures, late }
}

const printerSays = (attributes: object, statusCode = 'successful-ok'): Buffer =>
  ipp.serialize({
    'version': '2.0',
    statusCode,
    'id': 1,
    'operation-attributes-tag': { 'attributes-charset': 'utf-8', 'attributes-natural-language': 'en' },
    'printer-attributes-tag': {
      'printer-state': 'idle',
      'printer-is-accepting-jobs': true,
      'document-format-supported': ['image/png'],
      'media-ready': ['iso_a6_105x148mm'],
      ...attributes,
    },
  })
const head = [2, 0, 0, 0, 0, 0, 0, 1]

/** Answers that no printer should give. The page is told in words, nothing is looped over, and nobody waits. */
async function printers(app: Application, cookie: string, random: () => number, many: number, check: Checks): Promise<number> {
  const good = printerSays({})
  const noise = () => {
    const bytes = Buffer.from(good)
    for (let k = 0; k < 1 + random() * 5; k++) bytes[8 + Math.floor(random() * (bytes.length - 8))] = Math.floor(random() * 256)
    return bytes
  }
  const answers: [string, Buffer][] = [
    ['a name of length −5', Buffer.from([...head, 4, 0x44, 0xff, 0xfb])],
    ['a value of length −1', Buffer.from([...head, 4, 0x44, 0, 1, 0x61, 0xff, 0xff])],
    ['no status that is known', Buffer.from([2, 0, 0x7f, 0xff, 0, 0, 0, 1, 3])],
    ['nothing', Buffer.alloc(0)],
    ['a page', Buffer.from('<html>It works</html>')],
    ['values of kinds that nobody knows', Buffer.concat([Buffer.from([...head, 4]), ...Array<Buffer>(4000).fill(Buffer.from([0x3f, 0, 1, 0x61, 0, 1, 0x62]))])],
    ['more than an answer can be', Buffer.concat([good, Buffer.alloc(400_000, 0x44)])],
    ['a medium of ten metres', printerSays({ 'media-ready': ['custom_huge_10000x10000mm'] })],
    ['a medium of a kilometre, in words', printerSays({ 'media-ready': [`custom_${'x'.repeat(900)}_1e6x1e6mm`] })],
    ['collections without an end', Buffer.concat([Buffer.from([...head, 4]), ...Array<Buffer>(3000).fill(Buffer.from([0x34, 0, 1, 0x61, 0, 0]))])],
    ...Array.from({ length: many }, (): [string, Buffer] => ['noise', noise()]),
  ]
  let answer = good
  const server = createServer(socket => {
    socket.on('error', () => {})
    let heard = Buffer.alloc(0)
    socket.on('data', piece => {
      heard = Buffer.concat([heard, piece])
      const length = Number(/content-length: (\d+)/i.exec(heard.toString('latin1'))?.[1] ?? 0)
      const body = heard.indexOf('\r\n\r\n')
      if (body < 0 || heard.length < body + 4 + length) return
      socket.end(Buffer.concat([Buffer.from(`HTTP/1.1 200 OK\r\ncontent-type: application/ipp\r\ncontent-length: ${answer.length}\r\n\r\n`), answer]))
    })
  })
  server.listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as { port: number }
  const post = (path: string, body: object) => send(app, path, { method: 'POST', body: JSON.stringify(body), cookie })
  const queued = JSON.parse((await send(app, '/api/printer', { cookie })).text) as { version: number }
  let { version } = queued
  for (const [n, [what, bytes]] of answers.entries()) {
    answer = bytes
    // Another address each time, so that it is asked anew.
    const set = await post('/api/collection/set-printer', { version, uri: `ipp://127.0.0.1:${port}/ipp/${n}` })
    if (set.status === 200) version++
    const { status, text, ms } = await send(app, '/api/printer', { cookie })
    check(`a printer that answers with ${what}: ${status}`, status === 200, text.slice(0, 160))
    check.owed(`a printer that answers with ${what} kept somebody waiting`, ms < workMs, `${Math.round(ms)} ms`)
  }
  await post('/api/collection/set-printer', { version, uri: '' })
  server.close()
  return answers.length
}

/** A page that is opened and dropped at once leaves nobody listening for it. */
async function droppedStreams(app: Application, cookie: string, many: number, check: Checks): Promise<number> {
  const { port } = new URL(app.address)
  for (let n = 0; n < many; n += 20)
    await Promise.all(
      Array.from({ length: Math.min(20, many - n) }, async () => {
        const socket = connect(Number(port), '127.0.0.1')
        await once(socket, 'connect')
        socket.write(`GET /api/live HTTP/1.1\r\nhost: 127.0.0.1\r\ncookie: ${cookie}\r\n\r\n`, () => socket.destroy())
        await once(socket, 'close')
      }),
    )
  const open = async () => (JSON.parse((await send(app, '/api/sessions', { cookie })).text) as { openPages: number }).openPages
  let left = await open()
  for (const until = Date.now() + 20_000; left > 0 && Date.now() < until;) {
    await new Promise(next => setTimeout(next, 50))
    left = await open()
  }
  check('streams that were dropped before they were answered', left === 0, `${left} of ${many} are still listened for`)
  return many
}

/** Fifty people who set up a collection that has been set up keep nobody from signing in. */
async function crowdAtFirstStart(app: Application, check: Checks): Promise<number> {
  const body = JSON.stringify({ collection: 'x', name: 'x', signInName: 'x', password: 'slack-water-99' })
  let going = true
  const statuses = new Set<number>()
  const crowd = Array.from({ length: 50 }, async () => {
    while (going) statuses.add((await send(app, '/api/first-start', { method: 'POST', body })).status)
  })
  const began = performance.now()
  const signedIn = await send(app, '/api/session', { method: 'POST', body: JSON.stringify({ signInName: 'petra', password: 'chart-table-16' }) })
  const ms = Math.round(performance.now() - began)
  going = false
  await Promise.all(crowd)
  check('signing in beside a crowd at the first door', signedIn.status === 200, `${signedIn.status} ${signedIn.text.slice(0, 100)}`)
  check.owed('signing in beside a crowd at the first door takes too long', ms < workMs, `${ms} ms`)
  check(
    'the first door of a collection that is set up',
    [...statuses].every(s => s === 409 || s === 503),
    [...statuses].join(),
  )
  return ms
}

/** The id of a command that was carried out, with other words, is no repetition. */
async function otherWords(app: Application, cookie: string, check: Checks): Promise<number> {
  const tag = await app.tagOf('Two-tone')
  const ask = (question: string) =>
    send(app, `/api/machines/${tag}/ask-question`, {
      method: 'POST',
      body: JSON.stringify({ question }),
      cookie,
      headers: { 'command-id': '0190d3a5-7f00-7c11-8a00-00000000d00e' },
    })
  const statuses = [(await ask('Is this the one?')).status, (await ask('Is this the one?')).status, (await ask('Or is it this?')).status]
  check('a command id with other words', statuses.join() === '200,200,409', statuses.join())
  return statuses.length
}

/** As `send`, from another address of this computer. */
function sendFrom(localAddress: string, address: string, path: string, body: string): Promise<Pick<Answered, 'status' | 'ms'>> {
  const began = performance.now()
  return new Promise(done => {
    const asked = request(
      address + path,
      { method: 'POST', localAddress, headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) } },
      answer => {
        answer.resume()
        answer.once('end', () => done({ status: answer.statusCode ?? 0, ms: performance.now() - began }))
      },
    )
    asked.once('error', () => done({ status: 0, ms: performance.now() - began }))
    asked.end(body)
  })
}

/** One address sends dear requests, and drops half of them; another asks for a date code and for a capture, and is answered. */
async function dearFromOneAddress(app: Application, check: Checks): Promise<number> {
  const text = `time,D0,D1\n${Array.from({ length: 30_000 }, (_, i) => `${i}e-6,${i & 1},${(i >> 1) & 1}`).join('\n')}`
  const dear = JSON.stringify({ text })
  const small = JSON.stringify({ text: 'time,D0\n0,0\n1e-6,1\n2e-6,0\n' })
  const { port } = new URL(app.address)
  const sockets: Socket[] = []
  for (let n = 0; n < 40; n++) {
    const socket = connect({ port: Number(port), host: '127.0.0.1', localAddress: '127.0.0.2' })
    socket.on('error', () => {})
    sockets.push(socket)
    socket.write(
      `POST /api/tools/signals/capture HTTP/1.1\r\nhost: 127.0.0.1\r\ncontent-type: application/json\r\ncontent-length: ${Buffer.byteLength(dear)}\r\n\r\n${dear}`,
    )
    // Every second one leaves before it is answered.
    if (n % 2) setTimeout(() => socket.destroy(), 150)
  }
  await new Promise(next => setTimeout(next, 300))
  const answered = await Promise.all([
    sendFrom('127.0.0.3', app.address, '/api/tools/identify/date-code', JSON.stringify({ code: '8235' })),
    sendFrom('127.0.0.3', app.address, '/api/tools/signals/capture', small),
  ])
  sockets.forEach(socket => socket.destroy())
  const most = Math.round(Math.max(...answered.map(a => a.ms)))
  for (const { status } of answered) check('an instrument beside dear requests of another address', status === 200, String(status))
  check.owed('an instrument beside dear requests of another address took too long', most < 2 * workMs, `${most} ms`)
  return most
}

async function instrumentsListed(app: Application, check: Checks): Promise<number> {
  const cold = performance.now()
  await send(app, '/api/tools')
  const began = performance.now()
  const answers = await Promise.all(Array.from({ length: 200 }, () => send(app, '/api/tools')))
  const ms = performance.now() - began
  check(
    'the list of instruments',
    answers.every(a => a.status === 200 && a.text === answers[0]!.text),
  )
  // Described once for each, it would take as often as long as the first time, however slow the machine is.
  check.owed('the list of instruments is described anew for everybody', ms < Math.max(workMs, 50 * (began - cold)), `${Math.round(ms)} ms`)
  return ms
}

/** Whoever sends a phone's picture does not wait for three that fill a wall. */
async function largePictures(app: Application, check: Checks): Promise<number> {
  const [ilka, rua] = await Promise.all([app.cookieOf('ilka'), app.cookieOf('rua')])
  const huge = await sharp({ create: { width: 10_900, height: 10_900, channels: 3, background: '#386' } })
    .png({ compressionLevel: 1 })
    .toBuffer()
  const phone = await sharp({ create: { width: 4000, height: 3000, channels: 3, background: '#a63' } })
    .jpeg()
    .toBuffer()
  const upload = (bytes: Buffer, cookie: string) => send(app, '/api/files', { method: 'POST', body: new Uint8Array(bytes), cookie })
  const others = [0, 1, 2].map(n => upload(Buffer.concat([huge.subarray(0, -12), textChunk('Comment', `copy ${n}`), huge.subarray(-12)]), ilka))
  await new Promise(next => setTimeout(next, 200))
  const { status, ms } = await upload(phone, rua)
  check('a picture of a phone beside three of 120 Mpx', status === 200, String(status))
  check.owed('a picture of a phone beside three of 120 Mpx took too long', ms < 10_000, `${Math.round(ms)} ms`)
  for (const { status } of await Promise.all(others)) check('a picture of 120 Mpx', status === 200 || status === 503, String(status))
  return Math.round(ms)
}

const memoryMb = async (app: Application) => {
  const { readFileSync } = await import('node:fs')
  return Math.round(Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${app.pid()}/status`, 'utf8'))?.[1] ?? 0) / 1024)
}

/** A picture of a few pixels whose texts and colour profile say that they unfold to a gigabyte. */
async function unfolding(app: Application, check: Checks): Promise<number> {
  const before = await memoryMb(app)
  const cookie = await app.cookieOf('ilka')
  const bomb = deflateSync(Buffer.alloc(200e6), { level: 9 })
  const zTXt = Buffer.concat([Buffer.from('Comment\0\0', 'latin1'), bomb])
  const iCCP = Buffer.concat([Buffer.from('profile\0\0', 'latin1'), bomb])
  const image = async (bytes: Buffer) => send(app, '/api/files', { method: 'POST', body: new Uint8Array(bytes), cookie })
  for (const [what, bytes] of [
    ['texts', pngOf(40, 30, ...Array<[string, Buffer]>(8).fill(['zTXt', zTXt]))],
    ['a profile', pngOf(40, 30, ['iCCP', iCCP])],
  ] as const) {
    const { status, text } = await image(bytes)
    check(`a picture whose ${what} unfold: ${status}`, status === 200 || status === 422, text.slice(0, 120))
  }
  const grown = (await memoryMb(app)) - before
  check.owed('a picture whose texts unfold takes memory', grown < 500, `${grown} MB`)
  return grown
}

/** The door that a package brings along ends a session as ours does. */
async function otherDoor(app: Application, check: Checks): Promise<number> {
  const cookie = await app.cookieOf('petra')
  const stands = async () => (await send(app, '/api/today', { cookie })).status
  check('a session stands', (await stands()) === 200)
  await send(app, '/api/_auth/session', { method: 'DELETE', cookie })
  check('a session that was ended by the other door', (await stands()) === 401)
  return 1
}
