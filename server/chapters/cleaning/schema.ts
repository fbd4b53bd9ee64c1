import type { ContaminationKind, ContaminationState } from '#core/cleaning/contamination'
import type { StepKind } from '#core/cleaning/plan'
import type { BoardSchool, Material, Method, PlasticSchool, Soil, Working } from '#core/cleaning/words'
import type { CautionName } from '#core/safety/cautions'
import type { ExposureKind, Sealant } from '#shared/chapters/cleaning/index'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const cleanings = sqliteTable(
  'cleanings',
  {
    id: key(),
    machineId: machineId(),
    what: text('what').notNull(),
    withWhat: text('with_what').notNull(),
    byWhom: words('by_whom'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('cleanings_machine').on(t.machineId)],
)

/** The practice of cleaning where this machine differs from the collection. */
export const cleaningSchools = sqliteTable('cleaning_schools', {
  machineId: machineId().primaryKey(),
  boards: text('boards').$type<BoardSchool>(),
  plastic: text('plastic').$type<PlasticSchool>(),
})

/** What a part is made of and soiled with. */
export const cleaningParts = sqliteTable(
  'cleaning_parts',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    name: text('name').notNull(),
    materials: text('materials', { mode: 'json' }).$type<Material[]>().notNull(),
    soils: text('soils', { mode: 'json' }).$type<Soil[]>().notNull(),
    works: text('works').$type<Working>().notNull(),
    socketed: flag('socketed').default(false),
  },
  t => [index('cleaning_parts_machine').on(t.machineId)],
)

/** Steps of the plan; those that were done or left out stay when it is made anew. */
export const cleaningSteps = sqliteTable(
  'cleaning_steps',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    part: text('part').notNull(),
    kind: text('kind').$type<StepKind>().notNull(),
    method: text('method').$type<Method>(),
    says: text('says').notNull(),
    why: words('why'),
    minutes: integer('minutes').notNull(),
    cautions: text('cautions', { mode: 'json' }).$type<CautionName[]>().notNull(),
    waitWhat: words('wait_what'),
    waitHours: real('wait_hours'),
    /** Whoever takes it; a plain number, for people belong to the collection. */
    personId: integer('person_id'),
    state: text('state').$type<'open' | 'done' | 'left'>().notNull().default('open'),
    note: words('note'),
    doneBy: words('done_by'),
    at: text('at').notNull(),
  },
  t => [index('cleaning_steps_machine').on(t.machineId)],
)

/** What got into a machine, and how far it has left again. */
export const contaminations = sqliteTable(
  'contaminations',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    kind: text('kind').$type<ContaminationKind>().notNull(),
    where: text('where').notNull(),
    says: words('says'),
    state: text('state').$type<ContaminationState>().notNull().default('present'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('contaminations_machine').on(t.machineId)],
)

/** Copper that cleaning laid bare. */
export const bareCoppers = sqliteTable(
  'bare_coppers',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    where: text('where').notNull(),
    at: text('at').notNull(),
    sealedAt: text('sealed_at'),
    sealedWith: text('sealed_with').$type<Sealant>(),
    struckBy: struckBy(),
  },
  t => [index('bare_coppers_machine').on(t.machineId)],
)

/** Small parts that were taken off by count; the photograph is the map of where each goes back. */
export const countedParts = sqliteTable(
  'counted_parts',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    what: text('what').notNull(),
    out: integer('out').notNull(),
    back: integer('back'),
    /** A plain number, for photographs know of machines already. */
    photographId: integer('photograph_id'),
    note: words('note'),
    at: text('at').notNull(),
  },
  t => [index('counted_parts_machine').on(t.machineId)],
)

export const dryings = sqliteTable(
  'dryings',
  {
    id: key(),
    machineId: machineId(),
    what: text('what').notNull(),
    errorG: real('error_g').notNull(),
    leftG: real('left_g').notNull(),
    startedAt: text('started_at').notNull(),
    endedAt: text('ended_at'),
    /** Why it was taken up before it was dry by its mass. */
    endedWet: words('ended_wet'),
  },
  t => [index('dryings_machine').on(t.machineId)],
)
export const weighings = sqliteTable(
  'weighings',
  {
    id: key(),
    machineId: machineId(),
    dryingId: integer('drying_id').notNull(),
    massG: real('mass_g').notNull(),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('weighings_machine').on(t.machineId)],
)

/** Yellowed parts that are followed by their colour; the reference is the part that was never yellowed. */
export const whitenings = sqliteTable(
  'whitenings',
  {
    id: key(),
    machineId: machineId(),
    name: text('name').notNull(),
    plastic: words('plastic'),
    goalB: real('goal_b').notNull(),
    reference: text('reference', { mode: 'json' }).$type<{ l: number; a: number; b: number; error: number }>().notNull(),
    /** Its time constant once it has ended and could be fitted, for parts like it. */
    tauHours: real('tau_hours'),
    endedAt: text('ended_at'),
    outcome: words('outcome'),
    relookOn: text('relook_on'),
  },
  t => [index('whitenings_machine').on(t.machineId), index('whitenings_plastic').on(t.plastic)],
)
export const whiteningColours = sqliteTable(
  'whitening_colours',
  {
    id: key(),
    machineId: machineId(),
    whiteningId: integer('whitening_id').notNull(),
    l: real('l').notNull(),
    a: real('a').notNull(),
    b: real('b').notNull(),
    error: real('error').notNull(),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('whitening_colours_machine').on(t.machineId)],
)
export const whiteningExposures = sqliteTable(
  'whitening_exposures',
  {
    id: key(),
    machineId: machineId(),
    whiteningId: integer('whitening_id').notNull(),
    how: text('how').$type<ExposureKind>().notNull(),
    hours: real('hours').notNull(),
    strengthPct: real('strength_pct'),
    temperatureC: real('temperature_c'),
    turned: flag('turned').default(false),
    note: words('note'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('whitening_exposures_machine').on(t.machineId)],
)
