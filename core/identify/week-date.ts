import { UTCDate } from '@date-fns/utc'
import { addDays, addWeeks, endOfMonth, formatISO, getISOWeeksInYear, startOfISOWeek } from 'date-fns'

/** Days are ISO dates (`1982-08-30`); weeks follow ISO 8601: Monday first, week 1 holds 4 January. */
export interface DaySpan {
  firstDay: string
  lastDay: string
}

const asDay = (date: Date) => formatISO(date, { representation: 'date' })
const fourthOfJanuary = (year: number) => new UTCDate(year, 0, 4)

/** How many ISO weeks a year has: 52 or 53. */
export const weeksInYear = (year: number): number => getISOWeeksInYear(fourthOfJanuary(year))

/** Monday to Sunday of an ISO week. Week 35 of 1982 starts on 30 August 1982. */
export function weekSpan(year: number, week: number): DaySpan {
  const monday = addWeeks(startOfISOWeek(fourthOfJanuary(year)), week - 1)
  return { firstDay: asDay(monday), lastDay: asDay(addDays(monday, 6)) }
}

/** First to last day of a month, 1 to 12. */
export function monthSpan(year: number, month: number): DaySpan {
  const first = new UTCDate(year, month - 1, 1)
  return { firstDay: asDay(first), lastDay: asDay(endOfMonth(first)) }
}
