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

/** Who runs and who waits, everybody in turn with everybody else. */
class Turns {
  private running = 0
  private waiting = 0
  /** How many run, by whose they are. */
  private readonly active = new Map<string, number>()
  /** Those who wait, by whose they are, in the order in which the askers have their turns. */
  private readonly rows = new Map<string, Waiting[]>()

  constructor(private readonly limits: FewLimits) {}

  mayRun(whose: string): boolean {
    const { running, runningOfOne = running } = this.limits
    return this.running < running && (this.active.get(whose) ?? 0) < runningOfOne
  }
  mayWait(whose: string): boolean {
    const { waiting, waitingOfOne = waiting } = this.limits
    return this.waiting < waiting && (this.rows.get(whose)?.length ?? 0) < waitingOfOne
  }

  begin(whose: string): void {
    this.running++
    this.active.set(whose, (this.active.get(whose) ?? 0) + 1)
  }
  end(whose: string): void {
    this.running--
    const left = this.active.get(whose)! - 1
    if (left) this.active.set(whose, left)
    else this.active.delete(whose)
    this.serve()
  }

  wait(whose: string, one: Waiting): void {
    const row = this.rows.get(whose)
    if (row) row.push(one)
    else this.rows.set(whose, [one])
    this.waiting++
  }
  leave(whose: string, one: Waiting): void {
    const row = this.rows.get(whose)
    const at = row?.indexOf(one) ?? -1
    if (!row || at < 0) return
    row.splice(at, 1)
    this.waiting--
    if (!row.length) this.rows.delete(whose)
  }

  /** Places that are free go to whoever waits longest of the asker whose turn it is. */
  private serve(): void {
    for (const [whose, row] of [...this.rows]) {
      if (!this.mayRun(whose)) continue
      const first = row[0]!
      this.leave(whose, first)
      // Whoever has had a turn goes to the end of the row.
      if (this.rows.delete(whose)) this.rows.set(whose, row)
      this.begin(whose)
      first.go()
    }
  }
}

/** Work of which few run at once and few wait, everybody in turn with everybody else. */
export function fewAtOnce(limits: FewLimits) {
  const { retryAfterSeconds, patienceMs } = limits
  const turns = new Turns(limits)

  /** @throws Busy while nobody else may wait, or this asker has enough there already */
  function expectRoom(whose = ''): void {
    if (!turns.mayRun(whose) && !turns.mayWait(whose)) throw new Busy(retryAfterSeconds)
  }

  /** @returns once it is their turn; they have begun then @throws TookTooLong where they left, Busy where it took too long */
  async function turn(whose: string, gone: AbortSignal | undefined): Promise<void> {
    const ended = new AbortController()
    let timer: ReturnType<typeof setTimeout> | undefined
    try {
      await new Promise<void>((go, fail) => {
        const one = { go }
        turns.wait(whose, one)
        const giveUp = (why: Error) => () => {
          turns.leave(whose, one)
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
    if (turns.mayRun(whose)) turns.begin(whose)
    else await turn(whose, gone)
    try {
      return await work()
    } finally {
      turns.end(whose)
    }
  }
  return Object.assign(few, { expectRoom })
}
