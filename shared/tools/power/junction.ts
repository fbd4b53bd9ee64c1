import { z } from 'zod'
import { pathKinds, readJunctions } from '#core/power/junction'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const leg = z.union([z.literal(1), z.literal(2), z.literal(3)])
const reading = { red: leg, black: leg, volts: z.number().nullable() }

export const powerJunction = defineTool({
  id: 'power/junction',
  title: 'Junctions',
  summary: 'Says what a part of two or three legs is, from readings of the diode test.',
  input: z.object({ legs: z.union([z.literal(2), z.literal(3)]), readings: z.array(z.object(reading)).max(6) }),
  output: z.object({
    like: z.enum(['wire', 'shorted', 'open', 'diode', 'npn', 'pnp', 'unclear']),
    material: z.enum(['silicon', 'germanium']).nullable(),
    base: leg.nullable(),
    anode: leg.nullable(),
    paths: z.array(z.object({ ...reading, kind: z.enum(pathKinds) })),
    findings: z.array(Finding),
  }),
  example: {
    legs: 3 as const,
    readings: [
      { red: 1 as const, black: 2 as const, volts: null },
      { red: 2 as const, black: 1 as const, volts: 0.652 },
      { red: 1 as const, black: 3 as const, volts: null },
      { red: 3 as const, black: 1 as const, volts: null },
      { red: 2 as const, black: 3 as const, volts: 0.648 },
      { red: 3 as const, black: 2 as const, volts: null },
    ],
  },
  run: readJunctions,
  findings: output => output.findings,
})
