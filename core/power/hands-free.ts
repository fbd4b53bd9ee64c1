import type { HandsFreeManner } from '../kernel/hands-free'

/** Probes in the air show next to nothing, and so does a rail that is dead: neither is taken by itself. Own rule, no source. */
const nextToNothingV = 0.3

/** Rail by rail: a figure that goes on moving is never taken by itself, nor is an overload. */
export const railHandsFree: HandsFreeManner = { inTheAir: shown => shown === 'OL' || Math.abs(Number(shown)) < nextToNothingV }

/** A figure as it is read out: `-12.1` is “minus 12.1 volts”. */
export const spokenVolts = (figure: string): string => `${figure.trim().replace(/^[-−]/, 'minus ').replace(/^\+/, '')} volts`
/** A rail as it is read out: `+5 V` is “plus 5 volts”. */
export const spokenRail = (name: string): string =>
  name
    .replace(/^[-−]\s*(?=\d)/, 'minus ')
    .replace(/^\+\s*(?=\d)/, 'plus ')
    .replace(/(\d)\s*V\b/g, '$1 volts')
