import type { ViewOf } from '#shared/chapters/index'
import { PartNeed, type WantedPart } from '#shared/chapters/parts/index'
import type { Page } from '#shared/kernel/answers'
import type { PageQuery } from '#shared/kernel/machine'
import { needStops } from '#core/parts/needs'
import { asc, count, eq, sql } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { machines } from '../../kernel/trunk'
import { partNeeds } from './schema'

/** The most pressing first, as `needRank` has it. */
const pressing = sql`instr(${`|${needStops.join('|')}|`}, '|' || ${partNeeds.stops} || '|'), ${partNeeds.workaround} <> ''`

/** Parts that are still wanted, by what hangs on them, and of the same the longest wanted first. */
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
      stops: partNeeds.stops,
      affects: partNeeds.affects,
      place: partNeeds.place,
      workaround: partNeeds.workaround,
      byWhen: partNeeds.byWhen,
      seekerId: partNeeds.seekerId,
      seeker: partNeeds.seeker,
      wantedAt: partNeeds.wantedAt,
    })
    .from(partNeeds)
    .innerJoin(machines, eq(machines.id, partNeeds.machineId))
    .where(wanted)
    .orderBy(pressing, asc(partNeeds.wantedAt))
    .limit(size)
    .offset((page - 1) * size)
    .all()
    .map(({ nickname, model, ...part }) => ({ ...part, machine: nickname || model }))
  return { rows, total: tx.select({ n: count() }).from(partNeeds).where(wanted).get()!.n }
}
/** Parts that it wants, or wanted. */
export const partsView = ({ file }: ViewInput): ViewOf<'parts'> => ({
  parts: file.partNeeds.map(({ id, version, seekerId, seeker, outcome, ...need }) => ({
    ...PartNeed.of(need),
    stops: need.stops,
    id,
    version,
    seekerId,
    seeker,
    outcome,
  })),
})
