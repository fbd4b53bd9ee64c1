import type { HeldPlace } from '../ledger'
import { type Named, likeKey } from '../offers'

/** A line of the ledger, with how many of its like should lie on the shelf. */
export interface KeptLine extends Named {
  id: number
  count: number
  at: HeldPlace
  keepAtLeast: number | null
}

const here: readonly HeldPlace[] = ['shelf', 'arrived', 'ordered', 'pledged']

/**
 * Of what fewer lie on the shelf, or are on their way, than should; also where the last one has gone. How many should is said by the newest line on the
 * shelf that says so, else by the newest anywhere.
 * @param lines those that say how many, wherever they are, and those that are here; known bad ones left out
 */
export function lowOnShelf<H extends KeptLine>(lines: readonly H[]): { line: H; keep: number; have: number }[] {
  const groups = new Map<string, H[]>()
  for (const line of lines) {
    const key = likeKey(line)
    groups.set(key, [...(groups.get(key) ?? []), line])
  }
  return [...groups.values()].flatMap(group => {
    const says = group.filter(line => line.keepAtLeast !== null).sort((a, b) => Number(b.at === 'shelf') - Number(a.at === 'shelf') || b.id - a.id)[0]
    const have = group.filter(line => here.includes(line.at)).reduce((sum, line) => sum + line.count, 0)
    return says && have < says.keepAtLeast! ? [{ line: says, keep: says.keepAtLeast!, have }] : []
  })
}
