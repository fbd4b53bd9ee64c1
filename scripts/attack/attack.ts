import { setPriority } from 'node:os'
import { seeded } from '#core/kernel/random'
import { type Application, startApplication } from '../../tests/e2e/support/application'

/** What one run of the attack is given: an application of its own on a folder and a port of its own, and how long it may take. */
export interface Attacked {
  app: Application
  /** From 0 up to 1, the same row for the same seed. */
  random: () => number
  seconds: number
}
/** What came of it: figures to be compared with others, and what should not have happened. */
export interface Outcome {
  figures: Record<string, number | string>
  failures: string[]
  /** What took longer, or more memory, than is owed: it depends on the computer as well. */
  late?: string[]
}
export type Run = (on: Attacked) => Promise<Outcome>

export const pick = <T>(random: () => number, from: readonly T[]): T => from[Math.floor(random() * from.length)]!

/** Whoever attacks sits at another computer; here they only get what is left of this one. */
export function stepBack(): void {
  try {
    setPriority(10)
  } catch {
    /* as it is, then */
  }
}

/** Runs one attack on an application that is started for it and removed after it. */
export async function attack(run: Run, { seed, seconds, env = {} }: { seed: number; seconds: number; env?: Record<string, string> }): Promise<Outcome> {
  const app = await startApplication({ env })
  stepBack()
  try {
    return await run({ app, random: seeded(seed), seconds })
  } finally {
    await app.stop()
  }
}

/** What a request came to: its status, what it said, and how long it took. A request that got no answer has the status 0. */
export interface Answered {
  status: number
  text: string
  headers: Headers
  ms: number
}
export async function send(
  app: Application,
  path: string,
  {
    method = 'GET',
    body,
    cookie,
    headers = {},
  }: { method?: string; body?: string | Uint8Array<ArrayBuffer>; cookie?: string; headers?: Record<string, string> } = {},
): Promise<Answered> {
  const began = performance.now()
  const json: Record<string, string> = typeof body === 'string' ? { 'content-type': 'application/json' } : {}
  const asked: RequestInit = {
    method,
    headers: { ...json, ...(cookie ? { cookie } : {}), ...headers },
    redirect: 'manual',
    signal: AbortSignal.timeout(60_000),
  }
  if (body !== undefined) asked.body = body
  // A line that lay idle may be closed just as it is used again, before anything was heard on it: then it is asked once more, on another.
  const idleLine = (error: unknown) => ['EPIPE', 'UND_ERR_SOCKET'].includes(String(((error as Error).cause as { code?: string } | undefined)?.code))
  try {
    const answer = await fetch(app.address + path, asked).catch(error => {
      if (!idleLine(error)) throw error
      return fetch(app.address + path, asked)
    })
    return { status: answer.status, text: await answer.text(), headers: answer.headers, ms: performance.now() - began }
  } catch (error) {
    return { status: 0, text: `${String(error)} ${String((error as Error).cause ?? '')}`, headers: new Headers(), ms: performance.now() - began }
  }
}
