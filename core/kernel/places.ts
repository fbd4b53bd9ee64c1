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
