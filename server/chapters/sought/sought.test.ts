import { v7 as uuidv7 } from 'uuid'
import { describe, expect, it } from 'vitest'
import Papa from 'papaparse'
import { mostWaitingOffers } from '#core/sharing/sought'
import { type CollectionCommandName, type CommandRequest, readCommandInput } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { OfferMade } from '#shared/chapters/sought/index'
import { serverBench } from '../../../tests/support/server-bench'
import { performOnCollection } from '../../kernel/perform'
import { listHeld } from '../parts/index'
import { keepOffer, lineOf, offersView, offersWaiting, soughtCsv, soughtFeed, soughtPicture, soughtView } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const collection = <N extends CollectionCommandName>(name: N, input: CommandRequest<N>) =>
  performOnCollection(on.bench, on.ilka, name, readCommandInput(name, input) as never, { id: uuidv7() }).result
const open = (greeting = '') => collection('set-board', { version: offersView(on.db).board.version, open: true, greeting })
const show = (tag: string, says = '', shows = true) => perform(tag, 'show-wants', { shows, says, photographId: null })
const want = (tag: string, name: string, more: Partial<CommandRequest<'want-part'>> = {}) => {
  perform(tag, 'want-part', { name, quantity: 1, stops: 'start', ...more })
  return `w${sheet(tag).parts.at(-1)!.id}`
}
const list = () => soughtView(on.bench)
const offer = (about: string, more: Partial<OfferMade> = {}) =>
  keepOffer(
    on.db,
    on.bench.now().toISOString(),
    OfferMade.parse({ about, kind: 'have', who: 'Ottilie Brask', reach: 'ottilie@post.example', says: 'One in the loft', ...more }),
    lineOf(on.db, about),
  )
const offers = () => offersView(on.db).offers

describe('the public list', () => {
  it('is closed until somebody opens it, and shows what machines want by choice, and nothing private', async () => {
    const [shown, hidden] = [bookIn({ nickname: 'Chapel', name: 'Gannet', maker: 'Pentreath Micro', fromWhom: 'Wilma Strand', place: 'Crypt' }), bookIn()]
    want(shown, 'Membrane, as Ilka Brandvold or Wilma Strand has in the Crypt', {
      workaround: 'Wilma types for it',
      wouldDo: 'Petrel membrane: no function keys\nBare foil',
      place: 'her attic',
    })
    want(hidden, 'Lid')
    await expect(list()).rejects.toThrow('no public list')
    open('Write to us.')
    expect((await list()).wanted).toEqual([])
    show(shown, 'Wilma Strand would like to see it run')
    const { wanted, greeting, collection: house } = await list()
    expect([greeting, house !== ''].join()).toBe('Write to us.,true')
    expect(wanted).toHaveLength(1)
    expect(wanted[0]).toMatchObject({
      name: 'Membrane, as somebody or whoever gave it has in a place',
      model: 'Pentreath Micro Gannet',
      says: 'whoever gave it would like to see it run',
      wouldDo: [
        { name: 'Petrel membrane', limit: 'no function keys', firstStart: false },
        { name: 'Bare foil', limit: '', firstStart: false },
      ],
      picture: false,
    })
    expect(JSON.stringify(await list())).not.toMatch(/Wilma|Brandvold|Crypt|attic|Chapel|SH-|Lid/)
    show(shown, '', false)
    expect((await list()).wanted).toEqual([])
  })

  it('is the same object until something in it changes, though it stands in the history of another machine', async () => {
    const tag = bookIn()
    open()
    show(tag)
    const before = await list()
    expect(await list()).toBe(before)
    const { heldId } = collection('hold-part', { name: 'Lid', condition: 'used', count: 1, at: 'shelf', source: 'Wilma Strand' }) as { heldId: number }
    collection('spare-part', { heldId, version: 1, spared: true })
    const spared = await list()
    expect(spared.spared.map(p => [p.key, p.name, p.condition])).toEqual([[`s${heldId}`, 'Lid', 'used']])
    collection('move-held', { heldId, version: 2, count: 1, to: 'fitted', tag: bookIn(), condition: 'tested', tested: 'closes' })
    expect((await list()).spared).toEqual([])
    expect(() => lineOf(on.db, `s${heldId}`)).toThrow('not on the list any more')
  })

  it('names nobody who came to the house after it was written', async () => {
    const tag = bookIn()
    open()
    show(tag, 'Tuva Lindahl would lend hers')
    want(tag, 'Lid')
    expect((await list()).wanted[0]!.says).toBe('Tuva Lindahl would lend hers')
    on.collection('add-person', { name: 'Tuva Lindahl', signInName: 'tuva', role: 'volunteer', passwordHash: 'x' })
    expect((await list()).wanted[0]!.says).toBe('somebody would lend hers')
  })

  it('goes out as a table, as Atom and as JSON, with whatever people typed in it as text', async () => {
    const tag = bookIn({ name: 'Gannet', maker: 'Pentreath Micro' })
    open()
    show(tag)
    const key = want(tag, '=HYPERLINK("x") <b>&]]>', { stops: 'looks' })
    want(tag, 'Lid', { stops: 'looks' })
    const table = Papa.parse<Record<string, string>>(soughtCsv(await list()), { header: true, skipEmptyLines: true }).data
    expect(table.map(row => [row.Part, row.For])).toEqual([
      [`'=HYPERLINK("x") <b>&]]>`, 'Pentreath Micro Gannet'],
      ['Lid', 'Pentreath Micro Gannet'],
    ])
    const atom = soughtFeed(await list(), 'https://bench.example', 'atom')
    expect(atom).toContain('<id>https://bench.example/sought/' + key + '</id>')
    expect(atom).toContain('&lt;b&gt;&amp;]]&gt;')
    expect(atom).not.toContain('<b>')
    const json = JSON.parse(soughtFeed(await list(), 'https://bench.example', 'json')) as { version: string; items: { id: string; title: string }[] }
    expect(json.version).toContain('jsonfeed.org/version/1')
    expect(json.items.find(i => i.id.endsWith(key))!.title).toBe('Sought: =HYPERLINK("x") <b>&]]>, for Pentreath Micro Gannet')
    for (const wrong of ['w999', 's1', 'x', key]) expect(() => soughtPicture(on.db, wrong)).toThrow('no such picture')
  })

  it('asks an owner who has not agreed to show it', () => {
    const tag = bookIn({ acquired: 'lent', owner: 'Pilots’ trust' })
    expect(() => show(tag)).toThrow('Ask Pilots’ trust first')
    show(tag, '', false)
  })

  it('shows nothing of a machine any more once its owner has changed their mind', async () => {
    const tag = bookIn({ acquired: 'lent', owner: 'Pilots’ trust' })
    const agreed = (version: number, allowed: string[]) =>
      perform(tag, 'record-consent', { version, allowed, upTo: 0, mustAsk: '', agreedWith: 'its secretary', agreedOn: '' } as never)
    agreed(0, ['show'])
    open()
    show(tag)
    const key = want(tag, 'Lid')
    expect((await list()).wanted).toHaveLength(1)
    agreed(1, ['open'])
    expect((await list()).wanted).toEqual([])
    expect(() => lineOf(on.db, key)).toThrow('not on the list any more')
  })
})

describe('what is offered', () => {
  const shown = () => {
    const tag = bookIn({ nickname: 'Ferry' })
    open()
    show(tag)
    return { tag, key: want(tag, 'Membrane') }
  }
  it('is in no history before somebody takes it up; then it is promised in the ledger, and goes its way', () => {
    const { tag, key } = shown()
    const before = sheet(tag).history.length
    offer(key)
    expect([offersWaiting(on.db), sheet(tag).history.length]).toEqual([1, before])
    const [one] = offers()
    expect(one).toMatchObject({ name: 'Membrane', tag, who: 'Ottilie Brask', reach: 'ottilie@post.example', ours: false, taken: false })
    const take = (more: Partial<CommandRequest<'take-up-offer'>> = {}) =>
      collection('take-up-offer', { offerId: one!.id, version: offers()[0]!.version, terms: 'given', count: 2, ...more })
    expect(() => take({ terms: 'lent' })).toThrow(expect.objectContaining({ field: 'backBy' }) as Error)
    take({ terms: 'lent', backBy: '2026-06-01', dueBy: '2026-04-01' })
    expect(listHeld(on.db, HeldQuery.parse({})).rows).toMatchObject([
      { name: 'Membrane', count: 2, at: 'pledged', source: 'Ottilie Brask', lender: 'Ottilie Brask', backBy: '2026-06-01', dueBy: '2026-04-01' },
    ])
    expect(() => take()).toThrow('taken up already')
    expect([offersWaiting(on.db), sheet(tag).history[0]!.says]).toEqual([0, 'Ottilie Brask’s offer taken up: Membrane, lent.'])
    collection('clear-offer', { offerId: one!.id, version: 2 })
    expect(offers()).toEqual([])
  })

  it('is turned down and forgotten; one who knows of one brings nothing into the ledger; the house offers too', () => {
    const { tag, key } = shown()
    offer(key, { kind: 'know' })
    perform(tag, 'want-part', { name: 'Fan', quantity: 1, stops: 'start' })
    collection('offer-part', { partId: sheet(tag).parts[0]!.id, kind: 'have', says: 'At home' })
    expect(offers().map(o => [o.kind, o.ours, o.who])).toEqual([
      ['have', true, on.ilka.name],
      ['know', false, 'Ottilie Brask'],
    ])
    const [ours, known] = offers()
    collection('take-up-offer', { offerId: known!.id, version: 1, terms: 'given', count: 1 })
    expect(listHeld(on.db, HeldQuery.parse({})).rows).toEqual([])
    collection('clear-offer', { offerId: ours!.id, version: 1 })
    expect(offers().map(o => o.id)).toEqual([known!.id])
    expect(() => collection('clear-offer', { offerId: known!.id, version: 1 })).toThrow('changed')
  })

  it('is bounded: to lines that are shown, to what may be said of them, and to as many as anybody looks over', () => {
    const { tag, key } = shown()
    expect(() => offer(key, { kind: 'want' })).toThrow(expect.objectContaining({ field: 'kind' }) as Error)
    for (const wrong of ['w99', 's1']) expect(() => offer(wrong)).toThrow('not on the list any more')
    for (const [field, value] of [
      ['who', ''],
      ['reach', 'x'.repeat(121)],
      ['says', 'x'.repeat(601)],
      ['about', 'w0'],
      ['about', "w1' or 1=1"],
    ])
      expect(OfferMade.safeParse({ about: key, kind: 'have', who: 'a', reach: 'b', says: 'c', [field!]: value }).error?.issues[0]?.path).toEqual([field])
    for (let n = 0; n < mostWaitingOffers; n++) offer(key)
    expect(() => offer(key)).toThrow('More offers wait than we can look over')
    perform(tag, 'settle-part', { partId: Number(key.slice(1)), version: 1, outcome: 'fitted' })
    expect(() => offer(key)).toThrow('not on the list any more')
  })
})
