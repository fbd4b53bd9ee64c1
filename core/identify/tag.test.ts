import { expect, it } from 'vitest'
import { checkTagPattern, numberOf, tagFrame, tagOf } from './tag'

it('counts on within the year', () => {
  const frame = tagFrame('SH-{year}-{n:3}', 2026)
  expect(['SH-2026-030', 'SH-2025-099', 'LOAN-7', 'SH-2026-0x1', 'SH-2026-'].map(tag => numberOf(frame, tag))).toEqual([30, 0, 0, 0, 0])
  expect([31, 7, 1234].map(n => tagOf(frame, n))).toEqual(['SH-2026-031', 'SH-2026-007', 'SH-2026-1234'])
  expect(tagOf(tagFrame('M{n}', 2026), 10)).toBe('M10')
})

it.each(['SH-{year}', 'SH {n:3}', 'SH/{n}'])('refuses the pattern %s', pattern => {
  expect(() => checkTagPattern(pattern)).toThrow(expect.objectContaining({ field: 'numbering' }) as Error)
})
