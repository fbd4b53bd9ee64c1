import { engineering, significant, written } from '../../kernel/figure'
import { type QuantityUnit, unitOfName } from '../../kernel/quantity'

/** What a part is, field by field; what is left out is not known. */
export type Spec = Readonly<Record<string, number | string | boolean | undefined>>

/** A field of a kind of part. Figures are in the unit that the name of the field says. */
export type SpecField =
  | { is: 'figure'; label: string; most: number; whole?: true }
  | { is: 'choice'; label: string; options: Readonly<Record<string, string>> }
  | { is: 'flag'; label: string }
  | { is: 'words'; label: string }
export type SpecFields = Readonly<Record<string, SpecField>>

export const figure = (label: string, most: number): SpecField => ({ is: 'figure', label, most })
export const count = (label: string, most: number): SpecField => ({ is: 'figure', label, most, whole: true })
export const choice = (label: string, options: Readonly<Record<string, string>>): SpecField => ({ is: 'choice', label, options })
export const flag = (label: string): SpecField => ({ is: 'flag', label })
export const words = (label: string): SpecField => ({ is: 'words', label })

/** From the best to the worst. */
export const verdicts = ['fits', 'note', 'first-start', 'not-known', 'does-not'] as const
export type SubstituteVerdict = (typeof verdicts)[number]

/** What one field says of it. */
export interface Said {
  verdict: SubstituteVerdict
  field: string
  says: string
}
/** Looks at one field, with the others beside it; nothing where it has nothing to say. */
export type Rule = (wanted: Spec, offered: Spec, fields: SpecFields) => Said | undefined

export const say = (field: string, verdict: SubstituteVerdict, says: string): Said => ({ field, verdict, says })

/**
 * What is not stated: where all rests on it, on either side; where only what is asked for counts, on the side of the substitute alone; where
 * a look settles it, it is a note.
 */
export type Weight = 'decides' | 'asked' | 'looks'

/** A value as it stands in a sentence. */
export function valueWords(fields: SpecFields, field: string, value: Spec[string]): string {
  const of = fields[field]!
  if (of.is === 'choice') return of.options[String(value)] ?? String(value)
  if (of.is === 'flag') return value ? 'yes' : 'no'
  if (of.is === 'words' || typeof value !== 'number') return String(value)
  const unit: QuantityUnit = unitOfName(field)
  // Nobody says millifarad: a can of 2200 µF is called that.
  if (unit === 'F' && Math.abs(value) >= 1e-6) return `${significant(value * 1e6)} µF`
  return ['V', 'A', 'Ω', 'F'].includes(unit) ? engineering(value, unit) : written(unit ? `${value} ${unit}` : value)
}

const missing = (fields: SpecFields, field: string, weight: Weight, wanted: Spec, offered: Spec): Said | undefined => {
  const { label } = fields[field]!
  if (wanted[field] === undefined) return weight === 'decides' ? say(field, 'not-known', `${label}: what is wanted does not state it.`) : undefined
  if (offered[field] !== undefined) return undefined
  return weight === 'looks'
    ? say(field, 'note', `${label}: not stated of this one; hold it against the place.`)
    : say(field, 'not-known', `${label}: not stated of this one, and ${valueWords(fields, field, wanted[field])} is wanted.`)
}

/** It has to be stated where it is asked for; what it may be, other rules say. */
export const stated =
  (field: string, weight: Weight): Rule =>
  (wanted, offered, fields) =>
    missing(fields, field, weight, wanted, offered)

interface Asked {
  weight?: Weight
  /** What it is where it does not pass, and why that matters. */
  failing?: SubstituteVerdict
  why?: string
}

/** One field against the same of the other: `passes` says whether it will do. */
export const compared =
  (field: string, passes: (offered: never, wanted: never) => boolean, { weight = 'decides', failing = 'does-not', why = '' }: Asked = {}): Rule =>
  (wanted, offered, fields) => {
    const gap = missing(fields, field, weight, wanted, offered)
    if (gap || wanted[field] === undefined) return gap
    const here = valueWords(fields, field, offered[field])
    const asked = valueWords(fields, field, wanted[field])
    const { label } = fields[field]!
    if (passes(offered[field] as never, wanted[field] as never))
      return say(field, 'fits', here === asked ? `${label}: ${here}, as wanted.` : `${label}: ${here} will do for ${asked}.`)
    return say(field, failing, `${label}: ${here} where ${asked} is wanted${why && `; ${why}`}.`)
  }

/** Figures that were converted from other units differ by roundings. */
const slack = 1 + 1e-9
const plain = (value: unknown) => (typeof value === 'string' ? value.trim().toLowerCase().replace(/\s+/g, ' ') : value)

export const same = (field: string, asked?: Asked) => compared(field, (o, w) => plain(o) === plain(w), asked)
export const atLeast = (field: string, asked?: Asked) => compared(field, (o: number, w: number) => o * slack >= w, asked)
export const atMost = (field: string, asked?: Asked) => compared(field, (o: number, w: number) => o <= w * slack, asked)
/** Figures that are one when they differ by no more than this. */
export const near = (field: string, by: number, asked?: Asked) => compared(field, (o: number, w: number) => Math.abs(o - w) <= by * slack, asked)
/** What passes is good, but for a part of what passes that wants a word. */
export const noted =
  (field: string, when: (offered: never, wanted: never) => boolean, says: string, verdict: SubstituteVerdict = 'note'): Rule =>
  (wanted, offered) =>
    wanted[field] !== undefined && offered[field] !== undefined && when(offered[field] as never, wanted[field] as never) ? say(field, verdict, says) : undefined

export interface PartKind {
  title: string
  fields: SpecFields
  rules: readonly Rule[]
}
