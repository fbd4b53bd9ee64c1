import Papa from 'papaparse'
import { InputError } from '../kernel/input-error'
import { type Capture, Gathering, type Level, floating, half, high, levelOf, low, unrecorded } from './capture'

const units: Record<string, number> = { s: 1, ms: 1e-3, us: 1e-6, µs: 1e-6, ns: 1e-9, ps: 1e-12, fs: 1e-15 }
const bits: Record<string, Level> = { 0: low, 1: high, x: half, X: half, z: floating, Z: floating }
/** How tables write levels, in small letters. */
const levelWords: Record<string, Level> = {
  ...bits,
  'l': low,
  'h': high,
  'low': low,
  'high': high,
  'false': low,
  'true': high,
  'hi-z': floating,
  'hiz': floating,
  'high-z': floating,
}
const longest = 60_000_000

/**
 * Reads a capture of digital lines: Value Change Dump, or separated values with the time in the first column.
 * @throws InputError for what is neither, or too much
 */
export function readCapture(text: string): Capture {
  if (!text.trim()) throw new InputError('text', '', 'Capture: there is nothing in it.')
  if (text.length > longest) throw new InputError('text', text.length, 'Capture: up to 60 MB, please.')
  return /\$(timescale|var|enddefinitions|date|version|scope)\b/.test(text.slice(0, 20_000)) ? readVcd(text) : readTable(text)
}

/** Value Change Dump, IEEE 1364; vectors become a line for each bit, real values a level by their volts. */
function readVcd(text: string): Capture {
  return new ValueChangeDump(text).read()
}

class ValueChangeDump {
  private readonly gathering = new Gathering()
  private readonly words = /\S+/g
  /** After the last word there is none, for good: a search that ended would begin again. */
  private over = false
  /** Lines of each identifier, the highest bit first. */
  private readonly of = new Map<string, { lines: (number | undefined)[]; real: boolean }>()
  private scaleS: number | undefined
  private time = 0
  private before = -Infinity
  private backwards = false
  private first = Number.NaN
  private last = 0
  private pausedAt: number | undefined

  constructor(private readonly text: string) {}

  read(): Capture {
    const { gathering, of } = this
    for (let m = this.next(); m; m = this.next()) {
      const c = m[0].charCodeAt(0)
      if (c === 35) this.instant(m)
      else if (c === 36) this.section(m)
      else if (c === 98 || c === 66 || c === 114 || c === 82) this.vector(m, c === 114 || c === 82)
      else this.bit(m)
    }
    if (!of.size) throw new InputError('text', '', 'Capture: it declares no line. A Value Change Dump has $var … $end for each.')
    this.resumes()
    if (this.scaleS === undefined) gathering.timeIs = 'steps'
    return gathering.as(Math.max(0, this.last - this.from()) * (this.scaleS ?? 1))
  }

  private next(): RegExpExecArray | null {
    const found = this.over ? null : this.words.exec(this.text)
    this.over = !found
    return found
  }
  private lineAt = (index: number) => () => {
    let n = 1
    for (let i = this.text.indexOf('\n'); i >= 0 && i < index; i = this.text.indexOf('\n', i + 1)) n++
    return n
  }
  private from = () => (Number.isNaN(this.first) ? 0 : this.first)
  private instantS = () => (this.time - this.from()) * (this.scaleS ?? 1)

  /** `#` and an instant. */
  private instant({ 0: word, index }: RegExpExecArray): void {
    this.time = Number(word.slice(1))
    this.backwards = !(Number.isFinite(this.time) && this.time >= this.before)
    if (this.backwards) {
      this.gathering.wrong(this.lineAt(index), `${word.slice(0, 20)}: time runs backwards, or is no number; what follows is left out until it has caught up.`)
      this.time = Math.max(0, this.before)
    }
    this.before = this.time
    if (Number.isNaN(this.first)) this.first = this.time
    this.last = this.time
  }

  /** `$` and a key word, up to its `$end`. */
  private section({ 0: word, index }: RegExpExecArray): void {
    const key = word.slice(1)
    if (key === 'dumpoff' && this.pausedAt === undefined) {
      this.pausedAt = this.instantS()
      for (const { lines } of this.of.values()) for (const line of lines) if (line !== undefined) this.gathering.change(line, this.pausedAt, unrecorded)
    } else if (key === 'dumpon' || key === 'dumpall') this.resumes()
    if (key === 'end' || key.startsWith('dump')) return
    const inside: string[] = []
    for (let m = this.next(); m && m[0] !== '$end'; m = this.next()) if (inside.length < 100) inside.push(m[0])
    if (key === 'timescale') {
      const [, n, unit = ''] = /^(\d+)\s*([a-zµ]+)$/i.exec(inside.join('')) ?? []
      if (Number(n) > 0 && units[unit.toLowerCase()]) this.scaleS = Number(n) * units[unit.toLowerCase()]!
      else this.gathering.note(this.lineAt(index), `The timescale “${inside.join(' ').slice(0, 20)}” is not known: times are counted in steps.`)
    } else if (key === 'var') this.declare(inside, index)
  }

  private declare([kind = '', size = '1', id = '', ...name]: string[], index: number): void {
    if (this.of.has(id)) return
    const width = Math.min(64, Math.max(1, Math.round(Number(size)) || 1))
    const called = name.join(' ').replace(/\s*\[\d+:\d+\]$/, '')
    const real = kind === 'real' || kind === 'realtime'
    const { gathering } = this
    const lines = real || width === 1 ? [gathering.line(called || id)] : Array.from({ length: width }, (_, i) => gathering.line(`${called}[${width - 1 - i}]`))
    if (lines.includes(undefined)) gathering.note(this.lineAt(index), `${called}: more lines than are taken; it is left out.`)
    this.of.set(id, { lines, real })
  }

  /** `b1010 id`, or `r1.25 id`. */
  private vector({ 0: word, index }: RegExpExecArray, real: boolean): void {
    const value = word.slice(1)
    const id = this.next()?.[0] ?? ''
    const known = this.of.get(id)
    if (!known) return this.gathering.wrong(this.lineAt(index), `${id.slice(0, 20)} is no line that was declared.`)
    if (real) return this.change(known.lines[0], Number.isFinite(Number(value)) ? levelOf(Number(value)) : half)
    // Fewer bits than the line has: filled up from the left, as the standard says.
    const fill = /^[xz]/i.test(value) ? value[0]! : '0'
    const padded = value.padStart(known.lines.length, fill).slice(-known.lines.length)
    known.lines.forEach((line, i) => this.change(line, bits[padded[i]!] ?? half))
  }

  private bit({ 0: word, index }: RegExpExecArray): void {
    const level = bits[word[0]!]
    const known = level === undefined ? undefined : this.of.get(word.slice(1))
    if (level === undefined || !known) this.gathering.wrong(this.lineAt(index), `“${word.slice(0, 20)}” is no change of a line that was declared.`)
    else this.change(known.lines[0], level)
  }

  /** While the dump pauses, what it says of a line is that it does not know. */
  private change(line: number | undefined, level: Level): void {
    if (this.backwards) return void this.gathering.unread++
    this.gathering.read++
    if (line !== undefined) this.gathering.change(line, this.instantS(), this.pausedAt === undefined ? level : unrecorded)
  }

  private resumes(): void {
    if (this.pausedAt !== undefined) this.gathering.pauses.push({ fromS: this.pausedAt, toS: this.instantS() })
    this.pausedAt = undefined
  }
}

/** A heading over a column of time, or of what counts samples. */
const timeHeading = /time|zeit|temps|tiempo|^t$|^t\b|\bsec|[([_]\s*[munpµ]?s\s*[)\]]?$|^[munpµ]?s$/i
const countHeading = /^(sample|index|step|nr?|no\.?|#)/i

/** A table with a heading: the time in its first column, then a column for each line, as levels or volts. */
function readTable(text: string): Capture {
  const gathering = new Gathering()
  const rows: string[][] = []
  let between = ','
  Papa.parse<string[]>(text, {
    skipEmptyLines: true,
    step: ({ data, meta }) => {
      between = meta.delimiter
      rows.push(data)
    },
  })
  const [heading = [], ...body] = rows
  const [timeName = '', ...names] = heading.map(cell => cell.trim())
  /** Where commas do not part the columns, one between digits is a decimal comma. */
  const plain = (cell = '') => (between === ',' ? cell.trim() : cell.trim().replace(/^([-+]?\d*),(\d+)/, '$1.$2'))
  if (!names.length || Number.isFinite(Number(plain(timeName) || Number.NaN)))
    throw new InputError('text', timeName, 'Capture: neither a Value Change Dump nor a table with a heading: time, then a name for each line.')
  const some = body.slice(0, 2000)
  if (!countHeading.test(timeName) && !timeHeading.test(timeName) && some.every(row => /^[01]?$/.test(plain(row[0]))))
    throw new InputError(
      'text',
      timeName,
      `Capture: the first column, ${timeName}, holds levels and no time. Export it with a column of time, or of sample numbers, in front.`,
    )
  if (between === ',' && some.filter(row => row.length >= 2 * heading.length - 1).length > some.length / 2)
    throw new InputError(
      'text',
      some[0]!.join(','),
      'Capture: its rows have about twice as many values as its heading has names, as decimal commas between commas do. Export it with points, or with semicolons between the columns.',
    )
  const lines = names.map((name, i) => gathering.line(name || `line ${i + 1}`))
  if (lines.includes(undefined)) gathering.note(1, 'There are more lines than are taken; the last are left out.')
  const [, unit] = /[([]\s*([a-zµ]+)\s*[)\]]/i.exec(timeName) ?? /(?:^|_)([munpµ]?s)$/i.exec(timeName) ?? []
  const known = units[unit?.toLowerCase() ?? '']
  // A heading that says time alone means seconds, unless whole numbers beyond any capture stand below it.
  const counts =
    known === undefined &&
    (countHeading.test(timeName) || (some.length > 2 && some.every(row => /^\d*$/.test(plain(row[0]))) && Number(plain(some.at(-1)![0])) > 600))
  if (counts) {
    gathering.timeIs = 'steps'
    gathering.note(1, `“${timeName}” does not say how long a step is: times are counted in steps.`)
  }
  const scaleS = known ?? 1
  /** Columns in which something other than levels stands are volts. */
  const asVolts = names.map((_, i) => some.some(row => /\d[.,]\d|[2-9]|\d\d/.test(plain(row[i + 1]))))
  let [before, first, last] = [-Infinity, Number.NaN, 0]
  body.forEach((cells, i) => {
    const time = Number(plain(cells[0]) || Number.NaN)
    if (!Number.isFinite(time) || time < before) {
      gathering.wrong(i + 2, `“${(cells[0] ?? '').slice(0, 20)}”: time runs backwards, or is no number.`)
      return
    }
    before = last = time
    if (Number.isNaN(first)) first = time
    gathering.read++
    lines.forEach((line, k) => {
      const cell = plain(cells[k + 1]).toLowerCase()
      if (line === undefined || cell === '') return
      const volts = Number(cell)
      const level = asVolts[k] && Number.isFinite(volts) ? levelOf(volts) : levelWords[cell]
      if (level === undefined) gathering.wrong(i + 2, `“${cell.slice(0, 20)}” is no level.`)
      else gathering.change(line, (time - first) * scaleS, level)
    })
  })
  return gathering.as(Number.isNaN(first) ? 0 : (last - first) * scaleS)
}
