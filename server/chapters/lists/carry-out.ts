import { count, eq } from 'drizzle-orm'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { NotFound } from '../../kernel/refusals'
import type { Work } from '../../kernel/work'
import { keptLists } from './schema'

/** So many kept lists can be looked over. */
const mostLists = 40
/** The order that nobody has to ask for. */
const usualOrder = 'newest'

/** Keeps what a list is narrowed to under a name; under a name that is there, in its place. */
export function keepList({ tx, at, person, write }: Work, { name, query }: CommandInput<'keep-list'>): { listId: number } {
  const narrowed = Object.fromEntries(
    Object.entries(query).filter(([name, value]) => value !== undefined && value !== '' && !(name === 'sort' && value === usualOrder)),
  )
  const before = tx.select().from(keptLists).where(eq(keptLists.name, name)).get()
  const row = { query: narrowed, byWhom: person.name, at }
  if (!before && tx.select({ n: count() }).from(keptLists).get()!.n >= mostLists)
    throw new InputError('name', name, `Name of the list: ${mostLists} lists are kept already. Drop one first.`)
  if (before) tx.update(keptLists).set(row).where(eq(keptLists.id, before.id)).run()
  const listId =
    before?.id ??
    tx
      .insert(keptLists)
      .values({ name, ...row })
      .returning()
      .get().id
  write('list.kept', { name })
  return { listId }
}

export function dropList({ tx, write }: Work, { listId }: CommandInput<'drop-list'>): void {
  const list = tx.select().from(keptLists).where(eq(keptLists.id, listId)).get()
  if (!list) throw new NotFound('There is no such list any more.')
  tx.delete(keptLists).where(eq(keptLists.id, listId)).run()
  write('list.dropped', { name: list.name })
}
