import { z } from 'zod'

const s = z.string()
const n = z.number()
const Custody = z.object({ id: n, version: n, assembly: s, holder: s, what: s, since: s, backBy: s })

export const view = z.object({
  custody: z.object({
    away: z.array(Custody.extend({ assemblyId: n })),
    /** What came from another machine, or went into one. */
    exchanges: z.array(z.object({ id: n, assembly: s, came: z.boolean(), other: s, at: s, known: s, looked: z.boolean() })),
  }),
})
/** What is away and due, with its machine. */
export const CustodyDue = Custody.extend({ tag: s, machine: s })
export type CustodyDue = z.infer<typeof CustodyDue>
