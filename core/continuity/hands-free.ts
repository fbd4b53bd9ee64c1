/**
 * Probing with both hands on the probes: what the meter shows, one figure after the other, and which of them is taken for the pair in hand. A pair
 * counts as left once the meter has read open, so that a figure of the pair before is never taken for the next. An open reading is never taken by
 * itself: probes in the air read the same, so somebody has to say it.
 * Own rule, no source.
 */
export interface HandsFree {
  /** Waits for the probes to be lifted, or for a figure of the pair in hand. */
  phase: 'lift' | 'place'
  /** How many times in a row the figures did not agree: probes that are just being placed do that too. */
  unsteady: number
}
export const handsFreeBegun: HandsFree = { phase: 'lift', unsteady: 0 }
/** So many times in a row figures that do not agree are the pair and not the hand. */
const believedUnsteady = 3

/**
 * @param shown what the meter shows: a figure in ohms that stands still, `OL`, several figures with `;` between them that do not agree, or nothing
 * @returns where it stands then, and what is taken for the pair in hand
 */
export function handsFreeNext({ phase, unsteady }: HandsFree, shown: string | undefined): { state: HandsFree; taken?: string } {
  const open = shown === 'OL'
  if (phase === 'lift') return { state: { phase: open ? 'place' : 'lift', unsteady: 0 } }
  if (shown === undefined) return { state: { phase, unsteady } }
  if (open) return { state: { phase, unsteady: 0 } }
  if (!shown.includes(';')) return { state: handsFreeBegun, taken: shown }
  // The last of them may be of probes that slip off; all the same it was three times that they did not agree.
  return unsteady + 1 < believedUnsteady ? { state: { phase, unsteady: unsteady + 1 } } : { state: handsFreeBegun, taken: shown }
}

/** A pin as it is read out: `U3.12` is “U3, pin 12”. */
export const spokenPin = (name: string): string => {
  const at = name.lastIndexOf('.')
  return at < 0 ? name : `${name.slice(0, at)}, pin ${name.slice(at + 1)}`
}
