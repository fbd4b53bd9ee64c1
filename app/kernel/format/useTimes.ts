/** Instants as the collection's clock on the wall shows them. */
export function useTimes() {
  const session = useSession()
  const zone = computed(() => session.collection?.zone ?? 'UTC')
  const format = (options: Intl.DateTimeFormatOptions) => computed(() => new Intl.DateTimeFormat('en-GB', { timeZone: zone.value, ...options }))
  const day = format({ day: 'numeric', month: 'short', year: 'numeric' })
  const moment = format({ weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
  const weekday = format({ weekday: 'short', day: 'numeric' })
  const clock = format({ hour: '2-digit', minute: '2-digit' })
  const exact = format({ day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit' })
  return {
    zone,
    day: (at: string) => day.value.format(new Date(at)),
    moment: (at: string) => moment.value.format(new Date(at)),
    weekday: (at: string) => weekday.value.format(new Date(at)),
    clock: (at: string) => clock.value.format(new Date(at)),
    exact: (at: string) => exact.value.format(new Date(at)),
    instantOf: (local: string) => instantOf(local, zone.value),
    /** The day that it is in the zone of the collection, as ISO writes it. */
    dayOf: (at: Date) => localOf(at, zone.value).slice(0, 10),
    localOf: (at: Date) => localOf(at, zone.value),
  }
}
