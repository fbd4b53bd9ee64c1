import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { bundleWorkers } from '../../scripts/lib/workers.mjs'
import type { InstrumentDone, InstrumentTask } from '../../server/workers/instruments'
import { threadPool } from '../../server/kernel/turns/pool'
import { Busy } from '../../server/kernel/refusals'

let folder: string
beforeAll(async () => {
  // Inside the project, where its packages are found.
  mkdirSync('.cache', { recursive: true })
  folder = resolve(mkdtempSync(join('.cache', 'pool-')))
  await bundleWorkers(folder)
})
afterAll(() => rmSync(folder, { recursive: true }))

const limits = { running: 1, waiting: 1, retryAfterSeconds: 3, longestMs: 5000, memoryMb: 64, advice: 'Give it less.' }
const stays = () => new AbortController().signal
const thread = (body: string, more: Partial<typeof limits> = {}) => {
  const file = join(folder, `${Math.abs([...body].reduce((h, c) => (h * 31 + c.charCodeAt(0)) | 0, 7))}.mjs`)
  writeFileSync(file, `export default async n => { ${body} }`)
  return threadPool<number, number>(file, { ...limits, ...more })
}

it('an instrument runs in a thread, and bad input comes back with its field', async () => {
  const pool = threadPool<InstrumentTask, InstrumentDone>(join(folder, 'instruments.mjs'), limits)
  const run = (body: string) => pool.run({ id: 'identify/date-code', body }, stays())
  expect(await run('{"code":"8235"}')).toMatchObject({ status: 200 })
  const { status, json } = await run('{"code":8235}')
  expect([status, JSON.parse(json)]).toMatchObject([422, { error: { field: 'code' } }])
  expect((await run('{')).json).toContain('not JSON')
  await pool.close()
})

it('what takes too long, or too much memory, is ended; whoever comes next is served', async () => {
  const slow = thread('if (n) for (;;) {} ; return 1', { longestMs: 300 })
  await expect(slow.run(1, stays())).rejects.toThrow('longer than 0.3 s')
  // On a busy machine a thread may not even have begun after 0.3 s; whoever asks again is served.
  expect(await vi.waitFor(() => slow.run(0, stays()), { timeout: 20_000 })).toBe(1)
  await slow.close()
  const hungry = thread('const kept = []; while (n) kept.push(new Array(1e5).fill(Math.random())); return 2')
  await expect(hungry.run(1, stays())).rejects.toThrow('more memory')
  expect(await hungry.run(0, stays())).toBe(2)
  await hungry.close()
})

it('work ends when whoever asked has left, and no more wait than may', async () => {
  const pool = thread('if (n) for (;;) {} ; return 3')
  const leaves = new AbortController()
  const first = pool.run(1, leaves.signal)
  const second = pool.run(0, stays())
  await expect(pool.run(0, stays())).rejects.toBeInstanceOf(Busy)
  setTimeout(() => leaves.abort(), 50)
  await expect(first).rejects.toThrow('has left')
  expect(await second).toBe(3)
  await pool.close()
})
