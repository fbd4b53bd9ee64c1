import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { Capture } from './capture'
import { high, low } from './capture'
import { type AddressWalk, addressWalk, fetchRhythm, inStepWithClock, silentFrom } from './fetch-evidence'
import type { LineJudged, LineKind } from './judge-lines'

export type Executing = 'yes' | 'no' | 'unknown'

/** So many lines of one kind are told one by one. */
const mostTold = 12
/** From so far above chance on (see `inStepWithClock`) a bus is driven by its clock. Common practice, no source. */
const clockedFrom = 0.6

const isBus = (name: string) => /(^|[^a-z])([ad]|ad|da|data|addr|address)[[_ ]?\d+\]?$/i.test(name.trim())
const isClock = (name: string) => /cl(oc)?k|phi|φ|^ck$/i.test(name)
const isReset = (name: string) => /re?se?t/i.test(name)
const activeLow = (name: string) => /^[/~!]|[#*]$|^n(?=[A-Z_])|_n$|bar$/i.test(name.trim())
const isFetch = (name: string) => /^[/~!n]?_?(m1|sync|fetch|opfetch|vpa)[#*]?(_n)?$/i.test(name.trim())

const doings: Record<LineKind, string> = {
  'stuck-high': 'is stuck high',
  'stuck-low': 'is stuck low',
  'half-level': 'stands at half height',
  'floating': 'is driven by nobody',
  'unrecorded': 'was not recorded',
  'few': 'changes too seldom to tell',
  'stopped': 'toggled, and then stopped',
  'regular': 'toggles regularly',
  'irregular': 'toggles irregularly',
}

interface Said {
  executing: Executing
  findings: Finding[]
}
const yes = (because: string[]): Said => ({
  executing: 'yes',
  findings: [finding('fine', 'signals.executing', 'Code is being executed.', [...because, 'Whether it is the right code is another matter.'], commonPractice)],
})
const no = (says: string, because: string, code = 'signals.idle'): Said => ({
  executing: 'no',
  findings: [finding('care', code, says, because, commonPractice)],
})
const unknown = (
  code: string,
  because: string | string[],
  level: 'note' | 'care' = 'note',
  says = 'Whether code is being executed, it cannot be said.',
): Said => ({ executing: 'unknown', findings: [finding(level, code, says, because)] })

/**
 * Whether code is being executed. That the bus is lively is not enough: noise, a shift register and a video circuit are lively too.
 * *Yes* takes a steady clock to the end of the capture, a bus that changes in step with it and to the end, reset let go, and a sign of
 * fetching: addresses that count up and jump away, or a fetch strobe at lengths of instructions. *No* takes a bus that is still, or
 * that only counts. Everything between is not known, with what would tell. Common practice, no source.
 */
export function executionOf(judged: readonly LineJudged[], capture: Capture, edges: readonly Float64Array[]): Said {
  const notes = remarksOf(judged, capture)
  const said = verdict(judged, capture, edges)
  return { ...said, findings: [...said.findings, ...notes] }
}

/** Reset lines that are active when the capture ends. */
const heldResets = (judged: readonly LineJudged[], { lines }: Capture) =>
  judged.filter(
    (l, i) => isReset(l.name) && (activeLow(l.name) ? lines[i]!.levels.at(-1) === low : lines[i]!.levels.at(-1) === high && l.kind === 'stuck-high'),
  )

function verdict(judged: readonly LineJudged[], capture: Capture, edges: readonly Float64Array[]): Said {
  const at = (of: (l: LineJudged) => boolean) => judged.flatMap((l, i) => (of(l) ? [i] : []))
  const bus = at(l => isBus(l.name))
  if (!bus.length) return unknown('signals.no-bus', 'No line is named as data or address, such as D0 or A3.')
  const kinds = bus.map(i => judged[i]!.kind)
  const lively = bus.filter(i => judged[i]!.kind === 'irregular')
  // Of lines in step only the first counts.
  const free = lively.filter(i => !judged[i]!.inStep.some(s => lively.some(j => j < i && judged[j]!.name === s.with)))
  const clocks = at(l => isClock(l.name))
  const steady = clocks.filter(i => judged[i]!.kind === 'regular')
  const held = heldResets(judged, capture)
  if (!kinds.some(k => k === 'irregular' || k === 'regular' || k === 'stopped')) {
    if (kinds.includes('few') || kinds.includes('unrecorded'))
      return unknown('signals.short', 'Capture for longer, or closer to the start.', 'note', 'Too few changes to say whether code is being executed.')
    return no('No sign of code being executed.', 'Nothing on the bus changes.')
  }
  const stillFrom = silentFrom(
    bus.map(i => edges[i]!),
    capture,
  )
  if (stillFrom !== null)
    return no(
      'What ran has stopped.',
      `Nothing on the bus changes in the last ${Math.max(1, Math.round((1 - stillFrom) * 100))} % of the capture: halted, crashed, or waiting.`,
      'signals.stopped',
    )
  if (free.length >= 2 && (held.length || (clocks.length > 0 && !steady.length)))
    return unknown(
      'signals.contradiction',
      `${held.length ? 'Reset is active.' : 'No clock runs steadily to the end.'} Lines that nobody drives pick up noise; or a probe is on another pin than its name says.`,
      'care',
      'The bus changes irregularly, but nothing should run.',
    )
  const walk = addressWalk(capture, bus)
  if (walk?.kind === 'counts' && !free.some(i => !walk.lines.includes(judged[i]!.name)))
    return no('No sign of code being executed.', 'The addresses count up without a jump: a counter, a refresh, or a processor that runs free.')
  if (free.length < 2) {
    const regular = kinds.includes('regular')
    return no(
      'No sign of code being executed.',
      lively.length === 1
        ? `Only ${judged[lively[0]!]!.name} changes irregularly; one line may be noise.`
        : lively.length
          ? 'The lines that change irregularly all go in step.'
          : regular
            ? 'What toggles on the bus is regular: a counter or a refresh, and no code.'
            : 'Lines of the bus stopped one after the other.',
    )
  }
  if (!clocks.length)
    return unknown('signals.no-clock', 'The bus is lively. Whether a processor drives it shows only beside its clock: capture that too, named CLK or PHI.')
  const busEdges = bus.map(k => edges[k]!)
  if (Math.max(...steady.map(i => inStepWithClock(edges[i]!, busEdges))) < clockedFrom)
    return unknown(
      'signals.unrelated',
      ['The changes on the bus are spread over the whole of the clock’s cycle.', 'Noise, another clock, or sampled too slowly: ten samples a cycle tell.'],
      'care',
    )
  return fetchSigns(judged, capture, edges, walk, steady)
}

/** The last question: whether what is in step with its clock fetches instructions. */
function fetchSigns(
  judged: readonly LineJudged[],
  capture: Capture,
  edges: readonly Float64Array[],
  walk: AddressWalk | null,
  steady: readonly number[],
): Said {
  const clocked = 'The bus changes in step with its clock, to the end.'
  if (walk?.kind === 'walks')
    return yes([
      `${walk.lines[0]} to ${walk.lines.at(-1)} count up in ${Math.round(walk.onward * 100)} % of their steps and jump away between, at uneven lengths.`,
      clocked,
    ])
  const strobes = judged.flatMap((l, i) => (isFetch(l.name) ? [i] : []))
  const rhythm = strobes
    .map(i =>
      fetchRhythm(
        edges[i]!,
        steady.map(k => edges[k]!),
      ),
    )
    .find(r => r !== null)
  if (rhythm)
    return yes([
      `${judged[strobes[0]!]!.name} comes every ${rhythm.shortest} to ${rhythm.longest} cycles, at uneven lengths and an even width, as fetches do.`,
      clocked,
    ])
  return unknown('signals.no-fetch', [
    clocked,
    walk?.kind === 'repeats'
      ? `${walk.lines[0]} to ${walk.lines.at(-1)} count up and jump at one and the same length: a picture being fetched, or one short loop.`
      : 'Code does that; a shift register and noise under a clock do it too.',
    'Capture the lowest address lines, A0 to A3 at least, or the fetch strobe (M1, SYNC) beside it.',
  ])
}

/** What is to be told of single lines. */
function remarksOf(judged: readonly LineJudged[], capture: Capture): Finding[] {
  const bus = judged.filter(l => isBus(l.name))
  const findings = [
    ...judged
      .filter(l => isClock(l.name) && l.kind !== 'regular')
      .map(l =>
        finding(
          'care',
          'signals.clock',
          `${l.name} is no steady clock: it ${doings[l.kind]}.`,
          'Without a steady clock nothing else on the bus can be believed.',
        ),
      ),
    ...heldResets(judged, capture).map(l =>
      finding(
        'care',
        'signals.reset',
        `${l.name} is active: the processor is kept from starting.`,
        'By its name it is active ' + (activeLow(l.name) ? 'low.' : 'high. If it is active low, its name does not say so.'),
      ),
    ),
    ...bus
      .filter(l => l.kind === 'half-level' || l.kind === 'floating')
      .map(l => finding('care', 'signals.half', `${l.name} ${doings[l.kind]}.`, 'Two outputs against each other, or none at all.', commonPractice)),
    ...bus
      .filter(l => l.kind.startsWith('stuck'))
      .map(l =>
        finding(
          'note',
          'signals.stuck',
          `${l.name} ${doings[l.kind]} through the whole capture.`,
          'A short to a rail, a dead output, or nothing happening: look at the others.',
        ),
      ),
    ...judged.flatMap((l, i) =>
      l.inStep
        .filter(s => judged.findIndex(o => o.name === s.with) > i && isBus(l.name) && isBus(s.with) && !s.inverted)
        .map(s =>
          finding(
            'care',
            'signals.step',
            `${l.name} and ${s.with} change in step.`,
            'Two lines of a bus hardly do: they may be joined. Probe them with the power off.',
          ),
        ),
    ),
  ]
  const told = new Map<string, number>()
  return findings.filter(({ code }) => {
    told.set(code, (told.get(code) ?? 0) + 1)
    return told.get(code)! <= mostTold
  })
}
