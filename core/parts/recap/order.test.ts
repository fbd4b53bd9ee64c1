import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { e6, e6Nearest } from '../../kernel/e-series'
import { seeded } from '../../kernel/random'
import type { Solve } from '../../kernel/programme'
import { type PriceOffer, type RecapOrderInput, type RecapWant, merged, recapOrder, servedBy, sharesOf } from './order'

const { solve: run } = await highs()
const solve: Solve = programme => {
  const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
  if (answer.Status !== 'Optimal') return null
  return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal])) }
}
const lytic = (uF: number, voltageV: number, more = {}) => ({
  capacitanceF: uF * 1e-6,
  voltageV,
  technology: 'electrolytic',
  safetyClass: 'none',
  polarity: 'polarised',
  leads: 'radial',
  ...more,
})
const want = (machineId: number, uF: number, voltageV: number, places: string[], more = {}): RecapWant => ({
  machineId,
  places,
  spec: lytic(uF, voltageV, more),
})
const offer = (id: number, supplier: string, uF: number, voltageV: number, breaks: [number, number][], pack = 1): PriceOffer => ({
  id,
  supplier,
  name: `${uF} µF ${voltageV} V`,
  spec: lytic(uF, voltageV, { diameterMm: 8, heightMm: 11, temperatureC: 105 }),
  pack,
  breaks: breaks.map(([from, price]) => ({ from, price })),
})
const ask = (of: Partial<RecapOrderInput>) => recapOrder({ kind: 'capacitor', wants: [], stock: [], offers: [], spares: 0, postage: {}, ...of }, solve)

describe('preferred values', () => {
  it('finds the nearest of IEC 60063, series E6', () => {
    for (const [value, near] of [
      [20e-6, 22e-6],
      [25e-6, 22e-6],
      [40e-6, 47e-6],
      [16, 15],
      [8e-6, 6.8e-6],
      [9, 10],
      [100e-6, 100e-6],
    ] as const)
      expect(e6Nearest(value)).toBeCloseTo(near, 12)
    for (let decade = -9; decade < 0; decade++) for (const step of e6) expect(e6Nearest(step * 10 ** decade) / (step * 10 ** decade)).toBeCloseTo(1, 9)
  })
})

describe('one order over several machines', () => {
  it('merges what is alike, with the smallest room and the highest temperature of them', () => {
    const values = merged([
      want(1, 470, 25, ['C1', 'C2'], { diameterMm: 10, temperatureC: 85 }),
      want(2, 470, 25, ['C7'], { diameterMm: 8, temperatureC: 105 }),
      want(1, 470, 16, ['C9']),
    ])
    expect(values.map(v => [v.spec.voltageV, v.wanted])).toEqual([
      [16, 1],
      [25, 3],
    ])
    expect(values[1]).toMatchObject({
      spec: { diameterMm: 8, temperatureC: 105 },
      wants: [
        { machineId: 1, places: ['C1', 'C2'] },
        { machineId: 2, places: ['C7'] },
      ],
    })
  })

  it('takes the shelf first, buys a break where that is cheaper, and pays postage once', () => {
    const order = ask({
      wants: [want(1, 470, 25, ['C1', 'C2', 'C3', 'C4']), want(2, 470, 25, ['C1', 'C2', 'C3', 'C4', 'C5'])],
      stock: [{ id: 7, name: 'old', units: 2, spec: lytic(470, 25) }],
      offers: [
        offer(1, 'A', 470, 35, [
          [1, 0.5],
          [10, 0.2],
        ]),
      ],
      spares: 1,
      postage: { A: 3 },
    })
    // Eight are left to buy: eight at 0.50 are 4.00, ten at 0.20 are 2.00.
    expect(order).toMatchObject({ purchases: [{ units: 10, unitPrice: 0.2, cost: 2 }], suppliers: [{ supplier: 'A', parts: 2, postage: 3 }], cost: 5 })
    expect(order.values[0]).toMatchObject({ wanted: 9, withSpares: 10, fromStock: [{ id: 7, count: 2 }], bought: [{ offerId: 1, count: 8 }], short: 0 })
  })

  it('never buys what does not fit, says how many are short, and the nearest value that is made', () => {
    const order = ask({ wants: [want(1, 20, 350, ['C1', 'C2'])], offers: [offer(1, 'A', 20, 25, [[1, 0.1]]), offer(2, 'A', 22, 200, [[1, 0.1]])] })
    expect(order.purchases).toEqual([])
    expect(order.values[0]).toMatchObject({ short: 2 })
    expect(order.values[0]!.nearestF).toBeCloseTo(22e-6, 12)
    expect(ask({ wants: [want(1, 47, 350, ['C1'])] }).values[0]!.nearestF).toBeNull()
    expect(ask({})).toEqual({ values: [], purchases: [], suppliers: [], cost: 0 })
    expect(() =>
      ask({
        offers: [
          offer(1, 'A', 10, 10, [
            [10, 1],
            [5, 2],
          ]),
        ],
      }),
    ).toThrow('none that can be bought')
  })

  it('puts nothing of another value or with other leads where the same can be had, and does where it can not', () => {
    const wants = [want(1, 47, 25, ['C1'])]
    const stock = [{ id: 1, name: 'hundred', units: 9, spec: lytic(100, 25) }]
    expect(ask({ wants, stock, offers: [offer(1, 'A', 47, 35, [[1, 0.3]])] }).values[0]).toMatchObject({ fromStock: [], bought: [{ offerId: 1, count: 1 }] })
    expect(ask({ wants, stock }).values[0]).toMatchObject({ fromStock: [{ id: 1, count: 1 }], short: 0 })
    const axial = [want(1, 47, 25, ['C1'], { leads: 'axial' })]
    const both = { wants: axial, stock: [{ id: 2, name: 'radial', units: 1, spec: lytic(47, 25) }] }
    expect(ask({ ...both, offers: [{ ...offer(1, 'A', 47, 35, [[1, 0.3]]), spec: lytic(47, 35, { leads: 'axial' }) }] }).values[0]!.fromStock).toEqual([])
    expect(ask(both).values[0]!.fromStock).toEqual([{ id: 2, count: 1 }])
    // The same on the shelf is taken, and what it is short of is bought.
    const enough = ask({
      wants: [want(1, 47, 25, ['C1', 'C2'])],
      stock: [{ id: 3, name: 'same', units: 1, spec: lytic(47, 35) }],
      offers: [offer(1, 'A', 47, 35, [[1, 0.3]])],
    })
    expect(enough.values[0]).toMatchObject({ fromStock: [{ id: 3, count: 1 }], bought: [{ offerId: 1, count: 1 }] })
  })

  /** Every way of buying, tried: whole packs of each offer up to what all of it would take. */
  function cheapest({ wants, stock, offers, spares, postage }: RecapOrderInput): { cost: number; short: number } {
    const values = merged(wants).map(v => ({ spec: v.spec, count: v.wanted + spares }))
    const served = servedBy(
      { kind: 'capacitor', stock, offers },
      values.map(v => ({ spec: v.spec, withSpares: v.count })),
    )
    const all = values.reduce((sum, v) => sum + v.count, 0)
    /** How many stay short, by giving units to values in every way. */
    const shortOf = (units: { serves: number[]; units: number }[], left: number[]): number => {
      const [first, ...rest] = units
      if (!first) return left.reduce((sum, n) => sum + n, 0)
      const give = (nth: number, have: number, now: number[]): number => {
        if (nth === values.length) return shortOf(rest, now)
        if (!first.serves.includes(nth)) return give(nth + 1, have, now)
        let best = Infinity
        for (let n = 0; n <= Math.min(have, now[nth]!); n++)
          best = Math.min(
            best,
            give(
              nth + 1,
              have - n,
              now.map((x, i) => (i === nth ? x - n : x)),
            ),
          )
        return best
      }
      return give(0, first.units, left)
    }
    let best = { cost: Infinity, short: Infinity }
    const choose = (nth: number, bought: { serves: number[]; units: number }[], cost: number, from: Set<string>) => {
      if (nth === offers.length) {
        const whole = cost + [...from].reduce((sum, s) => sum + (postage[s] ?? 0), 0)
        const short = shortOf(
          [...stock.map((one, at) => ({ serves: served.shelf[at]!, units: one.units })), ...bought],
          values.map(v => v.count),
        )
        if (short < best.short || (short === best.short && whole < best.cost)) best = { cost: whole, short }
        return
      }
      const one = offers[nth]!
      const most = Math.max(all, ...one.breaks.map(b => b.from)) + one.pack
      for (let units = 0; units <= most; units += one.pack) {
        const price = one.breaks.findLast(b => units >= b.from)?.price
        if (units && price === undefined) continue
        choose(
          nth + 1,
          units ? [...bought, { serves: served.sold[nth]!, units }] : bought,
          cost + units * (price ?? 0),
          units ? new Set([...from, one.supplier]) : from,
        )
      }
    }
    choose(0, [], 0, new Set())
    return best
  }

  it('costs as little as the best of all ways, on made-up lists', () => {
    const random = seeded(11)
    const pick = <T>(of: readonly T[]) => of[Math.floor(random() * of.length)]!
    for (let n = 0; n < 15; n++) {
      const wants = [1, 2].map(machineId =>
        want(
          machineId,
          pick([10, 22]),
          pick([16, 25]),
          Array.from({ length: 1 + Math.floor(random() * 2) }, (_, i) => `C${i}`),
        ),
      )
      const price = () => Math.round((0.05 + random()) * 100) / 100
      const offers = [1, 2, 3].map(id => {
        const first = price()
        const breaks: [number, number][] =
          random() < 0.5
            ? [[1, first]]
            : [
                [1, first],
                [3, Math.round(first * 40) / 100],
              ]
        return offer(id, pick(['A', 'B']), pick([10, 22]), pick([16, 25, 50]), breaks, pick([1, 2]))
      })
      const input = {
        kind: 'capacitor' as const,
        wants,
        stock: random() < 0.5 ? [{ id: 1, name: 'x', units: 1, spec: lytic(pick([10, 22]), 25) }] : [],
        offers,
        spares: pick([0, 1]),
        postage: { A: pick([0, 0.5]), B: pick([0, 1]) },
      }
      const [is, best] = [recapOrder(input, solve), cheapest(input)]
      expect(is.values.reduce((sum, v) => sum + v.short, 0)).toBe(best.short)
      expect(is.cost).toBeCloseTo(best.cost, 6)
      // All of it is somebody's.
      const shares = sharesOf(is)
      expect(shares.reduce((sum, share) => sum + share.cost, 0)).toBeCloseTo(is.purchases.length ? is.cost : 0, 1)
      expect(shares.reduce((sum, share) => sum + share.capacitors, 0)).toBe(wants.reduce((sum, w) => sum + w.places.length, 0))
      // What is given out is what came, and nothing more.
      for (const { offerId, units } of is.purchases)
        expect(
          is.values
            .flatMap(v => v.bought)
            .filter(b => b.offerId === offerId)
            .reduce((sum, b) => sum + b.count, 0),
        ).toBeLessThanOrEqual(units)
      for (const value of is.values) expect([...value.fromStock, ...value.bought].reduce((sum, g) => sum + g.count, 0) + value.short).toBe(value.withSpares)
    }
  })
})
