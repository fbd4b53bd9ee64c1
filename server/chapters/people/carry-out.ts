import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { skills, type Skill, whoCould } from '#core/kernel/skills'
import { PracticeRow } from '#shared/chapters/practice/index'
import type { CommandInput } from '#shared/chapters/index'
import { FirstStart } from '#shared/chapters/people/index'
import { and, eq, ne } from 'drizzle-orm'
import type { z } from 'zod'
import { append, collectionChain, type Tx } from '../../kernel/history/journal'
import { NotAllowed, NotFound, NotNow } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { Bench, Work } from '../../kernel/work'
import { practice } from '../practice/index'
import { expectOwnName } from './names'
import { people } from './schema'
import { closeAll } from './sessions'

export type PersonRow = typeof people.$inferSelect

export const findPerson = (tx: Tx, id: number): PersonRow | undefined => tx.select().from(people).where(eq(people.id, id)).get()
export const findBySignIn = (tx: Tx, signInName: string): PersonRow | undefined => tx.select().from(people).where(eq(people.signInName, signInName)).get()
export const anyPeople = (tx: Tx): boolean => tx.select({ id: people.id }).from(people).limit(1).get() !== undefined

/** What may be told of a person; never the password's hash. */
export const listPeople = (tx: Tx) =>
  tx
    .select({
      id: people.id,
      version: people.version,
      name: people.name,
      signInName: people.signInName,
      role: people.role,
      active: people.active,
      skills: people.skills,
    })
    .from(people)
    .all()

/** @throws NotNow once anybody is there */
export function expectNobody(tx: Tx): void {
  if (anyPeople(tx)) throw new NotNow('The collection has been set up already. Sign in instead.')
}

/** Sets up an empty collection with its first coordinator. @throws NotNow once anybody is there */
export function firstStart({ db, now }: Bench, input: Omit<z.output<typeof FirstStart>, 'password'> & { passwordHash: string }): PersonRow {
  const at = now().toISOString()
  return db.transaction(
    tx => {
      expectNobody(tx)
      const set = { name: input.collection, school: 'caps-first' as const, numbering: 'M-{year}-{n:3}', zone: Intl.DateTimeFormat().resolvedOptions().timeZone }
      const stands = tx
        .insert(practice)
        .values({ id: 1, ...set })
        .returning()
        .get()
      const person = tx
        .insert(people)
        .values({ uid: uuidv7(), name: input.name, signInName: input.signInName, passwordHash: input.passwordHash, role: 'coordinator' })
        .returning()
        .get()
      const entry = { chain: collectionChain, machineId: null, at, personId: person.id, by: person.name }
      append(tx, { ...entry, kind: 'practice.set', data: PracticeRow.of(stands) })
      append(tx, { ...entry, kind: 'person.added', data: { name: person.name, role: person.role } })
      return person
    },
    { behavior: 'immediate' },
  )
}

export function addPerson(work: Work, input: Omit<CommandInput<'add-person'>, 'password'> & { passwordHash: string }): void {
  if (findBySignIn(work.tx, input.signInName))
    throw new InputError('signInName', input.signInName, `Sign-in name: ${input.signInName} is taken. Choose another.`)
  expectOwnName(work.tx, input.name)
  const { id } = work.tx
    .insert(people)
    .values({ ...input, uid: uuidv7() })
    .returning({ id: people.id })
    .get()
  work.write('person.added', { name: input.name, role: input.role }, { subject: { table: 'people', id } })
}

/** Changes a person's name, role or place among the active. The last active coordinator stays one. */
export function changePerson(work: Work, { personId, version, ...input }: CommandInput<'change-person'>): void {
  const before = findPerson(work.tx, personId)
  if (!before) throw new NotFound('There is no such person.')
  expectVersion(work, before, version, before.version, ['name', 'role', 'active'])
  if (input.name !== before.name) expectOwnName(work.tx, input.name, personId)
  const others = work.tx
    .select()
    .from(people)
    .where(and(eq(people.role, 'coordinator'), eq(people.active, true), ne(people.id, personId)))
    .all()
  if (!others.length && (input.role !== 'coordinator' || !input.active))
    throw new InputError('role', input.role, 'Role: there has to be one active coordinator. Make somebody else coordinator first.')
  work.tx
    .update(people)
    .set({ ...input, version: before.version + 1 })
    .where(eq(people.id, personId))
    .run()
  // Whoever comes back later signs in anew.
  if (!input.active) closeAll(work.tx, personId)
  work.write('person.changed', input, { subject: { table: 'people', id: personId } })
}

/** Grants a person skills, and takes back those that are not named. */
export function grantSkills(work: Work, { personId, version, skills }: CommandInput<'grant-skills'>): void {
  const before = findPerson(work.tx, personId)
  if (!before) throw new NotFound('There is no such person.')
  expectVersion(work, before, version, before.version, ['skills'])
  work.tx
    .update(people)
    .set({ skills: [...new Set(skills)], version: before.version + 1 })
    .where(eq(people.id, personId))
    .run()
  work.write('person.skilled', { name: before.name, skills })
}

/** Gives a person a new password; whoever is signed in with the old one is not any more. */
export function setPassword(work: Work, { personId, passwordHash }: { personId: number; passwordHash: string }): void {
  const person = findPerson(work.tx, personId)
  if (!person) throw new NotFound('There is no such person.')
  work.tx.update(people).set({ passwordHash }).where(eq(people.id, personId)).run()
  closeAll(work.tx, personId)
  work.write('person.password-set', { name: person.name })
}

/** Changes one's own password, and ends every session; that the present one was typed has been checked where it was received. */
export function setOwnPassword({ tx, person, write }: Work, { passwordHash }: { passwordHash: string }): void {
  tx.update(people).set({ passwordHash }).where(eq(people.id, person.id)).run()
  closeAll(tx, person.id)
  write('person.password-changed', { name: person.name })
}

/** Changes how one is called; what is written already keeps the name of then. */
export function changeOwnName(work: Work, { version, name }: CommandInput<'change-own-name'>): void {
  const before = findPerson(work.tx, work.person.id)
  if (!before) throw new NotFound('There is no such person.')
  expectVersion(work, before, version, before.version, ['name'])
  if (before.name === name) return
  expectOwnName(work.tx, name, before.id)
  work.tx
    .update(people)
    .set({ name, version: before.version + 1 })
    .where(eq(people.id, before.id))
    .run()
  work.write('person.renamed', { before: before.name, name }, { subject: { table: 'people', id: before.id } })
}

/** Everybody who may sign in, with what they have been granted. */
export const crewOf = (tx: Tx) =>
  tx.select({ id: people.id, name: people.name, role: people.role, skills: people.skills }).from(people).where(eq(people.active, true)).all()

/** @throws NotAllowed naming the skill and who has it */
export function requireSkill({ tx, person }: Pick<Work, 'tx' | 'person'>, skill: Skill | undefined, step: string): void {
  if (!skill) return
  const crew = crewOf(tx)
  if (crew.find(p => p.id === person.id)?.skills.includes(skill)) return
  throw new NotAllowed(`${step} takes the skill “${skills[skill].title}”. ${whoCould(skill, crew)}`)
}
