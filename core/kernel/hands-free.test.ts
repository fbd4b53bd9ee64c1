import { expect, it } from 'vitest'
import { counted } from './figure'
import { type HandsFree, type HandsFreeManner, handsFreeBegun, handsFreeNext } from './hands-free'

const taken = (manner: Partial<HandsFreeManner>, ...shown: (string | undefined)[]) => {
  let state: HandsFree = handsFreeBegun
  return shown.flatMap(figure => {
    const next = handsFreeNext(state, figure, { inTheAir: s => s === 'air', ...manner })
    state = next.state
    return next.taken ?? []
  })
}

it('what moves is believed at the time that is said, in a row, and where none is said never', () => {
  const moving = (n: number) => ['air', ...Array.from({ length: n }, () => '1; 2')]
  expect([1, 2, 3].map(n => taken({ believedUnsteady: 2 }, ...moving(n)).length)).toEqual([0, 1, 1])
  expect([2, 3].map(n => taken({ believedUnsteady: 3 }, ...moving(n)).length)).toEqual([0, 1])
  expect(taken({}, ...moving(50))).toEqual([])
  expect(taken({ believedUnsteady: 2 }, 'air', '1; 2', 'air', '1; 2')).toEqual([])
  expect(taken({ believedUnsteady: 2 }, 'air', '1; 2', undefined, '1; 2')).toEqual(['1; 2'])
})

it('several figures are no lifting, even where each of them would be', () => {
  expect(taken({ inTheAir: s => s.startsWith('0') }, '0; 0', '5')).toEqual([])
  expect(taken({ inTheAir: s => s.startsWith('0') }, '0', '5')).toEqual(['5'])
})

it('things are counted in words', () => {
  expect([
    counted(0, 'photograph'),
    counted(1, 'photograph'),
    counted(3, 'photograph'),
    counted(2, 'battery', 'batteries'),
    counted(1, 'battery', 'batteries'),
  ]).toEqual(['no photographs', '1 photograph', '3 photographs', '2 batteries', '1 battery'])
})
