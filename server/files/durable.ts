import { open, rename, writeFile } from 'node:fs/promises'
import { dirname } from 'node:path'

/** What was answered as kept survives a power cut: a file lies on the disk when it was flushed, and its name when its folder was (fsync, POSIX.1-2017). */

/** Flushes a file, or the names in a folder. */
export async function flush(path: string): Promise<void> {
  const handle = await open(path, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** Gives a file or folder that was flushed its name, for good. */
export async function nameDurably(from: string, to: string): Promise<void> {
  await rename(from, to)
  await flush(dirname(to))
}

/** Writes a file so that there is all of it under its name, or nothing. */
export async function writeDurably(path: string, content: string | Uint8Array): Promise<void> {
  await writeFile(`${path}.part`, content)
  await flush(`${path}.part`)
  await nameDurably(`${path}.part`, path)
}
