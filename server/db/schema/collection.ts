import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { sql } from 'drizzle-orm'
import type { Replacement } from '#core/power/battery'
import type { Supply } from '#core/power/supply-match'
import type { Skill } from '#core/safety/skills'
import type { School } from '#core/safety/power-facts'
import type { Role } from '#shared/contracts/vocabulary'
import { flag, key, uid, version, words } from './columns'

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
  /** What is fitted in the place of a lost battery. */
  batterySchool: text('battery_school').$type<Replacement>().notNull().default('remote-holder'),
  /** Where the meter answers; nothing while there is none. */
  meterHost: words('meter_host'),
  meterPort: integer('meter_port'),
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
  /** What a coordinator has granted. */
  skills: text('skills', { mode: 'json' }).$type<Skill[]>().notNull().default([]),
})

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
