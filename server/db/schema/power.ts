import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import type { OffStateInput } from '#core/power/off-state'
import { key, struckBy } from './columns'
import { machines } from './machines'

/** Resistances of rails to ground, measured before anything is powered. */
export const offReadings = sqliteTable('off_readings', {
  id: key(),
  machineId: integer('machine_id').notNull().references(() => machines.id),
  rail: text('rail').notNull(),
  reading: text('reading', { mode: 'json' }).$type<OffStateInput>().notNull(),
  at: text('at').notNull(),
  struckBy: struckBy(),
}, t => [index('off_readings_machine').on(t.machineId)])
