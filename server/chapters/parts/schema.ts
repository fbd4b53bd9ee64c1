import type { HeldPlace, PartCondition } from '#core/parts/ledger'
import type { NeedStops } from '#core/parts/needs'
import type { Spec } from '#core/parts/substitute/compare'
import type { PartKindName } from '#core/parts/substitute/substitute'
import type { PartOutcome } from '#shared/chapters/parts/index'
import { sql } from 'drizzle-orm'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, version, words } from '../../kernel/columns'
import { machineId, machines } from '../../kernel/trunk'

/** What a part is like, by the fields of its kind. */
const asIs = () => ({ kind: text('kind').$type<PartKindName>(), spec: text('spec', { mode: 'json' }).$type<Spec>().notNull().default({}) })

export const partNeeds = sqliteTable(
  'part_needs',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    name: text('name').notNull(),
    quantity: integer('quantity').notNull(),
    stops: text('stops').$type<NeedStops>().notNull().default('no-start'),
    affects: words('affects'),
    place: words('place'),
    workaround: words('workaround'),
    byWhen: text('by_when'),
    /** Substitutes, a line each: the part, and behind a colon its limit. */
    wouldDo: words('would_do'),
    forFirstStart: words('for_first_start'),
    seekerId: integer('seeker_id'),
    seeker: words('seeker'),
    ...asIs(),
    outcome: text('outcome').$type<PartOutcome>().notNull().default('wanted'),
    wantedAt: text('wanted_at').notNull(),
  },
  t => [index('part_needs_machine').on(t.machineId), index('part_needs_wanted').on(t.outcome, t.wantedAt)],
)

/** The way that a part came, a line for each move. */
export interface TrailLine {
  at: string
  by: string
  says: string
}

/** The ledger: like units that lie together, each line in one place. */
export const heldParts = sqliteTable(
  'held_parts',
  {
    id: key(),
    uid: uid(),
    version: version(),
    name: text('name').notNull(),
    ...asIs(),
    count: integer('count').notNull(),
    at: text('at').$type<HeldPlace>().notNull(),
    condition: text('condition').$type<PartCondition>().notNull(),
    /** The machine that it is in, or set aside for. */
    machineId: integer('machine_id').references(() => machines.id),
    needId: integer('need_id').references(() => partNeeds.id),
    holder: words('holder'),
    dueBy: text('due_by'),
    lies: words('lies'),
    source: words('source'),
    unitPrice: real('unit_price'),
    dateCode: words('date_code'),
    lender: words('lender'),
    backBy: text('back_by'),
    note: words('note'),
    /** So many should lie on the shelf, or be on their way. */
    keepAtLeast: integer('keep_at_least'),
    /** When it was ordered or promised, and when it came: what an order takes is learned from both. */
    orderedAt: text('ordered_at'),
    arrivedAt: text('arrived_at'),
    /** It can be spared, and whoever is outside may know. */
    spared: flag('spared').default(false),
    trail: text('trail', { mode: 'json' }).$type<TrailLine[]>().notNull().default([]),
  },
  t => [
    index('held_parts_machine').on(t.machineId),
    index('held_parts_at').on(t.at, t.name),
    index('held_parts_need').on(t.needId),
    index('held_parts_name').on(sql`${t.name} collate nocase`),
  ],
)
