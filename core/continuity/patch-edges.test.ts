import { describe, expect, it } from 'vitest'
import { type Landing, type PatchPlanInput, landingsOf, planPatch } from './patch-plan'

const leg = (name: string, xMm: number, yMm = 0, more: Partial<Landing> = {}): Landing => ({ name, xMm, yMm, leg: true, ...more })
const box = (x0: number, y0: number, x1: number, y1: number) => ({
  why: 'Socket',
  outline: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ] as const,
})
const two = (far: number, more: Partial<PatchPlanInput> = {}) => planPatch({ pieces: [[leg('A.1', 0)], [leg('B.1', far)]], ...more })
const codesOf = (plan: ReturnType<typeof planPatch>) => plan.findings.map(f => f.code)

describe('a wire', () => {
  // Common practice, no source: a tenth of slack, 2 mm at least, and 3 mm stripped at each end; worked out by hand.
  it.each([
    [40, 4, 50],
    [10, 2, 18],
    [20.4, 2, 29],
    [25, 2.5, 34],
  ])('over %s mm has %s mm of slack and is cut to %s mm', (lengthMm, slackMm, cutMm) => {
    expect(two(lengthMm).wires[0]).toMatchObject({ a: 'A.1', b: 'B.1', lengthMm, slackMm, cutMm })
    expect(two(lengthMm).totalCutMm).toBe(cutMm)
    expect(codesOf(two(lengthMm))).toEqual(['patch.joins'])
  })

  it('is longer to end on a leg rather than on a bare pad, by up to 15 mm', () => {
    const end = (legAt: number) => planPatch({ pieces: [[leg('A.1', 0)], [leg('B.1', legAt), leg('B.2', 10, 0, { leg: false })]] })
    expect(end(24.9).wires[0]).toMatchObject({ b: 'B.1' })
    expect(codesOf(end(24.9))).toEqual(['patch.joins'])
    expect(end(25.1).wires[0]).toMatchObject({ b: 'B.2' })
    expect(codesOf(end(25.1))).toEqual(['patch.bare-pad', 'patch.joins'])
  })

  it('lands on no socket and no pad of one side as on a leg', () => {
    const places = { xMm: 1, yMm: 2 }
    expect(
      landingsOf([
        { name: 'U1.1', ...places, side: 'both', socketed: false },
        { name: 'U1.2', ...places, side: 'both', socketed: true },
        { name: 'U1.3', ...places, side: 'front', socketed: false },
        { name: 'U1.4', xMm: null, yMm: 2, side: 'both', socketed: false },
        { name: 'U1.5', xMm: 1, yMm: null, side: 'both', socketed: false },
      ]).map(l => [l.name, l.leg]),
    ).toEqual([
      ['U1.1', true],
      ['U1.2', false],
      ['U1.3', false],
    ])
  })

  it('lies over a bare via nearer than 0.8 mm, but for those beside its own ends', () => {
    const over = (xMm: number, yMm: number) => codesOf(two(20, { vias: [{ xMm, yMm }] })).includes('patch.over-via')
    expect([over(10, 0.79), over(10, -0.79), over(10, 0.8), over(10, -0.81)]).toEqual([true, true, false, false])
    expect([over(0.8, 0), over(0.81, 0), over(19.19, 0), over(19.25, 0)]).toEqual([false, true, true, false])
    expect([over(-2, 0), over(22, 0)]).toEqual([false, false])
    expect(two(20, { vias: [5, 9, 40].map(xMm => ({ xMm, yMm: 0.1 })) }).findings[0]!.says).toBe('A.1 to B.1 lies over 2 bare vias.')
  })

  it('goes round what is kept free by the shorter side, a millimetre off its corners', () => {
    const round = (y0: number, y1: number) => planPatch({ pieces: [[leg('A.1', 0)], [leg('B.1', 30)]], keepOuts: [box(10, y0, 20, y1)] }).wires[0]!
    // A square: its corners move out along their diagonals.
    const [dx, dy] = [10 - Math.SQRT1_2, 5 + Math.SQRT1_2]
    expect(round(-5, 5).lengthMm).toBeCloseTo(2 * Math.hypot(dx, dy) + 10 + Math.SQRT2, 1)
    expect(round(-5, 5).way).toHaveLength(4)
    expect(round(-5, 9).way.every(p => p.yMm <= 0)).toBe(true)
    expect(round(-9, 5).way.every(p => p.yMm >= 0)).toBe(true)
    expect(round(1, 9).way).toHaveLength(2)
  })

  it('runs on the side that was asked for, and says what it does not reach there', () => {
    const [front, back] = [leg('A.1', 0, 0, { side: 'front' }), leg('B.1', 20, 0, { side: 'back' })]
    const both = leg('C.1', 40, 0, { side: 'both' })
    expect(codesOf(planPatch({ pieces: [[front], [both]] }))).toEqual(['patch.unreachable'])
    expect(codesOf(planPatch({ pieces: [[front], [both]], side: 'front' }))).toEqual(['patch.joins'])
    expect(codesOf(planPatch({ pieces: [[back], [both]] }))).toEqual(['patch.joins'])
    expect(codesOf(planPatch({ pieces: [[back], [both]], side: 'front' }))).toEqual(['patch.unreachable'])
    // Two of three are joined all the same.
    const most = planPatch({ pieces: [[front], [back], [both]] })
    expect([codesOf(most), most.wires.length]).toEqual([['patch.unreachable'], 1])
  })

  it('that finds no way out is not given as one', () => {
    const walls = [box(-5, -5, -3, 5), box(3, -5, 5, 5), box(-5, -5, 5, -3), box(-5, 3, 5, 5)]
    expect(codesOf(two(20, { keepOuts: walls }))).toEqual(['patch.no-way'])
    expect(codesOf(two(20, { keepOuts: walls.slice(1) }))).toEqual(['patch.joins'])
  })
})

// Gauge 30 has 0.339 Ω/m and gauge 10 0.00328 Ω/m (ASTM B258).
it('a thicker wire where the drop or the current wants one, and none where gauge 10 is too thin', () => {
  const lossV = (0.5 * 0.339 * 50) / 1000
  expect(two(40, { currentA: 0.5, mostDropV: lossV * 1.01 }).wire.awg).toBe(30)
  expect(two(40, { currentA: 0.5, mostDropV: lossV * 0.99 }).wire.awg).toBeLessThan(30)
  expect(codesOf(two(900, { mostDropV: 0.01, currentA: 20 }))).toEqual(['patch.too-much', 'patch.joins'])
  expect(codesOf(two(900, { mostDropV: 0.2, currentA: 20 }))).toEqual(['patch.joins'])
})

it.each<[string, () => unknown]>([
  ['a drop too small', () => two(20, { mostDropV: 0.0009 })],
  ['a drop too large', () => two(20, { mostDropV: 10.01 })],
  ['no current', () => two(20, { currentA: 0 })],
  ['too much of it', () => two(20, { currentA: 20.1 })],
  ['a piece without a pin', () => planPatch({ pieces: [[leg('A.1', 0)], []] })],
  ['a pin without a place', () => planPatch({ pieces: [[leg('A.1', NaN)], [leg('B.1', 1)]] })],
  ['a pin in two pieces', () => planPatch({ pieces: [[leg('A.1', 0)], [leg('A.1', 1)]] })],
  [
    'an outline of two corners',
    () =>
      two(20, {
        keepOuts: [
          {
            why: '',
            outline: [
              [0, 0],
              [1, 1],
            ],
          },
        ],
      }),
  ],
  ['an outline of 41', () => two(20, { keepOuts: [{ why: '', outline: Array.from({ length: 41 }, (_, i) => [i, i * i] as const) }] })],
  [
    '41 outlines',
    () =>
      two(20, {
        keepOuts: Array.from({ length: 41 }, () => ({
          why: '',
          outline: [
            [50, 50],
            [51, 51],
            [50, 51],
          ],
        })),
      }),
  ],
  [
    'more corners in all',
    () => two(20, { keepOuts: Array.from({ length: 5 }, () => ({ why: '', outline: Array.from({ length: 33 }, (_, i) => [50 + i, i * i] as const) })) }),
  ],
  ['more vias', () => two(20, { vias: Array.from({ length: 2001 }, () => ({ xMm: 90, yMm: 90 })) })],
  ['41 pieces', () => planPatch({ pieces: Array.from({ length: 41 }, (_, i) => [leg(`P.${i}`, i)]) })],
  ['201 pins', () => planPatch({ pieces: [[leg('A.1', 0)], Array.from({ length: 200 }, (_, i) => leg(`P.${i}`, i))] })],
])('refuses %s', (_, plan) => {
  expect(plan).toThrow()
})
it('takes what lies at each of these limits', () => {
  expect(codesOf(two(20, { mostDropV: 10, currentA: 20 }))).toContain('patch.joins')
  expect(codesOf(two(20, { mostDropV: 0.001, currentA: 0.001 }))).toContain('patch.joins')
  const far = (n: number, from: number) =>
    Array.from({ length: n }, (_, i) => [from + Math.cos((2 * Math.PI * i) / n), from + Math.sin((2 * Math.PI * i) / n)] as const)
  expect(codesOf(two(20, { keepOuts: Array.from({ length: 4 }, (_, i) => ({ why: '', outline: far(40, 50 + 5 * i) })) }))).toEqual(['patch.joins'])
  expect(codesOf(two(20, { keepOuts: Array.from({ length: 40 }, (_, i) => ({ why: '', outline: far(3, 50 + 5 * i) })) }))).toEqual(['patch.joins'])
  expect(codesOf(two(20, { vias: Array.from({ length: 2000 }, () => ({ xMm: 90, yMm: 90 })) }))).toEqual(['patch.joins'])
  expect(codesOf(planPatch({ pieces: Array.from({ length: 40 }, (_, i) => [leg(`P.${i}`, i)]) }))).toEqual(['patch.joins'])
  expect(codesOf(planPatch({ pieces: [[leg('A.1', -5)], Array.from({ length: 199 }, (_, i) => leg(`P.${i}`, i))] }))).toEqual(['patch.joins'])
})
