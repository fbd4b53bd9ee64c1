import { expect, it } from 'vitest'
import { partsToSwap } from './parts-to-swap'

it('a swap board begins with what is there and may be at fault; two of one kind do not stand in for each other', () => {
  const part = (name: string, presence: 'present' | 'missing' | 'never' = 'present', role: 'keyboard' | null = null) => ({ name, presence, role })
  expect(
    partsToSwap([
      part('Case'),
      part('Main board'),
      part('Supply'),
      part('Drive A'),
      part('Drive B'),
      part('Fan'),
      part('Modulator', 'missing'),
      part('Sound', 'never'),
    ]),
  ).toEqual([
    { name: 'Main board', kind: 'main-board' },
    { name: 'Supply', kind: 'supply' },
    { name: 'Drive A', kind: 'drive', place: 'Drive A' },
    { name: 'Drive B', kind: 'drive', place: 'Drive B' },
  ])
  // What somebody said it is for counts before its name.
  expect(partsToSwap([part('Front panel', 'present', 'keyboard'), part('Whatsit')])).toEqual([
    { name: 'Front panel', kind: 'keyboard' },
    { name: 'Whatsit', kind: 'other' },
  ])
  expect(partsToSwap([])).toEqual([])
})
