import type { Supply } from '#core/power/supply-match'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, version, words } from '../../kernel/columns'

/** External and bench supplies that the collection keeps. */
export const supplies = sqliteTable('supplies', {
  id: key(),
  uid: uid(),
  version: version(),
  name: text('name').notNull(),
  place: words('place'),
  /** What stands on its label, and what was measured of it. */
  label: text('label', { mode: 'json' }).$type<Supply>().notNull(),
  active: flag('active').default(true),
})
