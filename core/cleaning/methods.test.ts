import { describe, expect, it } from 'vitest'
import { methodTable } from './method-table'
import { lookUp, rankMethods } from './methods'
import { materialNames, methodNames, soilNames, workings } from './words'

const works = Object.keys(workings) as (keyof typeof workings)[]
const schools = [
  { boards: 'spot', plastic: 'leave' },
  { boards: 'wash', plastic: 'whiten' },
  { boards: 'ultrasonic', plastic: 'leave' },
] as const
const best = (
  material: Parameters<typeof lookUp>[1],
  soil: Parameters<typeof lookUp>[2],
  working: (typeof works)[number] = 'dead',
  school: (typeof schools)[number] = schools[0],
) => rankMethods({ material, soil, works: working, schools: school }).ranked

describe('the table of methods', () => {
  it('says one thing of each material and soil', () => {
    for (const method of methodNames)
      for (const rows of [methodTable[method].on, methodTable[method].against] as (readonly (readonly [string, readonly string[], string])[])[]) {
        const names = rows.flatMap(row => [...row[1]])
        expect(names.length, method).toBe(new Set(names).size)
      }
  })

  it('warns of a method wherever it may be taken, and of none that may not', () => {
    for (const material of materialNames)
      for (const soil of soilNames)
        for (const { method, suits, cautions } of best(material, soil))
          expect(cautions, `${method}, ${material}, ${soil}`).toEqual(['never', 'no-use'].includes(suits) ? [] : (methodTable[method].caution ?? []))
  })

  it('never offers what its own rows forbid, whatever works and whatever the school', () => {
    const wrong: string[] = []
    for (const material of materialNames)
      for (const soil of soilNames)
        for (const working of works)
          for (const school of schools) {
            const { ranked } = rankMethods({ material, soil, works: working, schools: school })
            if (new Set(ranked.map(r => r.method)).size !== methodNames.length) wrong.push(`not every method: ${material}, ${soil}`)
            for (const { method, suits } of ranked) {
              const forbidden = [...methodTable[method].on, ...methodTable[method].against].some(
                ([fit, names]) => fit === 'never' && (names as readonly string[]).some(n => n === material || n === soil),
              )
              if (forbidden && suits !== 'never') wrong.push(`${method} on ${material} against ${soil}: ${suits}`)
              // A bath is never better than careful for a board that may work.
              const bath = ['masked-board', 'bare-board'].includes(material) && ['wet-wash', 'ultrasonic'].includes(method) && working !== 'dead'
              if (bath && suits === 'suited') wrong.push(`${method} on ${material} that may work`)
            }
          }
    expect(wrong).toEqual([])
  })

  it('knows the cases that spoil machines', () => {
    // Common practice, no source.
    for (const material of ['membrane', 'speaker', 'transformer', 'paper', 'wood', 'foam'] as const)
      for (const method of ['soapy-water', 'wet-wash', 'ultrasonic'] as const)
        expect(lookUp(method, material, 'grease').suits, `${method} on ${material}`).toBe('never')
    expect(lookUp('acid-neutralise', 'masked-board', 'acid').suits).toBe('never')
    expect(lookUp('alkali-neutralise', 'masked-board', 'alkali').suits).toBe('never')
    expect(lookUp('abrasive', 'gold-contacts', 'rust').suits).toBe('never')
    expect(lookUp('fibre-pen', 'gold-contacts', 'rust').suits).toBe('never')
    expect(lookUp('solvent-wipe', 'conductive-ink', 'grease').suits).toBe('never')
    expect(lookUp('air', 'masked-board', 'mould').suits).toBe('never')
    expect(lookUp('leave', 'masked-board', 'alkali').suits).toBe('never')
    expect(lookUp('solvent-wipe', 'transformer', 'grease').suits).toBe('never')
    expect(lookUp('solvent-wipe', 'painted-metal', 'grease').suits).toBe('careful')
    expect(lookUp('fibre-pen', 'tin-contacts', 'rust').suits).toBe('careful')
    for (const method of ['abrasive', 'fibre-pen', 'rust-remover', 'acid-neutralise'] as const)
      expect(lookUp(method, 'plated-steel', 'rust').suits, method).toBe('never')
    expect(lookUp('leave', 'masked-board', 'soot').suits).toBe('never')
    // Lye on aluminium has a way, and it begins with water.
    expect(lookUp('acid-neutralise', 'aluminium', 'alkali')).toMatchObject({ suits: 'careful' })
    for (const material of materialNames.filter(m => m !== 'abs' && m !== 'legends')) expect(lookUp('whitening', material, 'yellowing').suits).toBe('never')
  })

  it('ranks by what is at stake and by the school', () => {
    expect(best('masked-board', 'alkali')[0]!.method).toBe('acid-neutralise')
    expect(best('masked-board', 'acid')[0]!.method).toBe('alkali-neutralise')
    expect(best('masked-board', 'grease', 'dead', schools[1])[0]!.method).toBe('wet-wash')
    expect(best('masked-board', 'grease', 'dead', schools[2])[0]!.method).toBe('ultrasonic')
    expect(best('masked-board', 'grease', 'works', schools[1])[0]!.method).toBe('solvent-wipe')
    expect(best('abs', 'dust', 'works')[0]!.method).toBe('brush')
    expect(best('membrane', 'dust', 'works')[0]!.method).toBe('brush')
    expect(best('abs', 'yellowing', 'works', schools[0])[0]!.method).toBe('leave')
    expect(best('abs', 'yellowing', 'works', schools[1])[0]!.method).toBe('whitening')
  })

  it('says that it does not know, rather than guess', () => {
    const { findings, ranked } = rankMethods({ material: 'tube-coating', soil: 'dust', works: 'not-known' })
    expect(ranked.find(r => r.method === 'brush')!.suits).toBe('never')
    expect(findings.map(f => f.code)).toContain('methods.test-first')
    const unknown = rankMethods({ material: 'speaker', soil: 'tar', works: 'works' })
    expect(unknown.ranked.every(r => r.suits !== 'suited' && r.suits !== 'careful')).toBe(true)
    expect(unknown.findings[0]!.code).toBe('methods.none')
  })
})
