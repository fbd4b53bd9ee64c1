import { z } from 'zod'

const s = z.string()

/** A bulletin of a model. */
export const BulletinShape = z.object({ uid: s, cause: s, happens: s, seeBy: s, doThis: s, evidence: s, at: s, by: s })

export const view = z.object({ bulletins: z.array(BulletinShape.extend({ read: z.boolean() })) })

/** What was learned of a model: accepted, and what its faults suggest. */
export const BulletinsOfModel = z.object({
  accepted: z.array(BulletinShape),
  proposed: z.array(z.object({ cause: s, happens: s, seeBy: s, doThis: s, evidence: s, machines: z.number() })),
})
export type BulletinsOfModel = z.infer<typeof BulletinsOfModel>
