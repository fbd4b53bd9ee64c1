import { TZDate } from '@date-fns/tz'

/** Instants as the collection's clock on the wall shows them. */
export function useTimes() {
  const session = useSession()
  const zone = computed(() => session.collection?.zone ?? 'UTC')
  const format = (options: Intl.DateTimeFormatOptions) => computed(() => new Intl.DateTimeFormat('en-GB', { timeZone: zone.value, ...options }))
  const day = format({ day: 'numeric', month: 'short', year: 'numeric' })
  const moment = format({ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
  const exact = format({ day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' })
  return {
    zone,
    day: (at: string) => day.value.format(new Date(at)),
    moment: (at: string) => moment.value.format(new Date(at)),
    exact: (at: string) => exact.value.format(new Date(at)),
    /** What a date-and-time field holds, `2026-03-04T08:00` in the collection's zone, as an instant; nothing when it is incomplete. */
    instantOf(local: string): string | undefined {
      const parts = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)/.exec(local)?.slice(1).map(Number)
      if (!parts) return undefined
      const [year = 0, month = 1, date = 1, hours = 0, minutes = 0] = parts
      return new Date(new TZDate(year, month - 1, date, hours, minutes, zone.value).getTime()).toISOString()
    },
    /** An instant as a date-and-time field holds it. */
    localOf: (at: Date) => new TZDate(at.getTime(), zone.value).toISOString().slice(0, 16),
  }
}

/** How long until an instant, in the largest unit that fits: 3 d, 5 h, 12 min. */
export function timeLeft(until: string, now: Date): string {
  const minutes = Math.ceil((Date.parse(until) - now.getTime()) / 60_000)
  if (minutes <= 0) return 'over'
  if (minutes < 60) return `${minutes} min`
  const hours = Math.round(minutes / 60)
  return hours < 48 ? `${hours} h` : `${Math.round(hours / 24)} d`
}
