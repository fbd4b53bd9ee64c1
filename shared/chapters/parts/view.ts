import { z } from 'zod'
import { type HeldPlace, type PartCondition, heldPlaceNames } from '#core/parts/ledger'
import type { NeedStops } from '#core/parts/needs'
import { type Spec, type SubstituteVerdict, verdicts } from '#core/parts/substitute/compare'
import type { PartKindName } from '#core/parts/substitute/substitute'
import { word } from '../../kernel/fields'
import { PageQuery } from '../../kernel/machine'
import { Finding } from '../../kernel/shapes'
import { HeldPart, PartNeed } from './rows'
import { partOutcomes } from './words'

const id = z.number()
const n = z.number()
const s = z.string()
const asIs = { kind: word<PartKindName>().nullable(), spec: z.custom<Spec>() }

const need = { id, version: n, ...PartNeed.seen, ...asIs, stops: word<NeedStops>(), seekerId: id.nullable(), seeker: s }

/** A line of the ledger, as a machine's sheet shows it. */
const OnMachine = z.object({
  id,
  version: n,
  name: s,
  count: n,
  at: word<HeldPlace>(),
  condition: word<PartCondition>(),
  lies: s,
  lender: s,
  needId: id.nullable(),
})

/** `gives` is whether its path is to give its parts. */
export const view = z.object({
  parts: z.array(z.object({ ...need, outcome: z.enum(partOutcomes) })),
  held: z.array(OnMachine),
  gives: z.boolean(),
  /** What the records ask for, and nobody has said anything about yet. */
  arising: z.array(z.object({ name: s, stops: word<NeedStops>(), place: s, why: s })),
})

export const WantedPart = z.object({ ...need, tag: s, machine: s, wantedAt: s })
export type WantedPart = z.infer<typeof WantedPart>

/** A line of the ledger, whole, with the way it came. */
export const HeldView = z.object({
  id,
  uid: s,
  version: n,
  ...HeldPart.seen,
  ...asIs,
  condition: word<PartCondition>(),
  count: n,
  at: word<HeldPlace>(),
  tag: s.nullable(),
  holder: s,
  dueBy: s.nullable(),
  spared: z.boolean(),
  trail: z.array(z.object({ at: s, by: s, says: s })),
})
export type HeldView = z.infer<typeof HeldView>

/** Which of the ledger is asked for. */
export const HeldQuery = PageQuery.extend({
  at: z.enum([...heldPlaceNames, 'here']).default('here'),
  find: z.string().trim().max(80).default(''),
  lies: z.string().trim().max(120).default(''),
})
export type HeldQuery = z.infer<typeof HeldQuery>

/** What is at hand for a need, and who else wants the same. */
export const OfferView = z.object({
  held: HeldView,
  verdict: z.enum(verdicts) as z.ZodType<SubstituteVerdict>,
  says: s,
  alsoFor: z.array(z.object({ tag: s, name: s, stops: word<NeedStops>() })),
  /** What is wrong with the donor that it is still in. */
  donorFaults: z.array(s),
})
export type OfferView = z.infer<typeof OfferView>

/** What should be back, or here, by now or soon, and the machines that an order holds up. */
export const DueView = z.object({ held: HeldView, by: s, goesBack: z.boolean(), holdsUp: z.array(z.object({ tag: s, name: s, what: s })) })
export type DueView = z.infer<typeof DueView>

const Named = { tag: s, machine: s }
const Waiting = z.object({ ...Named, stops: word<NeedStops>() })
/** What should be bought, a draft for each supplier; those of whom nobody knows stand under none. */
export const BuyView = z.object({
  currency: s,
  drafts: z.array(
    z.object({
      supplier: s,
      /** When it is here as a rule, and how that is known. */
      expected: s,
      lead: s,
      lines: z.array(
        z.object({
          partId: id,
          name: s,
          ...asIs,
          says: s,
          count: n,
          unitPrice: n.nullable(),
          stops: word<NeedStops>(),
          /** With what its owner is asked first, where it is not ours. */
          wants: z.array(Waiting.extend({ asks: s })),
          starts: z.array(z.object(Named)),
          /** So many should lie on the shelf, where it is bought for that. */
          keep: n,
        }),
      ),
    }),
  ),
  lookFirst: z.array(Waiting.extend({ name: s, count: n })),
})
export type BuyView = z.infer<typeof BuyView>

/** What was ordered, promised or came, and whom it holds up. */
export const OnTheWayView = z.object({ lines: z.array(z.object({ held: HeldView, late: z.boolean(), lead: s, holdsUp: z.array(Waiting) })) })
export type OnTheWayView = z.infer<typeof OnTheWayView>

/** What was spent on each machine, against what it was thought to cost and what its owner agreed to. */
/** What was spent, with what the parts cost that are set aside and fitted; `parts` is how much of it that is. */
export const MoneyView = z.object({
  currency: s,
  rows: z.array(z.object({ ...Named, spent: n, estimate: z.object({ low: n, high: n }).nullable(), agreed: n.nullable(), parts: n, finding: Finding })),
  spent: n,
  parts: n,
  onOrder: n,
  onShelf: n,
})
export type MoneyView = z.infer<typeof MoneyView>
const Weighed = z.object({ ...Named, weight: n })
/** Who gets what, so that most comes to life, and why the others do not. */
export const AllocationView = z.object({
  gives: z.array(
    z.object({
      heldId: id,
      version: n,
      held: s,
      at: word<HeldPlace>(),
      lies: s,
      /** When it should be here, where it is on its way. */
      dueBy: s.nullable(),
      /** The day that it is wanted by, and whether it comes after that. */
      wantedBy: s.nullable(),
      late: z.boolean(),
      condition: word<PartCondition>(),
      partId: id,
      need: s,
      count: n,
      verdict: z.enum(verdicts) as z.ZodType<SubstituteVerdict>,
      says: s,
      ...Named,
    }),
  ),
  alive: z.array(Weighed),
  refused: z.array(Weighed.extend({ lacks: z.array(z.object({ name: s, short: n, wentTo: z.array(Weighed) })) })),
  asks: z.array(z.object(Named)),
})
export type AllocationView = z.infer<typeof AllocationView>

/** What should be bought, for how much, and what comes to life by it. */
export const UnlockView = z.object({
  buys: z.array(z.object({ name: s, ...asIs, units: n, cost: n.nullable() })),
  cost: n.nullable(),
  machines: z.array(Weighed),
})
export type UnlockView = z.infer<typeof UnlockView>
