import fc from 'fast-check'
import { getISOWeek, getISOWeekYear, parseISO } from 'date-fns'
import { describe, expect, it } from 'vitest'
import { readDateCode } from './date-code'
import { weekSpan, weeksInYear } from './week-date'

const best = (code: string) => readDateCode({ code }).readings[0]

describe('weeks', () => {
  it('8235 starts on Monday 30 August 1982 (ISO 8601)', () => {
    expect(best('8235')).toMatchObject({ format: 'year-week', isoWeek: '1982-W35', firstDay: '1982-08-30', lastDay: '1982-09-05' })
  })

  it('knows the years with a week 53 (ISO 8601)', () => {
    const long = Array.from({ length: 31 }, (_, i) => 1969 + i).filter(year => weeksInYear(year) === 53)
    expect(long).toEqual([1970, 1976, 1981, 1987, 1992, 1998])
  })

  it('agrees with date-fns read back from the first day, over random weeks', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1950, max: 2050 }), fc.integer({ min: 1, max: 52 }), (year, week) => {
        const monday = parseISO(weekSpan(year, week).firstDay)
        expect([getISOWeekYear(monday), getISOWeek(monday), monday.getDay()]).toEqual([year, week, 1])
      }),
    )
  })

  it('8153 exists, 8253 does not and says why', () => {
    expect(best('8153')).toMatchObject({ isoWeek: '1981-W53', firstDay: '1981-12-28', lastDay: '1982-01-03' })
    const refused = readDateCode({ code: '8253' })
    expect(refused.readings).toEqual([])
    expect(refused.refused[0]?.says).toContain('1982 has only 52 weeks')
    expect(refused.findings[0]).toMatchObject({ level: 'stop', code: 'date-code.none' })
  })
})

describe('alternatives', () => {
  it('puts year-week first and keeps year-month and week-year as alternatives', () => {
    expect(readDateCode({ code: '8206' }).readings.map(r => [r.format, r.isoWeek ?? r.isoMonth])).toEqual([
      ['year-week', '1982-W06'],
      ['year-month', '1982-06'],
    ])
    expect(readDateCode({ code: '2382' }).readings).toMatchObject([{ format: 'week-year', isoWeek: '1982-W23' }])
  })

  it('reads three digits in every decade that the bounds allow', () => {
    expect(readDateCode({ code: '235', earliestYear: 1970, latestYear: 1989 }).readings.map(r => r.isoWeek)).toEqual(['1972-W35', '1982-W35'])
  })

  it('reads letter codes in their twenty-year cycle (IEC 60062, from memory)', () => {
    expect(readDateCode({ code: 'P9' }).readings.map(r => r.isoMonth)).toEqual(['1982-09', '2002-09'])
    expect(readDateCode({ code: 'XD' }).readings[0]).toMatchObject({ isoMonth: '1989-12', firstDay: '1989-12-01', lastDay: '1989-12-31' })
  })

  it('finds the code among what stands around it, and warns of logic numbers', () => {
    expect(best('CPU-4 8235 B')?.isoWeek).toBe('1982-W35')
    expect(best('35/82')?.isoWeek).toBe('1982-W35')
    expect(readDateCode({ code: '7432' }).findings.map(f => f.code)).toContain('date-code.type-number')
  })
})

it('takes no type number of a generic part for a date', () => {
  // Type numbers: from memory of data books.
  for (const number of ['7432', '7812', '6502', '8748', '8251']) {
    expect(readDateCode({ code: number }).findings[0]).toMatchObject({ level: 'care', code: 'date-code.type-number' })
    expect(readDateCode({ code: `${number} 8512` }).readings.map(r => r.read)).toEqual(expect.arrayContaining(['8512']))
    expect(readDateCode({ code: `${number} 8512` }).readings.map(r => r.read)).not.toContain(number)
  }
  expect(readDateCode({ code: 'SN7432N' }).readings).toEqual([])
})

it.each([
  ['82W35', '1982-W35'],
  ['(8235)', '1982-W35'],
  ['8235-2', '1982-W35'],
  ['[8235]', '1982-W35'],
  ['8424K7', '1984-W24'],
])('%s is read as %s', (code, isoWeek) => expect(best(code)?.isoWeek).toBe(isoWeek))
it('offers the year for 1985, the month for 12/85, and nothing for letters that the standard does not have', () => {
  expect(best('1985')).toMatchObject({ format: 'year', firstDay: '1985-01-01', lastDay: '1985-12-31' })
  expect(readDateCode({ code: '12/85' }).readings.map(r => r.isoMonth ?? r.isoWeek)).toEqual(['1985-12', '1985-W12'])
  // IEC 60062 has no G, I, O, Q, Y and Z among its years; from memory.
  for (const letter of 'GIOQYZ') expect(readDateCode({ code: `${letter}5` }).readings).toEqual([])
})

it.each([
  [{ code: ' ' }, 'code'],
  [{ code: 'x'.repeat(61) }, 'code'],
  [{ code: '8235', earliestYear: 1990, latestYear: 1980 }, 'earliestYear'],
  [{ code: '8235', latestYear: 19.5 }, 'latestYear'],
])('refuses %o at %s', (input, field) => {
  expect(() => readDateCode(input)).toThrow(expect.objectContaining({ field }) as Error)
})
