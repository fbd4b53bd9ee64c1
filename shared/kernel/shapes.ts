import { z } from 'zod'
import { presences } from '#core/condition/grades'
import { markForms } from '#core/condition/marks'
import { type Path, paths } from '#core/condition/triage'
import { concerns, levels } from '#core/kernel/finding'
import { loads, railVerdicts } from '#core/power/rails'
import { gateVerdicts } from '#core/safety/gate-words'
import { type HazardKind, hazardKindNames, hazardStates } from '#core/safety/hazards'
import { type PowerFactName, powerFactNames, powerFacts, schools } from '#core/safety/power-facts'
import { type Skill, skillNames } from '#core/kernel/skills'
import { type WorkAsked, worksAsked } from '#core/stewardship/consent'
import { oneOf, text } from './fields'

/** Shapes that requests, answers and stored rows share. */

export const Finding = z.object({
  level: z.enum(levels),
  code: z.string(),
  says: z.string(),
  because: z.array(z.string()),
  source: z.string().optional(),
  open: z.enum(['not-looked', 'unsettled', 'not-signed']).optional(),
  concerns: z.enum(concerns).optional(),
  when: z.enum(['by-itself', 'dry', 'powered']).optional(),
  fact: z.string().optional(),
  heard: z.enum(['elsewhere', 'nowhere']).optional(),
  shows: z.literal('in-long-use').optional(),
  begun: z.literal('anew').optional(),
})

/** A figure with the limits between which it lies about 95 times of 100. */
export const Band = z.object({ low: z.number(), mid: z.number(), high: z.number() })
/** CIE L*a*b* for D65 and 2°; its error as one standard deviation of a colour difference. */
export const MeasuredColour = z.object({ l: z.number(), a: z.number(), b: z.number(), error: z.number() })

export const ExpectedRail = z.object({
  name: text('Rail', 30),
  nominalV: z
    .number({ error: 'Type the nominal voltage, such as 5 or -12.' })
    .refine(v => v !== 0, 'A rail of 0 V is ground: type the nominal voltage, such as 5 or -12.')
    .refine(v => Math.abs(v) >= 0.1 && Math.abs(v) <= 1000, 'Nominal voltage: from 0.1 up to 1000 V, with either sign. Look at its unit.'),
  tolerancePct: z.number().min(0.1, 'Tolerance: from 0.1 up to 50 %.').max(50, 'Tolerance: from 0.1 up to 50 %.').optional(),
  /** Test point or pin at which it is measured. */
  point: z.string().trim().max(80, 'Test point: at most 80 characters, please.').optional(),
})
export type ExpectedRail = z.output<typeof ExpectedRail>
/** Rails of one machine or model: twenty at most, each under a name of its own. */
export const ExpectedRails = z
  .array(ExpectedRail)
  .max(20, 'Rails: twenty at most.')
  .superRefine((rails, context) => {
    rails.forEach(({ name }, i) => {
      const twice = rails.findIndex(r => r.name === name) < i
      if (twice) context.addIssue({ code: 'custom', path: [i, 'name'], message: `Rail: ${name} is named twice. Give each a name of its own.` })
    })
  })

export const JudgedRail = z.object({
  name: z.string(),
  nominalV: z.number(),
  tolerancePct: z.number(),
  lowV: z.number(),
  highV: z.number(),
  deciding: z.object({ valueV: z.number(), load: z.enum(loads) }).optional(),
  deviationPct: z.number().optional(),
  verdict: z.enum(railVerdicts),
  findings: z.array(Finding),
})

/** A point as shares of width and height. */
const PointShape = z.tuple([z.number().min(0).max(1), z.number().min(0).max(1)]).readonly()
export const MarkShape = z.object({ form: z.enum(markForms), points: z.array(PointShape).min(1).max(2000) })
export const ScaleShape = z.object({ from: PointShape, to: PointShape, distanceMm: z.number().positive().max(5000) })

/** What a measurement of corrosion was made from, so that it can be made again. */
export const CorrosionInputs = z.object({
  outline: z.array(PointShape).max(2000),
  corroded: z.array(PointShape).min(1).max(60),
  sound: z.array(PointShape).min(1).max(60),
  threshold: z.number().gt(0).lt(1),
})
export type CorrosionInputs = z.output<typeof CorrosionInputs>

const range = z.object({ low: z.number(), high: z.number() })
export const TriageShape = z.object({
  paths: z.array(
    z.object({
      path: z.enum(Object.keys(paths) as [Path, ...Path[]]),
      title: z.string(),
      terms: z.array(z.object({ says: z.string(), weight: z.number() })),
      balance: z.number(),
      findings: z.array(Finding),
      ask: z.array(z.string()),
    }),
  ),
  wouldChange: z.array(z.object({ says: z.string(), to: z.enum(Object.keys(paths) as [Path, ...Path[]]) })),
  nextLooks: z.array(z.object({ name: z.string(), minutes: z.number(), changes: z.number(), gainPerHour: z.number() })),
  ask: z.array(z.string()),
  findings: z.array(Finding),
})
const criterion = z.number().int().min(0, 'From 0, not at all, to 3, very much.').max(3, 'From 0, not at all, to 3, very much.')
export const SignificanceShape = z.object({ historic: criterion, research: criterion, rarity: criterion, completeness: criterion, show: criterion })
export const ConsentShape = z.object({
  allowed: z.array(z.enum(Object.keys(worksAsked) as [WorkAsked, ...WorkAsked[]])),
  upTo: z.number().min(0),
  mustAsk: z.string(),
})
export const TriageInputShape = z.object({
  assemblies: z
    .array(z.object({ name: z.string(), presence: z.enum(presences), grade: z.number().int().min(0).max(3).nullable(), irreplaceable: z.boolean().optional() }))
    .min(1)
    .max(100),
  significance: SignificanceShape,
  hours: range,
  cost: range,
  sisters: z.object({ running: z.number().int().min(0), wanting: z.number().int().min(0) }),
  ours: z.boolean(),
  consent: ConsentShape.nullable().optional(),
  currency: z.string().max(3).optional(),
})

export const FixingShape = z.object({ count: z.number(), head: z.string(), lengthMm: z.number().nullable(), tray: z.string(), back: z.number().nullable() })
const day = z.string()
export const DatingShape = z.object({
  interval: z.object({ notBefore: day, notAfter: day }).nullable(),
  likelyQuarter: z.string().nullable(),
  used: z.array(z.object({ code: z.string(), place: z.string(), socketed: z.boolean(), says: z.string(), firstDay: day, lastDay: day })),
  leftOut: z.array(z.object({ code: z.string(), place: z.string(), why: z.string(), firstDay: day.optional(), lastDay: day.optional() })),
  findings: z.array(Finding),
})

/** What was found of each fact that decides power; left out where nobody has looked. */
export const PowerFactsShape = z.object(
  Object.fromEntries(
    powerFactNames.map(name => {
      const { title, values } = powerFacts[name]
      return [name, oneOf(Object.keys(values) as [string, ...string[]], title).optional()]
    }),
  ) as Record<PowerFactName, z.ZodOptional<z.ZodEnum<Record<string, string>>>>,
)

export const HazardShape = z.object({
  kind: oneOf(hazardKindNames as [HazardKind, ...HazardKind[]], 'Hazard'),
  state: oneOf(hazardStates, 'State'),
  evidence: z.array(z.string()),
  settled: z.boolean().default(true),
  seen: z.boolean().optional(),
})

export const SchoolShape = oneOf(schools, 'School')

export const SkillShape = z.enum(skillNames as [Skill, ...Skill[]])
export const GateShape = z.object({
  verdict: z.enum(gateVerdicts),
  school: SchoolShape,
  findings: z.array(Finding),
  toOpen: z.array(
    z.object({
      code: z.string(),
      do: z.string(),
      who: z.string(),
      skill: SkillShape.optional(),
      about: z.string().optional(),
      leave: SkillShape.optional(),
      pair: z.literal(true).optional(),
      moved: z.literal(true).optional(),
    }),
  ),
})
