import { Busy } from './refusals'

/** Work of which few run at once and few wait; whoever comes later is told to come again. */
export function fewAtOnce({ running: most, waiting: mostWaiting, retryAfterSeconds }: { running: number; waiting: number; retryAfterSeconds: number }) {
  let running = 0
  const queue: (() => void)[] = []
  /** @throws Busy while nobody else may wait */
  function expectRoom(): void {
    if (running >= most && queue.length >= mostWaiting) throw new Busy(retryAfterSeconds)
  }
  async function few<T>(work: () => Promise<T>): Promise<T> {
    expectRoom()
    if (running >= most) {
      await new Promise<void>(turn => queue.push(turn))
    } else running++
    try {
      return await work()
    } finally {
      // The place goes to whoever waits longest.
      const next = queue.shift()
      if (next) next()
      else running--
    }
  }
  return Object.assign(few, { expectRoom })
}
