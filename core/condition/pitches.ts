/** Distances that every board carries and that set a scale without a ruler. */
export interface KnownDistance {
  name: string
  distanceMm: number
  source: string
}

/** Pitch of dual in-line packages. Source: JEDEC MS-001 and MS-011, from memory. */
const dipPitchMm = 2.54
const jedec = 'JEDEC MS-001 and MS-011, from memory'

const dipLength = (pins: number): KnownDistance => ({
  name: `${pins}-pin package, first to last pin of a row`,
  distanceMm: Math.round((pins / 2 - 1) * dipPitchMm * 100) / 100,
  source: jedec,
})

export const knownDistances: readonly KnownDistance[] = [
  { name: 'Pin to next pin of a dual in-line package', distanceMm: dipPitchMm, source: jedec },
  dipLength(14),
  dipLength(16),
  dipLength(24),
  dipLength(28),
  dipLength(40),
  { name: 'Across a narrow package, row to row', distanceMm: 7.62, source: jedec },
  { name: 'Across a wide package, row to row', distanceMm: 15.24, source: jedec },
]
