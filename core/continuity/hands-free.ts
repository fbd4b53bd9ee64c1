import type { HandsFreeManner } from '../kernel/hands-free'

/** Pair by pair between two pins: probes in the air read open, and figures that go on disagreeing are a crack. Own rule, no source. */
export const pairHandsFree: HandsFreeManner = { inTheAir: shown => shown === 'OL', believedUnsteady: 3 }

/** A pin as it is read out: `U3.12` is “U3, pin 12”. */
export const spokenPin = (name: string): string => {
  const at = name.lastIndexOf('.')
  return at < 0 ? name : `${name.slice(0, at)}, pin ${name.slice(at + 1)}`
}
