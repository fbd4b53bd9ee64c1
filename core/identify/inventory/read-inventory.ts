import { counted } from '../../kernel/figure'
import { InputError } from '../../kernel/input-error'
import { type WrongLine, placesOf, readByPlaces } from '../../kernel/places'
import { organisationWords, readOrganisation } from './known-parts'

/** How a part sits; an empty socket is a place without one. */
export const mountings = { 'socketed': 'In a socket', 'soldered': 'Soldered', 'empty': 'Empty socket', 'not-known': 'Not looked at' } as const
export type Mounting = keyof typeof mountings
/** Whether an empty socket matters. */
export const socketNeeds = { 'needed': 'Needed', 'optional': 'Optional', 'not-known': 'Not known' } as const
export type SocketNeed = keyof typeof socketNeeds

/** One line of an inventory: like parts that begin at a place, or an empty socket. */
export interface InventoryLine {
  place: string
  count: number
  /** What is printed on it, as it stands there; empty for an empty socket. */
  marking: string
  /** Words and bits as they were written, where the number does not tell; else empty. */
  organisation: string
  mounting: Mounting
  need: SocketNeed
  /** What is written on a label of it: what a memory holds, and its revision. */
  label: string
  dateCode: string
  /** It is there, and nothing uses it. */
  unused: boolean
  note: string
}
export interface InventoryRead {
  lines: InventoryLine[]
  wrong: WrongLine[]
}

/** As many as one list holds; a large machine has fewer. */
export const mostLines = 600
export const mostLetters = 40_000

const words: [RegExp, (found: RegExpExecArray, into: InventoryLine) => void][] = [
  [/^(socketed|socket|skt)$/i, (_, l) => (l.mounting = 'socketed')],
  [/^(soldered|sol)$/i, (_, l) => (l.mounting = 'soldered')],
  [/^(empty|vacant)$/i, (_, l) => (l.mounting = 'empty')],
  [/^(needed|required)$/i, (_, l) => (l.need = 'needed')],
  [/^(optional|option)$/i, (_, l) => (l.need = 'optional')],
  [/^(unused)$/i, (_, l) => (l.unused = true)],
]
/** Two figures of a year that parts have, and a week. */
const dateShape = /^[6-9]\d(0[1-9]|[1-4]\d|5[0-3])$/

/** @throws InputError saying what of the line does not do */
function readLine(text: string): InventoryLine[] {
  const wrong = (says: string) => new InputError('typed', text, says)
  const { places, rest } = placesOf(text, { field: 'typed', such: 'U1-U8', spaces: false })
  if (!places.length) throw wrong('It begins with no place. Write the place first, such as U7.')
  const line: InventoryLine = {
    place: '',
    count: 1,
    marking: '',
    organisation: '',
    mounting: 'not-known',
    need: 'not-known',
    label: '',
    dateCode: '',
    unused: false,
    note: '',
  }
  const left: string[] = []
  const bare = rest
    .replace(/["“”]([^"“”]*)["“”]/g, (_, label: string) => {
      line.label = label.trim().slice(0, 80)
      return ' '
    })
    .replace(/(\d[KM]?)\s*[×x*]\s*(?=\d)/gi, '$1×')
    .replace(/(\d)\s+([KM]bits?)\b/gi, '$1$2')
    .replace(/[:;|\t]|,(?!\d)/g, ' ')
  for (const word of bare.split(/\s+/).filter(Boolean)) {
    const many = /^(?:(\d{1,3})[x×]|[x×](\d{1,3}))$/i.exec(word)
    const organisation = readOrganisation(word)
    const found = words.find(([shape]) => shape.test(word))
    if (many) {
      const count = Number(many[1] ?? many[2])
      if (count < 1) throw wrong('How many: from one on.')
      if (places.length > 1 && count !== places.length)
        throw wrong(`${count} of them, and ${counted(places.length, 'place')}: name as many places as there are parts.`)
      if (places.length === 1) line.count = count
    } else if (found) found[1](found[0].exec(word)!, line)
    else if (organisation) line.organisation = organisationWords(organisation)
    else if (line.marking && !line.dateCode && dateShape.test(word)) line.dateCode = word
    else if (!line.marking && /\d/.test(word)) line.marking = word.slice(0, 60)
    else left.push(word)
  }
  line.note = left.join(' ').slice(0, 200)
  if (line.mounting === 'empty') {
    // What stands behind an empty socket is what belongs there.
    line.note = [line.marking && `for a ${line.marking}`, line.note].filter(Boolean).join(', ').slice(0, 200)
    line.marking = ''
    line.unused = false
  } else if (!line.marking && line.organisation) line.marking = line.organisation
  if (line.mounting !== 'empty' && !line.marking) throw wrong('What is printed on it is missing: write U7 4116, or U7 empty for a socket without a part.')
  return places.map(place => ({ ...line, place }))
}

/**
 * Reads an inventory as it is read aloud, a line for what is alike: `U7 4116 15x socketed 8214`, `U1-U8: 4164`, `IC5 2716 "monitor 2.1"`,
 * `U12 empty needed`, `U3 64K×4 2x`. Empty lines and those that begin with # are left out.
 * @returns the lines in their order, and those that could not be read, of which none takes another with it
 * @throws InputError at `typed` where it is longer than any machine
 */
export function readInventory(text: string): InventoryRead {
  if (text.length > mostLetters) throw new InputError('typed', '', 'The list is too long: give it board by board.')
  const { parts, wrong } = readByPlaces(text, readLine, { field: 'typed', most: mostLines, pieces: 'board' })
  return { lines: parts, wrong }
}
