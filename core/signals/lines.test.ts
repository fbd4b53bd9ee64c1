import { describe, expect, it } from 'vitest'
import { type Capture, type Level, type SignalLine, Gathering, floating, half, high, low, mostLines, unrecorded } from './capture'
import { addressWalk, fetchRhythm, inStepWithClock, silentFrom } from './fetch-evidence'
import { edgesOf, judgeLines } from './judge-lines'
import { readCapture } from './read-capture'

// What lines do, by captures made by hand. Limits: common practice, no source.
const line = (name: string, ...changes: [atS: number, level: Level][]): SignalLine => ({
  name,
  atS: Float64Array.from(changes, c => c[0]),
  levels: Uint8Array.from(changes, c => c[1]),
})
/** A square wave of so many full periods, beginning low. */
const square = (name: string, periods: number, periodS = 1, highS = periodS / 2, fromS = 0): SignalLine =>
  line(
    name,
    ...Array.from({ length: periods }, (_, i): [number, Level][] => [
      [fromS + i * periodS, low],
      [fromS + i * periodS + periodS - highS, high],
    ]).flat(),
  )
const capture = (durationS: number, ...lines: SignalLine[]): Capture => ({ lines, durationS, timeIs: 'known', pauses: [], read: 1000, unread: 0, problems: [] })
const kindOf = (one: SignalLine, durationS: number, more: Partial<Capture> = {}) => judgeLines({ ...capture(durationS, one), ...more }).lines[0]!
const codes = (given: Capture) => judgeLines(given).findings.map(f => `${f.level} ${f.code}`)

describe('a line', () => {
  it('is what it was for half of the time, of what was recorded', () => {
    const at = (level: Level, untilS: number) => kindOf(line('D0', [0, level], [untilS, low], [9, high], [9.5, low]), 10).kind
    expect([at(half, 5), at(half, 4.9), at(floating, 5), at(floating, 4.9)]).toEqual(['half-level', 'few', 'floating', 'few'])
    // Only 2 s were recorded, and 1 s of them at half height.
    expect(kindOf(line('D0', [0, unrecorded], [8, half], [9, low]), 10).kind).toBe('half-level')
    expect(kindOf(line('D0', [9.95, low]), 10).kind).toBe('unrecorded')
    expect(kindOf(line('D0', [9.8, low]), 10).kind).toBe('stuck-low')
    expect([kindOf(line('D0'), 10).kind, kindOf(line('D0', [0, high]), 0).kind, kindOf(line('D0', [0, high]), 1).kind]).toEqual(['few', 'few', 'stuck-high'])
    expect(kindOf(line('D0', [0, low], [1, high]), 10).kind).toBe('few')
  })
  it('is regular where its spans differ by less than 8 %, and has a rate where time is known', () => {
    expect(kindOf(square('CLK', 50, 0.001, 0.00025), 0.05)).toMatchObject({
      kind: 'regular',
      rateHz: expect.closeTo(1000, 6) as number,
      duty: expect.closeTo(0.25, 6) as number,
    })
    expect(kindOf(square('CLK', 50, 0.001), 0.05, { timeIs: 'steps' }).rateHz).toBeNull()
    // Spans that alternate by ±7 and ±9 % about their mean.
    const wobbling = (share: number) => {
      let at = 0
      return line(
        'CLK',
        ...Array.from({ length: 60 }, (_, i): [number, Level][] => [
          [at, low],
          [(at += 1 + (i % 2 ? share : -share)) - 0.5, high],
        ]).flat(),
      )
    }
    expect([kindOf(wobbling(0.07), 60).kind, kindOf(wobbling(0.09), 60).kind]).toEqual(['regular', 'irregular'])
  })
  it('has stopped where it is silent for twenty spans and a twentieth of the capture, and was late where it begins so', () => {
    expect(kindOf(square('CLK', 100), 119.4).kind).toBe('regular')
    expect(kindOf(square('CLK', 100), 121).kind).toBe('stopped')
    // Twenty spans, but less than a twentieth of the whole.
    expect(kindOf(square('CLK', 1000), 1030).kind).toBe('regular')
    const late = square('CLK', 100, 1, 0.5, 21)
    expect(kindOf({ ...late, atS: Float64Array.from([0, ...late.atS]), levels: Uint8Array.from([low, ...late.levels]) }, 121).kind).toBe('irregular')
  })
  it('has no span across a pause, and no edge across what was not recorded', () => {
    const paused = { pauses: [{ fromS: 30, toS: 80 }] }
    const before = square('CLK', 30)
    const after = square('CLK', 30, 1, 0.5, 80)
    const both = {
      name: 'CLK',
      atS: Float64Array.from([...before.atS, 30, ...after.atS]),
      levels: Uint8Array.from([...before.levels, unrecorded, ...after.levels]),
    }
    expect(kindOf(both, 110, paused).kind).toBe('regular')
    expect(codes({ ...capture(110, both), ...paused })).toContain('note signals.paused')
    expect([...edgesOf(line('D0', [0, low], [1, unrecorded], [2, high], [3, low], [4, half], [5, high]))]).toEqual([-3, 5])
    expect([...edgesOf(line('D0', [0, high], [1, high]))]).toEqual([])
  })
  it('goes in step with another where 95 of 100 edges come together, the same way or the other', () => {
    const two = (a: SignalLine, b: SignalLine) => judgeLines(capture(60, a, b)).lines.map(l => l.inStep)
    const clock = square('D0', 60)
    const upsideDown: SignalLine = { name: 'D1', atS: clock.atS, levels: clock.levels.map(l => (l === low ? high : low)) }
    expect(two(clock, { ...clock, name: 'D1' })).toEqual([[{ with: 'D1', inverted: false }], [{ with: 'D0', inverted: false }]])
    expect(two(clock, upsideDown)).toEqual([[{ with: 'D1', inverted: true }], [{ with: 'D0', inverted: true }]])
    expect(two(clock, square('D1', 60, 1, 0.5, 0.3))).toEqual([[], []])
    expect(two(clock, square('D1', 50))).toEqual([[], []])
    expect(two(clock, line('D1', [0, low]))).toEqual([[], []])
  })
})

describe('what is told of a capture', () => {
  const clock = square('CLK', 200)
  it('is doubted where more than 2 % of it could not be read', () => {
    const unread = (n: number) => codes({ ...capture(200, clock), read: 1000 - n, unread: n }).includes('care signals.unread')
    expect([unread(20), unread(21)]).toEqual([false, true])
    expect(judgeLines({ ...capture(200, clock), read: 970, unread: 30 }).executing).toBe('unknown')
    expect(codes({ ...capture(200, clock), timeIs: 'steps' })).toContain('note signals.steps')
    const says = (...pauses: Capture['pauses']) => judgeLines({ ...capture(200, clock), pauses }).findings.find(f => f.code === 'signals.paused')?.says
    expect(says({ fromS: 10, toS: 11 })).toBe('The recording pauses once, for less than 1 % of the time.')
    expect(says({ fromS: 10, toS: 20 }, { fromS: 30, toS: 40 })).toBe('The recording pauses 2 times, for 10 % of the time.')
  })
  it.each<[string, SignalLine[], string]>([
    ['without lines of a bus', [clock], 'note signals.no-bus'],
    ['a bus that is still', [clock, line('D0', [0, high]), line('D1', [0, low])], 'care signals.idle'],
    ['a bus that hardly changes', [clock, line('D0', [0, high], [3, low])], 'note signals.short'],
    ['a bus that counts alone', [clock, square('A0', 100, 2), square('A1', 50, 4)], 'care signals.idle'],
    ['a bus that stopped', [clock, square('D0', 50), square('D1', 50, 1.1)], 'care signals.stopped'],
  ])('%s', (_, lines, code) => expect(codes(capture(200, ...lines))[0]).toBe(code))
  it('names clocks that are none, resets that are held, lines at half height, stuck ones and joined ones', () => {
    const told = (...lines: SignalLine[]) => judgeLines(capture(200, ...lines)).findings.map(f => f.says)
    const bus = [square('D0', 100, 2), square('D1', 100, 2)]
    expect(told(line('CLK', [0, high]), ...bus)).toContain('CLK is no steady clock: it is stuck high.')
    expect(told(clock, line('/RESET', [0, low]), ...bus)).toContain('/RESET is active: the processor is kept from starting.')
    expect(told(clock, line('nRESET', [0, low]), ...bus).join()).toContain('nRESET is active')
    expect(told(clock, line('/RESET', [0, low], [1, high]), ...bus).join()).not.toContain('is active')
    expect(told(clock, line('RESET', [0, high]), ...bus)).toContain('RESET is active: the processor is kept from starting.')
    expect(told(clock, line('RESET', [0, low]), ...bus).join()).not.toContain('is active')
    expect(told(clock, line('D2', [0, half]), ...bus)).toContain('D2 stands at half height.')
    expect(told(clock, line('D2', [0, floating]), ...bus)).toContain('D2 is driven by nobody.')
    expect(told(clock, line('D2', [0, high]), ...bus)).toContain('D2 is stuck high through the whole capture.')
    expect(told(clock, ...bus)).toContain('D0 and D1 change in step.')
    expect(told(clock, bus[0]!, { ...bus[1]!, name: 'WR' }).join()).not.toContain('change in step')
  })
  it('is told of twelve lines of a kind, and no more', () => {
    const stuck = Array.from({ length: 16 }, (_, i) => line(`D${i}`, [0, high]))
    expect(codes(capture(200, clock, ...stuck)).filter(c => c === 'note signals.stuck')).toHaveLength(12)
  })
})

describe('signs of fetching', () => {
  const edges = (...lines: SignalLine[]) => lines.map(edgesOf)
  it('a bus is silent from where its last edge stands, unless a pause hides it', () => {
    const of = (durationS: number, pauses: Capture['pauses'] = []) => silentFrom(edges(square('D0', 90)), { ...capture(durationS), pauses })
    expect([of(90), of(100), of(180)]).toEqual([null, expect.closeTo(0.895, 3), expect.closeTo(0.4972, 3)])
    expect(of(180, [{ fromS: 100, toS: 170 }])).toBeNull()
    expect(of(180, [{ fromS: 100, toS: 101 }])).not.toBeNull()
  })
  it('a bus that its clock drives is wholly in step with it; one that goes by another is not', () => {
    const clock = edgesOf(square('CLK', 400, 1, 0.5))
    const shifted = (by: number, periodS = 2) => edgesOf(square('D0', 200, periodS, periodS / 2, by))
    expect(inStepWithClock(clock, [shifted(0.6)])).toBeGreaterThan(0.95)
    expect(inStepWithClock(clock, [shifted(0.6, 1.37)])).toBeLessThan(0.6)
    expect(inStepWithClock(edgesOf(square('CLK', 2)), [shifted(0.6)])).toBe(0)
    expect(inStepWithClock(clock, [edgesOf(square('D0', 15, 2, 1, 0.6))])).toBe(0)
  })
  /** Address lines that show these values, one a second. */
  const addresses = (values: number[], bits = 4, from = 0) =>
    Array.from({ length: bits }, (_, b) => line(`A${b + from}`, ...values.map((v, i): [number, Level] => [i, (v >> b) & 1 ? high : low])))
  const walk = (values: number[], bits = 4, from = 0) => {
    const lines = addresses(values, bits, from)
    return addressWalk(
      { lines, durationS: values.length },
      lines.map((_, i) => i),
    )
  }
  it('addresses that count, repeat one length, or walk by uneven lengths are told apart', () => {
    expect(walk(Array.from({ length: 200 }, (_, i) => i % 16))).toMatchObject({ kind: 'counts', lines: ['A0', 'A1', 'A2', 'A3'], onward: 1 })
    const looped = (length: (n: number) => number) => Array.from({ length: 60 }, (_, n) => Array.from({ length: length(n) }, (_, i) => (i + 5 * n) % 16)).flat()
    expect(walk(looped(() => 5).map((v, i) => (i % 5) + (v - v)))?.kind).toBe('repeats')
    expect(walk(looped(n => 2 + ((n * 7) % 5)))?.kind).toBe('walks')
    expect(walk(Array.from({ length: 200 }, (_, i) => (i * 7) % 16))).toBeNull()
    expect(walk(Array.from({ length: 30 }, (_, i) => i % 16))).toBeNull()
  })
  it('it takes three lines from the lowest on, without a gap; a bus of words begins with A1', () => {
    const counting = Array.from({ length: 200 }, (_, i) => i % 16)
    expect([walk(counting, 2), walk(counting, 3)?.kind, walk(counting, 4, 1)?.kind, walk(counting, 4, 2)]).toEqual([null, 'counts', 'counts', null])
  })
  it('a strobe comes as instructions are long: whole cycles, of more than one length, by an even width', () => {
    const clock = edgesOf(square('CLK', 600))
    const strobe = (lengths: (i: number) => number, width: (i: number) => number = () => 1) => {
      let at = 0.5
      return edgesOf(
        line(
          'M1',
          [0, low],
          ...Array.from({ length: 80 }, (_, i): [number, Level][] => [[at, high], [at + width(i), low], ...((at += lengths(i)), [])]).flat(),
        ),
      )
    }
    expect(
      fetchRhythm(
        strobe(i => [4, 7, 4, 10][i % 4]!),
        [clock],
      ),
    ).toEqual({ shortest: 4, longest: 10 })
    expect(
      fetchRhythm(
        strobe(() => 4),
        [clock],
      ),
    ).toBeNull()
    expect(
      fetchRhythm(
        strobe(i => [4.4, 7.6][i % 2]!),
        [clock],
      ),
    ).toBeNull()
    expect(
      fetchRhythm(
        strobe(
          i => [4, 7][i % 2]!,
          i => [0.5, 1, 1.5, 2, 2.5][i % 5]!,
        ),
        [clock],
      ),
    ).toBeNull()
    expect(fetchRhythm(edgesOf(square('M1', 30, 4)), [clock])).toBeNull()
    expect(
      fetchRhythm(
        strobe(i => [4, 7][i % 2]!),
        [edgesOf(square('X', 600, 0.7)), clock],
      ),
    ).toEqual({ shortest: 4, longest: 7 })
  })
})

describe('a file of a capture', () => {
  it('keeps one change of two at one instant, the last, and none that changes nothing', () => {
    const gathering = new Gathering()
    const at = gathering.line('A')!
    for (const [time, level] of [
      [0, low],
      [1, low],
      [2, high],
      [2, low],
      [3, high],
    ] as const)
      gathering.change(at, time, level)
    expect(gathering.as(4).lines.map(l => [[...l.atS], [...l.levels]])).toEqual([
      [
        [0, 2, 3],
        [low, low, high],
      ],
    ])
    expect(Array.from({ length: mostLines }, (_, i) => gathering.line(`L${i}`)).at(-1)).toBeUndefined()
    for (let i = 0; i < 60; i++) gathering.wrong(() => i, 'x')
    expect([gathering.as(1).problems.length, gathering.as(1).unread]).toEqual([50, 60])
  })
  it.each<[string, string, number[][]]>([
    [
      'words of any case',
      'time,A,B\n0,High,Z\n1,LOW,x',
      [
        [1, 0],
        [3, 2],
      ],
    ],
    ['volts where one of them is no level', 'time,A\n0,0.1\n1,3.3\n2,1.5', [[0, 1, 2]]],
    ['empty cells, which keep what stood', 'time,A,B\n0,1,0\n1,,1', [[1], [0, 1]]],
    ['a name that is missing', 'time,,B\n0,1,0', [[1], [0]]],
  ])('a table with %s', (_, text, levels) => expect(readCapture(text).lines.map(l => [...l.levels])).toEqual(levels))
  it('has its unit in its heading, or counts steps where whole numbers grow beyond any capture', () => {
    const last = (heading: string, ...times: number[]) => {
      const { durationS, timeIs } = readCapture(`${heading},A\n${times.map((t, i) => `${t},${i % 2}`).join('\n')}`)
      return [durationS, timeIs]
    }
    expect([last('time', 0, 1, 2), last('time [us]', 0, 1), last('t_ns', 0, 5), last('ms', 0, 1), last('sample', 0, 9)]).toEqual([
      [2, 'known'],
      [1e-6, 'known'],
      [5e-9, 'known'],
      [1e-3, 'known'],
      [9, 'steps'],
    ])
    expect([last('time', 0, 1, 600), last('time', 0, 1, 601), last('time', 0, 1.5, 601)]).toEqual([
      [600, 'known'],
      [601, 'steps'],
      [601, 'known'],
    ])
    expect(readCapture('time,\n0,1').lines.map(l => l.name)).toEqual(['line 1'])
  })
  it('in the standard’s form fills short vectors, reads real values as volts, and marks what it does not know', () => {
    const head = '$timescale 1 ns $end $var wire 4 a BUS [3:0] $end $var wire 1 b ONE $end $var real 64 c R $end $enddefinitions $end\n'
    const levels = (body: string) => Object.fromEntries(readCapture(head + body).lines.map(l => [l.name, [...l.levels]]))
    expect(levels('#0 b1 a b1x a')).toMatchObject({ 'BUS[3]': [low], 'BUS[0]': [half] })
    expect(levels('#0 bx1 a')).toMatchObject({ 'BUS[3]': [half], 'BUS[1]': [half], 'BUS[0]': [high] })
    expect(levels('#0 b11111 a')).toMatchObject({ 'BUS[3]': [high] })
    expect(levels('#0 r3.3 c #1 r1 c #2 rnone c')).toMatchObject({ R: [high, half] })
    expect(levels('#0 1b #5 $dumpoff $end #6 0b #9 $dumpon $end #10 0b')).toMatchObject({ ONE: [high, unrecorded, low] })
    expect(readCapture(`${head}#0 1b #5 $dumpoff $end #9 $dumpon $end #10 0b`).pauses).toEqual([
      { fromS: expect.closeTo(5e-9, 15) as number, toS: expect.closeTo(9e-9, 15) as number },
    ])
    expect(readCapture('$timescale 3 weeks $end $var wire 1 a A $end $enddefinitions $end #0 1a #9 0a')).toMatchObject({ timeIs: 'steps', durationS: 9 })
    expect(readCapture(`${head}#7 1b #9 0b`).durationS).toBeCloseTo(2e-9, 15)
  })
})
