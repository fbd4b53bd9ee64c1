import { type Finding, type Level, commonPractice, finding, mostPressingFirst } from '../../kernel/finding'
import { InputError } from '../../kernel/input-error'
import { type PartKind, type Said, type Spec, type SubstituteVerdict, verdicts } from './compare'
import { capacitor } from './kinds/capacitor'
import { logic, memory, processor } from './kinds/chips'
import { regulator, resistor, transistor } from './kinds/discrete'
import { belt, connector, drive, fan, fuse, key, membrane, socket, supply } from './kinds/hardware'

/** Kinds of parts, each with its own fields and rules. */
export const partKinds = {
  capacitor,
  resistor,
  regulator,
  transistor,
  logic,
  memory,
  processor,
  socket,
  connector,
  fuse,
  fan,
  drive,
  membrane,
  key,
  belt,
  supply,
} as const satisfies Record<string, PartKind>
export type PartKindName = keyof typeof partKinds
export const partKindNames = Object.keys(partKinds) as [PartKindName, ...PartKindName[]]

export const verdictSays: Record<SubstituteVerdict, string> = {
  'fits': 'Fits, by what is stated',
  'note': 'Fits, with a note',
  'first-start': 'Only for a first start',
  'not-known': 'Not known',
  'does-not': 'Does not fit',
}
export const verdictLevel: Record<SubstituteVerdict, Level> = { 'fits': 'fine', 'note': 'note', 'first-start': 'care', 'not-known': 'care', 'does-not': 'stop' }

/** Refuses what no part of this kind is. @throws InputError at a field that it does not have, or a value that is none */
export function expectSpec(kind: PartKind, spec: Spec, side: string): void {
  for (const [name, value] of Object.entries(spec)) {
    const field = Object.hasOwn(kind.fields, name) ? kind.fields[name] : undefined
    const at = `${side}.${name}`
    if (!field) throw new InputError(at, value, `A ${kind.title.toLowerCase()} has no such field.`)
    if (value === undefined) continue
    if (field.is === 'figure') {
      const allowed = typeof value === 'number' && value > 0 && value <= field.most && (!field.whole || Number.isInteger(value))
      if (!allowed) throw new InputError(at, value, `${field.label}: ${field.whole ? 'a whole number ' : ''}above zero and up to ${field.most}, please.`)
    } else if (field.is === 'choice' && !(typeof value === 'string' && Object.hasOwn(field.options, value)))
      throw new InputError(at, value, `${field.label}: choose one from the list.`)
    else if (field.is === 'flag' && typeof value !== 'boolean') throw new InputError(at, value, `${field.label}: yes or no.`)
    else if (field.is === 'words' && !(typeof value === 'string' && value.trim().length > 0 && value.length <= 80))
      throw new InputError(at, value, `${field.label}: a word or two, please.`)
  }
}

export interface SubstituteInput {
  kind: PartKindName
  wanted: Spec
  offered: Spec
}
export interface SubstituteResult {
  verdict: SubstituteVerdict
  /** What each field says, the worst first. */
  terms: Said[]
  findings: Finding[]
}

/**
 * Whether one part may be put for another of its kind, by what is stated of both. A limit that nobody stated is not known, and never fits.
 * @param input the kind, and what is stated of the part that is wanted and of the one that is offered, in the units that the fields say
 * @returns the worst of what the fields say, each with its reason; *does not* outweighs what is not known
 * @throws InputError at a field that the kind does not have, or a value that is none
 * Rules: common practice, no source, but where a field names one.
 */
export function judgeSubstitute({ kind, wanted, offered }: SubstituteInput): SubstituteResult {
  const of: PartKind = partKinds[kind]
  expectSpec(of, wanted, 'wanted')
  expectSpec(of, offered, 'offered')
  const terms = of.rules
    .flatMap(rule => rule(wanted, offered, of.fields) ?? [])
    .sort((a, b) => verdicts.indexOf(b.verdict) - verdicts.indexOf(a.verdict))
    // The worst that a field says is what it says.
    .filter(({ field }, at, all) => all.findIndex(one => one.field === field) === at)
  const verdict = terms[0]?.verdict ?? 'not-known'
  const findings = terms.map(({ verdict, field, says }) =>
    finding(verdictLevel[verdict], `substitute.${field}`, says, [], commonPractice, verdict === 'not-known' ? { open: 'not-looked' } : {}),
  )
  return { verdict, terms, findings: mostPressingFirst(findings) }
}
