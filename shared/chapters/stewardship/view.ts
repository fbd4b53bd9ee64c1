import type { Letter } from '#core/stewardship/letter'
import { z } from 'zod'
import { type Path, paths } from '#core/condition/triage'
import { type WorkAsked, worksAsked } from '#core/stewardship/consent'
import { SignificanceShape, TriageShape } from '../../kernel/shapes'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  stewardship: z.object({
    ours: b,
    currency: s,
    consent: z
      .object({
        version: z.number(),
        allowed: z.array(z.enum(Object.keys(worksAsked) as [WorkAsked, ...WorkAsked[]])),
        upTo: z.number(),
        mustAsk: s,
        agreedWith: s,
        agreedOn: s,
      })
      .nullable(),
    /** What is done without asking its owner, by decision of a coordinator. */
    passedOver: z.array(z.object({ work: z.enum(Object.keys(worksAsked) as [WorkAsked, ...WorkAsked[]]), reason: s, at: s, by: s })),
    spent: z.number(),
    spendings: z.array(z.object({ id, what: s, amount: z.number(), at: s })),
    letters: z.array(z.object({ id, subject: s, at: s, by: s, sent: b })),
  }),
  appraisal: z
    .object({
      version: z.number(),
      significance: SignificanceShape,
      hoursLow: z.number(),
      hoursHigh: z.number(),
      costLow: z.number(),
      costHigh: z.number(),
      irreplaceable: z.array(s),
      path: z.enum(Object.keys(paths) as [Path, ...Path[]]).nullable(),
      pathReason: s,
    })
    .nullable(),
  triage: TriageShape.nullable(),
})

export interface LetterView extends Letter {
  uid: string
  tag: string
  owner: string
  at: string
  photographs: { hash: string; caption: string }[]
}
