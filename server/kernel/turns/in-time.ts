import { Refusal } from '../refusals'

/** A request came so slowly that it would have held a place for nothing. */
export class TooSlow extends Refusal {
  readonly status = 408
  readonly code = 'too-slow'
  constructor() {
    super('The request came too slowly and was not waited for. Send it again over a better line.')
  }
}

/** As slowly as a phone at the end of a poor line sends, in bytes a second. */
const slowestBytesPerSecond = 250_000

/** How long a request of so many bytes may take to come, in milliseconds: `REQUEST_SECONDS` (10), and a second for each 250 kB. */
export function patienceMs(bytes: number, env: NodeJS.ProcessEnv = process.env): number {
  const said = Number(env.REQUEST_SECONDS)
  const seconds = said > 0 && said <= 300 ? said : 10
  return (seconds + bytes / slowestBytesPerSecond) * 1000
}

/** @param gone whoever sends it has left, and nothing more comes @throws TooSlow when it has not come by then, and whatever `coming` throws */
export async function inTime<T>(coming: Promise<T>, ms: number, gone?: AbortSignal): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const ended = new AbortController()
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new TooSlow()), ms)
    if (gone?.aborted) fail(new TooSlow())
    gone?.addEventListener('abort', () => fail(new TooSlow()), { signal: ended.signal })
  })
  try {
    return await Promise.race([coming, late])
  } finally {
    clearTimeout(timer)
    ended.abort()
  }
}
