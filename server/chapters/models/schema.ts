import type { Bulletin } from '#core/sharing/bulletins'
import type { Inlet } from '#core/power/supply-match'
import type { ExpectedRail } from '#shared/kernel/shapes'
import { integer, real, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import { key, uid, version, words } from '../../kernel/columns'

/** What is known of a model: the parts it is made of and the rails to expect. */
export const models = sqliteTable(
  'models',
  {
    id: key(),
    uid: uid(),
    version: version(),
    maker: words('maker'),
    name: text('name').notNull(),
    about: words('about'),
    assemblies: text('assemblies', { mode: 'json' }).$type<string[]>().notNull(),
    /** What it is usually complete with. */
    usualKit: text('usual_kit', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** Board issues and variants, each with how to tell it. */
    variants: text('variants', { mode: 'json' }).$type<string[]>().notNull().default([]),
    knownFaults: text('known_faults', { mode: 'json' }).$type<string[]>().notNull().default([]),
    weightKg: real('weight_kg'),
    madeFrom: integer('made_from'),
    madeTo: integer('made_to'),
    /** What its inlet wants; nothing where it takes mains itself. */
    inlet: text('inlet', { mode: 'json' }).$type<Inlet>(),
    /** What was learned on machines of it. */
    bulletins: text('bulletins', { mode: 'json' }).$type<Bulletin[]>().notNull().default([]),
    rails: text('rails', { mode: 'json' }).$type<ExpectedRail[]>().notNull(),
  },
  t => [unique().on(t.maker, t.name)],
)
