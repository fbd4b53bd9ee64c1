import { z } from 'zod'
import { judgeLines, lineKinds } from '#core/signals/judge-lines'
import { madeUpCapture } from '#core/signals/made-up'
import { readCapture } from '#core/signals/read-capture'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()

export const signalsCapture = defineTool({
  id: 'signals/capture',
  title: 'A capture',
  summary: 'Each line of a capture: stuck, half height, toggling, regular or not, in step with another; and whether code is being executed.',
  input: z.object({ text: s.max(1_000_000) }),
  output: z.object({
    lines: z.array(
      z.object({
        name: s,
        kind: z.enum(lineKinds),
        changes: n,
        rateHz: n.nullable(),
        duty: n.nullable(),
        scatter: n.nullable(),
        inStep: z.array(z.object({ with: s, inverted: z.boolean() })),
      }),
    ),
    executing: z.enum(['yes', 'no', 'unknown']),
    findings: z.array(Finding),
  }),
  example: { text: madeUpCapture('running', { changes: 2600 }) },
  run: ({ text }) => judgeLines(readCapture(text)),
  findings: output => output.findings,
})
