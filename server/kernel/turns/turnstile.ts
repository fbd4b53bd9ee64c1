import { Busy } from '../refusals'

/**
 * Lets requests work one after the other, each in a turn of the event loop of its own, and whoever asks in turn with the others: somebody who
 * sends many at once waits for themselves, and between two of them everything else is answered.
 */
export class Turnstile {
  private readonly waiting = new Map<string, (() => void)[]>()
  private turning = false

  /**
   * @param whose whoever asks; their requests wait for each other
   * @param mostWaiting so many of theirs wait at most
   * @returns when it is their turn @throws Busy
   */
  async pass(whose: string, mostWaiting = Infinity): Promise<void> {
    const mine = this.waiting.get(whose)
    if ((mine?.length ?? 0) >= mostWaiting) throw new Busy(2)
    return new Promise(go => {
      if (mine) mine.push(go)
      else this.waiting.set(whose, [go])
      if (this.turning) return
      this.turning = true
      setImmediate(() => this.next())
    })
  }

  private next(): void {
    const first = this.waiting.entries().next().value
    if (!first) return void (this.turning = false)
    const [whose, [go, ...later]] = first
    // Whoever has had a turn goes to the end of the row.
    this.waiting.delete(whose)
    if (later.length) this.waiting.set(whose, later)
    go!()
    setImmediate(() => this.next())
  }
}
