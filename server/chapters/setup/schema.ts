import type { SettingKind } from '#core/identify/settings/settings'
import { integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** Jumpers, switches, trimmers and pages of a machine: how they were found, and how they stand since somebody changed them. */
export const settings = sqliteTable(
  'settings',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    assembly: text('assembly').notNull(),
    name: text('name').notNull(),
    kind: text('kind').$type<SettingKind>().notNull(),
    before: words('before'),
    beforeReading: words('before_reading'),
    photographId: integer('photograph_id'),
    /** How it stands now; nothing while it stands as it was found. */
    now: text('now'),
    nowReading: words('now_reading'),
    turns: real('turns'),
    why: words('why'),
    changedAt: text('changed_at'),
  },
  t => [uniqueIndex('settings_name').on(t.machineId, t.assembly, t.name)],
)
