import { z } from 'zod'
import { InputError } from '#core/kernel/input-error'
import { type QuantityUnit, parseQuantity } from '#core/kernel/quantity'

/** The pieces that requests are made of, each with a message that says what would do. */

/** Text that must be there. */
export const text = (what: string, max = 200) => z.string({ error: `${what}: type something here.` }).trim()
  .min(1, `${what}: type something here.`)
  .max(max, `${what}: at most ${max} characters, please.`)

/** Text that may be left out; nothing typed is kept as an empty string. */
export const optionalText = (what: string, max = 200) => z.string().trim().max(max, `${what}: at most ${max} characters, please.`).default('')

/** One of a fixed list. */
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T, what: string) =>
  z.enum(values, { error: `${what}: choose one of the list.` })

/** A quantity, as a number in the unit or as people write it. */
export const quantity = (unit: QuantityUnit, what: string, { above, upTo }: { above: number, upTo: number }) => z
  .union([z.number(), z.string()], { error: `${what}: type a number in ${unit}.` })
  .transform((given, context) => {
    if (typeof given === 'number') return given
    try {
      return parseQuantity(given, unit)
    }
    catch (error) {
      if (!(error instanceof InputError)) throw error
      context.addIssue({ code: 'custom', message: `${what}: ${error.message}` })
      return z.NEVER
    }
  })
  .refine(value => Number.isFinite(value) && value > above && value <= upTo, `${what}: more than ${above} and up to ${upTo} ${unit}, please.`)

/** A quantity that may be left out. */
export const optionalQuantity = (...args: Parameters<typeof quantity>) =>
  z.union([z.literal('').transform(() => null), z.null(), quantity(...args)]).default(null)

/** A day, month or year in the past, as ISO writes it: 1998, 1998-05 or 1998-05-17. */
export const roughDay = (what: string) => z.string().trim()
  .regex(/^(\d{4}(-\d{2}(-\d{2})?)?)?$/, `${what}: write a year, month or day, such as 1998, 1998-05 or 1998-05-17.`)
  .refine(day => !day || isCalendarDay(day), `${what}: there is no such day in the calendar.`)
  .default('')

function isCalendarDay(day: string): boolean {
  const whole = `${day}-01-01`.slice(0, 10)
  const parsed = new Date(`${whole}T00:00:00Z`)
  return !Number.isNaN(parsed.getTime()) && parsed.toISOString().startsWith(whole)
}

/** An instant in UTC. */
export const instant = (what: string) => z.iso.datetime({ error: `${what}: give a day and a time.` })

export const id = z.number().int().positive()

/** The version of the row that was edited; a stale one is answered with 409. */
export const version = z.number().int().nonnegative()
