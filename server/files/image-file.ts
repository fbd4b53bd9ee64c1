import { createHash, randomUUID } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs'
import { open, statfs } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import exifr from 'exifr'
import { InputError } from '#core/kernel/input-error'
import { largestPhotographBytes } from '#shared/chapters/look/index'
import type { Asker } from '../kernel/turns/few-at-once'
import { NoRoom } from '../kernel/refusals'
import { flush, nameDurably } from './durable'
import { folderOf, makeCopy, mostPixels, originalIn, sizesDownwards } from './image-copies'
import { picturesAtWork } from './pictures-at-work'
import { kindOfPicture, withinBounds } from './picture-bounds'

/** Photographs as files, kept once by the hash of what was sent. The original stays as it came; `image-copies.ts` makes what is shown. */
export interface ImageFile {
  hash: string
  mime: string
  bytes: number
  widthPx: number
  heightPx: number
  takenAt: string
}

const coming = 'coming-'
const broken = 'This file cannot be read as a picture; it may be cut off. Send it again, or export it anew as JPEG, PNG or WebP.'

/** Removes what was still being taken in when the program ended. Only for whoever has the folder alone. */
export function sweepUnfinished(dataFolder: string): void {
  const folder = join(dataFolder, 'files')
  if (!existsSync(folder)) return
  for (const name of readdirSync(folder)) if (name.startsWith(coming)) rmSync(join(folder, name), { recursive: true, force: true })
}

/**
 * Takes a picture in: writes it beside, checks by its content that it is one, makes the smaller copies, and only then puts it in its place.
 * @throws InputError for what is too large, no picture, another kind of picture, or broken; NoRoom on a full disk
 */
export async function keepImage(dataFolder: string, sent: Readable, { whose = '', gone }: Asker = {}): Promise<ImageFile> {
  const beside = join(dataFolder, 'files', `${coming}${randomUUID()}`)
  try {
    mkdirSync(beside, { recursive: true })
    const original = originalIn(beside)
    const { hash, bytes } = await receive(sent, original)
    const mime = await kindOf(original)
    const facts = await picturesAtWork(original, whose, () => copies(original, beside), gone)
    const home = folderOf(dataFolder, hash)
    if (!existsSync(originalIn(home))) {
      mkdirSync(dirname(home), { recursive: true })
      rmSync(home, { recursive: true, force: true })
      await flush(beside)
      await nameDurably(beside, home)
      await flush(dirname(dirname(home)))
    }
    return { hash, mime, bytes, ...facts }
  } catch (error) {
    throw (await roomLeft(dataFolder, error)) ? error : new NoRoom()
  } finally {
    rmSync(beside, { recursive: true, force: true })
  }
}

/** On a disk with less than this nothing can be kept, whatever else went wrong there. */
const leastRoomBytes = 64_000
const noRoomCodes = ['ENOSPC', 'EDQUOT', 'EFBIG']

/** Whether what went wrong is something else than a full disk; what makes copies does not say so itself. */
async function roomLeft(dataFolder: string, error: unknown): Promise<boolean> {
  if (noRoomCodes.includes((error as { code?: string }).code ?? '')) return false
  const room = await statfs(dataFolder).catch(() => undefined)
  return !room || room.bavail * room.bsize > leastRoomBytes
}

async function receive(sent: Readable, to: string): Promise<{ hash: string; bytes: number }> {
  const hash = createHash('sha256')
  const file = await open(to, 'w')
  let bytes = 0
  try {
    // A request that is refused half-way is answered all the same: its stream is left to whoever brought it.
    for await (const chunk of sent.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      bytes += chunk.length
      if (bytes > largestPhotographBytes) throw new InputError('file', bytes, `Larger than ${largestPhotographBytes / 1e6} MB. Send a smaller copy.`)
      hash.update(chunk)
      await file.writeFile(chunk)
    }
    await file.sync()
  } finally {
    await file.close()
  }
  if (!bytes) throw new InputError('file', 0, 'The file is empty. Choose it again.')
  return { hash: hash.digest('hex'), bytes }
}

async function kindOf(path: string): Promise<string> {
  const file = await open(path)
  const { buffer, bytesRead } = await file.read(Buffer.alloc(4100), 0, 4100, 0).finally(() => file.close())
  return kindOfPicture(buffer.subarray(0, bytesRead), 'file')
}

async function copies(original: string, into: string): Promise<Pick<ImageFile, 'widthPx' | 'heightPx' | 'takenAt'>> {
  try {
    const { autoOrient, exif } = await withinBounds(original, mostPixels, 'file')
    let of = original
    for (const size of sizesDownwards) {
      const copy = join(into, `${size}.jpg`)
      await makeCopy(of, copy, size)
      of = copy
    }
    return { widthPx: autoOrient.width, heightPx: autoOrient.height, takenAt: await takenAt(exif) }
  } catch (error) {
    if (error instanceof InputError) throw error
    throw new InputError(
      'file',
      String(error),
      /pixel limit/i.test(String(error)) ? `Larger than ${mostPixels / 1e6} megapixels. Send a smaller copy.` : broken,
    )
  }
}

/** The camera's own clock when the picture was taken, as `2026-03-04T12:00:00`; empty where it says nothing sensible. */
async function takenAt(exif: Buffer | undefined): Promise<string> {
  const tiff = exif?.subarray(exif.subarray(0, 4).toString('latin1') === 'Exif' ? 6 : 0)
  const found =
    tiff && ((await exifr.parse(tiff, { pick: ['DateTimeOriginal'], reviveValues: false }).catch(() => undefined)) as { DateTimeOriginal?: string } | undefined)
  const match = /^(\d{4}):(\d{2}):(\d{2}) (\d{2}:\d{2}:\d{2})/.exec(found?.DateTimeOriginal ?? '')
  return match ? `${match[1]}-${match[2]}-${match[3]}T${match[4]}` : ''
}
