import { expect, it } from 'vitest'
import { type Visit, compareVisits } from './corrosion-growth'

const visit = (change: Partial<Visit> = {}): Visit => ({ at: '2026-03-01T10:00:00.000Z', areaPct: 10, errorPct: 1, areaMm2: null, ...change })
const codeOf = (before: Partial<Visit>, after: Partial<Visit>) => compareVisits(visit(before), visit(after)).findings[0]!.code

// Errors add up: both measurements' own, and what one outline holds and the other does not. Worked out by hand.
it.each<[string, Partial<Visit>, Partial<Visit>, number, boolean]>([
  ['shares alone, within both errors', {}, { areaPct: 12 }, 2, false],
  ['shares alone, beyond them', {}, { areaPct: 12.1 }, 2, true],
  ['outlines a tenth apart', { outlineShare: 0.2 }, { areaPct: 13, outlineShare: 0.22 }, 2 + 0.1 * 13, false],
  ['the other way round', { outlineShare: 0.22 }, { areaPct: 14, outlineShare: 0.2 }, 2 + 0.1 * 14, true],
  ['one outline unknown', { outlineShare: 0.2 }, { areaPct: 12.1 }, 2, true],
  ['sizes of both, no area of one', { outlineMm2: 100, areaMm2: 10 }, { areaPct: 13, outlineMm2: 110 }, 2 + 0.1 * 13, false],
  ['fewer than before', { areaPct: 20 }, {}, 2, false],
])('in per cent: %s', (_, before, after, errorPct, grows) => {
  const [a, b] = [visit(before), visit(after)]
  const growth = compareVisits(a, b)
  expect(growth).toMatchObject({ changePct: expect.closeTo(b.areaPct - a.areaPct, 9) as number, changeMm2: null, grows })
  expect(growth.errorPct).toBeCloseTo(errorPct, 9)
  expect(growth.findings[0]!.says).toMatch(/percentage points (more|less)/)
})

it('in square millimetres: the scales of both count, and the part that only one outline holds', () => {
  // 100 and 110 mm² outlined, each good to 1 %: 2.1 mm². Scales good to 4 % of 10 and 15 mm²: 1. 10 mm² at 13.64 % outlined once: 1.364.
  const before = { areaMm2: 10, outlineMm2: 100, outlineShare: 0.1 }
  const after = (areaMm2: number) => ({ areaPct: 13.64, areaMm2, outlineMm2: 110, outlineShare: 0.9 })
  const error = (areaMm2: number) => 2.1 + 0.04 * (10 + areaMm2) + 1.364
  const edge = (10 + 2.1 + 1.364 + 0.4) / 0.96
  expect(edge - 10).toBeCloseTo(error(edge), 9)
  expect(compareVisits(visit(before), visit(after(edge - 0.01))).grows).toBe(false)
  const grown = compareVisits(visit(before), visit(after(edge + 0.01)))
  expect(grown).toMatchObject({ grows: true, errorPct: 2, changeMm2: expect.closeTo(edge + 0.01 - 10, 9) as number })
  expect(grown.findings[0]).toMatchObject({ level: 'stop', code: 'growth.grows' })
  expect(grown.findings[0]!.says).toMatch(/^4.* mm² more/)
  const less = compareVisits(visit(after(20)), visit({ ...before, areaMm2: 2, at: '2026-05-01T10:00:00.000Z' }))
  expect(less.findings[0]).toMatchObject({ level: 'fine', code: 'growth.less', says: expect.stringMatching(/^18 mm² less/) as string })
})

it('outlines of another surface are not compared, by their sizes first and by their shares of the picture else', () => {
  const grown = { areaPct: 60, areaMm2: 60 }
  // A quarter more is the most that counts as the same surface.
  expect(codeOf({ areaMm2: 10, outlineMm2: 100 }, { ...grown, outlineMm2: 125 })).toBe('growth.grows')
  expect(codeOf({ areaMm2: 10, outlineMm2: 100 }, { ...grown, outlineMm2: 126 })).toBe('growth.not-comparable')
  expect(codeOf({ areaMm2: 10, outlineMm2: 126 }, { ...grown, outlineMm2: 100 })).toBe('growth.not-comparable')
  expect(codeOf({ outlineShare: 0.4 }, { ...grown, outlineShare: 0.5 })).toBe('growth.grows')
  expect(codeOf({ outlineShare: 0.4 }, { ...grown, outlineShare: 0.51 })).toBe('growth.not-comparable')
  expect(codeOf({ outlineShare: 0.4, outlineMm2: 100 }, { ...grown, outlineShare: 0.6 })).toBe('growth.not-comparable')
  expect(codeOf({ outlineShare: 0.4 }, grown)).toBe('growth.grows')
  const apart = compareVisits(visit({ outlineShare: 0.4 }), visit({ ...grown, outlineShare: 0.6 }))
  expect(apart).toMatchObject({ grows: false })
  expect(apart.findings[0]!.because.join(' ')).toMatch(/40 % .*60 %.*same outline/)
})

it('a change of exactly the error is none', () => {
  expect(codeOf({}, { areaPct: 12 })).toBe('growth.within-error')
  expect(codeOf({ areaPct: 12 }, {})).toBe('growth.within-error')
  expect(codeOf({ areaPct: 12.01 }, {})).toBe('growth.less')
})
