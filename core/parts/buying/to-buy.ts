import { holdsUpStart, needRank } from '../needs'
import { type Named, likeKey, mayServe } from '../offers'
import { type Coming, type WantedHere, shortages } from './shortage'

/** What was paid for one, of whom; the latest first. */
export interface Bought extends Named {
  source: string
  unitPrice: number | null
}
export interface BuyLine {
  need: WantedHere
  /** All needs that it is bought for, like ones of several machines together. */
  needIds: number[]
  count: number
  /** Of whom one like it came before, and what it cost; nothing where nobody knows. */
  source: string
  unitPrice: number | null
  /** Machines whose start waits for nothing else that has to be bought. */
  starts: number[]
}

export interface ToBuy {
  lines: BuyLine[]
  /** What may be served by something that is here, but nobody knows whether it does: somebody looks before it is bought. */
  lookFirst: { need: WantedHere; count: number }[]
}

/** What has to be bought, the most pressing first: what nothing serves that is here or on its way, like ones together. */
export function toBuy(needs: readonly WantedHere[], coming: readonly Coming[], bought: readonly Bought[]): ToBuy {
  const short = shortages(needs, coming)
  const unsure = shortages(needs, coming, true)
  const lookFirst = needs
    .map(need => ({ need, count: (unsure.get(need.id) ?? 0) - (short.get(need.id) ?? 0) }))
    .filter(one => one.count > 0)
    .sort((a, b) => needRank(a.need) - needRank(b.need))
  const groups = new Map<string, WantedHere[]>()
  for (const need of needs) if (short.has(need.id)) groups.set(likeKey(need), [...(groups.get(likeKey(need)) ?? []), need])
  const waits = new Map<number, Set<string>>()
  for (const [key, group] of groups) for (const need of group.filter(holdsUpStart)) waits.set(need.machineId, (waits.get(need.machineId) ?? new Set()).add(key))
  // Where nobody knows whether another part will do, nobody knows whether this one is the last.
  const unsureOf = new Set(lookFirst.filter(({ need }) => holdsUpStart(need)).map(({ need }) => need.machineId))
  const lines = [...groups]
    .map(([key, group]): BuyLine => {
      const [need] = [...group].sort((a, b) => needRank(a) - needRank(b))
      const before = bought.filter(one => mayServe(need!, one))
      const priced = before.find(one => one.unitPrice !== null)
      return {
        need: need!,
        needIds: group.map(one => one.id),
        count: group.reduce((sum, one) => sum + short.get(one.id)!, 0),
        source: (priced ?? before.find(one => one.source))?.source ?? '',
        unitPrice: priced?.unitPrice ?? null,
        starts: [...new Set(group.filter(holdsUpStart).map(one => one.machineId))].filter(
          id => waits.get(id)!.size === 1 && waits.get(id)!.has(key) && !unsureOf.has(id),
        ),
      }
    })
    .sort((a, b) => needRank(a.need) - needRank(b.need) || b.starts.length - a.starts.length || a.need.id - b.need.id)
  return { lines, lookFirst }
}
