import { describe, expect, it } from 'vitest'
import { InputError } from './input-error'
import { parseQuantity, parseReading } from './quantity'

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
  ] as const)('%s in %s', (text, unit, value) => {
    expect(parseQuantity(text, unit)).toBeCloseTo(value, 12)
  })

  it.each([
    ['', 'V'],
    ['five', 'V'],
    ['5 A', 'V'],
    ['4k7x', 'Ω'],
    ['1.2.3', 'V'],
    ['--5', 'V'],
    ['12 V AC', 'V'],
    ['100 NF', 'F'],
    ['1,234,567', 'V'],
    ['R', 'Ω'],
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
