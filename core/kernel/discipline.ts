import type { Both } from './both'
import type { Heard } from './heard'
import type { MachineKnown, MachineRecord, TrunkRecord } from './machine'
import type { NextMove } from './move'
import type { Stage } from './stages'
import type { RunStep } from './step'

/** What a discipline may ask for while it makes its facts. */
export interface Asked<K> {
  /** What those disciplines know that it comes after. */
  known: K & TrunkRecord
  /** The moment; an instant in UTC. */
  now: string
  /** What the gate hears of all disciplines; empty for those that do not hear. */
  heard: readonly Heard[]
}

/**
 * What a discipline adds to a machine, in one shape: what it makes of the records, what of them the gate hears, its steps in the run,
 * its next moves, and when it is to be looked at again. Each declares itself wholly in `<discipline>/rules.ts`.
 */
// What a discipline comes after differs from one to the next; `discipline` ties it to its facts.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export interface Discipline<F extends object = object, K = any> {
  name: string
  /** What of the records cannot be judged where it cannot read them, in words: *its power*. */
  about: string
  facts: (record: MachineRecord, asked: Asked<K>) => F
  /** What is known where the records cannot be read; never more open than anything that could stand in them. */
  unknown: F | ((record: MachineRecord, asked: Asked<K>) => F)
  /** Those whose facts it asks for. */
  after?: readonly Discipline[]
  /** It is told what the gate hears of all others, and comes after all that do not come after it. One discipline does. */
  hears?: true
  /** What the gate hears of its records. @param now instant in UTC */
  heard?: (record: MachineRecord, now: string) => Heard[]
  steps?: Partial<Record<Stage, (known: MachineKnown) => RunStep[]>>
  moves?: (known: MachineKnown) => NextMove[]
  /** Instants at which something changes by time alone; those that have passed are left out by whoever merges. */
  due?: (known: MachineKnown) => string[]
}

/** What these disciplines know, taken together. */
type KnownBy<D extends readonly Discipline[]> = [] extends D ? unknown : Both<D[number] extends infer E ? (E extends Discipline<infer F> ? F : never) : never>

/** Declares a discipline, with what it knows tied to what it comes after. */
export const discipline = <F extends object, const After extends readonly Discipline[] = []>(
  declared: Omit<Discipline<F, KnownBy<After>>, 'after'> & { after?: After },
): Discipline<F, KnownBy<After>> => declared

/** Disciplines in the order in which they are asked: those before the one that hears, it, and those that come after it. */
export interface Arranged {
  before: Discipline[]
  hearing: Discipline
  after: Discipline[]
}

/**
 * Puts the disciplines into the order in which they are asked; everybody comes after those whose facts they ask for.
 * @throws Error where two go by one name, one is asked for that is not among them, they go in a circle, or not exactly one hears
 */
export function arranged(all: readonly Discipline[]): Arranged {
  const names = all.map(d => d.name)
  const twice = names.find((name, i) => names.indexOf(name) !== i)
  if (twice) throw new Error(`Two disciplines go by the name ${twice}.`)
  const hearing = all.filter(d => d.hears)
  if (hearing.length !== 1) throw new Error(`One discipline hears all the others; here there are ${hearing.length}.`)
  const order: Discipline[] = []
  const visit = (d: Discipline, above: readonly Discipline[]) => {
    if (!all.includes(d)) throw new Error(`${above.at(-1)?.name} comes after ${d.name}, which is not among the disciplines.`)
    if (above.includes(d)) throw new Error(`Disciplines wait for each other: ${[...above, d].map(a => a.name).join(', ')}.`)
    if (order.includes(d)) return
    for (const first of d.after ?? []) visit(first, [...above, d])
    order.push(d)
  }
  for (const d of all) visit(d, [])
  const hears = hearing[0]!
  const follows = (d: Discipline): boolean => (d.after ?? []).some(a => a === hears || follows(a))
  return { before: order.filter(d => d !== hears && !follows(d)), hearing: hears, after: order.filter(follows) }
}
