import { z } from 'zod'
import { judgeResources, readCards, resourceKinds } from '#core/mend/resources'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineHeavyTool } from '../tool'

const s = z.string()
const kind = z.enum(keysOf(resourceKinds))
const clash = z.object({ kind, cards: z.tuple([s, s]), where: s })

export const mendResources = defineHeavyTool({
  id: 'mend/resources',
  title: 'Cards that collide',
  summary: 'Reads which interrupts, channels, ports and memory cards take and could take, says where they collide, and which fewest changes end it.',
  input: z.object({ cards: s.max(20_000) }),
  output: z.object({
    clashes: z.array(clash),
    changes: z.array(z.object({ card: s, kind, from: s, to: s })),
    left: z.array(clash),
    findings: z.array(Finding),
  }),
  example: {
    cards:
      'Sound: irq 7 or 5; dma 1 or 3; port 220-22F or 240-24F\nPrinter: irq 7; port 378-37F\nNetwork: irq 5 or 9; port 300-31F or 280-29F\nDisk controller: irq 14; port 1F0-1F7; mem C8000-CBFFF\nScanner: dma 1; port 22C-22F or 2A0-2A3',
  },
  largestBodyBytes: 40_000,
  work: async ({ cards }, { solver }) => judgeResources(readCards(cards), await solver()),
  findings: output => output.findings,
})
