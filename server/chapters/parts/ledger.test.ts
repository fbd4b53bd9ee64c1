import { describe, expect, it } from 'vitest'
import { v7 as uuidv7 } from 'uuid'
import { type CollectionCommandName, type CommandRequest, readCommandInput } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { serverBench } from '../../../tests/support/server-bench'
import { performOnCollection } from '../../kernel/perform'
import { historyOf } from '../../kernel/history/history'
import Papa from 'papaparse'
import { dueParts, heldAsCsv, listHeld, offersForNeed, wantedAsCsv } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const collection = <N extends CollectionCommandName>(name: N, input: CommandRequest<N>) =>
  performOnCollection(on.bench, on.ilka, name, readCommandInput(name, input) as never, { id: uuidv7() }).result
const hold = (more: Partial<CommandRequest<'hold-part'>> = {}) =>
  (collection('hold-part', { name: 'Gannet membrane', condition: 'new', count: 2, at: 'shelf', lies: 'Box B', ...more }) as { heldId: number }).heldId
const move = (heldId: number, more: Partial<CommandRequest<'move-held'>>) =>
  collection('move-held', { heldId, version: held(heldId).version, count: 1, to: 'shelf', ...more } as CommandRequest<'move-held'>)
const ledger = () => (['here', 'returned', 'scrapped'] as const).flatMap(at => listHeld(on.db, HeldQuery.parse({ at })).rows)
const held = (id: number) => ledger().find(h => h.id === id)!
const units = () => ledger().reduce((n, h) => n + h.count, 0)
const want = (tag: string, more: Partial<CommandRequest<'want-part'>> = {}) => {
  perform(tag, 'want-part', { name: 'Membrane', quantity: 1, stops: 'start', ...more })
  return sheet(tag).parts.at(-1)!
}
const meet = (tag: string, partId: number, heldId: number, more: Partial<CommandRequest<'meet-need'>> = {}) =>
  perform(tag, 'meet-need', { partId, heldId, version: held(heldId).version, count: 1, to: 'fitted', ...more })
const agreed = (tag: string, version: number, allowed: string[]) =>
  perform(tag, 'record-consent', { version, allowed, upTo: 0, mustAsk: '', agreedWith: 'its secretary', agreedOn: '' } as never)
const donor = (more = {}) => {
  const tag = bookIn({ nickname: 'Ferry 3', ...more })
  perform(tag, 'appraise', {
    version: 0,
    significance: { historic: 1, research: 1, rarity: 1, completeness: 1, show: 1 },
    ...Object.fromEntries(['hoursLow', 'hoursHigh', 'costLow', 'costHigh'].map((name, at) => [name, 10 + at])),
    irreplaceable: [],
  } as never)
  if ('owner' in more) agreed(tag, 0, ['open', 'donor'])
  perform(tag, 'choose-path', { path: 'donor', reason: 'Its board is eaten through' })
  return tag
}

describe('a need that is met', () => {
  it('is met from the shelf in one press, which says who else wanted the same; both are in the histories, and a start waits no more', () => {
    const [one, other] = [bookIn(), bookIn()]
    const need = want(one)
    want(other, { stops: 'looks' })
    const heldId = hold()
    const offers = offersForNeed(on.db, need.id)
    expect(offers.map(o => [o.held.id, o.verdict, o.alsoFor])).toEqual([[heldId, 'not-known', [{ tag: other, name: 'Membrane', stops: 'looks' }]]])
    meet(one, need.id, heldId, { to: 'promised' })
    expect(sheet(one).moves.map(m => m.says)).toContain('Fit Membrane, from Box B')
    expect(sheet(one).parts[0]!.outcome).toBe('wanted')
    meet(one, need.id, sheet(one).held[0]!.id)
    expect(sheet(one).parts[0]!.outcome).toBe('fitted')
    expect(sheet(one).held.map(h => [h.at, h.count])).toEqual([['fitted', 1]])
    expect(sheet(one).history.map(h => h.says)).toContain(`1 × Gannet membrane: set aside for ${one} before, now fitted in ${one}; new.`)
    expect([held(heldId).count, units()]).toEqual([1, 2])
  })

  it('is not met by what does not fit, whatever it is called; one for a first start alone lets it be lived with', () => {
    const tag = bookIn()
    const spec = (ratingA: string) => ({ kind: 'fuse' as const, spec: { ratingA, speed: 'slow', breakingA: 35, voltageV: 250, size: '5 × 20 mm' } })
    const need = want(tag, { name: 'Mains fuse', ...spec('1') })
    const [larger, glass, lid, smaller] = [
      hold({ name: 'Mains fuse', ...spec('2') }),
      hold({ name: 'Glass', ...spec('2') }),
      hold({ name: 'Lid' }),
      hold({ name: 'Fuse', ...spec('0.8') }),
    ]
    for (const heldId of [larger, glass, lid]) expect(() => meet(tag, need.id, heldId)).toThrow(expect.objectContaining({ field: 'heldId' }) as Error)
    expect(sheet(tag).moves.some(m => m.code === 'part')).toBe(true)
    meet(tag, need.id, smaller)
    expect(sheet(tag).parts[0]).toMatchObject({ outcome: 'wanted', workaround: 'Fuse, for a first start' })
    expect(sheet(tag).moves.some(m => m.code === 'part')).toBe(false)
    expect(
      sheet(tag)
        .history.map(h => h.says)
        .join(),
    ).toContain('until then: Fuse, for a first start')
  })

  it('asks an owner who agreed to like parts before anything else is fitted, and nobody fits what nobody looked at', () => {
    const tag = bookIn({ acquired: 'lent', owner: 'Pilots’ trust' })
    agreed(tag, 0, ['open', 'repair'])
    const need = want(tag)
    const heldId = hold()
    expect(() => meet(tag, need.id, heldId)).toThrow('Ask Pilots’ trust first: fit substitute parts')
    agreed(tag, 1, ['open', 'repair', 'substitute'])
    meet(tag, need.id, heldId, { to: 'promised' })
    const other = bookIn()
    const unseen = hold({ condition: 'not-looked-at' })
    expect(() => meet(other, want(other).id, unseen)).toThrow(expect.objectContaining({ field: 'tested' }) as Error)
  })

  it('is wanted again once the part is taken out, and what was set aside for one that is not needed lies on the shelf', () => {
    const tag = bookIn()
    const need = want(tag, { quantity: 2 })
    const heldId = hold({ count: 3 })
    meet(tag, need.id, heldId)
    meet(tag, need.id, heldId, { to: 'promised' })
    expect(sheet(tag).parts[0]!.outcome).toBe('wanted')
    expect(() => meet(tag, need.id, heldId)).toThrow('wanted 2 times, and 2 of it is there already')
    meet(tag, need.id, sheet(tag).held.find(h => h.at === 'promised')!.id)
    expect(sheet(tag).parts[0]!.outcome).toBe('fitted')
    move(sheet(tag).held[0]!.id, { to: 'shelf' })
    expect(sheet(tag).parts[0]!.outcome).toBe('wanted')
    meet(tag, need.id, heldId, { to: 'promised' })
    perform(tag, 'settle-part', { partId: need.id, version: sheet(tag).parts[0]!.version, outcome: 'not-needed' })
    expect(sheet(tag).held.map(h => h.at)).toEqual(['fitted'])
    expect(units()).toBe(3)
  })

  it('comes from a donor with its owner’s leave, and both machines tell of it', () => {
    const [giver, taker] = [donor(), bookIn()]
    const need = want(taker)
    const heldId = hold({ at: 'donor', tag: giver, condition: 'used', count: 1, dateCode: '8801' })
    meet(taker, need.id, heldId, { condition: 'tested', tested: 'all keys answer' })
    for (const tag of [giver, taker])
      expect(
        sheet(tag)
          .history.map(h => h.says)
          .join(),
      ).toContain(`still in ${giver} before, now fitted in ${taker}; used, tested good: all keys answer`)
    // Its date code travels with it, and dates nothing.
    expect(sheet(taker).dateCodes).toEqual([])
    expect(held(heldId).trail.map(t => t.says)).toEqual([`Put on record: still in a donor, ${giver}.`, `Fitted, ${taker}. all keys answer`])
    expect(() => hold({ at: 'donor', tag: taker })).toThrow('is not chosen to give its parts')
  })

  it('a part in a machine that is lent to the house is not taken before its owner said so', () => {
    const tag = donor({ acquired: 'lent', owner: 'Pilots’ trust' })
    const heldId = hold({ at: 'donor', tag })
    agreed(tag, 1, ['open'])
    expect(() => hold({ at: 'donor', tag })).toThrow('Ask Pilots’ trust first')
    expect(() => move(heldId, { to: 'shelf' })).toThrow('Ask Pilots’ trust first')
    const taker = bookIn()
    expect(() => meet(taker, want(taker).id, heldId)).toThrow('Ask Pilots’ trust first')
    expect(held(heldId).at).toBe('donor')
  })
})

it('what arrives is looked at before it counts; what was lent comes back tested, or is written off', () => {
  const heldId = hold({ at: 'ordered', condition: 'not-looked-at', source: 'a maker of membranes', dueBy: '2026-03-01' })
  expect(held(heldId).dueBy).toBe('2026-03-01')
  move(heldId, { count: 2, to: 'arrived' })
  expect(() => move(heldId, { count: 2, to: 'shelf' })).toThrow(expect.objectContaining({ field: 'tested' }) as Error)
  move(heldId, { to: 'returned', tested: 'wrong pitch', condition: 'bad' })
  move(heldId, { to: 'shelf', tested: 'pitch and tails as the old one', condition: 'new' })
  move(heldId, { to: 'lent', holder: 'Varnsund Pilot Office', dueBy: '2026-04-01', tested: 'all lines through' })
  expect(() => move(heldId, { to: 'scrapped' })).toThrow('written off by a coordinator')
  collection('write-off-loan', { heldId, version: held(heldId).version, reason: 'lost in the post' })
  expect(
    ledger()
      .map(h => [h.at, h.count])
      .sort(),
  ).toEqual([
    ['returned', 1],
    ['scrapped', 1],
  ])
})

it('refuses what does not do at its field, and keeps nothing of it', () => {
  expect(() => hold({ at: 'ordered' })).toThrow(expect.objectContaining({ field: 'source' }) as Error)
  expect(() => hold({ lender: 'Varnsund' })).toThrow(expect.objectContaining({ field: 'backBy' }) as Error)
  expect(() => hold({ kind: 'fuse', spec: { ratingA: 'a lot' } })).toThrow(expect.objectContaining({ field: 'spec.ratingA' }) as Error)
  const heldId = hold({ kind: 'fuse', spec: { ratingA: '800m', speed: 'slow', size: '' } })
  expect(held(heldId).spec).toEqual({ ratingA: 0.8, speed: 'slow' })
  expect(() => move(heldId, { to: 'fitted', tag: 'M-1' })).toThrow(expect.objectContaining({ field: 'tag' }) as Error)
  expect(() => collection('move-held', { heldId, version: 9, count: 1, to: 'scrapped' } as never)).toThrow('changed')
  expect(units()).toBe(2)
  expect(historyOf(on.db, 1)).toEqual([])
})

it('what is due says what it holds up, and what is held and wanted is taken away as tables', async () => {
  const tag = bookIn()
  want(tag, { name: 'Membrane, =1+1' })
  hold({ name: 'Membrane', at: 'ordered', condition: 'not-looked-at', source: 'a maker', dueBy: '2026-03-01' })
  hold({ name: 'Fan', lender: 'Varnsund', backBy: '2026-03-05', lies: '=HYPERLINK("x")' })
  hold({ name: 'Lid' })
  expect(dueParts(on.db, '2026-03-04').map(d => [d.held.name, d.by, d.goesBack, d.holdsUp.map(h => h.tag)])).toEqual([['Membrane', '2026-03-01', false, [tag]]])
  want(tag)
  expect(dueParts(on.db, '2026-03-10').map(d => [d.held.name, d.by, d.goesBack, d.holdsUp.map(h => h.tag)])).toEqual([
    ['Membrane', '2026-03-01', false, [tag, tag]],
    ['Fan', '2026-03-05', true, []],
  ])
  const table = async (pieces: AsyncGenerator<string>) => {
    let text = ''
    for await (const piece of pieces) text += piece
    return Papa.parse<Record<string, string>>(text.slice(1), { header: true, skipEmptyLines: true }).data
  }
  expect((await table(heldAsCsv(on.db, HeldQuery.parse({})))).map(r => [r.Part, r['How many'], r['Lies in']])).toEqual([
    ['Fan', '2', `'=HYPERLINK("x")`],
    ['Lid', '2', 'Box B'],
    ['Membrane', '2', 'Box B'],
  ])
  expect((await table(wantedAsCsv(on.db))).map(r => [r.Part, r['For machine'], r['What hangs on it']])).toEqual([
    ['Membrane, =1+1', tag, 'Cannot be started without it'],
    ['Membrane', tag, 'Cannot be started without it'],
  ])
})
