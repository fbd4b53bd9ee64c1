/**
 * Measuring with both hands on the probes: what the meter shows, one figure after the other, and which of them is taken for what is in hand. A place
 * counts as left once the meter has shown what probes in the air show, so that a figure of the place before is never taken for the next; and that figure
 * is never taken by itself: somebody has to say it.
 * Own rule, no source.
 */
export interface HandsFree {
  /** Waits for the probes to be lifted, or for a figure of what is in hand. */
  phase: 'lift' | 'place'
  /** How many times in a row the figures did not agree: probes that are just being placed do that too. */
  unsteady: number
}
export const handsFreeBegun: HandsFree = { phase: 'lift', unsteady: 0 }

/** Several figures that do not agree are told together, with `;` between them. */
const moves = (shown: string) => shown.includes(';')

export interface HandsFreeManner {
  /** Whether this is what probes in the air show. */
  inTheAir: (shown: string) => boolean
  /** So many times in a row figures that do not agree are what is measured, and not the hand; they are never taken where nothing is said. */
  believedUnsteady?: number
}

/**
 * @param shown what the meter shows: a figure that stands still, `OL`, several figures with `;` between them that do not agree, or nothing
 * @returns where it stands then, and what is taken for what is in hand
 */
export function handsFreeNext(
  { phase, unsteady }: HandsFree,
  shown: string | undefined,
  { inTheAir, believedUnsteady = Infinity }: HandsFreeManner,
): { state: HandsFree; taken?: string } {
  const lifted = shown !== undefined && !moves(shown) && inTheAir(shown)
  if (phase === 'lift') return { state: { phase: lifted ? 'place' : 'lift', unsteady: 0 } }
  if (shown === undefined) return { state: { phase, unsteady } }
  if (lifted) return { state: { phase, unsteady: 0 } }
  if (!moves(shown)) return { state: handsFreeBegun, taken: shown }
  // The last of them may be of probes that slip off; all the same it was so many times that they did not agree.
  return unsteady + 1 < believedUnsteady ? { state: { phase, unsteady: unsteady + 1 } } : { state: handsFreeBegun, taken: shown }
}
