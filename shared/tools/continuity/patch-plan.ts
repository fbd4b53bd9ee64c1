import { z } from 'zod'
import { sides } from '#core/continuity/board'
import { planPatch } from '#core/continuity/patch-plan'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const name = s.min(1).max(120)
const spot = { xMm: n, yMm: n }

export const continuityPatchPlan = defineTool({
  id: 'continuity/patch-plan',
  title: 'Patch wires',
  summary: 'The shortest wires that join the pieces of a broken net, on legs rather than bare pads, round sockets and holes; what to cut.',
  input: z.object({
    pieces: z.array(z.array(z.object({ name, ...spot, side: z.enum(sides).optional(), leg: z.boolean().optional() })).max(100)).max(40),
    keepOuts: z
      .array(z.object({ outline: z.array(z.tuple([n, n])).max(40), why: s.max(120) }))
      .max(40)
      .optional(),
    vias: z.array(z.object(spot)).max(2000).optional(),
    currentA: n.optional(),
    mostDropV: n.optional(),
    side: z.enum(['front', 'back']).optional(),
  }),
  output: z.object({
    wires: z.array(z.object({ a: s, b: s, way: z.array(z.object(spot)), lengthMm: n, slackMm: n, cutMm: n })),
    totalCutMm: n,
    wire: z.object({ awg: n, diameterMm: n, areaMm2: n, ohmPerM: n }),
    findings: z.array(Finding),
  }),
  example: {
    pieces: [
      [{ name: 'U7.12', xMm: 10, yMm: 12, leg: true }],
      [
        { name: 'R31.1', xMm: 42, yMm: 9, leg: true },
        { name: 'TP3', xMm: 36, yMm: 20, leg: false },
      ],
      [{ name: 'J2.4', xMm: 60, yMm: 30, leg: true }],
    ],
    keepOuts: [
      {
        outline: [
          [20, 2],
          [30, 2],
          [30, 24],
          [20, 24],
        ] as [number, number][],
        why: 'socket of U8',
      },
    ],
    vias: [{ xMm: 52, yMm: 20.7 }],
    currentA: 0.1,
  },
  run: planPatch,
  findings: output => output.findings,
})
