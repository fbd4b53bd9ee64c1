import { join } from 'node:path'
import { BackupKeeper } from '../backup/keeper'
import { backupsFolder } from '../backup/manifest'
import { backupSchedule } from '../backup/schedule'
import { dataFolder } from './bench'

let keeper: BackupKeeper | undefined

/** Whoever sees to the backups of this process. */
export const useBackups = (): BackupKeeper =>
  (keeper ??= new BackupKeeper(
    { dataFolder: dataFolder(), backups: backupsFolder(dataFolder()) },
    backupSchedule(),
    join(process.cwd(), '.output/workers/backup.mjs'),
    () => new Date(),
  ))
