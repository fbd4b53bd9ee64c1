/** Round copper wire by American gauge. Source: ASTM B258: gauge 36 is 0.127 mm, and each gauge is 92^(1/39) thicker than the next. */
const gaugeDiameterMm = (gauge: number) => 0.127 * 92 ** ((36 - gauge) / 39)
const areaMm2Of = (diameterMm: number) => (Math.PI * diameterMm ** 2) / 4

/** Resistivity of annealed copper at 20 °C, and how it rises. Source: IEC 60028. */
export const copperOhmMm2PerM = 1 / 58
export const copperPerK = 0.00393

export interface Wire {
  awg: number
  diameterMm: number
  areaMm2: number
  ohmPerM: number
}

export function wireOf(awg: number): Wire {
  const diameterMm = gaugeDiameterMm(awg)
  const areaMm2 = areaMm2Of(diameterMm)
  return { awg, diameterMm, areaMm2, ohmPerM: copperOhmMm2PerM / areaMm2 }
}

/** The thinnest wire, gauge 40 to 10, with at least so much copper; nothing where even gauge 10 has less. */
export function wireWith(areaMm2: number): Wire | null {
  for (let awg = 40; awg >= 10; awg--) {
    const wire = wireOf(awg)
    if (wire.areaMm2 >= areaMm2) return wire
  }
  return null
}

/**
 * What a single wire carries in free air, in amperes, by gauge from 10 to 40: the usual table of ratings for chassis wiring.
 * Source: handbook tables of American wire gauge, from memory.
 */
const freeWireA: Record<number, number> = {
  10: 55,
  11: 47,
  12: 41,
  13: 35,
  14: 32,
  15: 28,
  16: 22,
  17: 19,
  18: 16,
  19: 14,
  20: 11,
  21: 9,
  22: 7,
  23: 4.7,
  24: 3.5,
  25: 2.7,
  26: 2.2,
  27: 1.7,
  28: 1.4,
  29: 1.2,
  30: 0.86,
  31: 0.7,
  32: 0.53,
  33: 0.43,
  34: 0.33,
  35: 0.27,
  36: 0.21,
  37: 0.17,
  38: 0.13,
  39: 0.11,
  40: 0.09,
}
export const freeWireRatingA = (awg: number) => freeWireA[awg] ?? 0

/** The thinnest wire, no thinner than a gauge, that carries a current in free air and loses no more than so much; nothing where gauge 10 does not. */
export function wireFor({
  currentA,
  lengthMm,
  mostDropV,
  thinnestAwg,
}: {
  currentA: number
  lengthMm: number
  mostDropV: number
  thinnestAwg: number
}): Wire | null {
  for (let awg = thinnestAwg; awg >= 10; awg--) {
    const wire = wireOf(awg)
    if (freeWireRatingA(awg) >= currentA && (currentA * wire.ohmPerM * lengthMm) / 1000 <= mostDropV) return wire
  }
  return null
}
