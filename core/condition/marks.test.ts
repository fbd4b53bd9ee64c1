import { expect, it } from 'vitest'
import { InputError } from '../kernel/input-error'
import { checkMark, judgeScale, measureMark, mmPerPx } from './marks'
import { knownDistances } from './pitches'

const size = { widthPx: 2000, heightPx: 1000 }
/** 200 px are 50 mm: a quarter of a millimetre a pixel. */
const scale = { from: [0.1, 0.5], to: [0.2, 0.5], distanceMm: 50 } as const

it('a scale holds along both edges of a photograph that is not square', () => {
  expect(mmPerPx(scale, size)).toBeCloseTo(0.25, 10)
  expect(mmPerPx({ from: [0.5, 0.1], to: [0.5, 0.3], distanceMm: 50 }, size)).toBeCloseTo(0.25, 10)
})

// Source: plane geometry; the polygon with corners (1,6) (3,1) (7,2) (4,4) (8,5) and area 16.5
// is the worked example of the encyclopaedia article "Shoelace formula" (from memory).
it('areas and lengths come out as geometry has them', () => {
  const px = (points: [number, number][]) => points.map(([x, y]) => [(x * 100) / 2000, (y * 100) / 1000] as const)
  const example = measureMark(
    {
      form: 'polygon',
      points: px([
        [1, 6],
        [3, 1],
        [7, 2],
        [4, 4],
        [8, 5],
      ]),
    },
    size,
    scale,
  )
  expect(example.areaMm2).toBeCloseTo(16.5 * (100 * 0.25) ** 2, 6)
  const line = measureMark(
    {
      form: 'line',
      points: px([
        [0, 0],
        [3, 4],
        [3, 5],
      ]),
    },
    size,
    scale,
  )
  expect(line.lengthMm).toBeCloseTo((5 + 1) * 25, 6)
  expect(line.extent).toBe('about 150 mm')
  expect(measureMark({ form: 'point', points: [[0.5, 0.5]] }, size, scale).extent).toBe('')
  expect(
    measureMark(
      {
        form: 'polygon',
        points: px([
          [0, 0],
          [1, 0],
          [1, 1],
        ]),
      },
      size,
      null,
    ),
  ).toEqual({ lengthMm: null, areaMm2: null, extent: '' })
})

it('what cannot be a scale or a mark is refused with what would do', () => {
  expect(() => mmPerPx({ ...scale, to: scale.from }, size)).toThrow(/on top of each other/)
  expect(() => mmPerPx({ ...scale, distanceMm: 0 }, size)).toThrow(InputError)
  expect(() =>
    checkMark({
      form: 'polygon',
      points: [
        [0, 0],
        [1, 1],
      ],
    }),
  ).toThrow(/needs 3 points/)
  expect(() => checkMark({ form: 'point', points: [[1.2, 0]] })).toThrow(/outside/)
})

it('a short known distance is named as such', () => {
  expect(judgeScale(scale, size)[0]).toMatchObject({ level: 'fine' })
  expect(judgeScale({ from: [0.1, 0.5], to: [0.12, 0.5], distanceMm: 2.54 }, size)[0]).toMatchObject({ level: 'care', code: 'scale.short' })
})

// Source: JEDEC MS-001 and MS-011, from memory: 0.1 inch from pin to pin, rows 0.3 and 0.6 inch apart.
it('distances that boards carry are those of the standard', () => {
  const inch = 25.4
  const of = (pins: number) => knownDistances.find(k => k.name.startsWith(`${pins}-pin`))!.distanceMm
  for (const pins of [14, 16, 24, 28, 40]) expect(of(pins)).toBeCloseTo((pins / 2 - 1) * 0.1 * inch, 2)
  knownDistances.slice(-2).forEach((k, i) => expect(k.distanceMm).toBeCloseTo([0.3, 0.6][i]! * inch, 9))
})
