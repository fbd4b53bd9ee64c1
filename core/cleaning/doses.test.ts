import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type StrengthKind, mixBath } from './bath'
import { chemicals } from './chemicals'
import { type ResidueSource, neutralise, residueSources } from './neutralise'
import { byMass, dilutePeroxide, gPer100mlOfMass, percentOfVolumes, volumesOfPercent } from './peroxide'

const sources = Object.keys(residueSources) as ResidueSource[]

/** Standard atomic weights, abridged. Source: IUPAC, from memory. */
const u = { H: 1.008, C: 12.011, O: 15.999, Na: 22.99, S: 32.06, K: 39.098 }
const mass = (atoms: Partial<Record<keyof typeof u, number>>) => Object.entries(atoms).reduce((sum, [atom, n]) => sum + u[atom as keyof typeof u] * n, 0)

describe('what neutralises what leaked', () => {
  it('has its molar masses from the atomic weights', () => {
    const formulas = {
      koh: mass({ K: 1, O: 1, H: 1 }),
      naoh: mass({ Na: 1, O: 1, H: 1 }),
      acetic: mass({ C: 2, H: 4, O: 2 }),
      citric: mass({ C: 6, H: 8, O: 7 }),
      bicarbonate: mass({ Na: 1, H: 1, C: 1, O: 3 }),
      h2so4: mass({ H: 2, S: 1, O: 4 }),
      h2o2: mass({ H: 2, O: 2 }),
    }
    for (const [name, gPerMol] of Object.entries(formulas)) expect(chemicals[name as keyof typeof chemicals].gPerMol).toBeCloseTo(gPerMol, 1)
  })

  it.each([
    ['nickel', 'vinegar', 1.07, 21.4],
    ['nickel', 'citric-acid', 1.14, 11.4],
    ['lead-acid', 'bicarbonate', 1.71, 21.4],
  ] as const)('1 g of what is in %s takes %s', (source, agent, grams, millilitres) => {
    // Source: stoichiometry from atomic weights; vinegar of 5 g, citric acid of 10 g and bicarbonate of 8 g to 100 ml.
    const dose = neutralise({ source, amountG: 1 }).doses.find(d => d.agent === agent)!
    expect(dose.exactG).toBeCloseTo(grams, 2)
    expect(dose.exactMl).toBeCloseTo(millilitres, 1)
    expect(dose.practicalMl).toBeGreaterThan(dose.exactMl)
  })

  it('reckons with cells, capacity and share, and says that it is an estimate', () => {
    const half = neutralise({ source: 'nickel', cells: 3, capacityMah: 60, leakedPct: 50 })
    const whole = neutralise({ source: 'nickel', cells: 3, capacityMah: 60 })
    expect(whole.amountG).toBeCloseTo(2 * half.amountG!, 9)
    expect(half.findings.map(f => f.code)).toContain('neutralise.estimate')
  })

  it('sends neither lithium nor what nobody knows to water or acid, whatever is said of the amount', () => {
    for (const source of ['lithium', 'lithium-ion', 'lithium-thionyl', 'oil-capacitor', 'unknown'] as const) {
      const result = neutralise({ source, amountG: 5, cells: 2, capacityMah: 1000 })
      expect(result.doses).toEqual([])
      expect(result.never).toContain('Water')
      expect(result.findings.some(f => f.level === 'stop')).toBe(true)
    }
  })

  it('names what is poisonous and what burns, for each source', () => {
    const said = (source: ResidueSource) => {
      const { findings, never, rinse } = neutralise({ source, amountG: 1 })
      return `${findings.map(f => `${f.says} ${f.because.join(' ')}`).join(' ')} never ${never.join(' ')} rinse ${rinse}`
    }
    expect(said('nickel')).toMatch(/cadmium/i)
    expect(said('alkaline')).toMatch(/mercury/i)
    expect(said('oil-capacitor')).toMatch(/polychlorinated/i)
    expect(said('lithium-ion')).toMatch(/hydrofluoric/i)
    for (const source of ['nickel', 'alkaline', 'lead-acid'] as const) expect(said(source)).toMatch(/gloves and eye protection/i)
    // Thionyl chloride burns with alcohol as it does with water.
    expect(said('lithium-thionyl')).toMatch(/never.*alcohol/i)
    expect(said('lithium')).not.toMatch(/rinse Alcohol/)
    // The same acid for what has become carbonate: K2CO3 + 2 CH3COOH, one for each potassium.
    expect(said('nickel')).toMatch(/carbonate takes the same acid/i)
  })

  it('never names an agent that it forbids', () => {
    const words = { 'vinegar': /vinegar/i, 'citric-acid': /citric/i, 'bicarbonate': /bicarbonate/i }
    for (const source of sources) {
      const { doses, never } = neutralise({ source, amountG: 1 })
      for (const { agent } of doses) expect(never.some(n => words[agent].test(n))).toBe(false)
    }
  })

  it('refuses amounts that are none', () => {
    expect(() => neutralise({ source: 'nickel', amountG: 1e308 })).toThrow('Amount in g')
    expect(() => neutralise({ source: 'nickel', cells: 1.5, capacityMah: 60 })).toThrow('whole number')
    expect(() => neutralise({ source: 'lead-acid', amountG: 1, bicarbonateGPer100ml: 20 })).toThrow('does not dissolve')
  })
})

describe('a bath', () => {
  it('tells one to ten from one in ten', () => {
    // Source: c1·V1 = c2·V2; one part to ten is 9.09 % by volume.
    expect(mixBath({ strength: { kind: 'parts-to', value: 10 }, volumeL: 11 })).toMatchObject({ addConcentrateL: 1, addWaterL: 10 })
    expect(mixBath({ strength: { kind: 'parts-to', value: 10 }, volumeL: 1 }).volumePct).toBeCloseTo(9.09, 2)
    expect(mixBath({ strength: { kind: 'parts-in', value: 10 }, volumeL: 10 })).toMatchObject({ addConcentrateL: 1, addWaterL: 9, volumePct: 10 })
  })

  it('is measured by its inside, and says what does not fit', () => {
    const bath = mixBath({ strength: { kind: 'percent-volume', value: 5 }, lengthCm: 50, widthCm: 30, fillCm: 10, tankL: 12 })
    expect(bath.totalL).toBe(15)
    expect(bath.findings.find(f => f.code === 'bath.too-much')?.level).toBe('stop')
    expect(() => mixBath({ strength: { kind: 'percent-volume', value: 5 }, lengthCm: 50, widthCm: 30 })).toThrow('Fill height')
  })

  it('takes a stronger concentrate in less, and refuses one that is too weak', () => {
    const recipe = { strength: { kind: 'percent-volume', value: 10 }, volumeL: 10, recipeConcentratePct: 20 } as const
    expect(mixBath({ ...recipe, concentratePct: 40 }).addConcentrateL).toBeCloseTo(0.5, 9)
    expect(() => mixBath({ ...recipe, concentratePct: 1 })).toThrow('too weak')
  })

  it('adds up, and comes to its strength, with whatever is in the tank already', () => {
    const kinds: StrengthKind[] = ['parts-to', 'parts-in', 'percent-volume', 'percent-mass', 'grams-per-litre']
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.double({ min: 1, max: 90, noNaN: true }),
        fc.double({ min: 0.5, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.8, max: 1.5, noNaN: true }),
        (kind, value, volumeL, inItL, inItPct, concentrateKgPerL) => {
          const bath = mixBath({ strength: { kind, value }, volumeL, inItL, inItPct, concentrateKgPerL })
          const kept = inItL - bath.takeOutL
          expect(kept).toBeGreaterThanOrEqual(-1e-9)
          expect(kept + bath.addConcentrateL + bath.addWaterL).toBeCloseTo(volumeL, 6)
          expect((kept * inItPct) / 100 + bath.addConcentrateL).toBeCloseTo((bath.volumePct / 100) * volumeL, 6)
        },
      ),
    )
  })
})

describe('peroxide', () => {
  it('has its volume strength from the gas law', () => {
    // Source: 2 H2O2 -> O2, 34.015 g/mol, 22.414 l/mol: 20 volumes are 6.07 g to 100 ml, which the trade rounds to 6 %.
    expect(percentOfVolumes(20)).toBeCloseTo(6.07, 2)
    expect(volumesOfPercent(3)).toBeCloseTo(9.885, 2)
    expect(
      dilutePeroxide({ haveVolumes: 40, wantPct: 6, wantMl: 100 })
        .findings.map(f => f.says)
        .join(' '),
    ).toContain('the trade says 12 %')
  })

  it('dilutes, and never makes it stronger', () => {
    expect(dilutePeroxide({ havePct: 12, haveIs: 'g-per-100ml', wantPct: 6, wantMl: 500 })).toMatchObject({ takeMl: 250, waterMl: 250 })
    expect(() => dilutePeroxide({ havePct: 6, wantPct: 12, wantMl: 100 })).toThrow('cannot be made')
    expect(() => dilutePeroxide({ havePct: 6, haveVolumes: 40, wantPct: 3, wantMl: 100 })).toThrow('Say one of the two')
    expect(dilutePeroxide({ havePct: 12, wantPct: 12, areaCm2: 300 }).wantMl).toBe(60)
  })

  it('tells per cent by mass from g to 100 ml, and comes out no stronger than was wanted whichever it was', () => {
    // Tables of density, from memory: 35 % by mass weighs 1.13 kg/l, so 39.6 g to 100 ml.
    expect(gPer100mlOfMass(35)).toBeCloseTo(39.6, 0)
    expect(byMass(gPer100mlOfMass(35))).toBeCloseTo(35, 9)
    const unsaid = dilutePeroxide({ havePct: 35, wantPct: 12, wantMl: 1000 })
    for (const truth of [35, gPer100mlOfMass(35)]) expect(byMass((unsaid.takeMl * truth) / 1000)).toBeLessThanOrEqual(12)
    expect(unsaid.findings.map(f => f.code)).toEqual(expect.arrayContaining(['peroxide.basis', 'peroxide.never']))
    // As it was read before, it would have come out above the 12 % that anybody may handle.
    expect(byMass((dilutePeroxide({ havePct: 35, haveIs: 'g-per-100ml', wantPct: 12, wantMl: 1000 }).takeMl * gPer100mlOfMass(35)) / 1000)).toBeGreaterThan(12)
  })

  it('says who may handle what is above 12 %, and what may be left of an old bottle', () => {
    const strong = dilutePeroxide({ havePct: 30, wantPct: 6, wantMl: 100 })
    expect(strong.findings.find(f => f.code === 'peroxide.strong')?.level).toBe('stop')
    expect(dilutePeroxide({ havePct: 12, wantPct: 6, wantMl: 100 }).findings.some(f => f.code === 'peroxide.strong')).toBe(false)
    const old = dilutePeroxide({ havePct: 12, wantPct: 11, wantMl: 100, monthsOpen: 36, keptCool: false })
    expect(old.leftPct!.low).toBeLessThan(old.leftPct!.high)
    expect(old.findings.find(f => f.code === 'peroxide.old')?.level).toBe('stop')
  })
})
