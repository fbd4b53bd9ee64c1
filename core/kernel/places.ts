import { InputError } from './input-error'

/** What a part is called on a board: letters and a number, such as C12 or IC7A. */
export const placeShape = /^[A-Z]{1,3}\d{1,4}[A-Za-z]?$/
const range = /^([A-Z]{1,3})(\d{1,4})\s*(?:-|–|…|\.\.|to)\s*([A-Z]{0,3})(\d{1,4})$/
/** So many stand in one row of places. */
const mostInRow = 100

const onePlace = String.raw`[A-Z]{1,3}\d{1,4}[A-Za-z]?(?:\s*(?:-|–|…|\.\.|to)\s*[A-Z]{0,3}\d{1,4})?`
const [listed, spaced] = [String.raw`\s*[,&+]\s*`, String.raw`\s*[,&+]\s*|\s+(?=[A-Z]{1,3}\d{1,4}(?:\s|,|-|–))`].map(
  between => new RegExp(String.raw`^((?:${onePlace})(?:${between}|(?=[\s:;=]|$)))+`),
) as [RegExp, RegExp]

/**
 * The places at the beginning of a line, and what comes after them: `C1, C4-C6: 470u` begins with four.
 * @param spaces whether a space alone may stand between two; not where what comes after them may look like one, as `MK4116` does
 * @param such a row of places as one could be written, for what there is to say of one that is none
 * @throws InputError at `field`, at a row that is none
 */
export function placesOf(text: string, { field, such, spaces }: { field: string; such: string; spaces: boolean }): { places: string[]; rest: string } {
  const at = (spaces ? spaced : listed).exec(text)
  if (!at) return { places: [], rest: text }
  const places = at[0]
    .replace(/\s*(-|–|…|\.\.|to)\s*/g, '-')
    .split(/[\s,&+:;=]+/)
    .filter(Boolean)
    .flatMap(one => {
      const ends = range.exec(one)
      if (!ends) return [one]
      const [, letters = '', from, other, to] = ends
      const [low, high] = [Number(from), Number(to)]
      if ((other && other !== letters) || high <= low || high - low >= mostInRow)
        throw new InputError(field, one, `“${one}” is no row of places: write it as ${such}, a hundred at most.`)
      return Array.from({ length: high - low + 1 }, (_, i) => `${letters}${low + i}`)
    })
  return { places, rest: text.slice(at[0].length) }
}

/** Orders names as people count: U2 before U10. */
export const byName = new Intl.Collator('en', { numeric: true }).compare

/** A line that could not be read, with its number from one on. */
export interface WrongLine {
  line: number
  text: string
  says: string
}

/**
 * Reads a list of parts by their places, a line for what is alike. Empty lines and those that begin with # are left out; a line that cannot be read
 * takes no other with it.
 * @param readLine what a line says, one for each of its places @param most so many are one list
 * @returns the parts in the order of the list, and the lines that could not be read
 */
export function readByPlaces<T extends { place: string }>(
  text: string,
  readLine: (line: string) => T[],
  { field, most, pieces }: { field: string; most: number; pieces: string },
): { parts: T[]; wrong: WrongLine[] } {
  const parts: T[] = []
  const wrong: WrongLine[] = []
  const known = new Set<string>()
  text.split(/\r?\n/).forEach((line, at) => {
    const written = line.trim()
    if (!written || written.startsWith('#')) return
    try {
      const read = readLine(written)
      const strange = read.find(({ place }) => !placeShape.test(place))
      if (strange) throw new InputError(field, written, `“${strange.place}” is no place. A letter and a number, such as C12.`)
      const twice = read.find(({ place }, nth) => known.has(place) || read.findIndex(other => other.place === place) !== nth)
      if (twice) throw new InputError(field, written, `${twice.place} is in the list already.`)
      if (parts.length + read.length > most) throw new InputError(field, written, `There are more than ${most}: give them ${pieces} by ${pieces}.`)
      for (const { place } of read) known.add(place)
      parts.push(...read)
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      wrong.push({ line: at + 1, text: written.slice(0, 120), says: error.message })
    }
  })
  return { parts, wrong }
}

/** A list is kept whole or not at all. @throws InputError at the first line that could not be read, with how many more there are */
export function expectAllRead(wrong: readonly WrongLine[], field: string): void {
  const [first, ...more] = wrong
  if (first) throw new InputError(field, first.text, `Line ${first.line}: ${first.says}${more.length ? ` ${more.length} more cannot be read.` : ''}`)
}
