import { expect, it } from 'vitest'
import { type HandsFree, handsFreeBegun, handsFreeNext } from '../kernel/hands-free'
import { pairHandsFree, spokenPin } from './hands-free'

/** What is taken, one figure after the other. */
function taken(...shown: (string | undefined)[]) {
  let state: HandsFree = handsFreeBegun
  return shown.flatMap(figure => {
    const next = handsFreeNext(state, figure, pairHandsFree)
    state = next.state
    return next.taken ?? []
  })
}

it('a figure is taken once, after the probes were lifted; open never by itself', () => {
  expect(taken('0.4', '0.4', '0.4')).toEqual([])
  expect(taken('OL', '0.4', '0.4', '0.4')).toEqual(['0.4'])
  expect(taken('OL', '0.4', 'OL', '12.3')).toEqual(['0.4', '12.3'])
  expect(taken('OL', 'OL', 'OL', 'OL')).toEqual([])
  expect(taken(undefined, 'OL', undefined, '3')).toEqual(['3'])
})

it('figures that do not agree are taken at the third time in a row, and not while the probes are being placed', () => {
  const wobbles = '0.4; 100000; 0.4'
  expect(taken('OL', wobbles, '0.4')).toEqual(['0.4'])
  expect(taken('OL', wobbles, wobbles)).toEqual([])
  expect(taken('OL', wobbles, wobbles, wobbles)).toEqual([wobbles])
  expect(taken('OL', wobbles, wobbles, 'OL', wobbles, wobbles)).toEqual([])
  expect(taken('OL', wobbles, wobbles, wobbles, '0.4')).toEqual([wobbles])
})

it('pins are read out as people say them', () => {
  expect(['U3.12', 'J2.A1', 'IC1.2.3', 'TP4'].map(spokenPin)).toEqual(['U3, pin 12', 'J2, pin A1', 'IC1.2, pin 3', 'TP4'])
})
