import { type BoardPin, distanceMm, hasPlace, pinName } from './board'

/**
 * Pins this near to each other are neighbours that solder or crust may join: the pitch of dual in-line packages, 2.54 mm, and a little.
 * Source: JEDEC MS-001, from memory.
 */
export const neighbourMm = 2.7

/** Whether two pins lie side by side; without places, the next number of the same part does. */
const sideBySide = (a: BoardPin, b: BoardPin) =>
  hasPlace(a) && hasPlace(b) ? distanceMm(a, b) <= neighbourMm : a.part === b.part && Math.abs(Number(a.pin) - Number(b.pin)) === 1

export interface NetBeside {
  net: string
  supply: boolean
  ends: readonly BoardPin[]
  /** Its ends in pieces that are joined; one piece, or none, where nobody knows better. */
  pieces: readonly (readonly string[])[]
}
export interface ShortAsked {
  a: string
  b: string
  netA: string
  netB: string
}

/** The pieces of a net, each with its pins; the whole of it where it is not in pieces. */
const piecesOf = ({ ends, pieces }: NetBeside) => (pieces.length > 1 ? pieces.map(piece => ends.filter(e => piece.includes(pinName(e)))) : [ends])

/**
 * Shorts that were asked at one piece of a net say nothing of its other pieces: for each piece, one check against each net beside it, and
 * against each piece of that net. What was asked between the same two pieces is not asked again.
 * @param nets all of the sheet @param asked checks for shorts that are on the sheet, answered or not
 */
export function shortsOfPieces(broken: NetBeside, nets: readonly NetBeside[], asked: readonly Pick<ShortAsked, 'a' | 'b'>[]): ShortAsked[] {
  const there = new Set(asked.flatMap(c => [`${c.a}\n${c.b}`, `${c.b}\n${c.a}`]))
  return piecesOf(broken).flatMap(piece =>
    nets
      .filter(other => other.net !== broken.net && !(other.supply && broken.supply))
      .flatMap(other =>
        piecesOf(other).flatMap(against => {
          const pairs = piece.flatMap(a => against.filter(b => sideBySide(a, b)).map(b => [pinName(a), pinName(b)] as const))
          const known = piece.some(a => against.some(b => there.has(`${pinName(a)}\n${pinName(b)}`)))
          const [first] = pairs
          return first && !known ? [{ a: first[0], b: first[1], netA: broken.net, netB: other.net }] : []
        }),
      ),
  )
}

/** Where a wire was soldered, its ends are asked against their neighbours again: solder runs. */
export function shortsOfWire(wire: { a: string; b: string }, of: NetBeside, nets: readonly NetBeside[]): ShortAsked[] {
  const soldered = of.ends.filter(e => [wire.a, wire.b].includes(pinName(e)))
  return soldered.flatMap(a =>
    nets
      .filter(other => other.net !== of.net && !(other.supply && of.supply))
      .flatMap(other => {
        const b = other.ends.find(end => sideBySide(a, end))
        return b ? [{ a: pinName(a), b: pinName(b), netA: of.net, netB: other.net }] : []
      }),
  )
}
