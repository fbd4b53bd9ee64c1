import { expect, it } from 'vitest'
import { solved, termsOf } from './programme'

it('is written in lines that a solver reads: signs before figures, no line too long, no figure torn from its name', () => {
  expect(
    termsOf([
      [2, 'x'],
      [-3, 'y'],
      [0.5, 'z'],
    ]),
  ).toBe('+ 2 x - 3 y + 0.5 z')
  const long = termsOf(Array.from({ length: 300 }, (_, i) => [i % 2 ? -1 : 1, `a${i}`] as const))
  let text = ''
  const hears = (programme: string) => {
    text = programme
    return { worth: 0, values: {} }
  }
  solved(hears, { goal: long, rows: [`${long} <= 3`], binaries: ['a1', 'a2'] })
  const lines = text.split('\n')
  expect(Math.max(...lines.map(line => line.length))).toBeLessThan(430)
  expect(lines.length).toBeGreaterThan(12)
  for (const line of lines.slice(1, -4)) if (/^ [+-] /.test(line)) expect(line).toMatch(/^( [+-] 1 a\d+)+( <= 3)?$/)
  expect(text.replace(/\s+/g, ' ')).toBe(`Maximize goal: ${long} Subject To r0: ${long} <= 3 Binaries a1 a2 End`)
  solved(hears, { goal: '+ 1 a', rows: [], binaries: [], least: true })
  expect(text).toBe('Minimize\n  goal: + 1 a\nSubject To\nEnd')
})
