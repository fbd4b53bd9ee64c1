import { z } from 'zod'
import { outcomes, reasonSwaps } from '#core/diagnosis/swap'
import { SwapPartShape } from '../../chapters/faults/index'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const b = z.boolean()
const name = s.min(1).max(80)
const names = z.array(name).max(40)

const Next = z.object({ parts: z.array(s), puts: z.array(s), takes: z.array(s), runs: n, minutes: n, gainBits: n, says: s })

export const diagnosisSwap = defineTool({
  id: 'diagnosis/swap',
  title: 'Swaps',
  summary: 'Which part, or which two or three, explain every test so far, how likely each is, and the next test that tells most for its minutes.',
  input: z.object({
    parts: z.array(SwapPartShape).max(40),
    tests: z.array(z.object({ parts: names, outcome: z.enum(outcomes), runs: n.optional(), failures: n.optional(), trusted: b.optional() })).max(30),
  }),
  output: z.object({
    explanations: z.array(z.object({ parts: z.array(s), share: n })),
    suspects: z.array(z.object({ part: s, share: n })),
    good: z.array(s),
    next: z.array(Next),
    refused: z.array(z.object({ parts: z.array(s), why: s })),
    findings: z.array(Finding),
  }),
  example: {
    parts: [
      { name: 'Bench supply', kind: 'supply', knownGood: true },
      { name: 'Its cable', kind: 'lead' },
      { name: 'Drive A', kind: 'drive' },
      { name: 'Drive B', kind: 'drive' },
      { name: 'Controller', kind: 'controller' },
      { name: 'Controller of a sister', kind: 'controller' },
    ],
    tests: [
      { parts: ['Bench supply', 'Its cable', 'Drive A', 'Controller'], outcome: 'fails' },
      { parts: ['Bench supply', 'Its cable', 'Drive B', 'Controller'], outcome: 'fails' },
    ],
  },
  run: reasonSwaps,
  findings: output => output.findings,
})
