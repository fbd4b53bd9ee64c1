import { z } from 'zod'
import { loads } from '#core/power/rails'
import { type MeterState, meterStates } from '#core/power/scpi'
import { noticedNames } from '#core/power/noticed'
import { startPhases } from '#core/power/start-ritual'
import { sampleKinds } from '#core/power/start-watch'
import { warmPartNames } from '#core/power/temperature'
import { bounded, oneOf, optionalQuantity, text } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { WarmTyped } from '../power/index'
import { maybe } from '../supplies/index'
import { startOutcomes } from './words'

const s = z.string()
const b = z.boolean()

const state = z.enum(Object.keys(meterStates) as [MeterState, ...MeterState[]])

const limit = optionalQuantity('A', 'Current limit', { above: 0, upTo: 100 })

export const StartTyped = {
  atProbe: z.number({ error: 'At the probe: choose somebody.' }).int().positive(),
  atSwitch: z.number({ error: 'At the switch: choose somebody.' }).int().positive(),
  byMeter: z.boolean(),
  load: oneOf(loads, 'Load'),
  currentLimitA: limit,
  warm: maybe(WarmTyped.part),
  checked: z.array(z.string().max(200)).max(40).default([]),
}

/** What people and pages tell a running start. Readings of the meter do not come this way. */
export const StartEventTyped = z.discriminatedUnion('do', [
  z.object({ do: z.literal('count-down') }),
  z.object({ do: z.literal('probe'), rail: text('Rail', 30) }),
  z.object({
    do: z.literal('sample'),
    kind: z.enum(sampleKinds),
    value: bounded('Reading', { above: -2000, upTo: 2000 }),
    by: z.literal('hand').default('hand'),
  }),
  z.object({
    do: z.literal('stop'),
    noticed: z
      .enum(noticedNames as ['smoke', ...typeof noticedNames])
      .nullable()
      .default(null),
  }),
  z.object({ do: z.literal('done') }),
  z.object({ do: z.literal('is-off') }),
])

const Sample = z.object({ atSeconds: z.number(), kind: z.enum(sampleKinds), rail: s.optional(), value: z.number().nullable() })

const Noticed = z.array(z.enum(noticedNames as ['smoke', ...typeof noticedNames]))

const Plan = z.object({
  points: z.array(z.object({ rail: s, nominalV: z.number(), tolerancePct: z.number().optional(), point: s })),
  load: z.enum(loads),
  currentLimitA: z.number().nullable(),
  warm: z.enum(warmPartNames as ['chip', ...typeof warmPartNames]).nullable(),
  mostSeconds: z.number(),
  byMeter: b,
})

/** One picture of a running start. `fresh` are the samples that came since the last; with `first` it is everything. */
export const StartFrame = z.object({
  tag: s,
  startId: z.number(),
  plan: Plan,
  atProbe: s,
  atSwitch: s,
  phase: z.enum(startPhases),
  rail: s,
  meter: state,
  /** By the clock of the server, in milliseconds; `nowMs` lets a page with another clock count down right. */
  nowMs: z.number(),
  switchAtMs: z.number().nullable(),
  offAtMs: z.number().nullable(),
  latest: z.object({ kind: z.enum(sampleKinds), value: z.number().nullable() }).nullable(),
  judgement: z.object({ state: z.enum(['calm', 'watch', 'off']), findings: z.array(Finding) }),
  called: Finding.nullable(),
  noticed: Noticed,
  /** The runs before this one. */
  before: z.array(z.object({ onSeconds: z.number(), called: Finding.nullable(), noticed: Noticed })),
  kept: z.record(s, z.number()),
  fresh: z.array(Sample),
  count: z.number(),
  first: b,
  ended: b,
})

export const StartView = z.object({
  id: z.number(),
  plan: Plan,
  configuration: s,
  atProbe: s,
  atSwitch: s,
  begunAt: s,
  endedAt: s.nullable(),
  outcome: z.enum(startOutcomes).nullable(),
  why: s,
  onSeconds: z.number(),
  samples: z.array(Sample),
  /** Every run of it, oldest first. */
  runs: z.array(z.object({ onSeconds: z.number(), called: Finding.nullable(), noticed: Noticed, kept: z.record(s, z.number()) })),
})

export type StartFrame = z.infer<typeof StartFrame>
