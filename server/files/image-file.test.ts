import { spawnSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import exifr from 'exifr'
import sharp from 'sharp'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { largestPhotographBytes, photographSizes } from '#shared/chapters/look/index'
import { copyOf } from './image-copies'
import { keepImage, sweepUnfinished } from './image-file'
import { NoRoom } from '../kernel/refusals'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'jolly-bench-files-'))
})
afterEach(() => rmSync(folder, { recursive: true }))

const board = (width = 3000, height = 1500) => sharp({ create: { width, height, channels: 3, background: '#25613f' } })
const keep = (...chunks: Buffer[]) => keepImage(folder, Readable.from(chunks))
const left = () => readdirSync(join(folder, 'files')).filter(name => name.startsWith('coming-'))

it('one photograph is kept once, with its three copies', async () => {
  const jpeg = await board().jpeg().toBuffer()
  const first = await keep(jpeg)
  expect(first).toMatchObject({ mime: 'image/jpeg', bytes: jpeg.length, widthPx: 3000, heightPx: 1500, takenAt: '' })
  expect((await keep(jpeg)).hash).toBe(first.hash)
  expect(readdirSync(join(folder, 'files'))).toHaveLength(1)
  for (const [size, longest] of Object.entries(photographSizes)) {
    const { width } = await sharp(await copyOf(folder, first.hash, size as 'thumb')).metadata()
    expect(width).toBe(Math.min(3000, longest))
  }
})

it.each(['png', 'webp'] as const)('%s is taken too, whatever its name', async format => {
  expect((await keep(await board(300, 200).toFormat(format).toBuffer())).mime).toBe(`image/${format}`)
})

it('orientation is honoured, the time is kept, place and camera are not handed on', async () => {
  const sideways = await board()
    .withExif({
      IFD0: { Model: 'Camera of somebody' },
      IFD2: { DateTimeOriginal: '2026:03:04 19:20:21' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '53/1 20/1 0/1', GPSLongitudeRef: 'W', GPSLongitude: '6/1 15/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  expect(await exifr.gps(sideways)).toMatchObject({ latitude: expect.closeTo(53.333, 2) as number })
  const { hash, widthPx, heightPx, takenAt } = await keep(sideways)
  expect({ widthPx, heightPx, takenAt }).toEqual({ widthPx: 1500, heightPx: 3000, takenAt: '2026-03-04T19:20:21' })
  for (const size of Object.keys(photographSizes)) {
    const copy = readFileSync((await copyOf(folder, hash, size as 'thumb'))!)
    expect((await sharp(copy).metadata()).exif, size).toBeUndefined()
    expect(copy.includes('Camera of somebody')).toBe(false)
  }
})

it('what is broken, empty, too large or no picture is refused with what would do, and leaves nothing behind', async () => {
  const jpeg = await board().jpeg().toBuffer()
  await expect(keep(jpeg.subarray(0, 400))).rejects.toThrow(/may be cut off/)
  await expect(keep()).rejects.toThrow(/empty/)
  await expect(keep(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'))).rejects.toThrow(/no JPEG, PNG or WebP/)
  await expect(keep(Buffer.from('GIF89a'))).rejects.toThrow(/whatever its name says/)
  const chunk = Buffer.alloc(1e6)
  await expect(keep(...Array<Buffer>(largestPhotographBytes / 1e6 + 1).fill(chunk))).rejects.toThrow(/Larger than 30 MB/)
  await expect(keep(await board(12000, 12000).png().toBuffer())).rejects.toThrow(/120 megapixels/)
  expect(left()).toEqual([])
})

it('nothing outside the folder is reached by what is no hash', async () => {
  expect(await copyOf(folder, '../../etc/passwd', 'thumb')).toBeUndefined()
})

it('a copy that was lost or cut off is made anew from the original; an original that is another is not believed', async () => {
  const { hash } = await keep(await board(600, 300).jpeg().toBuffer())
  const path = (await copyOf(folder, hash, 'thumb'))!
  const whole = readFileSync(path)
  for (const harm of [() => rmSync(path), () => truncateSync(path, 700), () => truncateSync(path, 0)]) {
    harm()
    expect(await copyOf(folder, hash, 'thumb')).toBe(path)
    expect(readFileSync(path).equals(whole)).toBe(true)
  }
  rmSync(path)
  writeFileSync(join(path, '..', 'original'), 'something else')
  expect(await copyOf(folder, hash, 'thumb')).toBeUndefined()
  expect(left()).toEqual([])
})

it('what was still coming when the program ended is swept', async () => {
  const { hash } = await keep(await board(60, 30).jpeg().toBuffer())
  mkdirSync(join(folder, 'files', 'coming-1'))
  sweepUnfinished(folder)
  expect(left()).toEqual([])
  expect(await copyOf(folder, hash, 'thumb')).toBeDefined()
})

it('on a full disk it says so, leaves nothing behind, and takes the same again once there is room', async ctx => {
  // A small disk in memory; only root may lay one under a folder.
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=1m', 'tmpfs', folder]).status !== 0) return ctx.skip('no leave to mount a small disk')
  try {
    const photograph = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 128, sigma: 60 } } })
      .jpeg({ quality: 100 })
      .toBuffer()
    const filler = join(folder, 'filler')
    for (const kB of [900, 400]) {
      writeFileSync(filler, Buffer.alloc(kB * 1000))
      await expect(keep(photograph)).rejects.toBeInstanceOf(NoRoom)
      expect(readdirSync(join(folder, 'files'))).toEqual([])
    }
    rmSync(filler)
    const small = await board(200, 100).jpeg().toBuffer()
    expect((await keep(small)).bytes).toBe(small.length)
  } finally {
    spawnSync('umount', ['-l', folder])
  }
})
