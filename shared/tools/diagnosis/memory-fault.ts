import { z } from 'zod'
import { judgeMemory, memoryFaultKinds } from '#core/diagnosis/memory-fault'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const whole = n.int().min(0).max(Number.MAX_SAFE_INTEGER)
const name = s.min(1).max(40)
const chips = (first: number) => Array.from({ length: 8 }, (_, i) => `IC${first + i}`)

export const diagnosisMemoryFault = defineTool({
  id: 'diagnosis/memory-fault',
  title: 'A failing address',
  summary: 'From failing addresses, what was expected and what was read: the bits, the chip by its place, an address line, or something that is no memory.',
  input: z.object({
    widthBits: n,
    bitsPerChip: n,
    banks: z.array(z.object({ name, from: whole, to: whole, ways: n.int().min(1).max(64).optional(), chips: z.array(name).max(64) })).max(64),
    failures: z.array(z.object({ address: whole, expected: whole, read: whole })).max(5000),
    addressInData: z.boolean().optional(),
    onlyAfterWaiting: z.boolean().optional(),
    passes: whole.optional(),
    failedPasses: whole.optional(),
  }),
  output: z.object({
    kind: z.enum(memoryFaultKinds),
    bits: z.array(z.object({ bit: n, failures: n, stuck: z.enum(['0', '1', 'either']) })),
    chips: z.array(z.object({ place: s, bank: s, bits: z.array(n), failures: n })),
    addressLine: n.nullable(),
    addressLines: z.array(n),
    findings: z.array(Finding),
  }),
  example: {
    widthBits: 8,
    bitsPerChip: 1,
    banks: [
      { name: 'bank 0', from: 0x4000, to: 0x7fff, chips: chips(3) },
      { name: 'bank 1', from: 0x8000, to: 0xffff, chips: chips(11) },
    ],
    failures: [
      { address: 0x8120, expected: 0x55, read: 0x5d },
      { address: 0x91a4, expected: 0x55, read: 0x5d },
      { address: 0xa3ff, expected: 0x00, read: 0x08 },
      { address: 0xb002, expected: 0x55, read: 0x5d },
    ],
  },
  run: judgeMemory,
  findings: output => output.findings,
})
