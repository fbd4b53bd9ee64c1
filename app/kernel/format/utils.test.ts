import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { engineering, lasting } from './engineering'
import { flat } from '../forms/flat'
import { timeLeft } from './timeLeft'
import { zodForForms } from '../forms/zodForForms'
import { instantOf, localOf } from './zonedTime'

describe('the clock on the wall', () => {
  it('is an hour ahead of UTC in a Dublin summer, and level with it in winter', () => {
    expect(instantOf('2026-07-01T08:00', 'Europe/Dublin')).toBe('2026-07-01T07:00:00.000Z')
    expect(instantOf('2026-01-01T08:00', 'Europe/Dublin')).toBe('2026-01-01T08:00:00.000Z')
    expect(instantOf('2026-07-01', 'Europe/Dublin')).toBeUndefined()
  })

  it('goes there and back in any zone', () => {
    const zones = fc.constantFrom('UTC', 'Europe/Dublin', 'America/St_Johns', 'Pacific/Auckland', 'Asia/Kathmandu')
    // Noon is never skipped or doubled by a change of the clocks.
    fc.assert(
      fc.property(zones, fc.integer({ min: 0, max: 20_000 }), (zone, dayNumber) => {
        const noon = `${new Date(dayNumber * 86_400_000).toISOString().slice(0, 10)}T12:00`
        expect(localOf(new Date(instantOf(noon, zone)!), zone)).toBe(noon)
      }),
    )
  })
})

it.each([
  ['2026-03-03T19:00:00Z', 'over'],
  ['2026-03-03T19:00:30Z', '1 min'],
  ['2026-03-03T19:59:00Z', '59 min'],
  ['2026-03-04T08:00:00Z', '13 h'],
  ['2026-03-06T08:00:00Z', '3 d'],
])('until %s: %s', (until, left) => {
  expect(timeLeft(until, new Date('2026-03-03T19:00:00Z'))).toBe(left)
})

it.each([
  [4700, 'Ω', '4.7 kΩ'],
  [0.0049, 'Ω', '4.9 mΩ'],
  [1e-7, 'F', '100 nF'],
  [999.6, 'V', '1 kV'],
  [-5.094, 'V', '-5.09 V'],
  [0, 'A', '0 A'],
  [2.2e6, 'Ω', '2.2 MΩ'],
])('%d %s is written %s', (value, unit, written) => expect(engineering(value, unit)).toBe(written))
it.each([
  [16.58, '16.6 s'],
  [600, '10 min'],
  [9000, '2.5 h'],
])('%d seconds last %s', (seconds, said) => expect(lasting(seconds)).toBe(said))

it('an object lies flat by its paths, lists and nothings as they are', () => {
  expect(flat({ a: 1, facts: { battery: 'out', fan: null, deep: { er: [1] } } })).toEqual({
    'a': 1,
    'facts.battery': 'out',
    'facts.fan': null,
    'facts.deep.er': [1],
  })
})

it('a contract checks a form by what will be sent, and puts each message at its field', async () => {
  const contract = z.object({
    version: z.number(),
    name: z.string().min(1, 'Name it.'),
    codes: z.array(z.object({ code: z.string().min(4, 'Four characters.') })),
  })
  const schema = zodForForms(
    () => contract,
    values => ({ ...values, version: 3 }),
  )
  expect(await schema.parse({ name: '', codes: [{ code: '8235' }, { code: '82' }] })).toMatchObject({
    errors: [
      { path: 'name', errors: ['Name it.'] },
      { path: 'codes[1].code', errors: ['Four characters.'] },
    ],
  })
  expect(await schema.parse({ name: 'a', codes: [] })).toMatchObject({ errors: [], value: { name: 'a' } })
})
