import { z } from 'zod'
import { sides } from '#core/continuity/board'
import { planProbes, probeKinds } from '#core/continuity/probe-plan'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const name = s.min(1).max(120)
const row = (part: string, pins: string[], xMm: number) => pins.map((net, i) => ({ part, pin: String(i + 1), net, xMm, yMm: i * 2.54 }))

export const continuityProbePlan = defineTool({
  id: 'continuity/probe-plan',
  title: 'A probe sheet',
  summary: 'The fewest checks that prove the nets of a damaged zone whole, then the shorts worth checking, in an order that keeps the probes near.',
  input: z.object({
    pins: z
      .array(
        z.object({ part: name, pin: name, net: name, xMm: n.optional(), yMm: n.optional(), side: z.enum(sides).optional(), socketed: z.boolean().optional() }),
      )
      .max(3000),
    zone: z.object({
      parts: z.array(name).max(200).optional(),
      outline: z
        .array(z.tuple([n, n]))
        .max(500)
        .optional(),
      pins: z.array(name).max(500).optional(),
    }),
    oneHop: z.boolean().optional(),
    supplies: z.array(name).max(100).optional(),
    notSupplies: z.array(name).max(100).optional(),
    bridges: z
      .array(z.object({ part: name, ohm: n }))
      .max(200)
      .optional(),
    known: z
      .array(z.object({ a: name, b: name, joined: z.boolean() }))
      .max(3000)
      .optional(),
  }),
  output: z.object({
    probes: z.array(z.object({ kind: z.enum(probeKinds), a: s, b: s, netA: s, netB: s, expectOhm: n.nullable() })),
    nets: n,
    pairByPair: n,
    spared: n,
    travelMm: n.nullable(),
    findings: z.array(Finding),
  }),
  example: {
    pins: [
      ...row('U7', ['D0', 'D1', 'D2', 'GND'], 0),
      ...row('U9', ['D0', 'D1', 'D2', '+5V'], 40),
      ...row('J2', ['D0', 'GND', '+5V', 'D2'], 80),
      { part: 'R31', pin: '1', net: 'D1', xMm: 60, yMm: 0 },
      { part: 'R31', pin: '2', net: 'KEY', xMm: 60, yMm: 10.16 },
    ],
    zone: { parts: ['U7'] },
    oneHop: true,
    bridges: [{ part: 'R31', ohm: 250 }],
  },
  run: planProbes,
  findings: output => output.findings,
})
