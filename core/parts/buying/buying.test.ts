import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { NeedStops } from '../needs'
import { leadTimeOf, leadTimeSays } from './lead-times'
import { type Coming, type WantedHere, shortages } from './shortage'
import { type Bought, toBuy } from './to-buy'

const want = (id: number, name: string, more: Partial<WantedHere> = {}): WantedHere => ({
  id,
  machineId: id,
  name,
  kind: null,
  spec: {},
  count: 1,
  stops: 'start',
  affects: '',
  workaround: '',
  ...more,
})
const have = (id: number, name: string, count = 1, machineId: number | null = null): Coming => ({
  id,
  name,
  kind: null,
  spec: {},
  count,
  machineId,
  onItsWay: false,
})

describe('what nothing serves', () => {
  it('each unit counts once, and what several could use goes where most are served', () => {
    const needs = [want(1, 'Fan'), want(2, 'Quiet fan', { stops: 'looks' }), want(3, 'Lid')]
    // “Quiet fan” serves both; the plain one serves the plain need alone… of names, the shorter stands in the longer both ways.
    expect([...shortages(needs, [have(1, 'Quiet fan')])]).toEqual([
      [3, 1],
      [2, 1],
    ])
    expect([...shortages(needs, [have(1, 'Quiet fan'), have(2, 'Loud fan')])]).toEqual([[3, 1]])
    expect([...shortages([want(1, 'Fan', { count: 5 })], [have(1, 'Fan', 2), have(2, 'Fan', 2)])]).toEqual([[1, 1]])
    expect([...shortages([want(1, 'Fan')], [have(1, 'Fan', 1, 1)])]).toEqual([[1, 1]])
  })

  it('a more pressing need is never left short for another, and as many are served as can be', () => {
    const stops = fc.constantFrom<NeedStops>('start', 'function', 'looks')
    const names = fc.constantFrom('Fan', 'Quiet fan', 'Loud fan', 'Quiet loud fan', 'Lid')
    const needs = fc.array(fc.record({ name: names, count: fc.integer({ min: 1, max: 2 }), stops }), { maxLength: 5 })
    const parts = fc.array(fc.record({ name: names, count: fc.integer({ min: 1, max: 2 }) }), { maxLength: 4 })
    fc.assert(
      fc.property(needs, parts, (wanted, held) => {
        const rows = wanted.map((w, at) => want(at + 1, w.name, w))
        const coming = held.map((h, at) => have(at + 1, h.name, h.count))
        const short = shortages(rows, coming)
        const ranks = ['start', 'function', 'looks'].map(level => rows.filter(r => r.stops === level).reduce((n, r) => n + r.count - (short.get(r.id) ?? 0), 0))
        expect(ranks).toEqual(tried(rows, coming))
      }),
      { numRuns: 150 },
    )
  })
})

/** Every way to give the units out, one by one: the most served by rank, starts before functions before looks. */
function tried(needs: readonly WantedHere[], coming: readonly Coming[]): number[] {
  const units = needs.flatMap(need => Array.from({ length: need.count }, () => need))
  const free = coming.map(one => one.count)
  const agree = (a: string, b: string) => {
    const [x, y] = [a.toLowerCase().split(' '), b.toLowerCase().split(' ')].sort((p, q) => p.length - q.length)
    return x!.every(word => y!.includes(word))
  }
  let best = [0, 0, 0]
  const served = [0, 0, 0]
  const level = (need: WantedHere) => ['start', 'function', 'looks'].indexOf(need.stops)
  const go = (at: number): void => {
    const need = units[at]
    if (!need) {
      if (served.join() > best.join()) best = [...served]
      return
    }
    for (const [i, one] of coming.entries())
      if (free[i]! > 0 && agree(need.name, one.name)) {
        free[i]!--
        served[level(need)]!++
        go(at + 1)
        free[i]!++
        served[level(need)]!--
      }
    go(at + 1)
  }
  go(0)
  return best
}

describe('what has to be bought', () => {
  it('like ones of several machines are one line, at the price and of whom the last came, with whom it starts', () => {
    const bought: Bought[] = [
      { name: 'Gannet membrane', kind: null, spec: {}, source: 'a maker', unitPrice: null },
      { name: 'Membrane', kind: null, spec: {}, source: 'a shop', unitPrice: 34 },
    ]
    const needs = [want(1, 'Membrane'), want(2, 'membrane', { count: 2 }), want(3, 'Fan', { machineId: 2 }), want(4, 'Lid', { stops: 'looks' })]
    const { lines } = toBuy(needs, [have(1, 'Membrane', 1)], bought)
    expect(lines.map(l => [l.need.name, l.count, l.source, l.unitPrice, l.starts])).toEqual([
      // The first membrane is here; the second machine waits for a fan besides.
      ['membrane', 2, 'a shop', 34, []],
      ['Fan', 1, '', null, []],
      ['Lid', 1, '', null, []],
    ])
    expect(toBuy(needs.slice(0, 2), [], bought).lines[0]).toMatchObject({ count: 3, needIds: [1, 2], starts: [1, 2] })
    expect(toBuy([want(1, 'Membrane', { workaround: 'an old one' })], [], []).lines[0]!.starts).toEqual([])
  })

  it('what may be here by its name alone is looked at before it is bought; what was ordered under this name is on its way', () => {
    const needs = [want(1, 'Membrane', { count: 2 })]
    const looked = (...coming: Coming[]) => toBuy(needs, coming, []).lookFirst.map(one => one.count)
    expect(looked(have(1, 'Petrel membrane', 3))).toEqual([2])
    expect(looked({ ...have(1, 'Membranes', 1), onItsWay: true }, have(2, 'Petrel membrane'))).toEqual([1])
    expect(looked({ ...have(1, 'Petrel membrane', 2), onItsWay: true })).toEqual([2])
    expect(toBuy([want(1, 'Membrane'), want(2, 'Fan', { machineId: 1 })], [have(1, 'Petrel membrane')], []).lines.map(l => [l.need.name, l.starts])).toEqual([
      ['Fan', []],
    ])
    expect(toBuy([want(1, 'Belt', { wouldDo: 'O-ring: slips when warm' })], [have(1, 'O-ring')], [])).toEqual({ lines: [], lookFirst: [] })
  })
})

describe('what an order takes', () => {
  const came = (source: string, ...days: number[]) =>
    days.map(n => ({ source, orderedAt: '2026-03-01T18:00:00.000Z', arrivedAt: new Date(Date.UTC(2026, 2, 1 + n, 9)).toISOString() }))
  it('is learned from three that came, and guessed before', () => {
    expect(leadTimeOf('A shop', 'Fan', came('a shop', 4, 30))).toEqual({ usualDays: 7, lateDays: 28, orders: 0 })
    expect(leadTimeOf('A shop', 'Fan', came('another', 4, 5, 6))).toMatchObject({ orders: 0 })
    // Quantiles of 4, 5, 30, 120 by Hyndman and Fan's type 7: 17.5, and 30 + 0.25 × 90 = 52.5.
    expect(leadTimeOf(' A shop', 'Fan', came('a shop', 5, 120, 4, 30))).toEqual({ usualDays: 18, lateDays: 53, orders: 4 })
    expect(leadTimeOf('', 'Gannet membranes', [])).toMatchObject({ usualDays: 14 })
    expect([leadTimeSays(leadTimeOf('', 'Clip', [])), leadTimeSays({ usualDays: 5, lateDays: 9, orders: 3 })]).toEqual([
      'A first guess: 21 days, or 35; from abroad up to 120. It is learned from what arrives.',
      'Half of 3 orders came within 5 days, three of four within 9.',
    ])
  })
})
