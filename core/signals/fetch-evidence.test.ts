import { describe, expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import type { Capture } from './capture'
import { addressWalk, fetchRhythm, inStepWithClock, silentFrom } from './fetch-evidence'

/** Rising and falling in turn; a falling edge is written below zero. */
const inTurn = (at: readonly number[]) => Float64Array.from(at, (t, i) => (i % 2 ? -t : t))
const every = (count: number, stepS: number, fromS = 0) => Array.from({ length: count }, (_, i) => fromS + i * stepS)
const capture = (durationS: number, pauses: Capture['pauses'] = []): Capture => ({
  lines: [],
  durationS,
  timeIs: 'known',
  pauses,
  read: 0,
  unread: 0,
  problems: [],
})

describe('a bus that falls silent', () => {
  // Ten seconds; a hundred changes in each of the first six.
  const busy = every(600, 0.01, 0.005)
  it('is silent from its last change on, unless it breathes by more than a hundredth or so of its life', () => {
    expect(silentFrom([inTurn(every(1000, 0.01, 0.005))], capture(10))).toBeNull()
    expect(silentFrom([inTurn(every(900, 0.01, 0.005))], capture(10))).toBeCloseTo(0.8995, 6)
    expect(silentFrom([inTurn(busy)], capture(10))).toBeCloseTo(0.5995, 6)
    expect(silentFrom([inTurn(busy), inTurn([9.5])], capture(10))).toBeCloseTo(0.6, 6)
    expect(silentFrom([inTurn(busy), inTurn([9.5]), inTurn([10])], capture(10))).toBeNull()
  })
  it('is not called silent where nothing was recorded', () => {
    expect(silentFrom([inTurn(busy)], capture(10, [{ fromS: 6, toS: 10 }]))).toBeNull()
    expect(silentFrom([inTurn(busy)], capture(10, [{ fromS: 5.4, toS: 6.05 }]))).toBeNull()
    // A pause that is over, or shorter than half of a tenth, hides nothing.
    expect(silentFrom([inTurn(busy)], capture(10, [{ fromS: 2, toS: 6 }]))).not.toBeNull()
    expect(silentFrom([inTurn(busy)], capture(10, [{ fromS: 6, toS: 6.5 }]))).not.toBeNull()
  })
})

describe('a bus and a clock', () => {
  const clock = inTurn(every(202, 0.5, 1))
  const rising = Float64Array.from(every(101, 1, 1))
  it('go together wholly where every change keeps to one place of the cycle', () => {
    expect(inStepWithClock(clock, [inTurn(every(60, 1, 1.25))])).toBeCloseTo(1, 9)
    expect(inStepWithClock(clock, [inTurn(every(40, 1, 1.25))])).toBeCloseTo(1, 9)
    expect(inStepWithClock(clock, [inTurn(every(39, 1, 1.25))])).toBe(0)
    // At the very edges there is one place of two, by the falling edge; without that, one of one, which tells nothing.
    expect(inStepWithClock(clock, [inTurn(every(60, 1, 2))])).toBeCloseTo(1, 9)
    expect(inStepWithClock(rising, [inTurn(every(60, 1, 2))])).toBe(0)
  })
  it('have nothing to do with each other where the changes lie evenly over the cycle, and half where half do', () => {
    expect(inStepWithClock(clock, [inTurn(every(160, 1 / 16, 3))])).toBeCloseTo(0, 9)
    // Half at one place of sixteen, half evenly: the fullest four of sixteen hold 8/16 + 1/2 · 4/16 of them.
    const half = [inTurn(every(64, 1 / 16, 3)), inTurn(every(64, 1, 3))]
    expect(inStepWithClock(clock, half)).toBeCloseTo((0.5 + 0.125 - 0.25) / 0.75, 9)
  })
  it('are told by what lies within the clock alone, of three rises at least', () => {
    const three = inTurn(every(5, 0.5, 1))
    const crowd = every(20, 1, 0).map(() => inTurn([1.25, 2.25]))
    expect(inStepWithClock(three, crowd)).toBeCloseTo(1, 9)
    expect(inStepWithClock(three.slice(0, 4), crowd)).toBe(0)
    // Before its first rise and after its last there is no cycle.
    expect(inStepWithClock(clock, [inTurn([...every(6, 0.1, 0.25), ...every(35, 1, 1.25)])])).toBe(0)
    expect(inStepWithClock(clock, [inTurn([...every(35, 1, 1.25), ...every(6, 0.1, 101.25)])])).toBe(0)
  })
})

/** Lines that show these words, a second each. */
function linesOf(words: readonly number[], names: readonly string[], stepS = 1) {
  const lines = names.map((name, bit) => {
    const changes = words.flatMap((word, i) => (i === 0 || ((word ^ words[i - 1]!) >> bit) & 1 ? [{ atS: i * stepS, level: (word >> bit) & 1 }] : []))
    return { name, atS: Float64Array.from(changes, c => c.atS), levels: Uint8Array.from(changes, c => c.level) }
  })
  return { lines, durationS: words.length * stepS }
}
const walkOf = (words: readonly number[], names: readonly string[]) =>
  addressWalk(
    linesOf(words, names),
    names.map((_, i) => i),
  )
/** Runs onward of these lengths, each begun elsewhere. */
const runsOf = (lengths: readonly number[], mask = 15) => {
  const words: number[] = []
  lengths.forEach((length, r) => {
    const from = (((words.at(-1) ?? 0) + 5 + (r % 2)) & mask) >>> 0
    for (let i = 0; i <= length; i++) words.push((from + i) & mask)
  })
  return words
}
const named = (count: number, from = 0) => Array.from({ length: count }, (_, i) => `A${from + i}`)

describe('addresses', () => {
  const code = Array.from({ length: 16 }, () => [2, 5, 3, 4]).flat()
  it('that go on by one and jump at uneven lengths walk; of one length they repeat; without a jump they count', () => {
    expect(walkOf(runsOf(code), named(4))).toMatchObject({ kind: 'walks', lines: ['A0', 'A1', 'A2', 'A3'] })
    expect(walkOf(runsOf(code.map(() => 3)), named(4))).toMatchObject({ kind: 'repeats' })
    expect(
      walkOf(
        every(80, 1).map(n => n & 15),
        named(4),
      ),
    ).toEqual({ kind: 'counts', lines: named(4), onward: 1 })
    // Two lengths alone are a loop with a branch, not code; and one length in nearly all of them is a loop.
    expect(walkOf(runsOf(code.map((_, i) => (i % 2 ? 3 : 5))), named(4))?.kind).toBe('repeats')
    expect(walkOf(runsOf(every(60, 1).map(n => [3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 2, 5][n % 15]!)), named(4))?.kind).toBe('repeats')
  })
  it('share of the steps that go on: counted by hand', () => {
    // Of lengths 2, 5, 3, 4: 14 steps onward and a jump before each but the first.
    expect(walkOf(runsOf(code), named(4))!.onward).toBeCloseTo((16 * 14) / (16 * 14 + 63), 9)
  })
  it('are looked for behind what another has of the bus', () => {
    const shared = runsOf(code).flatMap(word => [word, 9 ^ (word & 1)])
    expect(walkOf(shared, named(4))?.kind).toBe('walks')
  })
  it('that are dealt at random, too few, or of too few lines, walk nowhere', () => {
    const random = seeded(5)
    expect(
      walkOf(
        Array.from({ length: 400 }, () => Math.floor(random() * 16)),
        named(4),
      ),
    ).toBeNull()
    expect(walkOf(runsOf(code), named(2))).toBeNull()
    expect(
      walkOf(
        every(40, 1).map(n => n & 7),
        named(3),
      )?.kind,
    ).toBe('counts')
    expect(
      walkOf(
        every(39, 1).map(n => n & 7),
        named(3),
      ),
    ).toBeNull()
  })
  it('are known by their names, from the lowest on and without a gap', () => {
    const words = every(80, 1).map(n => n & 15)
    for (const names of [named(4, 1), ['addr[0]', 'addr[1]', 'addr[2]', 'addr[3]'], ['Address 0', 'Address 1', 'Address 2', 'Address 3']])
      expect(walkOf(words, names)?.kind, names[0]).toBe('counts')
    for (const names of [named(4, 2), ['A0', 'A2', 'A3', 'A4'], ['D0', 'D1', 'D2', 'D3'], ['DATA0', 'DATA1', 'DATA2', 'DATA3']])
      expect(walkOf(words, names), names[0]).toBeNull()
    // In whatever order they were recorded, and only those that were asked for.
    const mixed = linesOf(words, named(4))
    expect(addressWalk({ ...mixed, lines: mixed.lines.toReversed() }, [0, 1, 2, 3])).toMatchObject({ kind: 'counts', lines: named(4) })
    expect(addressWalk(mixed, [0, 1])).toBeNull()
  })
})

describe('a fetch strobe', () => {
  const clock = inTurn(every(1200, 0.5, 1))
  /** Pulses, so many cycles apart in turn, each so long. */
  function strobe(cycles: readonly number[], count = 60, widthOf = (_: number) => 1, low = false) {
    let at = 1
    const marks: number[] = []
    for (let i = 0; i < count; i++) {
      marks.push(at, at + widthOf(i))
      at += cycles[i % cycles.length]!
    }
    return low ? Float64Array.from(marks, (t, i) => (i % 2 ? t : -t)) : inTurn(marks)
  }
  it('that comes at whole cycles, of more than one length and an even width, is one', () => {
    expect(fetchRhythm(strobe([4, 5, 7, 4]), [clock])).toEqual({ shortest: 4, longest: 7 })
    expect(
      fetchRhythm(
        strobe([4, 5, 7, 4], 60, () => 1, true),
        [clock],
      ),
    ).toEqual({ shortest: 4, longest: 7 })
    expect(fetchRhythm(strobe([4, 5, 7, 4], 40), [clock])).not.toBeNull()
    // Any of the clocks may be the processor’s.
    expect(fetchRhythm(strobe([4, 5, 7, 4]), [inTurn(every(900, 0.37, 1)), clock])).toEqual({ shortest: 4, longest: 7 })
    // One length that came once in sixty is no usual one.
    expect(fetchRhythm(strobe([...every(29, 1).map(i => 4 + (i % 2)), 9, ...every(30, 1).map(i => 4 + (i % 2))]), [clock])).toEqual({ shortest: 4, longest: 5 })
  })
  it('that comes too seldom, evenly, off the clock, or in pulses of all widths, is none', () => {
    expect(fetchRhythm(strobe([4, 5, 7, 4], 39), [clock])).toBeNull()
    expect(fetchRhythm(strobe([5]), [clock])).toBeNull()
    expect(fetchRhythm(strobe([4.5, 5.5, 7.5, 4.5]), [clock])).toBeNull()
    expect(
      fetchRhythm(
        strobe([4, 5, 7, 4], 60, i => 0.5 + (i % 3) * 0.5),
        [clock],
      ),
    ).toBeNull()
    expect(fetchRhythm(strobe([1, 2]), [clock])).toBeNull()
    expect(fetchRhythm(strobe([40, 44]), [clock])).toBeNull()
    expect(fetchRhythm(strobe([4, 5, 7, 4]), [])).toBeNull()
  })
})
