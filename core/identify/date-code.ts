import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { letterMonths, letterYearCycle, letterYearStart, letterYears } from './letter-codes'
import { type DaySpan, monthSpan, weekSpan, weeksInYear } from './week-date'

export type DateCodeFormat = 'year-week' | 'week-year' | 'short-year-week' | 'year-month' | 'letter-code'

export interface DateCodeReading extends DaySpan {
  format: DateCodeFormat
  /** The characters of the marking that were read. */
  read: string
  says: string
  isoWeek?: string
  isoMonth?: string
  because: string[]
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
const order: DateCodeFormat[] = ['year-week', 'short-year-week', 'letter-code', 'week-year', 'year-month']

const formatName: Record<DateCodeFormat, string> = {
  'year-week': 'year and week',
  'week-year': 'week and year',
  'short-year-week': 'last digit of the year, then week',
  'year-month': 'year and month',
  'letter-code': 'year letter and month',
}

const formatReason: Record<DateCodeFormat, string> = {
  'year-week': 'Four digits are mostly year and week; common practice, no source.',
  'week-year': 'A few makers put the week first; common practice, no source.',
  'short-year-week': 'Three digits are mostly the last digit of the year and the week; common practice, no source.',
  'year-month': 'Four digits may be year and month; common practice, no source.',
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
  if (!code) throw new InputError('code', code, 'Nothing to read. Type the marking as it stands on the part, such as 8235.')
  if (code.length > 60) throw new InputError('code', code, 'Longer than 60 characters. Type one marking at a time.')
  for (const [field, year] of Object.entries({ earliestYear, latestYear })) {
    if (!Number.isInteger(year) || year < 1900 || year > 2100) throw new InputError(field, year, `${year} is not a year between 1900 and 2100.`)
  }
  if (earliestYear > latestYear) throw new InputError('earliestYear', earliestYear, `The earliest year, ${earliestYear}, is after the latest, ${latestYear}.`)
}

/** The pieces of a marking that could be a date: three or four digits alone or beside a plant letter, `35/82`, or a letter and a month. */
function tokensOf(code: string): string[] {
  const words = code
    .toUpperCase()
    .split(/[\s,;|]+/)
    .filter(Boolean)
  const tokens = words.flatMap(word => {
    const split = /^(\d{2})[/.\-](\d{2})$/.exec(word)
    if (split) return [`${split[1]}${split[2]}`]
    if (/^[A-HJ-NPR-X][1-9OND]$/.test(word)) return [word]
    const digits = /^[A-Z]{0,2}(\d{3,4})[A-Z]{0,2}$/.exec(word)
    return digits?.[1] ? [digits[1]] : []
  })
  return [...new Set(tokens)]
}

interface Bounds {
  earliestYear: number
  latestYear: number
}

function readToken(token: string, bounds: Bounds): Outcome[] {
  if (/^\d{4}$/.test(token)) {
    const [first, last] = [Number(token.slice(0, 2)), Number(token.slice(2))]
    return [
      ...byWeek('year-week', token, yearsEnding(first, 100, bounds), last, first),
      ...byWeek('week-year', token, yearsEnding(last, 100, bounds), first, last),
      ...byMonth('year-month', token, yearsEnding(first, 100, bounds), last),
    ]
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

/** All years within the bounds that leave this remainder: 82 of 100 → 1982; 2 of 10 → 1972, 1982, 1992. */
function yearsEnding(remainder: number, cycle: number, { earliestYear, latestYear }: Bounds): number[] {
  const years: number[] = []
  for (let year = earliestYear; year <= latestYear; year++) if (year % cycle === remainder) years.push(year)
  return years
}

function byWeek(format: DateCodeFormat, read: string, years: number[], week: number, typedYear: number): Outcome[] {
  const refuse = (says: string): Outcome => ({ refusal: { format, read, says } })
  if (week < 1 || week > 53) return [refuse(`As ${formatName[format]}, ${read} would be week ${week}; weeks run from 1 to 53.`)]
  if (!years.length) return [refuse(`As ${formatName[format]}, ${read} would be a year ending in ${typedYear}, and none lies within the years allowed.`)]
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
  if (/^74\d\d$/.test(best.read)) {
    findings.push(
      finding(
        'care',
        'date-code.logic-number',
        `${best.read} may be a part number of the 74 logic series, not a date.`,
        'Such parts carry their type number and their date code; read the other figure too.',
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
