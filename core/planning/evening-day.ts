import { millisecondsInHour } from 'date-fns/constants'
import { TZDate } from '@date-fns/tz'
import { addDays, formatISO, parseISO } from 'date-fns'

/** An evening that goes on past midnight is still the same evening; it is over by then. */
const overAtHour = 4

/** The day that an evening belongs to, as an ISO date on the clocks of the collection. @param now instant in UTC */
export const eveningDay = (now: string, zone: string): string => new TZDate(Date.parse(now) - overAtHour * millisecondsInHour, zone).toISOString().slice(0, 10)

/** When the evening of a day begins and is over, as instants in UTC: from four in the morning to four in the morning. */
export function eveningSpan(day: string, zone: string): { from: string; to: string } {
  const at = (date: string) => {
    const [year = 0, month = 1, of = 1] = date.split('-').map(Number)
    return new Date(new TZDate(year, month - 1, of, overAtHour, 0, zone).getTime()).toISOString()
  }
  return { from: at(day), to: at(formatISO(addDays(parseISO(day), 1), { representation: 'date' })) }
}

/** Whether two instants lie on one evening. */
export const sameEvening = (one: string, other: string, zone: string): boolean => eveningDay(one, zone) === eveningDay(other, zone)
/**
 * Minutes that somebody was at a job, one at least; nothing of one left open until another evening, for then nobody knows.
 * @param from when it was begun
 * @param to when somebody said that it was over
 */
export const minutesAtIt = (from: string, to: string, zone: string): number =>
  sameEvening(from, to, zone) ? Math.max(1, Math.round((Date.parse(to) - Date.parse(from)) / 60_000)) : 0
