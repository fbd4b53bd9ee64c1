import { z } from 'zod'
import { type MeterFunction, type MeterState, meterFunctionNames, meterStates } from '#core/power/scpi'
import { text } from '../../kernel/fields'

const s = z.string()
const b = z.boolean()

const state = z.enum(Object.keys(meterStates) as [MeterState, ...MeterState[]])

export const MeterQuestion = z.object({
  what: z.enum(meterFunctionNames as [MeterFunction, ...MeterFunction[]]),
  /** The check whose two pins the probes are on: its figure has to stand still for longer, and a simulated board has to know. */
  probing: z
    .object({ checkId: z.number().int().positive(), beyond: z.boolean(), /** They are to be lifted off them. */ lifted: z.boolean().default(false) })
    .optional(),
  /** The rail that the probes are on, or are to be lifted off: all that is done with it is to tell a stand-in. */
  rail: z.object({ nominalV: z.number().refine(v => v !== 0), lifted: z.boolean() }).optional(),
})
export type MeterQuestion = z.input<typeof MeterQuestion>

/** What the stand-in of the meter is told of the machine that it simulates. */
export const SimulationTyped = z.object({ scenario: text('Scenario', 30).optional(), switchedOn: z.boolean().optional() })

export const MeterView = z.object({
  host: s,
  port: z.number().nullable(),
  state,
  /** Who it says it is; empty before it answered. */
  identity: s,
  /** Whether it says which function it is set to, so that no figure is taken for another; nothing before it was asked. */
  tellsFunction: b.nullable(),
  /** Scenarios of the simulated machine, where the meter is the stand-in; and the one that runs. */
  simulation: z.object({ scenarios: z.array(z.object({ name: s, says: s })), scenario: s, switchedOn: b }).nullable(),
})

export const MeterReading = z.object({
  state,
  value: z.number().nullable(),
  overload: b,
  settled: b,
  unit: s,
  says: s,
  /** Every figure, where they do not agree; nothing for open. */ moved: z.array(z.number().nullable()),
})

export type MeterView = z.infer<typeof MeterView>
export type MeterReading = z.infer<typeof MeterReading>
