import { type BoardPin, hasPlace, pinName } from './board'
import type { Contact } from './contact'
import { Joined, spanningTree } from './join'

/** A check that was made between two pins, in the order in which they were made. */
export interface Answer {
  a: string
  b: string
  contact: Contact
  /** Probed beyond the socket, without pressing on the pin. */
  beyond?: boolean
}
export const netStates = ['whole', 'broken', 'doubtful', 'not-yet'] as const
export type NetState = (typeof netStates)[number]
export const netStateNames: Record<NetState, string> = { 'whole': 'Whole', 'broken': 'Broken', 'doubtful': 'Doubtful', 'not-yet': 'Not yet proved' }

export interface NetFound {
  state: NetState
  /** Its ends in pieces that are joined, the largest first; one piece where it is whole. */
  pieces: string[][]
  /** What to ask next, to know whether two pieces are one, or where the break is; nothing once all is known. */
  ask: { a: string; b: string; beyond: boolean; why: string } | null
  /** Two ends between which the break lies, by the shortest way through the net. */
  breaks: { a: string; b: string }[]
}

/**
 * What the checks of one net say of it.
 * Whole only where every end is proved joined. Two ends that once read otherwise are joined only by a check from beyond the socket, and an
 * open reading between two ends that others join is a contradiction: both leave the net in doubt, for a finger closes a crack.
 * Once an end is open, its piece is told apart from the others by asking one end of each against one of every other.
 */
export function netFound(ends: readonly BoardPin[], answers: readonly Answer[]): NetFound {
  const index = new Map(ends.map((p, i) => [pinName(p), i]))
  const newest = new Map<string, Answer>()
  for (const answer of answers)
    if (index.has(answer.a) && index.has(answer.b)) {
      const key = [answer.a, answer.b].sort().join('\n')
      const before = newest.get(key)
      // Joined after it read otherwise, and not asked from beyond the socket: it may be the finger.
      newest.set(key, before && before.contact !== 'joined' && answer.contact === 'joined' && !answer.beyond ? { ...answer, contact: 'wobbling' } : answer)
    }
  const joined = new Joined(ends.length)
  for (const { a, b, contact } of newest.values()) if (contact === 'joined') joined.join(index.get(a)!, index.get(b)!)
  const apart = [...newest.values()].filter(n => n.contact !== 'joined')
  const pieces = piecesOf(ends, joined)
  if (ends.length < 2) return { state: 'not-yet', pieces, ask: null, breaks: [] }
  const against = apart.find(n => joined.together(index.get(n.a)!, index.get(n.b)!))
  if (against) {
    const why = `Others join ${against.a} and ${against.b}, and between the two it read ${against.contact}: ask again from beyond the socket, without pressure on the pin.`
    return { state: 'doubtful', pieces, breaks: [], ask: { a: against.a, b: against.b, beyond: true, why } }
  }
  if (pieces.length === 1) return { state: 'whole', pieces, ask: null, breaks: [] }
  const open = apart.filter(n => n.contact === 'open' || n.beyond)
  const doubt = apart.find(n => n.contact !== 'open' && !n.beyond)
  const breaks = open.map(({ a, b }) => ({ a, b }))
  if (doubt) {
    const { a, b, contact } = doubt
    return {
      state: 'doubtful',
      pieces,
      breaks,
      ask: { a, b, beyond: true, why: `${contact === 'high' ? 'It read high' : 'It wobbled'}: ask again from beyond the socket, without pressure on the pin.` },
    }
  }
  const ask = nextPair(ends, index, joined, pieces, newest)
  // Broken is what is known: a piece that is open to another. What nobody has asked yet is only not proved.
  return { state: open.length ? 'broken' : 'not-yet', pieces, ask, breaks: breaks.map(b => narrowed(ends, index, joined, b)) }
}

function piecesOf(ends: readonly BoardPin[], joined: Joined): string[][] {
  const by = new Map<number, string[]>()
  ends.forEach((p, i) => {
    const root = joined.of(i)
    by.set(root, [...(by.get(root) ?? []), pinName(p)])
  })
  return [...by.values()].sort((a, b) => b.length - a.length)
}

/** Two ends of two pieces that nobody has asked against each other, nor against the rest of those pieces. */
function nextPair(
  ends: readonly BoardPin[],
  index: ReadonlyMap<string, number>,
  joined: Joined,
  pieces: readonly string[][],
  answers: ReadonlyMap<string, Answer>,
): NetFound['ask'] {
  const settled = new Set([...answers.values()].map(n => [joined.of(index.get(n.a)!), joined.of(index.get(n.b)!)].sort((a, b) => a - b).join()))
  for (let i = 0; i < pieces.length; i++)
    for (let j = i + 1; j < pieces.length; j++) {
      const roots = [joined.of(index.get(pieces[i]![0]!)!), joined.of(index.get(pieces[j]![0]!)!)].sort((a, b) => a - b).join()
      if (settled.has(roots)) continue
      const [a, b] = nearest(ends, index, pieces[i]!, pieces[j]!)
      return { a, b, beyond: false, why: answers.size ? 'Whether these two pieces are joined is not known yet.' : 'Nobody has asked this net yet.' }
    }
  return null
}

function nearest(ends: readonly BoardPin[], index: ReadonlyMap<string, number>, as: readonly string[], bs: readonly string[]): [string, string] {
  let best: [number, string, string] = [Infinity, as[0]!, bs[0]!]
  for (const a of as)
    for (const b of bs) {
      const far = apartMm(ends[index.get(a)!]!, ends[index.get(b)!]!)
      if (far < best[0]) best = [far, a, b]
    }
  return [best[1], best[2]]
}
/** How far apart, in mm; of what has no place, farther than any board, so that known places come first. */
const apartMm = (a: BoardPin, b: BoardPin) => (hasPlace(a) && hasPlace(b) ? Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm) : 1000)

/** The stretch of the shortest way between two ends on which the pieces part; the pair itself where places are not known. */
function narrowed(ends: readonly BoardPin[], index: ReadonlyMap<string, number>, joined: Joined, { a, b }: { a: string; b: string }): { a: string; b: string } {
  if (!ends.every(hasPlace)) return { a, b }
  const tree = spanningTree(ends.length, (i, j) => apartMm(ends[i]!, ends[j]!))
  const [from, to] = [index.get(a)!, index.get(b)!]
  const way = pathOf(tree, ends.length, from, to)
  const at = way.findIndex((end, i) => i > 0 && !joined.together(end, from) && joined.together(way[i - 1]!, from))
  return at > 0 ? { a: pinName(ends[way[at - 1]!]!), b: pinName(ends[way[at]!]!) } : { a, b }
}

function pathOf(tree: readonly [number, number][], count: number, from: number, to: number): number[] {
  const beside: number[][] = Array.from({ length: count }, () => [])
  for (const [a, b] of tree) {
    beside[a]!.push(b)
    beside[b]!.push(a)
  }
  const before = new Map<number, number>([[from, from]])
  const queue = [from]
  for (const at of queue)
    for (const next of beside[at]!)
      if (!before.has(next)) {
        before.set(next, at)
        queue.push(next)
      }
  const way = [to]
  while (way[0] !== from && before.has(way[0]!)) way.unshift(before.get(way[0]!)!)
  return way
}
