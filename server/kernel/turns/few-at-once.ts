import { Busy, TookTooLong } from '../refusals'

export interface FewLimits {
  /** How many run at once. */
  running: number
  /** How many of those may be one asker's. */
  runningOfOne?: number
  /** How many wait at most; whoever comes later is told to come again. */
  waiting: number
  /** How many of those who wait may be one asker's. */
  waitingOfOne?: number
  retryAfterSeconds: number
  /** So long anybody waits for their turn at most, in milliseconds. */
  patienceMs?: number
}
export interface Asker {
  /** Whoever asks: an address, a person. Askers take turns, however much one of them asks for. */
  whose?: string
  /** Whoever asked has left: they wait no longer, and their place is free. */
  gone?: AbortSignal
}

const hasLeft = 'Whoever asked has left.'

interface Waiting {
  go: () => void
}

/** Work of which few run at once and few wait, everybody in turn with everybody else. */
export function fewAtOnce(limits: FewLimits) {
  const { running: most, runningOfOne = most, waiting: mostWaiting, waitingOfOne = mostWaiting, retryAfterSeconds, patienceMs } = limits
  let running = 0
  let waiting = 0
  /** How many run, by whose they are. */
  const active = new Map<string, number>()
  /** Those who wait, by whose they are, in the order in which the askers have their turns. */
  const rows = new Map<string, Waiting[]>()
  const mayRun = (whose: string) => running < most && (active.get(whose) ?? 0) < runningOfOne

  /** @throws Busy while nobody else may wait, or this asker has enough there already */
  function expectRoom(whose = ''): void {
    if (!mayRun(whose) && (waiting >= mostWaiting || (rows.get(whose)?.length ?? 0) >= waitingOfOne)) throw new Busy(retryAfterSeconds)
  }

  function begin(whose: string): void {
    running++
    active.set(whose, (active.get(whose) ?? 0) + 1)
  }
  function end(whose: string): void {
    running--
    const left = active.get(whose)! - 1
    if (left) active.set(whose, left)
    else active.delete(whose)
    serve()
  }

  function leave(whose: string, one: Waiting): void {
    const row = rows.get(whose)
    const at = row?.indexOf(one) ?? -1
    if (!row || at < 0) return
    row.splice(at, 1)
    waiting--
    if (!row.length) rows.delete(whose)
  }

  /** Places that are free go to whoever waits longest of the asker whose turn it is. */
  function serve(): void {
    for (const [whose, row] of [...rows]) {
      if (!mayRun(whose)) continue
      const first = row[0]!
      leave(whose, first)
      // Whoever has had a turn goes to the end of the row.
      if (rows.delete(whose)) rows.set(whose, row)
      begin(whose)
      first.go()
    }
  }

  /** @returns once it is their turn; they have begun then @throws TookTooLong where they left, Busy where it took too long */
  async function turn(whose: string, gone: AbortSignal | undefined): Promise<void> {
    const ended = new AbortController()
    let timer: ReturnType<typeof setTimeout> | undefined
    try {
      await new Promise<void>((go, fail) => {
        const one = { go }
        const row = rows.get(whose)
        if (row) row.push(one)
        else rows.set(whose, [one])
        waiting++
        const giveUp = (why: Error) => () => {
          leave(whose, one)
          fail(why)
        }
        gone?.addEventListener('abort', giveUp(new TookTooLong(hasLeft)), { once: true, signal: ended.signal })
        if (patienceMs !== undefined) timer = setTimeout(giveUp(new Busy(retryAfterSeconds)), patienceMs)
      })
    } finally {
      clearTimeout(timer)
      ended.abort()
    }
  }

  async function few<T>(work: () => Promise<T>, { whose = '', gone }: Asker = {}): Promise<T> {
    expectRoom(whose)
    if (gone?.aborted) throw new TookTooLong(hasLeft)
    if (mayRun(whose)) begin(whose)
    else await turn(whose, gone)
    try {
      return await work()
    } finally {
      end(whose)
    }
  }
  return Object.assign(few, { expectRoom })
}
