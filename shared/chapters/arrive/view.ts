import { z } from 'zod'
import { DatingShape } from '../../kernel/shapes'
import { ClaimJudged } from './rows'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  about: s,
  /** A model of just its name and maker that it has not been joined to. */
  joins: z.object({ modelId: id, name: s }).nullable(),
  sisters: z.array(z.object({ tag: s, nickname: s, batteryLeaked: b, signedOff: b })),
  /** How many there are; those named are the most telling. */
  sistersInAll: z.number(),
  claims: z.array(z.object({ id, version: z.number(), says: s, byWhom: s, ...ClaimJudged.seen })),
  /** How the claims of the same source have fared over all machines, this one included. */
  sourceFared: z.object({ confirmed: z.number(), refuted: z.number(), undecided: z.number(), open: z.number() }),
  /** The model's usual kit, and what of it came. */
  kit: z.array(z.object({ name: s, came: b, wanted: b })),
  accessories: z.array(z.object({ id, name: s })),
  dateCodes: z.array(z.object({ id, part: s, code: s, reworked: b, socketed: b, says: s })),
  dating: DatingShape.nullable(),
})
