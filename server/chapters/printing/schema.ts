import type { PrintState, labelKinds } from '#shared/chapters/printing/index'
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { key, version, words } from '../../kernel/columns'

/** The one printer of labels; no address means none. */
export const printers = sqliteTable('printers', { id: integer('id').primaryKey(), version: version(), uri: words('uri') })

/**
 * Labels for the printer. One that may have been printed already, or that the printer broke off, is held until a person says what is to happen:
 * nothing is printed twice by itself.
 */
export const printJobs = sqliteTable(
  'print_jobs',
  {
    id: key(),
    kind: text('kind').$type<(typeof labelKinds)[number]>().notNull(),
    tag: text('tag').notNull(),
    origin: text('origin').notNull(),
    state: text('state').$type<PrintState>().notNull().default('waiting'),
    says: words('says'),
    /** The number that the printer gave it. */
    printerJob: integer('printer_job'),
    /** When it was sent; ISO, UTC. */
    sentAt: text('sent_at'),
    at: text('at').notNull(),
    by: text('by').notNull(),
  },
  t => [index('print_jobs_state').on(t.state)],
)
