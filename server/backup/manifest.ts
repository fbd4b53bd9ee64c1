import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'

export const backupFormat = 'jolly-bench-backup/1'

/** What a backup says of itself. It lies only in a backup that was opened and checked after it was made. */
export const BackupManifest = z.object({
  format: z.literal(backupFormat),
  /** Instant in UTC. */
  made: z.string(),
  verified: z.string(),
  /** SHA-256 of the database. */
  database: z.string(),
  /** How many migrations it has seen. */
  schema: z.number(),
  entries: z.number(),
  chains: z.number(),
  /** All entries in the order of their writing, so that what is cut off later is missed. */
  noted: z.object({ from: z.number(), to: z.number(), entries: z.number(), digest: z.string() }).nullable(),
  /** SHA-256 of the originals of photographs. */
  photographs: z.array(z.string()),
  /** Everything else that lies beside the database, by its name: letters, and sign-ins of a demo. */
  others: z.record(z.string(), z.string()),
  bytes: z.number(),
})
export type BackupManifest = z.infer<typeof BackupManifest>

export const backupsFolder = (dataFolder: string) => process.env.JOLLY_BACKUPS || join(dataFolder, 'backups')
/** Photographs are kept once for all backups, by their hash. */
export const originalsOf = (backups: string) => join(backups, 'originals')
export const nameOfBackup = (at: Date) => `backup-${at.toISOString().replace(/[:.]/g, '-')}`
const isBackup = (name: string) => name.startsWith('backup-')

export function readManifest(backup: string): BackupManifest | undefined {
  try {
    return BackupManifest.parse(JSON.parse(readFileSync(join(backup, 'manifest.json'), 'utf8')))
  } catch {
    return undefined
  }
}

/** The backups that lie there and can be read, newest first. */
export function backupsIn(backups: string): { name: string; manifest: BackupManifest }[] {
  if (!existsSync(backups)) return []
  return readdirSync(backups)
    .filter(isBackup)
    .sort()
    .reverse()
    .flatMap(name => {
      const manifest = readManifest(join(backups, name))
      return manifest ? [{ name, manifest }] : []
    })
}
