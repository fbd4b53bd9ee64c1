import { describe, expect, it } from 'vitest'
import { mixBath } from './bath'
import { matchColour } from './colour'
import { judgeDrying } from './drying'
import { dilutePeroxide } from './peroxide'

const codes = (of: { findings: { code: string }[] }) => of.findings.map(f => f.code)

describe('a colour against its reference', () => {
  const grey = { l: 60, a: 0, b: 0, error: 0 }
  const match = (part: Partial<typeof grey>, reference: Partial<typeof grey> = {}) =>
    matchColour({ part: { ...grey, ...part }, reference: { ...grey, ...reference } })
  /** A b* so much yellower that ΔE₀₀ comes to what is wanted, by halving. */
  const apart = (deltaE: number) => {
    let [low, high] = [0, 40]
    while (high - low > 1e-9) [low, high] = match({ b: (low + high) / 2 }).deltaE < deltaE ? [(low + high) / 2, high] : [low, (low + high) / 2]
    return low
  }
  it('goes through its words as the difference grows, sharply where nothing is off, and not called where the error hides it', () => {
    const said = (deltaE: number, error = 0) => match({ b: apart(deltaE), error }).match
    const words = [0.2, 0.5, 1, 2, 3, 4, 6, 12].map(d => said(d))
    expect(words[0]).toBe('none')
    expect(words.at(-1)).toBe('visible')
    expect([...new Set(words)]).toEqual(['none', 'slight', 'visible'])
    // What is surely none, or surely visible, is so with its error too; between, it is not called.
    expect([said(0.1, 0.2), said(30, 5), said(2, 4)]).toEqual(['none', 'visible', 'cannot-tell'])
  })
  it('is overdone where it is whiter than the reference by more than its error, and no darker', () => {
    expect(match({ b: -8 }).match).toBe('overdone')
    expect(match({ b: -8, l: 59 }).match).not.toBe('overdone')
    expect(match({ b: -8, error: 3 }).match).toBe('overdone')
    expect(match({ b: -8, error: 5 }).match).not.toBe('overdone')
    expect(match({ b: -0.1 }).match).toBe('none')
    expect(match({ b: -8 }).findings).toMatchObject([{ level: 'stop', code: 'colour.overdone' }])
  })
  it('tells which way it lies, in figures with their sign', () => {
    expect(match({ b: 8, l: 55 }).findings[0]!.because.join()).toMatch(/−5\.0.*\+8\.0/)
    expect(match({ b: 8, l: 55 })).toMatchObject({ deltaL: -5, deltaB: 8 })
    expect(match({ b: 8 }).findings[0]!.because.join()).toMatch(/\+0\.0/)
  })
  it.each<[object, boolean]>([
    [{ l: 100 }, true],
    [{ l: 100.1 }, false],
    [{ l: 1 }, true],
    [{ l: 0.9 }, false],
    [{ a: 128 }, true],
    [{ a: -129 }, false],
    [{ b: 129 }, false],
    [{ error: 0 }, true],
    [{ error: 20 }, true],
    [{ error: 20.1 }, false],
    [{ error: -0.1 }, false],
  ])('takes %j: %s', (part, taken) => {
    for (const asked of [() => match(part), () => match({}, part)])
      if (taken) expect(asked).not.toThrow()
      else expect(asked).toThrow()
  })
})

describe('a drying series', () => {
  /** m(t) = 500 + 20·e^(−t/4), read to a tenth of a gram. */
  const series = (hours: readonly number[], tau = 4, waterG = 20) =>
    hours.map(atHours => ({ atHours, massG: Math.round((500 + waterG * Math.exp(-atHours / tau)) * 10) / 10 }))
  const hours = [0, 1, 2, 4, 6, 8, 12, 16, 20, 24]
  it('is dry once no more is left than counts, and is weighed again soon after', () => {
    const dry = judgeDrying({ weighings: series([...hours, 30, 40]), leftG: 2 })
    expect(dry.state).toBe('dry')
    expect(dry.leftNowG!.high).toBeLessThanOrEqual(2)
    expect(dry.dryMassG!.low).toBeLessThanOrEqual(500.1)
    expect(dry.dryMassG!.high).toBeGreaterThanOrEqual(499.9)
    expect(codes(dry)).toEqual(['drying.dry', 'drying.under'])
    const wet = judgeDrying({ weighings: series(hours.slice(0, 5)), leftG: 2 })
    expect(wet.state).toBe('drying')
    expect(wet.dryAtHours!.low).toBeLessThanOrEqual(wet.dryAtHours!.mid)
    expect(wet.dryAtHours!.mid).toBeLessThanOrEqual(wet.dryAtHours!.high)
    // 20·e^(−t/4) comes to 2 g after 4·ln 10 hours.
    expect(wet.dryAtHours!.low).toBeLessThanOrEqual(4 * Math.log(10))
    expect(wet.dryAtHours!.high).toBeGreaterThanOrEqual(4 * Math.log(10))
    expect(wet.weighAgainAtHours).toBeGreaterThanOrEqual(6 + 1.5)
  })
  it('says where the scales are coarser than what is asked, and where the readings scatter', () => {
    expect(codes(judgeDrying({ weighings: series(hours), errorG: 0.5, leftG: 0.2 }))).toContain('drying.scales')
    expect(codes(judgeDrying({ weighings: series(hours), errorG: 0.1, leftG: 5 }))).not.toContain('drying.scales')
    const shaken = series(hours).map((w, i) => ({ ...w, massG: w.massG + (i % 2 ? 1.5 : -1.5) }))
    const told = judgeDrying({ weighings: shaken, errorG: 0.1 })
    expect(codes(told)).toContain('drying.scatters')
    expect(told.findings.find(f => f.code === 'drying.scatters')!.because[0]).toMatch(/rather than 0\.1 g/)
    expect(codes(judgeDrying({ weighings: series(hours), errorG: 0.1 }))).not.toContain('drying.scatters')
  })
  it('that is a straight line has no end in sight, and one that takes months is said to', () => {
    const line = judgeDrying({ weighings: [0, 1, 2, 3, 4].map(atHours => ({ atHours, massG: 520 - atHours })) })
    expect(line).toMatchObject({ state: 'cannot-tell', dryMassG: null, weighAgainAtHours: 6, findings: [{ code: 'drying.cannot-tell' }] })
    const slow = judgeDrying({ weighings: series([0, 100, 200, 400, 600, 800], 900, 200), leftG: 0.5 })
    expect(codes(slow)).toContain('drying.slow')
    expect(codes(judgeDrying({ weighings: series(hours), leftG: 2 }))).not.toContain('drying.slow')
  })
  it.each<[object, boolean]>([
    [{ leftG: 1000 }, true],
    [{ leftG: 1000.1 }, false],
    [{ errorG: 0 }, false],
    [{ errorG: 1000.1 }, false],
    [{ weighings: [{ atHours: 0, massG: 200_000 }] }, true],
    [{ weighings: [{ atHours: 0, massG: 200_001 }] }, false],
    [{ weighings: [{ atHours: 10_001, massG: 1 }] }, false],
    [{ weighings: [{ atHours: 5, massG: 1 }], nowHours: 4.9 }, false],
    [{ weighings: [{ atHours: 5, massG: 1 }], nowHours: 5 }, true],
    [{ weighings: Array.from({ length: 201 }, (_, i) => ({ atHours: i, massG: 500 })) }, false],
  ])('takes %j: %s', (more, taken) => {
    const asked = () => judgeDrying({ weighings: [], ...more })
    if (taken) expect(asked).not.toThrow()
    else expect(asked).toThrow()
  })
})

describe('a bath', () => {
  const bath = (kind: Parameters<typeof mixBath>[0]['strength']['kind'], value: number, more: object = {}) =>
    mixBath({ strength: { kind, value }, volumeL: 10, ...more })
  // c₁·V₁ = c₂·V₂, worked out by hand.
  it.each([
    ['nothing in it', 10, {}, { addConcentrateL: 1, addWaterL: 9, takeOutL: 0 }],
    ['half full of its own strength', 10, { inItL: 5, inItPct: 10 }, { addConcentrateL: 0.5, addWaterL: 4.5, takeOutL: 0 }],
    ['water in it', 10, { inItL: 9.5, inItPct: 0 }, { addConcentrateL: 1, addWaterL: 0, takeOutL: 0.5 }],
    ['too strong', 10, { inItL: 10, inItPct: 20 }, { addConcentrateL: 0, addWaterL: 5, takeOutL: 5 }],
    ['concentrate itself in it', 10, { inItL: 2, inItPct: 100 }, { addConcentrateL: 0, addWaterL: 9, takeOutL: 1 }],
    ['more in it than it is to hold', 10, { inItL: 12, inItPct: 10 }, { addConcentrateL: 0, addWaterL: 0, takeOutL: 2 }],
    ['a concentrate of half the strength', 10, { concentratePct: 50 }, { addConcentrateL: 2, addWaterL: 8, takeOutL: 0 }],
  ])('%s', (_, value, more, wanted) => {
    const made = bath('percent-volume', value, more)
    for (const [key, litres] of Object.entries(wanted)) expect(made[key as keyof typeof wanted], key).toBeCloseTo(litres, 9)
    expect(codes(made).includes('bath.take-out')).toBe(wanted.takeOutL > 0)
  })
  it('fits its tank to the brim, and says which strength it was and which it was not', () => {
    expect(codes(bath('percent-volume', 10, { tankL: 10 }))).toEqual(['bath.water'])
    expect(codes(bath('percent-volume', 10, { tankL: 9.99 }))).toContain('bath.too-much')
    expect(bath('parts-to', 10).findings.at(-1)!.says).toMatch(/^One to 10 is 9\.09 %/)
    expect(bath('parts-in', 10).findings.at(-1)!.says).toMatch(/^One in 10 is 10 %/)
    expect(codes(bath('percent-mass', 10))).toContain('bath.by-mass')
    expect(codes(bath('grams-per-litre', 10))).toContain('bath.by-mass')
    expect(bath('grams-per-litre', 100).addConcentrateG).toBeCloseTo(1000, 6)
    expect(() => bath('grams-per-litre', 1001)).toThrow('undiluted weighs 1000 g')
    expect(() => bath('percent-volume', 60, { concentratePct: 50 })).toThrow('too weak')
  })
})

describe('peroxide', () => {
  it('is made from what is as strong and no weaker, and what an old bottle has left is held against it', () => {
    const made = (more: object) => dilutePeroxide({ havePct: 12, haveIs: 'g-per-100ml', wantPct: 6, wantIs: 'g-per-100ml', wantMl: 100, ...more })
    expect(made({})).toMatchObject({ takeMl: 50, waterMl: 50, leftPct: null })
    expect(made({ havePct: 6 })).toMatchObject({ takeMl: 100, waterMl: 0 })
    expect(() => made({ havePct: 5.9 })).toThrow('cannot be made')
    expect(made({ monthsOpen: 12 }).leftPct).toEqual({ low: expect.closeTo(12 * 0.8, 9) as number, high: expect.closeTo(12 * 0.95, 9) as number })
    expect(made({ monthsOpen: 12, keptCool: false }).leftPct!.low).toBeCloseTo(12 * 0.4, 9)
    const old = (monthsOpen: number) => made({ havePct: 7, monthsOpen, keptCool: false }).findings.find(f => /peroxide\.(old|age)/.test(f.code))!
    expect([old(0), old(6), old(36)].map(f => [f.code, f.level])).toEqual([
      ['peroxide.age', 'note'],
      ['peroxide.old', 'care'],
      ['peroxide.old', 'stop'],
    ])
    expect(codes(made({})).filter(c => /old|age/.test(c))).toEqual([])
  })
  it('of 6 % and more without a word of how it is meant is read as by mass, and says so', () => {
    const basis = (havePct: number, haveIs?: 'by-mass') =>
      codes(dilutePeroxide({ havePct, wantPct: 3, wantMl: 100, ...(haveIs ? { haveIs } : {}) })).includes('peroxide.basis')
    expect([basis(6), basis(5.9), basis(6, 'by-mass')]).toEqual([true, false, false])
    expect(codes(dilutePeroxide({ haveVolumes: 40, wantPct: 3, wantMl: 100 }))).not.toContain('peroxide.basis')
  })
})
