import { index, integer, real, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import type { BatteryState, Charging, Chemistry, Replacement } from '#core/power/battery'
import type { OffStateInput } from '#core/power/off-state'
import type { StartPlan, StartSample } from '#core/power/start-watch'
import type { WarmPart, WarmSample } from '#core/power/temperature'
import type { Configuration } from '#core/safety/configuration'
import type { HazardKind, HazardState } from '#core/safety/hazards'
import type { StartOutcome } from '#shared/contracts/vocabulary'
import { flag, key, struckBy, uid, version, words } from './columns'
import { machineId } from './machines'

/** Resistances of rails to ground, measured before anything is powered. */
export const offReadings = sqliteTable('off_readings', {
  id: key(),
  machineId: machineId(),
  rail: text('rail').notNull(),
  reading: text('reading', { mode: 'json' }).$type<OffStateInput>().notNull(),
  configuration: text('configuration').notNull().default('whole'),
  at: text('at').notNull(),
  struckBy: struckBy(),
}, t => [index('off_readings_machine').on(t.machineId)])

/** What somebody found out about a hazard; one row a kind, the newest finding holds. */
export const hazards = sqliteTable('hazards', {
  id: key(),
  machineId: machineId(),
  version: version(),
  kind: text('kind').$type<HazardKind>().notNull(),
  state: text('state').$type<HazardState>().notNull(),
  evidence: text('evidence').notNull(),
  at: text('at').notNull(),
  byWhom: text('by_whom').notNull(),
}, t => [unique().on(t.machineId, t.kind)])

export const batteries = sqliteTable('batteries', {
  id: key(), machineId: machineId(), version: version(),
  where: text('place').notNull(),
  chemistry: text('chemistry').$type<Chemistry>().notNull(),
  cells: integer('cells').notNull().default(1),
  year: integer('year'),
  state: text('state').$type<BatteryState>().notNull(),
  fitted: flag('fitted'),
  charging: text('charging').$type<Charging>().notNull(),
  replacement: text('replacement', { mode: 'json' }).$type<{ how: Replacement, chemistry: Chemistry, diode: boolean }>(),
  struckBy: struckBy(),
}, t => [index('batteries_machine').on(t.machineId)])

/** Temperatures of one part, a single one or a log. */
export const temperatures = sqliteTable('temperatures', {
  id: key(), machineId: machineId(),
  part: text('part').$type<WarmPart>().notNull(),
  where: words('place'),
  samples: text('samples', { mode: 'json' }).$type<WarmSample[]>().notNull(),
  at: text('at').notNull(), byWhom: words('by_whom'), struckBy: struckBy(),
}, t => [index('temperatures_machine').on(t.machineId)])

/** Starts that were attended and watched, with what was seen. */
export const starts = sqliteTable('starts', {
  id: key(), uid: uid(), machineId: machineId(),
  plan: text('plan', { mode: 'json' }).$type<StartPlan>().notNull(),
  configuration: text('configuration', { mode: 'json' }).$type<Configuration>().notNull(),
  atProbe: text('at_probe').notNull(), atSwitch: text('at_switch').notNull(),
  begunAt: text('begun_at').notNull(),
  /** Nothing while it runs. */
  endedAt: text('ended_at'),
  outcome: text('outcome').$type<StartOutcome>(),
  why: words('why'),
  onSeconds: real('on_seconds').notNull().default(0),
  samples: text('samples', { mode: 'json' }).$type<StartSample[]>().notNull().default([]),
}, t => [index('starts_machine').on(t.machineId)])
