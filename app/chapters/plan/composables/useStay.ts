import { millisecondsInDay, millisecondsInHour } from 'date-fns/constants'
import { readTime } from '#core/kernel/time-of-day'

/** How long somebody stays tonight, as a field for the time holds it, and the instant that is meant by it. */
export function useStay() {
  const times = useTimes()
  const clock = useClock()
  const usualEnd = '21:30'
  const lateMs = 2 * millisecondsInHour
  const dayMs = millisecondsInDay
  const today = () => times.localOf(clock.now).slice(0, 10)
  const late = times.localOf(new Date(clock.now.getTime() + lateMs)).slice(11)
  const started = times.localOf(clock.now).slice(11)
  // Past midnight it is still the evening before: the usual end lies a day ahead.
  const typed = ref(started >= '04:00' && started < '20:30' ? usualEnd : late)
  const time = computed(() => readTime(typed.value))
  const readable = computed(() => time.value !== undefined)
  /** A time that has passed already today is meant for after midnight. */
  const until = () => {
    const at = times.instantOf(`${today()}T${time.value}`)
    if (!at) return ''
    return Date.parse(at) > clock.now.getTime() ? at : new Date(Date.parse(at) + dayMs).toISOString()
  }
  return { typed, until, readable }
}
