import { describe, expect, it } from 'vitest'
import { type StartEvent, type StartRun, beginRun, countdownSeconds, mostRuns, runDone, stepStart } from './start-ritual'
import { type StartPlan, type StartSample, hasCome, watchStart } from './start-watch'

// Every limit of a first start, from both sides. The limits themselves: common practice, no source.
const plan: StartPlan = {
  points: [
    { rail: '+5 V', nominalV: 5, point: 'pin 9' },
    { rail: '-12 V', nominalV: -12, point: 'pin 1' },
  ],
  load: 'loaded',
  currentLimitA: 1,
  warm: 'chip',
  mostSeconds: 60,
  byMeter: true,
}
const dc = (values: (number | null)[], from = 10, step = 1, rail = '+5 V'): StartSample[] =>
  values.map((value, i) => ({ atSeconds: from + i * step, kind: 'dc-volts', rail, value }))
const codes = (samples: StartSample[], more: Partial<StartPlan> = {}, now = {}) =>
  watchStart({ ...plan, ...more }, samples, { onSeconds: samples.at(-1)?.atSeconds ?? 0, rail: '+5 V', meter: 'ready', ...now }).findings.map(
    f => `${f.level} ${f.code}`,
  )
const good = dc([5, 5, 5], 10, 1)
const fine = 'fine rail.in-limits'

describe('what is seen of a start', () => {
  it.each<[string, StartSample[], Partial<StartPlan>, object, string[]]>([
    ['AC of 1 % of a rail is usual', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value: 0.05 }], {}, {}, [fine]],
    ['a little more is not', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value: 0.051 }], {}, {}, ['care start.ripple', fine]],
    ['5 % is borne', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value: 0.25 }], {}, {}, ['care start.ripple', fine]],
    ['more is not', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value: 0.26 }], {}, {}, ['stop start.ripple', fine]],
    ['AC of another rail says nothing of this', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '-12 V', value: 3 }], {}, {}, [fine]],
    ['AC beyond the range is no figure', [...good, { atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value: null }], {}, {}, [fine]],
    ['the newest AC counts', [...good, ...[3, 0.01].map((value): StartSample => ({ atSeconds: 12, kind: 'ac-volts', rail: '+5 V', value }))], {}, {}, [fine]],
    ['three seconds without a reading', good, {}, { onSeconds: 15 }, [fine]],
    ['and a little more', good, {}, { onSeconds: 15.1 }, ['stop start.blind']],
    ['no reading at all yet', [], {}, { onSeconds: 3 }, []],
    ['nobody counts readings that people type', good, { byMeter: false }, { onSeconds: 40 }, [fine]],
    ['its time, to the second', good, { byMeter: false }, { onSeconds: 60 }, [fine]],
    ['and over', good, { byMeter: false }, { onSeconds: 60.1 }, ['stop start.time', fine]],
    ['current at its limit', [...good, { atSeconds: 12, kind: 'dc-amps', value: 1 }], {}, {}, [fine, 'fine start.current-fine']],
    ['current over it, either way', [...good, { atSeconds: 12, kind: 'dc-amps', value: -1.1 }], {}, {}, ['stop start.current', fine]],
    ['current beyond the meter', [...good, { atSeconds: 12, kind: 'dc-amps', value: null }], {}, {}, ['stop start.current', fine]],
    ['current without a limit', [...good, { atSeconds: 12, kind: 'dc-amps', value: 9 }], { currentLimitA: null }, {}, [fine]],
    ['heat of something that is not watched', [...good, { atSeconds: 12, kind: 'celsius', value: 120 }], { warm: null }, {}, [fine]],
    ['a thermometer beyond its range', [...good, { atSeconds: 12, kind: 'celsius', value: null }], {}, {}, [fine]],
    ['a chip as warm as it may be', [...good, { atSeconds: 12, kind: 'celsius', value: 60 }], {}, {}, [fine, 'fine temperature.usual']],
  ])('%s', (_, samples, more, now, wanted) => expect(codes(samples, more, now)).toEqual(wanted))

  it('a rail has come once it carries more than a tenth of its voltage, whichever sign', () => {
    const [five, minus] = plan.points as [StartPlan['points'][number], StartPlan['points'][number]]
    expect([0.5, 0.51, -0.51, null].map(v => hasCome(five, v))).toEqual([false, true, true, false])
    expect([-1.2, -1.3, 1.3].map(v => hasCome(minus, v))).toEqual([false, true, true])
  })

  it('what is read by a meter may rise for two seconds after it has come; what is typed, until four after the switch', () => {
    const low = (atSeconds: number, more: Partial<StartPlan> = {}) => codes([...dc([1], 0.5), ...dc([4], atSeconds)], more)
    expect(low(2.4)).toEqual(['note start.rising'])
    expect(low(2.5)).toEqual(['stop rail.low'])
    expect(low(3.9, { byMeter: false })).toEqual(['note start.rising'])
    expect(low(4, { byMeter: false })).toEqual(['stop rail.low'])
    // What has not come yet has the switch's time.
    expect(codes(dc([0.1], 3.9))).toEqual(['note start.rising'])
    expect(codes(dc([0.1], 4))).toEqual(['stop rail.missing'])
    // Too high, or of the other sign, it does not come good by waiting; at the limit it may.
    expect(codes(dc([5.3], 1))).toEqual(['stop rail.high'])
    expect(codes(dc([-1], 1))).toEqual(['stop rail.sign'])
    expect(codes(dc([5.25], 1))).toEqual([fine])
  })

  it('a fall is told from four readings within eight seconds on, and only where it stands out from the jumping', () => {
    const falls = 'care start.falls'
    expect(codes(dc([5.05, 5, 4.95, 4.9]))).toEqual([falls, fine])
    expect(codes(dc([5.05, 5, 4.95]))).toEqual([fine])
    // 1.5 % of nominal over the window is no fall yet: a little under 0.075 V of 5 V.
    expect(codes(dc([5.074, 5.05, 5.025, 5]))).toEqual([fine])
    expect(codes(dc([5.08, 5.05, 5.02, 4.99]))).toEqual([falls, fine])
    // What was read nine seconds before the last is no more looked at.
    expect(codes([...dc([5.2], 1), ...dc([5, 5, 5, 5], 10)])).toEqual([fine])
    expect(codes([...dc([5.24], 5), ...dc([5, 5, 5], 11)])).toEqual([falls, fine])
    expect(codes([...dc([5.24], 5), ...dc([5, 5, 5], 11.1)])).toEqual([fine])
    // The rail that is probed alone.
    expect(codes([...good, ...dc([-12, -11.8, -11.6, -11.4, -11.2], 12, 0.1, '-12 V')])).toEqual([fine])
    expect(codes(dc([-12, -11.8, -11.6, -11.4, -11.2], 10, 1, '-12 V'), {}, { rail: '-12 V' })).toEqual([falls, fine])
    expect(codes(dc([-11.7, -11.85, -12, -12.15, -12.3], 10, 1, '-12 V'), {}, { rail: '-12 V' })).toEqual(['care start.rises', fine])
  })

  it('a rise is none while the supply comes up, and one once it was there', () => {
    const rises = 'care start.rises'
    expect(codes(dc([4.8, 4.9, 5, 5.1], 1, 0.5))).toEqual(['care start.unsteady', fine])
    expect(codes(dc([4.86, 4.94, 5.02, 5.1], 1, 0.5))).toEqual([rises, fine])
    expect(codes([...dc([4.8], 1), ...dc([4.8, 4.9, 5, 5.1], 9.5, 0.5)])).toEqual([rises, fine])
  })

  it('a rail that moves by 3 % of nominal is steady, and no more beyond', () => {
    expect(codes(dc([5, 5.149, 5, 5.149, 5, 5.149]))).toEqual([fine])
    expect(codes(dc([5, 5.16, 5, 5.16, 5, 5.16]))).toEqual(['care start.unsteady', fine])
    // The last six readings: what jumped before them has settled.
    expect(codes([...dc([5.24, 4.76], 10, 0.1), ...dc([5, 5, 5, 5, 5, 5], 10.5, 0.1)])).toEqual([fine])
  })

  it('a rail that nobody named, or that was not read, says nothing', () => {
    expect(codes(good, {}, { rail: '+3.3 V' })).toEqual([])
    expect(codes(good, {}, { rail: '-12 V' })).toEqual([])
    expect(codes(dc([5, null]))).toEqual(['stop start.overload'])
  })
})

/** What is said of the current, after these readings of it. */
const currentWords = (values: (number | null)[]) =>
  watchStart(plan, [...good, ...values.map((value, i): StartSample => ({ atSeconds: 12 + i / 10, kind: 'dc-amps', value }))], {
    onSeconds: 13,
    rail: '+5 V',
    meter: 'ready',
  }).findings.find(f => f.code.startsWith('start.current'))?.says

describe('the course of a start', () => {
  const ready: StartEvent = { do: 'meter', state: 'ready' }
  const volts = (value: number | null): StartEvent => ({ do: 'sample', kind: 'dc-volts', value })
  const play = (events: [seconds: number, event: StartEvent][], run: StartRun = beginRun(plan)) =>
    events.reduce((r, [seconds, event]) => stepStart(r, event, seconds * 1000), run)
  const on = countdownSeconds
  const running = play([
    [0, ready],
    [0, { do: 'count-down' }],
    [on, { do: 'tick' }],
  ])
  const typed = play(
    [
      [0, { do: 'count-down' }],
      [on, { do: 'tick' }],
    ],
    beginRun({ ...plan, byMeter: false }),
  )

  it('begins unseen where a meter reads, and without one where people do', () => {
    expect([beginRun(plan).meter, beginRun({ ...plan, byMeter: false }).meter]).toEqual(['connecting', 'none'])
  })

  it('is on from the instant at which the countdown ends', () => {
    const counting = play([
      [0, ready],
      [0, { do: 'count-down' }],
    ])
    expect(stepStart(counting, { do: 'tick' }, on * 1000 - 1).phase).toBe('countdown')
    expect(stepStart(counting, { do: 'tick' }, on * 1000).phase).toBe('on')
  })

  it.each<[string, StartRun, StartEvent]>([
    ['counting down while it is on', running, { do: 'count-down' }],
    ['done before it is on', beginRun(plan), { do: 'done' }],
    ['off before it is on', beginRun(plan), { do: 'is-off' }],
    ['off twice', play([[on + 1, { do: 'is-off' }]], running), { do: 'is-off' }],
    ['done when it is off', play([[on + 1, { do: 'is-off' }]], running), { do: 'done' }],
    ['a rail typed where the meter reads', running, { do: 'sample', kind: 'ac-volts', value: 0.1, by: 'hand' }],
  ])('refuses %s', (_, run, event) => expect(() => stepStart(run, event, 60_000)).toThrow(expect.objectContaining({ name: 'InputError' }) as Error))

  it('takes current and heat by hand, and volts where nobody else reads them', () => {
    expect(stepStart(running, { do: 'sample', kind: 'dc-amps', value: 0.5, by: 'hand' }, 6000).samples).toEqual([{ atSeconds: 1, kind: 'dc-amps', value: 0.5 }])
    expect(stepStart(typed, { do: 'sample', kind: 'dc-volts', value: 5, by: 'hand' }, 9000).kept).toEqual({ '+5 V': 5 })
  })

  it('begins anew twelve times at the most, and keeps each run that was', () => {
    const once = (run: StartRun, at: number) =>
      play(
        [
          [at, { do: 'count-down' }],
          [at + on + 1, { do: 'is-off' }],
        ],
        run,
      )
    let run = play([[0, ready]])
    for (let i = 0; i < mostRuns; i++) run = once(run, i * 10)
    expect(run.before).toHaveLength(mostRuns - 1)
    expect(() => stepStart(run, { do: 'count-down' }, 1e6)).toThrow(/12 runs are enough/)
    expect(runDone(run, 1e9)).toMatchObject({ onSeconds: 1, called: null })
  })

  it('was on for no time at all where it is off before the switch was called', () => {
    const early = play([
      [0, ready],
      [0, { do: 'count-down' }],
      [2, { do: 'is-off' }],
    ])
    expect(runDone(early, 9000).onSeconds).toBe(0)
  })

  it('keeps a reading only once three stand still, within the limits of the meter’s function', () => {
    // DC volts stand still within 0.5 %: 0.025 V of 5 V.
    const read = (...values: (number | null)[]) =>
      play(
        values.map((v, i) => [on + 5 + i, volts(v)]),
        running,
      ).kept
    expect(read(5, 5)).toEqual({})
    expect(read(5, 5.02, 5)).toEqual({ '+5 V': 5 })
    expect(read(5.1, 5.02, 5)).toEqual({})
    expect(read(5, 5.1, 5.1)).toEqual({})
    expect(read(5, null, 5, 5)).toEqual({})
  })

  it('keeps nothing that is missing while the hand goes to the switch, and says so of it afterwards', () => {
    const missing = (at: number) => play([[on + at, volts(0)]], typed).kept
    expect(missing(3.9)).toEqual({})
    expect(missing(4)).toEqual({ '+5 V': 0 })
    expect(play([[on + 1, volts(4.9)]], typed).kept).toEqual({ '+5 V': 4.9 })
  })

  it('lets people add what they noticed, and what the watch called stands', () => {
    const off = play([[on + 1, { do: 'stop', noticed: null }]], running)
    expect(off).toMatchObject({ phase: 'off-now', called: { says: 'Somebody said off.', heard: 'nowhere' }, noticed: [], calledBy: 'people' })
    const said = play(
      [
        [on + 2, { do: 'stop', noticed: 'smoke' }],
        [on + 3, { do: 'stop', noticed: 'smoke' }],
      ],
      off,
    )
    expect(said).toMatchObject({ noticed: ['smoke'], called: { says: 'Smoke was noticed.' }, calledAtSeconds: 1 })
    const watched = play([[on + 5, volts(9)]], running)
    expect(watched).toMatchObject({ calledBy: 'watch', called: { code: 'rail.passes-input' } })
    expect(play([[on + 6, { do: 'stop', noticed: 'bang' }]], watched)).toMatchObject({ noticed: ['bang'], called: { code: 'rail.passes-input' } })
    // Nothing more is said without something noticed.
    expect(play([[on + 6, { do: 'stop', noticed: null }]], off).called).toEqual(off.called)
  })

  it('shows what was judged last once it is off, and nothing while it is switched off', () => {
    const seen = play([[on + 5, volts(5)]], running)
    expect(seen.judgement.findings.map(f => f.code)).toEqual(['rail.in-limits'])
    const leaving = play([[on + 6, { do: 'done' }]], seen)
    expect(leaving).toMatchObject({ phase: 'switching-off', judgement: { state: 'calm', findings: [] } })
    const calledOff = play([[on + 5, volts(9)]], running)
    expect(play([[on + 6, { do: 'is-off' }]], calledOff).judgement.findings.map(f => f.code)).toContain('rail.passes-input')
  })

  it('keeps of a rail what was read of it, whatever else was read between', () => {
    const amps: StartEvent = { do: 'sample', kind: 'dc-amps', value: 0.5 }
    expect(
      play(
        [
          [on + 5, volts(5)],
          [on + 6, amps],
          [on + 7, volts(5)],
          [on + 8, amps],
          [on + 9, volts(5)],
        ],
        running,
      ).kept,
    ).toEqual({ '+5 V': 5 })
    expect(
      play(
        [
          [on + 5, volts(5)],
          [on + 6, volts(5)],
          [on + 7, { do: 'probe', rail: '-12 V' }],
          [on + 8, volts(-12)],
        ],
        running,
      ).kept,
    ).toEqual({})
    expect(
      play(
        [
          [on + 5, volts(5)],
          [on + 6, volts(5)],
          [on + 7, volts(5)],
          [on + 8, amps],
        ],
        running,
      ).kept,
    ).toEqual({ '+5 V': 5 })
    const words = (...values: (number | null)[]) => currentWords(values)
    expect([words(2, 0.5), words(0.5, 2), words(null)]).toEqual([
      '0.50 A, under the limit of 1 A.',
      '2.00 A is over the limit of 1 A.',
      'Current: more than the meter can show.',
    ])
  })
})
