import type { Capture, SignalLine } from './capture'
import { high, low } from './capture'

/**
 * Signs that a processor fetches, each by itself. All figures that decide are common practice, no source.
 */

const tenth = 10

/**
 * From which share of the capture on a bus is silent, to its end: no line changes in its last tenths.
 * @returns null where it is lively to the end
 */
export function silentFrom(edges: readonly Float64Array[], { durationS, pauses }: Capture): number | null {
  const counts = new Array<number>(tenth).fill(0)
  let last = 0
  for (const line of edges)
    for (const edge of line) {
      const at = Math.abs(edge)
      last = Math.max(last, at)
      counts[Math.min(tenth - 1, Math.floor((at / durationS) * tenth))]!++
    }
  const mean = counts.reduce((sum, n) => sum + n, 0) / tenth
  const paused = (from: number) => pauses.some(p => p.toS > from * durationS && p.toS - p.fromS > durationS / (2 * tenth))
  // A bus that only breathes in its last tenths, by a hundredth of its usual life, has stopped as well.
  const silentTenths = counts.length - 1 - counts.findLastIndex(n => n > mean / 50)
  return silentTenths >= 1 && !paused(1 - silentTenths / tenth) ? Math.min(last / durationS, 1 - silentTenths / tenth) : null
}

/** The smallest step between two instants of a clock and the lines beside it, by its edges. */
function resolutionS(clock: Float64Array, lines: readonly Float64Array[]): number {
  let least = Infinity
  const marks = clock.slice(0, 400).map(Math.abs)
  for (const line of lines) {
    let i = 0
    for (const edge of line.slice(0, 400)) {
      const at = Math.abs(edge)
      while (i < marks.length && marks[i]! < at) i++
      for (const near of [marks[i - 1], marks[i]]) {
        const gap = near === undefined ? 0 : Math.abs(near - at)
        if (gap > 0) least = Math.min(least, gap)
      }
    }
  }
  return least
}

/**
 * How much more of what a bus does keeps to few places in the cycle of a clock than chance would: 0 for a bus that has nothing to do
 * with it, 1 for one that its clock drives wholly. The cycle is parted into as many phases as the sampling can tell, at most 16, and
 * the fullest quarter of them (at least two, where there are four) is counted. With under 40 changes it is 0.
 */
export function inStepWithClock(clock: Float64Array, bus: readonly Float64Array[]): number {
  const up = clock.filter(e => e > 0)
  if (up.length < 3) return 0
  const periodS = (up.at(-1)! - up[0]!) / (up.length - 1)
  const count = Math.min(16, Math.round(periodS / resolutionS(clock, bus)))
  if (count < 2) return 0
  const phases = new Array<number>(count).fill(0)
  let all = 0
  for (const line of bus) {
    let i = 0
    for (const edge of line) {
      const at = Math.abs(edge)
      while (i + 1 < up.length && up[i + 1]! <= at) i++
      if (at < up[0]! || i + 1 >= up.length) continue
      const phase = (at - up[i]!) / (up[i + 1]! - up[i]!)
      phases[Math.floor((phase * count + 0.5) % count)]!++
      all++
    }
  }
  if (all < 40) return 0
  const taken = count < 4 ? 1 : Math.max(2, Math.round(count / 4))
  const share =
    phases
      .sort((a, b) => b - a)
      .slice(0, taken)
      .reduce((sum, n) => sum + n, 0) / all
  return (share - taken / count) / (1 - taken / count)
}

export interface AddressWalk {
  /** It walks as code does, counts without a jump, or repeats one length for ever. */
  kind: 'walks' | 'counts' | 'repeats'
  lines: string[]
  /** Share of the steps that go on by one. */
  onward: number
}

const addressOf = (name: string) => /(?:^|[^a-z])(?:a|addr|address)[[_ ]?(\d+)\]?$/i.exec(name.trim())?.[1]

/**
 * Whether the lowest address lines walk as a processor does: on by one in many of their steps, carries included, with jumps at uneven
 * lengths. Between two fetches others may have the bus (refresh, data), so a step is looked for one to three values back.
 * Chance: two of k lines at random go on by one in 1 of 2ᵏ; so it takes three lines, and five standard deviations above that.
 * @returns null where there are too few lines or changes, or no walk
 */
export function addressWalk({ lines, durationS }: Pick<Capture, 'lines' | 'durationS'>, bus: readonly number[]): AddressWalk | null {
  const named = bus.flatMap(i => {
    const place = addressOf(lines[i]!.name)
    return place === undefined ? [] : [{ place: Number(place), line: lines[i]! }]
  })
  named.sort((a, b) => a.place - b.place)
  // From the lowest on, without a gap; a bus of words begins with A1.
  const run = named[0] && named[0].place <= 1 ? named.filter(({ place }, i) => place === named[0]!.place + i).slice(0, 12) : []
  if (run.length < 3) return null
  const values = wordsOf(
    run.map(r => r.line),
    durationS,
  )
  if (values.length < 40) return null
  const chance = 2 ** -run.length
  const mask = 2 ** run.length - 1
  const onAt = (lag: number, odd?: boolean) => {
    let [on, all] = [0, 0]
    for (let i = lag; i < values.length; i++) {
      const from = values[i - lag]!
      if (odd !== undefined && (from & 1) !== Number(odd)) continue
      all++
      if (values[i] === ((from + 1) & mask)) on++
    }
    return { on, all, share: on / Math.max(1, all) }
  }
  const strong = ({ share, all }: { share: number; all: number }) => share >= 0.2 && share - chance > 5 * Math.sqrt((chance * (1 - chance)) / Math.max(1, all))
  const lag = [1, 2, 3].filter(l => strong(onAt(l, false)) && strong(onAt(l, true))).sort((a, b) => onAt(b).share - onAt(a).share)[0]
  if (lag === undefined) return null
  const { share: onward } = onAt(lag)
  const names = run.map(r => r.line.name)
  if (onward > 0.95) return { kind: 'counts', lines: names, onward }
  // How far it goes on between two jumps.
  const lengths = new Map<number, number>()
  let [length, runs] = [0, 0]
  for (let i = lag; i < values.length; i++)
    if (values[i] === ((values[i - lag]! + 1) & mask)) length++
    else {
      lengths.set(length, (lengths.get(length) ?? 0) + 1)
      runs++
      length = 0
    }
  const uneven = [...lengths.values()].filter(n => n >= 2).length >= 3 && Math.max(...lengths.values()) < 0.85 * runs
  return { kind: uneven ? 'walks' : 'repeats', lines: names, onward }
}

/** The words that lines form, one after the other; lines that change within a moment change together. */
function wordsOf(lines: readonly SignalLine[], durationS: number): number[] {
  const events = lines.flatMap((line, bit) => Array.from(line.atS, (atS, i) => ({ atS, bit, level: line.levels[i]! })))
  events.sort((a, b) => a.atS - b.atS)
  const spans = events
    .slice(1)
    .map((e, i) => e.atS - events[i]!.atS)
    .filter(s => s > 0)
    .sort((a, b) => a - b)
  // Skew between lines of a bus is far below the time that a word stands.
  const moment = Math.min((spans[Math.floor(spans.length / 2)] ?? 0) / 4, durationS / 100)
  const words: number[] = []
  let [word, sure, since] = [0, 0, -Infinity]
  const all = 2 ** lines.length - 1
  for (const { atS, bit, level } of events) {
    if (atS - since > moment && sure === all && words.at(-1) !== word) words.push(word)
    if (level === low || level === high) {
      word = level === high ? word | (1 << bit) : word & ~(1 << bit)
      sure |= 1 << bit
    } else sure &= ~(1 << bit)
    since = atS
  }
  if (sure === all && words.at(-1) !== word) words.push(word)
  return words
}

/**
 * Whether a fetch strobe comes as instructions are long: pulses of an even width, at whole cycles of the clock, of more than one length.
 * @param clocks edges of the steady clocks; any of them may be the processor’s
 * @returns the shortest and longest usual span, in cycles
 */
export function fetchRhythm(strobe: Float64Array, clocks: readonly Float64Array[]): { shortest: number; longest: number } | null {
  const up = strobe.filter(e => e > 0)
  if (up.length < 40) return null
  for (const clock of clocks) {
    const ticks = clock.filter(e => e > 0)
    const periodS = (ticks.at(-1)! - ticks[0]!) / (ticks.length - 1)
    const cycles = Array.from({ length: up.length - 1 }, (_, i) => (up[i + 1]! - up[i]!) / periodS)
    const whole = cycles.filter(c => Math.abs(c - Math.round(c)) < 0.2 && c > 1.5 && c < 40).length / cycles.length
    const counts = tally(cycles.map(Math.round))
    const widths = tally(widthsOf(strobe).map(w => Math.round((2 * w) / periodS)))
    const usual = [...counts].filter(([, n]) => n > 0.02 * cycles.length).map(([c]) => c)
    if (whole > 0.9 && usual.length >= 2 && Math.max(...counts.values()) < 0.95 * cycles.length && Math.max(...widths.values()) > 0.9 * up.length * 0.95)
      return { shortest: Math.min(...usual), longest: Math.max(...usual) }
  }
  return null
}

const tally = (values: readonly number[]) => values.reduce((m, v) => m.set(v, (m.get(v) ?? 0) + 1), new Map<number, number>())

/** How long the shorter half of its cycle lasts: a strobe is active for that. */
function widthsOf(edges: Float64Array): number[] {
  const spans = { high: [] as number[], low: [] as number[] }
  for (let i = 1; i < edges.length; i++) (edges[i]! < 0 ? spans.high : spans.low).push(Math.abs(edges[i]!) - Math.abs(edges[i - 1]!))
  const mean = (of: number[]) => of.reduce((sum, s) => sum + s, 0) / (of.length || 1)
  return mean(spans.high) < mean(spans.low) ? spans.high : spans.low
}
