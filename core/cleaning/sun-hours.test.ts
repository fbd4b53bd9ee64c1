import { describe, expect, it } from 'vitest'
import { readSunHours } from './sun-hours'

// The shape of the table is our own; days are checked against the calendar.
describe('hours of sun from a table', () => {
  it('are read whichever way the columns stand, with either comma, and two lines of one day are added', () => {
    const rows = [
      ['station', 'sunshine hours', 'date'],
      ['7', '4,5', '2026-05-02'],
      ['7', '0', '2026-05-03'],
      ['7', '6.25', '1.5.2026'],
      ['7', '1', '2026-05-02'],
      ['', '', ''],
    ]
    expect(readSunHours(rows)).toEqual({
      days: [
        { day: '2026-05-01', hours: 6.25 },
        { day: '2026-05-02', hours: 5.5 },
      ],
      problems: [],
    })
  })
  it('lose nothing by a bad line, which is told with its number', () => {
    const { days, problems } = readSunHours([
      ['date', 'hours'],
      ['2026-02-30', '3'],
      ['2026-05-01', '25'],
      ['2026-05-02', ''],
      ['2026-05-03', '-1'],
      ['2026-05-04', '7'],
    ])
    expect(days).toEqual([{ day: '2026-05-04', hours: 7 }])
    expect(problems.map(p => p.line)).toEqual([2, 3, 4, 5])
    expect(
      readSunHours([
        ['date', 'hours'],
        ['2026-05-01', '20'],
        ['2026-05-01', '20'],
      ]),
    ).toMatchObject({ days: [], problems: [{ line: 0 }] })
  })
  it('need a column for each, and are bounded', () => {
    expect(() => readSunHours([['when it shone', 'how']])).toThrow('one “hours”; it names when it shone, how')
    expect(() => readSunHours([])).toThrow('it names none')
    const many = Array.from({ length: 401 }, (_, i) => [new Date(Date.UTC(2024, 0, 1 + i)).toISOString(), '2'])
    expect(() => readSunHours([['date', 'hours'], ...many])).toThrow('Up to 400 days')
  })
})
