import { type AssemblyRole, type NamedPart, roleOf } from '../condition/assembly-roles'
import { type Presence, isAway } from '../condition/grades'
import type { PartKind } from './part-priors'
import type { SwapPart } from './swap'

/** What kind of part an assembly counts as among swaps; a fan and a case are never exchanged for the sake of a fault. Common practice, no source. */
const kindOf: Partial<Record<AssemblyRole, PartKind>> = {
  'supply': 'supply',
  'main-board': 'main-board',
  'memory': 'memory',
  'video': 'controller',
  'display': 'monitor',
  'keyboard': 'keyboard',
  'controller': 'controller',
  'drive': 'drive',
  'sound': 'controller',
  'ports': 'controller',
  'backplane': 'other',
  'other': 'other',
}

/** As many as one board takes, and as long a place. */
const most = { parts: 40, place: 40 } as const

/**
 * The parts of a machine that a swap board begins with: what is there and may be at fault. Two of one kind are parts of their own and do not stand in
 * for each other; a single one keeps the place of its kind, so that one from another machine can take it.
 */
export function partsToSwap(assemblies: readonly (NamedPart & { presence: Presence })[]): SwapPart[] {
  const there = assemblies.flatMap(a => {
    const kind = isAway(a.presence) ? undefined : kindOf[roleOf(a)]
    return kind ? [{ name: a.name, kind }] : []
  })
  const many = (kind: PartKind) => there.filter(p => p.kind === kind).length > 1
  return there.slice(0, most.parts).map(({ name, kind }) => ({ name, kind, ...(many(kind) ? { place: name.slice(0, most.place) } : {}) }))
}
