import { z } from 'zod'
import { grips, judgeLift, lifterNames } from '#core/safety/lift'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const safetyLift = defineTool({
  id: 'safety/lift',
  title: 'Lifting',
  summary: 'How much one person may lift this way, and how many people a machine needs.',
  input: z.object({
    massKg: z.number(),
    lifter: z.enum(lifterNames as ['not-said', ...typeof lifterNames]).optional(),
    fromHeightCm: z.number(),
    toHeightCm: z.number(),
    reachCm: z.number().optional(),
    turnDeg: z.number().optional(),
    grip: z.enum(grips).optional(),
    stairs: z.boolean().optional(),
  }),
  output: z.object({
    limitKg: z.number(),
    index: z.number(),
    people: z.number(),
    multipliers: z.object({ reach: z.number(), height: z.number(), distance: z.number(), turn: z.number(), grip: z.number() }),
    findings: z.array(Finding),
  }),
  example: { massKg: 21, fromHeightCm: 20, toHeightCm: 90, reachCm: 30, grip: 'fair' as const },
  run: judgeLift,
  findings: output => output.findings,
})
