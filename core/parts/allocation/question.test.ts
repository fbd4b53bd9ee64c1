import { expect, it } from 'vitest'
import { questionOf } from './question'

const named = (name: string) => ({ name, kind: null, spec: {} })
const need = (id: number, name: string, machineId: number) => ({ id, machineId, ...named(name) })
const held = (id: number, name: string, machineId: number | null = null) => ({ id, units: 2, from: 'shelf' as const, machineId, ...named(name) })

it('like parts are put together, what serves nothing is left out, and nothing is given to the machine that it is in', () => {
  const { sources, purchasables } = questionOf({
    machines: [],
    needs: [need(1, 'Membrane', 1), need(2, 'membrane', 2), need(3, 'Fan', 2)],
    held: [held(1, 'Gannet membrane'), held(2, 'Gannet membrane', 2), held(3, 'Lid')],
    paid: [
      { unitPrice: 30, ...named('Membrane, Gannet') },
      { unitPrice: 20, ...named('Membrane') },
    ],
  })
  expect(sources.map(s => [s.id, s.serves])).toEqual([
    [1, [1, 2]],
    [2, [1]],
  ])
  expect(purchasables).toEqual([
    { id: 1, name: 'Membrane', unitPrice: 30, serves: [1, 2] },
    { id: 3, name: 'Fan', unitPrice: null, serves: [3] },
  ])
})

it('an order that is expected after the day that it is wanted by comes too late; one of no known day may, and nobody says so', () => {
  const needs = [{ ...need(1, 'Fan', 1), byWhen: '2026-12-05' }, need(2, 'Fan', 2)]
  const late = (dueBy: string | null, from: 'ordered' | 'shelf' = 'ordered') =>
    questionOf({ machines: [], needs, held: [{ ...held(1, 'Fan'), from, dueBy }], paid: [] }).sources[0]!.tooLateFor
  expect([late('2026-12-06'), late('2026-12-05'), late(null), late('2026-12-06', 'shelf')]).toEqual([[1], [], [], []])
})

it('a need with fields is not served by what does not fit, and a price of that is none', () => {
  const fuse = (ratingA: number) => ({ name: 'Fuse', kind: 'fuse' as const, spec: { ratingA, speed: 'slow', breakingA: 35, voltageV: 250, size: '5 × 20 mm' } })
  const { sources, purchasables } = questionOf({
    machines: [],
    needs: [{ id: 1, machineId: 1, ...fuse(1) }],
    held: [
      { id: 1, units: 1, from: 'shelf', machineId: null, ...fuse(2) },
      { id: 2, units: 1, from: 'shelf', machineId: null, ...fuse(1) },
    ],
    paid: [{ unitPrice: 0.3, ...fuse(2) }],
  })
  expect(sources.map(s => s.id)).toEqual([2])
  expect(purchasables![0]!.unitPrice).toBeNull()
})
