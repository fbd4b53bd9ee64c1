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

/** Whether it is time for one: none yet, or the last is older than that. */
export const backupDue = ({ everyHours }: BackupSchedule, last: string | undefined, now: Date): boolean =>
  everyHours > 0 && (last === undefined || now.getTime() - Date.parse(last) >= everyHours * 3_600_000)
