import { tools } from '#shared/tools/index'
import { describeTool } from '#shared/tools/tool'
import type { Outcome, Run } from './attack'
import { send } from './attack'
import { dearRequests } from './dear'
import { enlarged } from './larger'
import { brokenPromises, watched } from './watched'

/** Nothing takes longer than this, be it that it is ended and says so. */
const longestMs = 25_000
/** So long each dear request is sent again and again, in a run of so many seconds. */
const waveMs = (seconds: number) => Math.min(2000, seconds * 50)

/** Sends the largest and dearest that each request may be, and sees how the bench fares for everybody else meanwhile. */
export const bounds: Run = async ({ app, random, seconds }) => {
  const cookie = await app.cookieOf('ilka')
  const tag = await app.tagOf('Two-tone')
  const failures: string[] = []
  const late: string[] = []
  const figures: Outcome['figures'] = {}
  let [sent, slowestMs, slowest] = [0, 0, '']
  const until = Date.now() + seconds * 1000
  async function ask(what: string, path: string, options: Parameters<typeof send>[2]) {
    const { status, text, ms } = await send(app, path, options)
    sent++
    if (ms > slowestMs) [slowestMs, slowest] = [ms, what]
    if (status === 0 || status === 500) failures.push(`${what}: ${status} ${text.slice(0, 120)}`)
    if (ms > longestMs) late.push(`${what}: took ${Math.round(ms)} ms`)
    return { status, ms }
  }
  const note = (what: string, seen: Awaited<ReturnType<typeof watched>>) => {
    late.push(...brokenPromises(what, seen))
    figures[`${what}: health p99, ms`] = Math.round(seen.health.p99Ms)
    figures[`${what}: sheet at most, ms`] = Math.round(seen.sheet.mostMs)
    figures[`${what}: memory, MB`] = Math.round(seen.mostMemoryMb)
  }

  note('nothing', await watched(app, cookie, tag, () => new Promise(rested => setTimeout(rested, 1500))))
  note(
    'instruments',
    await watched(app, cookie, tag, async () => {
      const described = tools.map(describeTool)
      const variants = described.flatMap(tool =>
        [...enlarged(tool.example, tool.input as never, { bytes: 900_000, random })].map(variant => ({ ...variant, id: tool.id })),
      )
      // In an order by chance, so that a short run is a sample of the whole.
      for (const { id, path, input } of variants
        .map(v => ({ v, order: random() }))
        .sort((a, b) => a.order - b.order)
        .map(({ v }) => v)) {
        if (Date.now() > until) break
        await ask(`${id} ${path}`, `/api/tools/${id}`, { method: 'POST', body: JSON.stringify(input) })
      }
    }),
  )
  const dear = await dearRequests(app, random)
  // A short run tries some of them.
  const chosen =
    seconds >= 10
      ? dear
      : dear
          .map(one => ({ one, by: random() }))
          .sort((a, b) => a.by - b.by)
          .slice(0, 2)
          .map(({ one }) => one)
  for (const { what, many, path, method, body, as, setUp, once, fine } of chosen) {
    const statuses = new Set<number>()
    await setUp?.()
    const options = { method, body, cookie: as && (await app.cookieOf(as)) }
    note(
      what,
      await watched(app, cookie, tag, async () => {
        // Wave after wave, so that a share of one in a hundred is one of many.
        for (const enough = Date.now() + waveMs(seconds); ;) {
          await Promise.all(Array.from({ length: many }, async () => statuses.add((await ask(what, path, options)).status)))
          if (once || Date.now() > enough) break
        }
      }),
    )
    if (fine && !statuses.has(200)) failures.push(`${what}: answered with ${[...statuses].join()}`)
  }
  return { figures: { 'requests': sent, 'slowest, ms': Math.round(slowestMs), 'slowest request': slowest, ...figures }, failures, late }
}
