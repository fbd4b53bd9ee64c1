import { UTCDate } from '@date-fns/utc'
import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import type { WarmSample } from './temperature'

export interface LogRead {
  header: string[]
  /** Columns that hold numbers in every row that could be read, beside the one with the time. */
  columns: { index: number; title: string; samples: WarmSample[] }[]
  decimal: ',' | '.'
  manner: Manner
  /** The first time as it is written. */
  firstTime: string
  /** Whether its times can be read in another way as well. */
  doubtful: boolean
  rows: number
  leftOut: { row: number; why: string }[]
  findings: Finding[]
}

const numberOf = (cell: string, decimal: ',' | '.'): number | null => {
  const typed = cell
    .trim()
    .replace(/\s*°?\s*C$/, '')
    .replace(/^−/, '-')
  const pattern = decimal === ',' ? /^[+-]?\d+(,\d+)?$/ : /^[+-]?\d+(\.\d+)?$/
  return pattern.test(typed) ? Number(typed.replace(',', '.')) : null
}

/** How the times of a log are meant, where that is not in each of them: two figures may be hours and minutes, a day may come before its month. */
interface Manner {
  pair: 'mm:ss' | 'hh:mm'
  day: 'day first' | 'month first'
}
const manners: readonly Manner[] = [
  { pair: 'mm:ss', day: 'day first' },
  { pair: 'hh:mm', day: 'day first' },
  { pair: 'mm:ss', day: 'month first' },
  { pair: 'hh:mm', day: 'month first' },
]

const seconds = (typed: string | undefined) => Number((typed ?? '0').replace(',', '.'))
/** Midnight of a day that there is, in seconds; without a year, of one that stands for it. */
function dayOf(year: number, month: number, date: number): number | null {
  const at = new UTCDate(year, month - 1, date)
  return at.getUTCMonth() === month - 1 && at.getUTCDate() === date ? at.getTime() / 1000 : null
}
/** A leap year, so that every day is in it. */
const anyYear = 2000

interface Time {
  seconds: number
  /** After so long it begins anew: a clock without a day, a day without a year. */
  turns: number | null
}

/** A time as loggers write it: plain seconds, mm:ss or hh:mm, hh:mm:ss, or a day and a time, with its year or without. */
function timeOf(cell: string, decimal: ',' | '.', { pair, day: order }: Manner): Time | null {
  const typed = cell.trim()
  const three = /^(\d{1,3}):(\d{2}):(\d{2}(?:[.,]\d+)?)$/.exec(typed)
  if (three) return { seconds: Number(three[1]) * 3600 + Number(three[2]) * 60 + seconds(three[3]), turns: Number(three[1]) < 24 ? daySeconds : null }
  const two = /^(\d{1,3}):(\d{2}(?:[.,]\d+)?)$/.exec(typed)
  if (two && pair === 'hh:mm')
    return Number(two[1]) < 24 && /^\d{2}$/.test(two[2]!) ? { seconds: Number(two[1]) * 3600 + Number(two[2]) * 60, turns: daySeconds } : null
  if (two) return { seconds: Number(two[1]) * 60 + seconds(two[2]), turns: null }
  const iso = /^(\d{4})-(\d{2})-(\d{2})[T ](\d{2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?/.exec(typed)
  const turned = /^(\d{1,2})[./](\d{1,2})[./]?(\d{4})?[ T,]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?$/.exec(typed)
  const found = iso ?? turned
  if (found) {
    const [year, month, date] = iso
      ? [iso[1], iso[2], iso[3]]
      : order === 'day first'
        ? [turned![3], turned![2], turned![1]]
        : [turned![3], turned![1], turned![2]]
    const midnight = dayOf(Number(year ?? anyYear), Number(month), Number(date))
    if (midnight === null) return null
    return { seconds: midnight + Number(found[4]) * 3600 + Number(found[5]) * 60 + seconds(found[6]), turns: year ? null : 366 * daySeconds }
  }
  const plain = numberOf(typed, decimal)
  return plain === null ? null : { seconds: plain, turns: null }
}
const daySeconds = 24 * 3600

function read(table: readonly (readonly string[])[], decimal: ',' | '.', manner: Manner): LogRead {
  const width = Math.max(...table.map(row => row.length))
  const filled = table.filter(row => row.some(cell => cell.trim()))
  const isData = (row: readonly string[]) => timeOf(row[0] ?? '', decimal, manner) !== null && row.slice(1).some(cell => numberOf(cell, decimal) !== null)
  const firstData = filled.findIndex(isData)
  const header = firstData > 0 ? [...filled[firstData - 1]!] : []
  const data = firstData < 0 ? [] : filled.slice(firstData)
  const leftOut: LogRead['leftOut'] = []
  const kept: { at: number; row: readonly string[] }[] = []
  let turned = 0
  data.forEach((row, i) => {
    const time = timeOf(row[0] ?? '', decimal, manner)
    const number = firstData + i + 1
    if (time === null) {
      leftOut.push({ row: number, why: `“${row[0] ?? ''}” is no time.` })
      return
    }
    // Past midnight, or past new year: by more than half a turn backwards it is the next one.
    if (kept.length && time.turns && kept.at(-1)!.at - (time.seconds + turned) > time.turns / 2) turned += time.turns
    const at = time.seconds + turned
    if (kept.length && at < kept.at(-1)!.at) leftOut.push({ row: number, why: 'Its time is before the row above.' })
    else kept.push({ at, row })
  })
  const zero = kept[0]?.at ?? 0
  const columns = Array.from({ length: Math.max(0, width - 1) }, (_, c) => c + 1).flatMap(index => {
    const samples = kept.flatMap(({ at, row }) => {
      const celsius = numberOf(row[index] ?? '', decimal)
      return celsius === null ? [] : [{ atSeconds: at - zero, celsius }]
    })
    return samples.length >= Math.max(1, kept.length * 0.5) ? [{ index, title: header[index]?.trim() || `Column ${index + 1}`, samples }] : []
  })
  return { header, columns, decimal, manner, firstTime: data[0]?.[0]?.trim() ?? '', doubtful: false, rows: kept.length, leftOut, findings: [] }
}

const goodness = (log: LogRead) => log.columns.reduce((sum, c) => sum + c.samples.length, 0) - log.leftOut.length
const lasts = (log: LogRead) => log.columns[0]?.samples.at(-1)?.atSeconds ?? 0

/** The manner that fits best; of several that fit as well, the one that its header names, else the plain one, and that is said. */
function chosen(readings: readonly LogRead[]): LogRead | null {
  const most = Math.max(...readings.filter(log => log.columns.length).map(goodness))
  const fitting = readings.filter(log => log.columns.length && goodness(log) === most)
  const [first] = fitting
  if (!first) return null
  const header = first.header.join(' ').toLowerCase()
  const named =
    fitting.find(log => header.includes(log.manner.pair)) ??
    (/uhr|clock|time of day/.test(header) ? fitting.find(log => log.manner.pair === 'hh:mm') : undefined)
  // Minutes and seconds of a log begin at nothing; a clock seldom does.
  const clock = /^[1-9]/.test(firstTime(first)) ? fitting.find(log => log.manner.pair === 'hh:mm') : undefined
  const best = named ?? clock ?? first
  return { ...best, doubtful: !named && fitting.some(log => Math.abs(lasts(log) - lasts(best)) > 1) }
}
const firstTime = (log: LogRead) => log.firstTime

/**
 * Reads a log of temperatures: the first column a time, the others numbers, with any delimiter and either decimal sign.
 * @param tables the same text split by each delimiter that may be meant
 * @returns the reading that makes most sense: its columns with their samples, seconds counted from the first row, and rows left out with why
 * @throws InputError where none of them holds a time and a number
 */
export function readTemperatureLog(tables: readonly (readonly (readonly string[])[])[]): LogRead {
  const best = chosen(tables.filter(table => table.length).flatMap(table => manners.flatMap(manner => [read(table, '.', manner), read(table, ',', manner)])))
  if (!best)
    throw new InputError(
      'file',
      '',
      'No temperatures were found. The first column has to be a time (seconds, mm:ss, hh:mm, hh:mm:ss, or a day and a time), another one numbers.',
    )
  return {
    ...best,
    findings: [
      finding(
        'note',
        'log.read',
        `${best.rows} rows, ${best.columns.length === 1 ? 'one column' : `${best.columns.length} columns`} of numbers, decimal ${best.decimal === ',' ? 'comma' : 'point'}.`,
        best.columns.map(c => c.title),
      ),
      ...(best.doubtful
        ? [
            finding(
              'care',
              'log.times',
              `Its times can be read in two ways; they were taken as ${/:/.test(best.firstTime) && !/[-/.]/.test(best.firstTime) ? (best.manner.pair === 'hh:mm' ? 'hours and minutes' : 'minutes and seconds') : best.manner.day}.`,
              `The first is “${best.firstTime}”, the whole lasts ${Math.round(lasts(best) / 60)} minutes. If that is wrong, write hh:mm or mm:ss into the header, or the year first.`,
            ),
          ]
        : []),
      ...(best.leftOut.length
        ? [
            finding(
              'care',
              'log.left-out',
              `${best.leftOut.length} ${best.leftOut.length === 1 ? 'row was' : 'rows were'} left out.`,
              best.leftOut.slice(0, 5).map(l => `Row ${l.row}: ${l.why}`),
            ),
          ]
        : []),
    ],
  }
}
