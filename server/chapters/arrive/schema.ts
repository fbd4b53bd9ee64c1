import type { ClaimMade } from '#core/identify/claim-outcomes'
import type { ClaimVerdict } from '#shared/chapters/arrive/index'
import type { CommandInput } from '#shared/chapters/index'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, uid, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const claims = sqliteTable(
  'claims',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    says: text('says').notNull(),
    byWhom: words('by_whom'),
    verdict: text('verdict').$type<ClaimVerdict>().notNull().default('open'),
    because: words('because'),
    /** Of what kind, as somebody said; nothing while its words alone propose. */
    kind: text('kind').$type<ClaimMade['kind']>(),
    at: words('at'),
    struckBy: struckBy(),
  },
  t => [index('claims_machine').on(t.machineId)],
)

export const accessories = sqliteTable('accessories', { id: key(), machineId: machineId(), name: text('name').notNull(), struckBy: struckBy() }, t => [
  index('accessories_machine').on(t.machineId),
])

export const dateCodes = sqliteTable(
  'date_codes',
  {
    id: key(),
    machineId: machineId(),
    part: words('part'),
    code: text('code').notNull(),
    reworked: flag('reworked').default(false),
    socketed: flag('socketed').default(false),
    struckBy: struckBy(),
  },
  t => [index('date_codes_machine').on(t.machineId)],
)

/** A job lot that was accepted whole; its machines are booked in slice by slice, also after a restart. */
export const lots = sqliteTable('lots', {
  id: key(),
  uid: uid(),
  total: integer('total').notNull(),
  personId: integer('person_id').notNull(),
  by: text('by').notNull(),
  at: text('at').notNull(),
  /** Why it stopped; empty while it goes on and once it is done. */
  trouble: words('trouble'),
})

/** One machine of a job lot, and the tag it was booked in under. */
export const lotRows = sqliteTable(
  'lot_rows',
  {
    id: key(),
    lotId: integer('lot_id')
      .notNull()
      .references(() => lots.id),
    input: text('input', { mode: 'json' }).$type<CommandInput<'book-in'>>().notNull(),
    tag: text('tag'),
  },
  t => [index('lot_rows_lot').on(t.lotId, t.tag)],
)
