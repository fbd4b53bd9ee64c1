import { expect, it } from 'vitest'
import { type HandsFree, handsFreeBegun, handsFreeNext } from '../kernel/hands-free'
import { railHandsFree, spokenRail, spokenVolts } from './hands-free'

/** What is taken, one figure after the other. */
function taken(...shown: (string | undefined)[]) {
  let state: HandsFree = handsFreeBegun
  return shown.flatMap(figure => {
    const next = handsFreeNext(state, figure, railHandsFree)
    state = next.state
    return next.taken ?? []
  })
}

it('a rail is taken once, after the probe was lifted; the figure of the rail before is never the next one’s', () => {
  expect(taken('5.02', '5.02')).toEqual([])
  expect(taken('0.002', '5.02', '5.02', '5.02')).toEqual(['5.02'])
  expect(taken('0.002', '5.02', '12.1', '0', '12.1')).toEqual(['5.02', '12.1'])
  expect(taken('0', '-12.1')).toEqual(['-12.1'])
  expect(taken('OL', '5.02')).toEqual(['5.02'])
})

it('what reads like probes in the air is never taken by itself: a dead rail has to be said', () => {
  expect(taken('0', '0.04', '-0.29', '0.299', undefined)).toEqual([])
  expect(taken('0', '0.3')).toEqual(['0.3'])
  expect(taken('0', 'OL', 'OL')).toEqual([])
})

it('a figure that moves is never taken by itself, however long it does, and is no lifting either', () => {
  expect(taken('0', ...Array.from({ length: 20 }, () => '4.6; 5.1; 4.8'))).toEqual([])
  expect(taken('0; 0.1; 0', '5.02')).toEqual([])
})

it('figures and rails are read out as people say them', () => {
  expect(['5.02', '-12.1', '+3.3', '−5'].map(spokenVolts)).toEqual(['5.02 volts', 'minus 12.1 volts', '3.3 volts', 'minus 5 volts'])
  expect(['+5 V', '-12 V', '12V', '+5 V standby', 'Vcc'].map(spokenRail)).toEqual(['plus 5 volts', 'minus 12 volts', '12 volts', 'plus 5 volts standby', 'Vcc'])
})
