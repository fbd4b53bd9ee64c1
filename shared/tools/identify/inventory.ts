import { z } from 'zod'
import { inventoryByList } from '#core/identify/inventory/by-list'
import { partKinds } from '#core/identify/inventory/known-parts'
import { mostLetters } from '#core/identify/inventory/read-inventory'
import { keysOf } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { defineTool } from '../tool'

export const identifyInventory = defineTool({
  id: 'identify/inventory',
  title: 'Inventory',
  summary: 'Reads chips and sockets as they are read off a board, counts what they hold, and lays it beside what was said of the machine.',
  input: z.object({ typed: z.string().max(mostLetters), claim: z.string().max(300), published: z.string().max(300) }),
  output: z.object({
    groups: z.array(
      z.object({
        type: z.string(),
        kind: z.enum(keysOf(partKinds)).nullable(),
        says: z.string(),
        count: z.number(),
        organisation: z.string(),
        bytes: z.number().nullable(),
        banks: z.string(),
      }),
    ),
    ramBytes: z.number(),
    romBytes: z.number(),
    wrong: z.array(z.object({ line: z.number(), says: z.string() })),
    findings: z.array(Finding),
  }),
  example: {
    typed: 'U1 4116 16x socketed 8214\nU17-U24 4116 soldered 8212\nU30, U31 2316 "basic"\nU40 74LS245 2x\nU50 empty needed\nVR1 7805',
    claim: '52K in all',
    published: '16 KB\n48 KB',
  },
  run: inventoryByList,
  findings: output => output.findings,
})
