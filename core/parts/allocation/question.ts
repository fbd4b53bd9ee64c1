import { type Named, type Wanted, likeKey, mayServe } from '../offers'
import type { AllocationInput, Purchasable, Source } from './allocate'

/** What is wanted, and where. */
export interface NeedRow extends Wanted {
  id: number
  machineId: number
}
/** What there is to give. */
export interface HeldRow extends Named {
  id: number
  units: number
  from: Source['from']
  /** The donor that it is still in. */
  machineId: number | null
}
/** What was paid for one, the latest first. */
export interface Paid extends Named {
  unitPrice: number
}
export interface Question {
  machines: AllocationInput['machines']
  needs: readonly NeedRow[]
  held: readonly HeldRow[]
  paid: readonly Paid[]
}

/** Like parts are asked about once: a store of thousands holds a few hundred kinds. */
function groupsOf<T extends Named>(rows: readonly T[]): T[][] {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const key = likeKey(row)
    const group = groups.get(key)
    if (group) group.push(row)
    else groups.set(key, [row])
  }
  return [...groups.values()]
}

/**
 * What is weighed, from what is wanted and what there is: which source would serve which need, and what could be bought. Every part that is wanted
 * could be, as often as it is wanted, for what was last paid for one that serves, where that is known.
 */
export function questionOf({ machines, needs, held, paid }: Question): AllocationInput {
  const wanted = groupsOf(needs)
  const sources = groupsOf(held).flatMap(like => {
    const into = wanted.filter(([need]) => mayServe(need!, like[0]!)).flat()
    // What is in a machine is not given to the same.
    return like.map(({ id, name, units, from, machineId }) => ({
      id,
      name,
      units,
      from,
      serves: into.filter(need => need.machineId !== machineId).map(need => need.id),
    }))
  })
  const prices = groupsOf(paid)
  const purchasables: Purchasable[] = wanted.map(([first, ...others]) => ({
    id: first!.id,
    name: first!.name,
    unitPrice: prices.find(([one]) => mayServe(first!, one!))?.[0]!.unitPrice ?? null,
    serves: [first!, ...others].map(need => need.id),
  }))
  return { machines, sources: sources.filter(source => source.serves.length), purchasables }
}
