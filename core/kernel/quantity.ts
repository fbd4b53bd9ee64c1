import { InputError } from './input-error'

/**
 * Quantities as people write them at the bench: `4k7`, `100n`, `0.1 uF`, `-5.09`, `3.6 kΩ`, `8M`, `11,75 V`, `5V1`, `R47`, `12 V DC`.
 * The letter may stand in the place of the decimal mark, as IEC 60062 writes component values.
 */
const prefixes: Record<string, number> = { p: 1e-12, n: 1e-9, u: 1e-6, U: 1e-6, µ: 1e-6, μ: 1e-6, m: 1e-3, k: 1e3, K: 1e3, M: 1e6, G: 1e9 }
const unitSpellings = { V: ['V', 'volt', 'volts'], A: ['A', 'amp', 'amps'], Ω: ['Ω', 'ohm', 'ohms', 'R'], F: ['F', 'fd'] } satisfies Record<string, string[]>
/** Units of everyday measures, in small letters: each with what else is written there, and how much of the unit that is. */
const measures = {
  'kg': { kg: 1, kilo: 1, kilos: 1, g: 1e-3 },
  'g': { g: 1, gram: 1, grams: 1, mg: 1e-3, kg: 1000 },
  'mm': { mm: 1, cm: 10, m: 1000 },
  'cm': { cm: 1, mm: 0.1, m: 100 },
  'l': { l: 1, litre: 1, litres: 1, ml: 1e-3 },
  'ml': { ml: 1, l: 1000, litre: 1000, litres: 1000 },
  'h': { h: 1, hr: 1, hrs: 1, hour: 1, hours: 1, min: 1 / 60, minutes: 1 / 60, d: 24, day: 24, days: 24 },
  'min': { min: 1, mins: 1, minute: 1, minutes: 1, h: 60, hour: 60, hours: 60 },
  's': { s: 1, sec: 1, second: 1, seconds: 1, min: 60, minutes: 60 },
  '°C': { '°c': 1, 'c': 1, 'deg': 1, 'degrees': 1 },
  '%': { '%': 1, 'percent': 1, 'per cent': 1 },
} satisfies Record<string, Record<string, number>>
type Measure = keyof typeof measures
const isMeasure = (unit: QuantityUnit): unit is Measure => unit in measures
/** The unit of a field; empty for a plain count. */
export type QuantityUnit = keyof typeof unitSpellings | Measure | ''

/** The ends of names of quantities, each with the unit that it says. */
const namedUnits: [RegExp, QuantityUnit][] = [
  [/Kg$/, 'kg'],
  [/G$/, 'g'],
  [/Mm$/, 'mm'],
  [/Cm$/, 'cm'],
  [/Ml$/, 'ml'],
  [/L$/, 'l'],
  [/[hH]ours$/, 'h'],
  [/[mM]inutes$/, 'min'],
  [/[sS]econds$|[a-z]S$/, 's'],
  [/[a-z]C$|[cC]elsius$/, '°C'],
  [/Pct$/, '%'],
  [/[a-z]V$/, 'V'],
  [/[a-z]A$/, 'A'],
  [/[a-z]F$/, 'F'],
  [/Ohm$|^ohm$/, 'Ω'],
]
/** The unit that the name of a quantity says, as names here do: `massG` is in grams; empty where it says none. */
export const unitOfName = (name: string): QuantityUnit => namedUnits.find(([end]) => end.test(name))?.[1] ?? ''

/** The same sign in another code point, spelled the usual way; spaces between groups of three digits left out. */
const usual = (text: string) =>
  text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/\u2126/g, 'Ω')
    .replace(/\s+/g, ' ')
    .replace(/^([+-]?\d{1,3}(?: \d{3})+)(?!\d)/, groups => groups.replace(/ /g, ''))

/**
 * Reads a quantity typed by a person.
 * @param text what was typed; the unit may be left out
 * @param unit the SI unit that the field is in
 * @param field name for the error
 * @returns the value in that unit
 * @throws InputError when it is no number, carries another unit, or can be read in two ways: a mark before three digits, `2m2` of a resistor, `MF`
 */
export function parseQuantity(text: string, unit: QuantityUnit, field = 'value'): number {
  const wrong = (what: string) => new InputError(field, text, `${what} Type a number${unit && ` in ${unit}`}, such as ${examples[unit]}.`)
  const typed = usual(text)
  if (!typed) throw wrong('Nothing typed.')
  const spellings = unit && !isMeasure(unit) ? unitSpellings[unit] : []
  const asked = (one: string, other: string, type: string) =>
    new InputError(field, text, `“${text}” can be read in two ways: ${one} or ${other}. Type ${type}.`)

  if (unit === 'h' || unit === 'min') {
    const both = /^(\d+) ?h(?:ours?)? ?([0-5]?\d)(?: ?min(?:utes)?)?$/i.exec(typed)
    if (both) return (Number(both[1]) + Number(both[2]) / 60) * (unit === 'h' ? 1 : 60)
  }
  // A letter in the place of the decimal mark: 4k7, 5V1, 2R2, R47, n47.
  const inPlace = !isMeasure(unit) && /^([+-]?)(\d*)([a-zA-ZµμΩ])(\d+)\s?(.*)$/u.exec(typed)
  if (inPlace) {
    const [, sign = '', whole = '', letter = '', fraction = '', tail = ''] = inPlace
    const scale = isUnit(letter, spellings) ? 1 : prefixes[letter]
    // On a schematic without capitals 2m2 is megohms; a resistor of milliohms is written so as well.
    if (unit === 'Ω' && letter === 'm')
      throw asked(`${whole || 0}.${fraction} megohms`, `${whole || 0}.${fraction} milliohms`, `${whole}M${fraction}, or ${whole || 0}.${fraction} mΩ`)
    if (scale === undefined || (tail && !isUnit(tail, spellings))) throw wrong(`“${text}” has “${letter}${tail}” where a unit should be.`)
    return signed(sign, Number(`${whole || 0}.${fraction}`) * scale)
  }

  const match = /^([+-]?)(\d*)(?:([.,])(\d*))?\s?(.*)$/u.exec(typed)
  if (!match || (!match[2] && !match[4])) throw wrong(`“${text}” is not a number.`)
  const [, sign = '', whole = '', mark, decimals, rest = ''] = match
  // Whoever writes thousands with a mark means a thousand times what whoever writes decimals with it does.
  if (decimals?.length === 3 && /^[1-9]\d{0,2}$/.test(whole) && (mark === ',' || pointGroups(unit, rest)))
    throw asked(
      `${sign}${whole}${decimals}`,
      `${sign}${whole}.${decimals}`,
      `${sign}${whole}${decimals}${rest}, or ${sign}${whole}.${pointGroups(unit, rest) ? otherDigits(decimals) : decimals}${rest}`,
    )
  if (unit === 'F' && /^MF$/i.test(rest.trim()) && !/^m?F$/.test(rest.trim())) throw asked('microfarad, as old parts have it', 'megafarad', `${whole || 0} uF`)
  const scale = isMeasure(unit) ? measureOf(rest.trim(), measures[unit]) : scaleOf(rest.trim(), spellings)
  if (scale === undefined) throw wrong(`“${rest.trim()}” does not belong here.`)
  return signed(sign, Number(`${whole || 0}.${decimals || 0}`) * scale)
}

/** Whether a point may stand before thousands: on capacitors (10.000 µF), on ohms, counts and measures; a meter shows 5.001 V and 1.234 kΩ. */
const pointGroups = (unit: QuantityUnit, rest: string) =>
  unit === 'F' || unit === '' || (isMeasure(unit) && unit !== 'kg') || (unit === 'Ω' && !/^[kKMG]/.test(rest.trim()))

/** The same decimals in a number of digits that is no group of thousands. */
const otherDigits = (decimals: string) => {
  const short = decimals.replace(/0+$/, '') || '0'
  return short.length === 3 ? `${short}0` : short
}

/** What a meter shows: a figure, or nothing for the ways it shows an open circuit. @throws InputError as above */
export const parseReading = (text: string, unit: QuantityUnit, field = 'value'): number | null =>
  /^(ol|o\.l\.|open|∞|inf)$/i.test(text.trim()) ? null : parseQuantity(text, unit, field)

/** Units in whatever case they are typed; of volts and amperes, that they are DC may be said. */
const isUnit = (tail: string, spellings: string[]) => {
  const bare = spellings.includes('V') || spellings.includes('A') ? tail.replace(/\s?dc$/i, '') : tail
  return spellings.some(s => s.toLowerCase() === bare.toLowerCase())
}

function scaleOf(tail: string, spellings: string[]): number | undefined {
  if (!tail || isUnit(tail, spellings)) return 1
  // Old capacitors are marked in MFD and MMFD: micro- and micromicrofarad.
  if (spellings.includes('F') && /^M{1,2}FD$/i.test(tail)) return tail.length === 3 ? 1e-6 : 1e-12
  const [first = '', ...others] = [...tail]
  const unit = others.join('').trim()
  return prefixes[first] !== undefined && (!unit || isUnit(unit, spellings)) ? prefixes[first] : undefined
}

/** How much of the unit what is written behind a figure means. */
const measureOf = (tail: string, means: Record<string, number>): number | undefined => {
  const written = tail.toLowerCase()
  return written ? (Object.hasOwn(means, written) ? means[written] : undefined) : 1
}

const signed = (sign: string, value: number) => (sign === '-' ? -value : value)
const examples: Record<QuantityUnit, string> = {
  'V': '-5.09',
  'A': '0.5',
  'Ω': '4k7',
  'F': '100n',
  '': '2',
  'kg': '12.5',
  'g': '790.5',
  'mm': '12.5',
  'cm': '75',
  'l': '2.5',
  'ml': '250',
  'h': '1.5',
  'min': '20',
  's': '30',
  '°C': '62.5',
  '%': '12.5',
}
