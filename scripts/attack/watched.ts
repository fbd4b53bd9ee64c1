import { fork } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import type { Application } from '../../tests/e2e/support/application'

export interface Seen {
  health: { asked: number; p50Ms: number; p99Ms: number; mostMs: number }
  sheet: { asked: number; p50Ms: number; mostMs: number }
  mostMemoryMb: number
  lost: string[]
}
/** What a bench owes whoever works at it, whatever anybody else sends. */
export const owed = { healthP99Ms: 100, sheetMs: 500, memoryMb: 1024 }

/** Does something to an application, and sees how it fares meanwhile. @param tag a machine whose sheet is looked at */
export async function watched(app: Application, cookie: string, tag: string, work: () => Promise<void>): Promise<Seen> {
  const probe = fork(fileURLToPath(new URL('probe.mjs', import.meta.url)), [app.address, cookie, tag, String(app.pid())])
  const hears = <T>() => new Promise<T>(done => probe.once('message', told => done(told as T)))
  await hears()
  probe.send('begin')
  const ended = await work().then(
    () => undefined,
    (error: unknown) => ({ error }),
  )
  const seen = hears<Seen>()
  probe.send('enough')
  const told = await seen
  if (ended) throw ended.error
  return told
}

/** What was owed and not kept. */
export function brokenPromises(what: string, { health, sheet, mostMemoryMb, lost }: Seen): string[] {
  return [
    ...(health.p99Ms > owed.healthP99Ms ? [`${what}: health took ${Math.round(health.p99Ms)} ms at p99`] : []),
    ...(sheet.mostMs > owed.sheetMs ? [`${what}: a sheet took ${Math.round(sheet.mostMs)} ms`] : []),
    ...(mostMemoryMb > owed.memoryMb ? [`${what}: ${Math.round(mostMemoryMb)} MB of memory`] : []),
    ...lost.slice(0, 3).map(one => `${what}: ${one}`),
  ]
}
