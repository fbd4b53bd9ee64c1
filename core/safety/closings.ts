import type { GateResult } from './gate'
import { type Opening, leavesUnassessed } from '../kernel/heard'
import type { Skill } from '../kernel/skills'

/**
 * What keeps a gate closed, as it is remembered between two acts: only who may say that a danger is gone may do what makes it go, by whatever act.
 * Striking, retyping, renaming, deleting, shortening and correcting are acts like any other.
 */
export interface Closing {
  /** What it is about: `hazard:battery`, `fact:rails`, or the code of its finding. */
  about: string
  /** 3 keeps it off, 2 leaves it unassessed, 1 guards. */
  weight: number
  says: string
  /** What saying that it is gone takes. */
  leave?: Skill
}

/** The strongest reason about each thing, by a gate; that nobody has looked yet is none. */
export function closingsOf({ findings, toOpen }: Pick<GateResult, 'findings' | 'toOpen'>): Closing[] {
  const strongest = new Map<string, Closing>()
  const opens = new Map<string, Opening>(toOpen.map(o => [o.code, o]))
  for (const found of findings) {
    const weight = found.level === 'stop' ? 3 : found.level !== 'care' ? 0 : leavesUnassessed(found) ? 2 : 1
    if (!weight) continue
    const { about = found.code, leave } = opens.get(found.code) ?? {}
    if ((strongest.get(about)?.weight ?? 0) < weight) strongest.set(about, { about, weight, says: found.says, ...(leave ? { leave } : {}) })
  }
  return [...strongest.values()]
}

/** What kept a gate closed before and does not any more, or less. */
export const opened = (before: readonly Closing[], now: readonly Closing[]): Closing[] =>
  before.filter(b => (now.find(n => n.about === b.about)?.weight ?? 0) < b.weight)
