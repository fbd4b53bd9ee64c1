import { converter } from 'culori'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { type Spoil, type Surface, madeUpBoard } from '../../tests/support/made-up-board'
import { type CorrosionSamples, measureCorrosion, measureCorrosionNow } from './corrosion-area'
import { colourOf } from './corrosion-colour'
import { compareVisits } from './corrosion-growth'

const samplesOf = ({ corroded, sound }: Omit<CorrosionSamples, 'outline'>) => ({ outline: [], corroded, sound })
const measured = (board: Awaited<ReturnType<typeof madeUpBoard>>, outline: CorrosionSamples['outline'] = []) =>
  measureCorrosionNow(board, { outline, corroded: board.corroded, sound: board.sound })

// Boards of our own making, with areas counted while they were drawn. The whole table of seventeen by seventeen is printed by the benchmark.
const spoilt: [Surface, Spoil][] = [
  ['crust on a board', {}],
  ['crust on a board', { blur: 2 }],
  ['white fur on a board', { blur: 4, noise: 6 }],
  ['rust on steel', { jpeg: 60 }],
  ['crust on copper', { gradient: 0.6 }],
  ['rust on painted steel', { glare: 0.15 }],
  ['crust on a brown board', { pads: true }],
  ['tarnish on copper', { silkscreen: true }],
  ['dark spots under green mask', { noise: 14 }],
  ['brown stain on beige plastic', { mixed: true }],
  ['rust on a black chassis', { spots: 2 }],
  ['blue salt on a board', { noise: 8, blur: 1.5, jpeg: 75, gradient: 0.5, glare: 0.03, specks: true }],
]
it.each(spoilt.map(([surface, spoil], i) => [surface, spoil, i] as const))(
  '%s, spoilt by %j: what it is off by lies within the error that it states',
  async (surface, spoil, i) => {
    for (const wanted of [4, 30]) {
      const board = await madeUpBoard(surface, 420, 320, wanted, 7000 + 100 * i + wanted, spoil)
      const { areaPct, errorPct, insidePx } = measured(board).areaAt(0.5)
      expect(Math.abs(areaPct - board.areaPct), `${board.areaPct} % drawn, ± ${errorPct}`).toBeLessThanOrEqual(errorPct)
      expect(errorPct).toBeGreaterThanOrEqual(1.5)
      expect(insidePx).toBe(420 * 320)
    }
  },
)

it('says what it did not see or know, and is the less sure for it', async () => {
  const plain = measured(await madeUpBoard('crust on copper', 420, 320, 20, 11)).areaAt(0.5)
  const glare = measured(await madeUpBoard('crust on copper', 420, 320, 20, 11, { glare: 0.2 })).areaAt(0.5)
  const soft = measured(await madeUpBoard('crust on copper', 420, 320, 20, 11, { blur: 5 })).areaAt(0.5)
  expect(glare.findings.map(f => f.code)).toContain('corrosion-area.glare')
  expect(soft.findings.map(f => f.code)).toContain('corrosion-area.focus')
  expect(Math.min(glare.errorPct, soft.errorPct)).toBeGreaterThan(plain.errorPct)
  const dot = [
    [0.5, 0.5],
    [0.505, 0.5],
    [0.505, 0.505],
  ] as const
  const board = await madeUpBoard('crust on copper', 420, 320, 20, 11)
  expect(() => measured(board, [...dot]).areaAt(0.5)).toThrow(expect.objectContaining({ field: 'outline' }) as Error)
})

it('a spot where a lamp has burnt the picture out is named by its number, on the glare and on its rim', async () => {
  const board = await madeUpBoard('crust on copper', 400, 300, 20, 11)
  const burnt = { ...board, data: board.data.slice() }
  for (let y = 140; y < 160; y++) burnt.data.fill(255, (y * 400 + 190) * 4, (y * 400 + 210) * 4)
  const spots = (more: Partial<CorrosionSamples>) => () => measureCorrosionNow(burnt, { ...samplesOf(board), ...more })
  const [glare, rim, beside] = [
    [0.5, 0.5],
    [0.47, 0.5],
    [0.4, 0.5],
  ] as const
  for (const at of [glare, rim])
    expect(spots({ corroded: [...board.corroded, at] })).toThrow(expect.objectContaining({ field: `corroded.${board.corroded.length}` }) as Error)
  expect(spots({ sound: [glare, ...board.sound] })).toThrow('Spot 1 of sound surface lies where a lamp has burnt the picture out.')
  expect(spots({ corroded: [...board.corroded, beside] })).not.toThrow('burnt')
})

it('counts inside the outline alone, and a higher threshold never finds more', async () => {
  const board = await madeUpBoard('rust on steel', 400, 300, 20, 7)
  const half = measured(board, [
    [0, 0],
    [0.5, 0],
    [0.5, 1],
    [0, 1],
  ])
  expect(half.areaAt(0.5).insidePx).toBe(200 * 300)
  expect(half.scores[399]).toBe(0)
  const shares = [0.2, 0.4, 0.5, 0.6, 0.8].map(t => half.areaAt(t).areaPct)
  expect([...shares].sort((a, b) => b - a)).toEqual(shares)
})

it('tells how far it is while it works, and can be left in the middle', async () => {
  const board = await madeUpBoard('rust on steel', 300, 300, 20, 7)
  const work = measureCorrosion(board, samplesOf(board))
  const shares = [work.next(), work.next(), work.next()].map(turn => turn.value as number)
  expect(shares).toEqual([(0.2 * 16) / 300, (0.2 * 32) / 300, (0.2 * 48) / 300])
})

it('says so when much of the area looks like none of the spots', () => {
  const data = new Uint8Array(100 * 100 * 4).fill(255)
  const paint = (from: number, to: number, colour: number[]) => {
    for (let i = from * 400; i < to * 400; i += 4) data.set(colour, i)
  }
  paint(0, 40, [34, 92, 58])
  paint(40, 60, [90, 158, 150])
  paint(60, 100, [200, 30, 200])
  const { findings } = measureCorrosionNow({ width: 100, height: 100, data }, { outline: [], corroded: [[0.5, 0.5]], sound: [[0.5, 0.2]] }).areaAt(0.5)
  expect(findings.map(f => f.code)).toContain('corrosion-area.unlike')
})

/** Every pixel of a row made this many pixels wide and high. */
function wide(row: Uint8Array, times: number): Uint8Array {
  const stretched = Array.from({ length: row.length / 4 }, (_, i) => Array.from({ length: times }, () => [...row.slice(i * 4, i * 4 + 4)])).flat(2)
  return new Uint8Array(Array.from({ length: times }, () => stretched).flat())
}

it('sees one colour in brighter and in dimmer light as the same share of corrosion', () => {
  const dimmed = (channel: number) => 255 * ((channel / 255) ** 2.2 * 0.5) ** (1 / 2.2)
  const [sound, crust] = [
    [34, 92, 58],
    [92, 158, 150],
  ]
  const data = new Uint8Array([...sound, 255, ...crust, 255, ...sound.map(dimmed), 255, ...crust.map(dimmed), 255].flatMap(v => v))
  const { scores } = measureCorrosionNow({ width: 160, height: 40, data: wide(data, 40) }, { outline: [], corroded: [[0.375, 0.5]], sound: [[0.125, 0.5]] })
  expect([scores[20], scores[60], scores[100], scores[140]].map(score => score! > 128)).toEqual([false, true, false, true])
})

it('compares colours in OKLab, as the general-purpose library culori has it by its other door', () => {
  const oklab = converter('oklab')
  fc.assert(
    fc.property(fc.tuple(fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 }), fc.integer({ min: 0, max: 255 })), ([r, g, b]) => {
      const lab = oklab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 })
      expect(colourOf(r, g, b)).toEqual([expect.closeTo(lab.l, 9), expect.closeTo(lab.a * 2.5, 9), expect.closeTo(lab.b * 2.5, 9)])
    }),
  )
})

const image = { width: 10, height: 10, data: new Uint8Array(400) }
it.each([
  [{ corroded: [], sound: [[0, 0]] }, 'corroded'],
  [{ corroded: [[0, 0]], sound: [] }, 'sound'],
  [{ corroded: [[2, 0]], sound: [[0, 0]] }, 'corroded.0'],
  [{ corroded: [[0, 0]], sound: [[0.9, 0.9]] }, 'corroded'],
  [
    {
      corroded: [[0, 0]],
      sound: [[0, 0]],
      outline: [
        [0, 0],
        [1, 1],
      ],
    },
    'outline',
  ],
  [
    {
      corroded: [[0, 0]],
      sound: [[0, 0]],
      outline: [
        [0, 0],
        [1, 1.01],
        [1, 0],
      ],
    },
    'outline',
  ],
])('refuses %j at %s', (samples, field) => {
  expect(() => measureCorrosionNow(image, { outline: [], ...samples } as unknown as CorrosionSamples)).toThrow(expect.objectContaining({ field }) as Error)
})

it('a picture of fifty megapixels is measured, and one row more is not', () => {
  const of = (height: number) => () =>
    measureCorrosionNow({ width: 10_000, height, data: new Uint8Array(0) }, { outline: [], corroded: [[0, 0]], sound: [[1, 1]] } as unknown as CorrosionSamples)
  expect(of(5000)).toThrow('not whole')
  expect(of(5001)).toThrow('larger than 50 megapixels')
})

it.each([
  [10, 11.5, 'growth.within-error'],
  // Beyond both errors, not beyond their root of squares.
  [10, 12.5, 'growth.within-error'],
  [10, 14, 'growth.grows'],
  [14, 10, 'growth.less'],
])('from %f to %f %% each ± 1.5: %s', (before, after, code) => {
  const visit = (at: string, areaPct: number) => ({ at, areaPct, errorPct: 1.5, areaMm2: null })
  const { findings, errorPct } = compareVisits(visit('2026-01-01', before), visit('2026-05-01', after))
  expect(findings[0]?.code).toBe(code)
  expect(errorPct).toBeCloseTo(3)
})

it('pictures that do not show the same surface are named, not compared', () => {
  const visit = (outlineShare: number, outlineMm2: number | null = null) => ({
    at: '2026-01-01',
    areaPct: 10 * outlineShare,
    errorPct: 1.5,
    areaMm2: null,
    outlineShare,
    outlineMm2,
  })
  expect(compareVisits(visit(0.2), visit(0.9)).findings[0]?.code).toBe('growth.not-comparable')
  expect(compareVisits(visit(0.2, 400), visit(0.9, 410)).findings[0]?.code).toBe('growth.grows')
})
