import { describe, expect, it } from 'vitest'
import { countdownSeconds, beginRun, mostSamples, stepStart, type StartEvent, type StartRun } from './start-ritual'
import { type StartPlan, type StartSample, watchStart } from './start-watch'

// Rules and limits of a first start: common practice, no source. Rail limits are checked in rails.test.ts.
const plan: StartPlan = {
  points: [
    { rail: '+5 V', nominalV: 5, point: 'pin 9' },
    { rail: '+12 V', nominalV: 12, point: 'pin 8' },
  ],
  load: 'unloaded',
  currentLimitA: 1.2,
  warm: 'heat-sink',
  mostSeconds: 120,
  byMeter: true,
}
const dc = (volts: number[], rail = '+5 V', from = 5, step = 0.5): StartSample[] =>
  volts.map((value, i) => ({ atSeconds: from + i * step, kind: 'dc-volts', rail, value }))
const see = (samples: StartSample[], more = {}) =>
  watchStart(plan, samples, { onSeconds: samples.at(-1)?.atSeconds ?? 0, rail: '+5 V', meter: 'ready', ...more })
const steady = (volts: number, n = 12) => dc(Array.from({ length: n }, () => volts))
const at = (samples: StartSample[]) => [see(samples).state, see(samples).findings[0]?.code]

describe('a start that is watched', () => {
  it.each<[string, StartSample[], string, string]>([
    ['a rail within limits', steady(5.02), 'calm', 'rail.in-limits'],
    ['a regulator that is dead', steady(0.04), 'off', 'rail.missing'],
    ['a rail low without a load', steady(4.5), 'watch', 'rail.low-unloaded'],
    ['a rail that passes its input', steady(9), 'off', 'rail.passes-input'],
    ['the voltage of another rail', steady(12.01), 'off', 'rail.carries-another'],
    ['the wrong sign', steady(-5), 'off', 'rail.sign'],
    ['a slow collapse, still within limits', dc([5.05, 5.03, 5.01, 4.99, 4.97, 4.95, 4.93, 4.91]), 'watch', 'start.falls'],
    ['a slow rise, still within limits', dc([4.95, 4.97, 4.99, 5.01, 5.03, 5.05, 5.07, 5.09]), 'watch', 'start.rises'],
    ['a rail that jumps about', dc([5.1, 4.9, 5.12, 4.88, 5.11, 4.9]), 'watch', 'start.unsteady'],
    ['ripple that is too much', [...steady(4.9), { atSeconds: 11, kind: 'ac-volts', rail: '+5 V', value: 0.35 }], 'off', 'start.ripple'],
    ['a little ripple', [...steady(4.98), { atSeconds: 11, kind: 'ac-volts', rail: '+5 V', value: 0.08 }], 'watch', 'start.ripple'],
    ['more than the meter can show', [...steady(5), { atSeconds: 12, kind: 'dc-volts', rail: '+5 V', value: null }], 'off', 'start.overload'],
    ['too much current', [...steady(5), { atSeconds: 12, kind: 'dc-amps', value: 1.6 }], 'off', 'start.current'],
    ['a heat sink that is too hot', [...steady(5), { atSeconds: 12, kind: 'celsius', value: 91 }], 'off', 'temperature.hot'],
  ])('with %s', (_, samples, state, code) => expect(at(samples)).toEqual([state, code]))

  it('gives the switch and the supply their seconds, but never lets a rail be too high', () => {
    expect(at(dc([0, 0.3, 2.1], '+5 V', 1, 0.2))).toEqual(['calm', 'start.rising'])
    expect(at(dc([0, 0.3, 6.2], '+5 V', 1, 0.2))[0]).toBe('off')
    expect(at(dc([0.01, 0.01], '+5 V', 4, 0.5))[1]).toBe('rail.missing')
  })

  it('is no attended start once nobody sees the rail, or the time is over', () => {
    for (const meter of ['silent', 'lost', 'nonsense', 'unreachable'] as const)
      expect([see(steady(5), { meter }).state, see(steady(5), { meter }).findings[0]?.code]).toEqual(['off', `start.meter-${meter}`])
    expect(see(steady(5), { onSeconds: 15 }).findings.map(f => f.code)).toEqual(['start.blind'])
    // What was seen before says nothing of now.
    expect(see(steady(5), { meter: 'silent' }).findings.map(f => f.code)).toEqual(['start.meter-silent'])
    expect(see(dc([5], '+5 V', 121), { onSeconds: 121 }).findings[0]?.code).toBe('start.time')
    expect(watchStart({ ...plan, byMeter: false }, [], { onSeconds: 60, rail: '+5 V', meter: 'none' }).state).toBe('calm')
  })
})

describe('the ritual', () => {
  const play = (events: [seconds: number, event: StartEvent][], run: StartRun = beginRun(plan)) =>
    events.reduce((r, [seconds, event]) => stepStart(r, event, seconds * 1000), run)
  const ready: [number, StartEvent] = [0, { do: 'meter', state: 'ready' }]
  const on = countdownSeconds
  const sample = (seconds: number, value: number | null): [number, StartEvent] => [seconds, { do: 'sample', kind: 'dc-volts', value }]
  const begun: [number, StartEvent][] = [ready, [0, { do: 'count-down' }]]

  it('counts down, is on, keeps what stands still, and is off when somebody says so', () => {
    const run = play([
      ...begun,
      sample(1, 3),
      [on, { do: 'tick' }],
      ...[0, 1, 2, 3, 4, 5].map(i => sample(on + i, 5.01)),
      [on + 6, { do: 'probe', rail: '+12 V' }],
      sample(on + 7, 11.9),
      [on + 8, { do: 'done' }],
      ...[9, 10, 11].map(i => sample(on + i, 0)),
      [on + 12, { do: 'is-off' }],
    ])
    expect(run).toMatchObject({ phase: 'off', kept: { '+5 V': 5.01 }, called: null })
    // What the meter showed before the switch was called does not count,
    // nor what it shows of a machine being switched off; and one reading does not stand still.
    expect(run.samples.map(s => s.value)).not.toContain(3)
    expect(run.kept['+12 V']).toBeUndefined()
  })

  it('keeps nothing of a rail before the switch was thrown, and what it shows afterwards', () => {
    const late = [...begun, [on, { do: 'tick' }] as [number, StartEvent], ...[0.2, 0.4, 0.6, 0.8].map(i => sample(on + i, 0))]
    expect(play(late).kept).toEqual({})
    expect(play([...late, ...[1.5, 2, 2.5].map(i => sample(on + i, 5.02))]).kept).toEqual({ '+5 V': 5.02 })
  })

  it('once something calls for off, that stays until it is off', () => {
    const shorted = play([...begun, [on, { do: 'tick' }], ...[5, 6].map(i => sample(on + i, 0.02)), sample(on + 6.5, 5.0), sample(on + 7, 5.0)])
    expect(shorted).toMatchObject({ phase: 'off-now', called: { code: 'rail.missing' } })
    expect(
      play(
        [
          [on + 8, { do: 'is-off' }],
          [on + 9, { do: 'count-down' }],
        ],
        shorted,
      ),
    ).toMatchObject({ phase: 'countdown', called: null, samples: [], kept: {}, before: [{ called: { code: 'rail.missing' } }] })
    const smelt = play([
      ...begun,
      [on, { do: 'tick' }],
      ...[1, 2, 3].map(i => sample(on + i, 5.01)),
      [on + 4, { do: 'stop', noticed: 'smell' }],
      ...[5, 6, 7].map(i => sample(on + i, 0)),
    ])
    expect(smelt).toMatchObject({ phase: 'off-now', called: { says: 'A smell was noticed.' }, noticed: ['smell'], calledAtSeconds: 4, kept: { '+5 V': 5.01 } })
  })

  it('does not count down without sight of the rail, nor twice, nor to a rail it does not know', () => {
    expect(() => play([[0, { do: 'count-down' }]])).toThrow(/no attended start/)
    expect(() => play([...begun, [1, { do: 'count-down' }]])).toThrow(/already/)
    expect(() => play([[0, { do: 'probe', rail: '-5 V' }]])).toThrow(/not in this start/)
    expect(() => play([...begun, [on, { do: 'sample', kind: 'dc-volts', value: 5, by: 'hand' }]])).toThrow(/The meter reads the rail/)
    expect(() => play([ready, [0, { do: 'stop', noticed: null }]])).toThrow(/not on/)
    expect(() => beginRun({ ...plan, points: [] })).toThrow(/No rail is expected/)
  })

  it('takes one typed figure for a reading', () => {
    const typed = play([[0, { do: 'count-down' }], [on, { do: 'tick' }], sample(on + 5, 4.96)], beginRun({ ...plan, byMeter: false }))
    expect(typed.kept).toEqual({ '+5 V': 4.96 })
  })

  it('thins out a long trace instead of growing without end', () => {
    const trace = Array.from({ length: mostSamples }, (_, i): StartSample => ({ atSeconds: i * 0.04, kind: 'dc-volts', rail: '+5 V', value: 5 }))
    const running = { ...play([...begun, [on, { do: 'tick' }]]), samples: trace }
    const long = play([sample(on + 100, 5.01)], running)
    // Of the older half every other sample goes, from the second on; the newer half stays as it is.
    expect(long.samples.length).toBe(mostSamples * 0.75 + 1)
    expect(long.samples.slice(0, 3).map(s => s.atSeconds)).toEqual([0, 0.08, 0.16])
    expect(long.samples.at(-1)).toMatchObject({ atSeconds: 100, value: 5.01 })
    expect(play([sample(on + 100, 5)], { ...running, samples: trace.slice(1) }).samples).toHaveLength(mostSamples)
  })
})
