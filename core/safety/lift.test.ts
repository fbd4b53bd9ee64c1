import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judgeLift } from './lift'

const best = { massKg: 10, lifter: 'man-20-45' as const, fromHeightCm: 75, toHeightCm: 75, reachCm: 25, grip: 'good' as const }

describe('the limit (revised NIOSH equation, Waters et al. 1993, from memory)', () => {
  it('is the load constant of 23 kg under the best conditions', () => {
    expect(judgeLift(best).limitKg).toBeCloseTo(23, 9)
  })

  it('multiplies out by hand: H 50, V 25, D 100, A 45, poor grip', () => {
    // HM 0.5 · VM 0.85 · DM 0.865 · AM 0.856 · CM 0.9 · 23 kg, at the lower end; the upper end, V 125, has the same VM.
    expect(judgeLift({ massKg: 10, lifter: 'man-20-45', reachCm: 50, fromHeightCm: 25, toHeightCm: 125, turnDeg: 45, grip: 'poor' }).limitKg).toBeCloseTo(
      23 * 0.5 * 0.85 * 0.865 * 0.856 * 0.9,
      9,
    )
  })

  it('never grows with reach, turn, or distance from knuckle height', () => {
    const height = fc.integer({ min: 0, max: 175 })
    fc.assert(
      fc.property(height, height, fc.integer({ min: 10, max: 60 }), fc.integer({ min: 0, max: 120 }), (from, to, reach, turn) => {
        const limit = (more: object) => judgeLift({ massKg: 10, fromHeightCm: from, toHeightCm: to, reachCm: reach, turnDeg: turn, ...more }).limitKg
        expect(limit({ reachCm: reach + 3 })).toBeLessThanOrEqual(limit({}))
        expect(limit({ turnDeg: turn + 15 })).toBeLessThanOrEqual(limit({}))
        expect(limit({})).toBeLessThanOrEqual(23)
      }),
    )
  })
})

it.each([
  [10, 1, 'lift.one'],
  [21, 1, 'lift.one'],
  // 25 kg reference mass: ISO 11228-1, from memory. Two lift two thirds of the sum, three half of it: HSE L23, from memory;
  // 2 · 23 · 2/3 = 30.7, 4 · 23 / 2 = 46.
  [26, 2, 'lift.team'],
  [30.6, 2, 'lift.team'],
  [31, 3, 'lift.team'],
  [45, 4, 'lift.team'],
  [118, 5, 'lift.gear'],
])('%d kg close to the body takes %d', (massKg, people, code) => {
  const result = judgeLift({ ...best, massKg })
  expect(result.people).toBe(people)
  expect(result.findings[0]?.code).toBe(code)
})

it.each([
  // Reference masses by sex and age: ISO 11228-1, from memory; 23 kg is the load constant of the equation.
  ['man-20-45', 23],
  ['woman-20-45', 20],
  ['man-other', 20],
  ['woman-other', 15],
  ['not-said', 15],
] as const)('under the best conditions, %s: %d kg', (lifter, limitKg) => expect(judgeLift({ ...best, lifter }).limitKg).toBeCloseTo(limitKg, 9))

it('stairs stop what is over the reference mass', () => {
  expect(judgeLift({ ...best, massKg: 45, stairs: true }).findings.at(-1)).toMatchObject({ level: 'stop', code: 'lift.stairs' })
  expect(judgeLift({ ...best, massKg: 12, stairs: true }).findings.at(-1)).toMatchObject({ level: 'care' })
})

it.each([
  ['massKg', 0],
  ['fromHeightCm', 200],
  ['reachCm', 90],
  ['turnDeg', 180],
])('refuses %s of %d', (field, value) => {
  expect(() => judgeLift({ ...best, [field]: value })).toThrow(expect.objectContaining({ field }) as Error)
})

it('takes the worse end, the grip below the knuckles, and its limits as they stand', () => {
  // 23 kg · VM(25) 0.85 · DM at 50 cm 0.91 · CM fair below 75 cm 0.95, at the lower end; at 75 cm the grip costs nothing.
  const low = judgeLift({ ...best, fromHeightCm: 25, toHeightCm: 75, grip: 'fair' })
  expect(low.limitKg).toBeCloseTo(23 * 0.85 * 0.91 * 0.95, 9)
  expect(low.multipliers).toMatchObject({ grip: 0.95, height: 0.85 })
  expect(judgeLift({ ...best, fromHeightCm: 75, toHeightCm: 25, grip: 'fair' }).limitKg).toBeCloseTo(low.limitKg, 9)
  expect(judgeLift({ ...best, grip: 'fair' }).multipliers.grip).toBe(1)
  expect(judgeLift({ ...best, grip: 'good', fromHeightCm: 25, toHeightCm: 25 }).multipliers.grip).toBe(1)
  // The limit itself is within it.
  expect(judgeLift({ ...best, massKg: 23 }).people).toBe(1)
})

it('says who should lift how much, and what stairs want', () => {
  const codes = (more: object) => judgeLift({ ...best, ...more }).findings.map(f => `${f.level} ${f.code}`)
  expect(codes({ massKg: 10 })).toEqual(['fine lift.one'])
  expect(codes({ massKg: 25 })).toEqual(['care lift.team'])
  expect(codes({ massKg: 25.1 })).toEqual(['care lift.team', 'care lift.reference-mass'])
  expect(codes({ massKg: 10, stairs: true })).toEqual(['fine lift.one', 'care lift.stairs'])
  expect(codes({ massKg: 25, stairs: true })).toEqual(['care lift.team', 'care lift.stairs'])
  expect(codes({ massKg: 26, stairs: true })).toContain('stop lift.stairs')
  const [, unsaid] = judgeLift({ ...best, lifter: 'not-said', massKg: 26 }).findings
  expect(unsaid!.says).toMatch(/anybody may be asked to lift/)
  expect(unsaid!.because[0]).toMatch(/most cautious figure/)
  const [, said] = judgeLift({ ...best, massKg: 26 }).findings
  expect(said!.says).toMatch(/^More than the 25 kg that (?!anybody)/)
  expect(said!.because[0]).not.toMatch(/cautious/)
  expect(judgeLift({ ...best, massKg: 26 }).findings[0]!.because).toHaveLength(2)
})
