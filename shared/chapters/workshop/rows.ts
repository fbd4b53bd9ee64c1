import { litresOf, thingKinds } from '#core/cleaning/bookings'
import { shelfUnits } from '#core/cleaning/shelf'
import { z } from 'zod'
import { bounded, keysOf, oneOf, optionalBounded, optionalQuantity, optionalText, quantity, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** Litres, or the three lengths that make them. */
export const roomL = z.preprocess(
  given => (typeof given === 'string' ? (litresOf(given) ?? given) : given),
  quantity('l', 'Room in l', { above: 0, upTo: 5000 }),
)
export const warmth = (what: string) => optionalQuantity('°C', what, { above: -30, upTo: 250 })
const day = (what: string) =>
  z
    .union([z.literal('').transform(() => null), z.iso.date({ error: `${what}: a day, such as 2027-05-01.` })])
    .nullable()
    .default(null)

/** A tank, an oven, a box or a lamp. */
export const Thing = row({
  name: text('Name', 60),
  kind: oneOf(keysOf(thingKinds), 'What it is'),
  place: optionalText('Location', 80),
  roomL,
  minC: warmth('At least, °C'),
  maxC: warmth('At most, °C'),
  limits: optionalText('What to mind', 200),
})

/** What cleaning uses up. */
export const Material = row({
  name: text('Material', 80),
  unit: oneOf(keysOf(shelfUnits), 'Counted in'),
  amount: bounded('How much', { from: 0, upTo: 1_000_000 }),
  strengthPct: optionalQuantity('%', 'Strength in %', { above: 0, upTo: 100 }),
  openedOn: day('Opened on'),
  useBy: day('Use by'),
  lowAt: optionalBounded('Wanted from this much down', { above: 0, upTo: 1_000_000 }),
  place: optionalText('Location', 80),
})
