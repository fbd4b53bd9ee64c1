import { z } from 'zod'
import { presences } from '#core/condition/grades'
import { lives, stages } from '#core/planning/stages'
import { gateVerdicts } from '#core/safety/gate'

const s = z.string()
const b = z.boolean()

const Picture = z.object({ caption: s, takenAt: s, widthPx: z.number(), heightPx: z.number() })

export const view = z.object({ passport: z.object({ on: b, path: s.nullable(), beforeId: z.number().nullable(), afterId: z.number().nullable() }) })

/** What anybody with the link may read: no donor, owner, price, place or person. */
export const Passport = z.object({
  collection: s,
  tag: s,
  name: s,
  maker: s,
  serial: s,
  about: s,
  stage: z.enum(stages),
  life: z.enum(lives).nullable(),
  bookedInAt: s,
  gate: z.enum(gateVerdicts),
  assemblies: z.array(z.object({ name: s, presence: z.enum(presences), grade: z.number().nullable() })),
  faults: z.array(z.object({ symptom: s, open: b })),
  partsSought: z.array(z.object({ name: s, quantity: z.number() })),
  questions: z.array(s),
  dateCodes: z.array(s),
  made: s,
  /** Fetched under the same link, by `before` and `after`. */
  pictures: z.object({ before: Picture, after: Picture }).nullable(),
  history: z.array(z.object({ at: s, says: s })),
  proof: z.object({ entries: z.number(), hash: s }),
})

export type Passport = z.infer<typeof Passport>
