/**
 * Molar masses in gram to a mol, from the standard atomic weights (IUPAC, abridged to what the shelf needs).
 * H 1.008, C 12.011, N 14.007, O 15.999, Na 22.990, S 32.06, K 39.098.
 */
export const chemicals = {
  koh: { title: 'Potassium hydroxide', gPerMol: 56.11 },
  naoh: { title: 'Sodium hydroxide', gPerMol: 40.0 },
  acetic: { title: 'Acetic acid', gPerMol: 60.05 },
  citric: { title: 'Citric acid, anhydrous', gPerMol: 192.12 },
  bicarbonate: { title: 'Sodium bicarbonate', gPerMol: 84.01 },
  h2so4: { title: 'Sulphuric acid', gPerMol: 98.08 },
  h2o2: { title: 'Hydrogen peroxide', gPerMol: 34.015 },
} as const
