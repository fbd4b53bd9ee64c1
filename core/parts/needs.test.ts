import { expect, it } from 'vitest'
import { type ArisesFrom, arisingNeeds } from './arising'
import { type Need, holdsUpStart, isMissed, needRank, needSays, needStops, needs } from './needs'

// Common practice, no source.
const need = (stops: Need['stops'], more: Partial<Need> = {}): Need => ({ stops, affects: '', workaround: '', ...more })

it('a start waits for what it cannot do without, until something else does', () => {
  expect(needStops.filter(stops => holdsUpStart(need(stops)))).toEqual(['start'])
  expect(needStops.filter(stops => isMissed(need(stops)))).toEqual(['start', 'function'])
  expect(holdsUpStart(need('start', { workaround: 'a fan from outside' }))).toBe(false)
})

it('each says what hangs on it, and how it is lived with', () => {
  expect(needStops.map(stops => needSays(need(stops)))).toEqual(needStops.map(stops => needs[stops].says))
  expect(needSays(need('function', { affects: 'Sound' }))).toBe('Without it there is no sound')
  expect(needSays(need('looks', { affects: 'Sound' }))).toBe('Only its looks want it')
  expect(needSays(need('start', { workaround: 'a newer one that overheats, for a first start' }))).toBe(
    'Cannot be started without it; until then: a newer one that overheats, for a first start',
  )
})

it('what holds up a start comes first, then what is lived with, then the rest in their order', () => {
  const list = [need('nothing'), need('function'), need('start', { workaround: 'x' }), need('looks'), need('no-start'), need('start')]
  expect(list.sort((a, b) => needRank(a) - needRank(b)).map(n => n.stops + n.workaround)).toEqual([
    'start',
    'startx',
    'function',
    'no-start',
    'looks',
    'nothing',
  ])
})

// Common practice, no source.
it('what is missing, broken or came out is proposed once, and nothing that somebody has spoken of', () => {
  const from: ArisesFrom = {
    wearParts: [],
    emptySockets: [],
    assemblies: [
      { id: 1, name: 'Video card', presence: 'missing' },
      { id: 2, name: 'Keyboard', presence: 'present' },
      { id: 3, name: 'Fan', presence: 'never' },
    ],
    damages: [
      { assemblyId: 2, kind: 'missing', where: 'Key 7', patina: '' },
      { assemblyId: 2, kind: 'missing', where: 'key 7', patina: '' },
      { assemblyId: null, kind: 'break', where: 'Lid hinge', patina: '' },
      { assemblyId: null, kind: 'break', where: 'Corner', patina: 'an old break' },
      { assemblyId: 2, kind: 'crack', where: 'Frame', patina: '' },
    ],
    batteries: [
      { where: 'Clock', fitted: false, replacement: null },
      { where: 'Memory', fitted: true, replacement: null },
    ],
    batterySchool: 'remote-holder',
  }
  const told = (known: string[], more: Partial<ArisesFrom> = {}) => arisingNeeds({ ...from, ...more }, known).map(({ name, place }) => [name, place])
  expect(told([])).toEqual([
    ['Video card', ''],
    ['Key 7', 'Keyboard'],
    ['Lid hinge', ''],
    ['Remote holder', 'Clock'],
  ])
  expect(told(['Video card for the Spindrift', 'Remote holder', 'Keys 7'], { batterySchool: 'none' })).toEqual([['Lid hinge', '']])
  const nothing = { damages: [], assemblies: [], batterySchool: 'none' as const }
  const sockets = [
    { assembly: 'Main board', place: 'U12', what: 'character ROM' },
    { assembly: 'Main board', place: 'U13', what: '' },
  ]
  expect(told([], { ...nothing, emptySockets: sockets, wearParts: ['Membrane'] })).toEqual([
    ['character ROM', 'Main board U12'],
    ['Part for U13', 'Main board U13'],
    ['Membrane', ''],
  ])
  expect(told(['Membrane for the Gannet', 'Character ROM'], { ...nothing, emptySockets: sockets, wearParts: ['Membrane'] })).toEqual([
    ['Part for U13', 'Main board U13'],
  ])
  expect(told(['Hinge of the lid'], { damages: [], assemblies: [], batterySchool: 'none' })).toEqual([])
})
