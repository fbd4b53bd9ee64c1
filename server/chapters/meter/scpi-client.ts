import { Socket } from 'node:net'
import { type MeterAnswer, type MeterFunction, type MeterState, isSetTo, meterFunctions, readAnswer } from '#core/power/scpi'

/** What kept the meter from answering. */
export class MeterTrouble extends Error {
  constructor(
    readonly state: Exclude<MeterState, 'none' | 'ready' | 'connecting' | 'busy'>,
    message: string,
  ) {
    super(message)
    this.name = 'MeterTrouble'
  }
}

const longestAnswerBytes = 2048
/** So often is it set anew where something else sets it too. */
const mostSettings = 2

/**
 * One connection to an instrument that speaks SCPI over a TCP socket, one question at a time.
 * Whatever goes wrong ends the connection: an answer that comes late must never be taken for that of the next question.
 */
export class ScpiClient {
  private readonly socket = new Socket()
  private received = ''
  private waiting: { resolve: (line: string) => void; reject: (trouble: MeterTrouble) => void } | undefined
  private turn: Promise<unknown> = Promise.resolve()
  private configured: MeterFunction | undefined
  /** Whether it says which function it is set to; not every meter does. */
  saysFunction = false
  private over: MeterTrouble | undefined

  private constructor(private readonly patienceMs: number) {
    this.socket.setNoDelay(true).setEncoding('latin1')
    this.socket.on('data', chunk => this.take(String(chunk)))
    this.socket.on('error', error => this.end(new MeterTrouble('lost', error.message)))
    this.socket.on('close', () => this.end(new MeterTrouble('lost', 'The connection was closed.')))
  }

  /** @throws MeterTrouble `unreachable` */
  static connect(host: string, port: number, patienceMs = 1500): Promise<ScpiClient> {
    const client = new ScpiClient(patienceMs)
    return new Promise((resolve, reject) => {
      const give = (why: string) => {
        client.end(new MeterTrouble('unreachable', why))
        reject(new MeterTrouble('unreachable', why))
      }
      const late = setTimeout(() => give('Nobody answered in time.'), patienceMs)
      client.socket.once('error', error => (clearTimeout(late), give(error.message)))
      client.socket.connect(port, host, () => (clearTimeout(late), resolve(client)))
    })
  }

  get closed() {
    return this.over !== undefined
  }
  close() {
    this.end(new MeterTrouble('lost', 'The connection was closed.'))
  }

  private end(trouble: MeterTrouble) {
    if (this.over) return
    this.over = trouble
    this.waiting?.reject(trouble)
    this.waiting = undefined
    this.socket.destroy()
  }

  private take(chunk: string) {
    this.received += chunk
    if (this.received.length > longestAnswerBytes) return this.end(new MeterTrouble('nonsense', 'It sends on without an end of line.'))
    const end = this.received.indexOf('\n')
    if (end < 0) return
    const line = this.received.slice(0, end).replace(/\r$/, '')
    this.received = this.received.slice(end + 1)
    const { waiting } = this
    if (!waiting || this.received) return this.end(new MeterTrouble('nonsense', 'It says more than it was asked.'))
    this.waiting = undefined
    waiting.resolve(line)
  }

  /** One after the other, however many ask at once. */
  private inTurn<R>(work: () => Promise<R>): Promise<R> {
    const next = this.turn.then(work, work)
    this.turn = next.catch(() => {})
    return next
  }

  private exchange(line: string): Promise<string> {
    if (this.over) return Promise.reject(this.over)
    return new Promise((resolve, reject) => {
      const late = setTimeout(() => this.end(new MeterTrouble('silent', `No answer to ${line}.`)), this.patienceMs)
      const settle =
        <A>(then: (a: A) => void) =>
        (a: A) => (clearTimeout(late), then(a))
      this.waiting = { resolve: settle(resolve), reject: settle(reject) }
      this.socket.write(`${line}\n`, 'latin1')
    })
  }

  /** @throws MeterTrouble */
  ask = (line: string): Promise<string> => this.inTurn(() => this.exchange(line))

  /** Sends what is not answered, and asks whether it was understood. @throws MeterTrouble `nonsense` where the instrument reports an error */
  tell = (line: string): Promise<void> => this.inTurn(() => this.order(line))

  private async order(line: string): Promise<void> {
    if (this.over) throw this.over
    this.socket.write(`${line}\n`, 'latin1')
    const error = await this.exchange('SYST:ERR?')
    if (!/^[+-]?0\b/.test(error.trim())) throw this.giveUp(`It does not take ${line}: ${error.slice(0, 60)}`)
  }

  private giveUp(why: string): MeterTrouble {
    const trouble = new MeterTrouble('nonsense', why)
    this.end(trouble)
    return trouble
  }

  /** Finds out whether it says which function it is set to. One that does not know the question ends the connection. @throws MeterTrouble */
  learnFunctions = (): Promise<void> =>
    this.inTurn(async () => {
      await this.order(meterFunctions['dc-volts'].configure)
      this.configured = 'dc-volts'
      this.saysFunction = isSetTo(await this.exchange('CONF?'), 'dc-volts')
    })

  /**
   * One reading. Setting the function, reading, and asking which function that was are one exchange that nothing comes between: somebody else's
   * program, or a hand at the knob, may have set it to another. @throws MeterTrouble
   */
  measure = (what: MeterFunction): Promise<MeterAnswer> =>
    this.inTurn(async () => {
      for (let tries = 0; tries < mostSettings; tries++) {
        if (this.configured !== what) await this.order(meterFunctions[what].configure)
        this.configured = what
        const line = await this.exchange('READ?')
        if (!this.saysFunction || isSetTo(await this.exchange('CONF?'), what)) return readAnswer(line, what)
        this.configured = undefined
      }
      throw this.giveUp('Somebody else sets it to another function.')
    })
}
