import { expect, it } from 'vitest'
import { hasHiddenSigns, lookOf } from './names'

it.each([
  ['Ilka Brandvold', 'Ilka  brandvold'],
  ['Ilka Brandvold', 'Ілка Brandvold'.replace('л', 'l')],
  ['Ilka Brandvold', 'IIka Brandvold'],
  ['Ilka Brandvold', 'Ilka Brandvo1d'],
  ['Rua Marno', 'Rua Mamo'],
  ['Zoë', 'Zoe'],
  ['Ilka', 'Ｉｌｋａ'],
  ['Ilka', 'Il\u200Bka'],
])('%s looks like %s', (a, b) => expect(lookOf(a)).toBe(lookOf(b)))

it('others stay apart, in whatever script', () => {
  const looks = ['Ilka', 'Olka', 'Baraka', 'Бара', 'Ёлка', '漢', '字', 'Ines', 'Inês B.'].map(lookOf)
  expect(new Set(looks).size).toBe(looks.length)
  expect(looks).not.toContain('')
})

it('signs that nobody sees are told', () => {
  expect(['Il\u200Bka', 'Ilka\u202E', 'a\u0000b', '\u3164'].map(hasHiddenSigns)).toEqual([true, true, true, true])
  expect(['Ilka', 'Zoë', "O'Hara-Lund", '漢字'].some(hasHiddenSigns)).toBe(false)
})
