import { converter, differenceCiede2000 } from 'culori'
import { describe, expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import { deltaE00, matchColour, yellownessOf, yellownessOfXyz } from './colour'
import { boxesOverlap, neutrals, patchColour } from './patch-colour'

const lab = (l: number, a: number, b: number) => ({ l, a, b })

describe('a difference of colours', () => {
  it.each([
    [lab(50, 2.6772, -79.7751), lab(50, 0, -82.7485), 2.0425],
    [lab(50, -1.3802, -84.2814), lab(50, 0, -82.7485), 1.0],
    [lab(50, 0, 0), lab(50, -1, 2), 2.3669],
    [lab(50, 2.5, 0), lab(50, 0, -2.5), 4.3065],
    [lab(60.2574, -34.0099, 36.2677), lab(60.4626, -34.1751, 39.4387), 1.2644],
  ])('of %o and %o', (one, other, deltaE) => {
    // Source: Sharma, Wu and Dalal 2005, table 1.
    expect(deltaE00(one, other)).toBeCloseTo(deltaE, 4)
    expect(deltaE00(other, one)).toBeCloseTo(deltaE, 4)
  })

  it('is what the colour library has it, over many pairs', () => {
    const random = seeded(7)
    const reference = differenceCiede2000()
    for (let i = 0; i < 500; i++) {
      const [one, other] = [0, 1].map(() => lab(random() * 100, random() * 160 - 80, random() * 160 - 80)) as [ReturnType<typeof lab>, ReturnType<typeof lab>]
      expect(deltaE00(one, other)).toBeCloseTo(reference({ mode: 'lab65', ...one }, { mode: 'lab65', ...other }), 9)
    }
  })

  it('has a yellowness by ASTM E313', () => {
    // Source: ASTM E313, from memory: the perfect white gives 0 within rounding; white points of D65 and C for 2°, D65 for 10°.
    expect(yellownessOfXyz({ x: 95.047, y: 100, z: 108.883 })).toBeCloseTo(0, 1)
    expect(yellownessOfXyz({ x: 98.074, y: 100, z: 118.232 }, 'C/2')).toBeCloseTo(0, 1)
    expect(yellownessOfXyz({ x: 94.811, y: 100, z: 107.304 }, 'D65/10')).toBeCloseTo(0, 0)
    expect(yellownessOf(lab(80, 2, 25))).toBeGreaterThan(yellownessOf(lab(85, 0, 5)))
  })

  it('has words, and does not call what its error hides', () => {
    const reference = { ...lab(82, 0, 6), error: 0.1 }
    const of = (part: ReturnType<typeof lab>, error = 0.1) => matchColour({ part: { ...part, error }, reference: { ...reference, error } }).match
    expect(of(lab(82, 0, 6.3))).toBe('none')
    expect(of(lab(81, 0, 8.2))).toBe('slight')
    expect(of(lab(74, 4, 24))).toBe('visible')
    expect(of(lab(84, -0.5, 1))).toBe('overdone')
    expect(of(lab(82, 0, 7.5), 2)).toBe('cannot-tell')
    // Darker and less yellow is another colour, not bleached.
    expect(of(lab(60, 0, 1))).toBe('visible')
  })
})

describe('a colour measured on a photograph', () => {
  const toRgb = converter('rgb')
  /** A made-up photograph of one colour under a light, with noise. */
  const shot = (colour: { l: number; a: number; b: number }, light: [number, number, number], random: () => number, pixels = 3000) => {
    const { r, g, b } = toRgb({ mode: 'lab65', ...colour })
    const toLinear = converter('lrgb')
    const linear = toLinear({ mode: 'rgb', r, g, b })
    const data = new Uint8ClampedArray(pixels * 4)
    for (let i = 0; i < pixels; i++) {
      const lit = toRgb({ mode: 'lrgb', r: linear.r * light[0], g: linear.g * light[1], b: linear.b * light[2] })
      for (const [at, channel] of [lit.r, lit.g, lit.b].entries()) data[i * 4 + at] = Math.round(channel * 255 + (random() - 0.5) * 6)
      data[i * 4 + 3] = 255
    }
    return data
  }

  const card = (pixels: Uint8ClampedArray) => ({ ...neutrals['grey-card'], pixels, apart: 0.1 })

  it('comes out right under coloured light of any brightness, within the error it states', () => {
    const random = seeded(11)
    let within = 0
    const tries = 60
    for (let i = 0; i < tries; i++) {
      const colour = { l: 70 + random() * 15, a: random() * 6 - 2, b: 4 + random() * 20 }
      const light: [number, number, number] = [0.5 + random() * 0.4, 0.5 + random() * 0.3, 0.42 + random() * 0.4]
      const { colour: measured } = patchColour(shot(colour, light, random), [card(shot({ l: neutrals['grey-card'].l, a: 0, b: 0 }, light, random))])
      if (deltaE00(measured!, colour) <= 1.96 * measured!.error) within++
    }
    expect(within / tries).toBeGreaterThan(0.95)
  })

  it('is not taken of an area that shares some of its neutral', () => {
    const box = { x: 0.2, y: 0.2, width: 0.2, height: 0.2 }
    expect([
      boxesOverlap(box, { ...box, x: 0.39 }),
      boxesOverlap(box, { ...box, x: 0.4 }),
      boxesOverlap(box, { ...box, y: 0.41 }),
      boxesOverlap(box, box),
    ]).toEqual([true, false, false, true])
  })

  it('refuses what is clipped, dark, unevenly lit, too small, or has no neutral', () => {
    const random = seeded(3)
    const light: [number, number, number] = [0.6, 0.6, 0.6]
    const grey = shot({ l: 49.5, a: 0, b: 0 }, light, random)
    const part = shot({ l: 80, a: 0, b: 15 }, light, random)
    const whyNot = (area: Uint8ClampedArray, neutral = grey) => patchColour(area, [card(neutral)]).findings.map(f => f.code)
    expect(whyNot(shot({ l: 95, a: 0, b: 2 }, [1.6, 1.6, 1.6], random))).toContain('patch.clipped')
    expect(whyNot(shot({ l: 80, a: 0, b: 15 }, [0.004, 0.004, 0.004], random))).toContain('patch.dark')
    expect(whyNot(part.slice(0, 200))).toContain('patch.small')
    expect(whyNot(part, shot({ l: 50, a: 30, b: 60 }, light, random))).toContain('patch.tinted')
    const half = new Uint8ClampedArray([...shot({ l: 80, a: 0, b: 15 }, light, random, 1500), ...shot({ l: 80, a: 0, b: 15 }, [0.2, 0.2, 0.2], random, 1500)])
    expect(patchColour(half, [card(grey)]).colour).toBeNull()
    expect(whyNot(half)).toContain('patch.uneven')
  })
})
