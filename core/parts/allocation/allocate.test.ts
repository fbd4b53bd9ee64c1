import fc from 'fast-check'
import highs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { type AllocationInput, type Contender, type Source, allocate, bestPurchase } from './allocate'
import type { Solve } from '../../kernel/programme'

let solve: Solve
beforeAll(async () => {
  const { solve: run } = await highs()
  solve = programme => {
    const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
    return answer.Status === 'Optimal'
      ? { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal as number])) }
      : null
  }
})

const need = (id: number, count = 1, starts = true) => ({ id, name: `part ${id}`, count, starts })
const machine = (id: number, weight: number, ...needs: Contender['needs']): Contender => ({ id, name: `machine ${id}`, weight, needs })
const source = (id: number, units: number, serves: number[], from: Source['from'] = 'shelf'): Source => ({ id, name: `source ${id}`, units, from, serves })

/** Every set of machines and functions, each tried by giving unit by unit in every way. */
function bruteForce({ machines, sources }: AllocationInput): number {
  const items = machines.flatMap(m => {
    const starts = m.needs.filter(n => n.starts)
    return [
      ...(starts.length ? [{ worth: 10 * m.weight, needs: starts, wants: null as number | null, id: m.id }] : []),
      ...m.needs.filter(n => !n.starts).map(n => ({ worth: m.weight, needs: [n], wants: starts.length ? m.id : null, id: -1 - n.id })),
    ]
  })
  const can = (demands: { id: number; count: number }[], units: Map<number, number>): boolean => {
    const [first, ...others] = demands
    if (!first) return true
    if (!first.count) return can(others, units)
    return sources.some(s => {
      if (!s.serves.includes(first.id) || units.get(s.id)! < 1) return false
      return can([{ ...first, count: first.count - 1 }, ...others], new Map(units).set(s.id, units.get(s.id)! - 1))
    })
  }
  let best = 0
  for (let set = 0; set < 1 << items.length; set++) {
    const chosen = items.filter((_, at) => set & (1 << at))
    if (chosen.some(c => c.wants !== null && !chosen.some(o => o.id === c.wants))) continue
    const worth = chosen.reduce((all, c) => all + c.worth, 0)
    if (worth <= best) continue
    if (
      can(
        chosen.flatMap(c => c.needs.map(({ id, count }) => ({ id, count }))),
        new Map(sources.map(s => [s.id, s.units])),
      )
    )
      best = worth
  }
  return best
}

const small: fc.Arbitrary<AllocationInput> = fc
  .record({
    machines: fc.array(
      fc.record({
        weight: fc.integer({ min: 1, max: 9 }),
        needs: fc.array(fc.record({ count: fc.integer({ min: 1, max: 2 }), starts: fc.boolean() }), { minLength: 1, maxLength: 2 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    sources: fc.array(
      fc.record({
        units: fc.integer({ min: 1, max: 3 }),
        serves: fc.array(fc.nat(7), { maxLength: 4 }),
        from: fc.constantFrom<Source['from']>('shelf', 'donor', 'ordered'),
      }),
      { maxLength: 4 },
    ),
  })
  .map(({ machines, sources }) => {
    let id = 0
    return {
      machines: machines.map((m, at) => ({ id: at, name: `m${at}`, weight: m.weight, needs: m.needs.map(n => ({ ...n, id: id++, name: 'p' })) })),
      sources: sources.map((s, at) => ({ ...s, id: at, name: `s${at}`, serves: [...new Set(s.serves)] })),
    }
  })

describe('what is given', () => {
  it('is worth as much as the best of all ways, gives nothing twice, and serves every need whole', () => {
    fc.assert(
      fc.property(small, input => {
        const { worth, gives, alive } = allocate(input, solve)
        expect(worth).toBeCloseTo(bruteForce(input), 6)
        for (const s of input.sources) expect(gives.filter(g => g.sourceId === s.id).reduce((all, g) => all + g.count, 0)).toBeLessThanOrEqual(s.units)
        for (const { sourceId, needId } of gives) expect(input.sources.find(s => s.id === sourceId)!.serves).toContain(needId)
        for (const m of input.machines)
          for (const n of m.needs) {
            const got = gives.filter(g => g.needId === n.id).reduce((all, g) => all + g.count, 0)
            expect([0, n.count]).toContain(got)
            if (n.starts) expect(got > 0).toBe(alive.includes(m.id))
          }
      }),
      { numRuns: 120 },
    )
  })

  it('goes where it is worth most, and says to whoever gets none where it went', () => {
    const input = { machines: [machine(1, 3, need(11)), machine(2, 5, need(21)), machine(3, 9, need(31), need(32))], sources: [source(1, 1, [11, 21, 31])] }
    const { alive, refused, gives } = allocate(input, solve)
    expect(alive).toEqual([2])
    expect(gives).toEqual([{ sourceId: 1, needId: 21, count: 1, late: false }])
    expect(refused).toEqual([
      { machineId: 1, lacks: [{ needId: 11, short: 1, wentTo: [2] }] },
      {
        machineId: 3,
        lacks: [
          { needId: 31, short: 1, wentTo: [2] },
          { needId: 32, short: 1, wentTo: [] },
        ],
      },
    ])
  })

  it('comes from the shelf before an order is waited for, and that before a donor is opened', () => {
    const machines = [machine(1, 1, need(1))]
    const fromOf = (...from: Source['from'][]) => {
      const sources = from.map((one, at) => source(at, 1, [1], one))
      return sources.find(s => s.id === allocate({ machines, sources }, solve).gives[0]!.sourceId)!.from
    }
    expect(fromOf('donor', 'shelf', 'ordered')).toBe('shelf')
    expect(fromOf('donor', 'ordered')).toBe('ordered')
  })

  it('comes in time where it can, without bringing any less to life; what comes too late says so', () => {
    const machines = [machine(1, 1, need(1)), machine(2, 9, need(2))]
    const late = { ...source(1, 1, [1, 2], 'ordered'), tooLateFor: [1] }
    const gives = (...sources: Source[]) =>
      allocate({ machines, sources }, solve)
        .gives.map(g => [g.sourceId, g.needId, g.late])
        .sort((a, b) => Number(a[1]) - Number(b[1]))
    // The one that is here goes to the machine that has a day to keep, and the other waits for the order.
    expect(gives(late, source(2, 1, [1, 2]))).toEqual([
      [2, 1, false],
      [1, 2, false],
    ])
    expect(gives(late, source(2, 1, [1], 'donor'))).toEqual([
      [2, 1, false],
      [1, 2, false],
    ])
    expect(gives(late, source(2, 1, [2]))).toEqual([
      [1, 1, true],
      [2, 2, false],
    ])
  })

  it('is nothing where nothing is wanted, and refuses what is no question', () => {
    expect(allocate({ machines: [], sources: [source(1, 1, [1])] }, solve)).toEqual({ worth: 0, gives: [], alive: [], refused: [] })
    expect(() => allocate({ machines: [machine(1, 0, need(1))], sources: [] }, solve)).toThrow('a weight above zero')
    expect(() => allocate({ machines: [machine(1, 1, need(1)), machine(2, 1, need(1))], sources: [] }, solve)).toThrow('stands once')
    expect(() => allocate({ machines: [machine(1, 1, need(1, 0.5))], sources: [] }, solve)).toThrow('whole number')
    expect(() => allocate({ machines: [machine(1, 1, need(1))], sources: [] }, () => null)).toThrow('more to weigh')
  })
})

describe('what to buy', () => {
  const ask = (input: AllocationInput, most: number) => bestPurchase(input, most, allocate(input, solve), solve)

  it('is what brings most for its money, with one line or with two', () => {
    const input: AllocationInput = {
      machines: [machine(1, 5, need(1, 2)), machine(2, 5, need(2)), machine(3, 8, need(3), need(4))],
      sources: [source(1, 1, [3])],
      purchasables: [
        { id: 1, name: 'capacitor', unitPrice: 1, serves: [1] },
        { id: 2, name: 'membrane', unitPrice: 30, serves: [2] },
        { id: 4, name: 'heat sink', unitPrice: 4, serves: [4] },
      ],
    }
    expect(ask(input, 1)).toEqual({ buys: [{ purchasableId: 1, units: 2, cost: 2 }], cost: 2, machines: [1], worth: 50 })
    expect(ask({ ...input, purchasables: input.purchasables!.slice(1) }, 2)).toMatchObject({ cost: 4, machines: [3] })
  })

  it('is two where only two together bring it', () => {
    const input: AllocationInput = {
      machines: [machine(1, 5, need(1), need(2))],
      sources: [],
      purchasables: [
        { id: 1, name: 'chip', unitPrice: 3, serves: [1] },
        { id: 2, name: 'socket', unitPrice: 1, serves: [2] },
      ],
    }
    expect(ask(input, 1)).toBeNull()
    expect(ask(input, 2)).toMatchObject({ cost: 4, machines: [1], worth: 50 })
  })

  it('says what would bring most where nobody knows a price, without a cost', () => {
    const purchasables = [{ id: 1, name: 'chip', unitPrice: null, serves: [1] }]
    expect(ask({ machines: [machine(1, 5, need(1))], sources: [], purchasables }, 1)).toMatchObject({
      cost: null,
      machines: [1],
      buys: [{ units: 1, cost: null }],
    })
  })

  it('is the best ratio of all that could be bought', () => {
    const priced = fc.array(fc.record({ unitPrice: fc.integer({ min: 1, max: 40 }), serves: fc.array(fc.nat(7), { minLength: 1, maxLength: 3 }) }), {
      minLength: 1,
      maxLength: 3,
    })
    fc.assert(
      fc.property(small, priced, (input, some) => {
        const purchasables = some.map((p, id) => ({ ...p, id, name: `p${id}`, serves: [...new Set(p.serves)] }))
        const all = { ...input, purchasables }
        const before = allocate(input, solve)
        const best = bestPurchase(all, 1, before, solve)
        // Each line by itself, with every number of units.
        const ratios = purchasables.flatMap(p =>
          [1, 2, 3, 4, 5, 6].map(units => {
            const gain = allocate({ ...input, sources: [...input.sources, { ...source(99, units, p.serves), from: 'shelf' }] }, solve).worth - before.worth
            return gain / (units * p.unitPrice)
          }),
        )
        expect(best ? best.worth / best.cost! : 0).toBeCloseTo(Math.max(0, ...ratios), 6)
      }),
      { numRuns: 40 },
    )
  })
})
