import { describe, expect, it } from 'vitest'
import { InputError } from './input-error'
import { parseQuantity, parseReading, unitOfName } from './quantity'

describe('parseQuantity', () => {
  it.each([
    // Spellings in common use at the bench; letter in place of the mark: IEC 60062, from memory.
    ['4k7', 'Ω', 4700],
    ['2R2', 'Ω', 2.2],
    ['3.6 kΩ', 'Ω', 3600],
    ['8M', 'Ω', 8e6],
    ['300', 'Ω', 300],
    ['100n', 'F', 1e-7],
    ['0.1 uF', 'F', 1e-7],
    ['4µ7', 'F', 4.7e-6],
    ['-5.09', 'V', -5.09],
    ['−5,09 V', 'V', -5.09],
    ['5V1', 'V', 5.1],
    ['120 mV', 'V', 0.12],
    ['.5', 'V', 0.5],
    ['12 kg', 'kg', 12],
    // Letter first: IEC 60062, from memory. The others: common practice, no source.
    ['R47', 'Ω', 0.47],
    ['n47', 'F', 4.7e-10],
    ['p68', 'F', 6.8e-13],
    ['4Ω7', 'Ω', 4.7],
    ['47 \u2126', 'Ω', 47],
    ['3.3 k\u2126', 'Ω', 3300],
    ['12v', 'V', 12],
    ['10 Ohm', 'Ω', 10],
    ['220uf', 'F', 2.2e-4],
    ['12 V DC', 'V', 12],
    ['500 mA DC', 'A', 0.5],
    ['5.', 'V', 5],
    ['10 000 uF', 'F', 0.01],
    ['0,470', 'V', 0.47],
    ['10000,5', 'V', 10000.5],
    ['5.001', 'V', 5.001],
    ['1.234 kΩ', 'Ω', 1234],
    ['0.470', 'Ω', 0.47],
    // Markings of old capacitors: common practice, no source.
    ['47 MFD', 'F', 4.7e-5],
    ['100 mfd', 'F', 1e-4],
    ['220 MMFD', 'F', 2.2e-10],
    // Everyday measures, in whatever of their units they were read; the ratios are definitions.
    ['790.5 g', 'g', 790.5],
    ['0.79 kg', 'g', 790],
    ['450 g', 'kg', 0.45],
    ['12.500 kg', 'kg', 12.5],
    ['12 cm', 'mm', 120],
    ['75cm', 'cm', 75],
    ['1.2 m', 'cm', 120],
    ['250 ml', 'l', 0.25],
    ['2 Litres', 'ml', 2000],
    ['90 min', 'h', 1.5],
    ['2h30', 'h', 2.5],
    ['1 h 05 min', 'min', 65],
    ['2 days', 'h', 48],
    ['1.5 hours', 'min', 90],
    ['2 min', 's', 120],
    ['-5 °C', '°C', -5],
    ['62.5 c', '°C', 62.5],
    ['12 %', '%', 12],
    ['3 percent', '%', 3],
  ] as const)('%s in %s', (text, unit, value) => {
    expect(parseQuantity(text, unit)).toBeCloseTo(value, 12)
  })

  it.each([
    ['', 'V'],
    ['five', 'V'],
    ['half', 'h'],
    ['5 A', 'V'],
    ['4k7x', 'Ω'],
    ['1.2.3', 'V'],
    ['--5', 'V'],
    ['12 V AC', 'V'],
    ['100 NF', 'F'],
    ['1,234,567', 'V'],
    ['R', 'Ω'],
    ['212 °F', '°C'],
    ['5 l', 'g'],
    ['2h90', 'h'],
    ['3 toString', 'mm'],
    ['1.500 g', 'g'],
    ['4k7', 'mm'],
    ['12 k', 'kg'],
  ])('refuses “%s” in %s and names the field', (text, unit) => {
    expect(() => parseQuantity(text, unit as 'V', 'valueV')).toThrow(expect.objectContaining({ field: 'valueV', name: 'InputError' }) as InputError)
  })
})

it('a meter that shows an open circuit gives no figure', () => {
  expect(['OL', 'o.l.', 'open', '∞', '0.61', '4k7'].map(text => parseReading(text, 'Ω'))).toEqual([null, null, null, null, 0.61, 4700])
})

it.each(['10,000 uF', '1,000', '-4,700', '10.000 uF', '4.700'])('“%s” can be read in two ways, and is refused with both', text => {
  expect(() => parseQuantity(text, 'F', 'capacitanceF')).toThrow(
    expect.objectContaining({ field: 'capacitanceF', message: expect.stringMatching(/two ways: -?\d+ or -?\d+\.\d{3}/) as string }) as InputError,
  )
})

it.each([
  ['4.700', 'Ω', /4700 or 4\.700/],
  ['1.000', '', /1000 or 1\.000/],
  ['2m2', 'Ω', /megohms or 2\.2 milliohms/],
  ['100 MF', 'F', /microfarad/],
] as const)('“%s” in %s is asked back', (text, unit, message) => expect(() => parseQuantity(text, unit)).toThrow(message))

it('the name of a quantity says its unit', () => {
  const units = Object.entries({
    'g': ['massG', 'errorG'],
    'kg': ['massKg'],
    'mm': ['lengthMm', 'xMm'],
    'cm': ['reachCm'],
    'ml': ['wantMl'],
    'h': ['hours', 'waitHours'],
    'min': ['minutes'],
    's': ['everyS', 'atSeconds'],
    '°C': ['celsius', 'temperatureC'],
    '%': ['strengthPct'],
    'V': ['railV'],
    'A': ['currentA'],
    'Ω': ['ohm', 'leadsOhm'],
    '': ['cells', 'goalB', 'passes', 'year'],
  })
  for (const [unit, names] of units) expect(names.map(unitOfName)).toEqual(names.map(() => unit))
})
