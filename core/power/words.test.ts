import { describe, expect, it } from 'vitest'
import type { Finding } from '../kernel/finding'
import { heatCares, overvoltages, standingAlarms } from './alarms'
import { type Battery, judgeBattery } from './battery'
import { judgeBench } from './bench'
import { discharge } from './discharge'
import { driftOf } from './drift'
import { readJunctions, pairsOf } from './junction'
import { judgeOffState, shortFact } from './off-state'
import { type Load, judgeRails } from './rails'
import { type SupplyMatchInput, matchSupply } from './supply-match'
import { judgeWarmth } from './temperature'
import { toleranceFor } from './tolerances'
import { judgeTrace } from './trace'

// What is said, and why: nobody is stopped without a reason, and each case has words of its own. Common practice, no source.
const rail = (nominalV: number, valueV: number | null, load: Load = 'loaded', more: object = {}) =>
  judgeRails({ rails: [{ name: '+5 V', nominalV, readings: valueV === null ? [] : [{ valueV, load }], ...more }] }).rails[0]!
const cell: Battery = { where: 'bay', chemistry: 'nickel-cadmium', cells: 3, year: 2020, state: 'sound', fitted: true, charging: 'yes' }
const battery = (more: Partial<Battery>) => judgeBattery({ battery: { ...cell, ...more }, school: 'remote-holder', yearNow: 2026 }).findings
const needs = { voltageV: 10, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1 } as const
const supply = (given: Partial<SupplyMatchInput['supply']>, wants: object = {}, neighbours: SupplyMatchInput['neighbours'] = []) =>
  matchSupply({ needs: { ...needs, ...wants }, supply: { ...needs, regulated: true, ...given }, neighbours }).findings
const off = (ohm: number | null, more: object = {}) => judgeOffState({ railV: 5, loadAttached: false, ohm, rising: false, ...more }).findings
const junctions = (legs: 2 | 3, found: Record<string, number>) =>
  readJunctions({ legs, readings: pairsOf(legs).map(([red, black]) => ({ red, black, volts: found[`${red}${black}`] ?? null })) })
const said = (findings: readonly Finding[], code: string) => findings.find(f => f.code === code)

describe('nobody is stopped, or asked for care, without a reason', () => {
  const all: Record<string, Finding[]> = {
    'rails': [0.1, 3, 4.6, 5, 5.4, 9, -5].flatMap(v => (['loaded', 'unloaded', 'unknown'] as const).flatMap(load => rail(5, v, load).findings)),
    'rails changed over': judgeRails({
      rails: [
        { name: 'a', nominalV: 5, readings: [{ valueV: 12, load: 'loaded' }] },
        { name: 'b', nominalV: 12, readings: [{ valueV: 5, load: 'loaded' }] },
      ],
    }).rails.flatMap(r => r.findings),
    'batteries': [
      ...(['leaking', 'doubtful', 'residue', 'neutralised'] as const).flatMap(state => [
        ...battery({ state, fitted: false }),
        ...(state === 'neutralised' ? [] : battery({ state })),
      ]),
      ...battery({ chemistry: 'alkaline' }),
      ...battery({ fitted: false, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', cells: 3, diode: true } }),
      ...battery({ fitted: false, replacement: { how: 'like-for-like', chemistry: 'lithium-ion', diode: false } }),
    ],
    'supplies': [
      ...[
        { voltageV: 5 },
        { voltageV: 20 },
        { unloadedV: 1 },
        { unloadedV: 19 },
        { unloadedV: 12 },
        { kind: undefined },
        { kind: 'ac' as const },
        { polarity: undefined },
        { currentA: 0.1 },
        { innerMm: 9 },
      ].flatMap(g => supply(g)),
      ...supply({ unloadedV: 15 }, { regulatedInside: true }),
    ],
    'power off': [0.1, 8, 300].flatMap(ohm => [off(ohm), off(ohm, { loadAttached: true }), off(ohm, { currentA: 1 }), off(ohm, { rising: true })].flat()),
    'junctions': [{ 12: 0.01 }, { 12: 0.01, 21: 0.01 }, { 12: 0.6, 21: 0.6 }, {}, { 12: 0.6 }].flatMap(f => junctions(2, f as Record<string, number>).findings),
    'capacitors': discharge({
      capacitors: [
        { capacitanceF: 0.01, voltageV: 5000 },
        { capacitanceF: 1e-6, voltageV: 100 },
      ],
      resistorOhm: 100,
    }).findings,
    'traces': [{ currentA: 9 }, { currentA: 1.5, lengthMm: 900 }, { riseK: 110 }, {}].flatMap(m => judgeTrace({ widthMm: 0.3, ...m }).findings),
    'warmth': [50, 70, 90].flatMap(c => judgeWarmth({ part: 'chip', lastC: c, highestC: c, climbKPerMin: 5 })),
    'alarms': overvoltages([{ name: '+5 V', nominalV: 5 }], [{ rail: '+5 V', valueV: 9, load: 'loaded', at: '2026-03-01' }]).map(a => a.finding),
  }
  it.each(Object.keys(all))('%s', name => {
    expect(all[name]!.length).toBeGreaterThan(0)
    for (const f of all[name]!) if (f.level === 'stop' || f.level === 'care') expect([f.code, f.because.filter(Boolean).length > 0]).toEqual([f.code, true])
  })
})

describe('a rail', () => {
  it('has the reason of its own case', () => {
    expect(rail(5, null).findings).toMatchObject([{ level: 'note', code: 'rail.unread' }])
    expect(said(rail(5, 4.6, 'unloaded').findings, 'rail.low-unloaded')?.because[1]).toContain('Read without a load')
    expect(said(rail(5, 4.6, 'unknown').findings, 'rail.low-unloaded')?.because[1]).toContain('not known whether')
    expect(said(rail(5, 4, 'loaded').findings, 'rail.low')?.because[1]).toBe('It does not hold up under load.')
    expect(said(rail(5, 1, 'unloaded').findings, 'rail.low')?.because[1]).toContain('missing load alone')
    expect(said(rail(5, 5.5, 'unloaded').findings, 'rail.high')?.because[1]).toContain('dummy load')
    expect(said(rail(5, 5.5, 'loaded').findings, 'rail.high')?.because[1]).toContain('Chips are damaged')
    expect(rail(5, 5).findings[0]?.source).toBe(toleranceFor(5).source)
    expect(rail(5, 5, 'loaded', { tolerancePct: 5 }).findings[0]?.source).toBe('tolerance given for this rail')
    expect(
      said(
        judgeRails({
          rails: [
            {
              name: 'a',
              nominalV: 5,
              readings: [
                { valueV: 4.5, load: 'unloaded' },
                { valueV: 5, load: 'loaded' },
              ],
            },
          ],
        }).rails[0]!.findings,
        'rail.low-only-unloaded',
      )?.because[0],
    ).toBe('4.5 V without load, 5 V under load.')
  })
  it('is compared with others of another voltage and the same sign alone', () => {
    const first = (...others: [string, number][]) =>
      judgeRails({
        rails: [
          { name: 'x', nominalV: 5, readings: [{ valueV: 12, load: 'loaded' }] },
          ...others.map(([name, nominalV]) => ({ name, nominalV, readings: [] })),
        ],
      }).rails[0]!.findings[0]!
    expect(first(['y', 5]).code).toBe('rail.passes-input')
    expect(first(['y', -12]).code).toBe('rail.passes-input')
    expect(first(['b', 12], ['c', 12.1]).says).toBe('x carries the voltage of b: 12 V under load.')
    // 12 V within 5 %: 11.4 to 12.6 V.
    const at = (valueV: number) =>
      judgeRails({
        rails: [
          { name: 'x', nominalV: 5, readings: [{ valueV, load: 'loaded' }] },
          { name: 'b', nominalV: 12, readings: [] },
        ],
      }).rails[0]!.findings[0]!.code
    expect([at(11.41), at(11.39), at(12.59)]).toEqual(['rail.carries-another', 'rail.passes-input', 'rail.carries-another'])
    expect(judgeRails({ rails: [{ name: 'x', nominalV: 5, readings: [] }] }).findings[0]?.because).toEqual(['x: not read'])
    expect(rail(5, 5).deciding).toEqual({ valueV: 5, load: 'loaded' })
    expect(judgeRails({ rails: [{ name: 'x', nominalV: 5, readings: [{ valueV: 5, load: 'loaded' }] }] }).findings[0]).toMatchObject({
      says: 'The rail is within limits.',
      because: ['x: 5 V under load'],
    })
  })
  it('that is in no table has 5 % above zero and 10 % below', () => {
    expect([3.3, 5, 12, -5, -12, 9, -9].map(v => toleranceFor(v).tolerancePct)).toEqual([5, 5, 5, 10, 10, 5, 10])
    expect([toleranceFor(5).source, toleranceFor(9).source]).toEqual([expect.stringContaining('74-series'), expect.stringContaining('assumed')])
  })
})

describe('a battery', () => {
  it('is told by where it lies and what has been done', () => {
    expect(battery({ state: 'leaking' })[0]?.because[0]).toBe('Take it out, then clean what it touched.')
    expect(battery({ state: 'leaking', fitted: false })[0]?.because[0]).toBe('It is out; what it left has to be cleaned.')
    expect(battery({ state: 'residue', fitted: false })[0]?.says).toBe('Battery, bay: what it left is still there.')
    expect(battery({ state: 'rinsed', fitted: false })[0]?.says).toBe('Battery, bay: rinsed, and not home yet.')
    const behind = (more: Partial<Battery>) =>
      said(
        battery({ fitted: false, charging: 'yes', replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: true }, ...more }),
        'battery.diode-drop',
      )
    expect(behind({})?.says).toBe('Behind the diode about 2.5 to 2.8 V a cell are left.')
    expect(behind({})?.because[0]).toContain('The old one gave 3.6 V')
    expect(behind({ chemistry: 'unknown' })?.because[0]).toBe('See that the clock chip keeps time with that.')
    const wrong = (chemistry: Battery['chemistry']) =>
      said(battery({ fitted: false, replacement: { how: 'remote-holder', chemistry, diode: false } }), 'battery.mischarged')?.says
    expect([wrong('lithium-ion'), wrong('alkaline')]).toEqual([
      'Lithium-ion must not be charged by a circuit made for nickel-cadmium.',
      'Alkaline must not be charged, and this circuit charges.',
    ])
    const gives = (diode: boolean) =>
      said(battery({ fitted: false, charging: 'no', replacement: { how: 'remote-holder', chemistry: 'alkaline', cells: 6, diode } }), 'battery.voltage-high')
        ?.says
    expect([gives(false), gives(true)]).toEqual([
      'The replacement gives too much: 9 V, where the old one gave 3.6 V.',
      'The replacement gives too much: 8.8 V behind the diode, where the old one gave 3.6 V.',
    ])
  })
})

describe('a supply', () => {
  it('that suits says so in each of its points', () => {
    expect(
      supply({})
        .map(f => f.code)
        .sort(),
    ).toEqual(['supply.current', 'supply.kind', 'supply.plug.fits', 'supply.polarity', 'supply.voltage'])
    expect(said(supply({}), 'supply.voltage')?.because).toEqual(['The inlet needs 9.5 V to 10.5 V.'])
    expect(said(supply({}, { regulatedInside: true }), 'supply.voltage')?.because).toEqual(['The inlet needs 9.5 V to 13 V, with a regulator behind it.'])
  })
  it('of which something is not known says of which side, and how to find out', () => {
    expect(said(supply({ polarity: undefined }), 'supply.polarity.unknown')).toMatchObject({
      says: 'The polarity of the supply is not known.',
      because: ['Measure it at the plug.'],
    })
    expect(said(supply({}, { polarity: undefined }), 'supply.polarity.unknown')).toMatchObject({
      says: 'The polarity of the inlet is not known.',
      because: ['Follow the inlet to the ground of the board.'],
    })
    expect(said(supply({ unloadedV: 12 }), 'supply.unloaded')?.because).toEqual([
      '12 V was measured with nothing attached.',
      'The inlet needs 9.5 V to 10.5 V.',
    ])
    expect(said(supply({ regulated: false }), 'supply.unloaded')?.because[0]).toContain('1.4 times its label')
  })
  it('that fits a neighbour names it with its sign, where that is known', () => {
    const beside = (polarity?: 'centre-positive') => said(supply({}, {}, [{ name: 'N', voltageV: 20, kind: 'dc', polarity }]), 'supply.neighbour')?.because[0]
    expect([beside(), beside('centre-positive')]).toEqual([expect.stringMatching(/^N: 20 V DC\. /), expect.stringMatching(/^N: 20 V DC, centre positive\. /)])
  })
})

describe('with the power off', () => {
  it('a rail says what was read, by what it should read, and what to do about it', () => {
    expect(said(off(8), 'off-state.suspect')?.because).toEqual([
      '8 Ω, without the leads.',
      'With no load attached it should read 15 Ω or more.',
      'Compare with a sister, or the same rail on another card.',
    ])
    expect(said(off(3, { loadAttached: true }), 'off-state.suspect')?.because.slice(1)).toEqual([
      'With a load attached it should read 5 Ω or more.',
      'Measure again with the load unplugged.',
    ])
    expect(said(off(3, { currentA: 1 }), 'off-state.suspect')?.because[1]).toBe('By the 1 A that it draws it should read 5 Ω or more.')
    expect(said(off(0.1), 'off-state.short')?.because[2]).toContain('Pull cards one by one')
    expect(said(off(0.1, { loadAttached: true }), 'off-state.short')?.because[2]).toContain('Unplug the load')
    expect(said(off(8, { loadAttached: true }), 'off-state.load-hides')?.because[0]).toBe('The load reads as low as the fault would.')
    expect(said(off(8, { currentA: 1 }), 'off-state.load-hides')?.because[0]).toBe('It is what 1 A run at.')
    expect(said(off(null), 'off-state.plausible')?.because[0]).toBe('It reads open.')
    expect(said(off(300, { rising: true }), 'off-state.charging')?.because).toEqual(['300 Ω, without the leads.'])
    expect(shortFact('yes', [])).toBe('yes')
  })
})

describe('junctions', () => {
  it('are told one by one, with what each is', () => {
    expect(junctions(2, { 12: 0.6 }).findings[0]).toMatchObject({
      says: 'Plausible as a silicon diode: anode on 1.',
      because: ['Red on 1, black on 2: 0.6 V, a silicon junction.', 'Red on 2, black on 1: open.'],
    })
    expect(junctions(2, { 12: 0.01, 21: 0.01 }).findings[0]?.says).toBe('A short both ways: it is a wire.')
    expect(junctions(2, { 21: 0.01 }).findings[0]?.says).toBe('A short between 2 and 1.')
    expect(junctions(3, { 12: 0.6, 21: 0.01 }).findings[0]?.says).toBe('A short between 2 and 1.')
    expect(junctions(3, { 12: 0.6, 13: 0.61 }).material).toBe('silicon')
    expect(junctions(2, { 12: 0.3, 21: 0.6 }).like).toBe('unclear')
    expect(junctions(3, { 12: 0.6, 23: 1.2 })).toMatchObject({ like: 'unclear', material: null })
    expect(readJunctions({ legs: 2, readings: [] })).toMatchObject({
      like: 'unclear',
      findings: [{ says: '2 of 2 readings are missing.', because: ['Red on 1, black on 2.', 'Red on 2, black on 1.'] }],
    })
  })
})

describe('a capacitor', () => {
  it('goes by its name, with the names of those that it is joined to', () => {
    const names = (...capacitors: { name?: string; joined?: boolean }[]) =>
      discharge({ capacitors: capacitors.map(c => ({ capacitanceF: 1e-5, voltageV: 20, ...c })) }).capacitors.map(c => c.name)
    expect(names({ name: 'C1' }, {}, { name: 'C3', joined: true }, { joined: true })).toEqual(['C1', 'C3'])
    expect(names({}, { joined: true }, {})).toEqual(['Capacitor 1', 'Capacitor 2'])
    expect(names({ name: 'C1' }, { name: 'C2', joined: true })).toEqual(['C1 with C2'])
  })
  it('that is the slowest, the fullest and the highest of several decides for its tool', () => {
    const { findings, resistorVoltageV, resistorPowerW } = discharge({
      capacitors: [
        { capacitanceF: 1e-3, voltageV: 20 },
        { capacitanceF: 1e-6, voltageV: 400 },
      ],
      resistorOhm: 1000,
    })
    expect([resistorVoltageV, resistorPowerW]).toEqual([400, 50])
    // 1 kΩ and 1 mF from 20 to 12 V: ln(20/12) seconds.
    expect(said(findings, 'discharge.measure')?.because[0]).toContain('after 0.511 s')
    // No spark at 400 V: 400 Ω and more; quick enough for 1 mF from 400 to 12 V in five seconds: 1.4 kΩ. The larger of the two, of the series.
    expect(
      discharge({
        capacitors: [
          { capacitanceF: 1e-3, voltageV: 400 },
          { capacitanceF: 1e-6, voltageV: 20 },
        ],
      }).resistorOhm,
    ).toBe(1500)
    expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 10 }] }).resistorOhm).toBe(100_000)
    expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 12 }] }).capacitors[0]?.secondsToSafe).toBe(0)
  })
})

describe('a trace', () => {
  it('has no loss without a length or a current, and a wire or none', () => {
    expect(
      [judgeTrace({ widthMm: 1 }), judgeTrace({ widthMm: 1, currentA: 1 }), judgeTrace({ widthMm: 1, lengthMm: 9 })].map(t => [
        t.resistanceOhm === null,
        t.dropV === null,
        t.riseK === null,
        t.widthForCurrentMm === null,
      ]),
    ).toEqual([
      [true, true, true, true],
      [true, true, false, false],
      [false, true, true, true],
    ])
    const board = (more: object) => said(judgeTrace({ widthMm: 1, riseK: 90, ...more }).findings, 'trace.board')?.says
    expect([board({}), board({ currentA: 6 })]).toEqual(['At the rise allowed it comes to 115 °C.', expect.stringMatching(/^With 6 A it comes to/)])
    expect(said(judgeTrace({ widthMm: 1 }).findings, 'trace.wire')?.says).toMatch(/^AWG \d+/)
    expect(said(judgeTrace({ widthMm: 1 }).findings, 'trace.fusing')?.because).toHaveLength(2)
  })
})

describe('over time', () => {
  it('an alarm with its worst and its newest, and a drift from the visit before', () => {
    const read = (valueV: number, day: number, load: Load = 'loaded') => ({ rail: '+5 V', valueV, load, at: `2026-03-0${day}T10:00:00Z` })
    const [alarm] = overvoltages([{ name: '+5 V', nominalV: 5 }], [read(9, 1, 'unloaded'), read(9, 2), read(6, 3)])
    expect([alarm?.at.slice(8, 10), alarm?.finding.because[0]]).toEqual(['03', 'Read under load on 2 Mar 2026; 5 V is expected.'])
    expect(standingAlarms([alarm!, { ...alarm!, key: 'other' }], [{ key: 'other', says: '', at: '2026-03-09' }]).map(a => a.key)).toEqual(['overvoltage:+5 V'])
    expect(driftOf({ name: '+5 V', nominalV: 5, tolerancePct: 5, readings: [read(5, 1), read(5, 2), read(5.2, 3)] })?.says).toContain('since 2 Mar 2026')
  })
  it('a bench supply says what belongs there, and how to set it', () => {
    const heard = (more: object, rest: object = {}) =>
      judgeBench({
        outputs: [{ feeds: '+5 V', voltageV: 5, limitA: 1, polarityChecked: true, ...more }],
        rails: [{ name: '+5 V', nominalV: 5 }],
        inletV: null,
        runLimitA: null,
        ...rest,
      })
    expect(heard({ voltageV: 4 })[0]).toMatchObject({
      finding: { says: '+5 V is fed with 4 V, limited to 1 A. That is low.', because: ['4.75 V to 5.25 V belongs there.'] },
      open: { do: 'Set +5 V to 5 V, measure it, and say so.' },
    })
    expect(heard({ voltageV: 6 })[0]?.finding.says).toContain('That would harm it.')
    expect(heard({ feeds: 'Inlet' })[0]?.open?.do).toBe('Say what its inlet needs.')
    expect(heard({ feeds: '+9 V' })[0]?.open?.do).toBe('Say what the rail +9 V should carry.')
    // A tolerance of nothing on a rail is that of its voltage.
    expect(heard({ voltageV: 5.2 }, { rails: [{ name: '+5 V', nominalV: 5, tolerancePct: 0 }] })).toEqual([])
  })

  it('what is warm says of which part, with its place or without', () => {
    const warm = (where: string) => heatCares([{ part: 'chip', where, lastC: 70, highestC: 70, climbKPerMin: null, at: '2026-03-01' }])[0]?.open?.do
    expect([warm('left'), warm('')]).toEqual([
      'Find out why chip, left, runs warm, and take its temperature again.',
      'Find out why chip runs warm, and take its temperature again.',
    ])
    expect(judgeWarmth({ part: 'chip', lastC: 85, highestC: 85, climbKPerMin: 3 })[1]?.because[0]).toContain('up to 60 °C is usual')
  })
  it('the tool of the slowest and of the highest bears both', () => {
    expect(() => discharge({ capacitors: [{ capacitanceF: 1e-9, voltageV: 50_000 }] })).not.toThrow()
    // The slow one takes 100 s: no overload is borne for so long, and 400² / 1 kΩ are 160 W.
    expect(
      discharge({
        capacitors: [
          { capacitanceF: 0.1, voltageV: 30 },
          { capacitanceF: 1e-6, voltageV: 400 },
        ],
        resistorOhm: 1000,
      }).resistorPowerW,
    ).toBe(160)
  })
})
