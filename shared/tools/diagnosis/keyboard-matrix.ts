import { z } from 'zod'
import { type MatrixKey, judgeMatrix, keyStates } from '#core/diagnosis/keyboard-matrix'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const b = z.boolean()
const name = s.min(1).max(40)
const keys = z.array(s)

const Faults = z.array(
  z.union([
    z.object({ kind: z.enum(['line', 'part', 'drive']), line: s, keys }),
    z.object({ kind: z.literal('trace'), line: s, after: s, keys }),
    z.object({ kind: z.enum(['contact', 'diode', 'common']), keys }),
  ]),
)

/** Six columns of four keys, two columns dead; the rest works. */
const exampleKeys: MatrixKey[] = Array.from('1234QWERTYASDFGHZXCVBNM,', (key, i) => ({
  key,
  row: `R${(i % 4) + 1}`,
  column: `C${Math.floor(i / 4) + 1}`,
  state: i >= 8 && i < 16 ? 'fails' : 'works',
}))

export const diagnosisKeyboardMatrix = defineTool({
  id: 'diagnosis/keyboard-matrix',
  title: 'Keyboard matrix',
  summary: 'Which lines, traces, diodes or contacts explain the keys that fail, whether it is the electronics, and what to measure next.',
  input: z.object({
    keys: z
      .array(z.object({ key: name, row: name, column: name, state: z.enum(keyStates) }))
      .max(200)
      .describe('Every key with its two lines. With `fromConnector` in the order in which the lines pass them, the key nearest to the connector first.'),
    fromConnector: b.optional().describe('The keys are in the order of the lines, from the connector on. Without it no break is placed along a line.'),
    diodes: b.optional(),
    printed: b.optional(),
    lines: z
      .array(z.object({ line: name, ohm: n.min(0).max(1e12).nullable() }))
      .max(100)
      .optional()
      .describe('Measured from the connector to the far end of the line; null for open.'),
    drops: z
      .array(z.object({ key: name, volts: n.min(-100).max(100).nullable() }))
      .max(200)
      .optional(),
    shorted: z
      .array(z.object({ row: name, column: name, types: b }))
      .max(100)
      .optional(),
  }),
  output: z.object({
    faults: Faults,
    explanations: z.array(Faults),
    explanationsAtLeast: n,
    keyByKey: n,
    side: z.enum(['electronics', 'keys', 'unknown']),
    measure: z.array(z.object({ what: s, expect: s })),
    findings: z.array(Finding),
  }),
  example: { keys: exampleKeys, fromConnector: true, printed: true, lines: [{ line: 'C3', ohm: 3600 }], shorted: [{ row: 'R1', column: 'C3', types: true }] },
  run: judgeMatrix,
  findings: output => output.findings,
})
