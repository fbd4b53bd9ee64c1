import { fixed, significant } from '../kernel/figure'
import { cumulativeStdNormalProbability, median } from 'simple-statistics'
import { type Approach, type Band, type Point, fitApproach } from '../kernel/approach'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type MeasuredColour, deltaE00 } from './colour'

export interface WhiteningInput {
  /** A part that never yellowed. */
  reference: MeasuredColour
  /** Colours of the part, each after so many hours of treatment in all; the first before any. */
  measured: (MeasuredColour & { hours: number })[]
  /** Hours under treatment by now, in all; the last measurement where nobody says. */
  hoursNow?: number
  /** The difference in b* at which it counts as done. */
  goalB?: number
  /** Whether it was treated in more than one way: an hour of one is not an hour of another. */
  mixed?: boolean
  /** Time constants in hours that parts of this kind had here before. */
  similarTauHours?: number[]
}

export const whiteningStates = ['go-on', 'measure-first', 'stop-done', 'stop-no-gain', 'overdone', 'cannot-tell'] as const
export type WhiteningState = (typeof whiteningStates)[number]
export const whiteningWords: Record<WhiteningState, string> = {
  'go-on': 'Go on',
  'measure-first': 'Measure first',
  'stop-done': 'Stop now: it is done',
  'stop-no-gain': 'Stop now: more brings nothing',
  'overdone': 'Stop: overdone',
  'cannot-tell': 'A little, then measure',
}
export interface WhiteningResult {
  state: WhiteningState
  /** b* of the part less that of the reference: now, and at the end of its approach. */
  nowB: number
  nowBError: number
  endB: Band | null
  tauHours: number | null
  deltaE: number
  /** Hours still wanted: at the earliest, most likely, at the latest; nothing where it does not come so far or cannot be told. */
  wantedHours: { low: number; mid: number | null; high: number | null } | null
  /** Expose it no longer than this before it is measured again. */
  nextHours: number
  /** The chance that it is whiter than the reference by then, 0 to 1; nothing where it cannot be told. */
  overshootRisk: number | null
  /** The fitted curve with its band, for the chart. */
  curve: (Band & { hours: number })[]
  basis: 'fit' | 'similar' | 'none'
  findings: Finding[]
}

export const usualGoalB = 1
/** Three points make a curve. */
const fewestColours = 3
/** Where nothing is known: this long at most, and measure. Eight hours under cream in a box are a clear change: common practice, no source. */
const firstHours = 4
/** No part is taken to lose more of its b* in an hour than this before it has shown its own pace. Common practice, no source. */
const quickestPerHour = 12
/** A part that begins late may go on so many times as quickly as it has so far. Common practice, no source. */
const quickening = 3
const horizonHours = 500
/** Where methods were mixed no curve can be trusted far. */
const mixedHours = 2
const mixedFinding = finding(
  'care',
  'whitening.mixed',
  `It was treated in more than one way: ${mixedHours} h at most, then measure.`,
  'An hour in the sun, under a lamp and in a bath are counted alike, and are not.',
  commonPractice,
)
const twice = 1.96

/**
 * When a yellowed part has had enough: the difference in b* to its reference approaches an end, D(h) = D_end + (D₀ − D_end)·e^(−h/τ).
 *
 * It never sends anybody past the goal: what it allows before the next measurement ends where the goal may be reached at the earliest.
 * From three colours on the approach is fitted; before that the time constants of similar parts stand in, where there are some.
 * @throws InputError for colours and hours that are none
 */
export function forecastWhitening({ reference, measured, hoursNow, goalB = usualGoalB, mixed = false, similarTauHours = [] }: WhiteningInput): WhiteningResult {
  if (!measured.length) throw new InputError('measured', measured, 'At least one measured colour of the part, please.')
  if (measured.length > 200) throw new InputError('measured', measured.length, 'Up to 200 colours, please.')
  if (!(goalB > 0 && goalB <= 20)) throw new InputError('goalB', goalB, 'Goal: a difference in b* of more than 0 and up to 20, please.')
  const sorted = [...measured].sort((a, b) => a.hours - b.hours)
  for (const [i, colour] of [...measured, reference].entries()) {
    const field = i < measured.length ? `measured.${i}` : 'reference'
    if (!(colour.l > 0 && colour.l <= 100) || !(Math.abs(colour.a) <= 128) || !(Math.abs(colour.b) <= 128))
      throw new InputError(field, colour, 'A colour: L* from 0 to 100, a* and b* from −128 to 128.')
    if (!(colour.error >= 0 && colour.error <= 20)) throw new InputError(`${field}.error`, colour.error, 'Error: from 0 to 20, please.')
  }
  for (const [i, { hours }] of measured.entries())
    if (!(hours >= 0 && hours <= 5000)) throw new InputError(`measured.${i}.hours`, hours, 'Hours: from 0 to 5000, please.')
  if (similarTauHours.some(t => !(t > 0 && t <= 5000)))
    throw new InputError('similarTauHours', similarTauHours, 'Time constants: more than 0 and up to 5000 hours.')
  const last = sorted.at(-1)!
  const now = hoursNow ?? last.hours
  if (!(now >= last.hours && now <= 5000)) throw new InputError('hoursNow', hoursNow, 'Hours by now: not fewer than at the last measurement.')

  const points = sorted.map(({ hours, b }) => ({ at: hours, value: b - reference.b }))
  const sigma = Math.max(0.15, Math.sqrt(sorted.reduce((sum, c) => sum + c.error ** 2, 0) / sorted.length))
  const nowB = points.at(-1)!.value
  const nowBError = twice * Math.hypot(last.error, reference.error)
  const deltaE = deltaE00(last, reference)
  const distinct = new Set(points.map(p => p.at)).size
  const fit = distinct >= fewestColours && points.length >= fewestColours ? fitApproach(points, sigma) : null
  const usable = fit && fit.gap > 0
  const base = { nowB, nowBError, deltaE }

  const measuredNow = now - last.hours < 1e-9
  const lighterBy = last.l - reference.l
  const stop = measuredNow ? (lighter(lighterBy, twice * Math.hypot(last.error, reference.error)) ?? stopsAlready(nowB, nowBError, goalB)) : null
  const most = mostHours(sorted, { reference, goalB, now, curve: !!usable })
  const curve = usable ? curveOf(fit, Math.max(now, last.hours)) : []
  const endB = usable && fit.bounded ? fit.endBand : null
  const tauHours = usable && fit.bounded ? fit.tau : null
  if (stop) return { ...base, ...stop, endB, tauHours, wantedHours: null, nextHours: 0, overshootRisk: null, curve, basis: usable ? 'fit' : 'none' }

  if (usable && mixed) {
    const told = fromFit(fit, { now, last: last.hours, goalB, nowB, nowBError, measuredNow, most })
    return {
      ...base,
      ...told,
      nextHours: Math.min(told.nextHours, mixedHours),
      findings: [...told.findings, mixedFinding],
      curve,
      endB,
      tauHours,
      basis: 'fit',
    }
  }
  if (usable) return { ...base, ...fromFit(fit, { now, last: last.hours, goalB, nowB, nowBError, measuredNow, most }), curve, endB, tauHours, basis: 'fit' }
  return {
    ...base,
    ...withoutFit({ now, last: last.hours, goalB, nowB, nowBError, most, points, similarTauHours, colours: distinct, darker: fit !== null }),
    curve,
    endB: null,
    tauHours: null,
  }
}

/**
 * So long it may be exposed at most, whatever else is said: no longer again than it has had, and without a curve not past the goal were
 * it to go three times as quickly as so far. Before it has shown a pace, the quickest is taken.
 */
function mostHours(
  colours: WhiteningInput['measured'],
  { reference, goalB, now, curve }: { reference: MeasuredColour; goalB: number; now: number; curve: boolean },
): number {
  const last = colours.at(-1)!
  const way = Math.max(0, last.b - reference.b - twice * Math.hypot(last.error, reference.error) - goalB)
  const exposed = now - last.hours
  const again = Math.max(last.hours, 0.5)
  if (curve) return Math.max(0, again - exposed)
  // Its pace so far, over as long as there is: one over moments would be all error.
  const before = colours.find(c => c.hours >= 0.4 * last.hours && c.hours < last.hours) ?? colours.find(c => c.hours < last.hours)
  if (!before) return Math.max(0, Math.min(firstHours, Math.max(0.25, way / quickestPerHour)) - exposed)
  const pace = (before.b - last.b + twice * Math.hypot(last.error, before.error)) / (last.hours - before.hours)
  return Math.max(0, Math.min(Math.max(0.25, way / Math.min(quickestPerHour, quickening * Math.max(0.05, pace))), again) - exposed)
}

/** Bleached beyond its reference in lightness, whatever yellow is left. */
function lighter(byL: number, error: number): Pick<WhiteningResult, 'state' | 'findings'> | null {
  if (byL <= Math.max(1, error)) return null
  return {
    state: 'overdone',
    findings: [
      finding(
        'stop',
        'whitening.lighter',
        `Stop: it is lighter than its reference by ${byL.toFixed(1)} in L*.`,
        [
          'What is yellow still will not go without more of that; there is no way back.',
          'If it was lighter before the first hour, the reference is not of its plastic: choose another.',
        ],
        commonPractice,
      ),
    ],
  }
}

/** What the last measurement alone decides. */
function stopsAlready(nowB: number, error: number, goalB: number): Pick<WhiteningResult, 'state' | 'findings'> | null {
  const measured = `Yellowing (Δb*) ${fixed(nowB, 1)} ± ${fixed(error, 1)} against a goal of ${goalB}.`
  if (nowB < -Math.max(goalB, error))
    return {
      state: 'overdone',
      findings: [
        finding(
          'stop',
          'whitening.overdone',
          'Overdone: it is whiter than its reference.',
          [measured, 'Rinse it, and leave it alone; there is no way back.'],
          commonPractice,
        ),
      ],
    }
  if (nowB > goalB && nowB - error <= goalB)
    return {
      state: 'stop-done',
      findings: [
        finding(
          'note',
          'whitening.within-error',
          'Stop now: as far as these colours can tell, it has come to the reference.',
          [measured, 'More can only be judged by a colour with a smaller error: several patches, the same light.'],
          commonPractice,
        ),
      ],
    }
  if (nowB <= goalB)
    return {
      state: 'stop-done',
      findings: [
        finding(
          'fine',
          'whitening.done',
          'Stop now: it has come to the reference.',
          [measured, 'Rinse it well. Measure again in some months: it may come back.'],
          commonPractice,
        ),
      ],
    }
  return null
}

interface Where {
  now: number
  last: number
  goalB: number
  nowB: number
  nowBError: number
  /** No longer than this before it is measured again. */
  most: number
}

function fromFit(
  fit: Approach,
  { now, goalB, nowB, nowBError, measuredNow, most }: Where & { measuredNow: boolean },
): Omit<WhiteningResult, 'nowB' | 'nowBError' | 'deltaE' | 'curve' | 'endB' | 'tauHours' | 'basis'> {
  const earliest = firstBelow(h => fit.valueAt(h).low, goalB, now)
  const likely = firstBelow(h => fit.valueAt(h).mid, goalB, now)
  const latest = firstBelow(h => fit.valueAt(h).high, goalB, now)
  const reach = (at: number | null) => (at === null ? null : at - now)
  const basis = `${shapeWords[fit.shape]} with a time constant of ${short(fit.tau)} h, ± ${short(twice * fit.sigma)} for each colour.`
  // What was exposed since the last colour may have reached the goal already.
  if (!measuredNow && earliest !== null && earliest <= now)
    return {
      state: 'measure-first',
      wantedHours: { low: 0, mid: reach(likely), high: reach(latest) },
      nextHours: 0,
      overshootRisk: riskAt(fit, now),
      findings: [finding('care', 'whitening.measure-first', 'Measure it before it goes on: it may be there already.', basis)],
    }
  // What as many hours again can bring; what would take weeks is no gain to anybody.
  const gain = nowB - fit.valueAt(2 * now).low
  if (measuredNow && gain < Math.max(0.8, nowBError))
    return {
      state: 'stop-no-gain',
      wantedHours: null,
      nextHours: 0,
      overshootRisk: null,
      findings: [
        finding(
          'care',
          'whitening.no-gain',
          `Stop now: it has come to a plateau, ${short(nowB)} above its reference.`,
          [
            `As many hours again bring at most ${short(Math.max(0, gain))} more.`,
            basis,
            'Two plastics of one machine need not come to one colour; what is left is the plastic.',
          ],
          commonPractice,
        ),
      ],
    }
  const known = fit.bounded && earliest !== null
  // Never past the earliest instant at which the goal may be reached, and never a leap: a third of what is likely is left.
  const cautious = Math.min(earliest === null ? Infinity : earliest - now, likely === null ? fit.tau : Math.max((likely - now) * 0.75, 0.25), most)
  // It was just measured, and is not there yet: a moment more never goes past the goal by more than the quickest part does.
  const nextHours = measuredNow ? Math.max(Math.min(0.25, nowB / quickestPerHour), cautious) : Math.max(0, cautious)
  return {
    state: known && cautious > 0 ? 'go-on' : nextHours > 0 ? 'cannot-tell' : 'measure-first',
    wantedHours: earliest === null ? null : { low: earliest - now, mid: reach(likely), high: reach(latest) },
    nextHours,
    overshootRisk: riskAt(fit, now + nextHours),
    findings: [
      known
        ? finding('note', 'whitening.go-on', `Go on for ${hours(nextHours)}, then measure.`, [
            basis,
            likely === null ? 'By the likeliest curve it does not come all the way.' : `Most likely ${hours(likely - now)} are wanted.`,
          ])
        : finding('care', 'whitening.cannot-tell', `It cannot be told yet where it ends: ${hours(nextHours)} at most, then measure.`, basis),
      ...(fit.scatters
        ? [
            finding(
              'care',
              'whitening.scatters',
              'The colours scatter more than their error explains.',
              'Different light, another spot, or a treatment that changed.',
            ),
          ]
        : []),
    ],
  }
}

const shapeWords: Record<Approach['shape'], string> = {
  'exponential': 'An approach',
  'stretched': 'An approach that drags on,',
  'late': 'An approach that began late,',
  'steady-first': 'An approach that was steady first,',
  'diffusion': 'Diffusion,',
  'power': 'An approach that drags on for long,',
  'two-speed': 'An approach at two speeds, the quicker',
}

type Unfitted = Where & { points: readonly Point[]; similarTauHours: readonly number[]; colours: number; darker: boolean }
type Untold = Pick<WhiteningResult, 'state' | 'wantedHours' | 'nextHours' | 'overshootRisk' | 'basis' | 'findings'>

/** While its own colours make no curve: by the pace of similar parts that they do not exclude, else as little as the first time. */
function withoutFit(unfitted: Unfitted): Untold {
  const { now, last, most, points, similarTauHours, nowBError, darker } = unfitted
  if (darker) return notWhiter(Math.max(0, Math.min(most, firstHours / 2 - (now - last))))
  // Its own colours come before those of others: a pace that they exclude is not lent.
  const first = points[0]!
  const fits = (tau: number) => points.every(p => Math.abs(p.value - first.value * Math.exp(-(p.at - first.at) / tau)) <= Math.max(1, 2 * nowBError))
  const alike = similarTauHours.filter(fits)
  const told = alike.length ? bySimilar(unfitted, alike) : byNone(unfitted)
  if (alike.length === similarTauHours.length) return told
  const unlike = finding(
    'care',
    'whitening.unlike',
    'It does not go as similar parts here did.',
    `By its own colours ${similarTauHours.length - alike.length} of ${similarTauHours.length} of them do not hold for it.`,
  )
  return { ...told, findings: [...told.findings, unlike] }
}

const notWhiter = (nextHours: number): Untold => ({
  state: 'cannot-tell',
  wantedHours: null,
  nextHours,
  overshootRisk: null,
  basis: 'none',
  findings: [
    finding(
      'care',
      'whitening.yellower',
      'It does not grow less yellow.',
      'The colours so far rise or stay the same. A different spot was measured, or this plastic does not respond.',
    ),
  ],
})

function bySimilar({ now, last, goalB, nowB, nowBError, most, colours }: Unfitted, alike: readonly number[]): Untold {
  const stillFor = (tau: number) => (nowB > goalB ? tau * Math.log(Math.max(nowB - nowBError, goalB) / goalB) : 0)
  const all = alike.map(stillFor).map(h => Math.max(0, h - (now - last)))
  const [low, high] = [Math.min(...all), Math.max(...all)]
  const nextHours = Math.min(low * 0.5, firstHours * 2, most)
  return {
    state: nextHours > 0 ? 'cannot-tell' : 'measure-first',
    wantedHours: { low, mid: median(all), high },
    nextHours,
    overshootRisk: null,
    basis: 'similar',
    findings: [
      finding(
        'note',
        'whitening.similar',
        `By ${all.length === 1 ? 'one similar part' : `${all.length} similar parts`} here, ${hours(low)} to ${hours(high)} are wanted; ${hours(nextHours)} now, then measure.`,
        [`${colours} of ${fewestColours} colours of its own.`, 'The estimate assumes that it gets all the way to the reference, which this one may not.'],
      ),
    ],
  }
}

const byNone = ({ most: nextHours, colours, similarTauHours }: Unfitted): Untold => ({
  state: nextHours > 0 ? 'cannot-tell' : 'measure-first',
  wantedHours: null,
  nextHours,
  overshootRisk: null,
  basis: 'none',
  findings: [
    finding('note', 'whitening.first', nextHours > 0 ? `${hours(nextHours)} at most, then measure.` : 'Measure it before it goes on.', [
      `${colours} of ${fewestColours} colours; ${similarTauHours.length ? 'no part that was followed here goes as it does' : 'no similar part has been followed here'}.`,
      colours > 1
        ? 'By its own pace so far, were it to quicken.'
        : 'Some parts are quick; eight hours under cream in an ultraviolet box are a clear change: common practice, no source.',
    ]),
  ],
})

/** The chance that it is whiter than the reference at an hour: the band taken as that of a normal distribution. */
function riskAt(fit: Approach, at: number): number {
  const { low, mid, high } = fit.valueAt(at)
  const sigma = Math.max(1e-6, (high - low) / (2 * twice))
  return cumulativeStdNormalProbability(-mid / sigma)
}
/** The first hour from `now` on at which something that falls is no more than the goal; nothing where that is too far off. */
function firstBelow(value: (at: number) => number, goal: number, now: number): number | null {
  if (value(now) <= goal) return now
  let [low, high] = [now, now + horizonHours]
  if (value(high) > goal) return null
  while (high - low > 1 / 60) {
    const middle = (low + high) / 2
    if (value(middle) > goal) low = middle
    else high = middle
  }
  return high
}

/** As far as the curve is worth drawing: what lies beyond once and a half again of what was measured nobody can see from here. */
function curveOf(fit: Approach, now: number): WhiteningResult['curve'] {
  const end = Math.max(now * 1.6, now + Math.min(fit.tau * 2, now * 1.5), 8)
  return Array.from({ length: 41 }, (_, i) => ({ hours: (end * i) / 40, ...fit.valueAt((end * i) / 40) }))
}
const hours = (h: number) => (h < 1 ? `${Math.max(1, Math.round(h * 60))} min` : `${significant(h, 2)} h`)
const short = (n: number) => String(significant(n, 2))
