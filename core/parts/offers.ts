import { type Held, countsAsGood, isAtHand } from './ledger'
import { type Spec, type SubstituteVerdict, verdicts } from './substitute/compare'
import { type PartKindName, judgeSubstitute } from './substitute/substitute'
import { readWouldDo, wouldDoSays } from './would-do'

/** A part by its name, and what is known of it. */
export interface Named {
  name: string
  kind: PartKindName | null
  spec: Spec
}
/** A part that is wanted, with what would do in its place, as it was written down. */
export interface Wanted extends Named {
  wouldDo?: string
  forFirstStart?: string
}
export interface Offer<H> {
  held: H
  verdict: SubstituteVerdict
  /** Why: the worst that its fields say, or that the names agree and nothing else is known. */
  says: string
  /** Who else wants the same. */
  alsoFor: number[]
}

/** Words that tell no part from another. */
const idle = new Set(['a', 'an', 'and', 'for', 'of', 'one', 'the', 'with', 'new', 'spare', 'part'])
/** Names are read again and again while a ledger is weighed; so many stay read. */
const mostRead = 20_000
const read = new Map<string, readonly string[]>()
/** The words of a name that tell it from another, in small letters and without the s of a plural. */
export function wordsOf(name: string): readonly string[] {
  const before = read.get(name)
  if (before) return before
  const words = name
    .toLowerCase()
    .normalize('NFKD')
    .split(/[^\p{L}\p{N}]+/u)
    .map(word => word.replace(/(?<=\p{L}{3})s$/u, ''))
    .filter(word => word && !idle.has(word))
  if (read.size >= mostRead) read.clear()
  read.set(name, words)
  return words
}

/** What tells a part from others: its name, and what is stated of it. Like parts have the same, and are weighed as one. */
export const likeKey = ({ name, kind, spec, wouldDo = '', forFirstStart = '' }: Wanted): string =>
  JSON.stringify([name.trim().toLowerCase(), kind, Object.entries(spec).sort(), wouldDo, forFirstStart])

/** Whether two names may mean one part: every word of the shorter stands in the longer. */
export function namesAgree(one: string, other: string): boolean {
  const [a, b] = [wordsOf(one), wordsOf(other)].sort((x, y) => x.length - y.length) as [readonly string[], readonly string[]]
  return a.length > 0 && a.every(word => b.includes(word))
}

const stated = ({ spec }: Named) => Object.values(spec).some(value => value !== undefined)

/**
 * Whether a part at hand may serve a need: by their fields where both are of one kind with something stated; else by what was noted to do in its place;
 * else by their names, and then it is not known what it bears.
 * @returns nothing where they have nothing to do with each other
 */
export function serves(need: Wanted, held: Named): { verdict: SubstituteVerdict; says: string } | null {
  const noted =
    need.wouldDo || need.forFirstStart ? readWouldDo(need.wouldDo ?? '', need.forFirstStart ?? '').find(one => namesAgree(one.name, held.name)) : null
  if (need.kind && need.kind === held.kind && stated(need) && stated(held)) {
    const { verdict, terms } = judgeSubstitute({ kind: need.kind, wanted: need.spec, offered: held.spec })
    // What is of the same kind and does not fit is said only of what goes by the same name, or was noted: it would be taken for it.
    if (verdict === 'does-not' && !noted && !namesAgree(need.name, held.name)) return null
    if (verdict !== 'not-known' || !noted) return { verdict, says: verdict === 'fits' ? 'All that counts is stated of both, and agrees.' : terms[0]!.says }
  }
  if (noted) return { verdict: noted.firstStart ? 'first-start' : noted.limit ? 'note' : 'not-known', says: wouldDoSays(noted) }
  if (need.kind && held.kind && need.kind !== held.kind) return null
  return namesAgree(need.name, held.name) ? { verdict: 'not-known', says: 'It goes by the same name; what it is like is not stated of both.' } : null
}

/** Whether a part may be put to a need at all. */
export const mayServe = (need: Wanted, held: Named): boolean => !['does-not', undefined].includes(serves(need, held)?.verdict)

/**
 * What becomes of a need by what is fitted for it: met by as many as it wants that last; or as many are there, and some do for a first start alone,
 * so that it is lived with and still wanted.
 */
export function metBy(need: Wanted & { quantity: number }, fitted: readonly (Named & { count: number })[]): 'fitted' | 'for-a-start' | 'wanted' {
  const many = (of: typeof fitted) => of.reduce((all, one) => all + one.count, 0)
  if (many(fitted.filter(one => serves(need, one)?.verdict !== 'first-start')) >= need.quantity) return 'fitted'
  return many(fitted) >= need.quantity ? 'for-a-start' : 'wanted'
}

/**
 * What is at hand for a need, the best first: by whether it fits, then by its condition, then what is on the shelf before what is still in a donor.
 * @param needs all that is wanted, of which the first is asked for
 */
export function offersFor<H extends Held & Named>(need: Wanted & { id: number }, held: readonly H[], others: readonly (Wanted & { id: number })[]): Offer<H>[] {
  return held
    .filter(one => isAtHand(one) && one.condition !== 'bad')
    .flatMap(one => {
      const served = serves(need, one)
      if (!served) return []
      const alsoFor = others.filter(other => other.id !== need.id && mayServe(other, one)).map(other => other.id)
      return [{ held: one, ...served, alsoFor }]
    })
    .sort(
      (a, b) =>
        verdicts.indexOf(a.verdict) - verdicts.indexOf(b.verdict) ||
        Number(countsAsGood(b.held)) - Number(countsAsGood(a.held)) ||
        Number(a.held.at === 'donor') - Number(b.held.at === 'donor'),
    )
}
