import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Capture, type SignalLine, floating, half, high, low } from './capture'

export const lineKinds = ['stuck-high', 'stuck-low', 'half-level', 'floating', 'few', 'regular', 'irregular'] as const
export type LineKind = (typeof lineKinds)[number]
export const lineKindNames: Record<LineKind, string> = {
  'stuck-high': 'stuck high',
  'stuck-low': 'stuck low',
  'half-level': 'at half height',
  'floating': 'nobody drives it',
  'few': 'changes too seldom to tell',
  'regular': 'toggles, regularly',
  'irregular': 'toggles, irregularly',
}
export interface LineJudged {
  name: string
  kind: LineKind
  changes: number
  /** Rising edges a second; nothing where it does not toggle. */
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
  executing: 'yes' | 'no' | 'unknown'
  findings: Finding[]
}

/** With fewer rising edges nothing is said of regularity. Common practice, no source. */
const fewEdges = 12
/** Time between edges that scatters by less is a clock, or divided from one. Common practice, no source. */
const regularScatter = 0.08
/** So large a share of edges together makes two lines go in step. */
const stepShare = 0.95
/** So many lines of one kind are told one by one. */
const mostTold = 12
/** Half height for so long a share of the time is its state. */
const stateShare = 0.5

const isBus = (name: string) => /(^|[^a-z])([ad]|ad|da|data|addr|address)[[_ ]?\d+\]?$/i.test(name.trim())
const isClock = (name: string) => /cl(oc)?k|phi|φ|^ck$/i.test(name)
const isReset = (name: string) => /re?se?t/i.test(name)
const activeLow = (name: string) => /^[/~!]|[#*]$|^n(?=[A-Z_])|_n$|bar$/i.test(name.trim())

/**
 * What each line of a capture does, and whether code is being executed: only irregular changes of data or address lines say so,
 * on more than one of them, not all in step, with reset let go. A regular toggle is a clock or a counter, and no code.
 * Common practice, no source, where it judges.
 */
export function judgeLines({ lines, durationS }: Capture): SignalsResult {
  const judged = lines.map(line => judgeLine(line, durationS))
  const rising = lines.map(line => edgesOf(line))
  judged.forEach((line, i) => {
    if (line.kind !== 'regular' && line.kind !== 'irregular') return
    for (let j = i + 1; j < judged.length; j++) {
      const other = judged[j]!
      if (other.kind !== 'regular' && other.kind !== 'irregular') continue
      const step = stepOf(rising[i]!, rising[j]!, durationS)
      if (!step) continue
      for (const [one, two] of [
        [line, other],
        [other, line],
      ] as const)
        if (one.inStep.length < mostTold) one.inStep.push({ with: two.name, inverted: step === 'inverted' })
    }
  })
  return { lines: judged, ...executionOf(judged, lines) }
}

function judgeLine(line: SignalLine, durationS: number): LineJudged {
  const { name, atS, levels } = line
  const plain = (kind: LineKind): LineJudged => ({ name, kind, changes: Math.max(0, levels.length - 1), rateHz: null, duty: null, scatter: null, inStep: [] })
  if (!levels.length || durationS <= 0) return plain('few')
  const spent = [0, 0, 0, 0]
  for (let i = 0; i < levels.length; i++) spent[levels[i]!]! += (atS[i + 1] ?? durationS) - atS[i]!
  const share = (level: number) => spent[level]! / durationS
  if (share(half) >= stateShare) return plain('half-level')
  if (share(floating) >= stateShare) return plain('floating')
  const up = edgesOf(line).filter(e => e > 0)
  if (!up.length && levels.every(l => l === levels[0])) return plain(levels[0] === high ? 'stuck-high' : 'stuck-low')
  if (up.length < fewEdges) return plain('few')
  const spans = Array.from({ length: up.length - 1 }, (_, i) => up[i + 1]! - up[i]!)
  const mean = (up.at(-1)! - up[0]!) / spans.length
  const scatter = Math.sqrt(spans.reduce((sum, s) => sum + (s - mean) ** 2, 0) / spans.length) / mean
  return { ...plain(scatter < regularScatter ? 'regular' : 'irregular'), rateHz: 1 / mean, duty: share(high) / (share(high) + share(low) || 1), scatter }
}

/** Instants of clean edges: rising as they are, falling below zero; the start is no edge. A rising edge at the very start is left out with it. */
function edgesOf({ atS, levels }: SignalLine): Float64Array {
  const edges = new Float64Array(levels.length)
  let n = 0
  let was = levels[0]
  for (let i = 1; i < levels.length; i++) {
    const now = levels[i]!
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

function executionOf(judged: readonly LineJudged[], lines: readonly SignalLine[]): Pick<SignalsResult, 'executing' | 'findings'> {
  const findings: Finding[] = []
  const bus = judged.filter(l => isBus(l.name))
  const busy = bus.filter(l => l.kind === 'irregular')
  const free = busy.filter(l => !busy.some(o => o !== l && l.inStep.some(s => s.with === o.name) && busy.indexOf(o) < busy.indexOf(l)))
  const held = judged.filter(
    (l, i) => isReset(l.name) && (activeLow(l.name) ? lines[i]!.levels.at(-1) === low : lines[i]!.levels.at(-1) === high && l.kind === 'stuck-high'),
  )
  for (const l of judged.filter(l => isClock(l.name) && l.kind !== 'regular'))
    findings.push(
      finding(
        'care',
        'signals.clock',
        `${l.name} is no steady clock: it ${lineKindNames[l.kind].replace(/^(stuck|at)/, 'is $1')}.`,
        'Without a steady clock nothing else on the bus can be believed.',
      ),
    )
  for (const l of held)
    findings.push(
      finding(
        'care',
        'signals.reset',
        `${l.name} is active: the processor is kept from starting.`,
        'By its name it is active ' + (activeLow(l.name) ? 'low.' : 'high. If it is active low, its name does not say so.'),
      ),
    )
  for (const l of bus.filter(l => l.kind === 'half-level' || l.kind === 'floating'))
    findings.push(
      finding(
        'care',
        'signals.half',
        `${l.name} ${l.kind === 'half-level' ? 'stands at half height' : 'is driven by nobody'}.`,
        'Two outputs against each other, or none at all.',
        commonPractice,
      ),
    )
  for (const l of bus.filter(l => l.kind.startsWith('stuck')))
    findings.push(
      finding(
        'note',
        'signals.stuck',
        `${l.name} is ${lineKindNames[l.kind]} through the whole capture.`,
        'A short to a rail, a dead output, or nothing happening: look at the others.',
      ),
    )
  for (const l of judged)
    for (const s of l.inStep)
      if (judged.findIndex(o => o.name === s.with) > judged.indexOf(l) && isBus(l.name) && isBus(s.with) && !s.inverted)
        findings.push(
          finding(
            'care',
            'signals.step',
            `${l.name} and ${s.with} change in step.`,
            'Two lines of a bus hardly do: they may be joined. Probe them with the power off.',
          ),
        )
  const told = new Map<string, number>()
  const some = findings.filter(f => {
    told.set(f.code, (told.get(f.code) ?? 0) + 1)
    return told.get(f.code)! <= mostTold
  })
  findings.splice(0, findings.length, ...some)
  if (!bus.length) {
    findings.unshift(
      finding('note', 'signals.no-bus', 'Whether code is being executed, it cannot be said.', 'No line is named as data or address, such as D0 or A3.'),
    )
    return { executing: 'unknown', findings }
  }
  const clocks = judged.filter(l => isClock(l.name))
  const still = clocks.length > 0 && clocks.every(l => l.kind !== 'regular' && l.kind !== 'irregular')
  if (free.length >= 2 && (still || held.length)) {
    findings.unshift(
      finding(
        'care',
        'signals.contradiction',
        'The bus changes irregularly, but nothing should run.',
        `${still ? 'No clock was seen.' : 'Reset is active.'} Lines that nobody drives pick up noise; or a probe is on another pin than its name says.`,
      ),
    )
    return { executing: 'unknown', findings }
  }
  if (free.length >= 2) {
    findings.unshift(
      finding(
        'fine',
        'signals.executing',
        'Code is being executed.',
        `${free
          .slice(0, 4)
          .map(l => l.name)
          .join(', ')} change irregularly, and not in step. Whether it is the right code is another matter.`,
        commonPractice,
      ),
    )
    return { executing: 'yes', findings }
  }
  if (bus.some(l => l.kind === 'few') && !busy.length && bus.every(l => l.kind === 'few' || l.kind.startsWith('stuck'))) {
    findings.unshift(finding('note', 'signals.short', 'Too few changes to say whether code is being executed.', 'Capture for longer, or closer to the start.'))
    return { executing: 'unknown', findings }
  }
  findings.unshift(
    finding(
      'care',
      'signals.idle',
      'No sign of code being executed.',
      busy.length === 1
        ? `Only ${busy[0]!.name} changes irregularly; one line may be noise.`
        : busy.length
          ? 'The lines that change irregularly all go in step.'
          : bus.some(l => l.kind === 'regular')
            ? 'What toggles on the bus is regular: a counter or a refresh, and no code.'
            : 'Nothing on the bus changes.',
      commonPractice,
    ),
  )
  return { executing: 'no', findings }
}
