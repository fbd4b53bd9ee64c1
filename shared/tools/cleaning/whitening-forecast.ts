import { z } from 'zod'
import { forecastWhitening, whiteningStates } from '#core/cleaning/whitening-forecast'
import { Band, Finding, MeasuredColour } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningWhiteningForecast = defineTool({
  id: 'cleaning/whitening-forecast',
  title: 'Whitening forecast',
  summary: 'Hours still wanted by a yellowed part, when to measure again, and when to stop.',
  input: z.object({
    reference: MeasuredColour,
    measured: z.array(MeasuredColour.extend({ hours: n })).max(200),
    hoursNow: n.optional(),
    goalB: n.optional(),
    mixed: z.boolean().optional(),
    similarTauHours: z.array(n).max(100).optional(),
  }),
  output: z.object({
    state: z.enum(whiteningStates),
    nowB: n,
    nowBError: n,
    endB: Band.nullable(),
    tauHours: n.nullable(),
    deltaE: n,
    wantedHours: z.object({ low: n, mid: n.nullable(), high: n.nullable() }).nullable(),
    nextHours: n,
    overshootRisk: n.nullable(),
    curve: z.array(Band.extend({ hours: n })),
    basis: z.enum(['fit', 'similar', 'none']),
    findings: z.array(Finding),
  }),
  example: {
    reference: { l: 84, a: -0.5, b: 5, error: 0.4 },
    measured: [
      { hours: 0, l: 74, a: 2.4, b: 24.1, error: 0.4 },
      { hours: 4, l: 77, a: 1.6, b: 17.5, error: 0.4 },
      { hours: 8, l: 79, a: 0.9, b: 13.2, error: 0.4 },
      { hours: 14, l: 81, a: 0.4, b: 9.1, error: 0.4 },
    ],
    goalB: 1,
  },
  run: forecastWhitening,
  findings: output => output.findings,
})
