import fc from 'fast-check'
import { UndirectedGraph } from 'graphology'
import dijkstra from 'graphology-shortest-path/dijkstra'
import { describe, expect, it } from 'vitest'
import { type BoardPin, checkPins, isSupplyNet, pinName } from './board'
import { type Contact, judgeContact } from './contact'
import { Joined, spanningTree } from './join'
import { netFound } from './net-state'
import { readPairs, withPairs } from './pairs'
import { planPatch } from './patch-plan'
import { planProbes } from './probe-plan'
import { type SheetCheck, asExpected, netOnSheet, sameIssue, tallyOf } from './sheet'
import { crossing, insideOf } from './zone'

/** A made-up board: parts in rows, each with its pins 2.54 mm apart, nets dealt over them. */
const boards = fc
  .record({
    parts: fc.integer({ min: 2, max: 7 }),
    pins: fc.integer({ min: 2, max: 6 }),
    nets: fc.integer({ min: 1, max: 9 }),
    seed: fc.array(fc.nat(), { minLength: 60, maxLength: 60 }),
  })
  .map(({ parts, pins, nets, seed }) =>
    Array.from({ length: parts * pins }, (_, i): BoardPin => {
      const [part, pin] = [Math.floor(i / pins), i % pins]
      return {
        part: `U${part + 1}`,
        pin: String(pin + 1),
        net: `N${seed[i % 60]! % nets}`,
        xMm: part * 12,
        yMm: pin * 2.54,
        side: 'both',
        socketed: seed[(i + 7) % 60]! % 4 === 0,
      }
    }),
  )
const pin = (name: string, net: string, xMm?: number, yMm?: number): BoardPin => ({
  part: name.split('.')[0]!,
  pin: name.split('.')[1]!,
  net,
  ...(xMm === undefined ? {} : { xMm, yMm }),
})
const endsOf = (pins: readonly BoardPin[], net: string) => pins.filter(p => p.net === net)

describe('a probe plan', () => {
  it('proves every net it names with one check fewer than its ends, and never more', () => {
    fc.assert(
      fc.property(boards, fc.boolean(), (pins, oneHop) => {
        const { probes } = planProbes({ pins, zone: { parts: ['U1'] }, oneHop })
        const touched = new Set(endsIn(pins, 'U1'))
        for (const net of touched) {
          const ends = endsOf(pins, net)
          const whole = probes.filter(p => p.kind === 'whole' && p.netA === net)
          expect(whole).toHaveLength(ends.length - 1)
          // All answered joined, the net is whole; with any one of them left out, it is not.
          const answers = whole.map(p => ({ a: p.a, b: p.b, contact: 'joined' as const }))
          expect(netFound(ends, answers).state).toBe(ends.length > 1 ? 'whole' : 'not-yet')
          if (answers.length) expect(netFound(ends, answers.slice(1)).state).not.toBe('whole')
        }
      }),
      { numRuns: 60 },
    )
  })

  it('leaves out what is known to be joined, and asks again what is known to be open', () => {
    const pins = [pin('U1.1', 'A', 0, 0), pin('U2.1', 'A', 10, 0), pin('U3.1', 'A', 20, 0)]
    const asked = (known: { a: string; b: string; joined: boolean }[]) => planProbes({ pins, zone: { parts: ['U1'] }, known }).probes.length
    expect([asked([]), asked([{ a: 'U1.1', b: 'U3.1', joined: true }]), asked([{ a: 'U1.1', b: 'U3.1', joined: false }])]).toEqual([2, 1, 2])
    expect(() => asked([{ a: 'U9.1', b: 'U1.1', joined: true }])).toThrow('U9.1 is not on this board')
  })

  it('holds one probe outside the zone and out of sockets, proves supplies once a part, expects parts with their value', () => {
    const pins = [
      { ...pin('U1.1', 'D0', 0, 0) },
      { ...pin('U2.1', 'D0', 30, 0), socketed: true },
      { ...pin('U3.1', 'D0', 60, 0) },
      pin('U1.14', '+5V', 0, 8),
      pin('U1.13', '+5V', 0, 5),
      pin('J1.1', '+5V', 90, 0),
      pin('C1.1', '+5V', 95, 0),
      pin('R1.1', 'D0', 5, 5),
      pin('R1.2', 'KEY', 5, 10),
      pin('J2.1', 'KEY', 80, 10),
    ]
    const { probes, findings } = planProbes({ pins, zone: { parts: ['U1'] }, oneHop: true, bridges: [{ part: 'R1', ohm: 250 }] })
    expect(probes.filter(p => p.kind === 'whole' && p.netA === 'D0').map(p => p.a)).toEqual(['R1.1', 'R1.1', 'R1.1'])
    expect(probes.filter(p => p.kind === 'rail')).toMatchObject([{ a: expect.stringMatching(/^[JC]1\.1$/), b: 'U1.14' }])
    expect(probes.filter(p => p.kind === 'bridge')).toMatchObject([{ a: 'R1.1', b: 'R1.2', expectOhm: 250 }])
    expect(probes.some(p => p.netA === 'KEY' && p.kind === 'whole')).toBe(true)
    expect(findings.map(f => f.code)).toContain('probe.rails')
  })

  it('finds neighbours of different nets within the zone once for each two nets, and nets that only cross it', () => {
    const pins = [
      pin('U1.1', 'A', 0, 0),
      pin('U1.2', 'B', 0, 2.54),
      pin('U1.3', 'A', 0, 5.08),
      pin('U1.4', 'C', 0, 20),
      pin('U2.1', 'X', -20, 1),
      pin('U3.1', 'X', 20, 1),
      pin('U9.1', 'FAR', 90, 90),
      pin('U9.2', 'FAR', 90, 95),
    ]
    const outline: [number, number][] = [
      [-2, -2],
      [2, -2],
      [2, 8],
      [-2, 8],
    ]
    const { probes } = planProbes({ pins, zone: { outline } })
    expect(probes.filter(p => p.kind === 'short').map(p => [p.netA, p.netB].sort().join(''))).toEqual(['AB'])
    expect(new Set(probes.flatMap(p => [p.netA, p.netB]))).toEqual(new Set(['A', 'B', 'X']))
    expect(() =>
      planProbes({
        pins,
        zone: {
          outline: [
            [200, 200],
            [201, 200],
            [201, 201],
          ],
        },
      }),
    ).toThrow('no pin of the board lies in it')
    expect(() => planProbes({ pins, zone: { parts: ['U77'] } })).toThrow('U77 is not on this board')
  })

  // Common practice, no source: how supplies are called.
  it.each([
    ['GND', true],
    ['AGND', true],
    ['VCC', true],
    ['+5V', true],
    ['+3.3V', true],
    ['-12V', true],
    ['5V', true],
    ['0V', true],
    ['VDD', true],
    ['D5', false],
    ['5', false],
    ['A15', false],
    ['RESET', false],
    ['V_SYNC', false],
  ])('takes %s for a supply: %s', (net, supply) => expect(isSupplyNet(net)).toBe(supply))

  it('refuses a pin in two nets, and a board without pins', () => {
    expect(() => checkPins([pin('U1.1', 'A'), pin('U1.1', 'B')])).toThrow('U1.1 stands in two nets: A and B')
    expect(() => planProbes({ pins: [], zone: {} })).toThrow('there is none')
  })
})
const endsIn = (pins: readonly BoardPin[], part: string) => pins.filter(p => p.part === part).map(p => p.net)

describe('a contact', () => {
  // Common practice, no source: printed jumpers of 4, 100 or 300 Ω are fine, 3.6 kΩ and 8 MΩ are not.
  it.each([
    [4, 'joined'],
    [100, 'joined'],
    [300, 'joined'],
    [3600, 'high'],
    [8e6, 'open'],
    [null, 'open'],
  ])('of a printed jumper that reads %s is %s', (ohm, contact) => {
    expect(judgeContact({ readingsOhm: [ohm], expectOhm: 250 }).contact).toBe(contact)
  })
  it('has the leads taken off, is not joined by one good reading among bad ones, and is never *joined* where it should have a value and has none', () => {
    const said = (readingsOhm: (number | null)[], leadsOhm = 0, expectOhm = 0) => judgeContact({ readingsOhm, leadsOhm, expectOhm }).contact
    expect([said([0.6], 0.4), said([2.3], 0.4), said([2.6], 0.4)]).toEqual(['joined', 'joined', 'high'])
    expect([said([0.3, null]), said([0.3, 6]), said([0.3, 0.4, 0.3]), said([])]).toEqual(['wobbling', 'wobbling', 'joined', 'wobbling'])
    expect([said([0.3], 0, 4700), said([4700], 0, 4700), said([9000], 0, 4700), said([null], 0, 4700)]).toEqual(['high', 'joined', 'high', 'open'])
  })
})

describe('two nets side by side', () => {
  // Common practice, no source: chips and pull-up resistors between two lines read some kiloohm and more.
  it.each([
    [0.3, 'joined'],
    [8, 'joined'],
    [120, 'high'],
    [4700, 'open'],
    [null, 'open'],
  ])('that read %s are %s', (ohm, contact) => {
    expect(judgeContact({ readingsOhm: [ohm], expectOpen: true }).contact).toBe(contact)
  })
})

describe('a net', () => {
  const ends = ['U1.1', 'U2.1', 'U3.1', 'U4.1'].map((name, i) => pin(name, 'A', i * 10, 0))
  const answer = (a: number, b: number, contact: 'joined' | 'open' | 'wobbling' | 'high', beyond = false) => ({
    a: pinName(ends[a]!),
    b: pinName(ends[b]!),
    contact,
    beyond,
  })
  it('is broken where an end is open, its pieces told apart and the break narrowed along the way', () => {
    const found = netFound(ends, [answer(0, 1, 'joined'), answer(0, 3, 'open'), answer(2, 3, 'joined')])
    expect(found).toMatchObject({ state: 'broken', ask: null, breaks: [{ a: 'U2.1', b: 'U3.1' }] })
    expect(found.pieces.map(p => p.sort())).toEqual([
      ['U1.1', 'U2.1'],
      ['U3.1', 'U4.1'],
    ])
    // Two that are open to the hub may still be joined to each other: that is asked.
    expect(netFound(ends, [answer(0, 1, 'joined'), answer(0, 2, 'open'), answer(0, 3, 'open')]).ask).toMatchObject({ a: 'U3.1', b: 'U4.1' })
  })
  it('is in doubt, and never whole, while a wobble was answered by pressure or an open reading stands against the others', () => {
    const rest = [answer(1, 2, 'joined'), answer(2, 3, 'joined')]
    expect(netFound(ends, [...rest, answer(0, 1, 'wobbling')])).toMatchObject({ state: 'doubtful', ask: { a: 'U1.1', b: 'U2.1', beyond: true } })
    expect(netFound(ends, [...rest, answer(0, 1, 'wobbling'), answer(0, 1, 'joined')]).state).toBe('doubtful')
    expect(netFound(ends, [...rest, answer(0, 1, 'open'), answer(0, 1, 'joined')]).state).toBe('doubtful')
    expect(netFound(ends, [...rest, answer(0, 1, 'wobbling'), answer(0, 1, 'joined', true)]).state).toBe('whole')
    expect(netFound(ends, [...rest, answer(0, 1, 'joined'), answer(0, 3, 'open')])).toMatchObject({
      state: 'doubtful',
      ask: { a: 'U1.1', b: 'U4.1', beyond: true },
    })
    expect(netFound(ends.slice(0, 1), []).state).toBe('not-yet')
  })
})

describe('a patch', () => {
  const at = (name: string, xMm: number, yMm: number, leg = true) => ({ name, xMm, yMm, leg })
  it('joins the pieces with the least length there is, as trying every tree shows', () => {
    const piece = fc.array(fc.record({ xMm: fc.integer({ min: 0, max: 90 }), yMm: fc.integer({ min: 0, max: 90 }) }), { minLength: 1, maxLength: 3 })
    fc.assert(
      fc.property(fc.array(piece, { minLength: 2, maxLength: 4 }), raw => {
        const pieces = raw.map((p, i) => p.map((spot, j) => at(`P${i}.${j}`, spot.xMm, spot.yMm)))
        const { wires } = planPatch({ pieces })
        const owner = (name: string) => Number(/^P(\d+)/.exec(name)![1])
        const joined = new Joined(pieces.length)
        for (const w of wires) joined.join(owner(w.a), owner(w.b))
        expect(pieces.every((_, i) => joined.together(0, i))).toBe(true)
        expect(wires.reduce((sum, w) => sum + w.lengthMm, 0)).toBeCloseTo(cheapestTree(pieces), 0)
      }),
      { numRuns: 80 },
    )
  })

  it('goes round what is kept free, never through it, and longer than straight only by what that takes', () => {
    const wall = {
      outline: [
        [9, -10],
        [11, -10],
        [11, 10],
        [9, 10],
      ] as [number, number][],
      why: 'socket',
    }
    const { wires, findings } = planPatch({ pieces: [[at('A.1', 0, 0)], [at('B.1', 20, 0)]], keepOuts: [wall] })
    expect(wires[0]!.way.length).toBeGreaterThan(2)
    // By hand: over a corner pushed out by 1 mm, a little above (±10, 1) from the middle.
    expect(wires[0]!.lengthMm).toBeGreaterThan(2 * Math.hypot(9, 10) + 2)
    expect(wires[0]!.lengthMm).toBeLessThan(2 * Math.hypot(9, 12) + 3)
    expect(findings.map(f => f.code)).toEqual(['patch.joins'])
    expect(planPatch({ pieces: [[at('A.1', 0, 0)], [at('B.1', 10, 0)]], keepOuts: [wall] }).findings.map(f => f.code)).toContain('patch.unreachable')
  })

  it('runs as short as a graph library finds over the same corners, and crosses nothing that is kept free', () => {
    const block = fc.record({
      x: fc.integer({ min: 5, max: 80 }),
      y: fc.integer({ min: 5, max: 80 }),
      w: fc.integer({ min: 2, max: 14 }),
      h: fc.integer({ min: 2, max: 14 }),
    })
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 6 }), blocks => {
        const keepOuts = blocks.map(({ x, y, w, h }) => ({
          outline: [
            [x, y],
            [x + w, y],
            [x + w, y + h],
            [x, y + h],
          ] as [number, number][],
          why: 'made up',
        }))
        const [a, b] = [at('A.1', 0, 0), at('B.1', 100, 100)]
        const { wires } = planPatch({ pieces: [[a], [b]], keepOuts })
        // The corners, a millimetre out from the middle of each block, reckoned apart.
        const out = blocks.flatMap(({ x, y, w, h }) =>
          [
            [x, y],
            [x + w, y],
            [x + w, y + h],
            [x, y + h],
          ].map(([cx, cy]) => {
            const [dx, dy] = [cx! - x - w / 2, cy! - y - h / 2]
            const far = Math.hypot(dx, dy)
            return { xMm: cx! + dx / far, yMm: cy! + dy / far }
          }),
        )
        const inside = (p: { xMm: number; yMm: number }) => keepOuts.some(k => insideOf(k.outline, p))
        const nodes = [a, b, ...out.filter(c => !inside(c))]
        const blocked = (p: (typeof nodes)[number], q: (typeof nodes)[number]) =>
          keepOuts.some(k =>
            k.outline.some((c, i) => crossing(p, q, { xMm: c[0], yMm: c[1] }, { xMm: k.outline[(i + 1) % 4]![0], yMm: k.outline[(i + 1) % 4]![1] })),
          )
        const graph = new UndirectedGraph()
        nodes.forEach((_, i) => graph.addNode(String(i)))
        nodes.forEach((p, i) =>
          nodes.forEach((q, j) => j > i && !blocked(p, q) && graph.addEdge(String(i), String(j), { mm: Math.hypot(p.xMm - q.xMm, p.yMm - q.yMm) })),
        )
        const path = dijkstra.bidirectional(graph, '0', '1', 'mm') as string[] | null
        if (!path) return expect(wires).toEqual([])
        const least = path.reduce(
          (sum, node, i) => (i ? sum + Math.hypot(nodes[+node]!.xMm - nodes[+path[i - 1]!]!.xMm, nodes[+node]!.yMm - nodes[+path[i - 1]!]!.yMm) : 0),
          0,
        )
        expect(wires[0]!.lengthMm).toBeCloseTo(least, 0)
        wires[0]!.way.forEach((p, i, way) => i && expect(blocked(p as never, way[i - 1] as never)).toBe(false))
      }),
      { numRuns: 60 },
    )
  })

  it('ends on legs rather than bare pads, warns of bare vias, takes the gauge from the current, and says which side it cannot reach', () => {
    const pieces = [[at('A.1', 0, 0, false), at('A.2', 4, 0)], [at('B.1', 20, 0)]]
    expect(planPatch({ pieces }).wires[0]).toMatchObject({ a: 'A.2', b: 'B.1', lengthMm: 16 })
    expect(planPatch({ pieces, vias: [{ xMm: 12, yMm: 0.3 }] }).findings.map(f => f.code)).toContain('patch.over-via')
    expect(planPatch({ pieces, vias: [{ xMm: 12, yMm: 1 }] }).findings.map(f => f.code)).not.toContain('patch.over-via')
    expect(planPatch({ pieces }).wire.awg).toBe(30)
    expect(planPatch({ pieces, currentA: 6 }).wire.awg).toBeLessThan(28)
    expect(planPatch({ pieces: [[{ ...at('A.1', 0, 0), side: 'front' as const }], [at('B.1', 20, 0)]] }).findings[0]!.code).toBe('patch.unreachable')
    expect(() => planPatch({ pieces: [[at('A.1', 0, 0)]] })).toThrow('one piece needs no wire')
  })
})

/** The least there is, over every tree of the pieces; reckoned apart. */
function cheapestTree(pieces: { xMm: number; yMm: number }[][]): number {
  const far = (i: number, j: number) => Math.min(...pieces[i]!.flatMap(a => pieces[j]!.map(b => Math.hypot(a.xMm - b.xMm, a.yMm - b.yMm))))
  const edges = pieces.flatMap((_, i) => pieces.slice(i + 1).map((_, j) => [i, i + 1 + j] as const))
  let least = Infinity
  for (let mask = 0; mask < 1 << edges.length; mask++) {
    const chosen = edges.filter((_, i) => mask & (1 << i))
    if (chosen.length !== pieces.length - 1) continue
    const reach = new Set([0])
    for (let grew = true; grew;) {
      grew = false
      for (const [a, b] of chosen) if (reach.has(a) !== reach.has(b)) grew = Boolean(reach.add(a) && reach.add(b))
    }
    if (reach.size === pieces.length)
      least = Math.min(
        least,
        chosen.reduce((sum, [a, b]) => sum + far(a, b), 0),
      )
  }
  return least
}

describe('a spanning tree', () => {
  it('has one edge fewer than its points, and leaves out what is not finite', () => {
    expect(spanningTree(4, (a, b) => b - a)).toEqual([
      [0, 1],
      [1, 2],
      [2, 3],
    ])
    expect(spanningTree(3, (a, b) => (a === 0 && b === 1 ? 1 : Infinity))).toEqual([[0, 1]])
  })
})

describe('pin pairs from a schematic', () => {
  it('are read as they are read aloud, with their page; bad lines are told', () => {
    const { pairs, problems } = readPairs('page 3\nU7.12 - R31.1\nU7.13 R32.1, p. 4\nU7.14=U8.2\nhello\nU1.1 - U1.1\n')
    expect(pairs).toEqual([
      { a: 'U7.12', b: 'R31.1', page: '3' },
      { a: 'U7.13', b: 'R32.1', page: '4' },
      { a: 'U7.14', b: 'U8.2', page: '3' },
    ])
    expect(problems.map(p => p.line)).toEqual([5, 6])
  })
  it('join what they touch into one net, and tell where two that had names became one', () => {
    const pair = (a: string, b: string) => ({ a, b, page: '' })
    const { pins, merged } = withPairs(
      [pin('U1.1', 'A'), pin('U2.1', 'A'), pin('U3.1', 'B')],
      [pair('U2.1', 'U9.1'), pair('U8.1', 'U8.2'), pair('U9.1', 'U3.1')],
    )
    const netOf = (name: string) => pins.find(p => pinName(p) === name)!.net
    expect([netOf('U1.1'), netOf('U9.1'), netOf('U3.1'), netOf('U8.1'), netOf('U8.2')]).toEqual(['A', 'A', 'A', 'U8.1', 'U8.1'])
    expect(merged.map(m => m.nets)).toEqual([['A', 'B']])
  })
})

describe('a sheet', () => {
  it.each([
    ['4', 'Issue 4', true],
    ['B', 'Board issue B: memory in sockets', true],
    ['B', 'rev. b', true],
    ['a', 'A', true],
    ['A', 'Two drives and a blank', false],
    ['4', 'Issue 40', false],
    ['4', '', false],
    ['', '', false],
  ])('takes issue “%s” of a file for that of a machine said to be “%s”: %s', (issue, variant, same) => expect(sameIssue(issue, variant)).toBe(same))

  const ends = ['U1.1', 'U2.1', 'U3.1'].map((name, i) => pin(name, '+5V', i * 10, 0))
  const check = (a: string, b: string, contact: Contact | null, at: string, more: Partial<SheetCheck> = {}): SheetCheck => ({
    kind: 'rail',
    a,
    b,
    netA: '+5V',
    netB: '+5V',
    beyond: false,
    contact,
    at,
    ...more,
  })
  it('takes a rail for broken no longer than its newest answer says so, and asks nothing of its ends that were left out', () => {
    const open = check('U1.1', 'U2.1', 'open', '1')
    expect(netOnSheet(ends, [open], [], true)).toMatchObject({ found: { state: 'broken' }, grows: null })
    expect(netOnSheet(ends, [open, check('U1.1', 'U2.1', 'joined', '2', { beyond: true })], [], true).found.state).toBe('not-yet')
    expect(netOnSheet(ends, [check('U1.1', 'U2.1', 'wobbling', '1')], [], true).grows).toMatchObject({ beyond: true })
  })
  it('joins by a wire with a good reading after it, and by no other; what is open afterwards counts again', () => {
    const asked = [check('U1.1', 'U2.1', 'open', '1', { kind: 'whole' }), check('U2.1', 'U3.1', 'joined', '2', { kind: 'whole' })]
    const wire = (contact: Contact) => [{ a: 'U1.1', b: 'U2.1', contact, at: '3' }]
    expect(netOnSheet(ends, asked, wire('high'), false).found.state).toBe('broken')
    expect(netOnSheet(ends, asked, wire('joined'), false).found.state).toBe('whole')
    expect(netOnSheet(ends, [...asked, check('U1.1', 'U3.1', 'open', '4', { kind: 'whole' })], wire('joined'), false).found.state).toBe('doubtful')
  })
  it('counts of the same two pins the newest, and tells a short from what only lies between', () => {
    const short = (contact: Contact, at: string) => check('U1.1', 'U1.2', contact, at, { kind: 'short', netB: 'D0' })
    expect(tallyOf([short('joined', '1')], [])).toMatchObject({ answered: 1, shorts: [{ nets: ['+5V', 'D0'], supply: true }] })
    expect(tallyOf([short('joined', '1'), short('open', '2')], [])).toMatchObject({ shorts: [], doubtful: [] })
    expect(tallyOf([short('high', '1')], [])).toMatchObject({ shorts: [], doubtful: ['+5V and D0'] })
    expect([asExpected('short', 'joined'), asExpected('short', 'open'), asExpected('whole', 'joined'), asExpected('bridge', 'high')]).toEqual([
      false,
      true,
      true,
      false,
    ])
  })
})
