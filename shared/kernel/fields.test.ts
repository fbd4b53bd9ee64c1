import { expect, it } from 'vitest'
import type { z } from 'zod'
import { bounded, id, instant, meterReading, oneOf, optionalBounded, optionalQuantity, optionalText, quantity, roughDay, text, version } from './fields'

/** What comes out, or the message at the field. */
const read = (field: z.ZodType, given: unknown): unknown => {
  const { success, data, error } = field.safeParse(given)
  return success ? data : error!.issues[0]!.message
}

const volts = quantity('V', 'Voltage', { above: 0, upTo: 300 })
const ohms = quantity('Ω', 'Resistance', { from: 0, upTo: 1e6 })
const reading = meterReading('V', 'Reading', { from: -10, upTo: 10 })

it.each<[string, z.ZodType, unknown, unknown]>([
  ['a text without its ends', text('Name', 5), '  ab ', 'ab'],
  ['a text of nothing', text('Name', 5), '   ', 'Name: type something here.'],
  ['no text at all', text('Name', 5), undefined, 'Name: type something here.'],
  ['a text as long as it may be', text('Name', 5), 'abcde', 'abcde'],
  ['a text that is longer', text('Name', 5), 'abcdef', 'Name: at most 5 characters, please.'],
  ['a text that may be left out', optionalText('Note', 5), undefined, ''],
  ['such a text, too long', optionalText('Note', 5), 'abcdef', 'Note: at most 5 characters, please.'],
  ['a quantity as people write it', volts, '5V1', 5.1],
  ['a quantity as a figure', volts, 5.1, 5.1],
  ['its upper limit', volts, 300, 300],
  ['beyond it', volts, '301', 'Voltage: more than 0 and up to 300 V, please.'],
  ['its lower limit, which is out', volts, 0, 'Voltage: more than 0 and up to 300 V, please.'],
  ['a lower limit that is in', ohms, 0, 0],
  ['below it', ohms, -1, 'Resistance: from 0 up to 1000000 Ω, please.'],
  ['no finite figure', volts, Infinity, expect.stringMatching(/^(Voltage: |Invalid)/)],
  ['another unit', volts, '5 A', expect.stringContaining('“A” does not belong here')],
  ['neither figure nor text', volts, true, 'Voltage: type a number.'],
  ['nothing, of what must be there', volts, '', expect.stringContaining('Nothing typed')],
  ['nothing, of what may be left out', optionalQuantity('V', 'V', { from: 0, upTo: 9 }), '  ', null],
  ['left out', optionalQuantity('V', 'V', { from: 0, upTo: 9 }), undefined, null],
  ['said to be nothing', optionalQuantity('V', 'V', { from: 0, upTo: 9 }), null, null],
  ['out of its limits all the same', optionalQuantity('V', 'V', { from: 0, upTo: 9 }), '10', 'V: from 0 up to 9 V, please.'],
  ['a figure without a unit', bounded('Count', { from: 1, upTo: 3 }), '3', 3],
  ['with its limits in words', bounded('Count', { from: 1, upTo: 3 }), 4, 'Count: from 1 up to 3, please.'],
  ['left out, where it may be', optionalBounded('Count', { from: 1, upTo: 3 }), '', null],
  ['an open circuit', reading, 'OL', null],
  ['a meter that shows nothing', reading, null, null],
  ['a figure of a meter', reading, '-5.09', -5.09],
  ['a meter beyond its limits', reading, '11', 'Reading: from -10 up to 10 V, please.'],
  ['nonsense of a meter', reading, 'x', expect.stringContaining('is not a number')],
  ['nothing typed for a meter', reading, ' ', expect.stringContaining('Nothing typed')],
  ['a year', roughDay('When'), '1998', '1998'],
  ['a month', roughDay('When'), ' 1998-05 ', '1998-05'],
  ['a day of a leap year', roughDay('When'), '2000-02-29', '2000-02-29'],
  ['a day that is none', roughDay('When'), '1999-02-29', 'When: there is no such day in the calendar.'],
  ['a month that is none', roughDay('When'), '1999-13', 'When: there is no such day in the calendar.'],
  ['words for a day', roughDay('When'), 'last summer', expect.stringContaining('write a year, month or day')],
  ['no day', roughDay('When'), undefined, ''],
  ['an instant, with its milliseconds', instant('At'), '2026-03-03T19:00:00Z', '2026-03-03T19:00:00.000Z'],
  ['a day without a time', instant('At'), '2026-03-03', 'At: give a day and a time.'],
  ['a number that names a row', id, 1, 1],
  ['the first version', version, 0, 0],
])('%s', (_, field, given, wanted) => expect(read(field, given)).toEqual(wanted))

it('a row is named by a whole number above nothing, a version by one from nothing on', () => {
  expect([0, -1, 1.5, '1'].map(v => id.safeParse(v).success)).toEqual([false, false, false, false])
  expect([-1, 0.5].map(v => version.safeParse(v).success)).toEqual([false, false])
})

it('a choice is one from its list, and says so', () => {
  const field = oneOf(['a', 'b'], 'Kind')
  expect([read(field, 'a'), read(field, 'c')]).toEqual(['a', expect.stringMatching(/^Kind: choose one /)])
})
