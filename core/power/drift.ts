import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Load, loadWords, volts } from './rails'

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

/**
 * Notices when a rail has moved between two visits: the newest day's last reading against the last of the day before it, under the same load.
 * @param input readings in volt, oldest first, with their instants in UTC; tolerance in per cent of nominal
 * @returns a finding where it moved by more than 0.3 of its tolerance; `care` where it moved away from nominal, `note` towards it; else nothing
 */
export function driftOf({ name, nominalV, tolerancePct, readings }: DriftInput): Finding | null {
  const last = readings.at(-1)
  const before = last && readings.findLast(r => r.load === last.load && r.at.slice(0, 10) < last.at.slice(0, 10))
  if (!last || !before) return null
  const movedPct = ((last.valueV - before.valueV) / Math.abs(nominalV)) * 100
  if (Math.abs(movedPct) < tolerancePct * noticeableShare - 1e-9) return null
  const away = Math.abs(last.valueV - nominalV) > Math.abs(before.valueV - nominalV)
  const says = `${name} has moved by ${Math.abs(movedPct).toFixed(1)} % since ${before.at.slice(0, 10)}: ${volts(before.valueV)} then, ${volts(last.valueV)} now, ${loadWords[last.load]}.`
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
