import { type Configuration, keyOf } from './configuration'
import type { GateResult } from './gate'
import type { GateVerdict } from './gate-words'

/** A coordinator's overrule of the gate, and what the gate rested on when it was made. */
export interface Overrule {
  verdict: GateVerdict
  basis: string
}

/** What a gate verdict rests on: the school, every reason, and what is connected unless that is everything; in one string. */
export const basisOf = (gate: GateResult, configuration: Configuration): string =>
  [gate.school, ...gate.findings.map(f => f.code), ...(configuration.kind === 'whole' ? [] : [keyOf(configuration)])].sort().join(' ')

/** Whether an overrule still stands: it does not outlive the facts it was made on. */
export const stillStands = (overrule: Overrule | null, gate: GateResult, configuration: Configuration): boolean =>
  overrule !== null && overrule.basis === basisOf(gate, configuration)
