import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { type Application } from '../../tests/e2e/support/application'
import { send } from './attack'
import { chunk, pngHead, pngMark } from './pictures'

/** A request that was dear to answer once, or looks as if it could be; many of them at once. */
export interface Dear {
  what: string
  many: number
  path: string
  method?: 'GET' | 'POST'
  body?: string | Uint8Array<ArrayBuffer>
  /** Whoever sends it; nobody where it needs no sign-in. */
  as?: 'ilka' | 'rua'
  setUp?: () => Promise<unknown>
  /** Asked once, it is carried out. */
  fine?: boolean
  /** What leaves so much behind that once is enough. */
  once?: boolean
}

/** A picture of a few kilobytes that says it is enormous. */
function strip(width: number, height: number): Buffer {
  const rows = deflateSync(Buffer.alloc(Math.min((Math.ceil(width / 8) + 1) * height, 20e6)))
  return Buffer.concat([pngMark, pngHead(width, height, 1, 0), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))])
}

const machine = (more: object = {}) => ({ name: 'Petrel 8S', acquired: 'found', ...more })
const text = (random: () => number, letters: number) => Array.from({ length: letters }, () => 'abcdefghij klmnopqrst'[Math.floor(random() * 21)]).join('')

export async function dearRequests(app: Application, random: () => number): Promise<Dear[]> {
  const ilka = await app.cookieOf('ilka')
  const post = (path: string, body: object) => send(app, path, { method: 'POST', body: JSON.stringify(body), cookie: ilka })
  const bookIn = async (more: object) => (JSON.parse((await post('/api/collection/book-in', machine(more))).text) as { result: { tag: string } }).result.tag

  // Two hundred markings of which each can be read in many ways.
  const codes = Array.from({ length: 200 }, (_, i) => ({
    part: `IC${i}`,
    code: Array.from({ length: 11 }, (_, k) => `${70 + ((i + k) % 30)}${10 + (k % 40)}`).join(' '),
  }))
  const marked = await bookIn({ nickname: 'Many markings', dateCodes: codes })
  await post(`/api/machines/${marked}/switch-passport`, { on: true })
  const passport = (JSON.parse((await send(app, `/api/machines/${marked}?show=home`, { cookie: ilka })).text) as { passport: { path: string } }).passport.path

  const lot: object[] = []
  for (let bytes = 0; lot.length < 200;) {
    const one = machine({ dateCodes: codes.map(c => ({ ...c, code: c.code.slice(0, 20) })).slice(0, 10) })
    bytes += JSON.stringify(one).length
    if (bytes > 950_000) break
    lot.push(one)
  }
  const noise = await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 128, sigma: 50 } } })
    .jpeg({ quality: 40 })
    .toBuffer()
  const spots = (n: number) => Array.from({ length: n }, () => [random(), random()])
  const spotted = { image: noise.toString('base64'), corroded: spots(30), sound: spots(30), steel: true }
  const rows = Array.from({ length: 28_000 }, (_, i) => [`N${i % 4000}`, `U${i % 700}`, String(i), (i % 300) * 2.54, Math.floor(i / 300) * 2.54, '', 0])
  const models = (JSON.parse((await send(app, '/api/models', { cookie: ilka })).text) as { models: { id: number }[] }).models
  // Eight lines that do what they like, and eight that do nothing.
  const vcd = ['$timescale 1ns $end', ...Array.from({ length: 16 }, (_, i) => `$var wire 1 ${String.fromCharCode(33 + i)} D${i} $end`), '$enddefinitions $end']
  for (let t = 0, size = 0; size < 600_000; t += 50) {
    const line = `#${t}\n${Array.from({ length: 8 }, (_, i) => `${random() < 0.5 ? 0 : 1}${String.fromCharCode(33 + i)}`).join('\n')}`
    size += line.length
    vcd.push(line)
  }
  const tag = await app.tagOf('Two-tone')
  const faults = async () =>
    (JSON.parse((await send(app, `/api/machines/${tag}?show=faults`, { cookie: ilka })).text) as { faults: { id: number; version: number }[] }).faults
  await post(`/api/machines/${tag}/report-fault`, { symptom: 'Forty parts', stopsMachine: true })
  const fault = (await faults()).at(-1)!
  const parts = Array.from({ length: 40 }, (_, i) => ({ name: `Part ${i}`, kind: 'logic' }))
  await post(`/api/machines/${tag}/set-swap-parts`, { faultId: fault.id, version: fault.version, parts })
  for (let i = 0; i < 30; i++)
    await post(`/api/machines/${tag}/try-on-fault`, {
      faultId: fault.id,
      area: 'memory',
      did: `Swap ${i}`,
      trial: {
        parts: parts
          .filter(() => random() < 0.4)
          .map(p => p.name)
          .concat('Part 0'),
        outcome: i % 4 ? 'fails' : 'works',
      },
    })

  return [
    {
      what: 'a lot of two hundred',
      many: 1,
      path: '/api/collection/book-in-lot',
      method: 'POST',
      body: JSON.stringify({ machines: lot }),
      as: 'rua',
      fine: true,
      once: true,
    },
    { what: 'a search of a hundred words', many: 20, path: `/api/machines?size=100&find=${encodeURIComponent(text(random, 199))}`, as: 'rua' },
    { what: 'a search of all letters', many: 20, path: `/api/machines?size=100&find=${encodeURIComponent('a e i o u s t r n m c d')}`, as: 'rua' },
    { what: 'a sheet with 200 markings', many: 10, path: `/api/machines/${marked}`, as: 'rua' },
    { what: 'its passport', many: 30, path: `/api${passport}` },
    { what: 'its passport as a page', many: 20, path: passport },
    { what: 'a strip of 10 000 000 × 11', many: 8, path: '/api/files', method: 'POST', body: new Uint8Array(strip(10_000_000, 11)), as: 'rua' },
    { what: 'a picture of 29 000 × 4 000', many: 4, path: '/api/files', method: 'POST', body: new Uint8Array(strip(29_000, 4000)), as: 'rua' },
    { what: 'corrosion from sixty spots', many: 8, path: '/api/tools/condition/corrosion-area', method: 'POST', body: JSON.stringify(spotted) },
    {
      what: 'a board of 28 000 pins',
      many: 2,
      path: '/api/collection/add-board',
      method: 'POST',
      body: JSON.stringify({ modelId: models[0]!.id, name: 'Large', rows }),
      as: 'rua',
      fine: true,
    },
    {
      what: 'a capture of 600 kB at a fault',
      many: 3,
      path: `/api/machines/${tag}/keep-judgement`,
      method: 'POST',
      body: JSON.stringify({ faultId: fault.id, tool: 'signals/capture', input: { text: vcd.join('\n') } }),
      as: 'rua',
      fine: true,
    },
    { what: 'a fault with forty parts and thirty swaps', many: 10, path: `/api/machines/${tag}?show=faults`, as: 'rua' },
    { what: 'the store as a table', many: 10, path: '/api/store.csv', as: 'rua' },
    { what: 'who gets what, and what to buy', many: 10, path: '/api/parts/allocation?buys=yes', as: 'rua' },
    { what: 'one order of three lists', many: 10, path: '/api/recap/order?tags=SH-2026-015,SH-2026-016,SH-2026-017&later=yes&spares=2', as: 'rua' },
    { what: 'what must be bought', many: 10, path: '/api/parts/to-buy', as: 'rua' },
    { what: 'what was spent', many: 20, path: '/api/parts/money', as: 'rua' },
    { what: 'the public list as a page', many: 40, path: '/sought' },
    { what: 'a line of the public list that is none', many: 40, path: '/sought/w99999' },
    { what: 'the public list as a feed', many: 20, path: '/api/sought/feed.atom' },
    {
      what: 'the form of the public list, filled with nonsense',
      many: 60,
      path: '/sought/w1',
      method: 'POST',
      body: `kind=have&who=${'x'.repeat(3000)}&reach=&says=${'<b>'.repeat(1500)}`,
    },
    { what: 'the ledger of parts as a table', many: 10, path: '/api/parts/held.csv', as: 'rua' },
    { what: 'every chapter of a sheet', many: 20, path: `/api/machines/${tag}`, as: 'rua' },
    { what: 'tonight', many: 10, path: '/api/evening', as: 'rua' },
    // Whoever signs in from the same address afterwards waits a minute: it comes last.
    {
      what: 'made-up names signing in',
      many: 200,
      path: '/api/session',
      method: 'POST',
      body: JSON.stringify({ signInName: 'nobody', password: 'x'.repeat(200) }),
    },
  ]
}
