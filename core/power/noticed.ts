import { dayOf } from '../kernel/days'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { Alarm } from './alarms'
import type { StartSample } from './start-watch'

/** What people at a machine notice while it is on. Smoke, a smell and a bang are a hazard that is present, whatever the meter reads. */
export const noticed = {
  smoke: { title: 'Smoke', says: 'Smoke was noticed.', hazard: true },
  smell: { title: 'Smell', says: 'A smell was noticed.', hazard: true },
  bang: { title: 'Bang', says: 'A bang or a flash was noticed.', hazard: true },
  sound: { title: 'Sound', says: 'An odd sound was noticed.', hazard: false },
  other: { title: 'Something else', says: 'Something else was noticed.', hazard: false },
} as const satisfies Record<string, { title: string; says: string; hazard: boolean }>
export type Noticed = keyof typeof noticed
export const noticedNames = Object.keys(noticed) as Noticed[]

/** One run of a start, from the switch to off: how long, what called it off, what was noticed, what was read. */
export interface RunDone {
  onSeconds: number
  called: Finding | null
  calledAtSeconds: number | null
  noticed: Noticed[]
  kept: Record<string, number>
  samples: StartSample[]
}

/**
 * What of the runs of a start stands as an alarm until it is explained: too much current, ripple, heat, a sound. Rails are heard by their readings,
 * smoke and its like as a hazard.
 * @param at instant in UTC at which it was kept
 */
export function alarmsOfRuns(runs: readonly Pick<RunDone, 'called' | 'noticed'>[], at: string): Alarm[] {
  return runs.flatMap(({ called, noticed: seen }) => [
    // A rail is heard by its readings; the end of a time or of a line is nothing of the machine's.
    ...(called && !called.heard
      ? [
          {
            key: `start:${called.code}`,
            at,
            finding: { ...called, level: 'stop' as const, code: `start.called.${called.code}`, says: `A start was called off: ${called.says}` },
          },
        ]
      : []),
    ...seen
      .filter(what => !noticed[what].hazard)
      .map(what => ({
        key: `start:noticed.${what}`,
        at,
        finding: finding(
          'stop',
          `start.noticed.${what}`,
          `At a start: ${noticed[what].says.charAt(0).toLowerCase()}${noticed[what].says.slice(1)}`,
          `On ${dayOf(at)}.`,
          commonPractice,
        ),
      })),
  ])
}

/** What of the runs is a hazard that is present: each thing once. */
export const hazardsNoticed = (runs: readonly Pick<RunDone, 'noticed'>[]): Noticed[] =>
  noticedNames.filter(what => noticed[what].hazard && runs.some(r => r.noticed.includes(what)))

/** The same as the register of hazards hears it. */
export const witnessed = (runs: readonly Pick<RunDone, 'noticed'>[], at: string): { says: string; at: string }[] =>
  hazardsNoticed(runs).map(what => ({ says: `${what.charAt(0).toUpperCase()}${what.slice(1)} in a start on ${dayOf(at)}`, at }))
