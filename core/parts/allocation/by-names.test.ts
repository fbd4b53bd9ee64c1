import highs from 'highs'
import { expect, it } from 'vitest'
import { orderByLists, recapByList } from '../recap/by-lists'
import { allocateByNames } from './by-names'
import type { Solve } from '../../kernel/programme'
import { readMachines, readParts, readPricesOf } from './read-lines'

const { solve: run } = await highs()
const solve: Solve = programme => {
  const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
  return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal])) }
}

it('who gets what is read as people write it, and the heavier machine starts', () => {
  const machines = readMachines('Ferry accounts; 8; video card, 2 × fan\n\nLifeboat house; 12; fan, ~sound chip')
  expect(machines[0]!.wants).toEqual([
    { part: 'video card', count: 1, starts: true },
    { part: 'fan', count: 2, starts: true },
  ])
  const parts = readParts('2 × 12 V fan\nsound chip; donor')
  const done = allocateByNames({ machines, parts, prices: readPricesOf('video card; 38\nfan; 9,50') }, solve)
  expect([done.starts, done.lacks.map(l => [l.machine, l.parts.map(p => `${p.short} ${p.part}`)])]).toEqual([
    ['Lifeboat house'],
    [['Ferry accounts', ['1 video card', '1 fan']]],
  ])
  expect(done.gives.filter(g => g.machine === 'Lifeboat house').map(g => g.part)).toEqual(['12 V fan', 'sound chip'])
  // Only both together start the other one: 38 + 9.50.
  expect([done.one, done.two?.cost, done.two?.starts]).toEqual([null, 47.5, ['Ferry accounts']])
})

it.each([
  ['machines', () => readMachines('Ferry accounts; heavy; fan')],
  ['machines', () => readMachines('Ferry accounts; 3; 0 × fan')],
  ['machines', () => readMachines('Ferry accounts')],
  ['parts', () => readParts('fan; attic')],
  ['prices', () => readPricesOf('fan; cheap')],
  ['machines', () => allocateByNames({ machines: readMachines('A; 1; fan\nA; 2; fan'), parts: [], prices: [] }, solve)],
  [
    'lists.1.typed',
    () =>
      orderByLists(
        {
          lists: [
            { machine: 'A', typed: 'C1 1u 16V' },
            { machine: 'B', typed: 'rubbish' },
          ],
          shelf: [],
          prices: [],
          spares: 0,
        },
        solve,
      ),
  ],
  ['prices.0.typed', () => orderByLists({ lists: [], shelf: [], prices: [{ supplier: 'x', postage: 0, typed: 'part;price\nz;1' }], spares: 0 }, solve)],
  ['typed', () => recapByList({ typed: 'rubbish', school: 'evidence', started: false })],
])('what cannot be read is refused at %s', (field, read) => expect(read).toThrow(expect.objectContaining({ field }) as Error))

it('an order over typed lists costs the least: the shelf, then the dearer price where that saves the postage', () => {
  const prices = [
    { supplier: 'abroad', postage: 5, typed: 'part;price\n100u 25V radial;0.10' },
    { supplier: 'near', postage: 0, typed: 'part;price\n100u 25V radial;1' },
  ]
  const order = (count: number) =>
    orderByLists({ lists: [{ machine: 'A', typed: `C1-C${count} 100u 25V radial` }], shelf: [{ part: '100u 25V radial', units: 1 }], prices, spares: 0 }, solve)
  // Four to buy: 4.00 near against 5.40 from abroad. Eight: 8.00 against 5.80.
  expect([order(5).suppliers.map(s => s.supplier), order(5).cost, order(9).suppliers.map(s => s.supplier), order(9).cost]).toEqual([
    ['near'],
    4,
    ['abroad'],
    5.8,
  ])
  expect(order(5).values).toMatchObject([{ wanted: 5, fromShelf: 1, bought: 4, short: 0 }])
})

it('a list is judged by each school', () => {
  const typed = 'C1 100n 250VAC X2\nC4 470u 35V hot\nC5 470u 35V\nC6 100n ceramic'
  const due = (school: Parameters<typeof recapByList>[0]['school'], started = false) => recapByList({ typed, school, started }).capacitors.map(c => c.due)
  expect(due('all-first')).toEqual(['now', 'now', 'now', 'stays'])
  expect(due('line-filter')).toEqual(['now', 'stays', 'stays', 'stays'])
  expect(due('stressed')).toEqual(['now', 'now', 'stays', 'stays'])
  expect(due('after-start')).toEqual(['after-start', 'after-start', 'after-start', 'stays'])
  expect(due('after-start', true)).toEqual(['now', 'now', 'now', 'stays'])
  expect(due('evidence')).toEqual(['stays', 'stays', 'stays', 'stays'])
  expect(recapByList({ typed: `${typed}\nrubbish`, school: 'evidence', started: false }).wrong).toHaveLength(1)
})
