import { expect, it } from 'vitest'
import { askBack, brickOf } from './brick'

// What people write at the door: common practice, no source.
it.each([
  ['9 V brick', { voltageV: 9 }],
  ['9V DC power supply, 1.5 A', { voltageV: 9, kind: 'dc', currentA: 1.5 }],
  ['12 V AC adapter 500 mA', { voltageV: 12, kind: 'ac', currentA: 0.5 }],
  ['Adaptor 7,5V dc centre-negative', { voltageV: 7.5, kind: 'dc' }],
  ['Wall wart, 9 volts, 1 amp, center positive', { voltageV: 9, currentA: 1 }],
  ['PSU 230 V in, 12 V out', { voltageV: 12 }],
])('reads “%s”', (written, said) => expect(brickOf(['Manual', written])).toEqual({ written, ...said }))

it.each([['Supply'], ['Mains lead 230 V'], ['Power supply 230 V'], ['9 V battery clip'], ['Video lead'], ['Brick, V unknown'], ['0 V brick']])(
  'takes nothing from “%s”',
  written => expect(brickOf([written])).toBeNull(),
)
it('takes the first that says its voltage', () => {
  expect(brickOf(['Supply', '5 V brick', '9 V brick'])?.voltageV).toBe(5)
  expect(brickOf([])).toBeNull()
})

it('asks back what does not go with the brick, and what no such inlet takes', () => {
  const brick = brickOf(['9 V brick'])
  expect([9, 9.5, 11.25, 6.75].map(v => askBack(v, brick))).toEqual([null, null, null, null])
  for (const volts of [11.3, 6.7, 12]) expect(askBack(volts, brick)).toMatch(/“9 V brick” came with it/)
  expect(askBack(90, brick)).toMatch(/^90 V into a round inlet\?.*9 V brick/)
  expect(askBack(90, null)).toMatch(/^90 V into a round inlet\?/)
  expect([askBack(12, null), askBack(60, null), askBack(0, brick), askBack('', brick), askBack('nine', brick), askBack(null, brick)]).toEqual(
    Array.from({ length: 6 }, () => null),
  )
  expect(askBack('90 V', brick)).toBe(askBack(90, brick))
})

it('refuses nothing that anybody wrote: a machine with it still has its sheet', () => {
  for (const written of [
    '1,234 V brick',
    '1,234,567 V brick',
    '9.5.5 V brick, 1,000,0 A',
    '9 V brick, 0 A',
    'brick 00009V',
    '9V brick 1.2.3A',
    'brick V A',
    '١٢ V brick',
    `brick ${'9'.repeat(90)}V`,
  ])
    expect(() => brickOf([written]), written).not.toThrow()
  expect(brickOf(['9 V brick, 0 A'])).toEqual({ written: '9 V brick, 0 A', voltageV: 9 })
})
