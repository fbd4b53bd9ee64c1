import highs from 'highs'
import { describe, expect, it } from 'vitest'
import { type CommandRequest, commands, readCommandInput } from '#shared/chapters/index'
import { HeldQuery } from '#shared/chapters/parts/index'
import { RecapOrderQuery } from '#shared/chapters/recap/index'
import { recapOrder } from '#core/parts/recap/order'
import type { Solve } from '#core/kernel/programme'
import { serverBench } from '../../../tests/support/server-bench'
import { performOnCollection } from '../../kernel/perform'
import { listHeld } from '../parts/index'
import { offersForCapacitor, placesOnBoards, recapMachines, recapOrderCsv, recapOrderView, recapQuestion } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const collection = (name: 'set-prices' | 'hold-part', input: object) =>
  performOnCollection(on.bench, on.ilka, name, readCommandInput(name, input as never) as never).result
const { solve: run } = await highs()
const solve: Solve = programme => {
  const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
  return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal])) }
}
const listed = (typed = 'C1, C2 470u 25V radial electrolytic\nC9 100n 250VAC X2', more = {}) => {
  const tag = bookIn(more)
  perform(tag, 'list-capacitors', { assembly: 'Supply', typed })
  return tag
}
const one = (tag: string, place: string) => sheet(tag).recap.capacitors.find(c => c.place === place)!
type Acts = 'measure-capacitor' | 'put-back-capacitor' | 'take-out-capacitor' | 'fit-capacitor' | 'change-capacitor' | 'drop-capacitor'
const act = <N extends Acts>(tag: string, place: string, name: N, input: Partial<CommandRequest<N>>) =>
  perform(tag, name, { capacitorId: one(tag, place).id, version: one(tag, place).version, ...input } as never)
const out = (tag: string, place: string) => act(tag, place, 'take-out-capacitor', { plus: 'towards the edge', fixing: 'none', bagged: true })
const gate = (tag: string) => sheet(tag).power.heard.map(h => h.finding.code)
const says = (tag: string) =>
  sheet(tag)
    .history.map(h => h.says)
    .join('\n')

describe('a list of capacitors', () => {
  it('is kept as it was typed, or not at all, with the line that cannot be read', () => {
    const tag = bookIn()
    const list = (typed: string) => perform(tag, 'list-capacitors', { assembly: 'Supply', typed })
    expect(() => list('C1 470u 25V\nrubbish\nC3')).toThrow('Line 2: It begins with no place. Write the place first, such as C12. 1 more cannot be read.')
    expect(() => list('# nothing')).toThrow('a line for each')
    expect(sheet(tag).recap.capacitors).toEqual([])
    list('C1 470u 25V')
    expect(() => list('C1 100u 25V\nC2 1u')).toThrow('C1: listed on Supply already.')
    expect(sheet(tag).recap.capacitors.map(c => [c.place, c.state, c.due])).toEqual([['C1', 'in', 'after-start']])
    perform(tag, 'list-capacitors', { assembly: 'Main board', typed: 'C1 100u 25V' })
    expect(says(tag)).toContain('1 capacitor of Main board listed.')
  })

  it('is taken over from a sister without what was found there, once', () => {
    const { modelId } = on.collection(
      'add-model',
      commands['add-model'].parse({ maker: 'Tarnwick Instruments', name: 'Petrel 8', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
    ) as { modelId: number }
    const sister = listed(undefined, { modelId })
    act(sister, 'C1', 'change-capacitor', {
      assembly: 'Supply',
      place: 'C1',
      spec: { capacitanceF: '470u' },
      fixing: 'none',
      stressed: false,
      looksBad: true,
      note: '',
    })
    const tag = bookIn({ modelId })
    expect(sheet(tag).recap.from).toContainEqual(expect.objectContaining({ tag: sister, capacitors: 3 }))
    perform(tag, 'take-over-capacitors', { fromTag: sister })
    expect(sheet(tag).recap.capacitors.map(c => [c.place, c.looksBad])).toEqual([
      ['C1', false],
      ['C2', false],
      ['C9', false],
    ])
    expect(() => perform(tag, 'take-over-capacitors', { fromTag: sister })).toThrow('a list of capacitors already')
    const other = bookIn({ name: 'Gannet' })
    expect(() => perform(other, 'take-over-capacitors', { fromTag: sister })).toThrow('no other machine of the same model')
  })

  it('is kept for the model and its issue, and taken over board by board; another issue is told apart', () => {
    const { modelId } = on.collection(
      'add-model',
      commands['add-model'].parse({ maker: 'Tarnwick Instruments', name: 'Petrel 9', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
    ) as { modelId: number }
    const of = (variant: string) => bookIn({ modelId, variant })
    const first = of('issue 2')
    expect(() => perform(first, 'keep-capacitors', {})).toThrow('no list of capacitors')
    for (const [assembly, typed] of [
      ['Supply', 'C1, C2 470u 25V radial glued'],
      ['Main board', 'C1 10u 16V axial'],
    ] as const)
      perform(first, 'list-capacitors', { assembly, typed })
    perform(first, 'keep-capacitors', {})
    expect(says(first)).toContain('3 capacitors kept as known of Petrel 9, issue 2.')
    expect(sheet(first).recap.known).toEqual([])
    const later = of('issue 3')
    expect(sheet(later).recap.known).toEqual([{ variant: 'issue 2', capacitors: 3, sameIssue: false }])
    expect(() => perform(later, 'take-known-capacitors', { variant: 'issue 3' })).toThrow('Nothing is known')
    // What is listed by hand stays as it is; the other board is taken over.
    perform(later, 'list-capacitors', { assembly: 'Supply', typed: 'C1 1000u 25V radial' })
    perform(later, 'take-known-capacitors', { variant: 'issue 2' })
    expect(sheet(later).recap.capacitors.map(c => [c.assembly, c.place, c.fixing])).toEqual([
      ['Supply', 'C1', 'none'],
      ['Main board', 'C1', 'none'],
    ])
    expect(says(later)).toContain('1 capacitor of Main board listed, as is known of Petrel 9, issue 2.')
    // Kept again, a board is known as it was seen last; one of another issue stays as it was.
    perform(first, 'list-capacitors', { assembly: 'Supply', typed: 'C9 1u 50V radial' })
    perform(first, 'keep-capacitors', {})
    perform(later, 'keep-capacitors', {})
    expect(sheet(of('issue 2')).recap.known).toEqual([
      { variant: 'issue 2', capacitors: 4, sameIssue: true },
      { variant: 'issue 3', capacitors: 2, sameIssue: false },
    ])
    expect(() => perform(listed(), 'keep-capacitors', {})).toThrow('Of which model')
    // The places of its boards, too, without what was struck of them.
    const { boardId } = on.collection('add-board', {
      modelId,
      name: 'Main board',
      issue: '2',
      fileName: '',
      format: 'table',
      rows: [
        ['+5V', 'C1', '1', null, null, '', 0],
        ['GND', 'C1', '2', null, null, '', 0],
        ['+5V', 'C2', '1', null, null, '', 0],
        ['GND', 'C2', '2', null, null, '', 0],
      ],
    } as never) as { boardId: number }
    on.collection('strike-board-pin', { boardId, pin: 'C2.1', reason: 'No such part' } as never)
    expect(placesOnBoards(on.db, first)).toEqual([{ board: 'Main board', issue: '2', places: [{ place: 'C1', nets: ['+5V', 'GND'] }] }])
    expect(placesOnBoards(on.db, listed())).toEqual([])
  })

  it('keeps the machine off while one is out of its place, and guards it while a bad one is in', () => {
    const tag = listed()
    expect(gate(tag)).not.toContain('recap.bad')
    act(tag, 'C1', 'measure-capacitor', { capacitanceF: '120u' })
    expect(one(tag, 'C1')).toMatchObject({ verdict: 'bad', due: 'now' })
    expect(gate(tag)).toContain('recap.bad')
    expect(() => act(tag, 'C1', 'take-out-capacitor', { fixing: 'none' })).toThrow('Where its plus was')
    out(tag, 'C1')
    expect(gate(tag)).toContain('recap.out')
    expect(gate(tag)).not.toContain('recap.bad')
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    expect(() => out(tag, 'C1')).toThrow('out already')
    expect(() => act(tag, 'C1', 'drop-capacitor', { reason: 'x' })).toThrow('Fit one there')
    expect(() => act(tag, 'C1', 'fit-capacitor', { joints: 2 })).toThrow('plus towards the edge')
    act(tag, 'C1', 'fit-capacitor', { joints: 2, polarityAsked: true })
    expect(gate(tag)).not.toContain('recap.out')
    expect(() => act(tag, 'C1', 'fit-capacitor', { joints: 2, polarityAsked: true })).toThrow('changed already')
    expect(() => act(tag, 'C1', 'measure-capacitor', { capacitanceF: '470u' })).toThrow('has been changed')
    expect(() => act(tag, 'C2', 'fit-capacitor', { joints: 2, polarityAsked: true })).toThrow('still in')
    // What was changed can come out again, and a press too many is taken back with a word.
    out(tag, 'C1')
    act(tag, 'C1', 'put-back-capacitor', { reason: 'It never was out' })
    expect(one(tag, 'C1')).toMatchObject({ state: 'in', bagged: false })
    expect(() => act(tag, 'C1', 'put-back-capacitor', { reason: 'Twice' })).toThrow('is not out')
    // How it is made says that it has a plus, where nobody stated that.
    const typed = { assembly: 'Supply', fixing: 'none' as const, stressed: false, looksBad: false, note: '' }
    act(tag, 'C2', 'change-capacitor', { ...typed, place: 'C2', spec: { capacitanceF: '470u', technology: 'electrolytic' } })
    expect(() => act(tag, 'C2', 'take-out-capacitor', { fixing: 'none' })).toThrow('Where its plus was')
    // One across the line has no plus.
    act(tag, 'C9', 'take-out-capacitor', { fixing: 'none' })
    act(tag, 'C9', 'fit-capacitor', { joints: 2 })
    expect(says(tag)).toContain(
      'Supply C1 taken out: 470 µF, 25 V, aluminium electrolytic, polarised, radial leads; plus towards the edge; by its leads alone; bagged.',
    )
    expect(() => act(tag, 'C2', 'measure-capacitor', {})).toThrow('something has to be measured')
    act(tag, 'C2', 'drop-capacitor', { reason: 'No such place' })
    expect(sheet(tag).recap.capacitors).toHaveLength(2)
  })

  it('is asked of its owner where it is not ours, and two who do the same at once are told', () => {
    const tag = listed(undefined, { acquired: 'lent', owner: 'the trust' })
    expect(() => out(tag, 'C1')).toThrow('Ask the trust first')
    const ours = listed()
    const { id, version } = one(ours, 'C1')
    act(ours, 'C1', 'measure-capacitor', { esrOhm: '0.1' })
    expect(() => perform(ours, 'take-out-capacitor', { capacitorId: id, version, plus: 'x', fixing: 'none' } as never)).toThrow()
    expect(one(ours, 'C1').state).toBe('in')
  })

  it('takes the new one off the shelf where it came from there, and from nowhere else', () => {
    const spec = { capacitanceF: '470u', voltageV: 35, technology: 'electrolytic', safetyClass: 'none', polarity: 'polarised', leads: 'radial' }
    const hold = (more: object) =>
      (collection('hold-part', { name: 'Electrolytic', condition: 'new', count: 3, at: 'shelf', kind: 'capacitor', spec, ...more }) as { heldId: number })
        .heldId
    const [good, small, ordered] = [hold({}), hold({ spec: { ...spec, voltageV: 6.3 } }), hold({ at: 'ordered', source: 'a shop' })]
    const tag = listed()
    out(tag, 'C1')
    expect(offersForCapacitor(on.db, one(tag, 'C1').id).map(o => o.heldId)).toEqual([good])
    const fit = (heldId: number) => act(tag, 'C1', 'fit-capacitor', { joints: 2, polarityAsked: true, heldId })
    for (const heldId of [small, ordered, 999]) expect(() => fit(heldId)).toThrow()
    expect(one(tag, 'C1').state).toBe('out')
    fit(good)
    const held = listHeld(on.db, HeldQuery.parse({ find: 'Electrolytic' })).rows
    expect(held.filter(h => h.tag === tag).map(h => [h.at, h.count])).toEqual([['fitted', 1]])
    expect(held.find(h => h.id === good)!.count).toBe(2)
  })
})

describe('one order over several machines', () => {
  const weigh = (query: object) => {
    const question = recapQuestion(on.db, RecapOrderQuery.parse(query))
    return recapOrderView(on.db, question, recapOrder(question.input, solve), on.bench.now())
  }

  it('holds what is due, by the practice of the house, and says what stands against it', () => {
    const [mine, lent] = [
      listed('C1, C2 33u 25V axial electrolytic\nC3 33u 25V axial film'),
      listed('C5 33u 25V axial electrolytic', { acquired: 'lent', owner: 'the trust' }),
    ]
    perform(lent, 'record-consent', { version: 0, allowed: ['open', 'repair'], upTo: 1, mustAsk: '', agreedWith: 'its secretary', agreedOn: '' } as never)
    const waiting = recapMachines(on.db).machines.filter(m => [mine, lent].includes(m.tag))
    expect(waiting.map(m => [m.wanted, m.later])).toEqual([
      [0, 2],
      [0, 1],
    ])
    const both = `${mine},${lent}`
    expect(weigh({ tags: both }).lines).toEqual([])
    const none = weigh({ tags: both, later: 'yes', spares: '1' })
    expect(none.lines).toMatchObject([{ wanted: 3, withSpares: 4, short: 4 }])
    expect(none.findings.map(f => f.says)).toEqual(['4 capacitors can be had from nowhere.'])
    const prices = 'part;pack;price;from 10\n33u 35V axial electrolytic 105C;1;2.00;1.50'
    expect(() => collection('set-prices', { supplier: 'a shop', postage: '5', typed: `${prices}\nnonsense;1;1` })).toThrow('Line 3')
    expect(() => collection('set-prices', { supplier: 'a shop', typed: 'a;b\n1;2' })).toThrow('first row names the columns')
    collection('set-prices', { supplier: 'a shop', postage: '5', typed: prices })
    const order = weigh({ tags: both, later: 'yes', spares: '1' })
    expect(order).toMatchObject({ cost: 13, suppliers: [{ supplier: 'a shop', parts: 8, postage: 5, lines: [{ units: 4, unitPrice: 2 }] }] })
    // Two of three are its own; spares and postage go by the same.
    expect(order.machines.map(m => [m.capacitors, m.cost])).toEqual([
      [2, 8.67],
      [1, 4.33],
    ])
    expect(order.findings.map(f => f.says).join()).toContain('its owner agreed to €1.00 more')
    expect(recapOrderCsv(order).split('\r\n')).toEqual([
      'Supplier,Part,How many,Price of one,Cost',
      'a shop,33u 35V axial electrolytic 105C,4,2,8',
      'a shop,Postage,1,5,5',
      '',
    ])
    collection('set-prices', { supplier: 'a shop', typed: '' })
    expect(recapMachines(on.db).suppliers).toEqual([])
  })
})

it('a machine may follow another school than the house, on its sheet and in the order', () => {
  const tag = listed('C1 470u 25V radial electrolytic\nC9 100n 250VAC X2')
  const due = () => sheet(tag).recap.capacitors.map(c => c.due)
  expect([due(), sheet(tag).recap.ownSchool]).toEqual([['after-start', 'after-start'], false])
  perform(tag, 'choose-capacitor-school', { school: 'line-filter' })
  expect([due(), sheet(tag).recap.ownSchool, says(tag)].join()).toContain('stays,now,true,Its capacitors: line filter only, for this machine.')
  expect(recapMachines(on.db).machines).toMatchObject([{ tag, wanted: 1, later: 0 }])
  perform(tag, 'choose-capacitor-school', { school: null })
  expect(due()).toEqual(['after-start', 'after-start'])
})
