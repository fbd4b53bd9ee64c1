import { createHash, randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { createReadStream, createWriteStream, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { open } from 'node:fs/promises'
import { join } from 'node:path'
import type { Readable } from 'node:stream'
import exifr from 'exifr'
import { fileTypeFromBuffer } from 'file-type'
import sharp from 'sharp'
import { InputError } from '#core/kernel/input-error'
import { largestPhotographBytes, photographSizes, type PhotographSize } from '#shared/chapters/look/index'

/**
 * Photographs as files, kept once by the hash of what was sent. The original stays as it came and is never handed out;
 * the copies that are shown have their orientation applied, and carry neither place nor camera.
 */
export interface ImageFile {
  hash: string
  mime: string
  bytes: number
  widthPx: number
  heightPx: number
  takenAt: string
}

const accepted = ['image/jpeg', 'image/png', 'image/webp']
/** A picture that unfolds to more than this is refused before it fills the memory. */
const mostPixels = 120e6
const broken = 'This file cannot be read as a picture; it may be cut off. Send it again, or export it anew as JPEG, PNG or WebP.'

const folderOf = (dataFolder: string, hash: string) => join(dataFolder, 'files', hash.slice(0, 2), hash)

/** Where a copy lies. Refuses anything that is no hash. */
export function copyOf(dataFolder: string, hash: string, size: PhotographSize): string | undefined {
  const path = /^[0-9a-f]{64}$/.test(hash) && size in photographSizes ? join(folderOf(dataFolder, hash), `${size}.jpg`) : undefined
  return path && existsSync(path) ? path : undefined
}
export const readCopy = (path: string) => createReadStream(path)

/**
 * Takes a picture in: writes it beside, checks by its content that it is one, makes the smaller copies, and only then puts it in its place.
 * @throws InputError for what is too large, no picture, another kind of picture, or broken
 */
export async function keepImage(dataFolder: string, sent: Readable): Promise<ImageFile> {
  const beside = join(dataFolder, 'files', `coming-${randomUUID()}`)
  mkdirSync(beside, { recursive: true })
  try {
    const original = join(beside, 'original')
    const { hash, bytes } = await receive(sent, original)
    const mime = await kindOf(original)
    const facts = await inTurn(() => copies(original, beside))
    const home = folderOf(dataFolder, hash)
    if (!existsSync(home)) {
      mkdirSync(join(home, '..'), { recursive: true })
      renameSync(beside, home)
    }
    return { hash, mime, bytes, ...facts }
  } finally {
    rmSync(beside, { recursive: true, force: true })
  }
}

async function receive(sent: Readable, to: string): Promise<{ hash: string; bytes: number }> {
  const hash = createHash('sha256')
  const file = createWriteStream(to)
  let bytes = 0
  try {
    for await (const chunk of sent as AsyncIterable<Buffer>) {
      bytes += chunk.length
      if (bytes > largestPhotographBytes) throw new InputError('file', bytes, `Larger than ${largestPhotographBytes / 1e6} MB. Send a smaller copy.`)
      hash.update(chunk)
      if (!file.write(chunk)) await once(file, 'drain')
    }
  } finally {
    file.end()
    await once(file, 'close')
  }
  if (!bytes) throw new InputError('file', 0, 'The file is empty. Choose it again.')
  return { hash: hash.digest('hex'), bytes }
}

async function kindOf(path: string): Promise<string> {
  const file = await open(path)
  const { buffer, bytesRead } = await file.read(Buffer.alloc(4100), 0, 4100, 0).finally(() => file.close())
  const mime = (await fileTypeFromBuffer(buffer.subarray(0, bytesRead)))?.mime
  if (!mime || !accepted.includes(mime))
    throw new InputError('file', mime ?? 'unknown', 'This is no JPEG, PNG or WebP picture, whatever its name says. Export it as one of them.')
  return mime
}

async function copies(original: string, into: string): Promise<Pick<ImageFile, 'widthPx' | 'heightPx' | 'takenAt'>> {
  try {
    const picture = sharp(original, { failOn: 'error', limitInputPixels: mostPixels })
    const { autoOrient, exif } = await picture.metadata()
    for (const [size, longestPx] of Object.entries(photographSizes)) {
      await sharp(original, { failOn: 'error', limitInputPixels: mostPixels })
        .autoOrient()
        .resize({ width: longestPx, height: longestPx, fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#ffffff' })
        .toColourspace('srgb')
        .jpeg({ quality: size === 'full' ? 92 : 84 })
        .toFile(join(into, `${size}.jpg`))
    }
    return { widthPx: autoOrient.width, heightPx: autoOrient.height, takenAt: await takenAt(exif) }
  } catch (error) {
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

/** One picture is worked on at a time, so that thirty at once do not fill the memory; the work itself is off the request loop. */
let last: Promise<unknown> = Promise.resolve()
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = last.then(work, work)
  last = mine
  return mine
}
