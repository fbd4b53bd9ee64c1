/** Round copper wire by American gauge. Source: ASTM B258: gauge 36 is 0.127 mm, and each gauge is 92^(1/39) thicker than the next. */
export const gaugeDiameterMm = (gauge: number) => 0.127 * 92 ** ((36 - gauge) / 39)
export const areaMm2Of = (diameterMm: number) => (Math.PI * diameterMm ** 2) / 4

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
