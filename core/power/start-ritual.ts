import type { Finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Noticed, type RunDone, noticed } from './noticed'
import { type MeterState, isSettled } from './scpi'
import { type StartJudgement, type StartPlan, type StartSample, hasCome, patience, watchStart } from './start-watch'

/**
 * The first start as a course of steps: ready, counting down, on, being switched off, off. It is driven by what people press and what is measured,
 * and by the clock that is handed in; once something calls for *off*, that stays until somebody says that it is off.
 */
export const startPhases = ['ready', 'countdown', 'on', 'switching-off', 'off-now', 'off'] as const
export type StartPhase = (typeof startPhases)[number]

export interface StartRun {
  plan: StartPlan
  phase: StartPhase
  /** The rail that is probed. */
  rail: string
  meter: MeterState
  /** When the switch is called, and when it was off again; milliseconds of the clock that is handed in. */
  switchAtMs: number | null
  offAtMs: number | null
  samples: StartSample[]
  /** What called for *off* first, and when; kept when the picture calms down again. */
  called: Finding | null
  calledBy: 'people' | 'watch' | null
  calledAtSeconds: number | null
  judgement: StartJudgement
  /** What people noticed in this run. */
  noticed: Noticed[]
  /** The last reading of each rail that stood still while it was on. */
  kept: Record<string, number>
  /** The runs before this one, oldest first. */
  before: RunDone[]
}

export type StartEvent =
  | { do: 'count-down' }
  | { do: 'probe'; rail: string }
  | { do: 'sample'; kind: StartSample['kind']; value: number | null; by?: 'hand' }
  | { do: 'meter'; state: MeterState }
  | { do: 'tick' }
  | { do: 'stop'; noticed: Noticed | null }
  | { do: 'done' }
  | { do: 'is-off' }

export const countdownSeconds = 5
/** What is kept of the trace; older samples are thinned out beyond it. */
export const mostSamples = 2400
const steadyReadings = 3
/** How often one start may count down: each of its runs is kept. */
export const mostRuns = 12

export const beginRun = (plan: StartPlan): StartRun => {
  if (!plan.points.length)
    throw new InputError('rails', plan.points, 'No rail is expected. Say which rails the machine has, and at which points they are measured.')
  return {
    plan,
    phase: 'ready',
    rail: plan.points[0]!.rail,
    meter: plan.byMeter ? 'connecting' : 'none',
    switchAtMs: null,
    offAtMs: null,
    samples: [],
    called: null,
    calledBy: null,
    calledAtSeconds: null,
    judgement: { state: 'calm', findings: [] },
    noticed: [],
    kept: {},
    before: [],
  }
}

/** The run that is under way, or was last, as it is kept. */
export const runDone = (run: StartRun, nowMs: number): RunDone => ({
  onSeconds: onSeconds(run, nowMs),
  called: run.called,
  calledAtSeconds: run.calledAtSeconds,
  noticed: run.noticed,
  kept: run.kept,
  samples: run.samples,
})

export const onSeconds = (run: StartRun, nowMs: number): number => (run.switchAtMs === null ? 0 : ((run.offAtMs ?? nowMs) - run.switchAtMs) / 1000)

/**
 * What becomes of a start after something happened. Pure: the same run, event and time give the same run.
 * @throws InputError for what cannot be done in this phase, or a rail that is not in the plan
 */
export function stepStart(run: StartRun, event: StartEvent, nowMs: number): StartRun {
  const passed = run.phase === 'countdown' && nowMs >= run.switchAtMs! ? { ...run, phase: 'on' as const } : run
  return judged(happened(passed, event, nowMs), nowMs)
}

function happened(run: StartRun, event: StartEvent, nowMs: number): StartRun {
  switch (event.do) {
    case 'tick':
      return run
    case 'meter':
      return { ...run, meter: event.state }
    case 'probe':
      if (!run.plan.points.some(p => p.rail === event.rail)) throw new InputError('rail', event.rail, `Rail: ${event.rail} is not in this start.`)
      return { ...run, rail: event.rail }
    case 'count-down':
      if (run.phase !== 'ready' && run.phase !== 'off') throw new InputError('do', event.do, 'It is counting down or on already.')
      if (run.plan.byMeter && run.meter !== 'ready')
        throw new InputError('do', event.do, 'The meter does not answer yet. A start without sight of the rail is no attended start.')
      if (run.before.length >= mostRuns - 1)
        throw new InputError('do', event.do, `${mostRuns} runs are enough for one start. End it, look at what was read, and begin another.`)
      return {
        ...run,
        phase: 'countdown',
        switchAtMs: nowMs + countdownSeconds * 1000,
        offAtMs: null,
        samples: [],
        called: null,
        calledBy: null,
        calledAtSeconds: null,
        noticed: [],
        kept: {},
        before: run.phase === 'off' ? [...run.before, runDone(run, nowMs)] : run.before,
      }
    case 'sample':
      if (event.by === 'hand' && run.plan.byMeter && event.kind.endsWith('volts'))
        throw new InputError('value', event.value, 'The meter reads the rail in this start; only current and heat are typed.')
      // Before the switch is called, and after it is off, the meter may show what it likes: nothing of it belongs to this start.
      if (!['on', 'switching-off', 'off-now'].includes(run.phase)) return run
      return keep({
        ...run,
        samples: thinned([
          ...run.samples,
          { atSeconds: onSeconds(run, nowMs), kind: event.kind, value: event.value, ...(event.kind.endsWith('volts') ? { rail: run.rail } : {}) },
        ]),
      })
    case 'stop':
      return calledOff(run, event.noticed, nowMs)
    case 'done':
      if (run.phase !== 'on') throw new InputError('do', event.do, 'It is not on.')
      return { ...run, phase: 'switching-off' }
    case 'is-off':
      if (run.phase === 'ready' || run.phase === 'off') throw new InputError('do', event.do, 'It is not on.')
      return { ...run, phase: 'off', offAtMs: nowMs, switchAtMs: Math.min(run.switchAtMs!, nowMs) }
  }
}

/** Somebody said off, and what was noticed; that can be said afterwards too, for the hand goes to the switch first. */
function calledOff(run: StartRun, what: Noticed | null, nowMs: number): StartRun {
  const all = what && !run.noticed.includes(what) ? [...run.noticed, what] : run.noticed
  if (run.phase === 'ready') throw new InputError('do', 'stop', 'It is not on.')
  const running = run.phase === 'on' || run.phase === 'countdown'
  const called: Finding = {
    level: 'stop',
    code: 'start.people',
    says: what ? noticed[what].says : 'Somebody said off.',
    because: ['Somebody at the machine called it off.'],
    heard: 'nowhere',
  }
  // What the watch called stands; what people said is put more exactly by what they noticed.
  if (!running) return { ...run, noticed: all, ...(what && run.calledBy !== 'watch' ? { called, calledBy: 'people' as const } : {}) }
  return { ...run, phase: 'off-now', noticed: all, calledAtSeconds: onSeconds(run, nowMs), called, calledBy: 'people' }
}

function judged(run: StartRun, nowMs: number): StartRun {
  if (run.phase !== 'on' && run.phase !== 'off-now')
    return { ...run, judgement: { state: 'calm', findings: run.phase === 'off' ? run.judgement.findings : [] } }
  const judgement = watchStart(run.plan, run.samples, { onSeconds: onSeconds(run, nowMs), rail: run.rail, meter: run.meter })
  return run.phase === 'on' && judgement.state === 'off'
    ? { ...run, judgement, phase: 'off-now', called: judgement.findings[0]!, calledBy: 'watch', calledAtSeconds: onSeconds(run, nowMs) }
    : { ...run, judgement }
}

/** A rail's reading is kept once the last few of it stand still; not any more once somebody is about to switch off. */
function keep(run: StartRun): StartRun {
  if (run.phase !== 'on') return run
  const values = run.samples
    .filter(s => s.kind === 'dc-volts' && s.rail === run.rail)
    .slice(-steadyReadings)
    .map(s => s.value)
  if (values.some(v => v === null) || !values.length) return run
  // Nothing on the rail while the hand goes to the switch is no reading of it.
  const { atSeconds } = run.samples.at(-1)!
  if (
    atSeconds < patience.switchSeconds &&
    !hasCome(
      run.plan.points.find(p => p.rail === run.rail)!,
      values.at(-1)!,
    )
  )
    return run
  const steady = values.length === steadyReadings && values.slice(1).every((_, i) => isSettled((values as number[]).slice(0, i + 2), 'dc-volts'))
  // Typed by hand, one figure is what there is.
  return steady || !run.plan.byMeter ? { ...run, kept: { ...run.kept, [run.rail]: values.at(-1)! } } : run
}

/** Every other sample of the older half goes once there are too many. */
const thinned = (samples: StartSample[]) =>
  samples.length <= mostSamples ? samples : [...samples.slice(0, mostSamples / 2).filter((_, i) => i % 2 === 0), ...samples.slice(mostSamples / 2)]
