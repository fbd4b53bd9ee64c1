import type { BatteryState, Charging, Chemistry, Fitted } from '#core/power/battery'
import type { BenchOutput } from '#core/power/bench'
import type { OffStateInput } from '#core/power/off-state'
import type { Load } from '#core/power/rails'
import type { WarmPart, WarmSample } from '#core/power/temperature'
import type { Configuration } from '#core/safety/configuration'
import type { GateVerdict } from '#core/safety/gate-words'
import type { HazardKind, HazardState } from '#core/safety/hazards'
import type { PowerFactName, PowerFacts, School } from '#core/safety/power-facts'
import { index, integer, real, sqliteTable, text, unique } from 'drizzle-orm/sqlite-core'
import { flag, key, struckBy, version, words } from '../../kernel/columns'
import { machineId } from '../../kernel/trunk'

export const powerAssessments = sqliteTable(
  'power_assessments',
  {
    machineId: machineId().primaryKey(),
    version: version(),
    facts: text('facts', { mode: 'json' }).$type<PowerFacts>().notNull(),
    /** When each fact was answered last. */
    answeredAt: text('answered_at', { mode: 'json' }).$type<Partial<Record<PowerFactName, string>>>().notNull().default({}),
    /** Somebody of the collection with leave to inspect, and the name under which it was signed. */
    inspectedById: integer('inspected_by_id'),
    inspectedBy: words('inspected_by'),
    /** Whether its battery was ever found leaking; stays true after cleaning, for the sake of its sisters. */
    batteryHasLeaked: flag('battery_has_leaked').default(false),
    /** The school for this machine; empty for the collection's. */
    school: text('school').$type<School>(),
    /** What of it is connected just now. */
    configuration: text('configuration', { mode: 'json' }).$type<Configuration>().notNull().default({ kind: 'whole', out: [] }),
    /** What a bench supply is set to, where one feeds it. */
    bench: text('bench', { mode: 'json' }).$type<BenchOutput[]>().notNull().default([]),
    /** The external supply that it runs from; a plain number, for supplies belong to the collection. */
    supplyId: integer('supply_id'),
    overruleVerdict: text('overrule_verdict').$type<GateVerdict>(),
    overruleReason: words('overrule_reason'),
    overruledBy: words('overruled_by'),
    /** What the gate rested on when it was overruled; when that changes, the overrule ends. */
    overruleBasis: words('overrule_basis'),
  },
  t => [index('power_assessments_supply').on(t.supplyId)],
)

export const readings = sqliteTable(
  'readings',
  {
    id: key(),
    machineId: machineId(),
    rail: text('rail').notNull(),
    valueV: real('value_v').notNull(),
    load: text('load').$type<Load>().notNull(),
    /** What was connected, as `keyOf` files it. */ configuration: text('configuration').notNull().default('whole'),
    /** It was on while it was to be kept off. */
    keptOff: flag('kept_off').default(false),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('readings_machine').on(t.machineId)],
)

/** Resistances of rails to ground, measured before anything is powered. */
export const offReadings = sqliteTable(
  'off_readings',
  {
    id: key(),
    machineId: machineId(),
    rail: text('rail').notNull(),
    reading: text('reading', { mode: 'json' }).$type<OffStateInput>().notNull(),
    configuration: text('configuration').notNull().default('whole'),
    at: text('at').notNull(),
    struckBy: struckBy(),
  },
  t => [index('off_readings_machine').on(t.machineId)],
)

/** What somebody found out about a hazard; one row a kind, the newest finding holds. */
export const hazards = sqliteTable(
  'hazards',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    kind: text('kind').$type<HazardKind>().notNull(),
    state: text('state').$type<HazardState>().notNull(),
    evidence: text('evidence').notNull(),
    at: text('at').notNull(),
    byWhom: text('by_whom').notNull(),
  },
  t => [unique().on(t.machineId, t.kind)],
)

export const batteries = sqliteTable(
  'batteries',
  {
    id: key(),
    machineId: machineId(),
    version: version(),
    where: text('place').notNull(),
    chemistry: text('chemistry').$type<Chemistry>().notNull(),
    cells: integer('cells').notNull().default(1),
    year: integer('year'),
    state: text('state').$type<BatteryState>().notNull(),
    fitted: flag('fitted'),
    charging: text('charging').$type<Charging>().notNull(),
    replacement: text('replacement', { mode: 'json' }).$type<Fitted>(),
    /** When it was recorded or last changed. */
    at: words('at'),
    struckBy: struckBy(),
  },
  t => [index('batteries_machine').on(t.machineId)],
)

/** Temperatures of one part, a single one or a log. */
export const temperatures = sqliteTable(
  'temperatures',
  {
    id: key(),
    machineId: machineId(),
    part: text('part').$type<WarmPart>().notNull(),
    where: words('place'),
    samples: text('samples', { mode: 'json' }).$type<WarmSample[]>().notNull(),
    /** What is told of the samples, so that a long log is not read at every turn. */
    lastC: real('last_c').notNull().default(0),
    highestC: real('highest_c').notNull().default(0),
    climbKPerMin: real('climb_k_per_min'),
    at: text('at').notNull(),
    byWhom: words('by_whom'),
    struckBy: struckBy(),
  },
  t => [index('temperatures_machine').on(t.machineId)],
)

/** What somebody found out about an alarm: what it was, and what was done. It answers what was measured until then. */
export const explanations = sqliteTable(
  'explanations',
  {
    id: key(),
    machineId: machineId(),
    alarm: text('alarm').notNull(),
    says: text('says').notNull(),
    at: text('at').notNull(),
    byWhom: words('by_whom'),
    struckBy: struckBy(),
  },
  t => [index('explanations_machine').on(t.machineId)],
)
