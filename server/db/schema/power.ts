import { index, integer, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import type { OffStateInput } from '#core/power/off-state'
import type { HazardKind, HazardState } from '#core/safety/hazards'
import { key, struckBy, version } from './columns'
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

/** What somebody found out about a hazard; one row a kind, the newest finding holds. */
export const hazards = sqliteTable('hazards', {
  id: key(),
  machineId: integer('machine_id').notNull().references(() => machines.id),
  version: version(),
  kind: text('kind').$type<HazardKind>().notNull(),
  state: text('state').$type<HazardState>().notNull(),
  evidence: text('evidence').notNull(),
  at: text('at').notNull(),
  byWhom: text('by_whom').notNull(),
}, t => [unique().on(t.machineId, t.kind)])
