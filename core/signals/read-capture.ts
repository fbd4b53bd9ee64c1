import Papa from 'papaparse'
import { InputError } from '../kernel/input-error'
import { type Capture, Gathering, type Level, floating, half, high, levelOf, low } from './capture'

const units: Record<string, number> = { s: 1, ms: 1e-3, us: 1e-6, µs: 1e-6, ns: 1e-9, ps: 1e-12, fs: 1e-15 }
const bits: Record<string, Level> = { 0: low, 1: high, x: half, X: half, z: floating, Z: floating }
const longest = 60_000_000

/**
 * Reads a capture of digital lines: Value Change Dump, or separated values with the time in the first column.
 * @throws InputError for what is neither, or too much
 */
export function readCapture(text: string): Capture {
  if (!text.trim()) throw new InputError('text', '', 'Capture: there is nothing in it.')
  if (text.length > longest) throw new InputError('text', text.length, 'Capture: up to 60 MB, please.')
  return /\$(timescale|var|enddefinitions|date|version|scope)\b/.test(text.slice(0, 20_000)) ? readVcd(text) : readCsv(text)
}

/** Value Change Dump, IEEE 1364; vectors become a line for each bit, real values a level by their volts. */
function readVcd(text: string): Capture {
  const gathering = new Gathering()
  const words = /\S+/g
  /** The next word; after the last there is none, for good: a search that ended would begin again. */
  let over = false
  const next = () => {
    const found = over ? null : words.exec(text)
    over = !found
    return found
  }
  /** Lines of each identifier, the highest bit first. */
  const of = new Map<string, { lines: (number | undefined)[]; real: boolean }>()
  const lineAt = (index: number) => () => {
    let n = 1
    for (let i = text.indexOf('\n'); i >= 0 && i < index; i = text.indexOf('\n', i + 1)) n++
    return n
  }
  let scaleS = 1e-9
  let time = 0
  let before = -Infinity
  let [first, last] = [Number.NaN, 0]
  const section = () => {
    const inside: string[] = []
    for (let m = next(); m && m[0] !== '$end'; m = next()) if (inside.length < 100) inside.push(m[0])
    return inside
  }
  for (let m = next(); m; m = next()) {
    const [word] = m
    const c = word.charCodeAt(0)
    if (c === 35) {
      // # and an instant.
      time = Number(word.slice(1))
      if (!Number.isFinite(time) || time < before) {
        gathering.wrong(lineAt(m.index), `${word.slice(0, 20)}: time runs backwards, or is no number.`)
        time = Math.max(0, before)
      }
      before = time
      if (Number.isNaN(first)) first = time
      last = time
    } else if (c === 36) {
      const key = word.slice(1)
      if (key === 'end' || key.startsWith('dump')) continue
      const inside = section()
      if (key === 'timescale') {
        const [, n, unit = ''] = /^(\d+)\s*([a-zµ]+)$/i.exec(inside.join('')) ?? []
        if (n && units[unit.toLowerCase()]) scaleS = Number(n) * units[unit.toLowerCase()]!
        else gathering.wrong(lineAt(m.index), `The timescale “${inside.join(' ').slice(0, 20)}” is not known; nanoseconds are taken.`)
      } else if (key === 'var') {
        const [kind = '', size = '1', id = '', ...name] = inside
        const width = Math.min(64, Math.max(1, Math.round(Number(size)) || 1))
        const called = name.join(' ').replace(/\s*\[\d+:\d+\]$/, '')
        const real = kind === 'real' || kind === 'realtime'
        if (of.has(id)) continue
        const lines =
          real || width === 1 ? [gathering.line(called || id)] : Array.from({ length: width }, (_, i) => gathering.line(`${called}[${width - 1 - i}]`))
        if (lines.includes(undefined)) gathering.wrong(lineAt(m.index), `${called}: more lines than are taken; it is left out.`)
        of.set(id, { lines, real })
      }
    } else if (c === 98 || c === 66 || c === 114 || c === 82) {
      // b1010 id, or r1.25 id.
      const value = word.slice(1)
      const at = m.index
      const id = next()?.[0] ?? ''
      const known = of.get(id)
      if (!known) {
        gathering.wrong(lineAt(at), `${id.slice(0, 20)} is no line that was declared.`)
        continue
      }
      const atS = (time - (Number.isNaN(first) ? 0 : first)) * scaleS
      if (c === 114 || c === 82) {
        if (known.lines[0] !== undefined) gathering.change(known.lines[0], atS, Number.isFinite(Number(value)) ? levelOf(Number(value)) : half)
        continue
      }
      // Fewer bits than the line has: filled up from the left, as the standard says.
      const fill = /^[xz]/i.test(value) ? value[0]! : '0'
      const padded = value.padStart(known.lines.length, fill).slice(-known.lines.length)
      known.lines.forEach((line, i) => line !== undefined && gathering.change(line, atS, bits[padded[i]!] ?? half))
    } else {
      const level = bits[word[0]!]
      const known = level === undefined ? undefined : of.get(word.slice(1))
      if (level === undefined || !known) gathering.wrong(lineAt(m.index), `“${word.slice(0, 20)}” is no change of a line that was declared.`)
      else if (known.lines[0] !== undefined) gathering.change(known.lines[0], (time - (Number.isNaN(first) ? 0 : first)) * scaleS, level)
    }
  }
  if (!of.size) throw new InputError('text', '', 'Capture: it declares no line. A Value Change Dump has $var … $end for each.')
  return gathering.as(Math.max(0, last - (Number.isNaN(first) ? 0 : first)) * scaleS)
}

/** Separated values: a heading, the time in its first column, then a column for each line, as levels or volts. */
function readCsv(text: string): Capture {
  const gathering = new Gathering()
  let lines: (number | undefined)[] | undefined
  let scaleS = 1
  let [row, before, first, last] = [0, -Infinity, Number.NaN, 0]
  /** Columns in which something other than 0 and 1 stands are volts. */
  const asVolts: boolean[] = []
  const rows: string[][] = []
  Papa.parse<string[]>(text, { skipEmptyLines: true, step: ({ data }) => void rows.push(data) })
  for (const data of rows.slice(1, 2000)) data.forEach((cell, i) => i && !/^\s*[01]?\s*$/.test(cell) && (asVolts[i] = true))
  for (const cells of rows) {
    row++
    if (!lines) {
      const [time = '', ...names] = cells
      if (!names.length || Number.isFinite(Number(time.trim() || Number.NaN)))
        throw new InputError('text', time, 'Capture: neither a Value Change Dump nor a table with a heading: time, then a name for each line.')
      const [, unit] = /[([]\s*([a-zµ]+)\s*[)\]]/i.exec(time) ?? /_([munp]?s)$/i.exec(time) ?? []
      scaleS = units[unit?.toLowerCase() ?? 's'] ?? 1
      lines = names.map((name, i) => gathering.line(name.trim() || `line ${i + 1}`))
      if (lines.includes(undefined)) gathering.wrong(row, 'There are more lines than are taken; the last are left out.')
      continue
    }
    const time = Number(cells[0]?.trim() || Number.NaN)
    if (!Number.isFinite(time) || time < before) {
      gathering.wrong(row, `“${(cells[0] ?? '').slice(0, 20)}”: time runs backwards, or is no number.`)
      continue
    }
    before = last = time
    if (Number.isNaN(first)) first = time
    lines.forEach((line, i) => {
      const cell = cells[i + 1]?.trim() ?? ''
      if (line === undefined || cell === '') return
      const value = Number(cell)
      const level = asVolts[i + 1] ? (Number.isFinite(value) ? levelOf(value) : (bits[cell] ?? undefined)) : bits[cell]
      if (level === undefined) gathering.wrong(row, `“${cell.slice(0, 20)}” is no level.`)
      else gathering.change(line, (time - first) * scaleS, level)
    })
  }
  return gathering.as(Number.isNaN(first) ? 0 : (last - first) * scaleS)
}
