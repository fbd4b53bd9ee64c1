import { v7 as uuidv7 } from 'uuid'
import { expect, it } from 'vitest'
import { toBuy } from '#core/parts/buying/to-buy'
import { type CollectionCommandName, type CommandRequest, readCommandInput } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { serverBench } from '../../../tests/support/server-bench'
import { performOnCollection } from '../../kernel/perform'
import { buyCsv, buyQuestion, buyView, heldByUid, listHeld, moneyCsv, moneyView, offersForNeed, onTheWay, placesOfParts } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const collection = <N extends CollectionCommandName>(name: N, input: CommandRequest<N>) =>
  performOnCollection(on.bench, on.ilka, name, readCommandInput(name, input) as never, { id: uuidv7() }).result
const hold = (name: string, more: Partial<CommandRequest<'hold-part'>> = {}) =>
  (collection('hold-part', { name, condition: 'new', count: 1, at: 'shelf', ...more }) as { heldId: number }).heldId
const ledger = () => (['here', 'returned', 'scrapped', 'given', 'missed'] as const).flatMap(at => listHeld(on.db, HeldQuery.parse({ at })).rows)
const held = (id: number) => ledger().find(h => h.id === id)!
const move = (heldId: number, more: Partial<CommandRequest<'move-held'>>) =>
  collection('move-held', { heldId, version: held(heldId).version, count: held(heldId).count, to: 'shelf', ...more } as CommandRequest<'move-held'>)
const want = (tag: string, name: string, more: Partial<CommandRequest<'want-part'>> = {}) =>
  perform(tag, 'want-part', { name, quantity: 1, stops: 'start', ...more })
async function buy() {
  const question = await buyQuestion(on.db)
  return buyView(on.db, question, toBuy(question.input.needs, question.input.coming, question.input.bought), on.bench.now())
}
const drafts = async () => (await buy()).drafts.map(d => [d.supplier, ...d.lines.map(l => `${l.count} × ${l.name} ${l.unitPrice}`)])

it('what is wanted and neither here nor coming is bought where the last came from; ordered, it is not bought again, and it arrives', async () => {
  const [one, other] = [bookIn({ nickname: 'One' }), bookIn({ nickname: 'Other' })]
  want(one, 'Gannet membrane')
  want(other, 'Gannet membrane', { quantity: 2 })
  want(other, 'Lid', { stops: 'looks' })
  move(hold('Gannet membrane', { at: 'ordered', source: 'a maker', unitPrice: 34, condition: 'not-looked-at' }), { to: 'missed' })
  expect(await drafts()).toEqual([
    ['a maker', '3 × Gannet membrane 34'],
    ['', '1 × Lid null'],
  ])
  const [draft] = (await buy()).drafts
  expect(draft!.lines[0]).toMatchObject({ starts: [{ machine: 'One' }, { machine: 'Other' }], wants: [{ tag: one, asks: '' }, { tag: other }] })
  expect(draft!.lead).toContain('A first guess: 14 days')
  expect(buyCsv(await buy())).toContain(`a maker,Gannet membrane,,3,34,102,"${one}, ${other}"`)

  const line = { name: 'Gannet membrane', count: 3, unitPrice: 34 }
  expect(() => collection('place-order', { supplier: 'a maker', lines: [{ ...line, kind: 'fuse', spec: { ratingA: 'a lot' } }] })).toThrow(
    expect.objectContaining({ field: 'spec.ratingA' }) as Error,
  )
  expect(ledger()).toHaveLength(1)
  collection('place-order', { supplier: 'a maker', dueBy: '2026-02-01', lines: [line] })
  expect(await drafts()).toEqual([['', '1 × Lid null']])
  const [coming] = onTheWay(on.db, '2026-03-01').lines
  expect([coming!.late, coming!.holdsUp.map(h => h.tag)]).toEqual([true, [one, other]])
  expect(moneyView(on.db).onOrder).toBe(102)

  move(coming!.held.id, { to: 'arrived' })
  expect([onTheWay(on.db, '2026-03-01').lines.map(l => [l.held.at, l.late]), moneyView(on.db).onOrder]).toEqual([[['arrived', false]], 102])
  move(coming!.held.id, { to: 'shelf', condition: 'new', tested: 'every line through', lies: 'Box B' })
  expect([onTheWay(on.db, '2026-03-01').lines, moneyView(on.db).onShelf, placesOfParts(on.db)]).toEqual([[], 102, [{ name: 'Box B', lines: 1 }]])
})

it('is looked for here first where only a name says so, and a donor is asked for nothing', async () => {
  const tag = bookIn()
  want(tag, 'Fan')
  hold('Quiet fan')
  expect([await drafts(), (await buy()).lookFirst.map(l => [l.name, l.tag])]).toEqual([[], [['Fan', tag]]])
})

it('what is given away goes by a coordinator, and what comes for it is on its way', () => {
  const id = hold('Petrel modulator', { count: 2, lies: 'Box B' })
  expect(() => collection('move-held', { heldId: id, version: 1, count: 1, to: 'given', holder: 'Varnsund', tested: 'a picture' } as never)).toThrow(
    'coordinator',
  )
  collection('give-away', { heldId: id, version: 1, count: 1, holder: 'Varnsund', tested: 'a picture', inReturn: 'Gannet membrane', dueBy: '2026-04-01' })
  expect(ledger().map(h => [h.name, h.at, h.count, h.source, h.holder])).toEqual([
    ['Gannet membrane', 'pledged', 1, 'Varnsund', ''],
    ['Petrel modulator', 'shelf', 1, '', ''],
    ['Petrel modulator', 'given', 1, '', 'Varnsund'],
  ])
  expect(() => collection('spare-part', { heldId: ledger()[0]!.id, version: 1, spared: true })).toThrow(expect.objectContaining({ field: 'spared' }) as Error)
  collection('spare-part', { heldId: id, version: 2, spared: true })
  expect(held(id).spared).toBe(true)
  // What can be spared is spared only while it lies there.
  move(id, { to: 'scrapped' })
  expect(held(id).spared).toBe(false)
})

it('bags are put in a box by their codes, and nothing that lies nowhere', () => {
  const [bag, away] = [hold('Fan', { lies: 'Box A' }), hold('Lid', { at: 'ordered', source: 'a shop' })]
  const uid = held(bag).uid
  collection('put-here', { uids: [uid], lies: 'Box B' })
  expect(heldByUid(on.db, uid)).toMatchObject({ lies: 'Box B', version: 2 })
  expect(heldByUid(on.db, uid).trail.at(-1)!.says).toBe('Put in Box B.')
  expect(() => collection('put-here', { uids: [uid, held(away).uid], lies: 'Box C' })).toThrow('lies in no place of ours')
  expect(held(bag).lies).toBe('Box B')
  expect(() => heldByUid(on.db, uuidv7())).toThrow('No part on record has this code.')
})

it('what comes out of a donor takes along what was wrong there', async () => {
  const [donor, taker] = [bookIn({ nickname: 'Ferry 3' }), bookIn()]
  perform(donor, 'report-fault', { symptom: 'Two dead columns', stopsMachine: false } as never)
  perform(donor, 'appraise', {
    version: 0,
    significance: { historic: 1, research: 1, rarity: 1, completeness: 1, show: 1 },
    hoursLow: 1,
    hoursHigh: 2,
    costLow: 0,
    costHigh: 5,
    irreplaceable: [],
  } as never)
  perform(donor, 'choose-path', { path: 'donor', reason: 'Its board is eaten through' })
  const id = hold('Gannet keyboard', { at: 'donor', tag: donor, condition: 'used' })
  want(taker, 'Keyboard')
  expect(offersForNeed(on.db, sheet(taker).parts[0]!.id)[0]!.donorFaults).toEqual(['Two dead columns'])
  move(id, { to: 'shelf', lies: 'Box B' })
  expect(held(id).trail.at(-1)!.says).toBe(`On the shelf. Wrong with ${donor}, where it was: Two dead columns.`)
  expect((await buy()).lookFirst.map(l => l.name)).toEqual(['Keyboard'])
})

it('money is told against the estimate and what an owner agreed to', () => {
  const [ours, theirs] = [bookIn({ nickname: 'Ours' }), bookIn({ nickname: 'Theirs', acquired: 'lent', owner: 'Pilots’ trust' })]
  perform(theirs, 'record-consent', { version: 0, allowed: ['repair'], upTo: 20, mustAsk: '', agreedWith: 'its secretary', agreedOn: '' } as never)
  perform(ours, 'record-spending', { what: 'a fuse', amount: 3 })
  move(hold('Fuse', { unitPrice: 2, count: 2 }), { to: 'fitted', tag: ours })
  const { rows, spent, parts } = moneyView(on.db)
  expect(rows.map(r => [r.machine, r.spent, r.parts, r.agreed, r.finding.code])).toEqual([
    ['Ours', 7, 4, null, 'money.unknown'],
    ['Theirs', 0, 0, 20, 'money.left'],
  ])
  expect([spent, parts]).toEqual([7, 4])
  expect(moneyCsv(moneyView(on.db))).toContain(',The collection,7,,,,4,')
})

it('what a part cost is spent on the machine that it goes into, not beyond what its owner agreed to, and no more once it is out', () => {
  const theirs = bookIn({ acquired: 'lent', owner: 'Pilots’ trust' })
  perform(theirs, 'record-consent', {
    version: 0,
    allowed: ['repair', 'substitute'],
    upTo: 30,
    mustAsk: '',
    agreedWith: 'its secretary',
    agreedOn: '',
  } as never)
  const spent = () => sheet(theirs).stewardship.spent
  const [fan, belt, lamp] = [hold('Fan', { unitPrice: 20 }), hold('Belt', { unitPrice: 12 }), hold('Lamp')]
  move(fan, { to: 'promised', tag: theirs })
  expect(spent()).toBe(20)
  expect(() => move(belt, { to: 'promised', tag: theirs })).toThrow('more than the owner approved')
  expect(() => perform(theirs, 'record-spending', { what: 'a fuse', amount: 11 })).toThrow('more than the owner approved')
  move(fan, { to: 'fitted', tag: theirs })
  move(lamp, { to: 'fitted', tag: theirs })
  expect(spent()).toBe(20)
  move(fan, { to: 'shelf' })
  move(belt, { to: 'fitted', tag: theirs })
  expect(spent()).toBe(12)
})

it('parts that the records ask for are proposed, and asked about once', () => {
  const tag = bookIn()
  perform(tag, 'add-assembly', { name: 'Video card' } as never)
  const { id, version } = sheet(tag).assemblies.at(-1)!
  perform(tag, 'grade-assembly', { assemblyId: id, version, presence: 'missing', grade: null, note: '' } as never)
  expect(sheet(tag).arising.map(a => a.name)).toEqual(['Video card'])
  perform(tag, 'decline-part', { name: 'Video card', place: '' })
  expect([sheet(tag).arising, sheet(tag).parts.map(p => p.outcome)]).toEqual([[], ['not-needed']])
})

it('the shelf is bought for where fewer lie there than should, with what is coming counted', async () => {
  const id = hold('Fuse', { count: 2, keepAtLeast: 10, source: 'a shop', unitPrice: 0.3 })
  expect((await buy()).drafts.map(d => [d.supplier, d.lines.map(l => [l.name, l.count, l.keep, l.unitPrice])])).toEqual([['a shop', [['Fuse', 8, 10, 0.3]]]])
  expect(buyCsv(await buy())).toContain('a shop,Fuse,,8,0.3,2.4,the shelf')
  hold('fuse', { at: 'ordered', source: 'a shop', count: 6, condition: 'not-looked-at' })
  expect((await buy()).drafts[0]!.lines.map(l => l.count)).toEqual([2])
  move(id, { to: 'scrapped', count: 1 })
  expect((await buy()).drafts[0]!.lines.map(l => l.count)).toEqual([3])
  // The last one that lay there has gone: that is when it is missed most.
  move(id, { to: 'fitted', tag: bookIn() })
  expect((await buy()).drafts[0]!.lines.map(l => [l.count, l.keep])).toEqual([[4, 10]])
})

it('what is bought for a machine that is not ours says what its owner is asked first', async () => {
  const tag = bookIn({ nickname: 'Theirs', acquired: 'lent', owner: 'Pilots’ trust' })
  want(tag, 'Fuse')
  const asks = async () => (await buy()).drafts[0]!.lines[0]!.wants.map(w => w.asks)
  expect(await asks()).toEqual(['its owner has not agreed to a repair'])
  perform(tag, 'record-consent', { version: 0, allowed: ['repair'], upTo: 20, mustAsk: '', agreedWith: 'its secretary', agreedOn: '' } as never)
  perform(tag, 'record-spending', { what: 'a lead', amount: 5 })
  expect(await asks()).toEqual(['its owner agreed to €15.00 more'])
  expect(buyCsv(await buy())).toContain(`${tag}: its owner agreed to €15.00 more`)
})
