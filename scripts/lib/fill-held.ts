import type { CommandRequest } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { type HeldStory, heldStories } from '../../demo/held'
import { listHeld } from '../../server/chapters/parts/index'
import type { Db } from '../../server/kernel/db'

type Perform = <N extends 'hold-part' | 'move-held' | 'give-away' | 'spare-part'>(name: N, input: CommandRequest<N>) => unknown
interface Step {
  daysAgo: number
  take: () => void
}

/**
 * Puts what the house holds on record, and takes it where it went since, the oldest first.
 * @param tagOf the tag of a machine by its nickname @param at sets the day, by how long ago it was
 */
export function fillHeld(db: Db, perform: Perform, tagOf: (nickname: string) => string, at: (daysAgo: number) => void) {
  const steps = heldStories.flatMap(story => stepsOf(story, db, perform, tagOf)).map((step, order) => ({ ...step, order }))
  for (const { daysAgo, take } of steps.sort((a, b) => b.daysAgo - a.daysAgo || a.order - b.order)) {
    at(daysAgo)
    take()
  }
}

function stepsOf({ part, donor, daysAgo = 3, moves = [], given, spared }: HeldStory, db: Db, perform: Perform, tagOf: (nickname: string) => string): Step[] {
  let id = 0
  const row = () =>
    (['here', 'returned', 'scrapped'] as const)
      .flatMap(at => listHeld(db, HeldQuery.parse({ find: part.name, at, size: 200 })).rows)
      .find(one => one.id === id)!
  return [
    { daysAgo, take: () => (id = (perform('hold-part', { ...part, tag: donor ? tagOf(donor) : '' }) as { heldId: number }).heldId) },
    ...moves.map(({ daysAgo: then = daysAgo, into, ...move }) => ({
      daysAgo: then,
      take: () => perform('move-held', { count: row().count, ...move, ...(into ? { tag: tagOf(into) } : {}), heldId: id, version: row().version }),
    })),
    ...(given ? [{ daysAgo: given.daysAgo, take: () => perform('give-away', { ...given.of, heldId: id, version: row().version }) }] : []),
    ...(spared ? [{ daysAgo: 2, take: () => perform('spare-part', { heldId: id, version: row().version, spared }) }] : []),
  ]
}
