import { judgeMaterial } from '#core/cleaning/shelf'
import type { ViewOf } from '#shared/chapters/index'
import { Material, Thing, type WorkshopView } from '#shared/chapters/workshop/index'
import { and, asc, desc, eq, isNull } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { bookings, sharedThings, shelfMaterials } from './schema'

/** Bookings shown over all things together. */
const mostShown = 400

/** Every shared thing with what it is booked for, and every material with what there is to say of it. */
export function workshopNow(tx: Tx, today: string): WorkshopView {
  const booked = tx
    .select({ booking: bookings, tag: machines.tag, nickname: machines.nickname, name: machines.name })
    .from(bookings)
    .innerJoin(machines, eq(machines.id, bookings.machineId))
    .where(isNull(bookings.endedAt))
    .orderBy(asc(bookings.from))
    .limit(mostShown)
    .all()
  const things = tx.select().from(sharedThings).orderBy(desc(sharedThings.active), asc(sharedThings.name)).all()
  const materials = tx.select().from(shelfMaterials).orderBy(desc(shelfMaterials.active), asc(shelfMaterials.name)).all()
  return {
    things: things.map(thing => ({
      id: thing.id,
      version: thing.version,
      ...Thing.of(thing),
      active: thing.active,
      bookings: booked
        .filter(b => b.booking.thingId === thing.id)
        .map(({ booking, tag, nickname, name }) => ({ ...bare(booking), tag, machine: nickname || name })),
    })),
    materials: materials.map(one => ({
      id: one.id,
      version: one.version,
      ...Material.of(one),
      wantedSince: one.wantedSince,
      active: one.active,
      findings: one.active ? judgeMaterial(one, today) : [],
    })),
  }
}

const bare = ({ id, what, from, until, roomL, minC, maxC, bath, by }: typeof bookings.$inferSelect) => ({ id, what, from, until, roomL, minC, maxC, bath, by })

/** What of the machine lies in a shared thing, or will. */
export function workshopView({ tx, file }: ViewInput): ViewOf<'workshop'> {
  if (!file.bookings.length) return { bookings: [] }
  return {
    bookings: tx
      .select({ booking: bookings, thing: sharedThings.name, kind: sharedThings.kind, place: sharedThings.place })
      .from(bookings)
      .innerJoin(sharedThings, eq(sharedThings.id, bookings.thingId))
      .where(and(eq(bookings.machineId, file.machine.id), isNull(bookings.endedAt)))
      .orderBy(asc(bookings.from))
      .all()
      .map(({ booking, ...thing }) => ({ ...bare(booking), ...thing })),
  }
}
