import { dayOf } from '../kernel/days'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Load, loadWords, shownRail, volts } from './rails'

export interface DatedReading {
  valueV: number
  load: Load
  at: string
}
export interface DriftInput {
  name: string
  nominalV: number
  tolerancePct: number
  readings: readonly DatedReading[]
}

/** So much of the tolerance band, end to centre, may be used up between two visits before it is worth a word. Common practice, no source. */
const noticeableShare = 0.3

/** So many visits make a trend. Common practice, no source. */
const leastVisits = 3

/** The last reading of each day under one load, oldest first. */
function visitsOf(readings: readonly DatedReading[], load: Load): DatedReading[] {
  const byDay = new Map<string, DatedReading>()
  for (const reading of readings) if (reading.load === load) byDay.set(reading.at.slice(0, 10), reading)
  return [...byDay.values()]
}

/** A slow move over several visits, all the same way, each of them too small for a word. */
function trendOf(name: string, nominalV: number, tolerancePct: number, visits: readonly DatedReading[]): Finding | null {
  const last = visits.at(-1)!
  const distance = ({ valueV }: DatedReading) => ((valueV - nominalV) / Math.abs(nominalV)) * 100
  // Back to the visit from which it went one way only.
  let from = visits.length - 1
  const way = from > 0 ? Math.sign(last.valueV - visits[from - 1]!.valueV) : 0
  while (way !== 0 && from > 0 && Math.sign(visits[from]!.valueV - visits[from - 1]!.valueV) === way) from--
  const first = visits[from]!
  const movedPct = Math.abs(distance(last) - distance(first))
  const count = visits.length - from
  if (count < leastVisits || movedPct < tolerancePct * noticeableShare - 1e-9 || Math.abs(distance(last)) <= Math.abs(distance(first))) return null
  return finding(
    'care',
    'rail.trend',
    `${shownRail(name)} goes one way: ${movedPct.toFixed(1)} % over ${count} visits since ${dayOf(first.at)}, ${volts(first.valueV)} then, ${volts(last.valueV)} now, ${loadWords[last.load]}.`,
    [
      'Each step was small; together they lead away from nominal.',
      'A regulator, a sense resistor or a filter capacitor changes; so does a meter with a weak battery.',
    ],
    commonPractice,
  )
}

/** Two readings of one visit this close together are of one state of the machine; so far apart in volts, the rail does not stand still. Common practice. */
const oneSittingMs = 15 * 60_000
const steadyShare = 0.5

/** A rail that moves within minutes under the same load: neither figure is its voltage. */
export function swingOf({ name, nominalV, tolerancePct, readings }: DriftInput): Finding | null {
  const last = readings.at(-1)
  if (!last) return null
  const sitting = readings.filter(r => r.load === last.load && Date.parse(last.at) - Date.parse(r.at) <= oneSittingMs)
  const figures = sitting.map(r => r.valueV)
  const [low, high] = [Math.min(...figures), Math.max(...figures)]
  if (((high - low) / Math.abs(nominalV)) * 100 < tolerancePct * steadyShare - 1e-9) return null
  return finding(
    'care',
    'rail.swing',
    `${shownRail(name)} swung between ${volts(low)} and ${volts(high)} within minutes, ${loadWords[last.load]}.`,
    ['The newest figure is not the steady value.', 'A bad joint, a connector or a regulator that comes and goes; or the probe slipped.'],
    commonPractice,
  )
}

/**
 * Notices when a rail has moved between two visits, or slowly over several: the last reading of each day, under the same load.
 * @param input readings in volt, oldest first, with their instants in UTC; tolerance in per cent of nominal
 * @returns a finding where it moved by more than 0.3 of its tolerance since the visit before, or one way over three visits and more;
 *   `care` where it moved away from nominal, `note` towards it; else nothing
 */
export function driftOf({ name, nominalV, tolerancePct, readings }: DriftInput): Finding | null {
  const last = readings.at(-1)
  const visits = last ? visitsOf(readings, last.load) : []
  const before = visits.at(-2)
  if (!last || !before) return null
  const movedPct = ((last.valueV - before.valueV) / Math.abs(nominalV)) * 100
  if (Math.abs(movedPct) < tolerancePct * noticeableShare - 1e-9) return trendOf(name, nominalV, tolerancePct, visits)
  const away = Math.abs(last.valueV - nominalV) > Math.abs(before.valueV - nominalV)
  const says = `${shownRail(name)} has moved by ${Math.abs(movedPct).toFixed(1)} % since ${dayOf(before.at)}: ${volts(before.valueV)} then, ${volts(last.valueV)} now, ${loadWords[last.load]}.`
  return away
    ? finding(
        'care',
        'rail.drift',
        says,
        [
          'Still within limits or not, it moves away from nominal.',
          'A regulator, a sense resistor or a filter capacitor changes; so does a meter with a weak battery.',
        ],
        commonPractice,
      )
    : finding('note', 'rail.drift-back', says, 'It moved towards nominal: something was repaired, or another meter was used.', commonPractice)
}
