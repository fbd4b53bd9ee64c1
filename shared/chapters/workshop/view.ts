import { z } from 'zod'
import { thingKinds } from '#core/cleaning/bookings'
import { shelfUnits } from '#core/cleaning/shelf'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'

const id = z.number()
const n = z.number()
const s = z.string()
const b = z.boolean()

const Booking = z.object({ id, what: s, from: s, until: s, roomL: n, minC: n.nullable(), maxC: n.nullable(), bath: s, by: s })

export const view = z.object({ bookings: z.array(Booking.extend({ thing: s, kind: z.enum(keysOf(thingKinds)), place: s })) })

export const ThingView = z.object({
  id,
  version: n,
  name: s,
  kind: z.enum(keysOf(thingKinds)),
  place: s,
  roomL: n,
  minC: n.nullable(),
  maxC: n.nullable(),
  limits: s,
  active: b,
  bookings: z.array(Booking.extend({ tag: s, machine: s })),
})
export const MaterialView = z.object({
  id,
  version: n,
  name: s,
  unit: z.enum(keysOf(shelfUnits)),
  amount: n,
  strengthPct: n.nullable(),
  openedOn: s.nullable(),
  useBy: s.nullable(),
  lowAt: n.nullable(),
  place: s,
  wantedSince: s.nullable(),
  active: b,
  findings: z.array(Finding),
})
export type ThingView = z.infer<typeof ThingView>
export type MaterialView = z.infer<typeof MaterialView>
export interface WorkshopView {
  things: ThingView[]
  materials: MaterialView[]
}
