import { type Finding, finding } from '../kernel/finding'
import { type Capture, type SignalLine, floating, half, high, low, unrecorded } from './capture'
import { type Executing, executionOf } from './execution'

export const lineKinds = ['stuck-high', 'stuck-low', 'half-level', 'floating', 'unrecorded', 'few', 'stopped', 'regular', 'irregular'] as const
export type LineKind = (typeof lineKinds)[number]
export const lineKindNames: Record<LineKind, string> = {
  'stuck-high': 'stuck high',
  'stuck-low': 'stuck low',
  'half-level': 'at half height',
  'floating': 'nobody drives it',
  'unrecorded': 'not recorded',
  'few': 'changes too seldom to tell',
  'stopped': 'toggled, and then stopped',
  'regular': 'toggles, regularly',
  'irregular': 'toggles, irregularly',
}
export interface LineJudged {
  name: string
  kind: LineKind
  changes: number
  /** Rising edges a second; nothing where it does not toggle, or where time is counted in steps. */
  rateHz: number | null
  /** Share of the time that it is high, from 0 to 1. */
  duty: number | null
  /** Scatter of the time between rising edges, as a share of their mean. */
  scatter: number | null
  /** Lines that change whenever it does, the same way or the other. */
  inStep: { with: string; inverted: boolean }[]
}
export interface SignalsResult {
  lines: LineJudged[]
  executing: Executing
  findings: Finding[]
}

/** With fewer rising edges nothing is said of regularity. Common practice, no source. */
const fewEdges = 12
/** Time between edges that scatters by less is a clock, or divided from one. Common practice, no source. */
const regularScatter = 0.08
/** So large a share of edges together makes two lines go in step. */
const stepShare = 0.95
/** So many lines are told to go in step with one. */
const mostTold = 12
/** Silent at its end for so many of its usual spans, and for so large a share of the capture, a line has stopped. Common practice, no source. */
const silent = { spans: 20, share: 0.05 }
/** With a larger share of what was recorded unread, nothing is said of what runs. Common practice, no source. */
const unreadShare = 0.02
/** Half height for so long a share of the time is its state. */
const stateShare = 0.5

/**
 * What each line of a capture does, and whether code is being executed (see `executionOf`).
 * Common practice, no source, where it judges.
 */
export function judgeLines(capture: Capture): SignalsResult {
  const { lines, durationS } = capture
  const judged = lines.map(line => judgeLine(line, capture))
  const edges = lines.map(edgesOf)
  const toggles = ({ kind }: LineJudged) => kind === 'regular' || kind === 'irregular'
  judged.forEach((line, i) => {
    if (!toggles(line)) return
    for (let j = i + 1; j < judged.length; j++) {
      const other = judged[j]!
      const step = toggles(other) && stepOf(edges[i]!, edges[j]!, durationS)
      if (!step) continue
      for (const [one, two] of [
        [line, other],
        [other, line],
      ] as const)
        if (one.inStep.length < mostTold) one.inStep.push({ with: two.name, inverted: step === 'inverted' })
    }
  })
  const doubts = doubtsOf(capture)
  const { executing, findings } = executionOf(judged, capture, edges)
  // What rests on half a record is not sure, whatever the other half shows.
  const sure = unreadOf(capture) <= unreadShare
  // Whoever says that it runs says so first.
  const said = sure || executing !== 'yes' ? findings : [notSure, ...findings.slice(1)]
  return {
    lines: judged,
    executing: sure ? executing : 'unknown',
    findings: [...doubts.filter(d => d.level === 'care'), ...said, ...doubts.filter(d => d.level !== 'care')],
  }
}

const notSure = finding(
  'note',
  'signals.executing',
  'Whether code is being executed, it cannot be said.',
  'What could be read looks like it, but too much could not be read.',
)

const unreadOf = ({ read, unread }: Pick<Capture, 'read' | 'unread'>) => unread / Math.max(1, read + unread)

/** What the record itself leaves in doubt. */
function doubtsOf({ read, unread, pauses, timeIs, durationS }: Capture): Finding[] {
  const share = unreadOf({ read, unread })
  const paused = pauses.reduce((sum, p) => sum + p.toS - p.fromS, 0) / (durationS || 1)
  return [
    ...(share > unreadShare
      ? [
          finding(
            'care',
            'signals.unread',
            `${Math.max(1, Math.round(share * 100))} % of the capture could not be read.`,
            'What is said rests on the rest. Export it again, or open it beside the problems that are listed.',
          ),
        ]
      : []),
    ...(pauses.length
      ? [
          finding(
            'note',
            'signals.paused',
            `The recording pauses ${pauses.length === 1 ? 'once' : `${pauses.length} times`}, for ${paused < 0.01 ? 'less than 1' : Math.round(paused * 100)} % of the time.`,
            'Nothing is known of what the lines did meanwhile.',
          ),
        ]
      : []),
    ...(timeIs === 'steps'
      ? [
          finding(
            'note',
            'signals.steps',
            'How long a step of the capture is, is not known.',
            'Times are counted in steps, and no rate is given. Order and regularity do not need it.',
          ),
        ]
      : []),
  ]
}

function judgeLine(line: SignalLine, { durationS, pauses, timeIs }: Capture): LineJudged {
  const { name, atS, levels } = line
  const plain = (kind: LineKind): LineJudged => ({ name, kind, changes: Math.max(0, levels.length - 1), rateHz: null, duty: null, scatter: null, inStep: [] })
  if (!levels.length || durationS <= 0) return plain('few')
  const spent = [0, 0, 0, 0, 0]
  for (let i = 0; i < levels.length; i++) spent[levels[i]!]! += (atS[i + 1] ?? durationS) - atS[i]!
  // Before its first value a line was not recorded either.
  spent[unrecorded]! += atS[0]!
  const recordedS = durationS - spent[unrecorded]!
  if (recordedS < 0.01 * durationS) return plain('unrecorded')
  const share = (level: number) => spent[level]! / recordedS
  if (share(half) >= stateShare) return plain('half-level')
  if (share(floating) >= stateShare) return plain('floating')
  const up = edgesOf(line).filter(e => e > 0)
  const held = levels.filter(l => l !== unrecorded)
  if (!up.length && held.every(l => l === held[0])) return plain(held[0] === high ? 'stuck-high' : 'stuck-low')
  if (up.length < fewEdges) return plain('few')
  const spans: number[] = []
  for (let i = 1, p = 0; i < up.length; i++) {
    // A span with a pause in it is none.
    while (p < pauses.length && pauses[p]!.toS <= up[i - 1]!) p++
    if (!(p < pauses.length && pauses[p]!.fromS < up[i]!)) spans.push(up[i]! - up[i - 1]!)
  }
  if (spans.length < fewEdges - 1) return plain('few')
  const mean = spans.reduce((sum, s) => sum + s, 0) / spans.length
  const quiet = [up[0]! - atS[0]!, durationS - Math.max(up.at(-1)!, pauses.at(-1)?.toS ?? 0)].map(s => s > silent.spans * mean && s > silent.share * durationS)
  const scatter = Math.sqrt(spans.reduce((sum, s) => sum + (s - mean) ** 2, 0) / spans.length) / mean
  const kind = quiet[1] ? 'stopped' : scatter < regularScatter && !quiet[0] ? 'regular' : 'irregular'
  return { ...plain(kind), rateHz: timeIs === 'known' ? 1 / mean : null, duty: share(high) / (share(high) + share(low) || 1), scatter }
}

/** Instants of clean edges: rising as they are, falling below zero; the start is no edge. A rising edge at the very start is left out with it. */
export function edgesOf({ atS, levels }: SignalLine): Float64Array {
  const edges = new Float64Array(levels.length)
  let n = 0
  let was = levels[0]
  for (let i = 1; i < levels.length; i++) {
    const now = levels[i]!
    // Across what was not recorded there is no edge that anybody saw.
    if (now === unrecorded) was = undefined
    if (now > high) continue
    if (was !== undefined && was <= high && now !== was) edges[n++] = now === high ? atS[i]! : -atS[i]!
    was = now
  }
  return edges.slice(0, n)
}

/** Whether two lines change together, the same way or the other; within a thousandth of the shorter mean span. */
function stepOf(a: Float64Array, b: Float64Array, durationS: number): 'same' | 'inverted' | null {
  if (Math.abs(a.length - b.length) > (1 - stepShare) * Math.max(a.length, b.length)) return null
  const near = durationS / Math.max(a.length, b.length) / 50
  let [same, inverted, j] = [0, 0, 0]
  for (const edge of a) {
    const at = Math.abs(edge)
    while (j < b.length && Math.abs(b[j]!) < at - near) j++
    const other = b[j]
    if (other === undefined || Math.abs(Math.abs(other) - at) > near) continue
    if (Math.sign(other) === Math.sign(edge)) same++
    else inverted++
  }
  const wanted = stepShare * Math.max(a.length, b.length)
  return same >= wanted ? 'same' : inverted >= wanted ? 'inverted' : null
}
