import { z } from 'zod'
import { type PartCondition } from '#core/parts/ledger'
import type { OfferKind } from '#core/sharing/sought'
import type { NeedStops } from '#core/parts/needs'
import { word } from '../../kernel/fields'

const s = z.string()
const n = z.number()

/** On a machine’s sheet: whether what it wants stands on the public list, and with what. */
export const view = z.object({
  wantsShown: z.object({ shows: z.boolean(), says: s, photographId: n.nullable(), boardOpen: z.boolean(), photographs: z.array(z.object({ id: n, says: s })) }),
})

/** A part that is sought, as anybody may read it. */
export const SoughtPart = z.object({
  key: s,
  name: s,
  count: n,
  like: s,
  stops: word<NeedStops>(),
  /** Substitutes, each with its limit; nothing stated, and nobody knows. */
  wouldDo: z.array(z.object({ name: s, limit: s, firstStart: z.boolean() })),
  /** The model that it is for, and who made that. */
  model: s,
  says: s,
  byWhen: s.nullable(),
  since: s,
  picture: z.boolean(),
})
export type SoughtPart = z.infer<typeof SoughtPart>
export const SparedPart = z.object({ key: s, name: s, count: n, like: s, condition: word<PartCondition>(), since: s })
export type SparedPart = z.infer<typeof SparedPart>
/** The public list: what is sought, and what can be spared. */
export const SoughtView = z.object({ collection: s, greeting: s, updated: s, wanted: z.array(SoughtPart), spared: z.array(SparedPart) })
export type SoughtView = z.infer<typeof SoughtView>

/** What was said to a line of the list, for whoever looks it over. */
const OfferInView = z.object({
  id: n,
  version: n,
  kind: word<OfferKind>(),
  name: s,
  tag: s.nullable(),
  who: s,
  reach: s,
  says: s,
  at: s,
  /** Of the house. */
  ours: z.boolean(),
  taken: z.boolean(),
})
export const OffersView = z.object({ offers: z.array(OfferInView), board: z.object({ version: n, open: z.boolean(), greeting: s }) })
export type OffersView = z.infer<typeof OffersView>
