import type { Letter } from '#core/stewardship/letter'
import { z } from 'zod'
import { type Path, paths } from '#core/condition/triage'
import { type WorkAsked, worksAsked } from '#core/stewardship/consent'
import { TriageShape } from '../../kernel/shapes'
import { Agreement, Appraisal } from './rows'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const view = z.object({
  stewardship: z.object({
    ours: b,
    currency: s,
    consent: z.object({ version: z.number(), ...Agreement.seen }).nullable(),
    /** What is done without asking its owner, by decision of a coordinator. */
    passedOver: z.array(z.object({ work: z.enum(Object.keys(worksAsked) as [WorkAsked, ...WorkAsked[]]), reason: s, at: s, by: s })),
    spent: z.number(),
    spendings: z.array(z.object({ id, what: s, amount: z.number(), at: s })),
    letters: z.array(z.object({ id, subject: s, at: s, by: s, sent: b })),
  }),
  appraisal: z.object({ version: z.number(), ...Appraisal.seen, path: z.enum(Object.keys(paths) as [Path, ...Path[]]).nullable(), pathReason: s }).nullable(),
  triage: TriageShape.nullable(),
})

export interface LetterView extends Letter {
  uid: string
  tag: string
  owner: string
  at: string
  photographs: { hash: string; caption: string }[]
}
