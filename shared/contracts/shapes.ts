import { z } from 'zod'
import { levels } from '#core/kernel/finding'
import { loads, railVerdicts } from '#core/power/rails'
import { gateVerdicts } from '#core/safety/gate'
import { type PowerFactName, powerFactNames, powerFacts, schools } from '#core/safety/power-facts'
import { oneOf, text } from './fields'

/** Shapes that requests, answers and stored rows share. */

export const Finding = z.object({ level: z.enum(levels), code: z.string(), says: z.string(), because: z.array(z.string()), source: z.string().optional() })

export const ExpectedRail = z.object({
  name: text('Rail', 30),
  nominalV: z.number({ error: 'Type the nominal voltage, such as 5 or -12.' }),
  tolerancePct: z.number().positive().max(50).optional(),
})
export type ExpectedRail = z.output<typeof ExpectedRail>

export const JudgedRail = z.object({
  name: z.string(), nominalV: z.number(), tolerancePct: z.number(), lowV: z.number(), highV: z.number(),
  deciding: z.object({ valueV: z.number(), load: z.enum(loads) }).optional(),
  deviationPct: z.number().optional(),
  verdict: z.enum(railVerdicts), findings: z.array(Finding),
})

const day = z.string()
export const DatingShape = z.object({
  interval: z.object({ notBefore: day, notAfter: day }).nullable(),
  likelyQuarter: z.string().nullable(),
  used: z.array(z.object({ code: z.string(), place: z.string(), socketed: z.boolean(), says: z.string(), firstDay: day, lastDay: day })),
  leftOut: z.array(z.object({ code: z.string(), place: z.string(), why: z.string(), firstDay: day.optional(), lastDay: day.optional() })),
  findings: z.array(Finding),
})

/** What was found of each fact that decides power; left out where nobody has looked. */
export const PowerFactsShape = z.object(Object.fromEntries(powerFactNames.map((name) => {
  const { title, values } = powerFacts[name]
  return [name, oneOf(Object.keys(values) as [string, ...string[]], title).optional()]
})) as Record<PowerFactName, z.ZodOptional<z.ZodEnum<Record<string, string>>>>)

export const SchoolShape = oneOf(schools, 'School')

export const GateShape = z.object({
  verdict: z.enum(gateVerdicts),
  school: SchoolShape,
  findings: z.array(Finding),
  toOpen: z.array(z.object({ code: z.string(), do: z.string(), who: z.string() })),
})
