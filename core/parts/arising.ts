import type { DamageKind } from '../condition/damage'
import type { Presence } from '../condition/grades'
import { type Replacement, replacements } from '../power/battery'
import type { NeedStops } from './needs'
import { namesAgree } from './offers'

/** A part that something on record asks for, and that nobody has said anything about yet. */
export interface Arising {
  name: string
  stops: NeedStops
  place: string
  /** Where it was noted. */
  why: string
}
/** What of a machine tells of parts that it lacks. */
export interface ArisesFrom {
  assemblies: readonly { id: number; name: string; presence: Presence }[]
  damages: readonly { assemblyId: number | null; kind: DamageKind; where: string; patina: string }[]
  batteries: readonly { where: string; fitted: boolean; replacement: object | null }[]
  batterySchool: Replacement
  /** What its model is known to wear out. */
  wearParts: readonly string[]
  /** Sockets that are needed and empty, with what belongs there where that is known. */
  emptySockets: readonly { assembly: string; place: string; what: string }[]
}

/**
 * Parts that the records ask for: assemblies that are missing, what was marked as missing or broken, and what goes in the place of a battery that
 * came out, what belongs in sockets that are needed and empty, and what wears out on its model. They are proposed and no more: whoever knows says
 * whether each is wanted. Common practice, no source.
 * @param known names of parts that are wanted, were fitted, or are not needed
 */
export function arisingNeeds({ assemblies, damages, batteries, batterySchool, wearParts, emptySockets }: ArisesFrom, known: readonly string[]): Arising[] {
  const assemblyOf = (id: number | null) => assemblies.find(one => one.id === id)?.name ?? ''
  const found: Arising[] = [
    ...assemblies.filter(one => one.presence === 'missing').map(({ name }): Arising => ({ name, stops: 'no-start', place: '', why: 'It was found missing.' })),
    ...damages
      .filter(one => (one.kind === 'missing' || one.kind === 'break') && !one.patina)
      .map(({ kind, where, assemblyId }): Arising => ({
        name: where,
        stops: 'no-start',
        place: assemblyOf(assemblyId),
        why: kind === 'missing' ? 'It was marked as missing.' : 'It was marked as broken.',
      })),
    ...(batterySchool === 'none'
      ? []
      : batteries
          .filter(one => !one.fitted && !one.replacement)
          .map(({ where }): Arising => ({
            name: replacements[batterySchool].title,
            stops: 'no-start',
            place: where,
            why: 'The battery came out, and nothing is in its place yet.',
          }))),
    ...emptySockets.map(({ assembly, place, what }): Arising => ({
      name: what || `Part for ${place}`,
      stops: 'function',
      place: `${assembly} ${place}`,
      why: 'Its socket is empty, and it is needed there.',
    })),
    ...wearParts.map((name): Arising => ({ name, stops: 'no-start', place: '', why: 'It wears out on this model.' })),
  ]
  return found.filter(
    ({ name, place }, at) =>
      !known.some(one => namesAgree(one, name)) && found.findIndex(other => namesAgree(other.name, name) && other.place === place) === at,
  )
}
