import type { CapacitorMeasured } from '#core/parts/recap/measured'
import type { Fixing } from '#core/parts/recap/read-list'
import type { CapacitorState } from '#core/parts/recap/rules'
import type { PriceOffer } from '#core/parts/recap/order'
import type { CapacitorSchool } from '#core/parts/recap/schools'
import type { Spec } from '#core/parts/substitute/compare'
import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { flag, key, version, words } from '../../kernel/columns'
import { machineId, machines, models } from '../../kernel/trunk'

/** Capacitors of a machine by their places. */
export const capacitors = sqliteTable(
  'capacitors',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    assembly: text('assembly').notNull(),
    place: text('place').notNull(),
    spec: text('spec', { mode: 'json' }).$type<Spec>().notNull().default({}),
    fixing: text('fixing').$type<Fixing>().notNull().default('none'),
    stressed: flag('stressed').default(false),
    looksBad: flag('looks_bad').default(false),
    note: words('note'),
    /** How its plus lay, as it was noted before it was taken out. */
    plus: words('plus'),
    bagged: flag('bagged').default(false),
    photographId: integer('photograph_id'),
    measured: text('measured', { mode: 'json' }).$type<CapacitorMeasured>(),
    state: text('state').$type<CapacitorState>().notNull().default('in'),
  },
  t => [uniqueIndex('capacitors_place').on(t.machineId, t.assembly, t.place), index('capacitors_state').on(t.state)],
)

/** A capacitor of a board as every machine of a model and issue has it. */
export interface KnownCapacitor {
  place: string
  spec: Spec
  fixing: Fixing
  stressed: boolean
  note: string
}
/** Boards whose capacitors are known, by model, its issue and the board. */
export const knownBoards = sqliteTable(
  'known_boards',
  {
    id: key(),
    modelId: integer('model_id')
      .notNull()
      .references(() => models.id),
    /** Board issue or variant; empty where none was told. */
    variant: words('variant'),
    assembly: text('assembly').notNull(),
    capacitors: text('capacitors', { mode: 'json' }).$type<KnownCapacitor[]>().notNull(),
  },
  t => [uniqueIndex('known_boards_board').on(t.modelId, t.variant, t.assembly)],
)

/** The school of a machine where it differs from the collection's. */
export const recapSchools = sqliteTable('recap_schools', {
  machineId: integer('machine_id')
    .primaryKey()
    .references(() => machines.id),
  school: text('school').$type<CapacitorSchool>(),
})

/** Prices, a line a part of a supplier. */
export const prices = sqliteTable(
  'prices',
  {
    id: key(),
    supplier: text('supplier').notNull(),
    /** What sending takes, the same on every line of a supplier. */
    postage: real('postage'),
    name: text('name').notNull(),
    spec: text('spec', { mode: 'json' }).$type<Spec>().notNull().default({}),
    pack: integer('pack').notNull(),
    breaks: text('breaks', { mode: 'json' }).$type<PriceOffer['breaks']>().notNull(),
    setAt: text('set_at').notNull(),
  },
  t => [index('prices_supplier').on(t.supplier)],
)
