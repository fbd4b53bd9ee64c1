import { describe, expect, it } from 'vitest'
import { overvoltages, standingAlarms } from './alarms'
import { judgeBench } from './bench'
import { discharge } from './discharge'
import { swingOf } from './drift'
import { alarmsOfRuns } from './noticed'
import { readJunctions } from './junction'
import { readableRails } from './rules'

// Each of these would let a danger through if it were turned round. Rules: common practice, no source.

it('joined capacitors hold the highest of their voltages, whichever comes first', () => {
  const bank = (...volts: number[]) => discharge({ capacitors: volts.map((voltageV, i) => ({ capacitanceF: 100e-6, voltageV, joined: i > 0 })) })
  // ½·200 µF·400² = 16 J.
  for (const volts of [
    [10, 400],
    [400, 10],
  ])
    expect(bank(...volts)).toMatchObject({ totalEnergyJ: expect.closeTo(16, 6) as number, resistorVoltageV: 400 })
})

describe('an alarm', () => {
  const rails = [{ name: '+5 V', nominalV: 5 }]
  const read = (valueV: number, at: string) => ({ rail: '+5 V', valueV, load: 'loaded' as const, at })
  it('stands until it is explained after it was raised last', () => {
    const alarms = overvoltages(rails, [read(9, '2026-01-01'), read(8, '2026-03-01')])
    expect(alarms).toMatchObject([{ key: 'overvoltage:+5 V', at: '2026-03-01', finding: { says: '+5 V has carried 9 V.', when: 'powered' } }])
    const said = (at: string, key = 'overvoltage:+5 V') => standingAlarms(alarms, [{ key, says: 'x', at }]).length
    expect([said('2026-02-01'), said('2026-03-01'), said('2026-04-01'), said('2026-04-01', 'overvoltage:+12 V')]).toEqual([1, 0, 0, 1])
  })
  it('of one key is the newest of them, whichever was told first', () => {
    const [old, recent] = [overvoltages(rails, [read(9, '2026-01-01')])[0]!, overvoltages(rails, [read(8, '2026-03-01')])[0]!]
    for (const both of [
      [old, recent],
      [recent, old],
    ])
      expect(standingAlarms(both, []).map(a => a.at)).toEqual(['2026-03-01'])
  })
  it('comes of a run that was called off by what the machine did, and not by its rails, the clock, the line or people', () => {
    const called = (code: string, heard?: 'elsewhere' | 'nowhere') =>
      alarmsOfRuns([{ called: { level: 'stop', code, says: 'Off.', because: [], ...(heard ? { heard } : {}) }, noticed: [] }], '2026-03-01').length
    expect([called('start.current'), called('rail.high', 'elsewhere'), called('start.time', 'nowhere')]).toEqual([1, 0, 0])
    // An odd sound is one; smoke is a hazard, and heard as that.
    expect(alarmsOfRuns([{ called: null, noticed: ['sound', 'smoke'] }], '2026-03-01').map(a => a.key)).toEqual(['start:noticed.sound'])
  })
})

it('a rail that swings within minutes is told with both ends, under the same load alone', () => {
  const at = (minute: number, valueV: number, load: 'loaded' | 'unloaded' = 'loaded') => ({
    valueV,
    load,
    at: new Date(Date.UTC(2026, 2, 3, 19, minute)).toISOString(),
  })
  const swing = (...readings: ReturnType<typeof at>[]) => swingOf({ name: '+5 V', nominalV: 5, tolerancePct: 5, readings })?.says
  expect(swing(at(0, 5), at(2, 4.8))).toContain('between 4.8 V and 5 V')
  expect(swing(at(0, 4.8), at(2, 5))).toContain('between 4.8 V and 5 V')
  expect(swing(at(0, 4.8, 'unloaded'), at(2, 5))).toBeUndefined()
  // One sitting is a quarter of an hour, its end included; half the tolerance is where it begins to swing.
  expect(swing(at(0, 4.8), at(15, 5))).toBeDefined()
  expect(swing(at(0, 4.8), at(16, 5))).toBeUndefined()
  expect(swing(at(0, 4.875), at(2, 5))).toBeDefined()
  expect(swing(at(0, 4.88), at(2, 5))).toBeUndefined()
})

it('a bench supply that is low guards, and one that is high or the wrong way round keeps off', () => {
  const level = (voltageV: number) =>
    judgeBench({
      outputs: [{ feeds: '+5 V', voltageV, limitA: 0.5, polarityChecked: true }],
      rails: [{ name: '+5 V', nominalV: 5 }],
      inletV: null,
      runLimitA: null,
    }).map(h => `${h.finding.level} ${h.finding.concerns}`)
  expect([level(5), level(4), level(6), level(-5), level(-4)]).toEqual([[], ['care supply'], ['stop supply'], ['stop supply'], ['stop supply']])
})

it('two junctions with the red lead, or the black one, on one leg are a transistor; in a row they are none', () => {
  const like = (...pairs: [number, number][]) => {
    const conducts = (red: number, black: number) => pairs.some(p => p[0] === red && p[1] === black)
    const legs = [1, 2, 3] as const
    const readings = legs.flatMap(red => legs.filter(b => b !== red).map(black => ({ red, black, volts: conducts(red, black) ? 0.6 : null })))
    return readJunctions({ legs: 3, readings }).like
  }
  expect([like([1, 2], [1, 3]), like([2, 1], [3, 1]), like([1, 2], [2, 3])]).toEqual(['npn', 'pnp', 'unclear'])
})

it('a rail is readable up to a tolerance of half, and no further', () => {
  const unreadable = (tolerancePct: number) => readableRails([{ name: '+5 V', nominalV: 5, tolerancePct }]).unreadable.length
  expect([unreadable(0), unreadable(5), unreadable(50), unreadable(50.1)]).toEqual([1, 0, 0, 1])
})
