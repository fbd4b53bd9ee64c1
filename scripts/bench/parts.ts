import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { monitorEventLoopDelay, performance } from 'node:perf_hooks'
import highs from 'highs'
import { v7 as uuidv7 } from 'uuid'
import { significant } from '#core/kernel/figure'
import { seeded } from '#core/kernel/random'
import { type AllocationInput, allocate, bestPurchase } from '#core/parts/allocation/allocate'
import type { Solve } from '#core/kernel/programme'
import type { Coming, WantedHere } from '#core/parts/buying/shortage'
import { toBuy } from '#core/parts/buying/to-buy'
import { type RecapOrderInput, recapOrder } from '#core/parts/recap/order'
import { HeldQuery } from '#shared/chapters/parts/index'
import { buyQuestion, heldParts, listHeld } from '../../server/chapters/parts/index'
import { openDatabase } from '../../server/db/connection'
import { median, row } from './row'

/** A house of 200 machines and 2 000 lines of parts, of which every third serves somebody. */
function largeHouse(): AllocationInput {
  const random = seeded(7)
  const upTo = (most: number) => Math.floor(random() * most)
  const kinds = 300
  const ofKind = Array.from({ length: kinds }, () => [] as number[])
  let id = 0
  const machines = Array.from({ length: 200 }, (_, m) => ({
    id: m,
    name: `machine ${m}`,
    weight: 1 + upTo(16),
    needs: Array.from({ length: 3 + upTo(8) }, () => {
      ofKind[Math.floor(random() ** 2 * kinds)]!.push(id)
      return { id: id++, name: 'part', count: 1 + upTo(3), starts: random() < 0.6 }
    }),
  }))
  const sources = Array.from({ length: 2000 }, (_, s) => {
    const kind = upTo(kinds * 3)
    return { id: s, name: `line ${s}`, units: 1 + upTo(2), from: (['shelf', 'donor', 'ordered'] as const)[upTo(3)]!, serves: ofKind[kind] ?? [] }
  })
  const purchasables = ofKind.map((serves, kind) => ({ id: kind, name: `part ${kind}`, unitPrice: 1 + upTo(4000) / 100, serves }))
  return { machines, sources, purchasables }
}

/** A thousand wanted parts and 20 000 lines, of a few hundred names. */
function largeLedger(): { needs: WantedHere[]; coming: Coming[] } {
  const random = seeded(11)
  const name = () => `${['membrane', 'fan', 'card', 'socket', 'chip'][Math.floor(random() * 5)]} ${Math.floor(random() * 120)}`
  const bare = { kind: null, spec: {}, affects: '', workaround: '' }
  return {
    needs: Array.from({ length: 1000 }, (_, id) => ({ id, machineId: id % 200, name: name(), count: 1 + (id % 3), stops: 'start' as const, ...bare })),
    coming: Array.from({ length: 20_000 }, (_, id) => ({ id, name: name(), count: 1 + (id % 2), machineId: null, onItsWay: id % 9 === 0, ...bare })),
  }
}

/** Lists of 6 machines with 40 capacitors each, three price lists of 60 lines, and a shelf of 100. */
function sixLists(): RecapOrderInput {
  const random = seeded(9)
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!
  const one = (more = {}) => ({
    capacitanceF: significant(pick([1, 2.2, 4.7, 10, 22, 47, 100, 220, 470, 1000, 2200]) * 1e-6, 3),
    voltageV: pick([16, 25, 35, 50, 63]),
    technology: 'electrolytic',
    safetyClass: 'none',
    polarity: 'polarised',
    leads: pick(['radial', 'axial']),
    ...more,
  })
  return {
    kind: 'capacitor',
    wants: Array.from({ length: 240 }, (_, i) => ({ machineId: i % 6, places: [`C${i}`], spec: one() })),
    stock: Array.from({ length: 100 }, (_, id) => ({ id, name: `line ${id}`, units: 1 + Math.floor(random() * 9), spec: one() })),
    offers: Array.from({ length: 180 }, (_, id) => {
      const price = significant(0.05 + random(), 2)
      return {
        id,
        supplier: `supplier ${id % 3}`,
        name: `offer ${id}`,
        spec: one({ diameterMm: 8, heightMm: 12, temperatureC: 105 }),
        pack: pick([1, 1, 5, 10]),
        breaks: [
          { from: 1, price },
          { from: 10, price: significant(price * 0.7, 2) },
          { from: 100, price: significant(price * 0.5, 2) },
        ],
      }
    }),
    spares: 1,
    postage: { 'supplier 0': 5, 'supplier 1': 8, 'supplier 2': 3 },
  }
}

/** How long the allocation takes at its largest, and a page of a large ledger. */
export async function benchParts(): Promise<void> {
  console.log('\nParts')
  const { solve: run } = await highs()
  const solve: Solve = programme => {
    const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
    return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal as number])) }
  }
  const input = largeHouse()
  const took = <R>(what: string, work: () => R): R => {
    const began = performance.now()
    const result = work()
    row(what, `${(performance.now() - began).toFixed(0)} ms`)
    return result
  }
  const allocation = took('who gets what, 200 machines, 2 000 lines of parts', () => allocate(input, solve))
  const one = took('the one purchase, of 300', () => bestPurchase(input, 1, allocation, solve))
  took('the two purchases, of 300', () => bestPurchase(input, 2, allocation, solve, one))

  const { needs, coming } = largeLedger()
  took('what must be bought, 1 000 wanted, a ledger of 20 000 lines', () => toBuy(needs, coming, []))
  const lists = sixLists()
  took('one order, 6 lists of 40 capacitors, 180 prices, 100 lines of the shelf', () => recapOrder(lists, solve))

  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-parts-'))
  const db = openDatabase(folder)
  const lines = Array.from({ length: 20_000 }, (_, i) => ({
    uid: uuidv7(),
    name: `Part ${(i * 7919) % 20_000}`,
    count: 1 + (i % 9),
    at: 'shelf' as const,
    condition: 'new' as const,
    lies: `Drawer ${i % 40}`,
  }))
  for (let from = 0; from < lines.length; from += 1000)
    db.insert(heldParts)
      .values(lines.slice(from, from + 1000))
      .run()
  row('', 'median')
  for (const [what, query] of [
    ['a page of a ledger of 20 000 lines', { size: 50 }],
    ['its page 300', { size: 50, page: 300 }],
    ['one found in it by a word', { size: 50, find: 'drawer 17' }],
  ] as const)
    row(
      what,
      median(9, () => listHeld(db, HeldQuery.parse(query))),
    )
  const began = performance.now()
  const delay = monitorEventLoopDelay({ resolution: 1 })
  delay.enable()
  await buyQuestion(db)
  row(
    'what must be bought, as it is read before a thread works on it',
    `${(performance.now() - began).toFixed(0)} ms, nobody waits more than ${(delay.max / 1e6).toFixed(0)} ms`,
  )
  db.$client.close()
  rmSync(folder, { recursive: true })
}
