import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type AssemblyRole, type NamedPart, roleOf } from '../condition/assembly-roles'
import { type Configuration, whole } from '../safety/configuration'

/**
 * Building a machine up: least first, one thing at a time, what is to be seen after each. A part-assembled machine misleads,
 * so each step says what still looks wrong only because something is not there yet.
 * Common practice, no source.
 */

/** What each part is for in a build-up. */
interface Turn {
  /** Lower goes in earlier. */
  turn: number
  /** What is to be seen once it is in. */
  expect: string
  /** What looks wrong while it is still out. */
  without: string
}
const turns: Record<AssemblyRole, Turn> = {
  'supply': { turn: 0, expect: 'Every rail within its limits on a dummy load; no smoke, no smell, nothing hot.', without: 'Nothing runs.' },
  'backplane': { turn: 1, expect: 'Rails still within limits at its far end; nothing gets warm.', without: '' },
  'fan': { turn: 1.5, expect: 'It turns, the right way round.', without: 'Run it only briefly.' },
  'main-board': {
    turn: 2,
    expect: 'Rails stay within limits under its load; clock there, reset let go.',
    without: 'Rails may read low or wander without its load.',
  },
  'memory': { turn: 3, expect: 'The memory test counts all of it.', without: 'Without memory it may beep, or do nothing.' },
  'video': {
    turn: 4,
    expect: 'Sync, then a picture; a cursor where this machine shows one.',
    without: 'No picture, and no cursor: on some machines the missing board is the one that blinks it.',
  },
  'display': { turn: 5, expect: 'A steady picture of the right size.', without: 'Nothing is shown, however well it runs.' },
  'keyboard': { turn: 6, expect: 'Each key pressed answers once.', without: 'It may stop and ask for a keyboard, or beep twice.' },
  'controller': { turn: 7, expect: 'It is found, and says so.', without: 'No drive is found.' },
  'drive': {
    turn: 8,
    expect: 'It spins up, seeks home, and reads a working copy; never original media first.',
    without: 'It asks for a disk, or waits for one.',
  },
  'sound': { turn: 9, expect: 'It is heard.', without: 'No sound and no beep codes.' },
  'ports': { turn: 10, expect: 'It is found; a loop-back answers.', without: 'What it serves is missing.' },
  'other': { turn: 12, expect: 'Rails as before, and what it is for.', without: '' },
  'case': { turn: 20, expect: 'Everything still as before with the cover on, after it is warm.', without: '' },
}
/** A part by its name; one that is not in the list any more counts by its name alone. */
const partOf = (parts: readonly NamedPart[], name: string): NamedPart => parts.find(p => p.name === name) ?? { name, role: null }
const turnsOf = (parts: readonly NamedPart[]) => (name: string) => turns[roleOf(partOf(parts, name))]

export interface BuildUpStep {
  /** Assemblies that go in at this step. */
  adds: string[]
  expect: string
  /** What still looks wrong, because it is not there yet. */
  misleads: string
}
/** A step as a model keeps it for its machines. */
export type BuildUpTemplate = readonly Pick<BuildUpStep, 'adds' | 'expect'>[]

const most = { steps: 40, adds: 20 } as const

/**
 * Steps for the assemblies that are there: by the model's own order where it has one, the others by what they are for.
 * @throws InputError where there is nothing to build up
 */
export function planBuildUp(parts: readonly NamedPart[], template: BuildUpTemplate = []): BuildUpStep[] {
  if (!parts.length) throw new InputError('assemblies', parts, 'There is nothing to build up: no assembly is present.')
  const assemblies = parts.map(p => p.name)
  const turnOf = turnsOf(parts)
  const known = template.map(t => ({ adds: t.adds.filter(a => assemblies.includes(a)), expect: t.expect })).filter(t => t.adds.length)
  const named = new Set(known.flatMap(t => t.adds))
  const rest = assemblies.filter(a => !named.has(a)).map(a => ({ adds: [a], expect: '', turn: turnOf(a).turn }))
  // Those that the template does not name go where their like go.
  const steps = [...known.map(t => ({ ...t, turn: Math.max(...t.adds.map(a => turnOf(a).turn)) }))]
  for (const one of rest.sort((a, b) => a.turn - b.turn)) {
    const at = steps.findIndex(s => s.turn > one.turn)
    steps.splice(at < 0 ? steps.length : at, 0, one)
  }
  return explain(steps.slice(0, most.steps), parts)
}

/** Fills in what is to be expected where nobody said, and what still misleads at each step. */
export function explain(steps: readonly Pick<BuildUpStep, 'adds' | 'expect'>[], parts: readonly NamedPart[]): BuildUpStep[] {
  const turnOf = turnsOf(parts)
  return steps.map(({ adds, expect }, i) => {
    const out = steps.slice(i + 1).flatMap(s => s.adds)
    return {
      adds: [...adds],
      expect: expect.trim() || [...new Set(adds.map(a => turnOf(a).expect))].join(' '),
      misleads: [...new Set(out.map(a => turnOf(a).without).filter(Boolean))].join(' '),
    }
  })
}

/** Steps as they are typed, a line each: what goes in, joined by a plus, then a colon and what is expected. */
export const readSteps = (text: string): Pick<BuildUpStep, 'adds' | 'expect'>[] =>
  text
    .split('\n')
    .filter(line => line.trim())
    .map(line => {
      const [adds = '', expect = ''] = line.split(/:(.*)/s)
      return {
        adds: adds
          .split('+')
          .map(a => a.trim())
          .filter(Boolean),
        expect: expect.trim(),
      }
    })
/** The same, for changing. */
export const writeSteps = (steps: readonly Pick<BuildUpStep, 'adds' | 'expect'>[]): string => steps.map(s => `${s.adds.join(' + ')}: ${s.expect}`).join('\n')

/** @throws InputError for steps without anything, something twice, or something that is not there */
export function checkBuildUp(steps: readonly Pick<BuildUpStep, 'adds'>[], assemblies: readonly string[]): void {
  if (!steps.length || steps.length > most.steps) throw new InputError('steps', steps.length, `Steps: 1 to ${most.steps}, please.`)
  const seen = new Set<string>()
  steps.forEach(({ adds }, i) => {
    if (!adds.length || adds.length > most.adds) throw new InputError(`steps.${i}.adds`, adds, `Step ${i + 1}: say what goes in.`)
    for (const name of adds) {
      if (!assemblies.includes(name)) throw new InputError(`steps.${i}.adds`, name, `Step ${i + 1}: there is no “${name}”, or it is not present.`)
      if (seen.has(name)) throw new InputError(`steps.${i}.adds`, name, `Step ${i + 1}: ${name} has gone in already.`)
      seen.add(name)
    }
  })
}

/** What is connected once this step is set up. Assemblies that no step names stay out. */
export function configurationAt(steps: readonly Pick<BuildUpStep, 'adds'>[], at: number, parts: readonly NamedPart[]): Configuration {
  const added = steps.slice(0, at + 1).flatMap(s => s.adds)
  const out = parts.map(p => p.name).filter(name => !added.includes(name))
  if (!out.length) return whole
  return added.every(name => roleOf(partOf(parts, name)) === 'supply') ? { kind: 'supply-alone', out: [] } : { kind: 'partly', out }
}

export const buildUpOutcomes = ['as-expected', 'failed'] as const
export type BuildUpOutcome = (typeof buildUpOutcomes)[number]
export interface StepSeen {
  step: number
  outcome: BuildUpOutcome
}
export interface BuildUpState {
  /** The step that is set up now; as many as there are steps once all were as expected. */
  at: number
  verdict: 'go-on' | 'gone-back' | 'stuck' | 'done'
  /** Whether the newest outcome was a failure. */
  failing: boolean
  /** What the gate hears of it: it went back, or the least that runs fails. */
  amiss: Finding | null
  findings: Finding[]
}

/**
 * Where a build-up stands: one step on after what was to be expected, one step back after what was not.
 * Failed again where it stood well before: what was added is the likeliest cause. Failed one step lower as well: it is not what was added.
 */
export function judgeBuildUp(steps: readonly BuildUpStep[], seen: readonly StepSeen[]): BuildUpState {
  let at = 0
  const failures = steps.map(() => 0)
  for (const { step, outcome } of seen) {
    if (step < 0 || step >= steps.length) continue
    if (outcome === 'failed') failures[step]!++
    at = outcome === 'as-expected' ? step + 1 : Math.max(0, step - 1)
  }
  const last = seen.at(-1)
  const before = seen.at(-2)
  const failing = last?.outcome === 'failed'
  const stuck = failing && last.step === 0
  const adds = (step: number) => steps[step]?.adds.join(', ') ?? ''
  const findings: Finding[] = []
  if (stuck)
    findings.push(
      finding(
        'stop',
        'build-up.stuck',
        `It fails with the least that runs: ${adds(0)}.`,
        'Nothing is left to take out. Write the fault down and mend it first.',
        commonPractice,
      ),
    )
  else if (failing) {
    const lower = before?.outcome === 'failed' && before.step === last.step + 1
    findings.push(
      finding(
        'care',
        'build-up.back',
        `Go back: off at the switch, take ${adds(last.step)} out, and look at ${adds(last.step - 1)} once more.`,
        lower
          ? `It failed at ${adds(before.step)} and fails without it too: so it was not that. Something that stood well before has given way.`
          : `It stood well before ${adds(last.step)} went in. If it does again, that is the likeliest cause, or what it draws.`,
        commonPractice,
      ),
    )
  } else if (last && steps[at] && failures[at]! > 0)
    findings.push(
      finding(
        'care',
        'build-up.again',
        `${adds(at)}: it failed ${failures[at] === 1 ? 'once' : `${failures[at]} times`} at this step, and stands well without it.`,
        'Put it back in only after it was mended, changed or reseated; failing twice the same way is a fault of its own.',
        commonPractice,
      ),
    )
  steps.forEach((step, i) => {
    if (i >= at && step.adds.length > 1)
      findings.push(
        finding(
          'care',
          'build-up.two-at-once',
          `Step ${i + 1} puts in ${step.adds.length} at once: ${adds(i)}.`,
          'If it fails, either may be why. Split the step, unless one does not run without the other.',
          commonPractice,
        ),
      )
  })
  const done = at >= steps.length
  if (done)
    findings.push(
      finding('note', 'build-up.done', 'Built up, each step as expected.', 'That was seen once; the test sheet and a soak show whether it stays so.'),
    )
  return { at, verdict: done ? 'done' : stuck ? 'stuck' : failing ? 'gone-back' : 'go-on', failing, amiss: failing ? findings[0]! : null, findings }
}

/** Whether what is expected is a figure with its unit: then *as expected* says nothing without the figure that was read. */
export const namesFigure = (expect: string): boolean =>
  /\d(?:[.,]\d+)?\s*(?:[µumkM]?(?:V|A|W|Hz|Ω|F)\b|ohms?\b|volts?\b|amps?\b|°\s?C|degrees\b|seconds\b|rpm\b|%)/.test(expect)
