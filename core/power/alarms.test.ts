import { describe, expect, it } from 'vitest'
import { heatAlarms, heatCares, overvoltages, standingAlarms } from './alarms'
import { alarmsOfRuns, hazardsNoticed, noticedNames, witnessed } from './noticed'

// Where each limit stands, tried from both sides. The limits are common practice, no source, unless one is named beside them.

describe('alarms', () => {
  const five = [{ name: '+5 V', nominalV: 5 }]
  const read = (valueV: number, at = '2026-03-01T19:00:00Z', rail = '+5 V') => ({ rail, valueV, load: 'loaded' as const, at })
  const raised = (...values: number[]) =>
    overvoltages(
      five,
      values.map((v, i) => read(v, `2026-03-0${i + 1}T19:00:00Z`)),
    ).map(a => a.finding.says)

  it('begin beyond twice the tolerance, and at a tenth of nominal the wrong way round', () => {
    // 5 V within 5 %: 5.5 V is the limit; −0.5 V is noise.
    expect([raised(5.5), raised(5.51), raised(-0.5), raised(-0.51), raised(0), raised()].map(r => r.length)).toEqual([0, 1, 0, 1, 0, 0])
    expect(raised(-5)).toEqual(['+5 V has carried −5 V, the wrong way round.'])
  })
  it('name the worst that was read, whichever sign, and when it was read last', () => {
    expect(raised(6, 9, 7)).toEqual(['+5 V has carried 9 V.'])
    expect(raised(6, -9)).toEqual(['+5 V has carried −9 V, the wrong way round.'])
    expect(overvoltages(five, [read(9, '2026-03-01'), read(6, '2026-03-02'), read(5, '2026-03-03')])[0]?.at).toBe('2026-03-02')
    expect(overvoltages(five, [read(9, '2026-03-01', '+12 V')])).toEqual([])
    expect(overvoltages([{ name: '-12 V', nominalV: -12 }], [read(-14.5, '2026-03-01', '-12 V')])[0]?.finding.says).toBe('−12 V has carried −14.5 V.')
  })
  it('go by the narrower of two tolerances', () => {
    const with50 = overvoltages([{ name: '+5 V', nominalV: 5, tolerancePct: 50 }], [read(6)])
    const with1 = overvoltages([{ name: '+5 V', nominalV: 5, tolerancePct: 1 }], [read(5.2)])
    expect([with50.length, with1.length]).toEqual([1, 1])
  })
  it('of heat are those of the part and its place, and what is only warm asks for care by its newest figure', () => {
    const warm = (highestC: number, at = '2026-03-01', where = 'left') => ({ part: 'chip' as const, where, lastC: highestC, highestC, climbKPerMin: null, at })
    expect(heatAlarms([warm(85)])).toEqual([])
    expect(heatAlarms([warm(86)])).toMatchObject([
      { key: 'heat:chip:left', at: '2026-03-01', finding: { says: 'Chip at 86.0 °C: too hot, left.', when: 'powered' } },
    ])
    expect(heatAlarms([warm(86, '2026-03-01', '')])[0]?.finding.says).toBe('Chip at 86.0 °C: too hot.')
    const cares = heatCares([warm(70), warm(50, '2026-03-02'), warm(70, '2026-03-02', 'right')])
    expect(cares.map(h => [h.finding.code, h.finding.when])).toEqual([['temperature.warm.chip-right', 'powered']])
    expect(cares[0]?.open?.do).toBe('Find out why chip, right, runs warm, and take its temperature again.')
  })
  it('that are equally old are one', () => {
    const two = [...overvoltages(five, [read(9, '2026-03-01')]), ...overvoltages(five, [read(7, '2026-03-01')])]
    expect(standingAlarms(two, []).map(a => a.finding.says)).toEqual(['+5 V has carried 7 V.'])
    expect(standingAlarms([], [])).toEqual([])
  })
})

describe('what is noticed', () => {
  it('is a hazard or an alarm, never both, and each once', () => {
    const run = (...seen: typeof noticedNames) => ({ called: null, noticed: seen })
    expect(hazardsNoticed([run('smoke', 'sound'), run('smoke', 'bang')])).toEqual(['smoke', 'bang'])
    expect(hazardsNoticed([run('sound'), run('other')])).toEqual([])
    expect(alarmsOfRuns([run('smoke', 'smell', 'bang')], '2026-03-01')).toEqual([])
    expect(alarmsOfRuns([run('sound', 'other')], '2026-03-01T19:00:00Z').map(a => a.finding.says)).toEqual([
      'At a start: an odd sound was noticed.',
      'At a start: something else was noticed.',
    ])
    expect(witnessed([run('smell')], '2026-03-01T19:00:00Z')).toEqual([{ says: 'Smell in a start on 1 Mar 2026', at: '2026-03-01T19:00:00Z' }])
  })
})
