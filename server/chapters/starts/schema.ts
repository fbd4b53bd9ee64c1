import type { StartPlan, StartSample } from '#core/power/start-watch'
import type { Configuration } from '#core/safety/configuration'
import type { StartOutcome } from '#shared/chapters/starts/index'
import { index, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
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
