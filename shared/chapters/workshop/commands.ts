import { z } from 'zod'
import { thingKinds } from '#core/cleaning/bookings'
import { shelfUnits } from '#core/cleaning/shelf'
import { command } from '../../kernel/contract'
import { id, instant, keysOf, oneOf, optionalQuantity, optionalText, quantity, text, version } from '../../kernel/fields'
import { atTheBench } from '../../kernel/roles'

const room = quantity('', 'Room in l', { above: 0, upTo: 5000 })
const warmth = (what: string) => optionalQuantity('', what, { above: -30, upTo: 250 })
const day = (what: string) =>
  z
    .union([z.literal('').transform(() => null), z.iso.date({ error: `${what}: a day, such as 2027-05-01.` })])
    .nullable()
    .default(null)
const amount = (what: string) => quantity('', what, { above: 0, upTo: 1_000_000 })
const amountOrNone = (what: string) => quantity('', what, { from: 0, upTo: 1_000_000 })

const Thing = {
  name: text('Name', 60),
  kind: oneOf(keysOf(thingKinds), 'What it is'),
  place: optionalText('Where it stands', 80),
  roomL: room,
  minC: warmth('At least, °C'),
  maxC: warmth('At most, °C'),
  limits: optionalText('What to mind', 200),
}
const Material = {
  name: text('Material', 80),
  unit: oneOf(keysOf(shelfUnits), 'Counted in'),
  amount: amountOrNone('How much'),
  strengthPct: optionalQuantity('', 'Strength in %', { above: 0, upTo: 100 }),
  openedOn: day('Opened on'),
  useBy: day('Use by'),
  lowAt: optionalQuantity('', 'Wanted from this much down', { above: 0, upTo: 1_000_000 }),
  place: optionalText('Where it stands', 80),
}
/** What was used of the shelf; nothing where no material was chosen. */
export const Used = z.object({ materialId: id, amount: amount('Used') })

export const onMachine = {
  'book-thing': command(
    atTheBench,
    z.object({
      thingId: id,
      what: text('What goes in', 80),
      from: instant('From'),
      hours: quantity('', 'Hours', { above: 0, upTo: 24 * 60 }),
      roomL: room,
      minC: warmth('Not cooler than, °C'),
      maxC: warmth('Not warmer than, °C'),
      bath: optionalText('Bath', 80),
    }),
  ),
  /** It is out, or the place is given back before it began. */
  'end-booking': command(atTheBench, z.object({ bookingId: id })),
  'use-material': command(atTheBench, z.object({ ...Used.shape, what: text('For what', 120) })),
} as const

export const onCollection = {
  'add-thing': command(atTheBench, z.object(Thing)),
  'change-thing': command(atTheBench, z.object({ thingId: id, version, ...Thing, active: z.boolean() })),
  'add-material': command(atTheBench, z.object(Material)),
  'change-material': command(atTheBench, z.object({ materialId: id, version, ...Material, active: z.boolean() })),
} as const
