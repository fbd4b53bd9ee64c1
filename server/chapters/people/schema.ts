import type { Skill } from '#core/safety/skills'
import type { Role } from '#shared/kernel/roles'
import { sqliteTable, text } from 'drizzle-orm/sqlite-core'
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
