import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { letterMonths, letterYearCycle, letterYearStart, letterYears } from './letter-codes'
import { isTypeNumber } from './type-numbers'
import { type DaySpan, monthSpan, weekSpan, weeksInYear } from './week-date'

export type DateCodeFormat = 'year-week' | 'week-year' | 'short-year-week' | 'year-month' | 'month-year' | 'year' | 'letter-code'

export interface DateCodeReading extends DaySpan {
  format: DateCodeFormat
  /** The characters of the marking that were read. */
  read: string
  says: string
  isoWeek?: string
  isoMonth?: string
  because: string[]
  /** Whether what was read is the type number of a generic part as well. */
  typeNumber?: boolean
}

export interface DateCodeRefusal {
  format: DateCodeFormat
  read: string
  says: string
}

export interface DateCodeResult {
  code: string
  readings: DateCodeReading[]
  refused: DateCodeRefusal[]
  findings: Finding[]
}

export interface DateCodeInput {
  code: string
  earliestYear?: number
  latestYear?: number
}

/** Integrated circuits with date codes are hardly older; parts of a later service are hardly younger. */
export const defaultEarliestYear = 1965
export const defaultLatestYear = 2009

/** Best first: most makers stamp year and week; the others are read only when that does not fit or as alternatives. */
const order: DateCodeFormat[] = ['year-week', 'year', 'month-year', 'short-year-week', 'letter-code', 'week-year', 'year-month']

const formatName: Record<DateCodeFormat, string> = {
  'year-week': 'year and week',
  'week-year': 'week and year',
  'short-year-week': 'last digit of the year, then week',
  'year-month': 'year and month',
  'month-year': 'month and year',
  'year': 'year',
  'letter-code': 'year letter and month',
}

const formatReason: Record<DateCodeFormat, string> = {
  'year-week': 'Four digits are mostly year and week; common practice, no source.',
  'week-year': 'A few makers put the week first; common practice, no source.',
  'short-year-week': 'Three digits are mostly the last digit of the year and the week; common practice, no source.',
  'year-month': 'Four digits may be year and month; common practice, no source.',
  'month-year': 'Two figures with a stroke between them may be month and year; common practice, no source.',
  'year': 'Four digits that are a year of the time: stamped on boards and membranes; common practice, no source.',
  'letter-code': 'Resistors and capacitors carry a year letter and a month character: IEC 60062, from memory; the letters return every 20 years.',
}

const monthNames = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December']

type Outcome = { reading: DateCodeReading } | { refusal: DateCodeRefusal }

/**
 * Reads a date marking as found on a chip, capacitor or board: all plausible readings, best first, and what was refused.
 *
 * @param input `code` the marking, with whatever stands around it; `earliestYear` and `latestYear` bound the year (1965 and 2009 when left out)
 * @returns readings with ISO week or month, first and last day, and why; refusals with the reason; findings
 * @throws InputError for an empty marking, one longer than 60 characters, or bounds that are no years or the wrong way round
 * Source: weeks by ISO 8601, letter codes by IEC 60062 (from memory), which format comes first is common practice.
 */
export function readDateCode(input: DateCodeInput): DateCodeResult {
  const { earliestYear = defaultEarliestYear, latestYear = defaultLatestYear } = input
  const code = input.code.trim()
  check(code, earliestYear, latestYear)

  const bounds = { earliestYear, latestYear }
  const outcomes = tokensOf(code).flatMap(token => readToken(token, bounds))
  const readings = outcomes.flatMap(o => ('reading' in o ? [o.reading] : [])).sort((a, b) => order.indexOf(a.format) - order.indexOf(b.format))
  const refused = outcomes.flatMap(o => ('refusal' in o ? [o.refusal] : [])).sort((a, b) => order.indexOf(a.format) - order.indexOf(b.format))
  return { code, readings, refused, findings: judge(code, readings, refused) }
}

function check(code: string, earliestYear: number, latestYear: number) {
  if (!code) throw new InputError('code', code, 'Nothing to read. Type the marking exactly as on the part, such as 8235.')
  if (code.length > 60) throw new InputError('code', code, 'Longer than 60 characters. Type one marking at a time.')
  for (const [field, year] of Object.entries({ earliestYear, latestYear })) {
    if (!Number.isInteger(year) || year < 1900 || year > 2100) throw new InputError(field, year, `${year} is not a year between 1900 and 2100.`)
  }
  if (earliestYear > latestYear) throw new InputError('earliestYear', earliestYear, `The earliest year, ${earliestYear}, is after the latest, ${latestYear}.`)
}

/** A piece of a marking that could be a date. */
interface Token {
  digits: string
  /** Whether its two halves were written apart: `35/82`, `12/85`. */
  apart?: boolean
  typeNumber?: boolean
}

/**
 * The pieces of a marking that could be a date: three or four digits alone, in brackets, before a lot number or beside plant letters, `82W35`, `35/82`,
 * or a letter and a month. The type number of a generic part is none, where another piece is there or letters belong to it.
 */
function tokensOf(code: string): Token[] {
  const words = code
    .toUpperCase()
    .split(/[\s,;|]+/)
    .map(word => word.replace(/^[([{<"'“]+|[)\]}>"'”.:]+$/g, '').replace(/^(\d{4})-\d{1,2}$/, '$1'))
    .filter(Boolean)
  const tokens = words.flatMap((word): (Token & { lettered?: boolean })[] => {
    const split = /^(\d{2})[/.\-](\d{2})$/.exec(word)
    if (split) return [{ digits: `${split[1]}${split[2]}`, apart: true }]
    // A plant or lot behind it: 8424K7.
    const lot = /^(\d{4})[A-Z]\d{1,2}$/.exec(word)
    if (lot && !isTypeNumber(lot[1]!)) return [{ digits: lot[1]! }]
    const week = /^(\d{2})W(\d{2})$/.exec(word)
    if (week) return [{ digits: `${week[1]}${week[2]}` }]
    if (/^[A-Z][1-9OND]$/.test(word)) return letterYears.includes(word[0]!) ? [{ digits: word }] : []
    const digits = /^([A-Z]{0,2})(\d{3,4})([A-Z]{0,2})$/.exec(word)
    if (!digits) return []
    return [{ digits: digits[2]!, typeNumber: isTypeNumber(digits[2]!), lettered: Boolean(digits[1] || digits[3]) }]
  })
  const plain = tokens.filter(t => !t.typeNumber)
  const kept = plain.length ? plain : tokens.filter(t => !t.lettered)
  return kept.filter((t, i) => kept.findIndex(other => other.digits === t.digits) === i)
}

interface Bounds {
  earliestYear: number
  latestYear: number
}

function readToken({ digits: token, apart, typeNumber }: Token, bounds: Bounds): Outcome[] {
  if (/^\d{4}$/.test(token)) {
    const [first, last] = [Number(token.slice(0, 2)), Number(token.slice(2))]
    const outcomes = [
      ...byWeek('year-week', token, yearsEnding(first, 100, bounds), last, first),
      ...byYear(token, bounds),
      ...(apart ? byMonth('month-year', token, yearsEnding(last, 100, bounds), first) : []),
      ...byWeek('week-year', token, yearsEnding(last, 100, bounds), first, last),
      ...byMonth('year-month', token, yearsEnding(first, 100, bounds), last),
    ]
    return typeNumber ? outcomes.map(o => ('reading' in o ? { reading: { ...o.reading, typeNumber: true } } : o)) : outcomes
  }
  if (/^\d{3}$/.test(token)) {
    const year = Number(token[0])
    return byWeek('short-year-week', token, yearsEnding(year, 10, bounds), Number(token.slice(1)), year)
  }
  const offset = letterYears.indexOf(token[0] ?? '')
  const month = letterMonths.indexOf(token[1] ?? '') + 1
  const years = yearsEnding((letterYearStart + offset) % letterYearCycle, letterYearCycle, bounds).filter(year => year >= letterYearStart)
  return byMonth('letter-code', token, years, month)
}

/** Four digits that are a year within the bounds: that whole year. */
function byYear(read: string, { earliestYear, latestYear }: Bounds): Outcome[] {
  const year = Number(read)
  return year >= earliestYear && year <= latestYear
    ? [{ reading: { format: 'year', read, says: `the year ${year}`, firstDay: `${year}-01-01`, lastDay: `${year}-12-31`, because: [formatReason.year] } }]
    : []
}

/** All years within the bounds that leave this remainder: 82 of 100 → 1982; 2 of 10 → 1972, 1982, 1992. */
function yearsEnding(remainder: number, cycle: number, { earliestYear, latestYear }: Bounds): number[] {
  const years: number[] = []
  for (let year = earliestYear; year <= latestYear; year++) if (year % cycle === remainder) years.push(year)
  return years
}

function byWeek(format: DateCodeFormat, read: string, years: number[], week: number, typedYear: number): Outcome[] {
  const refuse = (says: string): Outcome => ({ refusal: { format, read, says } })
  if (week < 1 || week > 53) return [refuse(`As ${formatName[format]}, ${read} would be week ${week}; weeks run from 1 to 53.`)]
  if (!years.length) return [refuse(`As ${formatName[format]}, ${read} would be a year ending in ${typedYear}, and none is within the allowed years.`)]
  return years.map((year): Outcome =>
    week > weeksInYear(year)
      ? refuse(`As ${formatName[format]}, ${read} would be week ${week} of ${year}, but ${year} has only ${weeksInYear(year)} weeks.`)
      : {
          reading: {
            format,
            read,
            says: `week ${week} of ${year}`,
            isoWeek: `${year}-W${String(week).padStart(2, '0')}`,
            ...weekSpan(year, week),
            because: [formatReason[format]],
          },
        },
  )
}

function byMonth(format: DateCodeFormat, read: string, years: number[], month: number): Outcome[] {
  const refuse = (says: string): Outcome => ({ refusal: { format, read, says } })
  if (month < 1 || month > 12) return [refuse(`As ${formatName[format]}, ${read} would be month ${month}; months run from 1 to 12.`)]
  if (!years.length) return [refuse(`As ${formatName[format]}, ${read} falls in no year within the years allowed.`)]
  return years.map((year): Outcome => ({
    reading: {
      format,
      read,
      says: `${monthNames[month - 1]} ${year}`,
      isoMonth: `${year}-${String(month).padStart(2, '0')}`,
      ...monthSpan(year, month),
      because: [formatReason[format]],
    },
  }))
}

function judge(code: string, readings: DateCodeReading[], refused: DateCodeRefusal[]): Finding[] {
  const [best] = readings
  if (!best) {
    const because = refused.length ? refused.map(r => r.says) : ['No three or four digits together, and no year letter with a month.']
    return [finding('stop', 'date-code.none', `“${code}” cannot be a date code.`, because)]
  }
  const findings = [finding('fine', 'date-code.read', `Most likely ${best.says}.`, best.because)]
  if (best.typeNumber) {
    findings[0] = { ...findings[0]!, level: 'note' }
    findings.unshift(
      finding(
        'care',
        'date-code.type-number',
        `${best.read} is the type number of a generic part as well; it may be no date.`,
        'Such parts carry their type number and their date code: read the other figure too.',
        commonPractice,
      ),
    )
  }
  const others = readings.slice(1)
  if (others.length) {
    findings.push(
      finding(
        'note',
        'date-code.alternatives',
        `It could also be ${others.map(r => r.says).join(', or ')}.`,
        'Compare with the other parts on the same board.',
      ),
    )
  }
  return findings
}
