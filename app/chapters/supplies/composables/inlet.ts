import type { Inlet } from '#core/power/supply-match'

/** An inlet as a form types it; empty fields where nothing is known. */
export const typedInlet = ({ voltageV, tolerancePct, kind, polarity, currentA, regulatedInside, outerMm, innerMm }: Partial<Inlet>) => ({
  voltageV: voltageV ?? '',
  tolerancePct: tolerancePct ?? '',
  kind: kind ?? ('dc' as const),
  polarity: polarity ?? null,
  currentA: currentA ?? '',
  regulatedInside: regulatedInside ?? false,
  outerMm: outerMm ?? '',
  innerMm: innerMm ?? '',
})
