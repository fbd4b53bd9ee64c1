import { addDays, closestTo, format, isValid, parse, parseISO } from 'date-fns'
import type { IsoDay } from './days'
import { readTime } from './time-of-day'

/** How a day is written, the day before the month wherever both are figures; those of a year alone and a month are for days that are known roughly. */
const dayForms = ['yyyy-MM-dd', 'd MMM yyyy', 'd MMMM yyyy', 'd.M.yyyy', 'd/M/yyyy']
const yearlessForms = ['d MMM', 'd MMMM', 'd.M.', 'd/M']
const monthForms = ['yyyy-MM', 'MMM yyyy', 'MMMM yyyy', 'M/yyyy']
const spokenDays: Record<string, number> = { today: 0, tonight: 0, yesterday: -1, tomorrow: 1 }

const readAs = (text: string, form: string, around: Date) => {
  const read = parse(text, form, around)
  return isValid(read) && read.getFullYear() > 999 ? read : undefined
}

/**
 * A day as people write or say it, from a field: `today`, `28 Nov`, `28.11.2026`, `2026-11-28`; where no year is said, the one that brings it nearest.
 * @param today the day it is on the wall, as ISO writes it
 * @param rough whether a month or a year alone is enough
 * @returns the day as ISO writes it, or nothing where it cannot be read or is in no calendar
 */
export function readDay(text: string, today: IsoDay, rough = false): IsoDay | undefined {
  const said = text
    .trim()
    .toLowerCase()
    .replace(/\s+/g, ' ')
    .replace(/,/g, '')
    .replace(/\bsept\b/, 'sep')
  const now = parseISO(today)
  if (said in spokenDays) return format(addDays(now, spokenDays[said]!), 'yyyy-MM-dd')
  for (const form of dayForms) {
    const day = readAs(said, form, now)
    if (day) return format(day, 'yyyy-MM-dd')
  }
  for (const form of yearlessForms) {
    const years = [-1, 0, 1].map(n => readAs(`${said} ${now.getFullYear() + n}`, `${form} yyyy`, now)).filter(day => day !== undefined)
    const nearest = closestTo(now, years)
    if (nearest) return format(nearest, 'yyyy-MM-dd')
  }
  if (!rough) return undefined
  if (/^\d{4}$/.test(said)) return said
  const month = monthForms.map(form => readAs(said, form, now)).find(day => day !== undefined)
  return month && format(month, 'yyyy-MM')
}

/**
 * A day and a time from a field: `28 Nov 21:30`, `tomorrow 8:00`, `2026-11-28T21:30`; a time alone is of today.
 * @returns as `yyyy-MM-ddTHH:mm`, on the clock that says what today is, or nothing where it cannot be read
 */
export function readMoment(text: string, today: IsoDay): string | undefined {
  const said = text.trim()
  // The year of a day is no time of it.
  if (readDay(said, today)) return undefined
  const alone = said.includes(':') || /[ap]m$/i.test(said) ? readTime(said) : undefined
  if (alone) return `${today}T${alone}`
  // The time is what stands last; of "9.30 pm" that is two words.
  const parts = /^(.+?)(?:,?\s+(?:at\s+)?|T)(\d{1,2}(?:[:.h]?[0-5]\d)?\s*(?:am|pm|h)?)$/i.exec(said)
  const day = parts && readDay(parts[1]!, today)
  const time = parts && readTime(parts[2]!)
  return day && time ? `${day}T${time}` : undefined
}
