import { createHash } from 'node:crypto'
import { existsSync, mkdirSync } from 'node:fs'
import { readFile, rename, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import { type PictureName, pictures } from '../../demo/photographs/index'
import { size } from '../../demo/photographs/drawing'

/** Drawing takes seconds, so what was drawn once is kept here, by the drawing's own hash. */
const cache = join('.cache', 'demo-photographs')

/** Renders a drawing as a photograph: with the grain of a small camera, as JPEG. */
async function render(svg: string): Promise<Buffer> {
  const kept = join(cache, `${createHash('sha256').update(svg).digest('hex')}.jpg`)
  if (existsSync(kept)) return readFile(kept)
  const grain = await sharp({ create: { ...size, channels: 3, background: '#808080', noise: { type: 'gaussian', mean: 128, sigma: 11 } } })
    .png()
    .toBuffer()
  const jpeg = await sharp(Buffer.from(svg))
    .composite([{ input: grain, blend: 'soft-light' }])
    .jpeg({ quality: 88 })
    .toBuffer()
  mkdirSync(cache, { recursive: true })
  await writeFile(`${kept}.${process.pid}`, jpeg)
  await rename(`${kept}.${process.pid}`, kept)
  return jpeg
}

/** Draws every photograph of the demo, all at once. @returns each as a camera would have kept it at a time */
export function drawPhotographs() {
  const drawn = new Map((Object.keys(pictures) as PictureName[]).map(name => [name, render(pictures[name]())]))
  return async (name: PictureName, taken: Date): Promise<Buffer> => {
    const stamp = taken.toISOString().slice(0, 19).replace('T', ' ').replaceAll('-', ':')
    return sharp(await drawn.get(name))
      .withExif({ IFD2: { DateTimeOriginal: stamp } })
      .jpeg({ quality: 88 })
      .toBuffer()
  }
}
