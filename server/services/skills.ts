import { eq } from 'drizzle-orm'
import { type Skill, skills, whoCould } from '#core/safety/skills'
import { people } from '../db/schema'
import type { Tx } from './journal'
import { NotAllowed } from './refusals'
import type { Work } from './work'

/** Everybody who may sign in, with what they have been granted. */
export const crewOf = (tx: Tx) => tx.select({ id: people.id, name: people.name, role: people.role, skills: people.skills }).from(people).where(eq(people.active, true)).all()

/** @throws NotAllowed naming the skill and who has it */
export function requireSkill({ tx, person }: Pick<Work, 'tx' | 'person'>, skill: Skill | undefined, step: string): void {
  if (!skill) return
  const crew = crewOf(tx)
  if (crew.find(p => p.id === person.id)?.skills.includes(skill)) return
  throw new NotAllowed(`${step} takes the skill “${skills[skill].title}”. ${whoCould(skill, crew)}`)
}
