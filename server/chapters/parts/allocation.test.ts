import highs from 'highs'
import { v7 as uuidv7 } from 'uuid'
import { beforeAll, expect, it } from 'vitest'
import { allocate, bestPurchase } from '#core/parts/allocation/allocate'
import type { Solve } from '#core/kernel/programme'
import { questionOf } from '#core/parts/allocation/question'
import { type CollectionCommandName, type CommandRequest, readCommandInput } from '#shared/chapters/index'
import { AllocationView, UnlockView } from '#shared/chapters/parts/index'
import { serverBench } from '../../../tests/support/server-bench'
import { performOnCollection } from '../../kernel/perform'
import { allocationView, toWeigh, unlockView } from './index'

let solve: Solve
beforeAll(async () => {
  const { solve: run } = await highs()
  solve = programme => {
    const answer = run(programme, { mip_rel_gap: 0 })
    return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal as number])) }
  }
})
const on = serverBench()
const collection = <N extends CollectionCommandName>(name: N, input: CommandRequest<N>) =>
  performOnCollection(on.bench, on.ilka, name, readCommandInput(name, input) as never, { id: uuidv7() }).result
const wants = (more = {}, need = {}) => {
  const tag = on.bookIn(more)
  on.perform(tag, 'want-part', { name: 'Membrane', quantity: 1, stops: 'start', ...need })
  return tag
}
const appraise = (tag: string, each: number) =>
  on.perform(tag, 'appraise', {
    version: 0,
    significance: { historic: each, research: each, rarity: each, completeness: each, show: each },
    ...Object.fromEntries(['hoursLow', 'hoursHigh', 'costLow', 'costHigh'].map((name, at) => [name, 10 + at])),
    irreplaceable: [],
  } as never)
const hold = (more: Partial<CommandRequest<'hold-part'>> = {}) =>
  collection('hold-part', { name: 'Gannet membrane', condition: 'new', count: 1, at: 'shelf', lies: 'Box B', ...more })
const weigh = async (today = '2026-12-01') => {
  const weighed = await toWeigh(on.db, today)
  const input = questionOf(weighed.question)
  const allocation = allocate(input, solve)
  const one = bestPurchase(input, 1, allocation, solve)
  return { view: AllocationView.parse(allocationView(weighed, allocation)), one: one && UnlockView.parse(unlockView(weighed, one)) }
}

it('the one membrane goes to the machine that is worth more, the other hears where it went, and what would start it is named', async () => {
  const [less, more] = [wants(), wants()]
  appraise(less, 0)
  appraise(more, 2)
  hold({ unitPrice: 34 })
  const { view, one } = await weigh()
  expect(view.gives.map(g => [g.held, g.tag, g.count, g.verdict])).toEqual([['Gannet membrane', more, 1, 'not-known']])
  expect(view.alive).toMatchObject([{ tag: more, weight: 11 }])
  expect(view.refused).toMatchObject([{ tag: less, weight: 1, lacks: [{ name: 'Membrane', short: 1, wentTo: [{ tag: more }] }] }])
  expect(one).toMatchObject({ buys: [{ name: 'Membrane', units: 1, cost: 34 }], machines: [{ tag: less }] })
})

it('accepted, it is set aside in one piece; what does not do any more keeps all of it back', async () => {
  const [one, other] = [wants(), wants()]
  hold({ count: 2 })
  const { gives } = (await weigh()).view
  const lines = gives.map(({ partId, heldId, version, count }) => ({ partId, heldId, version, count }))
  expect(lines).toHaveLength(2)
  expect(() => collection('accept-allocation', { lines: [lines[0]!, { ...lines[1]!, partId: lines[0]!.partId }] })).toThrow('wanted 1 times')
  expect([one, other].map(tag => on.sheet(tag).held.length)).toEqual([0, 0])
  expect(() => collection('accept-allocation', { lines: [lines[0]!, { ...lines[1]!, partId: 999 }] })).toThrow('not wanted any more')
  collection('accept-allocation', { lines })
  expect([one, other].map(tag => on.sheet(tag).held.map(h => h.at))).toEqual([['promised'], ['promised']])
  // What is set aside for all that it wants is no question any more.
  expect((await weigh()).view).toMatchObject({ gives: [], refused: [] })
})

it('nothing is given to a machine whose owner was not asked, or out of one; what is bad, or not looked at, is not given', async () => {
  wants({ acquired: 'lent', owner: 'Pilots’ trust' })
  const ours = wants()
  hold({ condition: 'bad' })
  hold({ at: 'arrived', condition: 'not-looked-at' })
  const { view } = await weigh()
  expect(view.asks).toHaveLength(1)
  expect(view.gives).toEqual([])
  expect(view.refused.map(r => r.tag)).toEqual([ours])
  // What is ordered is counted on, and given once it is here.
  hold({ at: 'ordered', condition: 'not-looked-at', source: 'a maker of membranes', dueBy: '2027-01-20' })
  const [line] = (await weigh()).view.gives
  expect(line).toMatchObject({ at: 'ordered', tag: ours, late: false, wantedBy: null })
  expect(() => collection('accept-allocation', { lines: [{ partId: line!.partId, heldId: line!.heldId, version: line!.version, count: 1 }] })).toThrow(
    'does not go from there',
  )
})

it('an order that should have been here by now does not come before today, and may be too late by that', async () => {
  wants({}, { byWhen: '2026-12-03' })
  hold({ at: 'ordered', condition: 'not-looked-at', source: 'a maker of membranes', dueBy: '2026-11-20' })
  const late = async (today: string) => (await weigh(today)).view.gives.map(g => g.late)
  expect([await late('2026-12-03'), await late('2026-12-04')]).toEqual([[false], [true]])
})
