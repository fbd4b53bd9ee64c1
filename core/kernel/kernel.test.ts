import { expect, it } from 'vitest'
import { betaQuantile, lnBeta } from './beta'
import { e24AtLeast } from './e-series'
import { decimals, fixed, significant, written } from './figure'
import { decidingLevel, finding, mostPressingFirst, orderOf } from './finding'
import { contradiction, heard, leavesUnassessed, meaning, slug, toldApart } from './heard'
import { parseQuantity, parseReading } from './quantity'
import { seeded } from './random'
import { whoCould } from './skills'

it.each([
  [0.012346, 3, 0.0123],
  [123456, 2, 120000],
  [-4.9996, 4, -5],
  [0, 3, 0],
])('%d with %d digits that count is %d', (value, digits, wanted) => expect(significant(value, digits)).toBe(wanted))
it('a figure has no more decimals than were asked for, and no empty ones', () => {
  expect([decimals(2.5, 1), decimals(2.04, 1), decimals(1.005, 2), significant(1.23456)]).toEqual([2.5, 2, 1, 1.23])
})

// Quantiles of the beta distribution: tables of the F distribution, and Clopper and Pearson 1934 for 0 and 1 of 10.
it('the beta distribution is that of the tables', () => {
  expect(betaQuantile(0.975, 1, 10)).toBeCloseTo(0.3085, 4)
  expect(betaQuantile(0.025, 1, 10)).toBeCloseTo(0.00253, 5)
  // B(2, 3) = 1! · 2! / 4! = 1/12.
  expect(lnBeta(2, 3)).toBeCloseTo(Math.log(1 / 12), 9)
})

// IEC 60063, series E24.
it('the next value of the series is never below, at the turn of a decade too', () => {
  expect([9.1, 9.11, 0.99, 1.01].map(e24AtLeast).map(v => decimals(v, 6))).toEqual([9.1, 10, 1, 1.1])
})

it('findings are told with the most pressing first, the order among equals kept, and the worst decides', () => {
  const all = [
    finding('fine', 'a', '', []),
    finding('note', 'b', '', []),
    finding('stop', 'c', '', []),
    finding('care', 'd', '', []),
    finding('stop', 'e', '', []),
  ]
  expect(mostPressingFirst(all).map(f => f.code)).toEqual(['c', 'e', 'd', 'b', 'a'])
  expect([all, all.slice(0, 2), all.slice(1, 2), all.slice(3, 4), []].map(decidingLevel)).toEqual(['stop', 'fine', 'note', 'care', 'note'])
  expect(finding('fine', 'a', 'b', 'c')).toStrictEqual({ level: 'fine', code: 'a', says: 'b', because: ['c'] })
  expect(finding('fine', 'a', 'b', ['c'], 'd', { when: 'dry' })).toStrictEqual({
    level: 'fine',
    code: 'a',
    says: 'b',
    because: ['c'],
    source: 'd',
    when: 'dry',
  })
  expect([orderOf({}), orderOf({ concerns: 'wet' }), orderOf({ when: 'dry' })]).toStrictEqual([{}, { concerns: 'wet' }, { when: 'dry' }])
})

it('what the gate hears has a name of its own each, and says who would settle it', () => {
  const one = (code: string) => heard(finding('care', code, '', []), 'do it')
  expect(one('a').open).toStrictEqual({ code: 'a', do: 'do it', who: 'a bench volunteer' })
  expect(toldApart([one('a'), one('b'), one('a'), { finding: finding('note', 'a', '', []) }]).map(h => [h.finding.code, h.open?.code])).toEqual([
    ['a', 'a'],
    ['b', 'b'],
    ['a.2', 'a.2'],
    ['a.3', undefined],
  ])
  expect(contradiction('x', 'says', 'why', 'do', { fact: 'fan', about: 'hazard:mould' })).toMatchObject({
    finding: { code: 'x.unsettled', level: 'care', open: 'unsettled', fact: 'fan' },
    open: { code: 'x.unsettled', about: 'hazard:mould' },
  })
  expect('fact' in contradiction('x', '', '', '').finding).toBe(false)
  expect(meaning({ when: 'powered', concerns: 'wet' }, [{ finding: finding('care', 'a', '', [], undefined, { when: 'dry' }) }])[0]?.finding).toMatchObject({
    when: 'dry',
    concerns: 'wet',
  })
  expect([finding('note', 'a', '', [], undefined, { open: 'not-looked' }), finding('stop', 'a', '', [])].map(leavesUnassessed)).toEqual([true, false])
  expect(['Drive A, left', '−12 V', ' C3 / C4 ', 'Größe'].map(slug)).toEqual(['drive-a-left', 'minus-12-v', 'c3-c4', 'größe'])
})

it.each([
  ['4k7', 'Ω', 4700],
  ['4R7 ohm', 'Ω', 4.7],
  ['+4k7', 'Ω', 4700],
  ['-5V1', 'V', -5.1],
  ['1G', 'Ω', 1e9],
  ['3 U', 'F', 3e-6],
  ['3 kilos', 'kg', 3],
  ['12.5', '', 12.5],
  ['12v dc', 'V', 12],
  ['2 mA', 'A', 0.002],
  ['0,001', 'V', 0.001],
  ['1000,123', 'V', 1000.123],
  ['5.0010', 'Ω', 5.001],
  ['1.234 M', 'Ω', 1234000],
  ['1 mF', 'F', 0.001],
] as const)('“%s” in %s is %d', (text, unit, value) => expect(parseQuantity(text, unit)).toBeCloseTo(value, 9))

it.each([
  ['4k7k', 'Ω', undefined],
  ['4x7', 'Ω', undefined],
  ['5 dc', 'Ω', undefined],
  ['47 MFD', 'V', undefined],
  ['.', 'V', undefined],
  ['-', 'V', undefined],
  ['1,234', 'V', '1234 or 1.234'],
  ['1.234', 'F', '1234 or 1.234'],
  ['1.200', '', 'Type 1200, or 1.2.'],
  ['1.234', '', 'Type 1234, or 1.2340.'],
  ['1,200 V', 'V', 'Type 1200V, or 1.200V.'],
  ['m22', 'Ω', '0.22 megohms or 0.22 milliohms'],
  ['5 MF', 'F', '5 uF'],
] as const)('“%s” in %s is refused', (text, unit, says) => {
  expect(() => parseQuantity(text, unit, 'f')).toThrow(says ?? expect.objectContaining({ field: 'f' }))
})

it('an open circuit is none of what it looks like', () => {
  expect(['OL ', 'inf', 'Open'].map(t => parseReading(t, 'Ω'))).toEqual([null, null, null])
  expect(() => parseReading('oh', 'Ω')).toThrow(/is not a number/)
})

it('the same seed draws the same, another another, all between nothing and one', () => {
  const draw = (seed: number) => Array.from({ length: 200 }, seeded(seed))
  expect(draw(1)).toEqual(draw(1))
  expect(draw(1)).not.toEqual(draw(2))
  expect(draw(3).every(v => v >= 0 && v < 1)).toBe(true)
  expect(Math.abs(draw(4).reduce((a, b) => a + b) / 200 - 0.5)).toBeLessThan(0.1)
})

it('who could do what takes a skill is named, or who grants it', () => {
  const crew = [
    { name: 'Ilka', skills: ['mains'] as const },
    { name: 'Rua', skills: ['mains', 'lifting'] as const },
  ]
  expect([whoCould('mains', crew), whoCould('inspection', crew), whoCould(undefined, crew)]).toEqual([
    'Here: Ilka, Rua.',
    'Nobody here has the skill “Inspection” yet; a coordinator grants it under Settings.',
    '',
  ])
})

it('figures are written with a true minus sign, and what rounds to nothing has none', () => {
  expect([fixed(-5.094, 2), fixed(-0.04, 1), fixed(0.05, 0), fixed(12, 1), written(-0.6), written(3)]).toEqual(['−5.09', '0.0', '0', '12.0', '−0.6', '3'])
})
