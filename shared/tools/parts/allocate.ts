import { z } from 'zod'
import { type NamedAllocation, allocateByNames } from '#core/parts/allocation/by-names'
import { Finding } from '../../kernel/shapes'
import { defineHeavyTool } from '../tool'

const s = z.string()
const n = z.number()
const name = s.trim().min(1).max(80)
const many = n.int().min(1).max(9999)
const purchase = z.object({ buys: z.array(z.object({ part: s, units: n, cost: n.nullable() })), cost: n.nullable(), starts: z.array(s) }).nullable()

export const partsAllocate = defineHeavyTool({
  id: 'parts/allocate',
  title: 'Who gets what',
  summary:
    'Gives parts to machines so that as much as can comes to life by weight, says what each other lacks, and which one purchase and which two unlock most for their money.',
  input: z.object({
    machines: z
      .array(
        z.object({
          name,
          weight: n.positive().max(1000),
          wants: z
            .array(z.object({ part: name, count: many, starts: z.boolean() }))
            .min(1)
            .max(40),
        }),
      )
      .min(1)
      .max(60),
    parts: z.array(z.object({ name, units: many, from: z.enum(['shelf', 'donor', 'ordered']) })).max(300),
    prices: z.array(z.object({ part: name, each: n.min(0).max(1e6) })).max(300),
  }) as z.ZodType<NamedAllocation>,
  output: z.object({
    gives: z.array(z.object({ part: s, machine: s, want: s, count: n })),
    starts: z.array(s),
    lacks: z.array(z.object({ machine: s, parts: z.array(z.object({ part: s, short: n, wentTo: z.array(s) })) })),
    one: purchase,
    two: purchase,
    findings: z.array(Finding),
  }),
  example: {
    machines: [
      {
        name: 'Ferry accounts',
        weight: 8,
        wants: [
          { part: 'Video card', count: 1, starts: true },
          { part: '12 V fan', count: 1, starts: true },
        ],
      },
      { name: 'Lifeboat house', weight: 12, wants: [{ part: '12 V fan', count: 1, starts: true }] },
      { name: 'Radio hut', weight: 6, wants: [{ part: 'Sound chip', count: 1, starts: false }] },
    ],
    parts: [{ name: '12 V fan', units: 1, from: 'shelf' as const }],
    prices: [
      { part: 'Video card', each: 38 },
      { part: '12 V fan', each: 9.5 },
    ],
  },
  largestBodyBytes: 200_000,
  work: async (input, { solver }) => allocateByNames(input, await solver()),
  findings: output => output.findings,
})
