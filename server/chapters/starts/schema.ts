import type { Finding } from '#core/kernel/finding'
import type { Noticed } from '#core/power/noticed'
import type { StartPlan, StartSample } from '#core/power/start-watch'
import type { Configuration } from '#core/safety/configuration'
import type { StartOutcome } from '#shared/chapters/starts/index'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, uid, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Starts that were attended and watched, with what was seen. */
export const starts = sqliteTable(
  'starts',
  {
    id: key(),
    uid: uid(),
    machineId: machineId(),
    plan: text('plan', { mode: 'json' }).$type<StartPlan>().notNull(),
    configuration: text('configuration', { mode: 'json' }).$type<Configuration>().notNull(),
    atProbe: text('at_probe').notNull(),
    atSwitch: text('at_switch').notNull(),
    begunAt: text('begun_at').notNull(),
    /** Nothing while it runs. */
    endedAt: text('ended_at'),
    outcome: text('outcome').$type<StartOutcome>(),
    why: words('why'),
    onSeconds: real('on_seconds').notNull().default(0),
    samples: text('samples', { mode: 'json' }).$type<StartSample[]>().notNull().default([]),
  },
  t => [index('starts_machine').on(t.machineId), index('starts_open').on(t.endedAt)],
)

/** Every run within a start, from the switch to off, with what called it off and what was noticed. */
export const startRuns = sqliteTable(
  'start_runs',
  {
    id: key(),
    machineId: machineId(),
    startId: integer('start_id')
      .notNull()
      .references(() => starts.id),
    onSeconds: real('on_seconds').notNull(),
    called: text('called', { mode: 'json' }).$type<Finding>(),
    calledAtSeconds: real('called_at_seconds'),
    noticed: text('noticed', { mode: 'json' }).$type<Noticed[]>().notNull().default([]),
    kept: text('kept', { mode: 'json' }).$type<Record<string, number>>().notNull().default({}),
    samples: text('samples', { mode: 'json' }).$type<StartSample[]>().notNull().default([]),
    at: text('at').notNull(),
  },
  t => [index('start_runs_machine').on(t.machineId), index('start_runs_start').on(t.startId)],
)
