import type { Fixing, OpeningState } from '#core/opening/reassembly'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'
import { photographs } from '../look/index'

export const openingSteps = sqliteTable(
  'opening_steps',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    step: integer('step').notNull(),
    what: text('what').notNull(),
    state: text('state').$type<OpeningState>().notNull(),
    fixings: text('fixings', { mode: 'json' }).$type<Fixing[]>().notNull(),
    connectors: text('connectors', { mode: 'json' }).$type<string[]>().notNull(),
    hides: words('hides'),
    hazard: words('hazard'),
    photographId: integer('photograph_id').references(() => photographs.id),
  },
  t => [index('opening_steps_machine').on(t.machineId)],
)
