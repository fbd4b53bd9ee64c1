/** What two people made of one row, field by field. */
export interface Merged {
  /** Theirs, with everything that only I changed; and mine where both did. */
  mine: Record<string, unknown>
  /** The same, with theirs where both did. */
  theirs: Record<string, unknown>
  /** Fields that both changed, each to something else. */
  conflicts: string[]
}

const isNested = (value: unknown): value is Record<string, unknown> => value !== null && typeof value === 'object' && !Array.isArray(value)
/** Empty in whatever way it is written; figures as they are typed. */
const plain = (value: unknown) =>
  value === undefined || value === null || value === '' ? '' : typeof value === 'object' ? JSON.stringify(value) : String(value)
const same = (a: unknown, b: unknown) => plain(a) === plain(b)

/**
 * Merges three versions of a form: what it said when typing began, what was typed, and what somebody else has kept meanwhile.
 * A field that only one of the two changed is theirs or mine; nothing that either has added is lost.
 * @param now as it was kept; fields that the form does not have are left alone
 */
export function merged(base: Record<string, unknown>, mine: Record<string, unknown>, now: Record<string, unknown>, before = ''): Merged {
  const result: Merged = { mine: {}, theirs: {}, conflicts: [] }
  for (const field of new Set([...Object.keys(mine), ...Object.keys(base), ...(before ? Object.keys(now) : [])])) {
    const [b, m] = [base[field], mine[field]]
    // What was kept may not hold every field of the form: those are nobody else's.
    const n = field in now || before ? now[field] : b
    if ([b, m, n].some(isNested)) {
      const part = (value: unknown) => (isNested(value) ? value : {})
      const inside = merged(part(b), part(m), part(n), `${before}${field}.`)
      result.mine[field] = inside.mine
      result.theirs[field] = inside.theirs
      result.conflicts.push(...inside.conflicts)
    } else if (same(m, b) || same(m, n)) {
      result.mine[field] = result.theirs[field] = same(n, b) ? m : n
    } else if (same(n, b)) {
      result.mine[field] = result.theirs[field] = m
    } else {
      result.mine[field] = m
      result.theirs[field] = n
      result.conflicts.push(before + field)
    }
  }
  return result
}
