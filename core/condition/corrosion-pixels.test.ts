import { describe, expect, it } from 'vitest'
import { type CorrosionSamples, type Pixels, measureCorrosionNow } from './corrosion-area'

// Pictures of plain fields, counted by hand; the colours lie far apart.
const copper = [184, 115, 51] as const
const crust = [47, 135, 118] as const
const white = [255, 255, 255] as const
type Colour = readonly [number, number, number]

function drawn(width: number, height: number, colourAt: (x: number, y: number) => Colour): Pixels {
  const data = new Uint8Array(width * height * 4).fill(255)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set(colourAt(x, y), (y * width + x) * 4)
  return { width, height, data }
}
/** Crust on the left half, copper on the right. */
const halves = (width: number, height: number, other?: (x: number, y: number) => Colour | undefined) =>
  drawn(width, height, (x, y) => other?.(x, y) ?? (x < width / 2 ? crust : copper))
const samples = (more: Partial<CorrosionSamples> = {}): CorrosionSamples => ({
  outline: [],
  corroded: [
    [0.1, 0.1],
    [0.2, 0.5],
    [0.1, 0.9],
  ],
  sound: [
    [0.9, 0.1],
    [0.8, 0.5],
    [0.9, 0.9],
  ],
  ...more,
})
const areaOf = (pixels: Pixels, more: Partial<CorrosionSamples> = {}, threshold = 0.5) => measureCorrosionNow(pixels, samples(more)).areaAt(threshold)
const codes = (area: { findings: { code: string }[] }) => area.findings.map(f => f.code)

describe('what lies inside an outline', () => {
  it.each<[string, [number, number][], (x: number, y: number) => boolean]>([
    [
      'a rectangle',
      [
        [0.25, 0.2],
        [0.75, 0.2],
        [0.75, 0.8],
        [0.25, 0.8],
      ],
      (x, y) => x >= 50 && x < 150 && y >= 20 && y < 80,
    ],
    [
      'a triangle',
      [
        [0, 0],
        [1, 0],
        [0, 1],
      ],
      (x, y) => (x + 0.5) / 200 + (y + 0.5) / 100 < 1,
    ],
    [
      'a horseshoe, its gap left out',
      [
        [0, 0],
        [1, 0],
        [1, 1],
        [0.75, 1],
        [0.75, 0.5],
        [0.25, 0.5],
        [0.25, 1],
        [0, 1],
      ],
      (x, y) => y < 50 || x < 50 || x >= 150,
    ],
    [
      'the whole, drawn round its edge',
      [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ],
      () => true,
    ],
  ])('%s', (_, outline, holds) => {
    const { scores } = measureCorrosionNow(halves(200, 100), samples({ outline }))
    let wrong = 0
    for (let y = 0; y < 100; y++) for (let x = 0; x < 200; x++) if (scores[y * 200 + x]! > 0 !== holds(x, y)) wrong++
    // A slanted edge may take or leave the very pixel that it cuts.
    expect(wrong).toBeLessThanOrEqual(_ === 'a triangle' ? 100 : 0)
  })
  it('is counted without it, and is too little below thirty pixels', () => {
    expect(areaOf(halves(200, 100))).toMatchObject({
      insidePx: 20000,
      areaPct: expect.closeTo(50, 0) as number,
      corrodedPx: expect.closeTo(10000, -2) as number,
    })
    const box = (w: number, h: number): [number, number][] => [
      [0, 0],
      [w / 200, 0],
      [w / 200, h / 100],
      [0, h / 100],
    ]
    expect(areaOf(halves(200, 100), { outline: box(6, 5) }).insidePx).toBe(30)
    expect(() => areaOf(halves(200, 100), { outline: box(29, 1) })).toThrow('29 pixels')
  })
})

describe('what a lamp has burnt out', () => {
  const lamp = (level: number) => halves(200, 100, (x, y) => (x >= 100 && x < 110 && y >= 40 && y < 50 ? [level, level, level] : undefined))
  it('is left out with a rim of three pixels or more around it, from the level of 250 on', () => {
    const burnt = measureCorrosionNow(lamp(250), samples())
    const blind = [...burnt.scores].filter(s => s === 0).length
    // 0.012 of the mean side, 141 pixels, is under three: the rim has three. The last corner of a block counts as a speck of its own.
    expect(blind).toBe(16 * 16 - 1)
    for (const [x, y, is] of [
      [97, 37, 0],
      [112, 51, 0],
      [96, 45, 1],
      [113, 45, 1],
      [105, 36, 1],
      [105, 53, 1],
    ] as const)
      expect(Number(burnt.scores[y * 200 + x]! > 0), `${x} ${y}`).toBe(is)
    expect(codes(burnt.areaAt(0.5))).toContain('corrosion-area.glare')
    expect(codes(measureCorrosionNow(lamp(249), samples()).areaAt(0.5))).not.toContain('corrosion-area.glare')
  })
  it('takes all three channels, and more than a speck', () => {
    const red = halves(200, 100, (x, y) => (x >= 100 && x < 110 && y >= 40 && y < 50 ? [255, 250, 120] : undefined))
    expect(codes(areaOf(red))).not.toContain('corrosion-area.glare')
    const speck = halves(200, 100, (x, y) => (x === 105 && y === 45 ? white : undefined))
    expect([...measureCorrosionNow(speck, samples()).scores].filter(s => s === 0).length).toBeLessThan(30)
  })
  it('costs certainty: half of its share either way', () => {
    const wide = halves(200, 100, (_, y) => (y < 20 ? white : undefined))
    const inner = {
      corroded: [
        [0.1, 0.5],
        [0.2, 0.6],
        [0.1, 0.9],
      ],
      sound: [
        [0.9, 0.5],
        [0.8, 0.6],
        [0.9, 0.9],
      ],
    } as Partial<CorrosionSamples>
    // 23 of 100 rows are hidden; 1.2 · 11.5 points and a little for the edge in the middle.
    const { errorPct, insidePx } = areaOf(wide, inner)
    expect(insidePx).toBe(20000)
    expect(errorPct).toBeGreaterThan(1.2 * 11.5)
    expect(errorPct).toBeLessThan(1.2 * 11.5 + 1.5)
  })
})

describe('how sure it is', () => {
  it('never better than 1.5 points, half as much again with two spots of a kind', () => {
    const field = halves(400, 300)
    expect(areaOf(field).errorPct).toBe(1.5)
    const spots = (n: number): Partial<CorrosionSamples> => ({
      corroded: Array.from({ length: n }, (_, i) => [0.1 + i * 0.2, 0.5]),
      sound: Array.from({ length: n }, (_, i) => [0.1 + i * 0.2, 0.7]),
    })
    expect(codes(areaOf(field, { corroded: spots(3).corroded!.map(([, y]) => [0.1, y!]), sound: spots(3).sound!.map(([, y]) => [0.9, y!]) }))).not.toContain(
      'corrosion-area.few-spots',
    )
    const few = areaOf(field, {
      corroded: [
        [0.1, 0.5],
        [0.2, 0.5],
      ],
      sound: [
        [0.9, 0.5],
        [0.8, 0.5],
        [0.7, 0.2],
      ],
    })
    expect(few.errorPct).toBe(1.5)
    // Where there is more than the least to widen: a fifth of it hidden.
    const hidden = halves(400, 300, (_, y) => (y >= 240 ? white : undefined))
    const at = (corroded: [number, number][]) =>
      areaOf(hidden, {
        corroded,
        sound: [
          [0.9, 0.1],
          [0.8, 0.3],
          [0.9, 0.6],
        ],
      }).errorPct
    expect(
      at([
        [0.1, 0.1],
        [0.2, 0.3],
      ]) /
        at([
          [0.1, 0.1],
          [0.2, 0.3],
          [0.1, 0.6],
        ]),
    ).toBeCloseTo(1.5, 1)
  })
  it('a threshold lies between 0 and 1, and any one gives the same answer twice', () => {
    const found = measureCorrosionNow(halves(200, 100), samples())
    for (const wrong of [0, 1, -0.5, NaN]) expect(() => found.areaAt(wrong)).toThrow('between 0 and 1')
    expect(found.areaAt(0.3)).toBe(found.areaAt(0.3))
    expect(found.areaAt(0.01).areaPct).toBeGreaterThanOrEqual(found.areaAt(0.99).areaPct)
  })
})

it.each<[string, () => unknown, string]>([
  ['a picture that is not whole', () => areaOf({ ...halves(200, 100), data: new Uint8Array(10) }), 'not whole'],
  ['no spot of corrosion', () => areaOf(halves(200, 100), { corroded: [] }), 'of corrosion'],
  ['no spot of sound surface', () => areaOf(halves(200, 100), { sound: [] }), 'of sound surface'],
  ['a spot outside', () => areaOf(halves(200, 100), { sound: [[0.5, 1.01]] }), 'outside the picture'],
  ['a spot left of it', () => areaOf(halves(200, 100), { corroded: [[-0.01, 0.5]] }), 'outside the picture'],
  ['an outline of one point', () => areaOf(halves(200, 100), { outline: [[0, 0]] }), 'three points'],
  [
    'an outline of two',
    () =>
      areaOf(halves(200, 100), {
        outline: [
          [0, 0],
          [1, 1],
        ],
      }),
    'three points',
  ],
  [
    'an outline that leaves it',
    () =>
      areaOf(halves(200, 100), {
        outline: [
          [0, 0],
          [1, 1],
          [1.01, 0],
        ],
      }),
    'outline lies outside',
  ],
  ['spots of both kinds that look alike', () => areaOf(halves(200, 100), { sound: [[0.3, 0.3]] }), 'the same colour'],
])('refuses %s', (_, measure, message) => expect(measure).toThrow(message))

it('spots at the very edge are taken as they are', () => {
  expect(
    areaOf(halves(200, 100), {
      corroded: [
        [0, 0],
        [0, 1],
        [0.2, 0.5],
      ],
      sound: [
        [1, 1],
        [1, 0],
        [0.8, 0.5],
      ],
    }).areaPct,
  ).toBeCloseTo(50, 0)
})

describe('what is said beside the figure', () => {
  const said = (share: number, colour: Colour, more: Partial<CorrosionSamples> = {}) =>
    Object.fromEntries(
      areaOf(
        halves(400, 300, (_, y) => (y >= 300 * (1 - share) ? colour : undefined)),
        { ...inner, ...more },
      ).findings.map(f => [f.code, f.level]),
    )
  const inner: Partial<CorrosionSamples> = {
    corroded: [
      [0.1, 0.1],
      [0.2, 0.3],
      [0.1, 0.5],
    ],
    sound: [
      [0.9, 0.1],
      [0.8, 0.3],
      [0.9, 0.5],
    ],
  }
  const blue: Colour = [40, 60, 220]
  it('a lamp is noted, and from a twentieth on it is care; so is what looks like none of the spots from a tenth on', () => {
    expect(said(0.03, white)['corrosion-area.glare']).toBe('note')
    expect(said(0.1, white)['corrosion-area.glare']).toBe('care')
    expect(said(0, white)).not.toHaveProperty('corrosion-area.glare')
    expect(said(0.05, blue)['corrosion-area.unlike']).toBe('note')
    expect(said(0.15, blue)['corrosion-area.unlike']).toBe('care')
    expect(said(0, blue)).not.toHaveProperty('corrosion-area.unlike')
  })
  it('fewer than three spots of either kind are', () => {
    expect(said(0, blue)).not.toHaveProperty('corrosion-area.few')
    expect(said(0, blue, { sound: inner.sound!.slice(0, 2) })).toHaveProperty('corrosion-area.few')
    expect(said(0, blue, { corroded: inner.corroded!.slice(0, 2) })).toHaveProperty('corrosion-area.few')
  })
  it('the measurement is unsure from five points on', () => {
    expect(said(0.05, white)).not.toHaveProperty('corrosion-area.unsure')
    expect(said(0.3, white)).toHaveProperty('corrosion-area.unsure')
  })
})
