import type { NeedStops } from '#core/parts/needs'
import type { PartOutcome } from '#shared/chapters/parts/index'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

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
    seekerId: integer('seeker_id'),
    seeker: words('seeker'),
    outcome: text('outcome').$type<PartOutcome>().notNull().default('wanted'),
    wantedAt: text('wanted_at').notNull(),
  },
  t => [index('part_needs_machine').on(t.machineId), index('part_needs_wanted').on(t.outcome, t.wantedAt)],
)
