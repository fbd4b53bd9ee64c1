import { millisecondsInHour } from 'date-fns/constants'
import { type Finding, finding } from '#core/kernel/finding'

/** How often a backup is made by itself, and how many are kept: `BACKUP_EVERY_HOURS` (24; 0 for never) and `BACKUPS_KEPT` (14). */
export interface BackupSchedule {
  everyHours: number
  kept: number
}

const figure = (given: string | undefined, otherwise: number, least: number) => {
  const value = given === undefined || given.trim() === '' ? otherwise : Number(given)
  return Number.isFinite(value) && value >= least ? value : otherwise
}

export const backupSchedule = (env: NodeJS.ProcessEnv = process.env): BackupSchedule => ({
  everyHours: figure(env.BACKUP_EVERY_HOURS, 24, 0),
  kept: Math.floor(figure(env.BACKUPS_KEPT, 14, 1)),
})

/** When the last one was made; of a clock that stood ahead for a while nothing is believed. @param made newest first */
export const lastMade = (made: readonly string[], now: Date): string | undefined => made.find(at => Date.parse(at) <= now.getTime() + millisecondsInHour)

/** Whether it is time for one: none yet, or the last is older than that. */
export const backupDue = ({ everyHours }: BackupSchedule, last: string | undefined, now: Date): boolean =>
  everyHours > 0 && (last === undefined || now.getTime() - Date.parse(last) >= everyHours * millisecondsInHour)

/** So long without one is too long where none is made by itself, in hours. */
const longestHours = 7 * 24

/** What stands between the collection and a lost disk: the last backup, and whether it is as new as it should be. */
export function judgeBackups({ everyHours }: BackupSchedule, last: string | undefined, now: Date): Finding {
  if (last === undefined) return finding('care', 'backup.none', 'There is none yet. A lost disk would take everything.', 'Nothing was copied elsewhere.')
  const hours = (now.getTime() - Date.parse(last)) / millisecondsInHour
  // One that is late by a night is on its way.
  const allowed = everyHours > 0 ? 2 * everyHours : longestHours
  const age = hours < 48 ? `${Math.max(0, Math.round(hours))} h` : `${Math.floor(hours / 24)} days`
  return hours > allowed
    ? finding('care', 'backup.old', `The last one is ${age} old: a lost disk would take what was written since.`, `Older than ${allowed} h.`)
    : finding('fine', 'backup.made', `The last one is ${age} old.`, `No older than ${allowed} h.`)
}
