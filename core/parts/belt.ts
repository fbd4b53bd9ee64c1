import { InputError } from '../kernel/input-error'

/**
 * The length of an open belt over two pulleys: L = 2c + π(d₁ + d₂)/2 + (d₁ − d₂)²/4c.
 * @param centresMm between the two shafts, in mm
 * @param largeMm @param smallMm diameters of the pulleys, in mm
 * @returns its length in mm
 * @throws InputError where the pulleys would meet
 * Source: handbooks of machine elements, from memory; the last term is an approximation that holds while the pulleys are not close.
 */
export function beltLength(centresMm: number, largeMm: number, smallMm: number): number {
  if (!(centresMm > (largeMm + smallMm) / 2))
    throw new InputError('centresMm', centresMm, `Between the shafts: more than ${(largeMm + smallMm) / 2} mm, or the pulleys meet.`)
  return 2 * centresMm + (Math.PI * (largeMm + smallMm)) / 2 + (largeMm - smallMm) ** 2 / (4 * centresMm)
}
