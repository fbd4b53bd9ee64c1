import { z } from 'zod'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  faults: z.array(
    z.object({
      id,
      version: z.number(),
      symptom: s,
      firstSeen: s,
      stopsMachine: b,
      open: b,
      observations: z.array(z.object({ id, says: s, at: s })),
      repairs: z.array(z.object({ id, did: s, closes: b, at: s })),
    }),
  ),
})
