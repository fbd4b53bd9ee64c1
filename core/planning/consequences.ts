import type { GateVerdict } from '../safety/gate-words'
import type { Assessment } from './assess'

/** What held of a machine until now, as it was stored. */
export interface Standing {
  /** The verdict that held. */
  gate: GateVerdict
  overruled: boolean
}

export interface Consequences {
  /** Why the overrule has ended, where one stood. */
  overruleEnded: string | null
  /** The change of the verdict that holds, with the reason that decides it in the rule's own words. */
  gate: { from: GateVerdict; to: GateVerdict; why: string } | null
  /** Why the sign-off has ended, where one stood. */
  signOffEnded: string | null
}

/**
 * Compares what stood with what stands now: an overrule does not outlive the facts it was made on, nor a sign-off what it rested on,
 * and every change of the verdict is worth an entry. What was claimed or found stays with the hazard it belongs to.
 */
export function consequencesOf(before: Standing, { known }: Assessment): Consequences {
  const to = known.gateInForce
  const why = known.overruled ? 'Overruled' : to === 'clear-to-run' ? 'No reason to keep it off or guarded is left' : (known.gate.findings[0]?.says ?? '')
  return {
    overruleEnded: before.overruled && !known.overruled ? 'the facts have changed' : null,
    gate: to === before.gate ? null : { from: before.gate, to, why },
    signOffEnded: known.signOffEnded,
  }
}
