import { type Finding, finding, mostPressingFirst } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** Fixings of one kind that were undone in one step, and the tray cell they lie in. */
export interface Fixing {
  count: number
  /** Head and drive, such as `pan, cross`. */
  head: string
  lengthMm: number | null
  tray: string
  /** How many went back; nothing until they were counted. */
  back: number | null
}

export const openingStates = ['ahead', 'undone', 'back'] as const
/** `ahead` was taken over from a sister and not done yet, `undone` is open now, `back` has been put together again. */
export type OpeningState = (typeof openingStates)[number]

export interface OpeningStep {
  /** Place in the order of opening, from 1. */
  step: number
  what: string
  state: OpeningState
  fixings: Fixing[]
  connectors: string[]
  hides: string
  hazard: string
}

export interface ReassemblyStep extends OpeningStep {
  findings: Finding[]
}
/** What the whole record comes to, kind by kind, for whoever acts on it. */
export interface Uneven {
  missing: Finding[]
  tooMany: Finding[]
  /** A step that came back before one in its way. */
  order: Finding[]
  /** Steps that are still undone. */
  undone: Finding[]
}
export interface Reassembly {
  /** The record read backwards: what went last comes back first. */
  steps: ReassemblyStep[]
  /** Over the whole machine: what is missing, left over, or still lies in a tray. */
  findings: Finding[]
  uneven: Uneven
  out: number
  back: number
}

export const fixingWords = ({ count, head, lengthMm }: Pick<Fixing, 'count' | 'head' | 'lengthMm'>) =>
  `${count} × ${[lengthMm !== null && `${lengthMm} mm`, head].filter(Boolean).join(' ') || 'fixing'}`

/**
 * How to put a machine together again: the opening record backwards, with every fixing counted back.
 * @throws InputError for counts that are no whole numbers of zero or more
 */
export function reassemble(record: OpeningStep[]): Reassembly {
  const done = record.filter(s => s.state !== 'ahead')
  done.forEach(({ fixings }, i) =>
    fixings.forEach((f, j) => {
      for (const [name, value] of [
        ['count', f.count],
        ['back', f.back ?? 0],
      ] as const) {
        if (!Number.isInteger(value) || value < 0) throw new InputError(`steps.${i}.fixings.${j}.${name}`, value, 'Fixings are counted in whole numbers.')
      }
    }),
  )
  const steps = done.map(s => ({ ...s, findings: judgeStep(s) })).sort((a, b) => b.step - a.step)
  const counted = done.flatMap(s => s.fixings)
  const sum = (of: (f: Fixing) => number) => counted.reduce((total, f) => total + of(f), 0)
  const out = sum(f => f.count)
  const back = sum(f => f.back ?? 0)
  const order = judgeOrder(steps)
  const whole = judgeWhole(done, out, back)
  return {
    steps,
    out,
    back,
    findings: mostPressingFirst([...steps.flatMap(s => s.findings.filter(f => f.level === 'stop' || f.level === 'care')), ...order, ...whole]),
    uneven: {
      missing: done.flatMap(s => s.fixings.flatMap(f => missingOf(s, f))),
      tooMany: done.flatMap(s => s.fixings.flatMap(f => tooManyOf(s, f))),
      order,
      undone: done.some(s => s.state === 'undone') ? whole : [],
    },
  }
}

const whereOf = ({ step, what }: OpeningStep, f: Fixing) => `Step ${step}: ${what}. ${fixingWords(f)}${f.tray && `, tray ${f.tray}`}.`
const missingOf = (step: OpeningStep, f: Fixing): Finding[] =>
  f.back !== null && f.back < f.count
    ? [
        finding('stop', 'opening.missing', `${f.count - f.back} of ${f.count} missing: ${fixingWords({ ...f, count: f.count - f.back })}.`, [
          whereOf(step, f),
          'Look in the machine before anything is powered: a loose screw shorts whatever it touches.',
        ]),
      ]
    : []
const tooManyOf = (step: OpeningStep, f: Fixing): Finding[] =>
  f.back !== null && f.back > f.count
    ? [
        finding('care', 'opening.too-many', `${f.back - f.count} more went in than came out: ${fixingWords({ ...f, count: f.back - f.count })}.`, [
          whereOf(step, f),
          'One of another step may be in the wrong hole; a longer one can go through the board.',
        ]),
      ]
    : []

function judgeStep(step: OpeningStep): Finding[] {
  const { hazard, state, fixings } = step
  return [
    ...(hazard && state === 'undone' ? [finding('care', 'opening.hazard', `${hazard}.`, `Step ${step.step}: ${step.what}. Go slowly here.`)] : []),
    ...fixings.flatMap(f => [...missingOf(step, f), ...tooManyOf(step, f)]),
  ]
}

/** A step that came back before one that was undone after it is in the way. */
function judgeOrder(backwards: ReassemblyStep[]): Finding[] {
  const early = backwards.find((s, i) => s.state === 'back' && backwards.slice(0, i).some(later => later.state === 'undone'))
  const later = early && backwards.find(s => s.state === 'undone' && s.step > early.step)
  return early && later
    ? [
        finding(
          'care',
          'opening.order',
          `Step ${early.step} is back, but step ${later.step} is not.`,
          `${later.what} was undone after ${early.what.charAt(0).toLowerCase()}${early.what.slice(1)}; it may not be reachable any more.`,
        ),
      ]
    : []
}

function judgeWhole(done: OpeningStep[], out: number, back: number): Finding[] {
  if (!done.length) return [finding('note', 'opening.closed', 'Nothing has been undone.', 'The opening record is empty.')]
  const open = done.filter(s => s.state === 'undone')
  if (open.length)
    return [
      finding(
        'note',
        'opening.open',
        `${open.length} of ${done.length} steps are still undone; ${out - back} of ${out} fixings lie in trays: ${[...new Set(open.flatMap(s => s.fixings.map(f => f.tray)).filter(Boolean))].join(', ') || 'no tray named'}.`,
        'Reassembly is the record read backwards.',
      ),
    ]
  // Step by step: one too few here and one too many there is not even.
  return done.every(s => s.fixings.every(f => (f.back ?? 0) === f.count))
    ? [finding('fine', 'opening.complete', 'Together again, every fixing counted back.', `${back} of ${out}.`)]
    : [finding('note', 'opening.uneven', 'Together again, but the count does not come out even in every step.', `${back} of ${out} fixings went back.`)]
}
