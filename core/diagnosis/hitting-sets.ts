/**
 * The minimal sets that meet every conflict: each explains all of what went wrong, and none of its parts can be left out.
 * Sources: Reiter 1987, A theory of diagnosis from first principles (hitting-set tree); smaller sets are found first, so no minimal one is lost.
 * @param conflicts in each of these sets one member at least is at fault; members are counted from 0
 * @param largest sets of more members are not looked for
 * @param most so many sets are enough
 */
export function minimalHittingSets(conflicts: readonly (readonly number[])[], largest = 3, most = 2000): number[][] {
  if (!conflicts.length || conflicts.some(c => !c.length)) return []
  // The shortest first: they branch least.
  const each = conflicts.map(c => new Set(c)).sort((a, b) => a.size - b.size)
  const found: number[][] = []
  let level: number[][] = [[]]
  for (let size = 0; size <= largest && level.length; size++) {
    const next = new Map<string, number[]>()
    for (const set of level) {
      const open = each.find(conflict => !set.some(member => conflict.has(member)))
      if (!open) {
        if (found.length < most) found.push(set)
        continue
      }
      if (size === largest) continue
      for (const member of open) {
        const grown = [...set, member].sort((a, b) => a - b)
        if (!found.some(f => f.every(m => grown.includes(m)))) next.set(grown.join(), grown)
      }
    }
    // A set that was found on this level makes those of the next that hold it superfluous.
    level = [...next.values()].filter(set => !found.some(f => f.every(m => set.includes(m))))
  }
  return found
}
