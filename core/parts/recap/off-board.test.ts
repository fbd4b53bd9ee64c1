import { expect, it } from 'vitest'
import { placesOnBoard } from './off-board'

it('reads the places of capacitors off a board with the two nets of each, the supply first; what has three ends, or another letter, is none', () => {
  const pin = (part: string, pin: string, net: string) => ({ part, pin, net })
  expect(
    placesOnBoard([
      pin('C10', '1', 'GND'),
      pin('C10', '2', '+5V'),
      pin('C2', '1', 'AUDIO'),
      pin('C2', '2', 'N0012'),
      pin('C3', '1', 'CLK'),
      // Both ends on one net, or one end alone, says nothing.
      pin('C4', '1', 'GND'),
      pin('C4', '2', 'GND'),
      pin('C5', '1', 'A'),
      pin('C5', '2', 'B'),
      pin('C5', '3', 'C'),
      pin('U7', '1', '+5V'),
      pin('U7', '2', 'GND'),
      pin('CN1', '1', '+5V'),
      pin('CN1', '2', 'GND'),
    ]),
  ).toEqual([
    { place: 'C2', nets: ['AUDIO', 'N0012'] },
    { place: 'C10', nets: ['+5V', 'GND'] },
  ])
})
