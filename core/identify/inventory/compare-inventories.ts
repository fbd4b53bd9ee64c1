import { byName } from '../../kernel/places'
import { knownPart } from './known-parts'
import { organisationOf } from './judge-inventory'
import { type InventoryLine, mountings } from './read-inventory'

/** What two machines have at one place of one board. */
export interface PlaceBeside {
  board: string
  place: string
  here: string
  there: string
  /** Another part, or one where the other has none; where both have the same type, what else is otherwise. */
  differs: 'only-here' | 'only-there' | 'part' | 'detail' | null
}
type Line = InventoryLine & { board: string }
const sayLine = (line: Line) =>
  line.mounting === 'empty'
    ? `empty socket${line.note && `, ${line.note}`}`
    : [
        `${line.count > 1 ? `${line.count} × ` : ''}${line.marking}`,
        line.organisation,
        line.label && `“${line.label}”`,
        line.mounting === 'not-known' ? '' : mountings[line.mounting].toLowerCase(),
        line.dateCode,
      ]
        .filter(Boolean)
        .join(', ')
/** A part by what it does: another maker’s of the same number is the same part, another speed as well. */
const whatOf = (line: Line) => {
  if (line.mounting === 'empty') return 'empty'
  const part = knownPart(line.marking)
  return part && part.kind !== 'rom'
    ? part.type
    : `${organisationOf(line) ? (part?.type ?? line.marking.toUpperCase()) : line.marking.toUpperCase()} ${line.label}`
}

/** Two sisters side by side, place by place: what differs comes first. */
export function compareInventories(here: readonly Line[], there: readonly Line[]): PlaceBeside[] {
  const key = ({ board, place }: Line) => `${board.toLowerCase()} ${place.toUpperCase()}`
  const others = new Map(there.map(line => [key(line), line]))
  const own = new Set(here.map(key))
  const both = here.map((line): PlaceBeside => {
    const other = others.get(key(line))
    const { board, place } = line
    if (!other) return { board, place, here: sayLine(line), there: '', differs: 'only-here' }
    const [mine, theirs] = [sayLine(line), sayLine(other)]
    const same = whatOf(line) === whatOf(other) && line.count === other.count
    // That it was made in another week makes no other part of it.
    const plain = (of: Line) => sayLine({ ...of, dateCode: '', marking: knownPart(of.marking)?.type ?? of.marking })
    return { board, place, here: mine, there: theirs, differs: !same ? 'part' : plain(line) === plain(other) ? null : 'detail' }
  })
  const missing = there
    .filter(line => !own.has(key(line)))
    .map((line): PlaceBeside => ({ board: line.board, place: line.place, here: '', there: sayLine(line), differs: 'only-there' }))
  const rank = ({ differs }: PlaceBeside) => (differs === null ? 2 : differs === 'detail' ? 1 : 0)
  return [...both, ...missing].sort((a, b) => rank(a) - rank(b) || byName(a.board, b.board) || byName(a.place, b.place))
}
