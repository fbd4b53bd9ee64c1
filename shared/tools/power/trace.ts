import { z } from 'zod'
import { judgeTrace, traceSides } from '#core/power/trace'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const powerTrace = defineTool({
  id: 'power/trace',
  title: 'Burnt trace',
  summary: 'What a trace carries, loses and melts at, and the wire that stands in for it.',
  input: z.object({
    widthMm: z.number(),
    copperOz: z.number().optional(),
    side: z.enum(traceSides).optional(),
    riseK: z.number().optional(),
    currentA: z.number().optional(),
    lengthMm: z.number().optional(),
    ambientC: z.number().min(-50).max(150).optional(),
    shortSeconds: z.number().optional(),
  }),
  output: z.object({
    thicknessMm: z.number(),
    areaMm2: z.number(),
    currentAtRiseA: z.number(),
    riseK: z.number().nullable(),
    widthForCurrentMm: z.number().nullable(),
    resistanceOhm: z.number().nullable(),
    dropV: z.number().nullable(),
    fusing: z.object({ onderdonkA: z.number(), preeceA: z.number(), shortSeconds: z.number() }),
    wire: z.object({ awg: z.number(), diameterMm: z.number(), areaMm2: z.number(), ohmPerM: z.number() }).nullable(),
    findings: z.array(Finding),
  }),
  example: { widthMm: 0.5, currentA: 2, lengthMm: 60, riseK: 20 },
  run: judgeTrace,
  findings: output => output.findings,
})
