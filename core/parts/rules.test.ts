import { expect, it } from 'vitest'
import { settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'

const need = (more: object = {}) => ({ id: 7, name: 'Membrane', quantity: 2, stops: 'start', affects: '', workaround: '', outcome: 'wanted', ...more }) as const
const held = (count: number, at: string, more: object = {}) => ({ count, at, needId: 7, lies: 'Box B', ...more })
const of = (heldParts: object[], more: object = {}) => {
  const { known, moves, run } = assess({ ...settled, partNeeds: [need(more)], heldParts } as MachineRecord, '2026-03-10T19:00:00.000Z')
  const move = moves.find(m => m.code === 'part')
  return { ready: known.wantedParts[0]?.ready, says: move?.says, why: move?.why, who: move?.who, steps: run.flatMap(r => r.steps.map(s => s.says)) }
}

it('what is wanted is looked for, and fitted once as many lie ready as are wanted', () => {
  expect(of([])).toMatchObject({ ready: null, says: 'Find Membrane', why: 'It cannot be started without it.' })
  expect(of([held(1, 'promised')])).toMatchObject({ ready: null, says: 'Find Membrane' })
  expect(of([held(2, 'promised')])).toMatchObject({
    ready: 'Box B',
    says: 'Fit Membrane, from Box B',
    why: 'It cannot be started without it, and it lies ready.',
  })
  expect(of([held(1, 'promised'), held(1, 'fitted', { lies: 'in it' })]).says).toBe('Fit Membrane, from Box B')
  expect(of([held(2, 'promised', { lies: '' })]).says).toBe('Fit Membrane')
  expect(of([held(2, 'promised'), held(3, 'promised', { lies: 'Box C' })]).says).toBe('Fit Membrane, from Box B, Box C')
  expect(of([held(2, 'promised')]).steps).toContain('Fit Membrane, from Box B')
})

it('what is for something else, or still in a donor, makes nothing ready', () => {
  expect(of([held(2, 'promised', { needId: 8 })]).ready).toBeNull()
  expect(of([held(2, 'donor')]).ready).toBeNull()
})

it('only what a start waits for is a move', () => {
  expect(of([], { stops: 'function', affects: 'sound' })).toMatchObject({ says: undefined, ready: null })
  expect(of([], { workaround: 'a fan from outside' }).says).toBeUndefined()
  expect(of([], { outcome: 'fitted' }).ready).toBeUndefined()
})

it('a coordinator looks for a part, and whoever is at the bench fits it', () => {
  expect([of([]).who, of([held(2, 'promised')]).who]).toEqual(['the coordinator', 'a bench volunteer'])
})
