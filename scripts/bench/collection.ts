import { spawn } from 'node:child_process'
import { mkdtempSync, rmSync, statSync } from 'node:fs'
import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { setTimeout as pause } from 'node:timers/promises'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import autocannon from 'autocannon'
import { quantile } from 'simple-statistics'
import { people } from '../../demo/people'
import { startApplication } from '../../tests/e2e/support/application'
import { fillLarge } from './large-collection'
import { row } from './row'

const machines = 20_000
const entries = 1_000_000
const ms = (value: number) => `${value.toFixed(1)} ms`
const spread = (times: number[]) => [quantile(times, 0.5), quantile(times, 0.95), Math.max(...times)].map(ms)

/** What a collection of twenty thousand machines and a million entries asks of the lists, of one reading, of a lot and of a change of practice. */
export async function benchCollection() {
  console.log(`\nA collection of ${machines} machines and ${entries} entries`)
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-large-'))
  const began = performance.now()
  const { settledMs } = fillLarge(folder, { machines, entries, passwordHash: await new Hash(new Scrypt({})).make(people[0].password) })
  console.log(
    `made in ${Math.round((performance.now() - began) / 1000)} s, of which settling ${Math.round(settledMs / 1000)} s (${(settledMs / machines).toFixed(2)} ms a machine); ${Math.round(statSync(join(folder, 'jolly-bench.sqlite')).size / 2 ** 20)} MB`,
  )
  await verified(folder)
  // What was made here by SQL alone is listened to as a collection of former days is, once: a million entries take their time.
  const application = await startApplication({ folder, seconds: 300 })
  try {
    const cookie = await application.cookieOf('ilka')
    const ask = (path: string, body?: unknown) => application.ask(path, { cookie, ...(body === undefined ? {} : { method: 'POST', body }) })
    const timed = async (path: string, body?: unknown) => {
      const from = performance.now()
      const answer = await ask(path, body)
      const text = await answer.text()
      if (!answer.ok) throw new Error(`${path}: ${answer.status} ${text}`)
      return { ms: performance.now() - from, text }
    }
    row('', 'median', '95 of 100', 'longest')
    for (const [what, path] of [
      ['list, first page of 50', '/api/machines'],
      ['list, page 200', '/api/machines?page=200'],
      ['list by gate', '/api/machines?gate=keep-off'],
      ['list by harm', '/api/machines?sort=harm'],
      ['find a common word', '/api/machines?find=lamp'],
      ['find two words', '/api/machines?find=lamp%20ferry'],
      ['list by place, longest here', '/api/machines?place=Buoy+shed&olderThan=90&sort=oldest'],
      ['list by whoever worked on it', '/api/machines?person=1'],
      ['how many in each group', '/api/lists/counts'],
      ['today', '/api/today'],
      ['the evening', '/api/evening'],
      ['shelf', '/api/machines?bench=on&sort=harm&size=60'],
      ['models', '/api/models'],
      ['parts', '/api/parts'],
      ['sheet, one stage', '/api/machines/M-2026-777?show=power,starts,look'],
      ['history, 50 entries', '/api/machines/M-2026-777/history'],
    ] as const) {
      const times: number[] = []
      for (let i = 0; i < 60; i++) times.push((await timed(path.replace('2026', String(new Date().getUTCFullYear())))).ms)
      row(what, ...spread(times.slice(5)))
    }
    const { text } = await timed('/api/machines')
    await comparedWithBare(application.address, cookie, text)

    const year = new Date().getUTCFullYear()
    const { people } = JSON.parse((await timed('/api/settings')).text) as { people: { id: number }[] }
    await timed('/api/collection/be-here', { personId: people[0]!.id, until: new Date(Date.now() + 3 * 60 * 60 * 1000).toISOString() })
    const deals: number[] = []
    for (let i = 0; i < 20; i++) deals.push((await timed('/api/collection/deal-evening', {})).ms)
    row('an evening dealt out', ...spread(deals))

    const readings: number[] = []
    for (let i = 0; i < 200; i++) {
      const tag = `M-${year}-${String(1 + ((i * 97) % machines)).padStart(3, '0')}`
      const { rails } = JSON.parse((await timed(`/api/machines/${tag}?show=power`)).text) as { rails: { rails: { name: string; nominalV: number }[] } | null }
      const rail = rails?.rails[0]
      if (rail) readings.push((await timed(`/api/machines/${tag}/take-reading`, { rail: rail.name, valueV: rail.nominalV, load: 'loaded' })).ms)
    }
    row('a reading', ...spread(readings))

    const lot = Array.from({ length: 200 }, (_, i) => ({ name: 'Gannet', acquired: 'found', fromWhom: 'the ferry terminal', nickname: `Lot ${i}` }))
    await whileWorking(
      'a lot of 200',
      () => timed('/api/collection/book-in-lot', { machines: lot }),
      async ({ text: answer }) => {
        const { lot: uid } = (JSON.parse(answer) as { result: { lot: string } }).result
        const { done, of } = JSON.parse((await timed(`/api/lots/${uid}`)).text) as { done: number; of: number }
        return done === of
      },
      timed,
    )

    const { practice } = JSON.parse((await timed('/api/settings')).text) as { practice: { version: number; name: string; numbering: string; zone: string } }
    let over = false
    const stream = await ask('/api/live')
    const reader = stream.body!.pipeThrough(new TextDecoderStream()).getReader()
    void (async () => {
      for (let piece = await reader.read(); !piece.done; piece = await reader.read()) {
        for (const [, done, of] of piece.value.matchAll(/"what":"settling","done":(\d+),"of":(\d+)/g)) if (done === of && Number(of) >= machines) over = true
      }
    })().catch(() => {})
    await whileWorking(
      `the practice changed, ${machines} settled`,
      () => timed('/api/collection/set-practice', { ...practice, school: 'baseline-first', batterySchool: 'none' }),
      async () => over,
      timed,
    )
    await reader.cancel()
  } finally {
    await application.stop()
  }
}

/** How long others wait for an answer while something is worked off in slices. */
async function whileWorking<A extends { ms: number }>(
  what: string,
  begin: () => Promise<A>,
  isOver: (answer: A) => Promise<boolean>,
  timed: (path: string) => Promise<{ ms: number }>,
) {
  const others: number[] = []
  let going = true
  const asking = (async () => {
    while (going) {
      others.push((await timed('/api/health')).ms)
      await pause(3)
    }
  })()
  const from = performance.now()
  const answer = await begin()
  while (!(await isOver(answer))) await pause(50)
  const took = performance.now() - from
  going = false
  await asking
  row(`${what}: answered in ${ms(answer.ms)}, done in ${(took / 1000).toFixed(1)} s; others waited`, ...spread(others))
}

/** The same bytes from a handler that does nothing else, under the same load. */
async function comparedWithBare(address: string, cookie: string, text: string) {
  const bare = createServer((_, response) => response.setHeader('content-type', 'application/json').end(text))
  await new Promise<void>(listening => bare.listen(0, '127.0.0.1', listening))
  const under = async (url: string) => {
    const { latency, requests } = await autocannon({ url, connections: 4, duration: 5, headers: { cookie } })
    return [`${requests.average.toFixed(0)} a second`, ms(latency.p50), ms(latency.p97_5), ms(latency.max)]
  }
  row('four at a time, first page', 'requests', 'median', '97.5 of 100', 'longest')
  row('the list', ...(await under(`${address}/api/machines`)))
  row(`a bare handler with the same ${Math.round(text.length / 1000)} kB`, ...(await under(`http://127.0.0.1:${(bare.address() as AddressInfo).port}/`)))
  await new Promise(closed => bare.close(closed))
}

/** Walks the chains in a process of their own, whose memory is measured. */
async function verified(folder: string) {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/bench/walk-chains.ts', join(folder, 'jolly-bench.sqlite')], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let out = ''
  for await (const piece of child.stdout) out += String(piece)
  const { entries, broken, seconds, before, peak } = JSON.parse(out) as { entries: number; broken: unknown; seconds: number; before: number; peak: number }
  console.log(
    `verify: ${entries} entries in ${seconds.toFixed(1)} s, ${broken ? 'BROKEN' : 'whole'}; ${Math.round(peak / 2 ** 20)} MB at most, of which ${Math.round(before / 2 ** 20)} MB before it began`,
  )
  rmSync(join(folder, 'jolly-bench.sqlite-shm'), { force: true })
}
