import { z } from 'zod'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  /** What the model is known for. */
  knownFaults: z.array(s),
  /** What machines of the same model had, and what it turned out to be; the newest. */
  sisterFaults: z.array(z.object({ tag: s, name: s, symptom: s, open: b, did: s })),
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
