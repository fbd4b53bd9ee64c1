import { expect, it } from 'vitest'
import { checkTagPattern, nextTag } from './tag'

it('counts on within the year', () => {
  expect(nextTag('SH-{year}-{n:3}', 2026, ['SH-2026-030', 'SH-2025-099', 'LOAN-7', 'SH-2026-0x1'])).toBe('SH-2026-031')
  expect(nextTag('SH-{year}-{n:3}', 2027, ['SH-2026-030'])).toBe('SH-2027-001')
  expect(nextTag('M{n}', 2026, ['M9'])).toBe('M10')
})

it.each(['SH-{year}', 'SH {n:3}', 'SH/{n}'])('refuses the pattern %s', pattern => {
  expect(() => checkTagPattern(pattern)).toThrow(expect.objectContaining({ field: 'numbering' }) as Error)
})
