import { counted, significant } from '../../kernel/figure'
import { InputError } from '../../kernel/input-error'
import { type WrongLine, placesOf, readByPlaces } from '../../kernel/places'
import { parseQuantity } from '../../kernel/quantity'
import type { Spec } from '../substitute/compare'
import { capacitor } from '../substitute/kinds/capacitor'
import { expectSpec } from '../substitute/substitute'

/** How it is held beside its leads; undone first, and done again. */
export const fixings = { none: 'By its leads alone', glue: 'Glued', clip: 'Clip or strap', screw: 'Screwed down' } as const
export type Fixing = keyof typeof fixings

type OpenSpec = { -readonly [field in keyof Spec]: Spec[field] }
/** One capacitor of a list, at its place. */
export interface ListedCapacitor {
  place: string
  spec: OpenSpec
  fixing: Fixing
  /** It sits in heat, or carries much ripple. */
  stressed: boolean
  /** What was taken for granted, and is not written; somebody looks at it before it is kept. */
  guessed: string[]
  /** Words that no field took. */
  note: string
}
export interface RecapList {
  capacitors: ListedCapacitor[]
  wrong: WrongLine[]
}

/** As many as one list holds; a board has fewer. */
export const mostListed = 500

/** From this value on what nobody calls anything is an electrolytic, mostly. Common practice, no source. */
const electrolyticFromF = 1e-6
/** Across the line nothing as large is made. Common practice, no source. */
const noClassFromF = 22e-6

/** What a word says; the first that fits. */
const words: [RegExp, (found: RegExpExecArray, into: ListedCapacitor) => void][] = [
  [/^(electrolytic|elec|elyt|lytic|aluminium|al)$/i, (_, c) => (c.spec.technology = 'electrolytic')],
  [/^(tantalum|tant|ta)$/i, (_, c) => (c.spec.technology = 'tantalum')],
  [/^polymer$/i, (_, c) => (c.spec.technology = 'polymer')],
  [/^(film|foil|polyester|polypropylene|mylar|mkt|mkp)$/i, (_, c) => (c.spec.technology = 'film')],
  [/^paper$/i, (_, c) => (c.spec.technology = 'paper')],
  [/^(ceramic|cer|disc|mlcc)$/i, (_, c) => (c.spec.technology = 'ceramic')],
  [/^(?:class)?(x[123]|y[124])$/i, (m, c) => (c.spec.safetyClass = m[1]!.toLowerCase())],
  [/^(x1)y([12])$/i, (m, c) => (c.spec.safetyClass = `x1-y${m[2]}`)],
  [/^(bp|np|bipolar|nonpolar|non-polar|non-polarised|unpolarised)$/i, (_, c) => (c.spec.polarity = 'bipolar')],
  [/^(polarised|polar)$/i, (_, c) => (c.spec.polarity = 'polarised')],
  [/^(radial|axial)$/i, (m, c) => (c.spec.leads = m[1]!.toLowerCase())],
  [/^(screw-?terminals?)$/i, (_, c) => (c.spec.leads = 'screw')],
  [/^(snap-?in)$/i, (_, c) => (c.spec.leads = 'snap-in')],
  [/^(smd|smt|surface)$/i, (_, c) => (c.spec.leads = 'surface')],
  [/^(glued?|hot-?glue)$/i, (_, c) => (c.fixing = 'glue')],
  [/^(clip|clipped|strap|strapped|tied)$/i, (_, c) => (c.fixing = 'clip')],
  [/^(screwed)$/i, (_, c) => (c.fixing = 'screw')],
  [/^(hot|heat|warm|ripple)$/i, (_, c) => (c.stressed = true)],
  [/^\+?(\d{2,3})°?c$/i, (m, c) => (c.spec.temperatureC = Number(m[1]))],
  [/^(?:±|\+-|\+\/-)?(\d{1,2}(?:[.,]\d)?)%$/, (m, c) => (c.spec.tolerancePct = figure(m[1]!))],
  [/^(\d+(?:[.,]\d+)?)x(\d+(?:[.,]\d+)?)(?:mm)?$/i, (m, c) => Object.assign(c.spec, { diameterMm: figure(m[1]!), heightMm: figure(m[2]!) })],
  [/^(?:rm|ls|pitch|spacing)(\d+(?:[.,]\d+)?)(?:mm)?$/i, (m, c) => (c.spec.spacingMm = figure(m[1]!))],
  [
    /^(\d+(?:[.,]\d+)?)(k?)(?:v|wv|volts?)(dc|ac|~)?$/i,
    (m, c) => {
      c.spec.voltageV = figure(m[1]!) * (m[2] ? 1000 : 1)
      if (m[3]) c.spec.ratedFor = m[3].toLowerCase() === 'dc' ? 'dc' : 'ac'
    },
  ],
]
const figure = (text: string) => Number(text.replace(',', '.'))
const looksLikeValue = /^\.?\d[\d.,]*\s?(?:[pnuUµμm]\d*|MM?FD?|mm?fd)?F?$|^[\d.,]+\s?[pnuUµμ]?[Ff]d?$|^\d*[pnuµμ]\d+$/

/** What belongs to one figure is brought together: `470 uF`, `10 x 20 mm`, `105 °C`, `pitch 5`. */
const closedUp = (text: string) =>
  text
    .replace(/[=:;|/\t]|,(?!\d)/g, ' ')
    .replace(/(\d)\s*[x×*]\s*(?=\d+(?:[.,]\d+)?\s*(?:mm)?(?:\s|$))/gi, '$1x')
    .replace(/(\d)\s+(?=(?:[pnuµμm]?F|MM?FD?|mm?fd|V|VDC|VAC|WV|°\s?C|%|mm)(?:\s|$))/g, '$1')
    .replace(/\b(class|pitch|spacing|RM|LS)\s+(?=[\dXxYy])/gi, '$1')
    .replace(/(\d)mm\s+(?:pitch|spacing)(?!\s*\d)/gi, (_, d: string) => `${d}mmpitch`)
    .replace(/(\d+(?:[.,]\d+)?)mmpitch/g, 'pitch$1')
    .replace(/\bx1\s+y([12])\b/gi, 'x1y$1')
    .replace(/\bscrew\s+terminals?\b/gi, 'screw-terminals')
    .trim()

/** What the words of a line say of one part, beside its places. @throws InputError saying what of it does not do */
function readWords(text: string, places: number): ListedCapacitor {
  const wrong = (says: string) => new InputError('typed', text, says)
  const one: ListedCapacitor = { place: '', spec: {}, fixing: 'none', stressed: false, guessed: [], note: '' }
  const left: string[] = []
  for (const word of closedUp(text).split(/\s+/).filter(Boolean)) {
    const many = /^(\d{1,2})x$/i.exec(word)
    if (many) {
      if (Number(many[1]) !== places) throw wrong(`${many[1]} of them, and ${counted(places, 'place')}: name as many places as there are parts.`)
      continue
    }
    const found = words.find(([shape]) => shape.test(word))
    if (found) found[1](found[0].exec(word)!, one)
    else if (looksLikeValue.test(word)) {
      if (one.spec.capacitanceF !== undefined) throw wrong(`It has two values: “${word}” comes after one. A line is for parts that are alike.`)
      if (/^[\d.,]+$/.test(word)) throw wrong(`“${word}” of what? Write 470u, 100n or 22p.`)
      one.spec.capacitanceF = significant(parseQuantity(word, 'F', 'typed'), 6)
    } else left.push(word)
  }
  const { spec } = one
  const value = spec.capacitanceF as number | undefined
  if (value === undefined) throw wrong('It has no value. Write 470u, 100n or 22p.')
  expectSpec(capacitor, spec, 'typed')
  if (spec.technology === undefined && spec.safetyClass === undefined && spec.ratedFor !== 'ac' && value >= electrolyticFromF) {
    spec.technology = 'electrolytic'
    one.guessed.push('an aluminium electrolytic')
  }
  const wet = spec.technology === 'electrolytic' || spec.technology === 'tantalum' || spec.technology === 'polymer'
  if (wet && spec.polarity === undefined) spec.polarity = 'polarised'
  if (spec.safetyClass === undefined && (wet || value >= noClassFromF)) spec.safetyClass = 'none'
  one.note = left.join(' ').slice(0, 120)
  return one
}

/** A capacitor as a price list or a drawer has it, without a place: `470u 35V radial 10x20 105C`. @throws InputError */
export const readCapacitor = (text: string): Spec => readWords(text, 1).spec

/** @throws InputError saying what of the line does not do */
function readLine(text: string): ListedCapacitor[] {
  const wrong = (says: string) => new InputError('typed', text, says)
  const { places, rest } = placesOf(text, { field: 'typed', such: 'C1-C8', spaces: true })
  if (!places.length) throw wrong('It begins with no place. Write the place first, such as C12.')
  const one = readWords(rest, places.length)
  return places.map(name => ({ ...one, spec: { ...one.spec }, guessed: [...one.guessed], place: name }))
}

/**
 * Reads a list of capacitors as people write it, a line for what is alike: `C12 470u 25V radial 10x20`, `C1, C4-C6: 10 µF/16 V axial`,
 * `C2 100n 250VAC X2`. Empty lines and those that begin with # are left out.
 * @param text up to 20 000 letters
 * @returns the capacitors in the order of the list, and the lines that could not be read, of which none takes another with it
 * @throws InputError where it is longer than any board
 */
export function readRecapList(text: string): RecapList {
  if (text.length > 20_000) throw new InputError('typed', '', 'The list is too long: 20 000 letters at most. Give it assembly by assembly.')
  const { parts, wrong } = readByPlaces(text, readLine, { field: 'typed', most: mostListed, pieces: 'assembly' })
  return { capacitors: parts, wrong }
}
