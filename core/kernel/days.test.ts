import { expect, it } from 'vitest'
import { writtenDay, writtenMoment } from './days'
import { readDay, readMoment } from './read-day'
import { readTime } from './time-of-day'

const today = '2026-11-30'

it.each([
  ['today', '2026-11-30'],
  ['Yesterday', '2026-11-29'],
  ['tomorrow', '2026-12-01'],
  ['28 Nov 2026', '2026-11-28'],
  [' 28  november 2026 ', '2026-11-28'],
  ['3 Sept 1998', '1998-09-03'],
  ['2026-11-28', '2026-11-28'],
  // The day stands first, as the British and the Dutch write it.
  ['3/4/2026', '2026-04-03'],
  ['28.11.2026', '2026-11-28'],
  // Without its year a day is the nearest of its name.
  ['28 Nov', '2026-11-28'],
  ['3 Jan', '2027-01-03'],
  ['1.12.', '2026-12-01'],
  ['29 Feb 2024', '2024-02-29'],
])('reads the day %s', (text, day) => expect(readDay(text, today)).toBe(day))

it.each(['', '29 Feb 2026', '31 Apr', '28/13/2026', '28 Nov 26', 'last summer', '1998', 'May 1998', '2026-11-28x', '0026-11-28'])(
  'reads no day in “%s”',
  text => expect(readDay(text, today)).toBeUndefined(),
)

it.each([
  ['1998', '1998'],
  ['May 1998', '1998-05'],
  ['1998-05', '1998-05'],
  ['17 May 1998', '1998-05-17'],
])('a day that is known roughly may be %s', (text, day) => expect(readDay(text, today, true)).toBe(day))

it.each([
  ['21:30', '21:30'],
  ['2130', '21:30'],
  ['9', '09:00'],
  ['9.30 pm', '21:30'],
  ['12 am', '00:00'],
  ['12pm', '12:00'],
  ['0:05', '00:05'],
  ['24:00', undefined],
  ['13 pm', undefined],
  ['21:60', undefined],
  ['soon', undefined],
])('reads the time %s', (text, time) => expect(readTime(text)).toBe(time))

it.each([
  ['28 Nov 2026 21:30', '2026-11-28T21:30'],
  ['tomorrow at 8:00', '2026-12-01T08:00'],
  ['today 9 pm', '2026-11-30T21:00'],
  ['21:30', '2026-11-30T21:30'],
  ['2026-11-28T21:30', '2026-11-28T21:30'],
  ['28 Nov', undefined],
  ['28 Nov 2026', undefined],
  ['29 Feb 2026 10:00', undefined],
])('reads the moment %s', (text, moment) => expect(readMoment(text, today)).toBe(moment))

it('what is shown is read back as the same', () => {
  for (const day of ['2026-11-28', '1998-05', '1998', '2024-02-29', '2026-09-01', '2026-09']) expect(readDay(writtenDay(day), today, true)).toBe(day)
  expect(writtenMoment('2026-03-04T08:05')).toBe('4 Mar 2026 08:05')
  expect(readMoment(writtenMoment('2026-03-04T08:05'), today)).toBe('2026-03-04T08:05')
  expect(['soon', '2026-13-01', '2026-02'].map(writtenDay)).toEqual(['soon', '2026-13-01', 'Feb 2026'])
})
