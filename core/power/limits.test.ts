import { describe, expect, it } from 'vitest'
import { judgeBench } from './bench'
import { discharge } from './discharge'
import { driftOf, swingOf } from './drift'
import { judgeOffState, nulledOhm } from './off-state'
import { judgeRails } from './rails'
import { climbOf, judgeTemperature, judgeWarmth, warmPartNames, warmParts } from './temperature'
import { toleranceFor } from './tolerances'
import { judgeTrace } from './trace'

// Where each limit stands, tried from both sides. The limits are common practice, no source, unless one is named beside them.
const names = (findings: { level: string; code: string }[]) => findings.map(f => `${f.level} ${f.code}`)

describe('a rail over time', () => {
  const visit = (at: string, valueV: number, load: 'loaded' | 'unloaded' = 'loaded') => ({ at: `${at}T19:00:00Z`, valueV, load })
  const five = (readings: ReturnType<typeof visit>[]) => ({ name: '+5 V', nominalV: 5, tolerancePct: 5, readings })
  const days = ['2026-01-01', '2026-02-01', '2026-03-01', '2026-04-01', '2026-05-01']
  const over = (...values: number[]) => driftOf(five(values.map((v, i) => visit(days[i]!, v))))?.code

  it('has drifted from 0.3 of its tolerance on, and towards nominal it is only a note', () => {
    // 0.3 · 5 % of 5 V is 0.075 V.
    expect([over(5, 5.075), over(5, 5.074), over(5, 4.925), over(4.9, 4.975), over(5.1, 4.9)]).toEqual([
      'rail.drift',
      undefined,
      'rail.drift',
      'rail.drift-back',
      'rail.drift-back',
    ])
    expect(driftOf({ ...five([visit(days[0]!, -12), visit(days[1]!, -11.5)]), nominalV: -12, tolerancePct: 10 })?.level).toBe('care')
    expect(driftOf(five([]))).toBeNull()
    expect(driftOf(five([visit(days[0]!, 4)]))).toBeNull()
  })
  it('has a trend from three visits on, all one way and away from nominal', () => {
    expect([over(5, 5.04, 5.08), over(5.04, 5.0, 5.04, 5.08), over(5, 5.04, 5.075), over(5, 5.03, 5.074)]).toEqual([
      'rail.trend',
      'rail.trend',
      'rail.trend',
      undefined,
    ])
    // Back over nominal to as far on the other side is no trend away from it.
    expect([over(4.96, 5.0, 5.04), over(4.96, 5.0, 5.05), over(5.2, 5.15, 5.1), over(5, 5, 5)]).toEqual([undefined, 'rail.trend', undefined, undefined])
    expect(driftOf(five([5.2, 5, 5.04, 5.08].map((v, i) => visit(days[i]!, v))))?.says).toContain('1.6 % over 3 visits since 1 Feb 2026, 5 V then, 5.08 V now')
  })
  it('counts the last reading of a day, under the load of the newest', () => {
    const readings = [visit(days[0]!, 4.6), visit(days[0]!, 5), visit(days[1]!, 4.6, 'unloaded'), visit(days[2]!, 5)]
    expect(driftOf(five(readings))).toBeNull()
    expect(swingOf(five([]))).toBeNull()
  })
})

describe('heat', () => {
  it.each(warmPartNames)('%s: usual to its limit, warm above, hot above the second', part => {
    const { usualC, hotC } = warmParts[part]
    const level = (highestC: number) => judgeWarmth({ part, lastC: highestC, highestC, climbKPerMin: null }).map(f => f.level)
    expect([usualC, usualC + 0.1, hotC, hotC + 0.1].map(level)).toEqual([['fine'], ['care'], ['care'], ['stop']])
  })
  it('is judged by the highest, wherever it stood in the log', () => {
    const at = (...celsius: number[]) => judgeTemperature({ part: 'chip', samples: celsius.map((c, i) => ({ atSeconds: i, celsius: c })) })
    expect(at(90, 20)).toMatchObject({ highestC: 90, lastC: 20, findings: [{ level: 'stop' }] })
    expect(() => at(-41)).toThrow(/−40/)
    expect(() => at(401)).toThrow(/400/)
    expect([at(-40), at(400)].map(r => r.lastC)).toEqual([-40, 400])
    const two = (second: number) => () =>
      judgeTemperature({
        part: 'chip',
        samples: [
          { atSeconds: 5, celsius: 20 },
          { atSeconds: second, celsius: 20 },
        ],
      })
    expect(two(4)).toThrow(/forward/)
    expect(two(5)).not.toThrow()
  })
  it('climbs as a line through the last two minutes does, and is worth a word from 3 K a minute on', () => {
    const line = (kPerMin: number, seconds: number[]) => seconds.map(s => ({ atSeconds: s, celsius: 20 + (kPerMin * s) / 60 }))
    expect(climbOf(line(6, [0, 15, 29]))).toBeNull()
    expect(climbOf(line(6, [0, 30]))).toBeNull()
    expect(climbOf(line(6, [0, 15, 30]))).toBeCloseTo(6, 9)
    expect(climbOf([])).toBeNull()
    // What lies more than two minutes back is left out: flat before, and 6 K a minute since.
    expect(climbOf([{ atSeconds: -1, celsius: 90 }, ...line(6, [0, 60, 120])])).toBeCloseTo(6, 9)
    expect(climbOf([{ atSeconds: 0, celsius: 90 }, ...line(6, [1, 60, 120])])).toBeLessThan(0)
    const climb = (climbKPerMin: number, lastC = 40) => judgeWarmth({ part: 'chip', lastC, highestC: lastC, climbKPerMin })
    expect(names(climb(3))).toEqual(['fine temperature.usual', 'care temperature.climbs'])
    expect(names(climb(2.9))).toEqual(['fine temperature.usual'])
    // From 40 to 85 °C at 3 K a minute.
    expect(climb(3)[1]?.because).toEqual(['At this pace it reaches 85 °C in 15 minutes.'])
    expect(climb(3, 90)[1]?.because[0]).toContain('up to 60 °C is usual')
  })
})

describe('a bench supply', () => {
  const heardOf = (more: object = {}, rest: Partial<Parameters<typeof judgeBench>[0]> = {}) =>
    judgeBench({
      outputs: [{ feeds: '+5 V', voltageV: 5, limitA: 0.5, polarityChecked: true, ...more }],
      rails: [
        { name: '+5 V', nominalV: 5 },
        { name: '-12 V', nominalV: -12, tolerancePct: 1 },
      ],
      inletV: 9,
      runLimitA: 1,
      ...rest,
    }).map(h => `${h.finding.level} ${h.finding.code.split('.').slice(0, 2).join('.')}`)
  it.each<[object, string[]]>([
    [{}, []],
    [{ voltageV: 5.25 }, []],
    [{ voltageV: 4.75 }, []],
    [{ voltageV: 5.26 }, ['stop bench.voltage']],
    [{ voltageV: 4.74 }, ['care bench.voltage']],
    [{ feeds: '-12 V', voltageV: -12.12 }, []],
    [{ feeds: '-12 V', voltageV: -12.2 }, ['stop bench.voltage']],
    [{ feeds: '-12 V', voltageV: -11 }, ['care bench.voltage']],
    [{ feeds: '-12 V', voltageV: 11 }, ['stop bench.voltage']],
    [{ limitA: 1 }, []],
    [{ limitA: 1.1 }, ['care bench.limit']],
    [{ polarityChecked: false }, ['note bench.polarity']],
    [{ feeds: 'Inlet', voltageV: 9 }, []],
    [{ feeds: 'Inlet', voltageV: 12 }, ['stop bench.voltage']],
    [{ feeds: '+3.3 V' }, ['care bench.unknown']],
  ])('set to %o', (more, wanted) => expect(heardOf(more)).toEqual(wanted))
  it('is not known where nobody has said, and a limit is not judged where nothing is known of it', () => {
    expect(heardOf({}, { outputs: [] })).toEqual(['note bench.not-looked'])
    expect(heardOf({ feeds: 'Inlet' }, { inletV: null })).toEqual(['care bench.unknown'])
    expect(heardOf({ limitA: 50 }, { runLimitA: null })).toEqual([])
  })
})

describe('a rail with the power off', () => {
  const at = (ohm: number | null, more = {}) => judgeOffState({ railV: 5, loadAttached: false, ohm, rising: false, ...more })
  it.each([
    [5, false, undefined, 1, 15],
    [6, true, undefined, 1, 5],
    [-12, false, undefined, 1.5, 40],
    [30, true, undefined, 1.5, 8],
    [31, false, undefined, 5, 1000],
    [400, true, undefined, 5, 200],
    // By what it draws: V / I, and a fifth of that, never under 0.1 Ω.
    [5, false, 1, 1, 5],
    [5, false, 2, 0.5, 2.5],
    [5, false, 50, 0.1, 0.1],
    [12, false, 2, 1.2, 6],
  ])('of %d V, load %s, drawing %s A: short below %d Ω, suspect below %d', (railV, loadAttached, currentA, short, suspect) => {
    expect(at(null, { railV, loadAttached, currentA })).toMatchObject({
      shortBelowOhm: expect.closeTo(short, 9) as number,
      suspectBelowOhm: expect.closeTo(suspect, 9) as number,
    })
    const verdict = (ohm: number) => at(ohm, { railV, loadAttached, currentA }).verdict
    expect([verdict(short * 0.999), verdict(suspect)]).toEqual(['short', 'plausible'])
    if (short < suspect) expect([verdict(short * 1.001), verdict(suspect * 0.999)]).toEqual(['suspect', 'suspect'])
  })
  it('takes the lower of both ways, less the leads, and never below nothing', () => {
    expect(at(0.4, { leadsOhm: 5 }).verdict).toBe('short')
    expect(at(300, { reversedOhm: null }).verdict).toBe('plausible')
    expect(at(null, { reversedOhm: 0.5 }).verdict).toBe('short')
    expect(at(1.3, { leadsOhm: 0.3 }).verdict).toBe('suspect')
  })
  it('charges while the figure climbs, unless it is a short already', () => {
    expect([at(0.9, { rising: true }), at(1, { rising: true }), at(900, { rising: true }), at(null, { rising: true })].map(r => r.verdict)).toEqual([
      'short',
      'charging',
      'charging',
      'charging',
    ])
  })
  it.each([
    [{ ohm: nulledOhm }, null],
    [{ ohm: -1.1 }, 'ohm'],
    [{ reversedOhm: -1.1 }, 'reversedOhm'],
    [{ leadsOhm: -0.1 }, 'leadsOhm'],
    [{ railV: 401 }, 'railV'],
    [{ railV: -400 }, null],
    [{ currentA: 200 }, null],
    [{ currentA: 201 }, 'currentA'],
    [{ ohm: NaN }, 'ohm'],
  ])('with %o is refused at %s', (more, field) => {
    const judge = () => at(100, more)
    if (field) expect(judge).toThrow(expect.objectContaining({ field }) as Error)
    else expect(judge).not.toThrow()
  })
  it('says what would hide a fault, and what is open', () => {
    const codes = (ohm: number | null, more = {}) => names(at(ohm, { reversedOhm: 1e5, ...more }).findings)
    expect(codes(14.9, { loadAttached: true })).toEqual(['note off-state.plausible', 'care off-state.load-hides'])
    expect(codes(15, { loadAttached: true })).toEqual(['fine off-state.plausible'])
    expect(codes(null, { loadAttached: true, reversedOhm: null })).toEqual(['fine off-state.plausible', 'care off-state.open'])
    expect(codes(null, { reversedOhm: null })).toEqual(['fine off-state.plausible'])
    expect(names(at(0.1).findings)).toEqual(['stop off-state.short', 'note off-state.one-way'])
    expect(names(at(8).findings)).toEqual(['care off-state.suspect', 'note off-state.one-way'])
  })
})

describe('capacitors', () => {
  const codes = (...capacitors: Parameters<typeof discharge>[0]['capacitors']) => names(discharge({ capacitors }).findings)
  it('hurt above 60 V, and melt metal from 20 J on (IEC 62368-1, IEC 60950-1, from memory)', () => {
    expect(codes({ capacitanceF: 1e-6, voltageV: 60 })).not.toContain('stop discharge.touch')
    expect(codes({ capacitanceF: 1e-6, voltageV: 60.1 })).toContain('stop discharge.touch')
    // ½ · 4 mF · 100² = 20 J.
    expect(codes({ capacitanceF: 4e-3, voltageV: 100 })).toContain('stop discharge.energy')
    expect(codes({ capacitanceF: 3.99e-3, voltageV: 100 })).not.toContain('stop discharge.energy')
  })
  it('each of which is harmless may melt metal together, where they were joined', () => {
    const half = { capacitanceF: 2e-3, voltageV: 100 }
    expect(codes(half, half)).toContain('care discharge.energy-together')
    expect(codes(half)).not.toContain('care discharge.energy-together')
    expect(codes(half, { ...half, capacitanceF: 1.9e-3 })).not.toContain('care discharge.energy-together')
    expect(codes(half, { ...half, capacitanceF: 4e-3 })).not.toContain('care discharge.energy-together')
  })
  it('have their bleeders side by side where they are joined', () => {
    const bank = discharge({
      capacitors: [
        { capacitanceF: 1e-4, voltageV: 100, bleederOhm: 2000 },
        { capacitanceF: 1e-4, voltageV: 100, bleederOhm: 2000, joined: true },
        { capacitanceF: 1e-4, voltageV: 100, joined: true },
      ],
      safeVoltageV: 50,
    }).capacitors
    // 1 kΩ and 300 µF: 0.3 s · ln 2.
    expect(bank.map(b => b.secondsByBleeder)).toEqual([expect.closeTo(0.3 * Math.LN2, 9)])
    expect(discharge({ capacitors: [{ capacitanceF: 1e-4, voltageV: 9, joined: true }] }).capacitors).toHaveLength(1)
  })
  it('are emptied through a tool that is judged by its spark, its rating and the volts across it', () => {
    const tool = (voltageV: number, resistorOhm: number, capacitanceF = 1e-6) =>
      names(discharge({ capacitors: [{ capacitanceF, voltageV }], resistorOhm }).findings)
    expect(tool(100, 100)).not.toContain('care discharge.spark')
    expect(tool(100, 99)).toContain('care discharge.spark')
    // 100 W bears five times that for some seconds: 400 V over 320 Ω is 500 W.
    expect(tool(400, 320)).not.toContain('stop discharge.rating')
    expect(tool(400, 319)).toContain('stop discharge.rating')
    // Longer than ten seconds it bears its rating alone.
    expect(discharge({ capacitors: [{ capacitanceF: 0.1, voltageV: 50 }], resistorOhm: 100 }).resistorPowerW).toBe(25)
    expect(discharge({ capacitors: [{ capacitanceF: 0.1, voltageV: 100 }], resistorOhm: 100 })).toMatchObject({ resistorPowerW: 100 })
    expect(discharge({ capacitors: [{ capacitanceF: 0.01, voltageV: 100 }], resistorOhm: 100 })).toMatchObject({ resistorPowerW: 25 })
    expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 250 }], resistorOhm: 1e6 })).toMatchObject({ resistorPowerW: 0.25, resistorsInSeries: 1 })
    expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 251 }], resistorOhm: 1e6 })).toMatchObject({ resistorsInSeries: 2 })
    expect(discharge({ capacitors: [{ capacitanceF: 1e-6, voltageV: 10 }], waitSeconds: 0 }).capacitors[0]).toMatchObject({
      secondsToSafe: 0,
      voltageAfterWaitV: 10,
    })
  })
  it.each([
    [{ capacitanceF: 10, voltageV: 5 }, {}, null],
    [{ capacitanceF: 10.1, voltageV: 5 }, {}, 'capacitors.0.capacitanceF'],
    [{ capacitanceF: 1, voltageV: 0 }, {}, 'capacitors.0.voltageV'],
    [{ capacitanceF: 1e-9, voltageV: 50_001 }, {}, 'capacitors.0.voltageV'],
    [{ capacitanceF: 1, voltageV: 5, bleederOhm: 0 }, {}, 'capacitors.0.bleederOhm'],
    [{ capacitanceF: 1, voltageV: 5 }, { resistorOhm: 0 }, 'resistorOhm'],
    [{ capacitanceF: 1, voltageV: 5 }, { safeVoltageV: 0 }, 'safeVoltageV'],
    [{ capacitanceF: 1, voltageV: 5 }, { safeVoltageV: 60 }, null],
    [{ capacitanceF: 1, voltageV: 5 }, { waitSeconds: -1 }, 'waitSeconds'],
  ])('%o with %o is refused at %s', (capacitor, more, field) => {
    const empty = () => discharge({ capacitors: [capacitor], ...more })
    if (field) expect(empty).toThrow(expect.objectContaining({ field }) as Error)
    else expect(empty).not.toThrow()
  })
})

describe('rails', () => {
  const judged = (...rails: Parameters<typeof judgeRails>[0]['rails']) => judgeRails({ rails })
  const one = (nominalV: number, valueV: number, load: 'loaded' | 'unloaded' | 'unknown' = 'loaded') =>
    judged({ name: 'a', nominalV, readings: [{ valueV, load }] }).rails[0]!.findings.map(f => `${f.level} ${f.code}`)
  it.each([
    [5, 0.49, 'loaded', ['stop rail.missing']],
    [5, -0.49, 'loaded', ['stop rail.missing']],
    [5, 0.5, 'loaded', ['stop rail.low']],
    [5, -0.5, 'loaded', ['stop rail.sign']],
    [5, 3.5, 'unloaded', ['care rail.low-unloaded']],
    [5, 3.49, 'unloaded', ['stop rail.low']],
    [5, 3.5, 'unknown', ['care rail.low-unloaded']],
    [5, 4.74, 'loaded', ['stop rail.low']],
    [5, 4.75, 'loaded', ['fine rail.in-limits']],
    [5, 4.75, 'unloaded', ['fine rail.in-limits', 'note rail.not-under-load']],
    [5, 4.75, 'unknown', ['fine rail.in-limits']],
    [5, 5.26, 'unloaded', ['stop rail.high']],
    [5, 6.49, 'loaded', ['stop rail.high']],
    [5, 6.5, 'loaded', ['stop rail.passes-input']],
    [-5, -4.5, 'loaded', ['fine rail.in-limits']],
    [-5, -4.4, 'loaded', ['stop rail.low']],
  ] as const)('of %d V at %d V, %s: %o', (nominal, value, load, wanted) => expect(one(nominal, value, load)).toEqual(wanted))

  it('of which one carries another’s voltage are changed over where the other does the same', () => {
    const pair = (five: number, twelve: number | null) =>
      judged(
        { name: '+5 V', nominalV: 5, readings: [{ valueV: five, load: 'loaded' }] },
        { name: '+12 V', nominalV: 12, readings: twelve === null ? [] : [{ valueV: twelve, load: 'loaded' }] },
      ).rails[0]!.findings[0]!.code
    expect([pair(12, 5), pair(12, 12), pair(12, null), pair(12.61, 12), pair(12.7, 12), pair(-12, 12)]).toEqual([
      'rail.swapped',
      'rail.carries-another',
      'rail.carries-another',
      'rail.passes-input',
      'rail.passes-input',
      'rail.sign',
    ])
  })
  it('is decided by the newest reading under load, unless one that no load explains came after it', () => {
    const by = (...readings: [number, 'loaded' | 'unloaded' | 'unknown'][]) =>
      judged({ name: '+5 V', nominalV: 5, readings: readings.map(([valueV, load]) => ({ valueV, load })) }).rails[0]!.deciding?.valueV
    expect(by([5, 'loaded'], [4.9, 'loaded'], [4.8, 'unloaded'])).toBe(4.9)
    expect(by([4.8, 'unloaded'], [4.9, 'unknown'])).toBe(4.9)
    expect(by([4.9, 'unknown'], [4.8, 'unloaded'])).toBe(4.9)
    expect(by([5, 'loaded'], [3, 'unloaded'])).toBe(3)
    expect(by([5, 'loaded'], [3, 'unloaded'], [4.8, 'unloaded'])).toBe(4.8)
    expect(by([5, 'loaded'], [5.3, 'unloaded'])).toBe(5.3)
    expect(by([5, 'loaded'], [5.25, 'unloaded'])).toBe(5)
    expect(by([5, 'loaded'], [3.5, 'unloaded'])).toBe(5)
  })
  it('were low only without a load where they are good under it', () => {
    const codes = (unloaded: number, nominalV = 5, loaded = nominalV) =>
      names(
        judged({
          name: 'a',
          nominalV,
          readings: [
            { valueV: unloaded, load: 'unloaded' },
            { valueV: loaded, load: 'loaded' },
          ],
        }).rails[0]!.findings,
      )
    expect(codes(4.5)).toContain('note rail.low-only-unloaded')
    expect(codes(4.75)).not.toContain('note rail.low-only-unloaded')
    expect(codes(-4.4, -5)).toContain('note rail.low-only-unloaded')
    expect(codes(-4.6, -5)).not.toContain('note rail.low-only-unloaded')
  })
  it('have one verdict, that of the worst', () => {
    const [good, out, low, unread] = [5, 9, 4.5, null].map((valueV, i) => ({
      name: `r${i}`,
      nominalV: 5,
      readings: valueV === null ? [] : [{ valueV, load: valueV === 4.5 ? ('unloaded' as const) : ('loaded' as const) }],
    })) as [never, never, never, never]
    expect([judged(good), judged(good, unread), judged(good, unread, low), judged(good, unread, low, out)].map(r => r.verdict)).toEqual([
      'good',
      'unread',
      'reread',
      'out',
    ])
    expect(judged(good, unread, low, out).findings[0]).toMatchObject({ level: 'stop', says: 'Out of limits: r1.' })
    expect(judged(good, { ...(good as object), name: 'b' } as never).findings[0]?.says).toBe('All 2 rails are within limits.')
  })
  it.each([
    [[], 'rails'],
    [[{ name: ' ', nominalV: 5, readings: [] }], 'rails.0.name'],
    [
      [
        { name: 'a', nominalV: 5, readings: [] },
        { name: 'a', nominalV: 5, readings: [] },
      ],
      'rails.1.name',
    ],
    [[{ name: 'a', nominalV: 0.09, readings: [] }], 'rails.0.nominalV'],
    [[{ name: 'a', nominalV: Infinity, readings: [] }], 'rails.0.nominalV'],
    [[{ name: 'a', nominalV: 5, tolerancePct: 0, readings: [] }], 'rails.0.tolerancePct'],
    [[{ name: 'a', nominalV: 5, tolerancePct: 51, readings: [] }], 'rails.0.tolerancePct'],
    [[{ name: 'a', nominalV: 5, readings: [{ valueV: NaN, load: 'loaded' as const }] }], 'rails.0.readings.0.valueV'],
  ])('%o is refused at %s', (rails, field) => expect(() => judgeRails({ rails })).toThrow(expect.objectContaining({ field }) as Error))
  it('of 0.1 V and a tolerance of 50 % are the least and the most that is taken', () => {
    expect(() => judgeRails({ rails: [{ name: 'a', nominalV: -0.1, tolerancePct: 50, readings: [] }] })).not.toThrow()
    expect([toleranceFor(24), toleranceFor(-24)].map(t => t.tolerancePct)).toEqual([5, 10])
  })
})

describe('a trace', () => {
  const codes = (more: object) => names(judgeTrace({ widthMm: 1, ...more }).findings)
  it('comes to a temperature that the board bears, or not', () => {
    const board = (riseK: number, ambientC = 25) => codes({ riseK, ambientC }).filter(n => n.includes('trace.board'))
    expect([board(80), board(81), board(105), board(106), board(10, 95), board(10, 96)]).toEqual([
      [],
      ['care trace.board'],
      ['care trace.board'],
      ['stop trace.board'],
      [],
      ['care trace.board'],
    ])
  })
  it('is outside the charts beyond 10 to 100 K, 35 A and 400 mil', () => {
    const outside = (more: object) => codes(more).includes('care trace.chart')
    expect([{ riseK: 10 }, { riseK: 9.9 }, { riseK: 100 }, { riseK: 101 }, { widthMm: 10.16 }, { widthMm: 10.17 }].map(outside)).toEqual([
      false,
      true,
      false,
      true,
      false,
      true,
    ])
    expect([35, 36].map(currentA => outside({ widthMm: 10, copperOz: 10, currentA, riseK: 20 }) && currentA > 35)).toEqual([false, true])
  })
  it('bears, is warm, or burns, by the rise against what is allowed', () => {
    const bears = judgeTrace({ widthMm: 1 }).currentAtRiseA
    const heat = (currentA: number, more = {}) => codes({ currentA, ...more }).find(n => /bears|warm|burns/.test(n))
    expect([heat(bears * 0.999), heat(bears * 1.001), heat(bears * 10 ** 0.44 * 1.01)]).toEqual(['fine trace.bears', 'care trace.warm', 'stop trace.burns'])
    expect(codes({})).toContain('note trace.carries')
    expect(codes({ currentA: 1, lengthMm: 100 })).toContain('care trace.drop')
    expect(codes({ currentA: 1, lengthMm: 50 })).not.toContain('care trace.drop')
    expect(codes({ widthMm: 100, copperOz: 10 })).toContain('note trace.no-wire')
  })
  it.each([
    [{ widthMm: 0.01 }, 'widthMm'],
    [{ widthMm: 101 }, 'widthMm'],
    [{ copperOz: 11 }, 'copperOz'],
    [{ riseK: 0 }, 'riseK'],
    [{ currentA: 201 }, 'currentA'],
    [{ lengthMm: 0 }, 'lengthMm'],
    [{ shortSeconds: 11 }, 'shortSeconds'],
    [{ ambientC: 101 }, 'ambientC'],
  ])('with %o is refused at %s', (more, field) => expect(() => judgeTrace({ widthMm: 1, ...more })).toThrow(expect.objectContaining({ field }) as Error))
})
