import type { PartOutcome } from '#shared/chapters/parts/index'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, version } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const partNeeds = sqliteTable(
  'part_needs',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    name: text('name').notNull(),
    quantity: integer('quantity').notNull(),
    stopsStart: flag('stops_start'),
    outcome: text('outcome').$type<PartOutcome>().notNull().default('wanted'),
    wantedAt: text('wanted_at').notNull(),
  },
  t => [index('part_needs_machine').on(t.machineId), index('part_needs_wanted').on(t.outcome, t.stopsStart, t.wantedAt)],
)
