import { z } from 'zod'
import { partOutcomes } from './words'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  parts: z.array(z.object({ id, version: z.number(), name: s, quantity: z.number(), stopsStart: b, outcome: z.enum(partOutcomes) })),
})

export const WantedPart = z.object({ id, version: z.number(), tag: s, machine: s, name: s, quantity: z.number(), stopsStart: b, wantedAt: s })

export type WantedPart = z.infer<typeof WantedPart>
