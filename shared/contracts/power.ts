import { z } from 'zod'
import { batteryStates, chargings, chemistryNames, replacementNames } from '#core/power/battery'
import { type MeterFunction, type MeterState, meterFunctionNames, meterStates } from '#core/power/scpi'
import { startPhases } from '#core/power/start-ritual'
import { sampleKinds } from '#core/power/start-watch'
import { currentKinds, polarities } from '#core/power/supply-match'
import { warmPartNames } from '#core/power/temperature'
import { loads } from '#core/power/rails'
import { checkConfiguration, configurationKindNames } from '#core/safety/configuration'
import { InputError } from '#core/kernel/input-error'
import { oneOf, optionalQuantity, optionalText, quantity, text } from './fields'
import { Finding } from './shapes'
import { startOutcomes } from './vocabulary'

/** Shapes of supplies, batteries, temperatures, starts and the meter: requests, rows and answers. */

const maybe = <T extends z.ZodType>(shape: T) => shape.nullable().default(null)
type Given<T> = { [K in keyof T]: null extends T[K] ? Exclude<T[K], null> | undefined : T[K] }
/** What was left out is left out, not nothing: the core asks for it that way. */
const withoutNulls = <T extends object>(typed: T) => Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== null)) as Given<T>

const plug = { outerMm: optionalQuantity('', 'Outside, in mm', { above: 0, upTo: 30 }), innerMm: optionalQuantity('', 'Inside, in mm', { above: 0, upTo: 30 }) }
export const InletTyped = z.object({
  voltageV: quantity('V', 'Voltage', { above: 0, upTo: 300 }), tolerancePct: optionalQuantity('', 'Tolerance in %', { above: 0, upTo: 50 }),
  kind: oneOf(currentKinds, 'AC or DC'), polarity: maybe(oneOf(polarities, 'Polarity')), currentA: quantity('A', 'Current', { above: 0, upTo: 100 }),
  regulatedInside: z.boolean().default(false), ...plug,
}).transform(withoutNulls)
export const SupplyTyped = z.object({
  voltageV: quantity('V', 'Voltage', { above: 0, upTo: 300 }), kind: maybe(oneOf(currentKinds, 'AC or DC')), polarity: maybe(oneOf(polarities, 'Polarity')),
  currentA: optionalQuantity('A', 'Current', { above: 0, upTo: 100 }), regulated: maybe(z.boolean()),
  unloadedV: optionalQuantity('V', 'Measured with nothing attached', { above: 0, upTo: 300 }), ...plug,
}).transform(withoutNulls)

export const ConfigurationTyped = {
  kind: oneOf(configurationKindNames as ['whole', ...typeof configurationKindNames], 'Configuration'),
  out: z.array(text('Assembly', 60)).max(60, 'What is out: sixty at most.').default([]),
}
export const ConfigurationShape = z.object(ConfigurationTyped)
/** What the core says of a configuration, at the field. */
export const configurationHolds = (typed: z.output<typeof ConfigurationShape>, context: z.RefinementCtx) => {
  try {
    checkConfiguration(typed)
  }
  catch (error) {
    if (!(error instanceof InputError)) throw error
    context.addIssue({ code: 'custom', path: [error.field], message: error.message })
  }
}

const chemistry = oneOf(chemistryNames as ['unknown', ...typeof chemistryNames], 'Chemistry')
export const BatteryTyped = {
  where: text('Where', 120), chemistry,
  cells: quantity('', 'Cells', { above: 0, upTo: 24 }).pipe(z.number().int('Cells: a whole number, please.')).default(1),
  year: optionalQuantity('', 'Year on it', { above: 1949, upTo: 2100 }),
  state: oneOf(batteryStates, 'State'), fitted: z.boolean(), charging: oneOf(chargings, 'The circuit'),
}
export const ReplacementTyped = z.object({ how: oneOf(replacementNames as ['none', ...typeof replacementNames], 'In its place'), chemistry, diode: z.boolean().default(false) })
/** Not settled yet, where no way is chosen; what else stands in the form does not count then. */
export const ReplacementChosen = z.looseObject({}).nullish().transform(given => (given?.how ? given : null)).pipe(ReplacementTyped.nullable())

const celsius = quantity('', 'Temperature in °C', { above: -40.001, upTo: 400 })
export const WarmTyped = { part: oneOf(warmPartNames as ['chip', ...typeof warmPartNames], 'What'), where: optionalText('Which', 120) }
export const TemperatureTyped = { ...WarmTyped, celsius }
export const WarmLog = z.array(z.object({ atSeconds: z.number().min(0).max(1e7), celsius: z.number().min(-40).max(400) })).min(1, 'The log has no temperatures.').max(4000, 'The log: 4000 rows at most.')

const limit = optionalQuantity('A', 'Current limit', { above: 0, upTo: 100 })
export const StartTyped = {
  atProbe: z.number({ error: 'At the probe: choose somebody.' }).int().positive(), atSwitch: z.number({ error: 'At the switch: choose somebody.' }).int().positive(),
  byMeter: z.boolean(), load: oneOf(loads, 'Load'), currentLimitA: limit, warm: maybe(WarmTyped.part),
  checked: z.array(z.string().max(40)).max(40).default([]),
}

/** What people and pages tell a running start. Readings of the meter do not come this way. */
export const StartEventTyped = z.discriminatedUnion('do', [
  z.object({ do: z.literal('count-down') }),
  z.object({ do: z.literal('probe'), rail: text('Rail', 30) }),
  z.object({ do: z.literal('sample'), kind: z.enum(sampleKinds), value: quantity('', 'Reading', { above: -2000, upTo: 2000 }), by: z.literal('hand').default('hand') }),
  z.object({ do: z.literal('stop'), says: text('What was noticed', 200) }),
  z.object({ do: z.literal('done') }),
  z.object({ do: z.literal('is-off') }),
])
export const MeterQuestion = z.object({ what: z.enum(meterFunctionNames as [MeterFunction, ...MeterFunction[]]) })
/** What the stand-in of the meter is told of the machine that it simulates. */
export const SimulationTyped = z.object({ scenario: text('Scenario', 30).optional(), switchedOn: z.boolean().optional() })

const s = z.string()
const b = z.boolean()
const state = z.enum(Object.keys(meterStates) as [MeterState, ...MeterState[]])

export const MeterView = z.object({
  host: s, port: z.number().nullable(), state,
  /** Who it says it is; empty before it answered. */
  identity: s,
  /** Scenarios of the simulated machine, where the meter is the stand-in; and the one that runs. */
  simulation: z.object({ scenarios: z.array(z.object({ name: s, says: s })), scenario: s, switchedOn: b }).nullable(),
})
export const MeterReading = z.object({ state, value: z.number().nullable(), overload: b, settled: b, unit: s, says: s })

const Sample = z.object({ atSeconds: z.number(), kind: z.enum(sampleKinds), rail: s.optional(), value: z.number().nullable() })
const Plan = z.object({
  points: z.array(z.object({ rail: s, nominalV: z.number(), tolerancePct: z.number().optional(), point: s })),
  load: z.enum(loads), currentLimitA: z.number().nullable(), warm: z.enum(warmPartNames as ['chip', ...typeof warmPartNames]).nullable(), mostSeconds: z.number(), byMeter: b,
})

/** One picture of a running start. `fresh` are the samples that came since the last; with `first` it is everything. */
export const StartFrame = z.object({
  tag: s, startId: z.number(), plan: Plan, atProbe: s, atSwitch: s, phase: z.enum(startPhases), rail: s, meter: state,
  /** By the clock of the server, in milliseconds; `nowMs` lets a page with another clock count down right. */
  nowMs: z.number(), switchAtMs: z.number().nullable(), offAtMs: z.number().nullable(),
  latest: z.object({ kind: z.enum(sampleKinds), value: z.number().nullable() }).nullable(),
  judgement: z.object({ state: z.enum(['calm', 'watch', 'off']), findings: z.array(Finding) }), called: Finding.nullable(),
  kept: z.record(s, z.number()), fresh: z.array(Sample), count: z.number(), first: b, ended: b,
})
export type StartFrame = z.infer<typeof StartFrame>
export type MeterView = z.infer<typeof MeterView>
export type MeterReading = z.infer<typeof MeterReading>

export const StartView = z.object({
  id: z.number(), plan: Plan, configuration: s, atProbe: s, atSwitch: s, begunAt: s, endedAt: s.nullable(), outcome: z.enum(startOutcomes).nullable(), why: s, onSeconds: z.number(), samples: z.array(Sample),
})
export const BatteryView = z.object({
  id: z.number(), version: z.number(), where: s, chemistry, cells: z.number(), year: z.number().nullable(), state: z.enum(batteryStates), fitted: b, charging: z.enum(chargings),
  replacement: ReplacementTyped.nullable(), findings: z.array(Finding),
})
export const SupplyView = z.object({ id: z.number(), version: z.number(), name: s, place: s, label: z.custom<import('#core/power/supply-match').Supply>(), active: b })
export type SupplyView = z.infer<typeof SupplyView>
export const TemperatureView = z.object({ id: z.number(), part: WarmTyped.part, where: s, samples: z.array(z.object({ atSeconds: z.number(), celsius: z.number() })), readings: z.number(), highestC: z.number(), at: s, by: s, findings: z.array(Finding) })
