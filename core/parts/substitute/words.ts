import { type Spec, type SpecField, valueWords } from './compare'
import { type PartKindName, partKinds } from './substitute'

/** A word that begins with a capital alone goes on in small letters; X2, AC and 74LS stay. */
const inSentence = (says: string) => says.replace(/^[A-Z](?=[a-z])/, first => first.toLowerCase())

/** What is known of a part, in a line: `470 µF, 25 V, aluminium electrolytic`. A plain count carries its name. */
export function specWords(kind: PartKindName, spec: Spec): string {
  const { fields } = partKinds[kind] as { fields: Record<string, SpecField> }
  return Object.entries(fields)
    .flatMap(([name, field]) => {
      const value = spec[name]
      if (value === undefined || value === 'none') return []
      if (field.is === 'flag') return [`${field.label.toLowerCase()}: ${value ? 'yes' : 'no'}`]
      const says = valueWords(fields, name, value)
      return [field.is === 'figure' && /^[\d.−]+$/.test(says) ? `${field.label.toLowerCase()} ${says}` : field.is === 'choice' ? inSentence(says) : says]
    })
    .join(', ')
}
