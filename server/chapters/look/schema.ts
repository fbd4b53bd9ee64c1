import type { AssemblyRole } from '#core/condition/assembly-roles'
import type { DamageKind, Severity } from '#core/condition/damage'
import type { Presence } from '#core/condition/grades'
import type { InterventionKind, InterventionState } from '#core/condition/interventions'
import type { Mark, Scale } from '#core/condition/marks'
import type { CheckOutcome } from '#shared/chapters/look/index'
import type { CorrosionInputs } from '#shared/kernel/shapes'
import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, uid, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const assemblies = sqliteTable(
  'assemblies',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    name: text('name').notNull(),
    presence: text('presence').$type<Presence>().notNull().default('not-looked'),
    grade: integer('grade'),
    note: words('note'),
    /** What it is for, as somebody said; nothing while its name alone proposes. */
    role: text('role').$type<AssemblyRole>(),
  },
  t => [index('assemblies_machine').on(t.machineId)],
)

export const damages = sqliteTable(
  'damages',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    assemblyId: integer('assembly_id').references(() => assemblies.id),
    kind: text('kind').$type<DamageKind>().notNull(),
    where: text('place').notNull(),
    extent: words('extent'),
    severity: text('severity').$type<Severity>().notNull(),
    at: words('at'),
    /** Where it is marked: photograph and shape. A plain number, for photographs know of machines already. */
    photographId: integer('photograph_id'),
    mark: text('mark', { mode: 'json' }).$type<Mark>(),
    /** Why it stays as patina; empty where it is not left. */
    patina: words('patina'),
    struckBy: struckBy(),
  },
  t => [index('damages_machine').on(t.machineId)],
)

/** A photograph's file, stored once however many machines show it. */
export const files = sqliteTable('files', {
  hash: text('hash').primaryKey(),
  mime: text('mime').notNull(),
  bytes: integer('bytes').notNull(),
  /** As it is shown, with its orientation honoured. */
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  /** By the camera's own clock, which knows no zone; empty where it says nothing. */
  takenAt: words('taken_at'),
  keptAt: text('kept_at').notNull(),
})

const photographId = () => integer('photograph_id').references(() => photographs.id)

export const photographs = sqliteTable(
  'photographs',
  {
    id: key(),
    uid: uid(),
    machineId: machineId(),
    version: version(),
    hash: text('hash')
      .notNull()
      .references(() => files.hash),
    name: text('name').notNull(),
    assemblyId: integer('assembly_id').references(() => assemblies.id),
    caption: words('caption'),
    scale: text('scale', { mode: 'json' }).$type<Scale>(),
    /** The machine is known by it; of one machine, by one at most. */
    portrait: flag('portrait').default(false),
    at: text('at').notNull(),
    byWhom: words('by_whom'),
    struckBy: struckBy(),
  },
  t => [index('photographs_machine').on(t.machineId)],
)

export const corrosions = sqliteTable(
  'corrosions',
  {
    id: key(),
    machineId: machineId(),
    photographId: photographId().notNull(),
    what: text('what').notNull(),
    inputs: text('inputs', { mode: 'json' }).$type<CorrosionInputs>().notNull(),
    steel: flag('steel'),
    areaPct: real('area_pct').notNull(),
    errorPct: real('error_pct').notNull(),
    at: text('at').notNull(),
    byWhom: words('by_whom'),
    struckBy: struckBy(),
  },
  t => [index('corrosions_machine').on(t.machineId)],
)

/** A check that damage implied, once somebody has done it. */
export const checksDone = sqliteTable(
  'checks_done',
  {
    id: key(),
    machineId: machineId(),
    code: text('code').notNull(),
    outcome: text('outcome').$type<CheckOutcome>().notNull(),
    note: words('note'),
    at: text('at').notNull(),
    byWhom: words('by_whom'),
    struckBy: struckBy(),
  },
  t => [index('checks_done_machine').on(t.machineId)],
)

export const interventions = sqliteTable(
  'interventions',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    kind: text('kind').$type<InterventionKind>().notNull(),
    assemblyId: integer('assembly_id').references(() => assemblies.id),
    where: text('place').notNull(),
    note: words('note'),
    state: text('state').$type<InterventionState>().notNull(),
    photographId: photographId(),
    at: words('at'),
    struckBy: struckBy(),
  },
  t => [index('interventions_machine').on(t.machineId)],
)
