import { writtenDay } from '../kernel/days'
import { decimals } from '../kernel/figure'
import { InputError } from '../kernel/input-error'

/** Hours of sun on a day, by its ISO date. */
export interface SunDay {
  day: string
  hours: number
}
export interface SunReading {
  days: SunDay[]
  /** Lines that could not be read, counted from 1 with the heading. */
  problems: { line: number; message: string }[]
}
/** More than a long summer nobody lays a part out. */
export const mostSunDays = 400
const mostProblems = 50

const dayColumn = /^(date|day|when)\b/i
const hoursColumn = /(hours?|sun(shine)?|^h$)/i
const isoDay = /^(\d{4})-(\d{2})-(\d{2})$/
const dottedDay = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/

/**
 * Reads hours of sun from the rows of a table whose first row names its columns: one for the day, one for the hours.
 * A bad line is told with its number and loses none of the others. Two lines of one day are added.
 * @throws InputError where no column is for the day, or none for the hours
 */
export function readSunHours(rows: readonly (readonly string[])[]): SunReading {
  const [head = [], ...lines] = rows
  const dayAt = head.findIndex(c => dayColumn.test(c.trim()))
  const hoursAt = head.findIndex((c, i) => i !== dayAt && hoursColumn.test(c.trim()))
  if (dayAt < 0 || hoursAt < 0)
    throw new InputError(
      'file',
      head.join(', '),
      'The first line has to name its columns: one “date”, one “hours”; it names ' + (head.join(', ') || 'none') + '.',
    )
  const sums = new Map<string, number>()
  const problems: SunReading['problems'] = []
  const wrong = (line: number, message: string) => problems.length < mostProblems && problems.push({ line, message })
  lines.forEach((cells, i) => {
    if (cells.every(c => !c.trim())) return
    const [dayCell, hoursCell] = [(cells[dayAt] ?? '').trim(), (cells[hoursAt] ?? '').trim()]
    const day = readDay(dayCell)
    const hours = Number(hoursCell.replace(',', '.'))
    if (!day) return wrong(i + 2, `“${dayCell.slice(0, 40)}” is no day; write it as 2026-05-17 or 17.5.2026.`)
    if (!hoursCell || !(hours >= 0 && hours <= 24)) return wrong(i + 2, `“${hoursCell.slice(0, 40)}” is no number of hours from 0 to 24.`)
    sums.set(day, (sums.get(day) ?? 0) + hours)
  })
  for (const [day, hours] of sums) if (hours > 24) wrong(0, `${writtenDay(day)}: its lines add up to ${decimals(hours, 1)} h, more than a day has.`)
  const days = [...sums].filter(([, hours]) => hours > 0 && hours <= 24).map(([day, hours]) => ({ day, hours }))
  if (days.length > mostSunDays) throw new InputError('file', days.length, `Up to ${mostSunDays} days at once, please; these are ${days.length}.`)
  return { days: days.sort((a, b) => a.day.localeCompare(b.day)), problems }
}

function readDay(cell: string): string | null {
  const dotted = dottedDay.exec(cell)
  const iso = dotted ? `${dotted[3]}-${dotted[2]!.padStart(2, '0')}-${dotted[1]!.padStart(2, '0')}` : cell.slice(0, 10)
  if (!isoDay.test(iso)) return null
  const at = new Date(`${iso}T00:00:00Z`)
  return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(iso) ? iso : null
}
