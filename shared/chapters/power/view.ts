import { z } from 'zod'
import { replacementNames } from '#core/power/battery'
import { offVerdicts } from '#core/power/off-state'
import { loads, railVerdicts } from '#core/power/rails'
import type { Brick } from '#core/power/brick'
import type { Inlet } from '#core/power/supply-match'
import { gateVerdicts } from '#core/safety/gate-words'
import type { Opening } from '#core/kernel/heard'
import { ExpectedRail, Finding, GateShape, HazardShape, JudgedRail, PowerFactsShape, SchoolShape } from '../../kernel/shapes'
import { SupplyView } from '../supplies/index'
import { BatteryView, ConfigurationShape, TemperatureView } from './shapes'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  power: z.object({
    /** The facts that count; what people entered; and what was measured or recorded, which counts before it. */
    version: z.number(),
    facts: PowerFactsShape,
    entered: PowerFactsShape,
    measured: PowerFactsShape,
    inspectedBy: s,
    inspectedById: z.number().nullable(),
    /** What was found outside the facts and the gate hears, and what may have done harm and nobody has explained. */
    heard: z.array(z.object({ finding: Finding, open: z.custom<Opening>().optional() })),
    alarms: z.array(z.object({ key: s, at: s, finding: Finding })),
    bench: z.array(z.object({ feeds: s, voltageV: z.number(), limitA: z.number(), polarityChecked: b })),
    /** Places that are looked at before a battery that has leaked counts as home. */
    placesToLook: z.array(z.object({ says: s, done: b })),
    school: SchoolShape,
    ownSchool: SchoolShape.nullable(),
    /** The newest measurement of every expected rail with the power off. */
    offState: z.array(
      z.object({
        rail: s,
        nominalV: z.number(),
        last: z
          .object({
            ohm: z.number().nullable(),
            reversedOhm: z.number().nullable().optional(),
            loadAttached: b,
            at: s,
            verdict: z.enum(offVerdicts),
            findings: z.array(Finding),
          })
          .nullable(),
      }),
    ),
    gate: GateShape,
    inForce: z.enum(gateVerdicts),
    overrule: z.object({ verdict: z.enum(gateVerdicts), reason: s, by: s }).nullable(),
    /** Every change of the verdict that held, newest first. */
    history: z.array(z.object({ at: s, by: s, verdict: z.enum(gateVerdicts), why: s })),
    configuration: ConfigurationShape,
    batteries: z.array(BatteryView),
    batterySchool: z.enum(replacementNames as ['none', ...typeof replacementNames]),
    inlet: z.custom<Inlet>().nullable(),
    /** The supply that came with it, by the words of the door. */
    brick: z.custom<Brick>().nullable(),
    supplyId: z.number().nullable(),
    supplies: z.array(SupplyView),
    /** Seen to before a start. */
    startChecks: z.array(z.object({ code: s, do: s, why: s, known: b.nullable() })),
    takesMains: b,
    firstLimitA: z.number().nullable(),
    temperatures: z.array(TemperatureView),
  }),
  hazards: z.array(HazardShape.extend({ version: z.number(), by: s, at: s })),
  /** Sentences that sound like a danger, and nobody has said yet what they were. */
  sayings: z.array(z.object({ id: z.number(), kind: HazardShape.shape.kind, sentence: s, at: s, by: s })),
  expectedRails: z.array(ExpectedRail),
  /** Every reading there is; those of another configuration say nothing of this one. */
  readings: z.array(z.object({ id, rail: s, valueV: z.number(), load: z.enum(loads), at: s, configuration: s, here: b, keptOff: b })),
  /** Rails that moved between two visits. */
  drifts: z.array(z.object({ rail: s, finding: Finding })),
  rails: z.object({ rails: z.array(JudgedRail), verdict: z.enum(railVerdicts), findings: z.array(Finding) }).nullable(),
})
