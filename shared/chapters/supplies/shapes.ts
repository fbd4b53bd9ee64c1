import { z } from 'zod'
import { currentKinds, polarities } from '#core/power/supply-match'
import { oneOf, optionalQuantity, optionalText, quantity, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

export const maybe = <T extends z.ZodType>(shape: T) => shape.nullable().default(null)

type Left<T> = { [K in keyof T]: null extends T[K] ? K : never }[keyof T]
type Given<T> = Omit<T, Left<T>> & { [K in Left<T>]?: Exclude<T[K], null> }

/** What was left out is left out, not nothing: the core asks for it that way. */
const withoutNulls = <T extends object>(typed: T) => Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== null)) as Given<T>

const plug = {
  outerMm: optionalQuantity('mm', 'Outside, in mm', { above: 0, upTo: 30 }),
  innerMm: optionalQuantity('mm', 'Inside, in mm', { above: 0, upTo: 30 }),
}

export const InletTyped = z
  .object({
    voltageV: quantity('V', 'Voltage', { above: 0, upTo: 300 }),
    tolerancePct: optionalQuantity('%', 'Tolerance in %', { above: 0, upTo: 50 }),
    kind: oneOf(currentKinds, 'AC or DC'),
    polarity: maybe(oneOf(polarities, 'Polarity')),
    currentA: quantity('A', 'Current', { above: 0, upTo: 100 }),
    regulatedInside: z.boolean().default(false),
    ...plug,
  })
  .transform(withoutNulls)

const SupplyTyped = z
  .object({
    voltageV: quantity('V', 'Voltage', { above: 0, upTo: 300 }),
    kind: maybe(oneOf(currentKinds, 'AC or DC')),
    polarity: maybe(oneOf(polarities, 'Polarity')),
    currentA: optionalQuantity('A', 'Current', { above: 0, upTo: 100 }),
    regulated: maybe(z.boolean()),
    unloadedV: optionalQuantity('V', 'Measured with nothing attached', { above: 0, upTo: 300 }),
    ...plug,
  })
  .transform(withoutNulls)

/** A supply of the collection, with what stands on its label and what was measured of it. */
export const SupplyRow = row({ name: text('Name on its tag', 60), place: optionalText('Where it lies', 120), label: SupplyTyped })

export const SupplyView = z.object({ id: z.number(), version: z.number(), ...SupplyRow.seen, active: z.boolean() })

export type SupplyView = z.infer<typeof SupplyView>
