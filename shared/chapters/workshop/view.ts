import { z } from 'zod'
import { thingKinds } from '#core/cleaning/bookings'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { Material, Thing } from './rows'

const id = z.number()
const n = z.number()
const s = z.string()
const b = z.boolean()

const Booking = z.object({ id, what: s, from: s, until: s, roomL: n, minC: n.nullable(), maxC: n.nullable(), bath: s, by: s })

export const view = z.object({ bookings: z.array(Booking.extend({ thing: s, kind: z.enum(keysOf(thingKinds)), place: s })) })

export const ThingView = z.object({ id, version: n, ...Thing.seen, active: b, bookings: z.array(Booking.extend({ tag: s, machine: s })) })
export const MaterialView = z.object({ id, version: n, ...Material.seen, wantedSince: s.nullable(), active: b, findings: z.array(Finding) })
export type ThingView = z.infer<typeof ThingView>
export type MaterialView = z.infer<typeof MaterialView>
export interface WorkshopView {
  things: ThingView[]
  materials: MaterialView[]
}
