import { describe, expect, it } from 'vitest'
import { type FaultSoFar, backToBasics, basicsLeft } from './back-to-basics'
import { likelyCauses, mentions } from './causes'
import { symptomGroups, symptomWords } from './symptoms'

const fault: FaultSoFar = { open: true, attempts: [], theories: [], damageKnown: false, railsRead: false, zoneProbed: false }
const tried = (area: FaultSoFar['attempts'][number]['area'], minutes: number | null = 60) => ({ area, minutes })

describe('back to basics', () => {
  // Common practice, no source: after battery damage people lose days on the picture.
  it.each<[string, Partial<FaultSoFar>, string]>([
    ['when it has taken long', { attempts: [tried('video', 130)] }, 'Back to basics: rails, then clock and reset.'],
    [
      'when many theories fell',
      { theories: Array.from({ length: 3 }, () => ({ state: 'struck', damaged: false })) },
      'Back to basics: rails, then clock and reset.',
    ],
    [
      'when no theory concerns the damage',
      { damageKnown: true, theories: [{ state: 'held', damaged: false }] },
      'Back to basics: rails, then the damaged zone, then clock and reset.',
    ],
    [
      'even with all basics looked at, when theories left the damage',
      { damageKnown: true, railsRead: true, zoneProbed: true, attempts: [tried('clock')], theories: [{ state: 'held', damaged: false }] },
      'Back to basics: the damaged zone again.',
    ],
  ])('is said %s', (_, more, says) => expect(backToBasics({ ...fault, ...more })[0]).toMatchObject({ level: 'care', says }))

  it.each<[string, Partial<FaultSoFar>]>([
    ['of a fresh fault', {}],
    ['of a closed one', { open: false, attempts: [tried('video', 500)] }],
    ['while nobody has a theory, though damage is known', { damageKnown: true }],
    ['while a theory concerns the damage', { damageKnown: true, theories: [{ state: 'held', damaged: true }] }],
    ['once the basics were looked at', { railsRead: true, attempts: [tried('clock', 300)] }],
  ])('is not said %s', (_, more) => expect(backToBasics({ ...fault, ...more })).toEqual([]))

  it('leaves out what was looked at', () => {
    expect(basicsLeft({ ...fault, damageKnown: true, attempts: [tried('rails', null), tried('damage')] })).toEqual(['clock'])
  })
})

it('causes of faults with a symptom in common are counted, whatever their capitals and full stops', () => {
  const ended = [
    { symptoms: ['black'], cause: 'IC7 dead.', machine: 'A' },
    { symptoms: ['black', 'hot'], cause: 'ic7  dead', machine: 'B' },
    { symptoms: ['black'], cause: 'Line fuse', machine: 'B' },
    { symptoms: ['no-sound'], cause: 'Loudspeaker lead', machine: 'C' },
    { symptoms: ['black'], cause: ' ', machine: 'D' },
  ]
  expect(likelyCauses(['black', 'dim'], ended)).toEqual([
    { cause: 'IC7 dead.', right: 2, of: 3, machines: ['A', 'B'] },
    { cause: 'Line fuse', right: 1, of: 3, machines: ['B'] },
  ])
  expect(likelyCauses([], ended)).toHaveLength(3)
  // A machine that had it twice is named once; of causes as frequent the first by name leads.
  const again = [...ended, { symptoms: ['black'], cause: 'Line fuse', machine: 'B' }, { symptoms: ['black'], cause: 'Coil', machine: 'E' }]
  expect(likelyCauses(['black'], again).map(c => [c.cause, c.right, c.machines.join()])).toEqual([
    ['IC7 dead.', 2, 'A,B'],
    ['Line fuse', 2, 'B'],
    ['Coil', 1, 'E'],
  ])
  expect(likelyCauses(['smoke'], ended)).toEqual([])
})

it('no symptom word stands in two groups', () => {
  const all = Object.values(symptomGroups).flatMap(g => Object.keys(g.words))
  expect(new Set(all).size).toBe(all.length)
  expect(symptomWords).toHaveLength(all.length)
})

it('a code is found as a word of its own', () => {
  expect(['Error 12 at the start', '12', 'it says 2 short beeps'].map(t => mentions(t, '12'))).toEqual([true, true, false])
  expect(mentions('stops with E-04.', 'e-04')).toBe(true)
  expect(['code 128', 'X12'].map(t => mentions(t, '12'))).toEqual([false, false])
  expect(mentions('anything', ' ')).toBe(false)
})
