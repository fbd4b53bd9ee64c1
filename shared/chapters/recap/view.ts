import { z } from 'zod'
import type { CapacitorMeasured, CapacitorVerdict } from '#core/parts/recap/measured'
import type { CapacitorState } from '#core/parts/recap/rules'
import type { CapacitorSchool, Due } from '#core/parts/recap/schools'
import type { Spec } from '#core/parts/substitute/compare'
import { word } from '../../kernel/fields'
import { Finding } from '../../kernel/shapes'
import { Capacitor, type Fixing } from './rows'

const id = z.number()
const n = z.number()
const s = z.string()
const spec = z.custom<Spec>()

export const view = z.object({
  recap: z.object({
    school: word<CapacitorSchool>(),
    /** It differs from the collection's. */
    ownSchool: z.boolean(),
    photographs: z.array(z.object({ id, says: s })),
    capacitors: z.array(
      z.object({
        id,
        version: n,
        ...Capacitor.seen,
        spec,
        fixing: word<Fixing>(),
        plus: s,
        bagged: z.boolean(),
        photographId: n.nullable(),
        measured: z.custom<CapacitorMeasured | null>(),
        state: word<CapacitorState>(),
        due: word<Due>(),
        why: s,
        verdict: word<CapacitorVerdict>().nullable(),
        findings: z.array(Finding),
      }),
    ),
    /** Sisters whose list could be taken over. */
    from: z.array(z.object({ tag: s, nickname: s, capacitors: n, variant: s })),
    /** What is known of its model, issue by issue, and would add to its list. */
    known: z.array(z.object({ variant: s, capacitors: n, sameIssue: z.boolean() })),
    /** Its own issue, where that is written down. */
    issue: s,
    /** The model and issue that its own list could be kept for; nothing where it is of no known model. */
    keptFor: s.nullable(),
  }),
})

/** What of the shelf would go into a place. */
export const CapacitorOffer = z.object({ heldId: id, name: s, lies: s, says: s })
export type CapacitorOffer = z.infer<typeof CapacitorOffer>

/** Places of capacitors on a board of its model, with the nets that each lies between. */
export const BoardPlaces = z.object({ board: s, issue: s, places: z.array(z.object({ place: s, nets: z.tuple([s, s]) })) })
export type BoardPlaces = z.infer<typeof BoardPlaces>

/** Suppliers whose prices are kept. */
export const PricesView = z.object({ suppliers: z.array(z.object({ supplier: s, lines: n, postage: n.nullable(), setAt: s })) })
export type PricesView = z.infer<typeof PricesView>

const line = z.object({
  says: s,
  spec,
  wants: z.array(z.object({ tag: s, machine: s, places: z.array(s) })),
  wanted: n,
  withSpares: n,
  fromStock: z.array(z.object({ name: s, lies: s, count: n, coming: z.boolean() })),
  bought: z.array(z.object({ supplier: s, name: s, count: n })),
  short: n,
  /** What is made nearest to it, where nothing on the lists fits. */
  nearest: s.nullable(),
})
/** One order for the lists of several machines: what is wanted, where it comes from, and what it costs. */
export const RecapOrderView = z.object({
  lines: z.array(line),
  suppliers: z.array(
    z.object({ supplier: s, parts: n, postage: n, expected: s, lead: s, lines: z.array(z.object({ name: s, spec, units: n, unitPrice: n, cost: n })) }),
  ),
  cost: n,
  machines: z.array(z.object({ tag: s, machine: s, capacitors: n, cost: n })),
  findings: z.array(Finding),
})
export type RecapOrderView = z.infer<typeof RecapOrderView>
/** Which machines an order is for, how many spares of each value, and whether what waits for a start is in it. */
export const RecapOrderQuery = z.object({
  tags: z
    .string()
    .max(2000)
    .default('')
    .transform(tags => tags.split(',').filter(Boolean).slice(0, 100)),
  spares: z.coerce.number().int().min(0).max(20).default(0),
  later: z
    .enum(['yes', 'no'])
    .default('no')
    .transform(later => later === 'yes'),
})
/** Machines whose lists want something. */
export const RecapMachines = z.object({
  machines: z.array(z.object({ tag: s, machine: s, wanted: n, later: n })),
  suppliers: PricesView.shape.suppliers,
  currency: s,
})
export type RecapMachines = z.infer<typeof RecapMachines>
