import { describe, expect, it } from 'vitest'
import { type Leg, pairsOf, readJunctions } from './junction'
import { isHandiwork, touchesSupply } from './mended'
import { isSetTo, isSettled, meterFunctionNames, meterFunctions, readAnswer, readIdentity } from './scpi'
import { type SupplyMatchInput, matchSupply, supplyFact } from './supply-match'
import { readTemperatureLog } from './temperature-log'
import { freeWireRatingA, wireFor, wireOf, wireWith } from './wire'

// What fits and what does not, tried at its edges. Rules: common practice, no source, unless one is named beside them.
const names = (findings: { level: string; code: string }[]) => findings.map(f => `${f.level} ${f.code}`)

describe('a supply', () => {
  const right: SupplyMatchInput = {
    needs: { voltageV: 10, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1 },
    supply: { voltageV: 10, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1, regulated: true },
  }
  const match = (supply: Partial<SupplyMatchInput['supply']>, needs: Partial<SupplyMatchInput['needs']> = {}, more: Partial<SupplyMatchInput> = {}) =>
    matchSupply({ needs: { ...right.needs, ...needs }, supply: { ...right.supply, ...supply }, ...more })
  const amiss = (...given: Parameters<typeof match>) => names(match(...given).findings).filter(n => !n.startsWith('fine'))

  it.each<[Partial<SupplyMatchInput['supply']>, Partial<SupplyMatchInput['needs']>, string[]]>([
    [{ voltageV: 9.5 }, {}, []],
    [{ voltageV: 9.49 }, {}, ['stop supply.low']],
    [{ voltageV: 10.5 }, {}, []],
    [{ voltageV: 10.51 }, {}, ['stop supply.high']],
    [{ voltageV: 8 }, { tolerancePct: 20 }, []],
    [{ voltageV: 12 }, { tolerancePct: 20 }, []],
    // A regulator inside bears 30 % more, and more where the inlet itself does.
    [{ voltageV: 13 }, { regulatedInside: true }, []],
    [{ voltageV: 13.1 }, { regulatedInside: true }, ['stop supply.high']],
    [{ voltageV: 14 }, { regulatedInside: true, tolerancePct: 40 }, []],
    [{ voltageV: 9.4 }, { regulatedInside: true }, ['stop supply.low']],
    [{ currentA: 1 }, {}, []],
    [{ currentA: 0.99 }, {}, ['stop supply.weak']],
    [{ currentA: undefined }, {}, ['care supply.current.unknown']],
    [{ kind: undefined }, {}, ['care supply.kind.unknown']],
    [{ polarity: undefined }, {}, ['care supply.polarity.unknown']],
    [{}, { polarity: undefined }, ['care supply.polarity.unknown']],
    [{ innerMm: 2.35 }, {}, []],
    [{ innerMm: 2.36 }, {}, ['stop supply.plug']],
    [{ outerMm: 5.2 }, {}, ['stop supply.plug']],
    [{ innerMm: undefined }, {}, ['care supply.plug.unknown']],
    [{}, { outerMm: undefined }, ['care supply.plug.unknown']],
    [{ innerMm: undefined, outerMm: 3.5 }, {}, ['stop supply.plug']],
    [{ regulated: undefined }, {}, ['care supply.regulated.unknown']],
    [{ regulated: undefined, unloadedV: 10 }, {}, []],
    // Unregulated, a supply gives 1.4 times its label with nothing attached.
    [{ regulated: false, voltageV: 9.5 }, { tolerancePct: 33 }, []],
    [{ regulated: false, voltageV: 9.5 }, { tolerancePct: 32.9 }, ['stop supply.unloaded']],
    [{ unloadedV: 9.5 }, {}, []],
    [{ unloadedV: 9.4 }, {}, ['stop supply.unloaded-low']],
    [{ unloadedV: 10.5 }, {}, []],
    [{ unloadedV: 10.6 }, {}, ['stop supply.unloaded']],
    [{ unloadedV: 18 }, { regulatedInside: true }, ['care supply.unloaded']],
    [{ unloadedV: 18.1 }, { regulatedInside: true }, ['stop supply.unloaded-high']],
    // What is measured decides, and does not take back what the label says.
    [{ voltageV: 12, unloadedV: 10 }, {}, ['stop supply.high']],
    [{ kind: 'ac', polarity: undefined, regulated: false }, { kind: 'ac' }, []],
    [{ kind: 'ac', polarity: undefined, regulated: undefined }, { kind: 'ac' }, []],
  ])('with %o for %o: %o', (supply, needs, wanted) => expect(amiss(supply, needs)).toEqual(wanted))

  it('that gives far more than is drawn is fused', () => {
    const because = (currentA: number) => match({ currentA }).findings.find(f => f.code === 'supply.current')!.because[0]
    expect([because(2), because(2.1)]).toEqual(['The machine draws 1 A.', expect.stringContaining('Fuse it')])
  })
  it('meets a neighbour that it would harm by its voltage, its kind or its sign, where its plug fits', () => {
    const beside = (more: object) => amiss({}, {}, { neighbours: [{ name: 'the other', voltageV: 10, kind: 'dc', outerMm: 5.5, innerMm: 2.1, ...more }] })
    const harms = ['care supply.neighbour']
    expect([{}, { voltageV: 9.53 }, { voltageV: 9.5 }, { voltageV: 10.6 }, { kind: 'ac' as const }].map(beside)).toEqual([[], [], harms, harms, harms])
    expect([{ polarity: 'centre-positive' as const }, { polarity: 'centre-negative' as const }, { voltageV: 20, innerMm: 2.5 }].map(beside)).toEqual([
      harms,
      [],
      [],
    ])
  })
  it('becomes the gate’s fact only where it is known whether it suits', () => {
    expect([supplyFact('known', 'no'), supplyFact('doubtful', 'yes'), supplyFact('known', 'not-yet-known'), supplyFact('known', null)]).toEqual([
      'doubtful',
      'known',
      'known',
      'known',
    ])
  })
  it('of a bench starts at 0.3 of what is drawn, never under 0.05 A', () => {
    expect(match({}, { currentA: 0.1 }).bench).toEqual({ voltageV: 10, firstLimitA: 0.05, runLimitA: 0.12 })
  })
  it.each([
    [{ voltageV: 300 }, {}, null],
    [{ voltageV: 301 }, {}, 'supply.voltageV'],
    [{}, { voltageV: 0 }, 'needs.voltageV'],
    [{}, { voltageV: 301 }, 'needs.voltageV'],
    [{}, { currentA: 101 }, 'needs.currentA'],
    [{}, { currentA: 100 }, null],
  ] as const)('%o for %o is refused at %s', (supply, needs, field) => {
    if (field) expect(() => match(supply, needs)).toThrow(expect.objectContaining({ field }) as Error)
    else expect(() => match(supply, needs)).not.toThrow()
  })
})

describe('junctions', () => {
  const read = (legs: 2 | 3, found: Record<string, number>) =>
    readJunctions({ legs, readings: pairsOf(legs).map(([red, black]) => ({ red, black, volts: found[`${red}${black}`] ?? null })) })
  it('are what their voltage is: short under 0.03 V, low under 0.12, germanium under 0.42, silicon under 0.9', () => {
    const kinds = [0.029, 0.03, 0.119, 0.12, 0.419, 0.42, 0.899, 0.9].map(v => read(2, { 12: v }).paths[0]!.kind)
    expect(kinds).toEqual(['short', 'low', 'low', 'germanium', 'germanium', 'silicon', 'silicon', 'high'])
    expect(read(2, {}).paths.map(p => p.kind)).toEqual(['open', 'open'])
  })
  it.each<[2 | 3, Record<string, number>, string]>([
    [2, { 12: 0.6 }, 'diode'],
    [2, { 12: 0.6, 21: 0.6 }, 'unclear'],
    [2, { 12: 1.2 }, 'unclear'],
    [2, { 12: 0.01 }, 'shorted'],
    [3, { 12: 0.6 }, 'unclear'],
    [3, { 12: 0.6, 21: 0.6 }, 'unclear'],
    [3, { 12: 0.6, 13: 0.6, 32: 0.6 }, 'unclear'],
    [3, { 12: 0.6, 13: 0.3 }, 'unclear'],
    [3, { 12: 0.6, 13: 0.6 }, 'npn'],
    [3, { 13: 0.3, 23: 0.3 }, 'pnp'],
  ])('of %d legs reading %o are like: %s', (legs, found, like) => expect(read(legs, found).like).toBe(like))
  it('are alike under 3 mV, and name the emitter, which reads more', () => {
    expect(names(read(3, { 12: 0.6, 13: 0.6029 }).findings)).toEqual(['care junction.alike'])
    expect(read(3, { 12: 0.6, 13: 0.604 }).findings.map(f => f.says)).toEqual([
      'Plausible as an NPN silicon transistor: base on 1.',
      'The emitter is probably leg 3.',
    ])
    expect(read(3, { 12: 0.604, 13: 0.6 }).findings[1]?.says).toBe('The emitter is probably leg 2.')
    expect(read(3, { 21: 0.6, 31: 0.61 }).findings.map(f => f.says)).toEqual([
      'Plausible as a PNP silicon transistor: base on 1.',
      'The emitter is probably leg 3.',
    ])
  })
  it.each([
    [{ red: 1, black: 3, volts: 0.6 }, 'readings.0'],
    [{ red: 3, black: 1, volts: 0.6 }, 'readings.0'],
    [{ red: 2, black: 2, volts: 0.6 }, 'readings.0'],
    [{ red: 1, black: 2, volts: -0.1 }, 'readings.0.volts'],
    [{ red: 1, black: 2, volts: 10.1 }, 'readings.0.volts'],
    [{ red: 1, black: 2, volts: 10 }, null],
  ] as const)('%o is refused at %s', ({ red, black, volts }, field) => {
    const judge = () => readJunctions({ legs: 2, readings: [{ red: red as Leg, black: black as Leg, volts }] })
    if (field) expect(judge).toThrow(expect.objectContaining({ field }) as Error)
    else expect(judge).not.toThrow()
  })
})

describe('a meter', () => {
  it('shows no more than its function can, either way', () => {
    for (const what of meterFunctionNames) {
      const { most } = meterFunctions[what]
      expect([most, -most, most * 1.01, -most * 1.01].map(v => readAnswer(String(v), what).kind)).toEqual(['value', 'value', 'nonsense', 'nonsense'])
    }
    expect([readAnswer('8.9e37', 'ohms'), readAnswer('9e37', 'ohms')].map(a => a.kind)).toEqual(['nonsense', 'overload'])
  })
  it('stands still within its share, and near nothing within its figure', () => {
    // DC volts: 0.5 %, or 5 mV.
    const still = (a: number, b: number) => isSettled([a, b], 'dc-volts')
    expect([still(9.951, 10), still(9.94, 10), still(-9.951, -10), still(0, 0.005), still(0, 0.006), still(0.5, 0.504)]).toEqual([
      true,
      false,
      true,
      true,
      false,
      true,
    ])
    expect([isSettled([], 'ohms'), isSettled([1], 'ohms'), isSettled([9, 1, 1], 'ohms')]).toEqual([false, false, true])
  })
  it('is known by what it says of itself, in plain letters', () => {
    expect(readIdentity('A~,b,c,d').maker).toBe('A~')
    expect(() => readIdentity('Ä,b,c,d')).toThrow(/who it is/)
  })
  it('is set to what it says, in long words and short, with ranges behind it', () => {
    const said = ['"VOLT:DC 10,0.001"', 'VOLTAGE', ':VOLT:AC', 'RES 1E6', 'resistance', 'CONT', 'DIODE', 'CURR:DC', 'CURRENT', 'TEMP TC,K', 'FRES', '']
    const heardAs = said.map(line => meterFunctionNames.filter(what => isSetTo(line, what)).join())
    expect(heardAs).toEqual(['dc-volts', 'dc-volts', 'ac-volts', 'ohms', 'ohms', 'continuity', 'diode', 'dc-amps', 'dc-amps', 'celsius', '', ''])
  })
})

it('wire is the thinnest that has the copper, or carries the current without losing too much', () => {
  const { areaMm2 } = wireOf(24)
  expect([wireWith(areaMm2)?.awg, wireWith(areaMm2 * 1.001)?.awg, wireWith(wireOf(10).areaMm2)?.awg, wireWith(wireOf(10).areaMm2 * 1.001)]).toEqual([
    24,
    23,
    10,
    null,
  ])
  // AWG 30 carries 0.86 A in free air (handbook tables, from memory) and has 0.339 Ω/m.
  const awg = (currentA: number, lengthMm = 100, mostDropV = 1) => wireFor({ currentA, lengthMm, mostDropV, thinnestAwg: 30 })?.awg
  expect([awg(0.5), awg(0.86), awg(0.87), awg(55), awg(56), awg(0.5, 1000, 0.17), awg(0.5, 1000, 0.16)]).toEqual([30, 30, 29, 10, undefined, 30, 29])
  expect(freeWireRatingA(9)).toBe(0)
})

it.each([
  ['Replaced the 7805', true, true],
  ['reflowed a joint of the keyboard', false, true],
  ['soldered the port', false, true],
  ['swapped in a fuse', true, true],
  ['recapped the board', true, true],
  ['measured the rails', true, false],
  ['cleaned the case', false, false],
  ['looked at the transformer', true, false],
  ['cut a trace', false, true],
  ['wrote a label', false, false],
])('“%s” touches what feeds the rails: %s; changes the machine: %s', (did, supply, hands) => {
  expect([touchesSupply(did), touchesSupply('the board', did), isHandiwork(did)]).toEqual([supply, supply, hands])
})

describe('a log of temperatures', () => {
  const read = (text: string) => readTemperatureLog([';', ','].map(d => text.split('\n').map(line => line.split(d))))
  const times = (text: string) => read(text).columns[0]?.samples.map(s => s.atSeconds)
  it.each([
    ['seconds with a fraction', '0.5;20\n1.5;21', [0, 1]],
    ['hours beyond a day, which do not turn', '23:00:00;20\n25:00:00;21', [0, 7200]],
    ['a clock that goes back a little is a slip', '10:00:00;20\n09:59:00;21\n10:01:00;22', [0, 60]],
    ['a clock that goes back by more than half a day has passed midnight', '22:00:00;20\n09:00:00;21', [0, 39600]],
    ['equal times are kept', '5;20\n5;21\n6;22', [0, 0, 1]],
    ['a day that is none', '2026-02-28 10:00;20\n2026-02-30 10:00;21\n2026-03-01 10:00;22', [0, 86400]],
    ['a day with seconds', '2026-03-03T19:00:30;20\n2026-03-03T19:01:00;21', [0, 30]],
    ['day first where both could be', '03.04.2026 10:00;20\n04.04.2026 10:00;21', [0, 86400]],
    ['degrees behind the figure, and a true minus', '0;−5 °C\n10;21 C', [0, 10]],
    ['empty lines between', '0;20\n\n10;21', [0, 10]],
    ['days with their year never begin anew', '2026-12-31 10:00;20\n2026-01-01 10:00;21\n2026-12-31 11:00;22', [0, 3600]],
  ])('%s', (_, text, wanted) => expect(times(text)).toEqual(wanted))
  it('has the columns that hold numbers in half of its rows, by the names above them', () => {
    const log = read('t;sink;note;air\n0;20;x;19\n10;21;y;\n20;22;z;18\n30;23;z;')
    expect(log.columns.map(c => [c.index, c.title, c.samples.length])).toEqual([
      [1, 'sink', 4],
      [3, 'air', 2],
    ])
    expect(read('0;20\n10;21').columns[0]?.title).toBe('Column 2')
    expect(log.rows).toBe(4)
  })
  it('says what it was read as, how many rows were left out, and of which way it is not sure', () => {
    const says = (text: string) => read(text).findings.map(f => f.says)
    expect(says('0;20,5\n10;21')).toEqual(['2 rows, one column of numbers, decimal comma.'])
    expect(says('0;20;1\n10;21;2\nx;1;1')).toEqual(['2 rows, 2 columns of numbers, decimal point.', '1 row was left out.'])
    expect(says('0;20\nx;1\ny;1')[1]).toBe('2 rows were left out.')
    expect(says('t;C\n14:05;20\n14:06;21')[1]).toBe('Its times can be read in two ways; they were taken as hours and minutes.')
    expect(says('t;C\n0:05;20\n0:06;21')[1]).toBe('Its times can be read in two ways; they were taken as minutes and seconds.')
    expect(says('uhrzeit;C\n04:05;20\n04:06;21')).toHaveLength(1)
    expect(says('03.04.2026 10:00;20\n04.04.2026 10:00;21')[1]).toBe('Its times can be read in two ways; they were taken as day first.')
    expect(says('30.04.2026 10:00;20\n01.05.2026 10:00;21')).toHaveLength(1)
  })
})
