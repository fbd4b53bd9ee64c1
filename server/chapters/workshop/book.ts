import { millisecondsInHour } from 'date-fns/constants'
import { type Booking, judgeBooking } from '#core/cleaning/bookings'
import { waitAfter } from '#core/cleaning/plan'
import { driesAlready } from '#core/cleaning/rules'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, asc, eq, isNull } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import type { MachineWork } from '../../kernel/work'
import { practiceOf } from '../practice/index'
import { waitFor } from '../waits/index'
import { bookings, sharedThings } from './schema'

/** Nobody knows what will be wanted further ahead. */
const furthestDays = 400
/** More at once in one thing nobody keeps apart. */
const mostBookings = 200

/** What a thing is booked for and has not come out of; what nobody took out counts until somebody does. */
export const bookingsOf = (tx: Tx, thingId: number) =>
  tx
    .select()
    .from(bookings)
    .where(and(eq(bookings.thingId, thingId), isNull(bookings.endedAt)))
    .orderBy(asc(bookings.from))
    .limit(mostBookings)
    .all()

/** An instant as the collection's clock shows it. */
const onTheWall = (tx: Tx, at: string) =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: practiceOf(tx).zone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(at))

/** Books a place in a shared thing; where it does not fit, the reasons and the next time it would. */
export function bookThing(
  { tx, machine, person, at, now, write }: MachineWork,
  { thingId, hours, ...asked }: CommandInput<'book-thing'>,
): { bookingId: number } {
  const thing = tx.select().from(sharedThings).where(eq(sharedThings.id, thingId)).get()
  if (!thing?.active) throw new InputError('thingId', thingId, 'Where: choose one that is here.')
  const until = new Date(Date.parse(asked.from) + hours * millisecondsInHour).toISOString()
  if (until <= at) throw new InputError('from', asked.from, 'From: that time is over already.')
  if (Date.parse(asked.from) > now.getTime() + furthestDays * 24 * millisecondsInHour)
    throw new InputError('from', asked.from, `From: up to ${furthestDays} days ahead, please.`)
  const others = bookingsOf(tx, thingId)
  if (others.length >= mostBookings) throw new NotNow(`${thing.name} is booked ${mostBookings} times already. End what is over first.`)
  const wanted: Booking = { ...asked, until }
  const { fits, freeFrom, findings } = judgeBooking({ thing, others, wanted, now: at })
  if (!fits)
    throw new NotNow(
      freeFrom ? `${thing.name} is taken then. It would fit from ${onTheWall(tx, freeFrom)}.` : `${thing.name} has no place for it then.`,
      findings.flatMap(f => [f.says, ...f.because]),
    )
  const { id } = tx
    .insert(bookings)
    .values({ machineId: machine.id, thingId, kind: thing.kind, by: person.name, ...wanted })
    .returning()
    .get()
  write('booking.made', { thing: thing.name, what: asked.what, from: asked.from, until })
  return { bookingId: id }
}

/** Out, or given back before it began. What comes out of a bath is wet, and dries as long as after a wash. */
export function endBooking(work: MachineWork, { bookingId }: CommandInput<'end-booking'>): void {
  const { tx, at, write, file } = work
  const booking = rowOf(work, bookings, bookingId, 'booking')
  if (booking.endedAt) throw new NotNow('Somebody has ended this booking already.')
  const began = booking.from <= at
  const { name } = tx.select().from(sharedThings).where(eq(sharedThings.id, booking.thingId)).get()!
  tx.update(bookings).set({ endedAt: at }).where(eq(bookings.id, bookingId)).run()
  write('booking.ended', { thing: name, what: booking.what, from: booking.from, until: booking.until, began })
  if (!began || booking.kind !== 'tank') return
  const wait = waitAfter('wet-wash', booking.what)!
  if (!driesAlready(booking.what, file(), at)) waitFor(work, 'wet', wait.what, wait.hours)
}
