import { written } from '../kernel/figure'
import { type Finding, commonPractice, decidingLevel, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { toleranceFor } from './tolerances'

/** No rail is less; a figure below is a slip. */
const leastRailV = 0.1
export const loads = ['unloaded', 'loaded', 'unknown'] as const
export type Load = (typeof loads)[number]

export interface RailReading {
  valueV: number
  load: Load
}
export interface Rail {
  name: string
  nominalV: number
  tolerancePct?: number
  readings: RailReading[]
}
export interface RailsInput {
  rails: Rail[]
}

/** `reread`: low without a load, to be read again under load. `unread`: nobody has measured it. */
export const railVerdicts = ['out', 'reread', 'unread', 'good'] as const
export type RailVerdict = (typeof railVerdicts)[number]

export interface JudgedRail {
  name: string
  nominalV: number
  tolerancePct: number
  lowV: number
  highV: number
  /**
   * The reading that decides: the newest under load, else the newest of unknown load, else the newest without. A reading that no missing load
   * explains decides while it is the newest, and what was read before it counts no more.
   */
  deciding?: RailReading
  deviationPct?: number
  verdict: RailVerdict
  findings: Finding[]
}

export interface RailsResult {
  rails: JudgedRail[]
  verdict: RailVerdict
  findings: Finding[]
}

/** Below this share of its nominal voltage a rail counts as not there. */
const absentShare = 0.1
/** Down to this share an unloaded rail may only be missing its load; below, something is wrong. */
const unloadedShare = 0.7

/**
 * Judges the readings of a machine's supply rails.
 *
 * Deviation in per cent is (reading / nominal − 1) · 100: below zero where the magnitude is too small, on negative rails too.
 * @param input rails with nominal volts, tolerance in per cent (by nominal voltage when left out) and readings, oldest first
 * @returns each rail with its limits, deviation, verdict and findings, and one verdict over all
 * @throws InputError for no rails, a name used twice, a nominal of zero, a tolerance outside 0 to 50 %, a reading that is no number
 * Source: limits in `tolerances.ts`; the shares for absent and unloaded rails are common practice, no source.
 */
export function judgeRails(input: RailsInput): RailsResult {
  check(input)
  const rails = input.rails.map(rail => judgeRail(rail, input.rails))
  const verdict = railVerdicts.find(v => rails.some(rail => rail.verdict === v)) ?? 'unread'
  return { rails, verdict, findings: [overall(rails, verdict)] }
}

function check({ rails }: RailsInput) {
  if (!rails.length) throw new InputError('rails', rails, 'No rail to judge. Name at least one, such as +5 V.')
  rails.forEach((rail, i) => {
    if (!rail.name.trim()) throw new InputError(`rails.${i}.name`, rail.name, 'The rail needs a name, such as +5 V.')
    if (rails.findIndex(other => other.name === rail.name) !== i)
      throw new InputError(`rails.${i}.name`, rail.name, `“${shownRail(rail.name)}” is there twice. Put all its readings on one rail.`)
    if (!(Math.abs(rail.nominalV) >= leastRailV && Number.isFinite(rail.nominalV)))
      throw new InputError(
        `rails.${i}.nominalV`,
        rail.nominalV,
        `The nominal voltage must be a number of at least ${leastRailV} V either way, such as 5 or -12.`,
      )
    if (rail.tolerancePct !== undefined && !(rail.tolerancePct > 0 && rail.tolerancePct <= 50))
      throw new InputError(`rails.${i}.tolerancePct`, rail.tolerancePct, 'The tolerance must lie above 0 and up to 50 per cent.')
    rail.readings.forEach((reading, j) => {
      if (!Number.isFinite(reading.valueV))
        throw new InputError(`rails.${i}.readings.${j}.valueV`, reading.valueV, 'The reading must be a number of volts, such as 4.96.')
    })
  })
}

/** Lowest and highest voltage that is within tolerance, in that order for negative rails too. */
export function limitsOf(nominalV: number, tolerancePct: number): { lowV: number; highV: number } {
  const spread = (Math.abs(nominalV) * tolerancePct) / 100
  return { lowV: round(nominalV - spread), highV: round(nominalV + spread) }
}

const round = (value: number) => Math.round(value * 1e6) / 1e6
const newest = (readings: RailReading[], load: Load) => readings.filter(r => r.load === load).at(-1)

/** Whether a reading is bad in a way that the lack of a load cannot explain: missing, reversed, far too low, or too high. */
const isBeyondLoad = ({ valueV }: RailReading, nominalV: number, tolerancePct: number) =>
  valueV / nominalV < unloadedShare || valueV / nominalV > 1 + tolerancePct / 100 + 1e-9

/** The readings that count: from the last that no load explains on; that one itself only while nothing was read after it. */
function counting(readings: RailReading[], nominalV: number, tolerancePct: number): RailReading[] {
  const bad = readings.findLastIndex(r => isBeyondLoad(r, nominalV, tolerancePct))
  return bad < 0 ? readings : bad === readings.length - 1 ? readings.slice(bad) : readings.slice(bad + 1)
}

function judgeRail(rail: Rail, all: Rail[]): JudgedRail {
  const tolerance = toleranceFor(rail.nominalV)
  const tolerancePct = rail.tolerancePct ?? tolerance.tolerancePct
  const judged = { name: rail.name, nominalV: rail.nominalV, tolerancePct, ...limitsOf(rail.nominalV, tolerancePct) }
  const counted = counting(rail.readings, rail.nominalV, tolerancePct)
  const deciding = newest(counted, 'loaded') ?? newest(counted, 'unknown') ?? newest(counted, 'unloaded')
  if (!deciding) {
    return {
      ...judged,
      verdict: 'unread',
      findings: [finding('note', 'rail.unread', `${shownRail(rail.name)} has not been read.`, 'There is no reading of this rail.')],
    }
  }
  const findings = findingsFor(rail, deciding, judged, all, rail.tolerancePct === undefined ? tolerance.source : 'tolerance given for this rail')
  const level = decidingLevel(findings)
  const verdict: RailVerdict = level === 'stop' ? 'out' : level === 'care' ? 'reread' : 'good'
  const { valueV, load } = deciding
  return { ...judged, deciding: { valueV, load }, deviationPct: deviationPct(deciding.valueV, rail.nominalV), verdict, findings }
}

/** Deviation of a reading from nominal, in per cent of nominal; negative when the magnitude is too small. */
export function deviationPct(valueV: number, nominalV: number): number {
  return round((valueV / nominalV - 1) * 100)
}

function findingsFor(
  rail: Rail,
  reading: RailReading,
  { lowV, highV, tolerancePct }: { lowV: number; highV: number; tolerancePct: number },
  all: Rail[],
  source: string,
): Finding[] {
  const { valueV, load } = reading
  const read = `${volts(valueV)} ${loadWords[load]}`
  const allowed = `${volts(lowV)} to ${volts(highV)} is allowed: ${volts(rail.nominalV)} within ${tolerancePct} %.`
  const share = valueV / rail.nominalV
  const within = (value: number, nominalV: number) => Math.abs(value / nominalV - 1) * 100 <= toleranceFor(nominalV).tolerancePct

  if (valueV >= lowV && valueV <= highV) {
    const findings = [finding('fine', 'rail.in-limits', `${shownRail(rail.name)} is within limits: ${read}.`, allowed, source)]
    const unloaded = newest(rail.readings, 'unloaded')
    if (load === 'loaded' && unloaded && Math.abs(unloaded.valueV) < Math.min(Math.abs(lowV), Math.abs(highV))) {
      findings.push(
        finding(
          'note',
          'rail.low-only-unloaded',
          `${shownRail(rail.name)} was low only without a load.`,
          [`${volts(unloaded.valueV)} without load, ${volts(valueV)} under load.`, 'Many supplies regulate only when something draws current.'],
          commonPractice,
        ),
      )
    }
    if (load === 'unloaded') {
      findings.push(
        finding(
          'note',
          'rail.not-under-load',
          `${shownRail(rail.name)} has not been read under load yet.`,
          'A worn supply may hold its voltage only while nothing draws current.',
          commonPractice,
        ),
      )
    }
    return findings
  }
  if (Math.abs(share) < absentShare) {
    return [
      finding(
        'stop',
        'rail.missing',
        `${shownRail(rail.name)} is missing: ${read}.`,
        ['Next to no voltage is there.', 'Look for a blown fuse, a dead regulator with its input present, or a short that pulls the rail down.'],
        commonPractice,
      ),
    ]
  }
  const other = all.find(r => r !== rail && r.nominalV !== rail.nominalV && Math.sign(r.nominalV) === Math.sign(valueV) && within(valueV, r.nominalV))
  if (other) return [carriesAnother(rail, other, read, within)]
  if (share < 0) {
    return [
      finding(
        'stop',
        'rail.sign',
        `${shownRail(rail.name)} reads with the wrong sign: ${read}.`,
        [`${volts(rail.nominalV)} is expected.`, 'Change the meter leads over and read again; if it stays, the rail is connected the wrong way round.'],
        commonPractice,
      ),
    ]
  }
  if (share > 1) return [tooHigh(rail, reading, read, allowed, share, source)]
  if (load !== 'loaded' && share >= unloadedShare) {
    const why =
      load === 'unloaded' ? 'Read without a load; many supplies regulate only when something draws current.' : 'It is not known whether anything drew current.'
    return [finding('care', 'rail.low-unloaded', `${shownRail(rail.name)} is low: ${read}. Read it again under load.`, [allowed, why], commonPractice)]
  }
  return [
    finding(
      'stop',
      'rail.low',
      `${shownRail(rail.name)} is too low: ${read}.`,
      [allowed, load === 'loaded' ? 'It does not hold up under load.' : 'Too low to be explained by the missing load alone.'],
      source,
    ),
  ]
}

/** The rail shows the voltage of another: changed over, or the other has found its way in. */
function carriesAnother(rail: Rail, other: Rail, read: string, within: (value: number, nominalV: number) => boolean): Finding {
  const otherReads = newest(other.readings, 'loaded') ?? other.readings.at(-1)
  const swapped = otherReads !== undefined && within(otherReads.valueV, rail.nominalV)
  return swapped
    ? finding(
        'stop',
        'rail.swapped',
        `${shownRail(rail.name)} and ${shownRail(other.name)} are changed over: ${read}.`,
        [`${shownRail(other.name)} reads ${volts(otherReads.valueV)}.`, 'Check the connector and the probe before anything else is attached.'],
        commonPractice,
      )
    : finding(
        'stop',
        'rail.carries-another',
        `${shownRail(rail.name)} carries the voltage of ${shownRail(other.name)}: ${read}.`,
        ['The probe is on the wrong point, the two are connected somewhere, or a regulator passes its input through.'],
        commonPractice,
      )
}

function tooHigh(rail: Rail, reading: RailReading, read: string, allowed: string, share: number, source: string): Finding {
  return share >= 1.3
    ? finding(
        'stop',
        'rail.passes-input',
        `${shownRail(rail.name)} is far too high: ${read}. A regulator may pass its input through.`,
        [allowed, 'A shorted series regulator puts its input on its output. Detach everything this rail feeds.'],
        commonPractice,
      )
    : finding(
        'stop',
        'rail.high',
        `${shownRail(rail.name)} is too high: ${read}.`,
        [
          allowed,
          reading.load === 'unloaded'
            ? 'It may come down under a dummy load; do not try it on the machine itself.'
            : 'Chips are damaged by too much more readily than by too little.',
        ],
        source,
      )
}

function overall(rails: JudgedRail[], verdict: RailVerdict): Finding {
  const named = (v: RailVerdict) => rails.filter(r => r.verdict === v).map(r => shownRail(r.name))
  const list = named(verdict).join(', ')
  const because = rails.map(r =>
    r.deciding ? `${shownRail(r.name)}: ${volts(r.deciding.valueV)} ${loadWords[r.deciding.load]}` : `${shownRail(r.name)}: not read`,
  )
  switch (verdict) {
    case 'out':
      return finding('stop', 'rails.out', `Out of limits: ${list}.`, because)
    case 'reread':
      return finding('care', 'rails.reread', `To be read again under load: ${list}.`, because)
    case 'unread':
      return finding('note', 'rails.unread', `Not read yet: ${list}.`, because)
    case 'good':
      return finding('fine', 'rails.good', rails.length === 1 ? 'The rail is within limits.' : `All ${rails.length} rails are within limits.`, because)
  }
}

/** A verdict as the history writes it behind a reading. */
export const railVerdictWords: Record<RailVerdict, string> = {
  good: 'within limits',
  reread: 'low without load, to be read again',
  out: 'out of limits',
  unread: 'not judged',
}

export const loadWords: Record<Load, string> = { unloaded: 'without load', loaded: 'under load', unknown: 'load not noted' }

/** The name of a rail as it is shown, with a true minus sign: −12 V. */
export const shownRail = (name: string): string => name.replace(/-(?=[\d.])/g, '−')

/** Volts as written on screen, with a true minus sign: −5.09 V. */
export function volts(valueV: number): string {
  return `${written(round(valueV))} V`
}
