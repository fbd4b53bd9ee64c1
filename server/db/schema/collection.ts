import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { sql } from 'drizzle-orm'
import type { School } from '#core/safety/power-facts'
import type { Role } from '#shared/contracts/vocabulary'
import { flag, key, uid, version } from './columns'

/** The collection's practice: one row. */
export const practice = sqliteTable('practice', {
  id: integer('id').primaryKey(),
  version: version(),
  name: text('name').notNull(),
  school: text('school').$type<School>().notNull(),
  numbering: text('numbering').notNull(),
  zone: text('zone').notNull(),
  /** ISO 4217 code of the money it counts in. */
  currency: text('currency').notNull().default('EUR'),
}, t => [check('one_row', sql`${t.id} = 1`)])

export const people = sqliteTable('people', {
  id: key(),
  uid: uid(),
  version: version(),
  name: text('name').notNull(),
  signInName: text('sign_in_name').notNull().unique(),
  passwordHash: text('password_hash').notNull(),
  role: text('role').$type<Role>().notNull(),
  active: flag('active').default(true),
})
