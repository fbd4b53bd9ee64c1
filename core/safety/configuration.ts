import { InputError } from '../kernel/input-error'
import type { HazardKind } from './hazards'
import type { PowerFactName } from './power-facts'

/**
 * What of a machine is connected when it is energised. A machine is built up in steps, and the gate asks only about what gets power.
 * What was read in one configuration says nothing of another: rails are measured anew after every change.
 * Common practice, no source.
 */
export const configurationKinds = {
  'whole': { title: 'Whole', means: 'Everything is in its place and connected.', without: { facts: [], hazards: [] } },
  'partly': {
    title: 'Some of it out',
    means: 'Cards or drives are out; they go back one at a time, with the rails read after each.',
    without: { facts: [], hazards: [] },
  },
  'supply-alone': {
    title: 'Supply alone',
    means: 'The supply on the bench with a dummy load, every board disconnected.',
    without: { facts: ['battery'], hazards: ['battery'] },
  },
  'bench-supply': {
    title: 'Boards on a bench supply',
    means: 'Its own supply is disconnected; a bench supply with a current limit feeds the boards.',
    without: { facts: ['filterCapacitors', 'mainsLead', 'supply'], hazards: ['line-filter', 'mains-wiring', 'unknown-supply'] },
  },
} as const satisfies Record<string, { title: string; means: string; without: { facts: readonly PowerFactName[]; hazards: readonly HazardKind[] } }>
export type ConfigurationKind = keyof typeof configurationKinds
export const configurationKindNames = Object.keys(configurationKinds) as ConfigurationKind[]

export interface Configuration {
  kind: ConfigurationKind
  /** Assemblies that are out, by name; only some of a machine can be out, or what the bench supply does not feed. */
  out: readonly string[]
}
export const whole: Configuration = { kind: 'whole', out: [] }

/** Kinds in which single assemblies may be out. */
export const mayBeOut = (kind: ConfigurationKind) => kind === 'partly' || kind === 'bench-supply'

/** @throws InputError where nothing is said to be out, or something is that cannot be */
export function checkConfiguration({ kind, out }: Configuration): void {
  if (kind === 'partly' && !out.length) throw new InputError('out', out, 'What is out: name at least one assembly, or choose Whole.')
  if (!mayBeOut(kind) && out.length) throw new InputError('out', out, `What is out: ${configurationKinds[kind].title} leaves no single assembly out.`)
}

/** One text for one configuration, whatever the order its parts were named in; readings are filed under it. */
export const keyOf = ({ kind, out }: Configuration): string => [kind, ...[...out].sort()].join('|')

/** A configuration in words: `Some of it out: Drive A, Drive B`. */
export const configurationWords = ({ kind, out }: Configuration): string => `${configurationKinds[kind].title}${out.length ? `; out: ${out.join(', ')}` : ''}`

/** Whether a fact, or a hazard, belongs to something that gets power in this configuration. */
export function isConnected(what: 'facts' | 'hazards', name: PowerFactName | HazardKind, { kind }: Configuration): boolean {
  return !(configurationKinds[kind].without[what] as readonly string[]).includes(name)
}
