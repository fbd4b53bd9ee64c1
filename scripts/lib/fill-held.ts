import type { CommandRequest } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { heldStories } from '../../demo/held'
import { listHeld } from '../../server/chapters/parts/index'
import type { Db } from '../../server/kernel/db'

type Perform = <N extends 'hold-part' | 'move-held'>(name: N, input: CommandRequest<N>) => unknown

/** Puts what the house holds on record, and takes it where it went since. @param tagOf the tag of a donor by its nickname */
export function fillHeld(db: Db, perform: Perform, tagOf: (nickname: string) => string) {
  for (const { part, donor, moves = [] } of heldStories) {
    const { heldId } = perform('hold-part', { ...part, tag: donor ? tagOf(donor) : '' }) as { heldId: number }
    for (const move of moves) {
      const { version, count } = listHeld(db, HeldQuery.parse({ find: part.name, size: 200 })).rows.find(one => one.id === heldId)!
      perform('move-held', { count, ...move, heldId, version })
    }
  }
}
