import { describe, expect, it } from 'vitest'
import { lookUp, rankMethods, refusalOf } from './methods'
import type { CleaningSchools, Working } from './words'

// How ways to clean are ranked and refused, by the table of methods. Common practice, no source.
const rank = (material: Parameters<typeof lookUp>[1], soil: Parameters<typeof lookUp>[2], works: Working = 'dead', schools: Partial<CleaningSchools> = {}) =>
  rankMethods({ material, soil, works, schools: { boards: 'spot', plastic: 'leave', ...schools } })
const one =
  (...given: Parameters<typeof rank>) =>
  (method: string) =>
    rank(...given).ranked.find(r => r.method === method)!

describe('a rank', () => {
  it('is better for what suits, then for the school, then for the gentler way', () => {
    const order = { 'suited': 0, 'careful': 1, 'not-known': 2, 'no-use': 3, 'never': 4 }
    for (const soil of ['grease', 'dust', 'alkali', 'yellowing', 'rust'] as const)
      for (const material of ['masked-board', 'abs', 'bare-steel'] as const) {
        const { ranked } = rank(material, soil)
        const places = ranked.filter(r => r.method !== 'leave').map(r => order[r.suits])
        expect(places, `${material}, ${soil}`).toEqual([...places].sort((a, b) => a - b))
      }
  })
  it('follows the school for fouled boards and for yellowed plastic, and for nothing else', () => {
    const favoured = (...given: Parameters<typeof rank>) =>
      rank(...given)
        .ranked.filter(r => r.school)
        .map(r => r.method)
    expect(favoured('masked-board', 'grease', 'dead', { boards: 'spot' })).toEqual(['solvent-wipe'])
    expect(favoured('masked-board', 'grease', 'dead', { boards: 'wash' })).toEqual(['wet-wash'])
    expect(favoured('masked-board', 'grease', 'dead', { boards: 'ultrasonic' })).toEqual(['ultrasonic'])
    expect(favoured('masked-board', 'dust', 'dead', { boards: 'wash' })).toEqual([])
    expect(favoured('abs', 'grease', 'dead', { boards: 'wash' })).toEqual([])
    expect(favoured('abs', 'yellowing', 'dead', { plastic: 'whiten' })).toEqual(['whitening'])
    expect(favoured('abs', 'yellowing')).toEqual(['leave'])
    expect([rank('abs', 'yellowing').ranked[0]?.method, rank('abs', 'yellowing', 'dead', { plastic: 'whiten' }).ranked[0]?.method]).toEqual([
      'leave',
      'whitening',
    ])
    expect(rank('masked-board', 'grease', 'dead', { boards: 'wash' }).ranked[0]?.method).toBe('wet-wash')
  })
  it('risks no board in a bath that works, or that nobody has tried', () => {
    const wash = (works: Working) => one('masked-board', 'grease', works, { boards: 'wash' })('wet-wash')
    expect([wash('dead'), wash('works'), wash('not-known')].map(r => r.suits)).toEqual(['suited', 'careful', 'careful'])
    const stake = (works: Working) => wash(works).findings.find(f => f.code.endsWith('at-stake'))?.says
    expect([stake('dead'), stake('works'), stake('not-known')]).toEqual([
      undefined,
      'It works: a bath may end that.',
      'Nobody knows whether it works, and a bath may end that.',
    ])
    expect(one('abs', 'grease', 'works')('soapy-water').findings.some(f => f.code.endsWith('at-stake'))).toBe(false)
    const tested = (works: Working) => rank('abs', 'grease', works).findings.some(f => f.code === 'methods.test-first')
    expect([tested('works'), tested('not-known')]).toEqual([false, true])
  })
  it('says of what serves nothing that it does, of what is not known that it is not, and cautions only about what may be done', () => {
    const of = one('abs', 'dust')
    expect(of('rust-remover').suits === 'never' || of('rust-remover').suits === 'no-use').toBe(true)
    for (const r of rank('abs', 'dust').ranked) {
      const codes = r.findings.map(f => f.code.split('.')[2])
      if (r.suits === 'no-use') expect(codes).toContain('no-use')
      else expect(codes).not.toContain('no-use')
      if (r.suits === 'not-known') expect(codes).toContain('not-known')
      if (r.suits === 'no-use' || r.suits === 'never') expect(r.cautions).toEqual([])
      if (r.suits === 'never') expect(r.findings.some(f => f.level === 'stop')).toBe(true)
    }
    expect(rank('abs', 'yellowing', 'dead', { plastic: 'whiten' }).ranked[0]?.cautions.length).toBeGreaterThan(0)
    expect(rank('wood', 'tar').findings.map(f => f.code)).toContain('methods.none')
    expect(rank('abs', 'grease').findings.map(f => f.code)).not.toContain('methods.none')
  })
  it('is asked once: the same question has the same answer', () => {
    expect(rank('abs', 'grease')).toBe(rank('abs', 'grease'))
    expect(rank('abs', 'grease')).not.toBe(rank('abs', 'dust'))
  })
})

describe('a refusal', () => {
  it('goes by every material that a bath reaches, and by the place alone where the method touches no more', () => {
    expect(refusalOf('soapy-water', [], 'grease')).toContain('Say first what it is made of')
    expect(refusalOf('soapy-water', ['abs'], 'grease')).toBe('')
    expect(refusalOf('soapy-water', ['abs', 'speaker'], 'grease')).toMatch(/^Soapy water: never here\. Speaker: /)
    expect(refusalOf('brush', ['abs', 'tube-coating'], 'dust')).toBe('')
    expect(refusalOf('brush', ['tube-coating'], 'dust') === '' || refusalOf('brush', ['tube-coating'], 'dust').startsWith('Brush')).toBe(true)
  })
  it('is never better than the worse of material and soil', () => {
    expect(lookUp('soapy-water', 'speaker', 'grease').suits).toBe('never')
    expect(lookUp('whitening', 'abs', 'dust').suits).not.toBe('suited')
    expect(lookUp('brush', 'abs', 'dust').suits).toBe('suited')
    expect(lookUp('brush', 'abs', 'yellowing').suits).toBe('no-use')
  })
})
