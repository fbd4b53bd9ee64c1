import { z } from 'zod'
import { partKindNames } from '#core/diagnosis/part-priors'
import { outcomes } from '#core/diagnosis/swap'

const b = z.boolean()
const name = z.string().trim().min(1, 'Part: give it a name.').max(80, 'Part: up to 80 characters, please.')
const count = z.number().int().min(1).max(10_000)

/** A part that takes part in swaps, as it travels and is kept. */
export const SwapPartShape = z.object({
  name,
  kind: z.enum(partKindNames),
  place: z.string().trim().max(40).optional(),
  prior: z.number().gt(0).lt(1).optional(),
  harms: b.optional(),
  precious: b.optional(),
  knownGood: b.optional(),
  optional: b.optional(),
  atHand: b.optional(),
  minutes: z.number().min(0).max(10_000).optional(),
})
export const SwapParts = z.array(SwapPartShape).max(40, 'Parts: up to 40 on one board, please.')
/** A swap that was tried. */
export const SwapTrial = z.object({
  parts: z.array(name).min(1, 'Say what took part.').max(40),
  outcome: z.enum(outcomes),
  runs: count.default(1),
  failures: z.number().int().min(0).max(10_000).optional(),
  trusted: b.default(true),
})
