import { placeShape } from '../../kernel/places'
import type { SocketNeed } from './read-inventory'

/** What is known of a socket of a model: whether it is needed, and what belongs there. */
export interface KnownSocket {
  place: string
  need: SocketNeed
  what: string
}

/** A line of what is known of a model’s sockets: `U12 needed: character ROM`. @returns nothing where it is none */
export function readSocket(line: string): KnownSocket | null {
  const found = /^(\S+)\s+(needed|optional)\s*[:,;–-]?\s*(.*)$/i.exec(line.trim())
  return found && placeShape.test(found[1]!) ? { place: found[1]!, need: found[2]!.toLowerCase() as SocketNeed, what: found[3]!.trim() } : null
}

/** What is known of a place, by the lines of its model. */
export const socketOf = (place: string, lines: readonly string[]): KnownSocket | null =>
  lines.map(readSocket).find(one => one?.place.toUpperCase() === place.toUpperCase()) ?? null
