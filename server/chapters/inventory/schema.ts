import type { Mounting, SocketNeed } from '#core/identify/inventory/read-inventory'
import { integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core'
import { flag, key, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

/** What a machine is made of, a line for like parts that begin at a place, or for an empty socket. */
export const inventoryLines = sqliteTable(
  'inventory_lines',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    assembly: text('assembly').notNull(),
    place: text('place').notNull(),
    count: integer('count').notNull(),
    marking: words('marking'),
    organisation: words('organisation'),
    mounting: text('mounting').$type<Mounting>().notNull().default('not-known'),
    need: text('need').$type<SocketNeed>().notNull().default('not-known'),
    label: words('label'),
    dateCode: words('date_code'),
    unused: flag('unused').default(false),
    note: words('note'),
    /** It was looked at in this machine; what a sister has is not, before somebody did. */
    looked: flag('looked').default(true),
  },
  t => [uniqueIndex('inventory_lines_place').on(t.machineId, t.assembly, t.place)],
)
