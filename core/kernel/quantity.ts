import { InputError } from './input-error'

/**
 * Quantities as people write them at the bench: `4k7`, `100n`, `0.1 uF`, `-5.09`, `3.6 kΩ`, `8M`, `11,75 V`, `5V1`.
 * The letter may stand in the place of the decimal mark, as IEC 60062 writes component values.
 */
const prefixes: Record<string, number> = { p: 1e-12, n: 1e-9, u: 1e-6, µ: 1e-6, μ: 1e-6, m: 1e-3, k: 1e3, K: 1e3, M: 1e6, G: 1e9 }
const unitSpellings = {
  V: ['V', 'volt', 'volts'],
  A: ['A', 'amp', 'amps'],
  Ω: ['Ω', 'Ω', 'ohm', 'ohms', 'R'],
  F: ['F'],
  kg: ['kg', 'kilo', 'kilos'],
} satisfies Record<string, string[]>
/** The SI unit of a field; empty for a plain count. */
export type QuantityUnit = keyof typeof unitSpellings | ''

/**
 * Reads a quantity typed by a person.
 * @param text what was typed; the unit may be left out
 * @param unit the SI unit that the field is in
 * @param field name for the error
 * @returns the value in that unit
 * @throws InputError when it is no number, or carries another unit
 */
export function parseQuantity(text: string, unit: QuantityUnit, field = 'value'): number {
  const wrong = (what: string) => new InputError(field, text, `${what} Type a number${unit && ` in ${unit}`}, such as ${examples[unit]}.`)
  const typed = text.trim().replace(/[−–]/g, '-').replace(/\s+/g, ' ')
  if (!typed) throw wrong('Nothing typed.')
  const match = /^([+-]?)(\d*)(?:[.,](\d+))?\s?(.*)$/u.exec(typed)
  if (!match || (!match[2] && !match[3])) throw wrong(`“${text}” is not a number.`)
  const [, sign = '', whole = '', decimals, rest = ''] = match
  const spellings = unit ? unitSpellings[unit] : []

  // A letter in the place of the decimal mark: 4k7, 5V1, 2R2.
  const inPlace = /^([a-zA-ZµμΩ])(\d+)\s?(.*)$/u.exec(rest)
  if (inPlace && decimals === undefined) {
    const [, letter = '', fraction = '', tail = ''] = inPlace
    const scale = spellings.includes(letter) ? 1 : prefixes[letter]
    if (scale === undefined || (tail && !spellings.includes(tail))) throw wrong(`“${text}” has “${letter}${tail}” where a unit should be.`)
    return signed(sign, Number(`${whole || 0}.${fraction}`) * scale)
  }

  const scale = scaleOf(rest.trim(), spellings)
  if (scale === undefined) throw wrong(`“${rest.trim()}” does not belong here.`)
  return signed(sign, Number(`${whole || 0}.${decimals ?? 0}`) * scale)
}

/** What a meter shows: a figure, or nothing for the ways it shows an open circuit. @throws InputError as above */
export const parseReading = (text: string, unit: QuantityUnit, field = 'value'): number | null =>
  /^(ol|o\.l\.|open|∞|inf)$/i.test(text.trim()) ? null : parseQuantity(text, unit, field)

function scaleOf(tail: string, spellings: string[]): number | undefined {
  if (!tail || spellings.includes(tail)) return 1
  const [first = '', ...others] = [...tail]
  const unit = others.join('').trim()
  return prefixes[first] !== undefined && (!unit || spellings.includes(unit)) ? prefixes[first] : undefined
}

const signed = (sign: string, value: number) => (sign === '-' ? -value : value)
const examples: Record<QuantityUnit, string> = { 'V': '-5.09', 'A': '0.5', 'Ω': '4k7', 'F': '100n', 'kg': '12.5', '': '2' }
