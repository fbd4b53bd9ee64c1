import { dayOf } from '../kernel/days'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Heard, heard, slug } from '../kernel/heard'
import { type Load, loadWords, shownRail, volts } from './rails'
import { type WarmPart, type Warmth, judgeWarmth, warmParts } from './temperature'
import { toleranceFor } from './tolerances'

/**
 * Alarms: what was measured once and may have done harm, so that a good reading afterwards is no answer to it. An alarm stands until somebody
 * explains it: what it was, and what was done about it. Common practice, no source.
 */
export interface Alarm {
  /** What an explanation names: `overvoltage:+5 V`, `heat:heat-sink:regulator`, `start:start.ripple`. */
  key: string
  finding: Finding
  /** Instant in UTC. */
  at: string
}
export interface Explanation {
  key: string
  says: string
  at: string
}

/** So far beyond nominal, in tolerances of the rail, that what it feeds may be harmed. */
const harmfulTolerances = 2
/** A voltage of the other sign by more than this share of nominal is no noise of the meter. */
const reversedShare = 0.1

interface DatedReading {
  rail: string
  valueV: number
  load: Load
  at: string
}

/** Readings of rails that went far too high, or came with the wrong sign, whatever was read since. */
export function overvoltages(rails: readonly { name: string; nominalV: number; tolerancePct?: number }[], readings: readonly DatedReading[]): Alarm[] {
  return rails.flatMap(({ name, nominalV, tolerancePct = toleranceFor(nominalV).tolerancePct }) => {
    // A wider tolerance that somebody typed makes no overvoltage harmless.
    const limit = 1 + (harmfulTolerances * Math.min(tolerancePct, toleranceFor(nominalV).tolerancePct)) / 100
    const harmful = readings.filter(r => r.rail === name && (r.valueV / nominalV > limit + 1e-9 || r.valueV / nominalV < -reversedShare))
    const worst = harmful.reduce<DatedReading | undefined>((most, r) => (!most || Math.abs(r.valueV) >= Math.abs(most.valueV) ? r : most), undefined)
    if (!worst) return []
    const reversed = worst.valueV / nominalV < 0
    return [
      {
        key: `overvoltage:${name}`,
        at: harmful.at(-1)!.at,
        finding: finding(
          'stop',
          `rail.overvoltage.${slug(name)}`,
          `${shownRail(name)} has carried ${volts(worst.valueV)}${reversed ? ', the wrong way round' : ''}.`,
          [
            `Read ${loadWords[worst.load]} on ${dayOf(worst.at)}; ${volts(nominalV)} is expected.`,
            'A good reading since does not say why. What it feeds may be harmed, and it may come again.',
          ],
          commonPractice,
          { when: 'powered' },
        ),
      },
    ]
  })
}

interface WarmRecord extends Warmth {
  part: WarmPart
  where: string
  at: string
}
const keyOfHeat = ({ part, where }: Pick<WarmRecord, 'part' | 'where'>) => `heat:${part}:${where}`

/** Temperatures at which a part is switched off, whatever was read since. */
export const heatAlarms = (records: readonly WarmRecord[]): Alarm[] =>
  records.flatMap(record => {
    const hot = judgeWarmth(record).find(f => f.level === 'stop')
    const place = record.where ? `, ${record.where}` : ''
    return hot
      ? [
          {
            key: keyOfHeat(record),
            at: record.at,
            finding: {
              ...hot,
              when: 'powered' as const,
              code: `temperature.hot.${slug(`${record.part} ${record.where}`)}`,
              says: `${hot.says.replace(/\.$/, '')}${place}.`,
            },
          },
        ]
      : []
  })

/** What the newest temperature of each part asks care for. */
export function heatCares(records: readonly WarmRecord[]): Heard[] {
  const newest = new Map(records.map(r => [keyOfHeat(r), r]))
  return [...newest.values()].flatMap(record =>
    judgeWarmth(record)
      .filter(f => f.level === 'care')
      .map(f =>
        heard(
          { ...f, when: 'powered', code: `${f.code}.${slug(`${record.part} ${record.where}`)}` },
          `Find out why ${warmParts[record.part].title.toLowerCase()}${record.where ? `, ${record.where},` : ''} runs warm, and take its temperature again.`,
        ),
      ),
  )
}

/** The alarms that nobody has explained since: the newest of each key. */
export function standingAlarms(alarms: readonly Alarm[], explanations: readonly Explanation[]): Alarm[] {
  const byKey = new Map<string, Alarm>()
  for (const alarm of alarms) if (!byKey.has(alarm.key) || byKey.get(alarm.key)!.at <= alarm.at) byKey.set(alarm.key, alarm)
  return [...byKey.values()].filter(a => !explanations.some(e => e.key === a.key && e.at >= a.at))
}

/** What the gate hears of an alarm that stands. */
export const alarmHeard = ({ finding: found }: Alarm): Heard =>
  heard(found, 'Find out why, put it right, and explain it under Alarms; then read it again.', { who: 'somebody who knows supplies' })
