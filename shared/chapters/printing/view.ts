import { z } from 'zod'
import { labelKinds } from './commands'

const s = z.string()
/** `held`: a person says what is to happen. */
const printStates = ['waiting', 'sending', 'sent', 'printed', 'held'] as const
export type PrintState = (typeof printStates)[number]

/** The printer as the server sees it, and what waits for it. */
export const PrinterView = z.object({
  uri: s,
  version: z.number(),
  says: s,
  ready: z.boolean(),
  jobs: z.array(z.object({ id: z.number(), kind: z.enum(labelKinds), tag: s, state: z.enum(printStates), says: s, at: s, by: s })),
})
export type PrinterView = z.infer<typeof PrinterView>
