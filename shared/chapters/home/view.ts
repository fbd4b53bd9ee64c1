import { z } from 'zod'
import { presences } from '#core/condition/grades'
import { lives, stages } from '#core/kernel/stages'
import { gateVerdicts } from '#core/safety/gate-words'
import { Finding } from '../../kernel/shapes'

const s = z.string()
const b = z.boolean()

const Picture = z.object({ caption: s, takenAt: s, widthPx: z.number(), heightPx: z.number() })

const n = z.number()
/** One side of *as found and as released*. */
const Side = z.object({ hash: s, id: n, caption: s, at: s })

export const view = z.object({
  /** What stands for and against each life. */
  livesJudged: z.record(z.enum(lives), z.array(Finding)),
  lifeSince: s.nullable(),
  retestFrom: s.nullable(),
  demonstrations: z.array(z.object({ id: n, at: s, minutes: n, says: s, trouble: b, by: s })),
  demonstrationFindings: z.array(Finding),
  bags: z.array(z.object({ id: n, part: s, bag: s, why: s, at: s, ended: s.nullable() })),
  /** What was done to it, as the label inside and the closing letter say. */
  done: z.object({ replaced: z.array(s), patches: z.array(s) }),
  /** How it came, and how it is now. */
  outcome: z.object({
    assemblies: z.array(z.object({ name: s, found: s, now: s })),
    rails: z.array(z.object({ name: s, first: n, last: n })),
    photographs: z.array(z.object({ assembly: s, found: Side, now: Side })),
    faults: z.object({ closed: n, open: n }),
    hours: z.object({ worked: n, low: n.nullable(), high: n.nullable() }),
    money: z.object({ spent: n, low: n.nullable(), high: n.nullable(), currency: s }),
    findings: z.array(Finding),
  }),
  passport: z.object({ on: b, diary: b, path: s.nullable(), beforeId: z.number().nullable(), afterId: z.number().nullable() }),
})

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
  /** Whether it has a picture it is known by: fetched under the same link, by `portrait`. */
  portrait: b,
  /** Fetched under the same link, by `before` and `after`. */
  pictures: z.object({ before: Picture, after: Picture }).nullable(),
  history: z.array(z.object({ at: s, says: s })),
  proof: z.object({ entries: z.number(), hash: s }),
})

export type Passport = z.infer<typeof Passport>
