import { createHash } from 'node:crypto'
import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'

export const backupFormat = 'jolly-bench-backup/2'
/** Made before manifests carried a seal; still read. */
const unsealedFormat = 'jolly-bench-backup/1'

/** What a backup says of itself. It lies only in a backup that was opened and checked after it was made. */
export const BackupManifest = z.object({
  format: z.enum([backupFormat, unsealedFormat]),
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
  /** SHA-256 of all the rest, so that a manifest which was cut or changed is noticed. */
  seal: z.string().optional(),
})
export type BackupManifest = z.infer<typeof BackupManifest>

export const backupsFolder = (dataFolder: string) => process.env.JOLLY_BACKUPS || join(dataFolder, 'backups')
/** Photographs are kept once for all backups, by their hash. */
export const originalsOf = (backups: string) => join(backups, 'originals')
export const nameOfBackup = (at: Date) => `backup-${at.toISOString().replace(/[:.]/g, '-')}`
const isBackup = (name: string) => name.startsWith('backup-')

/** @returns what all the rest comes to */
const sealOf = ({ seal: _, ...rest }: BackupManifest): string => createHash('sha256').update(JSON.stringify(rest)).digest('hex')
export const sealed = (manifest: BackupManifest): BackupManifest => ({ ...manifest, seal: sealOf(manifest) })

/** @returns nothing where it cannot be read, was cut, or is not as it was written */
export function readManifest(backup: string): BackupManifest | undefined {
  try {
    const manifest = BackupManifest.parse(JSON.parse(readFileSync(join(backup, 'manifest.json'), 'utf8')))
    const whole = manifest.format === unsealedFormat || manifest.seal === sealOf(manifest)
    return whole ? manifest : undefined
  } catch {
    return undefined
  }
}

export interface KeptBackup {
  name: string
  manifest: BackupManifest
}

const namesIn = (backups: string): string[] => (existsSync(backups) ? readdirSync(backups).filter(isBackup).sort().reverse() : [])

/** The backups that lie there and can be read, newest first by their dates. */
export const backupsIn = (backups: string): KeptBackup[] =>
  namesIn(backups).flatMap(name => {
    const manifest = readManifest(join(backups, name))
    return manifest ? [{ name, manifest }] : []
  })

/** Those that lie there and cannot be read: cut, changed, or of a newer program. */
export const unreadableIn = (backups: string): string[] => namesIn(backups).filter(name => !readManifest(join(backups, name)))

/**
 * Which of them are kept: the newest by date, and those that hold most of the history. The two are the same while the clock is right; a clock
 * that stood ahead, or was set back, costs no backup that holds more than the others.
 */
export function keptOf(all: readonly KeptBackup[], most: number, justMade?: string): Set<string> {
  const newest = [...all].sort((a, b) => (a.manifest.made < b.manifest.made ? 1 : -1))
  // Array.prototype.sort keeps the order of equals: of those that hold as much, the newest.
  const fullest = [...newest].sort((a, b) => b.manifest.entries - a.manifest.entries)
  return new Set([...newest.slice(0, most), ...fullest.slice(0, most)].map(b => b.name).concat(justMade ?? []))
}
