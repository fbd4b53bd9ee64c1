import { type Named, type Wanted, likeKey, mayServe } from '../offers'
import type { AllocationInput, Purchasable, Source } from './allocate'

/** What is wanted, and where. */
export interface NeedRow extends Wanted {
  id: number
  machineId: number
  /** The day that it is wanted by, as 2026-12-01; empty where none is named. */
  byWhen?: string
}
/** What there is to give. */
export interface HeldRow extends Named {
  id: number
  units: number
  from: Source['from']
  /** The donor that it is still in. */
  machineId: number | null
  /** The day that it is expected on, where it is on its way. */
  dueBy?: string | null
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
    return like.map(({ id, name, units, from, machineId, dueBy }) => {
      const served = into.filter(need => need.machineId !== machineId)
      return {
        id,
        name,
        units,
        from,
        serves: served.map(need => need.id),
        // What comes on a day that nobody knows may come too late as well; only a day that is known says so.
        tooLateFor: served.filter(({ byWhen }) => from === 'ordered' && dueBy && byWhen && dueBy > byWhen).map(need => need.id),
      }
    })
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
