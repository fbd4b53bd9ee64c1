import { InputError } from '../kernel/input-error'

/** A level of a line: low, high, neither (half height, or in doubt), nobody drives it, or nothing was recorded. */
export const low = 0
export const high = 1
export const half = 2
export const floating = 3
export const unrecorded = 4
export type Level = 0 | 1 | 2 | 3 | 4

/** One line of a capture: at each instant it takes a level, and keeps it until the next. */
export interface SignalLine {
  name: string
  /** In seconds from the start, rising. */
  atS: Float64Array
  levels: Uint8Array
}
export interface Capture {
  lines: SignalLine[]
  durationS: number
  /** Where it does not say how long a step is, times are counted in steps of a second, and no rate is true. */
  timeIs: 'known' | 'steps'
  /** Spans in which nothing was recorded, in seconds; lines stand at `unrecorded` in them. */
  pauses: { fromS: number; toS: number }[]
  /** How many changes, or rows of a table, were read, and how many could not be. */
  read: number
  unread: number
  /** What could not be read, with its line from 1; the rest is not lost by it. */
  problems: { line: number; message: string }[]
}

export const mostLines = 128
const mostChanges = 5_000_000
const mostProblems = 50

/** Grows as a capture is read; what does not change is not kept twice. */
class Growing {
  private at = new Float64Array(1024)
  private level = new Uint8Array(1024)
  private n = 0

  push(atS: number, level: Level): boolean {
    if (this.n && this.level[this.n - 1] === level) return false
    // Two changes at one instant: the last counts.
    if (this.n && this.at[this.n - 1] === atS) {
      this.level[this.n - 1] = level
      return false
    }
    if (this.n === this.at.length) {
      const [at, levels] = [new Float64Array(this.n * 2), new Uint8Array(this.n * 2)]
      at.set(this.at)
      levels.set(this.level)
      ;[this.at, this.level] = [at, levels]
    }
    this.at[this.n] = atS
    this.level[this.n++] = level
    return true
  }
  done = (name: string): SignalLine => ({ name, atS: this.at.slice(0, this.n), levels: this.level.slice(0, this.n) })
}

/** Gathers lines and their changes while a file is read. */
export class Gathering {
  private readonly lines: { name: string; growing: Growing }[] = []
  private readonly problems: Capture['problems'] = []
  private changes = 0
  readonly pauses: Capture['pauses'] = []
  timeIs: Capture['timeIs'] = 'known'
  /** Changes or rows that were read, whether or not something changed by them. */
  read = 0
  unread = 0

  /** @returns the place of the line; nothing where there are too many */
  line(name: string): number | undefined {
    if (this.lines.length >= mostLines) return undefined
    return this.lines.push({ name, growing: new Growing() }) - 1
  }
  /** @throws InputError for more changes than are taken */
  change(line: number, atS: number, level: Level): void {
    if (this.lines[line]!.growing.push(atS, level) && ++this.changes > mostChanges)
      throw new InputError('text', '', `Capture: up to ${mostChanges.toLocaleString('en-GB')} changes, please. Capture for a shorter time.`)
  }
  /** @param line its number, or how it is counted; nobody counts lines for what is not told any more */
  wrong(line: number | (() => number), message: string): void {
    this.unread++
    this.note(line, message)
  }
  /** Something to be told that cost nothing of what was recorded. */
  note(line: number | (() => number), message: string): void {
    if (this.problems.length < mostProblems) this.problems.push({ line: typeof line === 'number' ? line : line(), message })
  }
  as(durationS: number): Capture {
    const { timeIs, pauses, read, unread, problems } = this
    return { lines: this.lines.map(l => l.growing.done(l.name)), durationS, timeIs, pauses, read, unread, problems }
  }
}

/** What a voltage is for 74-series logic: low up to 0.8 V, high from 2.0 V, and neither between. Source: data books, from memory. */
export const levelOf = (volts: number): Level => (volts <= 0.8 ? low : volts >= 2 ? high : half)
