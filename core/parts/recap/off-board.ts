import { type BoardPin, isSupplyNet, netsOf } from '../../continuity/board'
import { byName } from '../../kernel/places'

/** A capacitor of a board by its nets; its value is on no net list. */
export interface PlaceOnBoard {
  place: string
  nets: [string, string]
}

/** What a capacitor is called on a board, by IEEE 315 and IEC 81346: C and a number. From memory. */
const isCapacitor = /^C\d{1,4}[A-Za-z]?$/

/** The places of a board that are capacitors: parts of that letter with two pins. A net that is a supply comes first of the two. */
export function placesOnBoard(pins: readonly BoardPin[]): PlaceOnBoard[] {
  const byPart = new Map<string, Set<string>>()
  for (const [net, its] of netsOf(pins)) for (const { part } of its) if (isCapacitor.test(part)) byPart.set(part, (byPart.get(part) ?? new Set()).add(net))
  const rank = (net: string) => (/gnd|ground|earth|chassis|vss|^0v/i.test(net) ? 2 : isSupplyNet(net) ? 0 : 1)
  return [...byPart]
    .flatMap(([place, nets]) => (nets.size === 2 ? [{ place, nets: [...nets].sort((a, b) => rank(a) - rank(b) || byName(a, b)) as [string, string] }] : []))
    .sort((a, b) => byName(a.place, b.place))
}
