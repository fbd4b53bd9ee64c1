import { z } from 'zod'
import { type ThingKind, thingKinds } from '#core/cleaning/bookings'
import { type ShelfUnit, amountWords } from '#core/cleaning/shelf'
import { closed, entry } from '../../kernel/contract'
import { word } from '../../kernel/fields'

const s = z.string()
const n = z.number()
const b = z.boolean()
const kind = word<ThingKind>()
const unit = word<ShelfUnit>()
const Booked = z.object({ thing: s, what: s, from: s, until: s })

export const entries = {
  'thing.added': entry(z.object({ name: s, kind }), d => `${thingKinds[d.kind]} to share: ${d.name}.`, closed),
  'thing.changed': entry(z.object({ name: s, kind, active: b }), d => `${thingKinds[d.kind]} ${d.name} ${d.active ? 'was changed.' : 'is gone.'}`, closed),
  'shelf.added': entry(z.object({ name: s, amount: n, unit }), d => `On the shelf: ${amountWords(d.amount, d.unit)} of ${d.name}.`, closed),
  'shelf.changed': entry(
    z.object({ name: s, amount: n, unit, active: b }),
    d => (d.active ? `The shelf now has ${amountWords(d.amount, d.unit)} of ${d.name}.` : `${d.name} is no longer kept.`),
    closed,
  ),
  'shelf.put-back': entry(
    z.object({ name: s, amount: n, unit, what: s }),
    d => `Put back ${amountWords(d.amount, d.unit)} of ${d.name}, not used after all: ${d.what}.`,
    closed,
  ),
  'shelf.used': entry(z.object({ name: s, amount: n, unit, what: s }), d => `Used ${amountWords(d.amount, d.unit)} of ${d.name}: ${d.what}.`, closed),
  'booking.made': entry(Booked, d => `Booked ${d.thing} for ${d.what}.`, closed),
  'booking.ended': entry(
    Booked.extend({ began: b }),
    d => (d.began ? `Out of ${d.thing}: ${d.what}.` : `Given back before it began: ${d.thing}, for ${d.what}.`),
    closed,
  ),
} as const
