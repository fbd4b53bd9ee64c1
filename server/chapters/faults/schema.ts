import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const faults = sqliteTable(
  'faults',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    symptom: text('symptom').notNull(),
    firstSeen: words('first_seen'),
    stopsMachine: flag('stops_machine'),
    open: flag('open').default(true),
  },
  t => [index('faults_machine').on(t.machineId)],
)

export const observations = sqliteTable(
  'observations',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    says: text('says').notNull(),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('observations_fault').on(t.faultId)],
)

export const repairs = sqliteTable(
  'repairs',
  {
    id: key(),
    faultId: integer('fault_id')
      .notNull()
      .references(() => faults.id),
    did: text('did').notNull(),
    closes: flag('closes'),
    at: text('at').notNull(),
  },
  t => [index('repairs_fault').on(t.faultId)],
)
