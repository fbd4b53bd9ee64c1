import { hasHiddenSigns, lookOf } from '#core/kernel/names'
import { InputError } from '#core/kernel/input-error'
import { and, eq, inArray } from 'drizzle-orm'
import { type Tx, collectionChain } from '../../kernel/history/journal'
import { journal } from '../../kernel/trunk'
import { people } from './schema'

const namings = ['person.added', 'person.changed', 'person.renamed']

/** Every name that somebody was given here; whose it is, where that was kept. */
function namesEverUsed(tx: Tx): { name: string; personId: number | null }[] {
  return tx
    .select({ data: journal.data, personId: journal.subjectId })
    .from(journal)
    .where(and(eq(journal.chain, collectionChain), inArray(journal.kind, namings)))
    .all()
    .flatMap(({ data, personId }) => {
      const { name, before } = JSON.parse(data) as { name?: string; before?: string }
      return [name, before].filter(n => n !== undefined).map(name => ({ name, personId }))
    })
}

/** The names under which somebody has written, or is known now. */
function ownLooks(tx: Tx, id: number): Set<string> {
  const written = tx.select({ by: journal.by }).from(journal).where(eq(journal.personId, id)).groupBy(journal.by).all()
  const present = tx.select({ name: people.name }).from(people).where(eq(people.id, id)).get()
  return new Set([...written.map(w => w.by), ...(present ? [present.name] : [])].map(lookOf))
}

/**
 * What somebody wrote is known by their name: nobody is called what somebody else is, or was, or what looks like it.
 * @param id of whoever is to be called so; nothing for somebody who is new @throws InputError
 */
export function expectOwnName(tx: Tx, name: string, id?: number): void {
  if (hasHiddenSigns(name)) throw new InputError('name', name, 'Name: it contains invisible characters. Type it again.')
  const look = lookOf(name)
  if (!look) throw new InputError('name', name, 'Name: it takes at least one letter.')
  const living = tx
    .select({ id: people.id, name: people.name })
    .from(people)
    .all()
    .find(p => p.id !== id && lookOf(p.name) === look)
  if (living) throw new InputError('name', name, `Name: somebody else is called ${living.name}. Add something that tells you apart.`)
  if (id !== undefined && ownLooks(tx, id).has(look)) return
  const former = namesEverUsed(tx).find(used => (used.personId === null || used.personId !== id) && lookOf(used.name) === look)
  if (former)
    throw new InputError(
      'name',
      name,
      `Name: somebody here was called ${former.name}, and what they wrote stands under that name. Add something that tells the two apart.`,
    )
}

/** The names of everybody who is, or was, known here, and of whoever wrote about a machine. */
export function namesOfPeople(tx: Tx, machineId: number): string[] {
  const written = tx.select({ by: journal.by }).from(journal).where(eq(journal.machineId, machineId)).groupBy(journal.by).all()
  return [
    ...new Set([
      ...tx
        .select({ name: people.name })
        .from(people)
        .all()
        .map(p => p.name),
      ...namesEverUsed(tx).map(n => n.name),
      ...written.map(w => w.by),
    ]),
  ]
}
