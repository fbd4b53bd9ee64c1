import { millisecondsInHour } from 'date-fns/constants'
import { type AssemblyRole, type NamedPart, roleOf } from '../condition/assembly-roles'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** What a machine is tried with before it is signed off: a line each, kept with its model. Common practice, no source. */
export const testLineKinds = ['works', 'figure', 'overnight'] as const
export type TestLineKind = (typeof testLineKinds)[number]
export const testLineKindNames: Record<TestLineKind, string> = {
  works: 'Works or not',
  figure: 'A figure with limits',
  overnight: 'Left alone for hours, then looked at',
}
export interface TestLine {
  says: string
  kind: TestLineKind
  /** What passes, in words. */
  expect: string
  /** Of a figure. */
  unit: string
  from: number | null
  to: number | null
  /** Hours that it has to be left alone, at least. */
  hours: number | null
}
const line = (says: string, expect: string, more: Partial<TestLine> = {}): TestLine => ({
  says,
  kind: 'works',
  expect,
  unit: '',
  from: null,
  to: null,
  hours: null,
  ...more,
})

/** Lines for a machine whose model has none of its own, by what it has. */
export function usualLines(parts: readonly NamedPart[]): TestLine[] {
  const there = new Set(parts.map(roleOf))
  const has = (...roles: AssemblyRole[]) => roles.some(role => there.has(role))
  return [
    ...(has('keyboard') ? [line('All keys', 'Each key answers once, none sticks')] : []),
    ...(has('drive') ? [line('Drives', 'Each reads and writes a working copy; listened to for ten minutes')] : []),
    line('Ports', 'Each answers a loop-back, or what belongs to it'),
    ...(has('display', 'video') ? [line('Picture', 'Steady; every colour or shade it has, to the edges')] : []),
    ...(has('sound') ? [line('Sound', 'Heard, without hum')] : []),
    line('Clock and settings', 'Kept after a night without mains', { kind: 'overnight', hours: 8 }),
    line('A period program', 'Runs for an hour or two without a fault', { kind: 'figure', unit: 'min', from: 60 }),
    line('What is heard and felt', 'Nothing louder or hotter as it goes on: heat of the hottest place, by the hour', { kind: 'figure', unit: '°C', to: 65 }),
  ]
}

const most = { lines: 60 } as const
/** @throws InputError at the line that cannot be judged */
export function checkLines(lines: readonly TestLine[]): void {
  if (!lines.length || lines.length > most.lines) throw new InputError('lines', lines.length, `Lines: 1 to ${most.lines}, please.`)
  lines.forEach((l, i) => {
    if (lines.findIndex(o => o.says === l.says) !== i) throw new InputError(`lines.${i}.says`, l.says, `${l.says}: that line is there already.`)
    if (l.kind === 'figure' && l.from === null && l.to === null)
      throw new InputError(`lines.${i}.from`, l.from, `${l.says}: a figure needs a limit, from below or from above.`)
    if (l.from !== null && l.to !== null && l.to < l.from) throw new InputError(`lines.${i}.to`, l.to, `${l.says}: the upper limit lies below the lower.`)
    if (l.kind === 'overnight' && !l.hours) throw new InputError(`lines.${i}.hours`, l.hours, `${l.says}: say how many hours it is left alone.`)
  })
}

export const lineOutcomes = ['passed', 'failed', 'left-alone', 'not-there'] as const
export type LineOutcome = (typeof lineOutcomes)[number]
export const lineOutcomeNames: Record<LineOutcome, string> = {
  'passed': 'Passed',
  'failed': 'Failed',
  'left-alone': 'Left alone from now on',
  'not-there': 'It has none',
}
export interface LineSeen {
  line: number
  outcome: LineOutcome
  value: number | null
  at: string
}
export interface LineState {
  state: 'open' | 'waiting' | 'passed' | 'failed' | 'not-there'
  /** From when on it may be looked at; only while it is left alone. */
  until: string | null
  values: { value: number; at: string }[]
}

/** What a figure says by itself. @returns nothing for a line that is judged by people */
export const judgeFigure = ({ kind, from, to }: TestLine, value: number | null): 'passed' | 'failed' | null =>
  kind !== 'figure' || value === null ? null : (from === null || value >= from) && (to === null || value <= to) ? 'passed' : 'failed'

const waitOf = 'Test sheet: '
/** The wait that a line which is left alone stands under, so that the run and the shelf show it. */
export const testWait = (line: Pick<TestLine, 'says'>): string => `${waitOf}${line.says}`

/** Where each line stands; of several looks the newest counts, and of a figure every value is kept. */
export function lineStates(lines: readonly TestLine[], seen: readonly LineSeen[]): LineState[] {
  return lines.map((line, i) => {
    const looks = seen.filter(s => s.line === i)
    const last = looks.at(-1)
    const values = looks.flatMap(s => (s.value === null ? [] : [{ value: s.value, at: s.at }]))
    const until = line.hours !== null && last?.outcome === 'left-alone' ? new Date(Date.parse(last.at) + line.hours * millisecondsInHour).toISOString() : null
    return { state: !last ? 'open' : last.outcome === 'left-alone' ? 'waiting' : last.outcome, until, values }
  })
}

/** What was tested, as the lines that passed say it: what a sign-off begins with. */
export function testedWords(lines: readonly TestLine[], seen: readonly LineSeen[]): string {
  const states = lineStates(lines, seen)
  return lines
    .filter((_, i) => states[i]!.state === 'passed')
    .map(l => l.says)
    .join(', ')
}

/**
 * Whether this may be said of a line now.
 * @throws InputError for a figure that is missing or speaks against it, or where it was not left alone long enough
 */
export function checkLook(line: TestLine, state: LineState, look: Omit<LineSeen, 'line'>): void {
  const { outcome, value, at } = look
  if (line.kind === 'figure' && outcome !== 'not-there' && value === null)
    throw new InputError('value', value, `${line.says}: give the figure${line.unit && `, in ${line.unit}`}.`)
  const said = judgeFigure(line, value)
  if (said && outcome !== 'not-there' && said !== outcome)
    throw new InputError(
      'value',
      value,
      `${line.says}: ${value} ${line.unit} ${said === 'passed' ? 'is within its limits' : 'is out of its limits'}.`.replace('  ', ' '),
    )
  if (outcome === 'left-alone' && line.kind !== 'overnight') throw new InputError('outcome', outcome, `${line.says}: there is nothing to wait for.`)
  if (line.kind === 'overnight' && outcome === 'passed') {
    if (state.state !== 'waiting') throw new InputError('outcome', outcome, `${line.says}: leave it alone first, and say so.`)
    if (state.until && at < state.until) throw new InputError('outcome', outcome, `${line.says}: ${line.hours} hours are not over yet.`)
  }
}

/** What a sheet says as a whole. */
export function judgeTestSheet(
  lines: readonly TestLine[],
  seen: readonly LineSeen[],
): { done: boolean; left: string[]; failed: string[]; testedAt: string | null; findings: Finding[] } {
  const states = lineStates(lines, seen)
  const of = (...wanted: LineState['state'][]) => lines.filter((_, i) => wanted.includes(states[i]!.state)).map(l => l.says)
  const failed = of('failed')
  const left = of('open', 'waiting')
  const missing = of('not-there')
  const nothing = missing.length === lines.length
  const wasOut = lines.flatMap((l, i) => {
    const out = states[i]!.state === 'passed' ? states[i]!.values.find(v => judgeFigure(l, v.value) === 'failed') : undefined
    return out
      ? [
          finding(
            'care',
            'test.was-out',
            `${l.says}: within its limits now, and ${out.value} ${l.unit} before.`,
            'Say in the statement what was done about it.',
          ),
        ]
      : []
  })
  const hotter = lines.flatMap((l, i) => {
    const [first, ...rest] = states[i]!.values
    const last = rest.at(-1)
    return l.to !== null && first && last && last.value > first.value && last.value > l.to - (l.to - first.value) / 4 && last.value <= l.to
      ? [{ l, first, last }]
      : []
  })
  return {
    done: !left.length && !failed.length && !nothing,
    left,
    failed,
    /** When the oldest of its lines that count was looked at. */
    testedAt: lines.flatMap((_, i) => seen.findLast(l => l.line === i && l.outcome === 'passed')?.at ?? []).sort()[0] ?? null,
    findings: [
      ...failed.map(says => finding('stop', 'test.failed', `Test failed: ${says}.`, 'Write it down as a fault, mend it, and test that line again.')),
      ...(left.length
        ? [
            finding(
              'stop',
              'test.left',
              `Not tested yet: ${left.slice(0, 6).join(', ')}${left.length > 6 ? ` and ${left.length - 6} more` : ''}.`,
              'What was not tried is not known.',
            ),
          ]
        : []),
      ...(nothing ? [finding('stop', 'test.nothing', 'Nothing was tested.', 'Each line says that it has none of it.')] : []),
      ...(missing.length && !nothing
        ? [finding('note', 'test.not-there', `It has none of these: ${missing.join(', ')}.`, 'Entered by the person who tested it.')]
        : []),
      ...wasOut,
      ...hotter.map(({ l, first, last }) =>
        finding(
          'care',
          'test.rising',
          `${l.says}: from ${first.value} to ${last.value} ${l.unit}, near its limit of ${l.to}.`,
          'It is still rising: carry on until it levels off.',
          commonPractice,
        ),
      ),
      ...(!left.length && !failed.length && !nothing
        ? [finding('fine', 'test.done', 'Every line of the test sheet has passed.', 'Judged as it was tested here.')]
        : []),
    ],
  }
}
