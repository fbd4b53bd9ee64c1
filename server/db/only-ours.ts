import { chmodSync, mkdirSync, statSync } from 'node:fs'

/**
 * Whatever this process writes from now on is read by its own user alone; other users of the computer do not look into the data folder, nor into
 * what was written there before.
 */
export function onlyOurs(folder: string): void {
  process.umask(0o077)
  mkdirSync(folder, { recursive: true })
  try {
    chmodSync(folder, statSync(folder).mode & 0o770)
  } catch {
    /* A folder that belongs to somebody else stays as they have it. */
  }
}
