import { z } from 'zod'
import { InputError } from '#core/kernel/input-error'
import { type QuantityUnit, parseQuantity, parseReading } from '#core/kernel/quantity'

/** The pieces that requests are made of, each with a message that says what would do. */

/** Text that must be there. */
export const text = (what: string, max = 200) =>
  z
    .string({ error: `${what}: type something here.` })
    .trim()
    .min(1, `${what}: type something here.`)
    .max(max, `${what}: at most ${max} characters, please.`)

/** Text that may be left out; nothing typed is kept as an empty string. */
export const optionalText = (what: string, max = 200) => z.string().trim().max(max, `${what}: at most ${max} characters, please.`).default('')

/** The keys of a table of the core, as a choice among them. */
export const keysOf = <K extends string>(table: Record<K, unknown>) => Object.keys(table) as [K, ...K[]]
/** One of a fixed list. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T, what: string) =>
  z.enum(values, { error: `${what}: choose one from the list.` })

/** What a quantity may be: from a figure on, itself included, or above it; up to another. */
type Range = { above: number; upTo: number } | { from: number; upTo: number }
const within = (value: number, range: Range) => ('from' in range ? value >= range.from : value > range.above) && value <= range.upTo
const rangeInWords = (range: Range, unit: string) =>
  `${'from' in range ? `from ${range.from}` : `more than ${range.above}`} ${'from' in range ? 'up' : 'and up'} to ${range.upTo}${unit && ` ${unit}`}, please.`

/** Reads a number or what people write; what cannot be read, or lies outside, becomes a message. */
const readQuantity =
  (unit: QuantityUnit, what: string, range: Range) =>
  (given: number | string, context: z.RefinementCtx<number | string | null>): number => {
    const refuse = (message: string) => {
      context.addIssue({ code: 'custom', message: `${what}: ${message}` })
      return z.NEVER
    }
    try {
      const value = typeof given === 'number' ? given : parseQuantity(given, unit)
      return Number.isFinite(value) && within(value, range) ? value : refuse(rangeInWords(range, unit))
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      return refuse(error.message)
    }
  }

/** A quantity, as a number in the unit or as people write it. */
export const quantity = (unit: QuantityUnit, what: string, range: Range) =>
  z.union([z.number(), z.string()], { error: `${what}: type a number.` }).transform(readQuantity(unit, what, range))

/** A quantity that may be left out. */
export const optionalQuantity = (unit: QuantityUnit, what: string, range: Range) =>
  z
    .union([z.number(), z.string(), z.null()], { error: `${what}: type a number, or leave it out.` })
    .transform((given, context) => (given === null || (typeof given === 'string' && !given.trim()) ? null : readQuantity(unit, what, range)(given, context)))
    .default(null)

/** A figure between two limits, without a unit. */
export const bounded = (what: string, range: Range) => quantity('', what, range)
/** The same, where it may be left out. */
export const optionalBounded = (what: string, range: Range) => optionalQuantity('', what, range)

/** What a meter shows: a figure, or nothing for an open circuit, typed as OL. */
export const meterReading = (unit: QuantityUnit, what: string, range: Range) =>
  z
    .union([z.number(), z.string(), z.null()], { error: `${what}: type what the meter shows.` })
    .transform((given, context) =>
      given === null || (typeof given === 'string' && given.trim() && parsesAsOpen(given, unit)) ? null : readQuantity(unit, what, range)(given, context),
    )

function parsesAsOpen(given: string, unit: QuantityUnit): boolean {
  try {
    return parseReading(given, unit) === null
  } catch {
    return false
  }
}

/** A day, month or year in the past, as ISO writes it: 1998, 1998-05 or 1998-05-17. */
export const roughDay = (what: string) =>
  z
    .string()
    .trim()
    .regex(
      /^(\d{4}(-\d{2}(-\d{2})?)?)?$/,
      `${what}: write a year, month or day, such as 1998, 1998-05 or 1998-05-17. For “last summer” the year or a month will do; the words themselves go with what happened.`,
    )
    .refine(day => !day || isCalendarDay(day), `${what}: there is no such day in the calendar.`)
    .default('')

function isCalendarDay(day: string): boolean {
  const whole = `${day}-01-01`.slice(0, 10)
  const parsed = new Date(`${whole}T00:00:00Z`)
  return !Number.isNaN(parsed.getTime()) && parsed.toISOString().startsWith(whole)
}

/** An instant in UTC, kept with milliseconds, so that instants compare as text. */
export const instant = (what: string) => z.iso.datetime({ error: `${what}: give a day and a time.` }).transform(at => new Date(at).toISOString())

export const id = z.number().int().positive()

/** What was found, where putting something right takes a danger back. */
export const found = optionalText('What was found', 300)

/** The version of the row that was edited; a stale one is answered with 409. */
export const version = z.number().int().nonnegative()

/** A word of a fixed list in stored data: trusted as it was written, so that an old entry still reads. */
export const word = <W extends string>() => z.string() as unknown as z.ZodType<W>

/** A day that somebody may choose; ISO date, nothing where nobody did. */
export const optionalDay = (what: string) => z.iso.date(`${what}: choose a day.`).nullable().default(null)

/** So many of something, as a whole number. */
export const howMany = bounded('How many', { above: 0, upTo: 9999 }).pipe(z.number().int('How many: a whole number, please.'))
