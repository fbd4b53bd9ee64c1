import { describe, expect, it } from 'vitest'
import { seeded } from '../../kernel/random'
import { mostListed, readRecapList } from './read-list'

const one = (line: string) => readRecapList(line).capacitors[0]!
const wrong = (line: string) => readRecapList(line).wrong[0]?.says

describe('a list of capacitors as people write it', () => {
  it.each([
    ['C12 470u 25V radial 10x20', { capacitanceF: 0.00047, voltageV: 25, leads: 'radial', diameterMm: 10, heightMm: 20, technology: 'electrolytic' }],
    ['C12: 470 µF / 25 V, radial, 10 x 20 mm, 105 °C', { capacitanceF: 0.00047, voltageV: 25, leads: 'radial', heightMm: 20, temperatureC: 105 }],
    ['C1 4n7 100V film pitch 5', { capacitanceF: 4.7e-9, voltageV: 100, technology: 'film', spacingMm: 5, polarity: undefined }],
    ['C1 100n 50V ceramic 5 mm pitch', { capacitanceF: 1e-7, technology: 'ceramic', spacingMm: 5, safetyClass: undefined }],
    ['C1 0,1 µF 250 VAC class X2', { capacitanceF: 1e-7, voltageV: 250, ratedFor: 'ac', safetyClass: 'x2', technology: undefined }],
    ['C1 2n2 250VAC X1/Y2', { capacitanceF: 2.2e-9, safetyClass: 'x1-y2' }],
    ['C1 2200 MFD 16 V axial', { capacitanceF: 0.0022, leads: 'axial' }],
    ['C1 1u 50V bipolar', { capacitanceF: 1e-6, polarity: 'bipolar', technology: 'electrolytic' }],
    ['C1 22u/16V tant 10%', { capacitanceF: 22e-6, technology: 'tantalum', tolerancePct: 10, polarity: 'polarised', safetyClass: 'none' }],
    ['C1 1kV 1n', { voltageV: 1000, capacitanceF: 1e-9 }],
    ['C1 10000u 40V screw terminals', { leads: 'screw' }],
  ])('%s', (line, spec) => {
    expect(readRecapList(line).wrong).toEqual([])
    expect(one(line).spec).toMatchObject(Object.fromEntries(Object.entries(spec).filter(([, value]) => value !== undefined)))
    for (const [field, value] of Object.entries(spec)) if (value === undefined) expect(one(line).spec).not.toHaveProperty(field)
  })

  it('says what it took for granted, and nothing of what was written or cannot be an electrolytic', () => {
    expect(one('C1 470u 25V').guessed).toHaveLength(1)
    for (const line of ['C1 470u 25V electrolytic', 'C1 100n 50V', 'C1 1u 250VAC', 'C1 1u 275V X2']) expect([line, one(line).guessed]).toEqual([line, []])
    // Across the line the class decides; of a small one nobody said so.
    expect(one('C1 100n 50V').spec.safetyClass).toBeUndefined()
    expect(one('C1 1u 250VAC').spec.safetyClass).toBeUndefined()
  })

  it('reads rows of places, each a part of its own, and how it is fixed', () => {
    const places = (line: string) =>
      readRecapList(line)
        .capacitors.map(c => c.place)
        .join(' ')
    expect(places('C3, C4, C7-C9: 10u 16V axial')).toBe('C3 C4 C7 C8 C9')
    expect(places('C1-4 10u 16V')).toBe('C1 C2 C3 C4')
    expect(places('C30 C31 2x 1000uF 35V')).toBe('C30 C31')
    expect(places('C5 & C6 10u 16V')).toBe('C5 C6')
    expect(one('C5 10u 16V glued hot').fixing).toBe('glue')
    expect(one('C5 10u 16V glued hot').stressed).toBe(true)
    expect(one('C5 10u 16V strap by the tuner')).toMatchObject({ fixing: 'clip', note: 'by the tuner' })
    const [a, b] = readRecapList('C3 C4 10u 16V').capacitors
    expect(a!.spec).not.toBe(b!.spec)
  })

  it('tells a line that it cannot read with its number and why, and loses none beside it', () => {
    const list = readRecapList(
      'C1 10u 16V\n\n# supply\nrubbish\nC1 22u 16V\nC2 470 25V\nC3 10u 22u\nC4 radial 16V\nC5-C3 1u\nC6 3x 1u 50V\nC7 10u 0V\nC8 100n 50V',
    )
    expect(list.capacitors.map(c => c.place)).toEqual(['C1', 'C8'])
    expect(list.wrong.map(w => w.line)).toEqual([4, 5, 6, 7, 8, 9, 10, 11])
    expect(wrong('C2 470 25V')).toContain('“470” of what?')
    expect(wrong('C2 10.000uF 25V')).toContain('two ways')
    expect(wrong('C2 C2 10u 25V')).toContain('already')
    expect(wrong('C1-D4 1u')).toContain('no row of places')
    expect(wrong('C1-C900 1u')).toContain('a hundred at most')
  })

  it('is bounded, and ends whatever is typed', () => {
    expect(() => readRecapList('x'.repeat(20_001))).toThrow('too long')
    const many = Array.from({ length: 7 }, (_, i) => `C${i * 100 + 1}-C${i * 100 + 100} 1u 50V`).join('\n')
    expect(readRecapList(many).capacitors.length).toBeLessThanOrEqual(mostListed)
    const random = seeded(5)
    const bits = ['C', '1', '2', '-', ',', ' ', 'u', 'F', 'V', 'x', '10', '.', '/', '°', 'C3', 'X2', '\n', 'mm', 'pitch']
    for (let n = 0; n < 300; n++) {
      const text = Array.from({ length: 40 }, () => bits[Math.floor(random() * bits.length)]).join('')
      const { capacitors } = readRecapList(text)
      for (const { spec, place } of capacitors) {
        expect(spec.capacitanceF).toBeGreaterThan(0)
        expect(place).toMatch(/^[A-Z]/)
      }
      expect(new Set(capacitors.map(c => c.place)).size).toBe(capacitors.length)
    }
  })
})
