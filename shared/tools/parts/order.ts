import { z } from 'zod'
import { type ListsToOrder, orderByLists } from '#core/parts/recap/by-lists'
import { Finding } from '../../kernel/shapes'
import { defineHeavyTool } from '../tool'

const s = z.string()
const n = z.number()
const name = s.trim().min(1).max(80)

export const partsOrder = defineHeavyTool({
  id: 'parts/order',
  title: 'Order capacitors',
  summary:
    'One order over the lists of several machines: like ones together, the shelf first, whole packs, breaks in price and postage; the least that it can cost.',
  input: z.object({
    lists: z
      .array(z.object({ machine: name, typed: s.max(5000) }))
      .min(1)
      .max(12),
    shelf: z.array(z.object({ part: name, units: n.int().min(1).max(9999) })).max(200),
    prices: z.array(z.object({ supplier: name, postage: n.min(0).max(1000), typed: s.max(20_000) })).max(6),
    spares: n.int().min(0).max(20),
  }) as z.ZodType<ListsToOrder>,
  output: z.object({
    suppliers: z.array(z.object({ supplier: s, postage: n, lines: z.array(z.object({ part: s, units: n, each: n, cost: n })) })),
    values: z.array(z.object({ says: s, wanted: n, fromShelf: n, bought: n, short: n })),
    cost: n,
    findings: z.array(Finding),
  }),
  example: {
    lists: [
      { machine: 'Lifeboat house', typed: 'C3, C4 220u 35V axial\nC5 4700u 25V axial' },
      { machine: 'Ferry accounts', typed: 'C4 470u 35V radial\nC8-C11 100u 25V radial' },
    ],
    shelf: [{ part: '470u 35V radial', units: 1 }],
    prices: [
      {
        supplier: 'a shop abroad',
        postage: 6.9,
        typed: 'part;pack;price;from 10\n100u 25V radial;1;0.12;0.08\n220u 63V axial;1;1.20;\n4700u 40V axial;1;3.80;',
      },
      { supplier: 'the counter of the radio club', postage: 0, typed: 'part;price\n100u 25V radial;0.20\n220u 35V axial;1.60' },
    ],
    spares: 0,
  },
  largestBodyBytes: 200_000,
  work: async (input, { solver }) => orderByLists(input, await solver()),
  findings: output => output.findings,
})
