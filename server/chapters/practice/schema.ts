import type { BoardSchool, PlasticSchool } from '#core/cleaning/words'
import type { CapacitorSchool } from '#core/parts/recap/schools'
import type { Replacement } from '#core/power/battery'
import type { School } from '#core/safety/power-facts'
import { sql } from 'drizzle-orm'
import { check, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { version, words } from '../../kernel/columns'

/** The collection's practice: one row. */
export const practice = sqliteTable(
  'practice',
  {
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
    /** How fouled boards are cleaned, and what is done about yellowed plastic. */
    boardSchool: text('board_school').$type<BoardSchool>().notNull().default('spot'),
    plasticSchool: text('plastic_school').$type<PlasticSchool>().notNull().default('leave'),
    /** Which old capacitors are changed, and when. */
    capacitorSchool: text('capacitor_school').$type<CapacitorSchool>().notNull().default('after-start'),
    /** Where the meter answers; nothing while there is none. */
    meterHost: words('meter_host'),
    meterPort: integer('meter_port'),
  },
  t => [check('one_row', sql`${t.id} = 1`)],
)
