import { eq } from 'drizzle-orm'
import type { CommandRequest } from '#shared/chapters/index'
import { greeting, ofTheHouse, offers, shown } from '../../demo/sought'
import { partNeeds } from '../../server/chapters/parts/index'
import { keepOffer, lineOf } from '../../server/chapters/sought/index'
import { machineSheet } from '../../server/kernel/sheet'
import type { Bench } from '../../server/kernel/work'

interface Perform {
  onMachine: (tag: string, name: 'show-wants', input: CommandRequest<'show-wants'>) => unknown
  onCollection: <N extends 'set-board' | 'offer-part'>(who: string, name: N, input: CommandRequest<N>) => unknown
}

/** Opens the public list, shows what some machines want, and keeps what people said to it. */
export function fillSought(bench: Bench, tagOf: (nickname: string) => string, at: (daysAgo: number) => void, { onMachine, onCollection }: Perform) {
  const { db } = bench
  at(2)
  onCollection('ilka', 'set-board', { version: 0, open: true, greeting })
  for (const { nickname, says, picture } of shown) {
    const tag = tagOf(nickname)
    const [photograph] = machineSheet(bench, tag, ['sought']).wantsShown.photographs
    onMachine(tag, 'show-wants', { shows: true, says, photographId: picture && photograph ? photograph.id : null })
  }
  const needOf = (name: string) => db.select().from(partNeeds).where(eq(partNeeds.name, name)).get()!
  at(1)
  for (const { part, ...said } of offers) {
    const about = `w${needOf(part).id}`
    keepOffer(db, bench.now().toISOString(), { ...said, about }, lineOf(db, about))
  }
  const { part, ...said } = ofTheHouse
  onCollection('rua', 'offer-part', { ...said, partId: needOf(part).id })
}
