import { linearRegression, linearRegressionLine } from 'simple-statistics'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../kernel/finding'
import { type Load, type Rail, judgeRails, shownRail, volts } from './rails'
import type { MeterState } from './scpi'
import { meterStates } from './scpi'
import { type WarmPart, judgeTemperature } from './temperature'

/** A rail with the point it is measured at. */
export interface StartPoint {
  rail: string
  nominalV: number
  tolerancePct?: number
  point: string
}

export interface StartPlan {
  points: StartPoint[]
  load: Load
  /** Above this the supply, or somebody's meter, says that too much flows; nothing where it is not measured. */
  currentLimitA: number | null
  /** What is watched for heat. */
  warm: WarmPart | null
  /** How long it stays on at the most. */
  mostSeconds: number
  /** A start is blind without readings, where they come from a meter. */
  byMeter: boolean
}

export const sampleKinds = ['dc-volts', 'ac-volts', 'dc-amps', 'celsius'] as const
export type SampleKind = (typeof sampleKinds)[number]
export interface StartSample {
  /** Since the switch was called. */
  atSeconds: number
  kind: SampleKind
  /** The rail that was probed, for volts. */
  rail?: string
  /** Nothing: beyond the range of the meter. */
  value: number | null
}

export interface StartNow {
  onSeconds: number
  rail: string
  meter: MeterState
}
/** `off`: switch it off now. `watch`: stay ready to. */
export type StartState = 'calm' | 'watch' | 'off'
export interface StartJudgement {
  state: StartState
  findings: Finding[]
}

/** How long whoever stands at the switch, and the supply behind it, may take before a missing rail counts; common practice, no source. */
export const patience = { switchSeconds: 4, riseSeconds: 2, blindSeconds: 3 } as const
/** AC on a rail, in share of its nominal voltage: worth a word, and too much. Common practice, no source. */
const ripple = { care: 0.01, stop: 0.05 } as const
/** A fall by so much of nominal over the window is a collapse that has begun; common practice, no source. */
const collapse = { windowSeconds: 8, share: 0.015, leastSamples: 4 } as const
/** Readings that jump about by more than this share of nominal are not steady; common practice, no source. */
const unsteadyShare = 0.03

/**
 * Judges a start as it runs, from everything measured so far: what is on the point that is probed now, current, heat, and whether anybody still sees.
 * @param plan rails in volt with the points they are measured at, limits
 * @param samples oldest first, seconds since the switch was called
 * @returns whether to stay, stay ready or switch off now, with the reasons most pressing first
 * Rules and limits: common practice, no source; rails by `rails.ts`, heat by `temperature.ts`.
 */
export function watchStart(plan: StartPlan, samples: readonly StartSample[], now: StartNow): StartJudgement {
  const sight = ofSight(plan, samples, now)
  const findings = mostPressingFirst([
    ...sight,
    // What was seen before nobody saw any more says nothing of now.
    ...(sight.length ? [] : ofRail(plan, samples, now)),
    ...ofCurrent(plan, samples),
    ...ofHeat(plan, samples),
    ...ofTime(plan, now),
  ])
  return { state: findings.some(f => f.level === 'stop') ? 'off' : findings.some(f => f.level === 'care') ? 'watch' : 'calm', findings }
}

/** Whether a rail shows that it is on at all. */
export const hasCome = ({ nominalV }: StartPoint, value: number | null): boolean => value !== null && Math.abs(value) > Math.abs(nominalV) * 0.1

const voltsOf = (samples: readonly StartSample[], rail: string) => samples.filter(s => s.kind === 'dc-volts' && s.rail === rail)

function ofSight({ byMeter }: StartPlan, samples: readonly StartSample[], { meter, onSeconds }: StartNow): Finding[] {
  if (!byMeter) return []
  if (meter !== 'ready')
    return [
      finding(
        'stop',
        `start.meter-${meter}`,
        `The meter: ${meterStates[meter].title.toLowerCase()}. Nobody sees the rail.`,
        meterStates[meter].says,
        commonPractice,
        { heard: 'nowhere' },
      ),
    ]
  const since = onSeconds - (samples.at(-1)?.atSeconds ?? 0)
  return since > patience.blindSeconds
    ? [
        finding(
          'stop',
          'start.blind',
          `No reading for ${Math.floor(since)} seconds. Nobody sees the rail.`,
          'A start without sight of the rail is no attended start.',
          commonPractice,
          { heard: 'nowhere' },
        ),
      ]
    : []
}

function ofRail(plan: StartPlan, samples: readonly StartSample[], { rail: name, onSeconds }: StartNow): Finding[] {
  const point = plan.points.find(p => p.rail === name)
  const read = voltsOf(samples, name)
  const last = read.at(-1)
  if (!point || !last) return []
  if (last.value === null)
    return [
      finding(
        'stop',
        'start.overload',
        `${shownRail(name)}: more than the meter can show.`,
        'Far beyond what belongs there, or the meter is set to too small a range.',
        commonPractice,
      ),
    ]
  const judged = judgeRails({
    rails: plan.points.map((p): Rail => {
      const newest = voltsOf(samples, p.rail).at(-1)?.value ?? null
      return { name: p.rail, nominalV: p.nominalV, tolerancePct: p.tolerancePct, readings: newest === null ? [] : [{ valueV: newest, load: plan.load }] }
    }),
  }).rails.find(r => r.name === name)!
  const came = read.find(s => hasCome(point, s.value))
  // A figure typed by hand was read after it stood still.
  const rising = came && plan.byMeter ? last.atSeconds - came.atSeconds < patience.riseSeconds : onSeconds < patience.switchSeconds
  // The gate hears of a rail by its readings, whichever way it ended.
  const findings = judged.findings.filter(f => f.level !== 'note').map(f => ({ ...f, heard: 'elsewhere' as const }))
  const share = last.value / point.nominalV
  const amiss = findings.some(f => f.level !== 'fine')
  // What is too high, or of the other sign, does not come good by waiting.
  if (rising && amiss && share >= 0 && share <= 1 + judged.tolerancePct / 100)
    return [finding('note', 'start.rising', `${shownRail(name)} is coming up: ${volts(last.value)}.`, 'The switch and the supply get a few seconds.')]
  // What is wrong already is not worth a word on where it is going.
  const moves = findings.some(f => f.level === 'stop') ? [] : ofFall(point, read)
  return [...findings, ...moves, ...ofRipple(point, samples)]
}

/** A slow collapse, or a regulator that lets go, shows before a limit is crossed: the line through the last seconds falls, or rises. */
function ofFall(point: StartPoint, read: readonly StartSample[]): Finding[] {
  const { rail, nominalV } = point
  const last = read.at(-1)!
  const recent = read.filter((s): s is StartSample & { value: number } => s.value !== null && last.atSeconds - s.atSeconds <= collapse.windowSeconds)
  if (recent.length < collapse.leastSamples) return []
  const line = linearRegression(recent.map(s => [s.atSeconds, s.value / nominalV]))
  const fallen = -line.m * (recent.at(-1)!.atSeconds - recent[0]!.atSeconds)
  const beside = recent.map(s => s.value / nominalV - linearRegressionLine(line)(s.atSeconds))
  // Readings that jump about have a slope too, by chance: a fall is one that stands out from the jumping.
  if (fallen > collapse.share && fallen > Math.max(...beside) - Math.min(...beside))
    return [
      finding(
        'care',
        'start.falls',
        `${shownRail(rail)} is falling: ${(fallen * 100).toFixed(1)} % in ${(recent.at(-1)!.atSeconds - recent[0]!.atSeconds).toFixed(0)} s.`,
        'Something warms up and lets go, or the supply cannot hold. Be ready to switch off.',
        commonPractice,
      ),
    ]
  // While the supply comes up, every rail rises.
  const cameAt = read.find(s => hasCome(point, s.value))?.atSeconds ?? 0
  const risen = recent[0]!.atSeconds - cameAt >= patience.riseSeconds || recent[0]!.value / nominalV > 1 - unsteadyShare
  if (risen && -fallen > collapse.share && -fallen > Math.max(...beside) - Math.min(...beside))
    return [
      finding(
        'care',
        'start.rises',
        `${shownRail(rail)} goes on rising: ${(-fallen * 100).toFixed(1)} % in ${(recent.at(-1)!.atSeconds - recent[0]!.atSeconds).toFixed(0)} s.`,
        'A regulator warms up and lets go. Too much harms more readily than too little: be ready to switch off.',
        commonPractice,
      ),
    ]
  const shares = recent.slice(-6).map(s => s.value / nominalV)
  const spread = Math.max(...shares) - Math.min(...shares)
  return spread > unsteadyShare
    ? [
        finding(
          'care',
          'start.unsteady',
          `${shownRail(rail)} is not steady: it moves by ${(spread * 100).toFixed(0)} % of nominal.`,
          'Ripple, a poor contact of the probe, or a supply that hunts.',
          commonPractice,
        ),
      ]
    : []
}

function ofRipple({ rail, nominalV }: StartPoint, samples: readonly StartSample[]): Finding[] {
  const ac = samples.findLast(s => s.kind === 'ac-volts' && s.rail === rail)?.value
  if (ac === undefined || ac === null) return []
  const share = ac / Math.abs(nominalV)
  const says = `${shownRail(rail)} carries ${Math.round(ac * 1000)} mV of AC, ${(share * 100).toFixed(1)} % of it.`
  if (share > ripple.stop)
    return [
      finding(
        'stop',
        'start.ripple',
        says,
        'A filter capacitor has lost its capacitance, or a rectifier is open. Chips see peaks that the meter does not.',
        commonPractice,
      ),
    ]
  return share > ripple.care ? [finding('care', 'start.ripple', says, 'More than is usual: the filter capacitors have aged.', commonPractice)] : []
}

function ofCurrent({ currentLimitA }: StartPlan, samples: readonly StartSample[]): Finding[] {
  const amps = samples.findLast(s => s.kind === 'dc-amps')
  if (!amps || currentLimitA === null) return []
  const over = amps.value === null || Math.abs(amps.value) > currentLimitA
  return [
    over
      ? finding(
          'stop',
          'start.current',
          amps.value === null ? 'Current: more than the meter can show.' : `${amps.value.toFixed(2)} A is over the limit of ${currentLimitA} A.`,
          'Something draws what it should not: a short, a capacitor, a chip the wrong way round.',
          commonPractice,
        )
      : finding('fine', 'start.current-fine', `${amps.value!.toFixed(2)} A, under the limit of ${currentLimitA} A.`, []),
  ]
}

function ofHeat({ warm }: StartPlan, samples: readonly StartSample[]): Finding[] {
  const read = samples.flatMap(s => (s.kind === 'celsius' && s.value !== null ? [{ atSeconds: s.atSeconds, celsius: s.value }] : []))
  return warm && read.length ? judgeTemperature({ part: warm, samples: read }).findings : []
}

const ofTime = ({ mostSeconds }: StartPlan, { onSeconds }: StartNow): Finding[] =>
  onSeconds > mostSeconds
    ? [
        finding(
          'stop',
          'start.time',
          `${mostSeconds} seconds are over.`,
          'A first start is short. Off, feel what is warm, look at what was read, then again.',
          commonPractice,
          { heard: 'nowhere' },
        ),
      ]
    : []
