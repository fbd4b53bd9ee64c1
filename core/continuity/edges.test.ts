import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { type BoardPin, checkPins, isNoNet, isSupplyNet, netsOf, pinName } from './board'
import { judgeContact, printedJumperOhm } from './contact'
import { type Answer, netFound } from './net-state'
import { readPairs, withPairs } from './pairs'
import { type ProbePlanInput, planProbes } from './probe-plan'

// Nets and contacts at the edges of each rule. Common practice, no source, unless one is named.
const refused = (judge: () => unknown, field: string | null) => {
  if (field === null) expect(judge).not.toThrow()
  else expect(judge).toThrow(expect.objectContaining({ field }) as Error)
}

describe('a contact', () => {
  const of = (ohm: number | null, more: object = {}) => judgeContact({ readingsOhm: [ohm], ...more }).contact
  it.each<[number | null, object, string]>([
    [2, {}, 'joined'],
    [2.1, {}, 'high'],
    [99_999, {}, 'high'],
    [100_000, {}, 'open'],
    [null, {}, 'open'],
    [3, { leadsOhm: 1 }, 'joined'],
    [0.5, { leadsOhm: 1 }, 'joined'],
    // A resistor of 1 kΩ: 30 % and 2 Ω either way; open from twenty times on, but never under 100 kΩ.
    [1302, { expectOhm: 1000 }, 'joined'],
    [1303, { expectOhm: 1000 }, 'high'],
    [698, { expectOhm: 1000 }, 'joined'],
    [697, { expectOhm: 1000 }, 'high'],
    [100_000, { expectOhm: 10_000 }, 'high'],
    [200_000, { expectOhm: 10_000 }, 'open'],
    // A printed jumper: from nothing to 400 Ω.
    [400, { expectOhm: printedJumperOhm }, 'joined'],
    [401, { expectOhm: printedJumperOhm }, 'high'],
    [1, { expectOhm: printedJumperOhm }, 'joined'],
    // Two nets side by side.
    [10, { expectOpen: true }, 'joined'],
    [11, { expectOpen: true }, 'high'],
    [1000, { expectOpen: true }, 'high'],
    [1001, { expectOpen: true }, 'open'],
    [null, { expectOpen: true }, 'open'],
  ])('of %s Ω with %o is %s', (ohm, more, wanted) => expect(of(ohm, more)).toBe(wanted))
  it('wobbles where its readings do not agree, and not where it stands between nets apart', () => {
    const many = (readingsOhm: (number | null)[], more: object = {}) => judgeContact({ readingsOhm, ...more })
    expect([many([]).contact, many([0.5, null]).contact, many([0.2, 1.7]).contact, many([0.2, 1.8]).contact]).toEqual([
      'wobbling',
      'wobbling',
      'joined',
      'wobbling',
    ])
    expect([many([100, 125]).contact, many([100, 126]).contact]).toEqual(['high', 'wobbling'])
    expect(many([2000, 9000], { expectOpen: true }).contact).toBe('open')
    expect(many([2000, 5], { expectOpen: true }).contact).toBe('wobbling')
    expect([many([1, 0.5, 1.5]).ohm, many([1, 1.5]).ohm, many([null]).ohm]).toEqual([1, 1, null])
    expect(many([0.5, null]).findings[0]?.because[0]).toContain('0.5 Ω, open.')
  })
  it('says what was read in the unit that fits, and what is expected', () => {
    const because = (ohm: number | null, more: object = {}) => judgeContact({ readingsOhm: [ohm], ...more }).findings[0]!.because[0]
    expect([because(1500), because(0.5), because(2e6), because(null)]).toEqual([
      expect.stringMatching(/^1\.5 kΩ/),
      '0.5 Ω with the leads taken off.',
      '2 MΩ.',
      'No reading.',
    ])
    expect(because(null, { expectOhm: 470 })).toBe('No reading. 470 Ω is expected.')
    expect([because(null, { expectOpen: true }), because(5, { expectOpen: true })]).toEqual([
      'No reading.',
      expect.stringMatching(/^5 Ω with the leads taken off\. Solder/),
    ])
  })
})

describe('a net', () => {
  const ends = (...names: string[]): BoardPin[] =>
    names.map((name, i) => ({ part: name.split('.')[0]!, pin: name.split('.')[1]!, net: 'N', xMm: i * 10, yMm: 0 }))
  const abc = ends('A.1', 'B.1', 'C.1')
  const asked = (a: string, b: string, contact: Answer['contact'], beyond = false): Answer => ({ a: `${a}.1`, b: `${b}.1`, contact, beyond })
  const found = (...answers: Answer[]) => netFound(abc, answers)
  it('is whole once every end is proved, and not before', () => {
    expect(found().state).toBe('not-yet')
    expect(found(asked('A', 'B', 'joined')).state).toBe('not-yet')
    expect(found(asked('A', 'B', 'joined'), asked('B', 'C', 'joined'))).toMatchObject({ state: 'whole', ask: null, breaks: [] })
    expect(netFound(ends('A.1'), [])).toMatchObject({ state: 'not-yet', ask: null })
    expect(found(asked('A', 'X', 'joined')).pieces).toHaveLength(3)
    expect([found().ask?.why, found(asked('A', 'B', 'joined')).ask?.why]).toEqual([
      'Nobody has asked this net yet.',
      'Whether these two pieces are joined is not known yet.',
    ])
  })
  it('is broken by an open reading, and asks on only between pieces that nobody has asked', () => {
    const broken = found(asked('A', 'B', 'open'))
    expect(broken).toMatchObject({ state: 'broken', breaks: [{ a: 'A.1', b: 'B.1' }] })
    expect([broken.ask?.a, broken.ask?.b].sort()).toEqual(['A.1', 'C.1'])
    expect(found(asked('A', 'B', 'open'), asked('B', 'C', 'joined'))).toMatchObject({ state: 'broken', pieces: [['B.1', 'C.1'], ['A.1']], ask: null })
    expect(found(asked('A', 'C', 'open'), asked('A', 'B', 'joined')).breaks).toEqual([{ a: 'B.1', b: 'C.1' }])
    const nowhere = netFound(
      abc.map(({ part, pin, net }) => ({ part, pin, net })),
      [asked('A', 'C', 'open'), asked('A', 'B', 'joined')],
    )
    expect(nowhere.breaks).toEqual([{ a: 'A.1', b: 'C.1' }])
  })
  it('is in doubt by what wobbled or read high, until it was asked from beyond the socket', () => {
    expect(found(asked('A', 'B', 'wobbling'))).toMatchObject({ state: 'doubtful', ask: { beyond: true, why: expect.stringContaining('It wobbled') as string } })
    expect(found(asked('A', 'B', 'high')).ask?.why).toContain('It read high')
    expect(found(asked('A', 'B', 'high', true)).state).toBe('broken')
    // Joined after it wobbled may be the finger.
    expect(found(asked('A', 'B', 'open'), asked('A', 'B', 'joined'), asked('B', 'C', 'joined')).state).toBe('doubtful')
    expect(found(asked('A', 'B', 'open'), asked('A', 'B', 'joined', true), asked('B', 'C', 'joined')).state).toBe('whole')
    expect(found(asked('B', 'A', 'joined'), asked('A', 'B', 'open'), asked('B', 'C', 'joined')).state).toBe('broken')
    // Others join what read open between the two.
    expect(found(asked('A', 'B', 'joined'), asked('B', 'C', 'joined'), asked('A', 'C', 'open'))).toMatchObject({
      state: 'doubtful',
      ask: { a: 'A.1', b: 'C.1', beyond: true },
    })
  })
})

describe('names', () => {
  it.each(['GND', 'AGND', 'VCC', '+5V', '-12V', '5V_A', 'GND-D', 'VCC.IO', '3.3V', 'V+', 'Vss', 'power/VCC', '0V', 'VBAT', '+5'])('%s is a supply', net =>
    expect(isSupplyNet(net)).toBe(true),
  )
  it.each(['VCC_OK', '5V_EN', 'D0', '5', 'A15', 'GNDX-', 'RESET', 'VIDEO'])('%s is none', net => expect(isSupplyNet(net)).toBe(false))
  it.each([
    ['', true],
    ['NC', true],
    ['n/c', true],
    ['NO NET', true],
    ['unconnected-(U1-Pad3)', true],
    ['no_connect_7', true],
    ['NCO', false],
    ['D0', false],
  ])('“%s” is no net: %s', (net, is) => expect(isNoNet(net)).toBe(is))
  it('of pins are checked for what cannot be', () => {
    const pin = (more: Partial<BoardPin> = {}): BoardPin => ({ part: 'U1', pin: '1', net: 'A', ...more })
    for (const [pins, field] of [
      [[], 'pins'],
      [[pin({ part: ' ' })], 'pins.0'],
      [[pin({ pin: '' })], 'pins.0'],
      [[pin({ net: ' ' })], 'pins.0'],
      [[pin({ net: 'x'.repeat(121) })], 'pins.0'],
      [[pin({ net: 'x'.repeat(120) })], null],
      [[pin(), pin({ net: 'B' })], 'pins.1'],
      [[pin(), pin()], null],
      [[pin({ xMm: 1 })], 'pins.0'],
      [[pin({ xMm: 1, yMm: 5001 })], 'pins.0'],
      [[pin({ xMm: -5000, yMm: 5000 })], null],
    ] as const)
      refused(() => checkPins(pins), field)
    expect([...netsOf([pin(), pin({ pin: '2', net: 'B' }), pin({ pin: '3' })])].map(([net, all]) => [net, all.map(pinName)])).toEqual([
      ['A', ['U1.1', 'U1.3']],
      ['B', ['U1.2']],
    ])
  })
  it('of pairs are read with their page, and join what had a name', () => {
    expect(readPairs('page 3\nU1.1 - U2.2\nU1.3 = U2.4, page 5\n\nU1.5 U2.6\nU1.1 - U1.1\nnonsense').pairs).toEqual([
      { a: 'U1.1', b: 'U2.2', page: '3' },
      { a: 'U1.3', b: 'U2.4', page: '5' },
      { a: 'U1.5', b: 'U2.6', page: '3' },
    ])
    expect(readPairs('U1.1 - U1.1\nnonsense').problems.map(p => p.line)).toEqual([1, 2])
    const joined = withPairs(
      [
        { part: 'U1', pin: '1', net: 'A' },
        { part: 'U2', pin: '2', net: 'B' },
        { part: 'U3', pin: '3', net: 'A' },
      ],
      [
        { a: 'U1.1', b: 'U2.2', page: '' },
        { a: 'U9.1', b: 'U9.2', page: '' },
        { a: 'U1.1', b: 'U3.3', page: '' },
      ],
    )
    expect(joined.merged.map(m => m.nets)).toEqual([['A', 'B']])
    expect(joined.pins.map(p => p.net)).toEqual(['A', 'A', 'A', 'U9.1', 'U9.1'])
  })
})

describe('a plan of probing', () => {
  const pin = (part: string, n: number, net: string, xMm?: number, yMm?: number, more: Partial<BoardPin> = {}): BoardPin => ({
    part,
    pin: String(n),
    net,
    ...(xMm === undefined ? {} : { xMm, yMm }),
    ...more,
  })
  const plan = (pins: BoardPin[], more: Partial<ProbePlanInput> = {}) => planProbes({ pins, zone: { parts: ['U1'] }, ...more })
  const told = (...given: Parameters<typeof plan>) => plan(...given).probes.map(p => `${p.kind} ${p.a} ${p.b}`)
  const net = [pin('U1', 1, 'D0', 0, 0), pin('U2', 1, 'D0', 40, 0), pin('U3', 1, 'D0', 50, 0)]
  it('stays on an end outside the zone and out of sockets, nearest to the others, and walks to the nearest first', () => {
    expect(told(net)).toEqual(['whole U2.1 U3.1', 'whole U2.1 U1.1'])
    expect(told([net[0]!, { ...net[1]!, socketed: true }, net[2]!])).toEqual(['whole U3.1 U2.1', 'whole U3.1 U1.1'])
    expect(plan(net)).toMatchObject({ nets: 1, pairByPair: 3, spared: 1, travelMm: expect.closeTo(50, 0) as number })
    expect(plan(net.map(({ part, pin: p, net: n }) => ({ part, pin: p, net: n }))).travelMm).toBeNull()
  })
  it('leaves out nets of one end, and says so; and says where nothing is left', () => {
    const codes = (pins: BoardPin[], more: Partial<ProbePlanInput> = {}) => plan(pins, more).findings.map(f => f.code)
    expect(codes([pin('U1', 5, 'X'), ...net])).toEqual(['probe.plan', 'probe.alone'])
    expect(plan([pin('U1', 5, 'X'), pin('U1', 7, 'Y'), ...net]).findings[1]?.says).toBe('2 nets have one end only: X, Y.')
    expect(codes([pin('U1', 1, 'X')])).toEqual(['probe.alone', 'probe.nothing'])
    expect(
      codes(net, {
        known: [
          { a: 'U1.1', b: 'U2.1', joined: true },
          { a: 'U2.1', b: 'U3.1', joined: true },
        ],
      }),
    ).toEqual(['probe.nothing'])
  })
  it('proves a supply once for each part in the zone, by its name or as it is marked', () => {
    const supply = [pin('U1', 1, 'VCC'), pin('U1', 2, 'VCC'), pin('U2', 1, 'VCC'), pin('U3', 1, 'VCC')]
    expect(told(supply)).toEqual(['rail U2.1 U1.1'])
    expect(told(supply, { notSupplies: ['VCC'] }).every(t => t.startsWith('whole'))).toBe(true)
    expect(told(net, { supplies: ['D0'] })).toEqual(['rail U2.1 U1.1'])
    expect(plan(supply).findings.map(f => f.code)).toContain('probe.rails')
    expect(plan(net).findings.map(f => f.code)).not.toContain('probe.rails')
  })
  it('asks neighbours of different nets once, two supplies never, and without places the next pin', () => {
    const beside = (a: string, b: string, far = 2.54) => told([pin('U1', 1, a, 0, 0), pin('U1', 2, b, far, 0)]).filter(t => t.startsWith('short'))
    expect([beside('A', 'B'), beside('A', 'A'), beside('GND', 'VCC'), beside('A', 'VCC'), beside('A', 'B', 9)].map(t => t.length)).toEqual([1, 0, 0, 1, 0])
    expect(told([pin('U1', 1, 'A'), pin('U1', 2, 'B'), pin('U1', 4, 'C')])).toEqual(['short U1.1 U1.2'])
    expect(told([pin('U1', 1, 'A', 0, 0), pin('U1', 2, 'B', 2, 0), pin('U1', 3, 'A', 4, 0)]).filter(t => t.startsWith('short'))).toHaveLength(1)
  })
  it('expects a part between two nets with its value, where one of them is wanted', () => {
    const bridged = [pin('U1', 1, 'A'), pin('R1', 1, 'A'), pin('R1', 2, 'B'), pin('U2', 1, 'B'), pin('R2', 1, 'B'), pin('R2', 2, 'C')]
    expect(
      plan(bridged, {
        bridges: [
          { part: 'R1', ohm: 470 },
          { part: 'R2', ohm: 100 },
        ],
      }).probes.filter(p => p.kind === 'bridge'),
    ).toEqual([{ kind: 'bridge', a: 'R1.1', b: 'R1.2', netA: 'A', netB: 'B', expectOhm: 470 }])
    refused(() => plan(bridged, { bridges: [{ part: 'U1', ohm: 470 }] }), 'bridges.0')
    refused(() => plan(bridged, { bridges: [{ part: 'R1', ohm: 0 }] }), 'bridges.0')
    refused(() => plan(bridged, { bridges: [{ part: 'R1', ohm: 1e8 }] }), null)
    refused(() => plan(bridged, { known: [{ a: 'U1.1', b: 'X.1', joined: true }] }), 'known.0')
    expect(plan(bridged, { oneHop: true }).nets).toBeGreaterThan(plan(bridged).nets)
  })
})

describe('what probing adds to a machine', () => {
  const sheet = (more: object) => ({ title: 'Sheet', endedAt: null, total: 3, answered: 3, broken: [], doubtful: [], shorts: [], ...more })
  const of = (more: object) => assess({ ...settled, probeSheets: [sheet(more)] } as unknown as MachineRecord, now)
  const heardOf = (more: object) => of(more).known.heard.map(h => `${h.finding.level} ${h.finding.code}`)
  it('is a stop for a supply that is joined, and care for the rest', () => {
    expect(heardOf({})).toEqual([])
    expect(heardOf({ shorts: [{ nets: ['VCC', 'D0'], supply: true }] })).toEqual(['stop probe.short.sheet'])
    expect(heardOf({ shorts: [{ nets: ['D1', 'D0'], supply: false }] })).toEqual(['care probe.joined.sheet'])
    expect(heardOf({ broken: ['D0'], doubtful: ['D1'] })).toEqual(['care probe.broken.sheet', 'care probe.doubtful.sheet'])
    expect(of({ broken: ['a', 'b', 'c', 'd', 'e', 'f'] }).known.heard[0]?.finding.says).toBe('Broken nets: a, b, c, d and 2 more.')
    expect(of({ shorts: [{ nets: ['VCC', 'D0'], supply: true }] }).known.heard[0]?.finding.says).toBe('A supply is joined to another net: VCC to D0.')
  })
  it('goes on where it stopped, until it was ended, and bridges what is broken', () => {
    const moves = (more: object) =>
      of(more)
        .moves.filter(m => ['probe', 'patch'].includes(m.code))
        .map(m => `${m.says}: ${m.why}`)
    expect(moves({ answered: 1 })).toEqual(['Go on probing: Sheet: 2 of 3 checks are left.'])
    expect(moves({ answered: 1, endedAt: now })).toEqual([])
    expect(moves({ broken: ['D0'] })).toEqual(['Bridge broken nets: D0: Probing found them open.'])
    expect(of({ answered: 1, broken: ['D0'] }).run[4]?.steps.map(s => s.says)).toEqual(['Probe sheet: Sheet', 'Broken nets bridged'])
    expect(of({}).run[4]?.steps).toEqual([])
  })
})
