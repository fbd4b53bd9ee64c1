import { createHash, randomUUID } from 'node:crypto'
import { createReadStream, existsSync, mkdirSync, rmSync } from 'node:fs'
import { open } from 'node:fs/promises'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import sharp from 'sharp'
import { photographSizes, type PhotographSize } from '#shared/chapters/look/index'
import { flush, nameDurably } from './durable'
import { picturesAtWork } from './pictures-at-work'

/** The copies of a photograph that are shown: their orientation applied, with neither place nor camera. The original is never handed out. */

/** A picture that unfolds to more than this is refused before it fills the memory. */
export const mostPixels = 120e6
// Two cores serve the house: a picture takes one of them.
sharp.concurrency(1)
// No picture is worked on twice in a row.
sharp.cache(false)

export const folderOf = (dataFolder: string, hash: string) => join(dataFolder, 'files', hash.slice(0, 2), hash)
export const originalIn = (folder: string) => join(folder, 'original')

/** The sizes, the largest first: each smaller one is made of the one before, so that a large original is unpacked once. */
export const sizesDownwards = (Object.keys(photographSizes) as PhotographSize[]).sort((a, b) => photographSizes[b] - photographSizes[a])

/** Makes one copy of an original, or of a larger copy. */
export async function makeCopy(of: string, into: string, size: PhotographSize): Promise<void> {
  const longestPx = photographSizes[size]
  await sharp(of, { failOn: 'error', limitInputPixels: mostPixels })
    .autoOrient()
    .resize({ width: longestPx, height: longestPx, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .toColourspace('srgb')
    .jpeg({ quality: size === 'full' ? 92 : 84 })
    .toFile(into)
}

/** Whether a file is a JPEG up to its end: FF D9, the mark End of Image (ITU-T T.81, table B.1). What was cut off has none. */
async function isWhole(path: string): Promise<boolean> {
  const file = await open(path).catch(() => undefined)
  if (!file) return false
  try {
    const { size } = await file.stat()
    const { buffer, bytesRead } = await file.read(Buffer.alloc(2), 0, 2, Math.max(0, size - 2))
    return bytesRead === 2 && buffer[0] === 0xff && buffer[1] === 0xd9
  } finally {
    await file.close()
  }
}

export async function sha256OfFile(path: string): Promise<string> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(path), hash)
  return hash.digest('hex')
}

/**
 * Where a copy lies; one that was lost or cut off is made anew from the original, if that is still what its hash says.
 * @returns nothing for what is no hash, or where the original is gone too
 */
export async function copyOf(dataFolder: string, hash: string, size: PhotographSize): Promise<string | undefined> {
  if (!/^[0-9a-f]{64}$/.test(hash) || !(size in photographSizes)) return undefined
  if (!Object.hasOwn(photographSizes, size)) return undefined
  const home = folderOf(dataFolder, hash)
  const path = join(home, `${size}.jpg`)
  if (await isWhole(path)) return path
  const original = originalIn(home)
  if (!existsSync(original) || (await sha256OfFile(original)) !== hash) return undefined
  return picturesAtWork(original, 'copies', async () => {
    const beside = join(dataFolder, 'files', `coming-${randomUUID()}`)
    mkdirSync(beside)
    try {
      await makeCopy(original, join(beside, 'copy.jpg'), size)
      await flush(join(beside, 'copy.jpg'))
      await nameDurably(join(beside, 'copy.jpg'), path)
      return path
    } finally {
      rmSync(beside, { recursive: true, force: true })
    }
  })
}
export const readCopy = (path: string) => createReadStream(path)
