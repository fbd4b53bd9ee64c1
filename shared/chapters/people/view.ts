import { z } from 'zod'
import type { CommandName } from '#shared/chapters/index'
import { roles } from '../../kernel/roles'
import { SkillShape } from '../../kernel/shapes'

const id = z.number()
const s = z.string()
const b = z.boolean()

export const PersonView = z.object({ id, version: z.number(), name: s, signInName: s, role: z.enum(roles), active: b, skills: z.array(SkillShape) })

export const SessionView = z.object({
  person: z.object({ id, name: s, role: z.enum(roles), may: z.array(s as unknown as z.ZodType<CommandName>) }).nullable(),
  needsFirstStart: b,
  collection: z.object({ name: s, zone: s }).nullable(),
  /** Everybody who may sign in, and what they have been granted; empty before one has signed in. */
  crew: z.array(z.object({ id, name: s, role: z.enum(roles), skills: z.array(SkillShape) })),
  /** By how many minutes the clock of the bench stands behind the newest entry; 0 where it is right, or nobody is signed in. */
  clockBehindMinutes: z.number(),
  /** The made-up people of the demo, on its sign-in page; nowhere else. */
  demoSignIns: z.array(z.object({ name: s, signInName: s, password: s, role: z.enum(roles) })),
})

export type PersonView = z.infer<typeof PersonView>
export type SessionView = z.infer<typeof SessionView>

/** Somebody signed in at one browser. */
export interface SessionPlace {
  uid: string
  personId: number
  name: string
  browser: string
  openedAt: string
  seenAt: string
  /** The one that asks. */
  here: boolean
}
