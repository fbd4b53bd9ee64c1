import { z } from 'zod'
import { currentKinds, polarities } from '#core/power/supply-match'
import { oneOf, optionalQuantity, quantity } from '../../kernel/fields'

const s = z.string()
const b = z.boolean()

export const maybe = <T extends z.ZodType>(shape: T) => shape.nullable().default(null)

type Given<T> = { [K in keyof T]: null extends T[K] ? Exclude<T[K], null> | undefined : T[K] }

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

export const SupplyTyped = z
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

export const SupplyView = z.object({
  id: z.number(),
  version: z.number(),
  name: s,
  place: s,
  label: z.custom<import('#core/power/supply-match').Supply>(),
  active: b,
})

export type SupplyView = z.infer<typeof SupplyView>
