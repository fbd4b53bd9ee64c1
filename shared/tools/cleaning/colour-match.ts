import { z } from 'zod'
import { matchColour, matches } from '#core/cleaning/colour'
import { Finding, MeasuredColour } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
export const cleaningColourMatch = defineTool({
  id: 'cleaning/colour-match',
  title: 'Colour match',
  summary: 'Whether a part looks like its reference: CIEDE2000, yellowness by ASTM E313, in words, with the error of measuring.',
  input: z.object({ part: MeasuredColour, reference: MeasuredColour }),
  output: z.object({
    deltaE: n,
    deltaEError: n,
    deltaL: n,
    deltaB: n,
    partYellowness: n,
    referenceYellowness: n,
    match: z.enum(matches),
    findings: z.array(Finding),
  }),
  example: { part: { l: 76.2, a: 1.8, b: 19.4, error: 1 }, reference: { l: 82.5, a: -0.3, b: 6.1, error: 1 } },
  run: matchColour,
  findings: output => output.findings,
})
