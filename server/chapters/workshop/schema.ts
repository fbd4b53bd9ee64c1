import type { ThingKind } from '#core/cleaning/bookings'
import type { ShelfUnit } from '#core/cleaning/shelf'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Tanks, ovens, boxes and lamps that several jobs share. */
export const sharedThings = sqliteTable('shared_things', {
  id: key(),
  uid: uid(),
  version: version(),
  name: text('name').notNull(),
  kind: text('kind').$type<ThingKind>().notNull(),
  place: words('place'),
  roomL: real('room_l').notNull(),
  minC: real('min_c'),
  maxC: real('max_c'),
  limits: words('limits'),
  active: flag('active').default(true),
})

/** Who has which of them, from when until when; ended once somebody says that it is out. */
export const bookings = sqliteTable(
  'bookings',
  {
    id: key(),
    machineId: machineId(),
    /** A plain number, for the things belong to the collection. */
    thingId: integer('thing_id').notNull(),
    /** Its kind when it was booked: what the gate hears of it. */
    kind: text('kind').$type<ThingKind>().notNull(),
    what: text('what').notNull(),
    from: text('from').notNull(),
    until: text('until').notNull(),
    roomL: real('room_l').notNull(),
    minC: real('min_c'),
    maxC: real('max_c'),
    bath: words('bath'),
    by: words('by'),
    endedAt: text('ended_at'),
  },
  t => [index('bookings_machine').on(t.machineId), index('bookings_thing').on(t.thingId, t.endedAt, t.from)],
)

/** Materials that cleaning uses up. */
export const shelfMaterials = sqliteTable('shelf_materials', {
  id: key(),
  uid: uid(),
  version: version(),
  name: text('name').notNull(),
  unit: text('unit').$type<ShelfUnit>().notNull(),
  amount: real('amount').notNull(),
  strengthPct: real('strength_pct'),
  openedOn: text('opened_on'),
  useBy: text('use_by'),
  lowAt: real('low_at'),
  place: words('place'),
  /** Since when it is to be bought; nothing while there is enough. */
  wantedSince: text('wanted_since'),
  active: flag('active').default(true),
})
