import { expect, it } from 'vitest'
import { mixBath } from './bath'
import { judgeDrying } from './drying'
import { neutralise, residueSources } from './neutralise'
import { dilutePeroxide } from './peroxide'
import { guessSoils } from './plan'

// What is warned of, and what follows from what was marked. Common practice, no source; cases made up by hand.
const warned = (source: keyof typeof residueSources) =>
  neutralise({ source })
    .findings.filter(f => f.level === 'stop' || f.level === 'care')
    .map(f => f.code)

it('what is in old cells is said of each that holds it', () => {
  expect(warned('lithium-ion')).toContain('neutralise.hydrofluoric')
  expect(warned('lithium-thionyl')).not.toContain('neutralise.hydrofluoric')
  expect(warned('zinc-carbon')).toContain('neutralise.mercury')
  const says = neutralise({ source: 'lithium-ion' }).findings.find(f => f.code === 'neutralise.hydrofluoric')!
  expect(says.because.join(' ')).toMatch(/a doctor at once.*nobody beside it/)
})

it('soils are guessed from marks: what a stain is nobody can tell but where it is yellow, and patina is none', () => {
  const soils = (kind: string, more: object = {}, leaked: 'alkali' | 'acid' | null = null) =>
    guessSoils([{ kind: kind as never, where: 'Board', ...more }], leaked).filter(s => s !== 'dust')
  expect([soils('rust'), soils('growth'), soils('stain'), soils('crack'), soils('burn'), soils('tide-line')]).toEqual([['rust'], ['mould'], [], [], [], []])
  expect([soils('crust'), soils('crust', {}, 'alkali'), soils('crust', {}, 'acid')]).toEqual([['electrolyte'], ['alkali'], ['acid']])
  expect([soils('stain', { where: 'Yellowed bezel' }), soils('rust', { patina: 'it tells its story' })]).toEqual([['yellowing'], []])
})

it('a bath that holds too much says what is taken out first, and one that does not says nothing of it', () => {
  const mix = (more: object) => mixBath({ strength: { kind: 'percent-volume', value: 10 }, volumeL: 10, ...more }).findings.map(f => f.code)
  expect(mix({ inItL: 10, inItPct: 5 }).some(c => /take-out/.test(c))).toBe(true)
  expect(mix({ inItL: 5, inItPct: 10 }).some(c => /take-out/.test(c))).toBe(false)
  expect(mix({ tankL: 10 })).toEqual(mix({}))
  expect(mix({ tankL: 9.9 }).length).toBe(mix({}).length + 1)
  expect(() => mix({ inItL: 1000, inItPct: 100 })).not.toThrow()
})

it('a strength said twice has to be one, whichever is meant; each is taken to its limit', () => {
  const dilute = (more: object) => () => dilutePeroxide({ havePct: 30, wantPct: 6, wantMl: 100, ...more })
  // 20 vol is 6.07 g/100 ml, which the trade rounds to 6 %.
  expect(dilute({ wantVolumes: 20 })).not.toThrow()
  expect(dilute({ wantVolumes: 30 })).toThrow('volumes are')
  expect(dilute({ wantMl: 100_000 })).not.toThrow()
  expect(dilute({ wantMl: 0 })).toThrow('How much')
  expect(dilute({ wantMl: undefined, areaCm2: 100_000 })).not.toThrow()
})

it('drying tells hours up to a day and a half, and days beyond', () => {
  const left = (tau: number) => {
    const weighings = Array.from({ length: 6 }, (_, i) => ({ atHours: i * tau * 0.3, massG: 300 + 40 * Math.exp(-i * 0.3) }))
    return judgeDrying({ weighings, errorG: 0.05, leftG: 0.2, nowHours: weighings.at(-1)!.atHours })
      .findings.map(f => [f.says, ...f.because].join(' '))
      .join(' ')
  }
  expect(left(2)).toMatch(/\d h\b/)
  expect(left(2)).not.toMatch(/\d days/)
  expect(left(60)).toMatch(/\d days/)
})
