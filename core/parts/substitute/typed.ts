import { parseQuantity, unitOfName } from '../../kernel/quantity'
import type { Spec, SpecField } from './compare'
import { type PartKindName, expectSpec, partKinds } from './substitute'

/** What is typed of a part, by field; an empty one is not known. */
export type TypedSpec = Record<string, string>

/** How a field is asked for: its label, with the unit of a figure. */
export const askedAs = (name: string, { is, label }: SpecField): string => (is === 'figure' && unitOfName(name) ? `${label}, ${unitOfName(name)}` : label)

/**
 * Reads what is given of a part of this kind, as it was typed or as it is kept; what is empty, or belongs to another kind, is left out.
 * @param at the path of the fields, for the error
 * @throws InputError at a value that is none
 */
export function readSpec(kind: PartKindName, given: Readonly<Record<string, string | number | boolean | undefined>>, at: string): Spec {
  const spec = Object.fromEntries(
    Object.entries<SpecField>(partKinds[kind].fields).flatMap(([name, field]): [string, string | number | boolean][] => {
      const value = given[name]
      const text = typeof value === 'string' ? value.trim() : value
      if (text === undefined || text === '') return []
      if (typeof text !== 'string') return [[name, text]]
      if (field.is === 'figure') return [[name, parseQuantity(text, unitOfName(name), `${at}.${name}`)]]
      return [[name, field.is === 'flag' ? text === 'yes' : text]]
    }),
  )
  expectSpec(partKinds[kind], spec, at)
  return spec
}

/** What is known of a part, as it would be typed. */
export const typedOf = (spec: Spec): TypedSpec =>
  Object.fromEntries(
    Object.entries(spec).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, typeof value === 'boolean' ? (value ? 'yes' : 'no') : typedFigure(name, value)]],
    ),
  )

/** Small values are typed with their prefix, as people do: 470u and not 0.00047. */
function typedFigure(name: string, value: string | number): string {
  if (typeof value !== 'number' || unitOfName(name) !== 'F') return String(value)
  const [scale, letter] = value >= 1e-6 ? [1e6, 'u'] : value >= 1e-9 ? [1e9, 'n'] : [1e12, 'p']
  return `${Number((value * scale).toPrecision(6))}${letter}`
}
