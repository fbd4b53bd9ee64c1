import { type Need, needRank } from '../needs'
import { type Named, type Wanted, likeKey, serves, wordsOf } from '../offers'
import { readWouldDo } from '../would-do'

/** A part that a machine wants and has not been given. */
export interface WantedHere extends Wanted, Need {
  id: number
  machineId: number
  count: number
}
/** Parts that lie here, or are on their way, and are nobody's yet. */
export interface Coming extends Named {
  id: number
  count: number
  /** The donor that they are still in. */
  machineId: number | null
  /** It was ordered or promised for what it is called. */
  onItsWay: boolean
}

/** Like parts in one place count as one line: a store of thousands holds a few hundred kinds. */
function merged(coming: readonly Coming[]): Coming[] {
  const lines = new Map<string, Coming>()
  for (const one of coming) {
    const key = `${likeKey(one)} ${one.machineId} ${one.onItsWay}`
    const before = lines.get(key)
    if (before) before.count += one.count
    else if (one.count > 0) lines.set(key, { ...one })
  }
  return [...lines.values()]
}

/** What could have to do with a part that is wanted: of its kind, or with a word of its name or of what would do. Nothing else is looked at closely. */
function likelyFor(coming: readonly Coming[]): (need: Wanted) => number[] {
  const by = new Map<string, number[]>()
  for (const [at, { name, kind }] of coming.entries())
    for (const key of new Set([...wordsOf(name), ...(kind ? [`kind ${kind}`] : [])])) {
      const lines = by.get(key)
      if (lines) lines.push(at)
      else by.set(key, [at])
    }
  return ({ name, kind, wouldDo = '', forFirstStart = '' }) => {
    const names = [name, ...readWouldDo(wouldDo, forFirstStart).map(one => one.name)]
    const keys = [...names.flatMap(wordsOf), ...(kind ? [`kind ${kind}`] : [])]
    return [...new Set(keys.flatMap(key => by.get(key) ?? []))].sort((a, b) => a - b)
  }
}

const sameWords = (one: string, other: string) => [...wordsOf(one)].sort().join(' ') === [...wordsOf(other)].sort().join(' ')
/** Whether it serves, as far as anybody knows; or for sure: by what is stated of both, or because it was ordered under this very name. */
function doesServe(need: Wanted, one: Coming, surely: boolean): boolean {
  const verdict = serves(need, one)?.verdict
  if (verdict === undefined || verdict === 'does-not') return false
  return !surely || verdict === 'fits' || verdict === 'note' || (verdict === 'not-known' && one.onItsWay && sameWords(need.name, one.name))
}

/**
 * How many of each need nothing serves that is here or on its way, each unit counted once. The most pressing is served first, and a part that several
 * could use goes where the most of them are served: along augmenting paths, so that a less pressing need never takes from a more pressing one, and
 * gives way to it where another part does for itself.
 * Source: augmenting paths in bipartite graphs, any textbook of combinatorial optimisation; needs served by rank form a matroid, so that going by rank
 * is exact.
 * @param surely only what is known to serve counts
 * @returns how many are short, by the id of the need; those that want nothing more are left out
 */
export function shortages(needs: readonly WantedHere[], all: readonly Coming[], surely = false): Map<number, number> {
  const coming = merged(all)
  const likely = likelyFor(coming)
  const free = coming.map(one => one.count)
  const serving = needs.map(need => likely(need).filter(at => coming[at]!.machineId !== need.machineId && doesServe(need, coming[at]!, surely)))
  /** So many units of each part go to each need. */
  const given = needs.map(() => new Map<number, number>())
  /** A way from a need to a part that is free, over needs that could take another: what each step hands on. */
  function wayFrom(start: number): { need: number; part: number }[] | null {
    const cameFrom = new Map<number, { need: number; part: number } | null>([[start, null]])
    const seen = new Set<number>()
    const queue = [start]
    for (let next = queue.shift(); next !== undefined; next = queue.shift()) {
      for (const part of serving[next]!) {
        if (seen.has(part)) continue
        seen.add(part)
        if (free[part]! > 0) {
          const way = [{ need: next, part }]
          for (let step = cameFrom.get(next); step; step = cameFrom.get(step.need)) way.push(step)
          return way
        }
        given.forEach((its, other) => {
          if (!its.get(part) || cameFrom.has(other)) return
          cameFrom.set(other, { need: next!, part })
          queue.push(other)
        })
      }
    }
    return null
  }
  const short = new Map<number, number>()
  const byRank = needs.map((need, at) => ({ need, at })).sort((a, b) => needRank(a.need) - needRank(b.need) || a.need.id - b.need.id)
  for (const { need, at } of byRank) {
    let left = need.count
    while (left > 0) {
      const way = wayFrom(at)
      if (!way) break
      // Whoever gives a part up takes the one before it on the way.
      const most = Math.min(left, free[way[0]!.part]!, ...way.slice(1).map(({ part }, step) => given[way[step]!.need]!.get(part)!))
      free[way[0]!.part]! -= most
      way.forEach(({ need: taker, part }, step) => {
        given[taker]!.set(part, (given[taker]!.get(part) ?? 0) + most)
        const before = way[step - 1]
        if (before) given[before.need]!.set(part, given[before.need]!.get(part)! - most)
      })
      left -= most
    }
    if (left > 0) short.set(need.id, left)
  }
  return short
}
