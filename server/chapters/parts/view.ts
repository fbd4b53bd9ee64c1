import type { ViewOf } from '#shared/chapters/index'
import type { WantedPart } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import type { PageQuery } from '#shared/kernel/machine'
import { asc, count, desc, eq } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { partNeeds } from './schema'

/** Parts that are still wanted; those that stop a start come first, then the longest wanted. */
export function wantedParts(tx: Tx, { page, size }: PageQuery): Page<WantedPart> {
  const wanted = eq(partNeeds.outcome, 'wanted')
  const rows = tx
    .select({
      id: partNeeds.id,
      version: partNeeds.version,
      tag: machines.tag,
      nickname: machines.nickname,
      model: machines.name,
      name: partNeeds.name,
      quantity: partNeeds.quantity,
      stopsStart: partNeeds.stopsStart,
      wantedAt: partNeeds.wantedAt,
    })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .where(wanted)
    .orderBy(desc(partNeeds.stopsStart), asc(partNeeds.wantedAt))
    .limit(size)
    .offset((page - 1) * size)
    .all()
    .map(({ nickname, model, ...part }) => ({ ...part, machine: nickname || model }))
  return { rows, total: tx.select({ n: count() }).from(partNeeds).where(wanted).get()!.n }
}
/** Parts that it wants, or wanted. */
export const partsView = ({ file }: ViewInput): ViewOf<'parts'> => ({
  parts: file.partNeeds.map(({ id, version, name, quantity, stopsStart, outcome }) => ({ id, version, name, quantity, stopsStart, outcome })),
})
