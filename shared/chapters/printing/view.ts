import { z } from 'zod'
import { labelKinds } from './commands'

const s = z.string()

export const view = z.object({})

/** The printer as the server sees it, and what waits for it. */
export const PrinterView = z.object({
  uri: s,
  version: z.number(),
  says: s,
  ready: z.boolean(),
  jobs: z.array(z.object({ id: z.number(), kind: z.enum(labelKinds), tag: s, state: z.enum(['waiting', 'sent', 'printed']), says: s, at: s, by: s })),
})
export type PrinterView = z.infer<typeof PrinterView>
