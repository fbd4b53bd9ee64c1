import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import { high, levelOf, low } from './capture'
import { judgeLines } from './judge-lines'
import { captureScenarios, madeUpCapture } from './made-up'
import { readCapture } from './read-capture'

const line = (text: string, name: string) => {
  const found = readCapture(text).lines.find(l => l.name === name)!
  return { at: [...found.atS], levels: [...found.levels] }
}

describe('a capture', () => {
  // Written by hand after IEEE 1364, section 18, from memory: scalars, a vector with fewer bits than it has, a real, a dump, a comment.
  const vcd = `$date today $end
$timescale 10 us $end
$scope module top $end
$var wire 1 ! CLK $end
$var wire 4 " D [3:0] $end
$var real 64 # RAIL $end
$upscope $end
$enddefinitions $end
$dumpvars
0!
b0 "
r0.2 #
$end
#10
1!
b101 "
#20 0! r4.9 #
#30
bz "
?!
1%
#25
1!
#40`

  it('is read from a value change dump, with what cannot be read by its line', () => {
    const { durationS, problems } = readCapture(vcd)
    // The first instant is 10, the last 40, each of 10 microseconds.
    expect(durationS).toBeCloseTo(300e-6, 12)
    // What comes under a time that runs backwards is left out.
    expect(line(vcd, 'CLK').levels).toEqual([high, low])
    expect(line(vcd, 'D[0]').levels).toEqual([high, 3])
    expect(line(vcd, 'D[3]').levels).toEqual([low, 3])
    expect(line(vcd, 'RAIL').levels).toEqual([low, high])
    expect(problems.map(p => p.line)).toEqual([20, 21, 22])
  })

  it('is read from a table, as levels or volts, in any unit of time', () => {
    const csv = 'time (ms),D0,D1\n0,0,0.3\n1,1,1.4\n2,0,4.8\nx,1,1\n1,1,1\n3,1,'
    expect(line(csv, 'D0')).toEqual({ at: [0, 0.001, 0.002, 0.003], levels: [0, 1, 0, 1] })
    expect(line(csv, 'D1').levels).toEqual([low, 2, high])
    expect(readCapture(csv).problems.map(p => p.line)).toEqual([5, 6])
    // Data books, from memory: 74-series logic takes up to 0.8 V for low, from 2.0 V for high.
    expect([0.8, 0.81, 1.99, 2].map(levelOf)).toEqual([0, 2, 2, 1])
  })

  it('that is none says so', () => {
    for (const [text, says] of [
      ['', 'nothing in it'],
      ['1,2,3\n4,5,6', 'neither'],
      ['$timescale 1ns $end $enddefinitions $end', 'declares no line'],
    ] as const)
      expect(() => readCapture(text)).toThrow(says)
    fc.assert(
      fc.property(fc.string({ maxLength: 300 }), noise => {
        try {
          readCapture(`$var wire 1 ! A $end $enddefinitions $end\n${noise}`)
        } catch (error) {
          expect((error as Error).name).toBe('InputError')
        }
      }),
    )
  })
})

describe('what a line does', () => {
  const made = (name: string, edge: (i: number) => number, n = 200) => {
    let at = 0
    return `time_s,${name}\n${Array.from({ length: n }, (_, i) => `${(at += edge(i)).toFixed(9)},${i % 2}`).join('\n')}`
  }
  const judge = (text: string) => judgeLines(readCapture(text)).lines[0]!

  it('a square wave has its rate and its duty', () => {
    // 30 microseconds low, 10 high: 25 kHz, a quarter.
    expect(judge(made('CLK', i => (i % 2 ? 30e-6 : 10e-6)))).toMatchObject({
      kind: 'regular',
      rateHz: expect.closeTo(25_000, 0) as number,
      duty: expect.closeTo(0.25, 2) as number,
    })
  })

  it('random spans are irregular, a jitter of a few per cent is not', () => {
    const random = seeded(4)
    expect(judge(made('D0', () => 1e-6 + random() * 20e-6)).kind).toBe('irregular')
    expect(judge(made('D0', () => 10e-6 * (1 + 0.03 * random()))).kind).toBe('regular')
  })

  it.each([
    ['stuck-high', '1,1'],
    ['stuck-low', '0,0'],
    ['half-level', 'x,x'],
    ['floating', 'z,z'],
    ['few', '0,1'],
  ])('%s', (kind, two) => expect(judge(`time,D0\n0,${two[0]}\n1,${two[2]}\n2,${two[2]}`).kind).toBe(kind))
})

describe('whether code is being executed', () => {
  const of = (scenario: keyof typeof captureScenarios, seed = 1) => judgeLines(readCapture(madeUpCapture(scenario, { seed })))

  it('is said of a processor that runs, and of nothing else, whatever the seed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), seed => {
        expect(of('running', seed).executing).toBe('yes')
        for (const other of ['held', 'no-clock', 'counting'] as const) expect(of(other, seed).executing).not.toBe('yes')
      }),
      { numRuns: 20 },
    )
  })

  it('lines in step, at half height, a held reset and a missing clock are named', () => {
    const codes = (scenario: keyof typeof captureScenarios) => of(scenario).findings.map(f => f.code)
    expect(codes('joined')).toContain('signals.step')
    expect(codes('half')).toContain('signals.half')
    expect(codes('held')).toContain('signals.reset')
    expect(codes('no-clock')).toContain('signals.clock')
    expect(of('running').findings.map(f => f.code)).not.toContain('signals.step')
  })

  it('is not said without a clock or under reset, however lively the bus, nor without lines of a bus', () => {
    const running = madeUpCapture('running')
    const dead = running.replaceAll(/^[01]!$/gm, '')
    const { executing, findings } = judgeLines(readCapture(dead))
    expect([executing, findings[0]!.code]).toEqual(['unknown', 'signals.contradiction'])
    const held = running.replaceAll(/^[01]"$/gm, '0"')
    expect(judgeLines(readCapture(held)).executing).toBe('unknown')
    expect(judgeLines(readCapture(running.replaceAll(/ ([DA])(\d) \$end/g, ' pin$1$2 $end'))).executing).toBe('unknown')
  })
})

describe('a record that is not whole', () => {
  const judged = (text: string) => judgeLines(readCapture(text))
  const toggles = (n: number, row: (i: number) => string) => Array.from({ length: n }, (_, i) => row(i)).join('\n')

  it('a dump that pauses is no level, no edge, and no unsteady clock', () => {
    const ticks = (from: number) => toggles(40, i => `#${from + i * 10}\n${i % 2}!`)
    const text = `$timescale 1 us $end $var wire 1 ! CLK $end $enddefinitions $end\n${ticks(0)}\n#400 $dumpoff x! $end\n#5000 $dumpon 0! $end\n${ticks(5010)}`
    const { lines, findings } = judged(text)
    expect(lines[0]).toMatchObject({ kind: 'regular', rateHz: expect.closeTo(50_000, 0) as number, duty: expect.closeTo(0.5, 1) as number })
    expect(findings.map(f => f.code)).toContain('signals.paused')
  })

  it('a clock that stops, or comes late, is not regular', () => {
    const square = toggles(200, i => `${i},${i % 2}`)
    expect(judged(`time (us),CLK\n${square}\n2000,1`).lines[0]!.kind).toBe('stopped')
    expect(judged(`time (us),CLK\n0,0\n${toggles(200, i => `${2000 + i},${i % 2}`)}`).lines[0]!.kind).toBe('irregular')
  })

  it('decimal commas, levels as words and lines that nobody drives are read', () => {
    const { lines, read, unread } = readCapture('Zeit [ms];D0;D1;V\n0,0;L;Z;0,2\n0,5;H;1;4,9\n1,0;low;Hi-Z;1,4')
    expect([lines.map(l => [...l.levels]), [...lines[0]!.atS], read, unread]).toEqual([
      [
        [0, 1, 0],
        [3, 1, 3],
        [0, 1, 2],
      ],
      [0, 0.0005, 0.001],
      3,
      0,
    ])
    expect(() => readCapture('time,D0,D1\n0,0,1,0\n0,5,1,0\n0,9,1,1'.replaceAll(/,(\d)$/gm, ',$1,0'))).toThrow('decimal commas')
  })

  it('no time, counted steps and no timescale are told', () => {
    expect(() => readCapture('D0,D1,D2\n0,1,0\n1,1,0\n0,1,1')).toThrow('no time')
    const square = toggles(60, i => `${i},${i % 2}`)
    const counted = judged(`Sample,CLK\n${square}`)
    expect([counted.lines[0]!.kind, counted.lines[0]!.rateHz, counted.findings.map(f => f.code).includes('signals.steps')]).toEqual(['regular', null, true])
    expect(readCapture(`$var wire 1 ! A $end $enddefinitions $end\n#0 0!\n#1 1!`).timeIs).toBe('steps')
  })

  it('rows that are rubbish are counted, and told first', () => {
    const { findings } = judged(`time,D0,D1\n${toggles(90, i => (i % 3 === 2 ? `oops,${i}` : `${i},${i % 2},1`))}`)
    expect(findings[0]).toMatchObject({ code: 'signals.unread', says: '33 % of the capture could not be read.' })
    // Two captures behind each other: the second begins again at nothing, and is not piled up at one instant.
    const one = toggles(50, i => `#${i * 10}\n${i % 2}!`)
    const twice = readCapture(`$timescale 1 ns $end $var wire 1 ! A $end $enddefinitions $end\n${one}\n${one}`)
    expect([twice.read, twice.unread > 40, twice.lines[0]!.levels.length]).toEqual([51, true, 50])
  })
})
