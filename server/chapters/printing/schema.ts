import type { labelKinds } from '#shared/chapters/printing/index'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'

/** The one printer of labels; no address means none. */
export const printers = sqliteTable('printers', { id: integer('id').primaryKey(), version: version(), uri: words('uri') })

/** Labels that wait for the printer, or were sent to it. */
export const printJobs = sqliteTable(
  'print_jobs',
  {
    id: key(),
    kind: text('kind').$type<(typeof labelKinds)[number]>().notNull(),
    tag: text('tag').notNull(),
    origin: text('origin').notNull(),
    state: text('state').$type<'waiting' | 'sent' | 'printed'>().notNull().default('waiting'),
    says: words('says'),
    /** The number that the printer gave it. */
    printerJob: integer('printer_job'),
    at: text('at').notNull(),
    by: text('by').notNull(),
  },
  t => [index('print_jobs_state').on(t.state)],
)
