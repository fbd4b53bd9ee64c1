import { describe, expect, it } from 'vitest'
import type { BoardPin } from './board'
import { netFound } from './net-state'
import { planProbes } from './probe-plan'
import { type SheetCheck, netOnSheet, tallyOf } from './sheet'
import { crossing, inZone, insideOf, oneHopFrom } from './zone'

const pin = (name: string, net: string, xMm?: number, yMm?: number, more: Partial<BoardPin> = {}): BoardPin => ({
  part: name.split('.')[0]!,
  pin: name.split('.')[1]!,
  net,
  ...(xMm === undefined ? {} : { xMm, yMm: yMm ?? 0 }),
  ...more,
})
const check = (a: string, b: string, contact: SheetCheck['contact'], at: string, more: Partial<SheetCheck> = {}): SheetCheck => ({
  kind: 'whole',
  a,
  b,
  netA: 'D0',
  netB: 'D0',
  beyond: false,
  contact,
  at,
  ...more,
})
const ends = ['U1.1', 'U2.1', 'U3.1'].map(name => pin(name, 'D0'))

describe('a net on a sheet', () => {
  it('grows by what would tell its pieces apart, once nothing that was planned is open', () => {
    const open = check('U1.1', 'U2.1', 'open', '1')
    expect(netOnSheet(ends, [open, check('U1.1', 'U3.1', null, '')], [], false)).toMatchObject({ grows: null, toldApart: false })
    const grows = netOnSheet(ends, [open, check('U1.1', 'U3.1', 'joined', '2')], [], false)
    expect(grows).toMatchObject({ found: { state: 'broken' }, grows: null, toldApart: true })
    expect(netOnSheet(ends, [open], [], false).grows).toMatchObject({ beyond: false })
    expect(netOnSheet(ends, [open], [], true)).toMatchObject({ grows: null, toldApart: false })
    expect(netOnSheet(ends, [check('U1.1', 'U2.1', 'joined', '1')], [], false)).toMatchObject({ grows: null, toldApart: false })
  })
  it('asks a doubt at once, unless it is planned, and not without end', () => {
    const doubt = [check('U1.1', 'U2.1', 'wobbling', '1'), check('U1.1', 'U3.1', null, '')]
    expect(netOnSheet(ends, doubt, [], false).grows).toMatchObject({ a: 'U1.1', b: 'U2.1', beyond: true })
    expect(netOnSheet(ends, [...doubt, check('U2.1', 'U1.1', null, '', { beyond: true })], [], false).grows).toBeNull()
    const asked = (times: number) => Array.from({ length: times }, (_, i) => check('U1.1', 'U2.1', 'wobbling', String(i)))
    expect(netOnSheet(ends, asked(3 * 3 + 7), [], false).grows).not.toBeNull()
    expect(netOnSheet(ends, asked(3 * 3 + 8), [], false).grows).toBeNull()
  })
  it('is overcome by a wire only where it was open before, between the two that the wire made one', () => {
    const wire = (at: string) => [{ a: 'U1.1', b: 'U2.1', contact: 'joined' as const, at }]
    const others = check('U1.1', 'U3.1', 'joined', '1')
    expect(netOnSheet(ends, [check('U1.1', 'U2.1', 'open', '5'), others], wire('5'), false).found.state).toBe('whole')
    expect(netOnSheet(ends, [check('U1.1', 'U2.1', 'open', '6'), others], wire('5'), false).found.state).not.toBe('whole')
    expect(netOnSheet(ends, [check('U1.1', 'U3.1', 'open', '1')], wire('5'), false).found.state).toBe('broken')
    // The newest of several wires counts.
    const wires = [...wire('9'), { a: 'U2.1', b: 'U3.1', contact: 'joined' as const, at: '3' }]
    expect(netOnSheet(ends, [check('U1.1', 'U3.1', 'open', '8')], wires, false).found.state).toBe('whole')
  })
})

it('a tally counts nets by what they are, and of two pins asked twice the newest', () => {
  const nets = (['whole', 'broken', 'doubtful', 'not-yet'] as const).map(state => ({ net: state.toUpperCase(), state, supply: false }))
  const bridge = (contact: SheetCheck['contact'], at: string, a = 'R1.1') => check(a, 'R1.2', contact, at, { kind: 'bridge', netA: 'A', netB: 'B' })
  const short = (contact: SheetCheck['contact'], at: string, netB = 'C', b = 'U1.2') => check('U1.1', b, contact, at, { kind: 'short', netA: 'A', netB })
  const tally = (...checks: SheetCheck[]) => tallyOf(checks, nets)
  expect(tally()).toEqual({ total: 0, answered: 0, broken: ['BROKEN'], doubtful: ['DOUBTFUL'], shorts: [] })
  expect(tally(bridge('open', '1'), short(null, ''), check('U9.1', 'U9.2', 'open', '2'))).toMatchObject({
    total: 3,
    answered: 2,
    broken: ['BROKEN', 'A and B'],
    shorts: [],
  })
  expect(tally(bridge('open', '1'), bridge('joined', '2')).broken).toEqual(['BROKEN'])
  expect(tally(bridge('high', '1'), short('wobbling', '2')).doubtful).toEqual(['DOUBTFUL', 'A and B', 'A and C'])
  // A whole net’s own check in doubt is in its state already; the same pair the other way round is the same pair.
  expect(tally(check('U9.1', 'U9.2', 'high', '1')).doubtful).toEqual(['DOUBTFUL'])
  const again = { ...short('open', '2'), a: 'U1.2', b: 'U1.1' }
  expect(tally(short('joined', '1'), again).shorts).toEqual([])
  expect(tally(short('joined', '1'), short('joined', '2', 'GND', 'U1.3')).shorts).toEqual([
    { nets: ['A', 'C'], supply: false },
    { nets: ['A', 'GND'], supply: true },
  ])
  // As it was marked, a name notwithstanding.
  expect(tallyOf([short('joined', '1', 'GND')], [{ net: 'GND', state: 'whole', supply: false }]).shorts[0]!.supply).toBe(false)
  expect(tallyOf([short('joined', '1')], [{ net: 'A', state: 'whole', supply: true }]).shorts[0]!.supply).toBe(true)
})

describe('where a break lies', () => {
  const row = [0, 10, 20, 30].map((x, i) => pin(`U${i + 1}.1`, 'D0', x))
  it('is the stretch of the shortest way on which its pieces part', () => {
    const answers = [
      { a: 'U1.1', b: 'U4.1', contact: 'open' as const },
      { a: 'U1.1', b: 'U2.1', contact: 'joined' as const },
      { a: 'U3.1', b: 'U4.1', contact: 'joined' as const },
    ]
    expect(netFound(row, answers).breaks).toEqual([{ a: 'U2.1', b: 'U3.1' }])
    // Without the place of one of them nobody knows the way.
    expect(netFound([...row.slice(0, 3), pin('U4.1', 'D0')], answers).breaks).toEqual([{ a: 'U1.1', b: 'U4.1' }])
  })
  it('the next question is the nearest pair of two pieces that nobody has asked', () => {
    expect(netFound(row, [{ a: 'U2.1', b: 'U1.1', contact: 'joined' }]).ask).toMatchObject({ a: 'U2.1', b: 'U3.1', beyond: false })
    expect(netFound(row, []).ask!.why).not.toBe(netFound(row, [{ a: 'U1.1', b: 'U2.1', contact: 'joined' }]).ask!.why)
    // What has no place is asked last.
    expect(netFound([row[0]!, pin('U5.1', 'D0'), row[3]!], []).ask).toMatchObject({ a: 'U1.1', b: 'U5.1' })
    expect(netFound([row[0]!, row[3]!, pin('U5.1', 'D0')], [{ a: 'U1.1', b: 'U5.1', contact: 'joined' }]).ask).toMatchObject({ a: 'U1.1', b: 'U4.1' })
  })
  it('of several doubts the first is asked first, and an open reading from beyond the socket is none', () => {
    const high = (a: string, b: string, beyond = false) => ({ a, b, contact: 'high' as const, beyond })
    expect(netFound(row, [high('U1.1', 'U2.1'), high('U3.1', 'U4.1')])).toMatchObject({ state: 'doubtful', ask: { a: 'U1.1', b: 'U2.1' } })
    expect(netFound(row.slice(0, 2), [high('U1.1', 'U2.1', true)])).toMatchObject({ state: 'broken', breaks: [{ a: 'U1.1', b: 'U2.1' }] })
    expect(netFound(row.slice(0, 2), [{ a: 'U1.1', b: 'U2.1', contact: 'open' }, high('U1.1', 'U2.1')]).state).toBe('doubtful')
  })
})

describe('a walk over a board', () => {
  const at = (xs: readonly number[], net = 'D0') => xs.map((x, i) => pin(`U${net}${i}.1`, net, x))
  it('stays on the end nearest to all others, outside the zone and out of sockets before that, and visits the nearest each time', () => {
    const order = (pins: readonly BoardPin[], zone: object) => planProbes({ pins, zone }).probes.map(p => [p.a, p.b].map(n => n.replace('.1', '')).join(' '))
    expect(order(at([0, 30, 50, 100]), { parts: ['UD00', 'UD01', 'UD02', 'UD03'] })).toEqual(['UD01 UD02', 'UD01 UD00', 'UD01 UD03'])
    expect(order(at([0, 30, 50, 100]), { parts: ['UD00', 'UD01', 'UD02'] })[0]).toBe('UD03 UD02')
    const socketed = at([0, 30, 50, 100]).map((p, i) => ({ ...p, socketed: i === 1 }))
    expect(order(socketed, { parts: socketed.map(p => p.part) })[0]).toMatch(/^UD02/)
    // Equally near: by name.
    expect(order(at([0, 10]), { parts: ['UD00', 'UD01'] })).toEqual(['UD00 UD01'])
  })
  it('goes from net to net by the nearest hub', () => {
    const pins = [...at([0, 1], 'A'), ...at([90, 91], 'B'), ...at([20, 21], 'C')]
    expect(planProbes({ pins, zone: { parts: pins.map(p => p.part) } }).probes.map(p => p.netA)).toEqual(['A', 'C', 'B'])
  })
  it('keeps to one part after the other where places are not known', () => {
    const pins = [pin('U1.1', 'D0'), pin('U1.2', 'D0'), pin('U2.1', 'D0'), pin('U2.2', 'D0')]
    const plan = planProbes({ pins, zone: { parts: ['U1', 'U2'] } })
    expect(plan).toMatchObject({ travelMm: null, probes: [{ a: 'U1.1', b: 'U1.2' }, { b: 'U2.1' }, { b: 'U2.2' }] })
  })
  it('a net of very many ends is walked band by band, there and back', () => {
    const pins = Array.from({ length: 320 }, (_, i) => pin(`U${i}.1`, 'BUS', (i % 40) * 5, Math.floor(i / 40) * 10 + 5))
    const { probes, travelMm } = planProbes({ pins, zone: { parts: pins.map(p => p.part) } })
    expect(probes).toHaveLength(319)
    // The middle of a field of 195 by 70 mm, and a walk of eight bands of 195 mm with seven steps of 10 mm between them.
    const hub = pins.find(p => `${p.part}.1` === probes[0]!.a)!
    expect(Math.hypot(hub.xMm! - 97.5, hub.yMm! - 40)).toBeLessThan(6)
    expect(travelMm).toBeGreaterThan(8 * 190)
    expect(travelMm).toBeLessThanOrEqual(8 * 195 + 7 * 10)
  })
  it('shorts are asked between neighbours, by place or by number, once for two nets, and not between supplies', () => {
    const shorts = (pins: readonly BoardPin[], zone: object = { parts: ['U1'] }) =>
      planProbes({ pins, zone })
        .probes.filter(p => p.kind === 'short')
        .map(p => `${p.a} ${p.b}`)
    expect(shorts([pin('U1.1', 'A', 0), pin('U1.2', 'B', 2.7), pin('U1.3', 'C', 5.5)])).toEqual(['U1.1 U1.2'])
    expect(shorts([pin('U1.1', 'A', 0, 0), pin('U1.2', 'B', 2, 2)])).toEqual([])
    expect(shorts([pin('U1.1', 'A'), pin('U1.2', 'B'), pin('U1.4', 'C')])).toEqual(['U1.1 U1.2'])
    expect(shorts([pin('U1.A1', 'A'), pin('U1.1', 'B'), pin('U1.2', 'B'), pin('U1.3', 'A')])).toEqual(['U1.2 U1.3'])
    expect(shorts([pin('U1.1', 'A'), pin('U1.2', 'B'), pin('U1.3', 'A'), pin('U1.4', 'GND'), pin('U1.5', '+5V')])).toEqual(['U1.1 U1.2', 'U1.3 U1.4'])
    expect(shorts([pin('U1.1', 'A'), pin('U1.2', 'B')], { pins: ['U1.1'] })).toEqual([])
  })
  it('what is known is not asked, and says so where all is', () => {
    const pins = at([0, 10, 20])
    const zone = { parts: ['UD00'] }
    const known = [{ a: 'UD00.1', b: 'UD01.1', joined: true }]
    expect(planProbes({ pins, zone, known }).probes).toHaveLength(1)
    expect(planProbes({ pins, zone, known: known.map(k => ({ ...k, joined: false })) }).probes).toHaveLength(2)
    const all = planProbes({ pins, zone, known: [...known, { a: 'UD01.1', b: 'UD02.1', joined: true }] })
    expect(all).toMatchObject({ probes: [], spared: 3, findings: [{ code: 'probe.nothing' }] })
    expect(() => planProbes({ pins, zone, known: [{ a: 'X.1', b: 'UD01.1', joined: true }] })).toThrow('X.1 is not on this board')
    expect(() => planProbes({ pins, zone, known: [{ a: 'UD01.1', b: 'Y.1', joined: true }] })).toThrow('Y.1 is not on this board')
  })
})

describe('a zone', () => {
  const square = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ] as const
  const spot = (xMm: number, yMm: number) => ({ xMm, yMm })
  it('stretches cross where they meet, also at an end or along each other, and not beside it', () => {
    const meets = (...p: number[]) => crossing(spot(p[0]!, p[1]!), spot(p[2]!, p[3]!), spot(p[4]!, p[5]!), spot(p[6]!, p[7]!))
    expect([meets(0, 0, 4, 4, 0, 4, 4, 0), meets(0, 0, 4, 0, 2, 0, 2, 4), meets(2, 0, 2, 4, 0, 0, 4, 0), meets(2, 4, 2, 0, 0, 0, 4, 0)]).toEqual([
      true,
      true,
      true,
      true,
    ])
    expect([meets(0, 0, 4, 0, 4, 0, 8, 3), meets(0, 0, 4, 0, 2, 0, 8, 0), meets(8, 0, 2, 0, 0, 0, 4, 0), meets(0, 0, 0, 4, 0, 4, 0, 8)]).toEqual([
      true,
      true,
      true,
      true,
    ])
    expect([meets(0, 0, 4, 0, 5, 0, 8, 0), meets(0, 0, 4, 0, 2, 1, 2, 4), meets(0, 0, 4, 4, 5, 4, 9, 0), meets(0, 0, 0, 4, 0, 5, 0, 8)]).toEqual([
      false,
      false,
      false,
      false,
    ])
  })
  it('holds what lies in its outline, and the nets that cross it on their shortest way', () => {
    expect([
      insideOf(square, spot(5, 5)),
      insideOf(square, spot(11, 5)),
      insideOf(square, spot(-1, 5)),
      insideOf(square.slice(0, 2), spot(5, 0)),
      insideOf(undefined, spot(5, 5)),
      insideOf(square, spot(5, 11)),
    ]).toEqual([true, false, false, false, false, false])
    const pins = [
      pin('U1.1', 'THROUGH', -5, 5),
      pin('U2.1', 'THROUGH', 15, 5),
      pin('U3.1', 'PAST', -5, 20),
      pin('U4.1', 'PAST', 15, 20),
      pin('U5.1', 'IN', 5, 5),
    ]
    expect([...inZone(pins, { outline: square }).nets].sort()).toEqual(['IN', 'THROUGH'])
    // Of a net of more than sixty ends nobody can guess the way.
    const long = (n: number) => Array.from({ length: n }, (_, i) => pin(`L${i}.1`, 'LONG', i % 2 ? 15 : -5, 5))
    expect(inZone([...long(60), pins[4]!], { outline: square }).nets.has('LONG')).toBe(true)
    expect(inZone([...long(61), pins[4]!], { outline: square }).nets.has('LONG')).toBe(false)
  })
  it('says what of it is not on the board', () => {
    const pins = [pin('U1.1', 'A')]
    expect(() => inZone(pins, { parts: ['U1', 'U8'] })).toThrow('U8 is not on this board')
    expect(() => inZone(pins, { parts: ['U8', 'U9'] })).toThrow('U8, U9 are not on this board')
    expect(() => inZone(pins, { pins: ['U1.2'] })).toThrow('no pin of the board lies in it')
    expect(() => inZone(pins, { outline: square.slice(0, 2) })).toThrow('from 3 to 500')
  })
  it('reaches one hop over parts of two pins, and no further', () => {
    const pins = [pin('R1.1', 'A'), pin('R1.2', 'B'), pin('R2.1', 'B'), pin('R2.2', 'C'), pin('U1.1', 'A'), pin('U1.2', 'D'), pin('U1.3', 'E')]
    expect([...oneHopFrom(pins, new Set(['A']))]).toEqual(['B'])
  })
})
