import { z } from 'zod'
import { bases, mapAddresses } from '#core/diagnosis/address-map'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

const n = z.number()
const s = z.string()
const address = z.union([s.max(50), n])
const Region = z.object({ name: s, from: n, to: n, bytes: n, written: z.tuple([s, s]) })

export const diagnosisAddressMap = defineTool({
  id: 'diagnosis/address-map',
  title: 'Addresses',
  summary: 'A map of an address space in hex, octal or decimal: sizes, gaps, overlaps, and where an address lies.',
  input: z.object({
    bits: n,
    base: z.enum(bases),
    regions: z.array(z.object({ name: s.max(60), from: address, to: address })).max(200),
    ask: address.optional(),
  }),
  output: z.object({
    spaceBytes: n,
    regions: z.array(Region),
    gaps: z.array(Region),
    asked: z.object({ value: n, hex: s, octal: s, decimal: s, binary: s, region: s }).nullable(),
    findings: z.array(Finding),
  }),
  example: {
    bits: 22,
    base: 'octal',
    regions: [
      { name: 'memory', from: '0', to: '17757777' },
      { name: 'input and output', from: '17760000', to: '17777777' },
    ],
    ask: '17777560',
  },
  run: mapAddresses,
  findings: output => output.findings,
})
