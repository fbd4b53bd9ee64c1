import { Socket } from 'node:net'
import { type MeterAnswer, type MeterFunction, type MeterState, meterFunctions, readAnswer } from '#core/power/scpi'

/** What kept the meter from answering. */
export class MeterTrouble extends Error {
  constructor(
    readonly state: Exclude<MeterState, 'none' | 'ready' | 'connecting'>,
    message: string,
  ) {
    super(message)
    this.name = 'MeterTrouble'
  }
}

const longestAnswerBytes = 2048

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
  tell = (line: string): Promise<void> =>
    this.inTurn(async () => {
      if (this.over) throw this.over
      this.socket.write(`${line}\n`, 'latin1')
      const error = await this.exchange('SYST:ERR?')
      if (!/^[+-]?0\b/.test(error.trim())) {
        const trouble = new MeterTrouble('nonsense', `It does not take ${line}: ${error.slice(0, 60)}`)
        this.end(trouble)
        throw trouble
      }
    })

  /** One reading. The function is set when it differs from the one before. @throws MeterTrouble */
  async measure(what: MeterFunction): Promise<MeterAnswer> {
    if (this.configured !== what) {
      await this.tell(meterFunctions[what].configure)
      this.configured = what
    }
    return readAnswer(await this.ask('READ?'), what)
  }
}
