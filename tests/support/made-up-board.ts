import sharp from 'sharp'
import { seeded } from '#core/kernel/random'
import type { Pixels } from '#core/condition/corrosion-area'
import type { Point } from '#core/condition/marks'

/** A made-up surface with corrosion of exactly known area, and spots that somebody would touch. */
export interface MadeUpBoard extends Pixels {
  areaPct: number
  corroded: Point[]
  sound: Point[]
}

export type Surface = 'crust on a board' | 'rust on steel' | 'white fur on a board'
type Colour = [number, number, number]
const looks: Record<Surface, { ground: Colour[]; growth: Colour[] }> = {
  'crust on a board': {
    ground: [
      [34, 92, 58],
      [26, 78, 50],
      [44, 108, 70],
    ],
    growth: [
      [92, 158, 150],
      [70, 140, 128],
      [120, 180, 165],
    ],
  },
  'rust on steel': {
    ground: [
      [150, 152, 155],
      [128, 131, 136],
      [170, 171, 172],
    ],
    growth: [
      [138, 72, 38],
      [112, 58, 34],
      [160, 92, 50],
    ],
  },
  'white fur on a board': {
    ground: [
      [34, 92, 58],
      [26, 78, 50],
      [44, 108, 70],
    ],
    growth: [
      [205, 208, 200],
      [188, 194, 186],
      [220, 222, 216],
    ],
  },
}

/**
 * Draws one. @param wantedPct about how much of it is corroded; how much exactly is counted while drawing
 * @param spoil noise in levels (standard deviation), blur in pixels, JPEG quality, and how much darker the far corner is, 0 to 1
 */
export async function madeUpBoard(
  surface: Surface,
  width: number,
  height: number,
  wantedPct: number,
  seed: number,
  spoil: { noise?: number; blur?: number; jpeg?: number; gradient?: number } = {},
): Promise<MadeUpBoard> {
  const random = seeded(seed)
  const { ground, growth } = looks[surface]
  const mask = new Uint8Array(width * height)
  const wanted = (wantedPct / 100) * width * height
  const blobs: Point[] = []
  const scale = Math.sqrt(width * height)
  for (let covered = 0; covered < wanted;) {
    const [x, y, radius] = [random() * width, random() * height, (0.015 + random() * 0.035) * scale]
    blobs.push([x / width, y / height])
    for (let py = Math.max(0, Math.floor(y - radius)); py < Math.min(height, y + radius); py++) {
      for (let px = Math.max(0, Math.floor(x - radius)); px < Math.min(width, x + radius); px++) {
        if (Math.hypot(px - x, py - y) < radius * (0.85 + 0.15 * Math.sin(5 * Math.atan2(py - y, px - x))) && !mask[py * width + px]) {
          mask[py * width + px] = 1
          covered++
        }
      }
    }
  }
  const raw = Buffer.alloc(width * height * 3)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const palette = mask[at] ? growth : ground
      // Traces and grain: bands of the palette that turn slowly.
      const colour = palette[Math.floor(((Math.sin((x / scale) * 90) + Math.sin(((x + y) / scale) * 60) + 2) / 4) * palette.length) % palette.length]!
      const light = 1 - ((spoil.gradient ?? 0) * (x / width + y / height)) / 2
      colour.forEach((channel, c) => (raw[at * 3 + c] = Math.max(0, Math.min(255, Math.round(255 * ((channel / 255) ** 2.2 * light) ** (1 / 2.2))))))
    }
  }
  let image = sharp(raw, { raw: { width, height, channels: 3 } })
  if (spoil.blur) image = image.blur(spoil.blur)
  const blurred = await image.raw().toBuffer()
  if (spoil.noise) for (let i = 0; i < blurred.length; i++) blurred[i] = Math.max(0, Math.min(255, Math.round(blurred[i]! + spoil.noise * normal())))
  const noisy = sharp(blurred, { raw: { width, height, channels: 3 } })
  const shown = spoil.jpeg ? sharp(await noisy.jpeg({ quality: spoil.jpeg }).toBuffer()) : noisy
  const data = await shown.ensureAlpha().raw().toBuffer()
  const inMask = ([x, y]: Point) => mask[Math.floor(y * height) * width + Math.floor(x * width)] === 1
  const sound: Point[] = []
  while (sound.length < 6) {
    const spot: Point = [random(), random()]
    const around = [0, 1, 2, 3, 4, 5, 6, 7].map(i => [spot[0] + 0.02 * Math.cos(i), spot[1] + 0.02 * Math.sin(i)] as Point)
    if (!inMask(spot) && around.every(p => !inMask(p))) sound.push(spot)
  }
  const corrodedPx = mask.reduce((sum, m) => sum + m, 0)
  return { width, height, data: new Uint8Array(data), areaPct: (corrodedPx / (width * height)) * 100, corroded: blobs.slice(0, 6), sound }
}
