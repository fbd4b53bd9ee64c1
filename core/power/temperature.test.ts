import { describe, expect, it } from 'vitest'
import { driftOf } from './drift'
import { climbOf, judgeTemperature } from './temperature'
import { readTemperatureLog } from './temperature-log'

describe('temperature', () => {
  // Heat sinks of old linear supplies at 60 to 65 °C are usual: common practice, no source.
  it.each([
    [62, 'fine'],
    [65, 'fine'],
    [70, 'care'],
    [90, 'stop'],
  ])('a heat sink at %d °C: %s', (celsius, level) => {
    expect(judgeTemperature({ part: 'heat-sink', samples: [{ atSeconds: 0, celsius }] }).findings[0]?.level).toBe(level)
  })

  it('notices a climb, by a line through the last two minutes', () => {
    const samples = Array.from({ length: 7 }, (_, i) => ({ atSeconds: i * 20, celsius: 30 + i * 2 }))
    expect(climbOf(samples)).toBeCloseTo(6, 6)
    expect(judgeTemperature({ part: 'drive', samples }).findings.map(f => f.code)).toContain('temperature.climbs')
    expect(climbOf(samples.slice(0, 2))).toBeNull()
  })

  it('refuses what no bench can have', () => {
    expect(() => judgeTemperature({ part: 'chip', samples: [{ atSeconds: 0, celsius: 900 }] })).toThrow(/−40 to 400/)
    expect(() => judgeTemperature({ part: 'chip', samples: [] })).toThrow(/at least one/)
  })
})

describe('a log', () => {
  const table = (text: string, delimiter: string) =>
    text
      .trim()
      .split('\n')
      .map(line => line.split(delimiter))
  const split = (text: string) => [';', '\t', ','].map(d => table(text, d))

  it.each([
    ['comma decimals, semicolons', 'Zeit;Kuehler;Luft\n0;21,5;20\n30;24,25;20,5\n60;27,0;21', [21.5, 24.25, 27]],
    ['points, commas, hours', 'time,heat sink\n10:00:00,21.5\n10:00:30,24.25\n10:01:00,27', [21.5, 24.25, 27]],
    ['tabs, days, no header', '2026-03-03 19:00\t21.5\n2026-03-03 19:01\t24.25\n2026-03-03 19:02\t27', [21.5, 24.25, 27]],
  ])('with %s is read', (_, text, wanted) => {
    expect(readTemperatureLog(split(text)).columns[0]?.samples.map(s => s.celsius)).toEqual(wanted)
  })

  it.each([
    ['a clock past midnight', 'time;C\n23:50;20\n23:55;21\n00:05;22', [0, 300, 900]],
    ['a clock with seconds past midnight', '23:59:30;20\n00:00:30;21', [0, 60]],
    ['minutes and seconds', 't;C\n0:00;20\n0:30;21\n1:00;22', [0, 30, 60]],
    ['minutes beyond an hour', '59:30;20\n60:30;21\n75:00;22', [0, 60, 930]],
    ['what its header says', 'mm:ss;C\n1:00;20\n2:00;21', [0, 60]],
    ['days past new year, without a year', '31.12. 23:50;20\n01.01. 00:10;21', [0, 1200]],
    ['days past new year', '2025-12-31 23:50;20\n2026-01-01 00:10;21', [0, 1200]],
    ['the month first, where no day could be', '12/30/2025 23:50;20\n12/31/2025 00:10;21', [0, 1200]],
  ])('with %s counts on', (_, text, wanted) => {
    expect(readTemperatureLog(split(text)).columns[0]?.samples.map(s => s.atSeconds)).toEqual(wanted)
  })

  it('says so where its times can be read in two ways', () => {
    const codes = (text: string) => readTemperatureLog(split(text)).findings.map(f => f.code)
    expect(codes('t;C\n14:05;20\n14:06;21')).toContain('log.times')
    expect(codes('hh:mm;C\n14:05;20\n14:06;21')).not.toContain('log.times')
    expect(codes('10:00:00;20\n10:01:00;21')).not.toContain('log.times')
  })

  it('counts time from its first row, and says which rows it left out', () => {
    const log = readTemperatureLog(split('t;C\n10;20\nx;21\n5;22\n40;23'))
    expect(log.columns[0]?.samples).toEqual([
      { atSeconds: 0, celsius: 20 },
      { atSeconds: 30, celsius: 23 },
    ])
    expect(log.leftOut.map(l => l.row)).toEqual([3, 4])
    expect(() => readTemperatureLog(split('only;words\nand;more'))).toThrow(/No temperatures/)
  })
})

describe('drift', () => {
  it('is noticed when it goes one way over several visits, each step too small for a word', () => {
    const slow = [5.05, 5.0, 4.95, 4.9].map((v, i) => visit(`2026-0${i + 1}-01T19:00:00Z`, v))
    // Each step is 1 % of nominal, under 0.3 of 5 %.
    expect(drift(...slow)).toMatchObject({ level: 'care', code: 'rail.trend' })
    expect(drift(...slow.slice(0, 2))).toBeNull()
    // Towards nominal, or back and forth, it is none.
    expect(drift(...[5.2, 5.15, 5.1, 5.05].map((v, i) => visit(`2026-0${i + 1}-01T19:00:00Z`, v)))).toBeNull()
    expect(drift(...[5.0, 5.05, 5.0, 5.05].map((v, i) => visit(`2026-0${i + 1}-01T19:00:00Z`, v)))).toBeNull()
  })

  const visit = (at: string, valueV: number, load: 'loaded' | 'unloaded' = 'loaded') => ({ at, valueV, load })
  const drift = (...readings: ReturnType<typeof visit>[]) => driftOf({ name: '+5 V', nominalV: 5, tolerancePct: 5, readings })

  it('is noticed between two visits under the same load, and told by its direction', () => {
    expect(drift(visit('2026-01-01T19:00:00Z', 5.02), visit('2026-06-01T19:00:00Z', 4.86))).toMatchObject({ level: 'care', code: 'rail.drift' })
    expect(drift(visit('2026-01-01T19:00:00Z', 4.8), visit('2026-06-01T19:00:00Z', 5.0))?.level).toBe('note')
  })

  it('is none within a day, between loads, or when it is small', () => {
    expect(drift(visit('2026-01-01T19:00:00Z', 5.2), visit('2026-01-01T20:00:00Z', 4.8))).toBeNull()
    expect(drift(visit('2026-01-01T19:00:00Z', 5.2, 'unloaded'), visit('2026-06-01T19:00:00Z', 4.8))).toBeNull()
    expect(drift(visit('2026-01-01T19:00:00Z', 5.02), visit('2026-06-01T19:00:00Z', 4.97))).toBeNull()
  })
})
