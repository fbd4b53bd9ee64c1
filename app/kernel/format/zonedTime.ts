import { TZDate } from '@date-fns/tz'

/** What a date-and-time field holds, `2026-03-04T08:00` on the clocks of a zone, as an instant; nothing when it is incomplete. */
export function instantOf(local: string, zone: string): string | undefined {
  const parts = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(local)?.slice(1).map(Number)
  if (!parts) return undefined
  const [year = 0, month = 1, date = 1, hours = 0, minutes = 0] = parts
  return new Date(new TZDate(year, month - 1, date, hours, minutes, zone).getTime()).toISOString()
}

/** An instant as a date-and-time field holds it, on the clocks of a zone. */
export const localOf = (at: Date, zone: string): string => new TZDate(at.getTime(), zone).toISOString().slice(0, 16)
