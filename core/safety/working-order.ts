import { type Finding, concerns, mostPressingFirst } from '../kernel/finding'
import type { Opening } from '../kernel/heard'

/** What keeps it off comes first, then what is unsettled, what nobody has looked at, what wants care, what takes its time, the name, and power last. */
function phaseOf({ level, open, when }: Finding, drying: boolean): number {
  if (when === 'powered') return 7
  if (when === 'by-itself') return 4
  if (when === 'dry' && drying) return 5
  if (open === 'not-signed') return 6
  if (level === 'stop') return 0
  return open ? (level === 'care' ? 1 : 2) : 3
}
const placeOf = ({ concerns: concern }: Finding) => (concern ? concerns.indexOf(concern) : concerns.length)

/**
 * What would open the gate, in the order in which it can be worked through: what harms a person or goes on harming the machine, then what is loose,
 * wet or burnt in it, what nobody has looked at, what wants care. What has to be waited for comes after what can be done meanwhile, and what wants it
 * dry after that. It never begins with what takes power while something else is open.
 * Common practice, no source.
 */
export function inWorkingOrder(findings: readonly Finding[], openings: readonly Opening[]): Opening[] {
  const drying = findings.some(f => f.when === 'by-itself')
  const sorted = mostPressingFirst(findings).sort((a, b) => phaseOf(a, drying) - phaseOf(b, drying) || placeOf(a) - placeOf(b))
  return sorted.flatMap(f => openings.filter(o => o.code === f.code))
}
