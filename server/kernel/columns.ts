import { integer, text } from 'drizzle-orm/sqlite-core'

/** Columns that many tables share. Instants are ISO strings in UTC, days ISO dates. */
export const key = () => integer('id').primaryKey({ autoIncrement: true })
export const uid = () => text('uid').notNull().unique()
export const version = () => integer('version').notNull().default(1)
export const flag = (name: string) => integer(name, { mode: 'boolean' }).notNull()
export const words = (name: string) => text(name).notNull().default('')
/** The journal entry that struck this row; empty while it stands. */
export const struckBy = () => integer('struck_by')
