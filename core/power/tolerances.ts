/**
 * How far a supply rail may stray from its nominal voltage when nobody says otherwise.
 * Values from memory; check them against the machine's own service data where it exists.
 */
export interface RailTolerance {
  nominalV: number
  tolerancePct: number
  source: string
}

const designGuide = 'ATX12V power supply design guide, from memory'

const railTolerances: RailTolerance[] = [
  { nominalV: 3.3, tolerancePct: 5, source: designGuide },
  { nominalV: 5, tolerancePct: 5, source: `${designGuide}; 74-series logic 4.75–5.25 V, data books, from memory` },
  { nominalV: 12, tolerancePct: 5, source: designGuide },
  { nominalV: -5, tolerancePct: 10, source: designGuide },
  { nominalV: -12, tolerancePct: 10, source: designGuide },
]

/** The tolerance for a nominal voltage; for one that is not in the table, 5 % above zero and 10 % below. */
export function toleranceFor(nominalV: number): RailTolerance {
  return (
    railTolerances.find(t => t.nominalV === nominalV) ?? {
      nominalV,
      tolerancePct: nominalV > 0 ? 5 : 10,
      source: 'assumed: 5 % above zero, 10 % below; no source',
    }
  )
}
