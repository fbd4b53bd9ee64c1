import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fork } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import sharp from 'sharp'
import { expect, it } from 'vitest'
import { FolderInUse, lockFolder } from '../../db/lock'
import { hands } from '../../files/hands'
import { fewAtOnce } from './few-at-once'
import { inTime, patienceMs } from './in-time'
import { remembered } from '../remembered'
import { Busy } from '../refusals'
import { Turnstile } from './turnstile'

it('few run at once, few wait, whoever comes later is told when to come again, and a failure gives its place up', async () => {
  const few = fewAtOnce({ running: 2, waiting: 1, retryAfterSeconds: 7 })
  let most = 0
  let now = 0
  const ends: (() => void)[] = []
  const work = (fails = false) =>
    few(async () => {
      most = Math.max(most, ++now)
      await new Promise<void>(done => ends.push(done))
      now--
      if (fails) throw new Error('broken')
    })
  const [first, second, third] = [work(true), work(), work()]
  await expect(work()).rejects.toMatchObject({ retryAfterSeconds: 7 } satisfies Partial<Busy>)
  ends.shift()!()
  await expect(first).rejects.toThrow('broken')
  while (ends.length < 2) await Promise.resolve()
  ends.forEach(end => end())
  await Promise.all([second, third])
  expect([most, now]).toEqual([2, 0])
})

it('what comes too slowly is not waited for; larger requests may take longer', async () => {
  await expect(inTime(new Promise(() => {}), 5)).rejects.toMatchObject({ status: 408 })
  expect(await inTime(Promise.resolve('here'), 5)).toBe('here')
  await expect(inTime(Promise.reject(new Error('broken')), 5)).rejects.toThrow('broken')
  expect([patienceMs(0, {}), patienceMs(17_000_000, {}), patienceMs(0, { REQUEST_SECONDS: '1' }), patienceMs(0, { REQUEST_SECONDS: 'long' })]).toEqual([
    10_000, 78_000, 1000, 10_000,
  ])
})

it('everybody has their turn: whoever sends many waits for themselves, and something else is answered in between', async () => {
  const turnstile = new Turnstile()
  const row: string[] = []
  // Which turn of the event loop it is: between two of them whatever has come in is looked at.
  let [loop, going] = [0, true]
  const turn = () => {
    loop++
    if (going) setImmediate(turn)
  }
  setImmediate(turn)
  const loops = new Set<number>()
  const asks = (who: string, n: number) =>
    Array.from({ length: n }, async (_, i) => {
      await turnstile.pass(who, 5)
      row.push(`${who}${i + 1}`)
      loops.add(loop)
    })
  await Promise.all([...asks('a', 3), ...asks('b', 2), ...asks('c', 1)])
  going = false
  expect(row).toEqual(['a1', 'b1', 'c1', 'a2', 'b2', 'a3'])
  expect(loops.size).toBe(6)
  const flood = await Promise.allSettled(asks('d', 7))
  expect(flood.filter(one => one.status === 'rejected' && one.reason instanceof Busy)).toHaveLength(2)
})

it('what was asked for lately is remembered, and what was not goes first', () => {
  let worked = 0
  const square = remembered(
    (n: number) => (worked++, n * n),
    n => String(n),
    2,
  )
  expect([square(2), square(3), square(2), square(4), square(2), square(3)]).toEqual([4, 9, 4, 16, 4, 9])
  expect(worked).toBe(4)
})

it('pictures are refused by their kind and their sides before anything is unpacked', async () => {
  const { pixelsOf } = hands
  const base64 = (bytes: Buffer) => bytes.toString('base64')
  await expect(pixelsOf(base64(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')), 1e6)).rejects.toThrow('no JPEG, PNG or WebP')
  const strip = await sharp({ create: { width: 40_000, height: 2, channels: 3, background: '#fff' } })
    .png()
    .toBuffer()
  await expect(pixelsOf(base64(strip), 1e6)).rejects.toThrow('30,000 a side')
  const whole = await sharp({ create: { width: 8, height: 4, channels: 3, background: '#fff' } })
    .png()
    .toBuffer()
  expect(await pixelsOf(base64(whole), 1e6)).toMatchObject({ width: 8, height: 4 })
})

it('a data folder has one server; a crash lets it go', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-lock-'))
  try {
    const unlock = lockFolder(folder)
    expect(() => lockFolder(folder)).toThrow(FolderInUse)
    unlock()
    // Another process takes it, and is ended without a word.
    const script = join(folder, 'hold.mjs')
    writeFileSync(
      script,
      `import Database from ${JSON.stringify(join(process.cwd(), 'node_modules/better-sqlite3/lib/index.js'))}
       const d = new Database(${JSON.stringify(join(folder, 'in-use.lock'))}); d.exec('BEGIN EXCLUSIVE'); process.send('held'); setInterval(() => {}, 1000)`,
    )
    const holder = fork(script)
    await new Promise(done => holder.once('message', done))
    expect(() => lockFolder(folder)).toThrow('Another Jolly Bench works on')
    holder.kill('SIGKILL')
    await new Promise(done => holder.once('close', done))
    lockFolder(folder)()
  } finally {
    rmSync(folder, { recursive: true })
  }
})
