import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import type { WarmSample } from './temperature'

export interface LogRead {
  header: string[]
  /** Columns that hold numbers in every row that could be read, beside the one with the time. */
  columns: { index: number; title: string; samples: WarmSample[] }[]
  decimal: ',' | '.'
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

/** Seconds of a time as loggers write it: plain seconds, mm:ss, hh:mm:ss, or a day and a time. */
function secondsOf(cell: string, decimal: ',' | '.'): number | null {
  const typed = cell.trim()
  const clock = /^(?:(\d+):)?(\d{1,2}):(\d{2}(?:[.,]\d+)?)$/.exec(typed)
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3]!.replace(',', '.'))
  const day = /^(\d{4})-(\d{2})-(\d{2})[T ](\d{2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?/.exec(typed) ?? undefined
  if (day)
    return Date.UTC(Number(day[1]), Number(day[2]) - 1, Number(day[3]), Number(day[4]), Number(day[5])) / 1000 + Number((day[6] ?? '0').replace(',', '.'))
  const turned = /^(\d{1,2})[./](\d{1,2})[./](\d{4})[ T](\d{2}):(\d{2})(?::(\d{2}))?$/.exec(typed)
  if (turned) return Date.UTC(Number(turned[3]), Number(turned[2]) - 1, Number(turned[1]), Number(turned[4]), Number(turned[5])) / 1000 + Number(turned[6] ?? 0)
  return numberOf(typed, decimal)
}

function read(table: readonly (readonly string[])[], decimal: ',' | '.'): LogRead {
  const width = Math.max(...table.map(row => row.length))
  const filled = table.filter(row => row.some(cell => cell.trim()))
  const isData = (row: readonly string[]) => secondsOf(row[0] ?? '', decimal) !== null && row.slice(1).some(cell => numberOf(cell, decimal) !== null)
  const firstData = filled.findIndex(isData)
  const header = firstData > 0 ? [...filled[firstData - 1]!] : []
  const data = firstData < 0 ? [] : filled.slice(firstData)
  const leftOut: LogRead['leftOut'] = []
  const kept: { at: number; row: readonly string[] }[] = []
  data.forEach((row, i) => {
    const at = secondsOf(row[0] ?? '', decimal)
    const number = firstData + i + 1
    if (at === null) leftOut.push({ row: number, why: `“${row[0] ?? ''}” is no time.` })
    else if (kept.length && at < kept.at(-1)!.at) leftOut.push({ row: number, why: 'Its time lies before the row above.' })
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
  return { header, columns, decimal, rows: kept.length, leftOut, findings: [] }
}

const goodness = (log: LogRead) => log.columns.reduce((sum, c) => sum + c.samples.length, 0) - log.leftOut.length

/**
 * Reads a log of temperatures: the first column a time, the others numbers, with any delimiter and either decimal sign.
 * @param tables the same text split by each delimiter that may be meant
 * @returns the reading that makes most sense: its columns with their samples, seconds counted from the first row, and rows left out with why
 * @throws InputError where none of them holds a time and a number
 */
export function readTemperatureLog(tables: readonly (readonly (readonly string[])[])[]): LogRead {
  const readings = tables.filter(table => table.length).flatMap(table => [read(table, '.'), read(table, ',')])
  const best = readings
    .filter(log => log.columns.length)
    .reduce<LogRead | null>((found, log) => (!found || goodness(log) > goodness(found) ? log : found), null)
  if (!best)
    throw new InputError(
      'file',
      '',
      'No temperatures were found. The first column has to be a time (seconds, mm:ss, hh:mm:ss, or a day and a time), another one numbers.',
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
