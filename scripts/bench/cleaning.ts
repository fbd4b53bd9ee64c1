import { judgeDrying } from '#core/cleaning/drying'
import { neutrals, patchColour } from '#core/cleaning/patch-colour'
import { type PlanPart, planCleaning } from '#core/cleaning/plan'
import { forecastWhitening } from '#core/cleaning/whitening-forecast'
import { materialNames, soilNames } from '#core/cleaning/words'
import { seeded } from '#core/kernel/random'
import { median, row } from './row'

/** How long the instruments of cleaning take at their largest. */
export function benchCleaning(): Promise<void> {
  const random = seeded(1)
  const pixels = new Uint8ClampedArray(12_000_000 * 4).map((_, i) => (i % 4 === 3 ? 255 : 120 + Math.floor(random() * 20)))
  const colours = Array.from({ length: 40 }, (_, i) => ({ hours: i, l: 75, a: 1, b: 6 + 18 * Math.exp(-i / 8) + random() * 0.4, error: 0.3 }))
  const weighings = colours.map(({ hours, b }) => ({ atHours: hours, massG: 300 + b }))
  const parts = Array.from({ length: 30 }, (_, i): PlanPart => ({
    name: `Assembly ${i}`,
    materials: materialNames,
    soils: soilNames,
    works: 'not-known',
    socketed: true,
  }))
  console.log('\nCleaning')
  row('', 'median')
  row(
    'colour of an area, 12 megapixels',
    median(5, () => patchColour(pixels, [{ ...neutrals['grey-card'], pixels: pixels.subarray(0, 400_000), apart: 0.1 }])),
  )
  row(
    'whitening forecast, 40 colours',
    median(9, () => forecastWhitening({ reference: { l: 84, a: 0, b: 5, error: 0.3 }, measured: colours })),
  )
  row(
    'drying, 40 weighings',
    median(9, () => judgeDrying({ weighings, errorG: 0.2 })),
  )
  row(
    'plan of a machine, 30 assemblies of everything',
    median(9, () => planCleaning({ parts, schools: { boards: 'wash', plastic: 'whiten' } })),
  )
  return Promise.resolve()
}
