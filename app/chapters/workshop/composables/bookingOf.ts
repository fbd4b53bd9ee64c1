import { millisecondsInHour } from 'date-fns/constants'
import { type BookingResult, judgeBooking } from '#core/cleaning/bookings'
import { InputError } from '#core/kernel/input-error'
import { type ThingView, workshop } from '#shared/chapters/workshop/index'

/** What is to be said of a booking as it is typed; nothing while it is not whole, or not to be judged. */
export function bookingOf(typed: object, things: readonly ThingView[], now: string): BookingResult | null {
  const read = workshop.onMachine['book-thing'].input.safeParse(typed)
  const thing = read.success ? things.find(t => t.id === read.data.thingId) : undefined
  if (!read.success || !thing) return null
  const { hours, from } = read.data
  try {
    return judgeBooking({
      thing,
      others: thing.bookings,
      wanted: { ...read.data, until: new Date(Date.parse(from) + hours * millisecondsInHour).toISOString() },
      now,
    })
  } catch (error) {
    if (error instanceof InputError) return null
    throw error
  }
}
