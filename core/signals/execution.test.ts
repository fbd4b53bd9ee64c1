import { expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import { type Capture, type SignalLine, high, low } from './capture'
import { judgeLines } from './judge-lines'
import { madeUpCapture } from './made-up'
import { readCapture } from './read-capture'

// What would make it say that code runs where nobody can know: one thing changed of a capture of a processor that runs.
const running = () => readCapture(madeUpCapture('running', { changes: 8000 }))
const without = (capture: Capture, name: RegExp): Capture => ({ ...capture, lines: capture.lines.filter(l => !name.test(l.name)) })
const changed = (capture: Capture, name: RegExp, to: (line: SignalLine) => Partial<SignalLine>): Capture => ({
  ...capture,
  lines: capture.lines.map(l => (name.test(l.name) ? { ...l, ...to(l) } : l)),
})
const said = (capture: Capture) => {
  const { executing, findings } = judgeLines(capture)
  return [executing, findings[0]!.code]
}
const held = (level: typeof low | typeof high) => ({ atS: Float64Array.from([0]), levels: Uint8Array.from([level]) })
/** As many changes as before, at instants that have nothing to do with the clock. */
function atAnyTime({ atS }: SignalLine, random: () => number, durationS: number) {
  const times = Array.from({ length: atS.length }, () => random() * durationS).sort((a, b) => a - b)
  times[0] = 0
  return { atS: Float64Array.from(times), levels: Uint8Array.from(times, (_, i) => i % 2) }
}

it('as it is, it runs', () => expect(said(running())).toEqual(['yes', 'signals.executing']))

it('without its clock, nobody knows', () => {
  expect(said(without(running(), /^CLK$/))).toEqual(['unknown', 'signals.no-clock'])
})

it('with its reset held, or its clock standing, what is seen contradicts itself', () => {
  expect(said(changed(running(), /RESET/, () => held(low)))).toEqual(['unknown', 'signals.contradiction'])
  expect(said(changed(running(), /^CLK$/, () => held(high)))).toEqual(['unknown', 'signals.contradiction'])
  // Let go at its end, however long it was held before.
  const late = changed(running(), /RESET/, () => ({ atS: Float64Array.from([0, 1e-6]), levels: Uint8Array.from([low, high]) }))
  expect(said(late)[0]).toBe('yes')
})

it('a lively bus that has nothing to do with its clock is no sign of code', () => {
  const random = seeded(3)
  const { durationS } = running()
  const noise = changed(running(), /^[AD]\d|^M1/, line => atAnyTime(line, random, durationS))
  expect(said(noise)).toEqual(['unknown', 'signals.unrelated'])
})

it('without lines of a bus, or with one that is still, it says so', () => {
  expect(said(without(running(), /^[AD]\d/))).toEqual(['unknown', 'signals.no-bus'])
  expect(said(changed(running(), /^[AD]\d/, () => held(low)))[0]).toBe('no')
})

it('a file that is too long is refused before it is read', () => {
  expect(() => readCapture('x'.repeat(60_000_001))).toThrow('up to 60 MB')
})

it('a reset by its name is active low or high, and is told which', () => {
  const reset = (name: string, level: typeof low | typeof high) => {
    const renamed = changed(running(), /RESET/, () => ({ ...held(level), name }))
    return judgeLines(renamed)
      .findings.find(f => f.code === 'signals.reset')
      ?.because.join(' ')
  }
  expect(reset('/RESET', low)).toBe('By its name it is active low.')
  expect(reset('/RESET', high)).toBeUndefined()
  expect(reset('RESET', high)).toBe('By its name it is active high. If it is active low, its name does not say so.')
  expect(reset('RESET', low)).toBeUndefined()
})
