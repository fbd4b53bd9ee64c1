import type { Skill } from '#core/kernel/skills'
import type { Role } from '#shared/kernel/roles'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, uid, version } from '../../kernel/columns'

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

/** Where somebody is signed in: one row for each browser, gone once it is ended or signed out. */
export const sessions = sqliteTable(
  'sessions',
  {
    uid: text('uid').primaryKey(),
    personId: integer('person_id')
      .notNull()
      .references(() => people.id),
    /** The browser, in its own words. */
    browser: text('browser').notNull(),
    openedAt: text('opened_at').notNull(),
    seenAt: text('seen_at').notNull(),
  },
  t => [index('sessions_person').on(t.personId)],
)
