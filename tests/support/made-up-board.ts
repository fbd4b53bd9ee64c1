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

type Colour = [number, number, number]
interface Look {
  ground: Colour[]
  growth: Colour[]
}
const green: Colour[] = [
  [34, 92, 58],
  [26, 78, 50],
  [44, 108, 70],
]
const steel: Colour[] = [
  [150, 152, 155],
  [128, 131, 136],
  [170, 171, 172],
]
const crust: Colour[] = [
  [92, 158, 150],
  [70, 140, 128],
  [120, 180, 165],
]
const rust: Colour[] = [
  [138, 72, 38],
  [112, 58, 34],
  [160, 92, 50],
]
const fur: Colour[] = [
  [205, 208, 200],
  [188, 194, 186],
  [220, 222, 216],
]
const shades = ([r, g, b]: Colour, by = 0.14): Colour[] => [1, 1 - by, 1 + by].map(k => [r * k, g * k, b * k].map(c => Math.min(250, Math.round(c))) as Colour)

/** Seventeen pairs of what corrodes and what grows on it; colours of our own making. */
export const looks = {
  'crust on a board': { ground: green, growth: crust },
  'rust on steel': { ground: steel, growth: rust },
  'white fur on a board': { ground: green, growth: fur },
  'blue salt on a board': { ground: green, growth: shades([70, 120, 190]) },
  'dark spots under green mask': { ground: green, growth: shades([28, 40, 30]) },
  'crust on copper': { ground: shades([176, 112, 74]), growth: crust },
  'tarnish on copper': { ground: shades([190, 124, 84]), growth: shades([92, 66, 52]) },
  'rust on painted steel': { ground: shades([206, 198, 176], 0.05), growth: rust },
  'rust on a black chassis': { ground: shades([44, 44, 46]), growth: rust },
  'white rust on zinc': { ground: shades([140, 146, 152], 0.08), growth: shades([222, 224, 220], 0.05) },
  'fur on aluminium': { ground: shades([176, 180, 184], 0.06), growth: shades([226, 226, 214], 0.04) },
  'crust on tin': { ground: shades([186, 186, 182], 0.07), growth: crust },
  'brown stain on beige plastic': { ground: shades([214, 204, 178], 0.04), growth: shades([158, 120, 74], 0.1) },
  'crust on a brown board': { ground: shades([122, 84, 48]), growth: crust },
  'fur on a brown board': { ground: shades([122, 84, 48]), growth: fur },
  'green residue on white silkscreen': { ground: shades([224, 226, 222], 0.04), growth: shades([120, 170, 120], 0.1) },
  'rust on a blue case': { ground: shades([58, 84, 128]), growth: rust },
} as const satisfies Record<string, Look>
export type Surface = keyof typeof looks
export const surfaces = Object.keys(looks) as Surface[]

/** What a photograph, or what is on the surface, does to the picture. */
export interface Spoil {
  /** Standard deviation in levels. */
  noise?: number
  /** Standard deviation in pixels, drawn in linear light as a lens does. */
  blur?: number
  /** Quality of JPEG. */
  jpeg?: number
  /** How much darker the far corner is, 0 to 1. */
  gradient?: number
  /** Share of the picture that a lamp burns out. */
  glare?: number
  specks?: boolean
  silkscreen?: boolean
  pads?: boolean
  /** Light that is warm on one side and cool on the other. */
  mixed?: boolean
  /** How much of the light there is, 0 to 1. */
  dark?: number
  /** How many spots of each kind somebody touches; six where it is not said. */
  spots?: number
}

const linear = (level: number) => (level / 255) ** 2.2
const level = (light: number) => Math.round(255 * Math.max(0, Math.min(1, light)) ** (1 / 2.2))

/**
 * Draws one. @param wantedPct about how much of it is corroded; how much exactly is counted while drawing
 */
export async function madeUpBoard(surface: Surface, width: number, height: number, wantedPct: number, seed: number, spoil: Spoil = {}): Promise<MadeUpBoard> {
  const random = seeded(seed)
  const { ground, growth }: Look = looks[surface]
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
  const light = new Float32Array(width * height * 3)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const palette = mask[at] ? growth : ground
      // Traces and grain: bands of the palette that turn slowly.
      const colour = palette[Math.floor(((Math.sin((x / scale) * 90) + Math.sin(((x + y) / scale) * 60) + 2) / 4) * palette.length) % palette.length]!
      colour.forEach((channel, c) => (light[at * 3 + c] = linear(channel)))
    }
  }
  const taken = new Uint8Array(width * height)
  strew(spoil, { light, taken, width, height, random })
  shine(spoil, { light, taken, width, height, random })
  if (spoil.blur) softened(light, width, height, spoil.blur)
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  const shot = Buffer.alloc(light.length)
  for (let i = 0; i < light.length; i++) shot[i] = Math.max(0, Math.min(255, Math.round(level(light[i]!) + (spoil.noise ?? 0) * (spoil.noise ? normal() : 0))))
  const picture = sharp(shot, { raw: { width, height, channels: 3 } })
  const shown = spoil.jpeg ? sharp(await picture.jpeg({ quality: spoil.jpeg }).toBuffer()) : picture
  const data = await shown.ensureAlpha().raw().toBuffer()
  const corrodedPx = mask.reduce((sum, m) => sum + m, 0)
  return {
    width,
    height,
    data: new Uint8Array(data),
    areaPct: (corrodedPx / (width * height)) * 100,
    ...touched({ mask, taken, blobs, width, height, random, spots: spoil.spots ?? 6 }),
  }
}

interface Canvas {
  light: Float32Array
  /** Where something else lies over the surface, so that nobody touches it. */
  taken: Uint8Array
  width: number
  height: number
  random: () => number
}

/** Specks, printed legends and pads that lie on the surface. */
function strew({ specks, silkscreen, pads }: Spoil, { light, taken, width, height, random }: Canvas) {
  const disc = (x: number, y: number, radius: number, colour: Colour) => {
    for (let py = Math.max(0, Math.floor(y - radius)); py <= Math.min(height - 1, y + radius); py++)
      for (let px = Math.max(0, Math.floor(x - radius)); px <= Math.min(width - 1, x + radius); px++)
        if (Math.hypot(px - x, py - y) <= radius) {
          taken[py * width + px] = 1
          colour.forEach((channel, c) => (light[(py * width + px) * 3 + c] = linear(channel)))
        }
  }
  const many = (share: number) => Math.round((share * width * height) / 10)
  if (specks)
    for (let i = 0; i < many(0.03); i++) disc(random() * width, random() * height, 0.6 + random() * 1.6, random() < 0.5 ? [24, 22, 20] : [232, 230, 226])
  if (silkscreen)
    for (let i = 0; i < 26; i++) {
      const [x, y, length] = [random() * width, random() * height, 20 + random() * 50]
      for (let t = 0; t < length; t++) disc(x + (i % 2 ? t : 0), y + (i % 2 ? 0 : t), 1.3, [228, 228, 222])
    }
  if (pads) for (let i = 0; i < 60; i++) disc(random() * width, random() * height, 4 + random() * 3, random() < 0.7 ? [196, 196, 192] : [206, 172, 92])
}

/** Light that falls unevenly, in two colours, too little of it, or so much that the camera is blind. */
function shine({ gradient = 0, mixed, dark, glare }: Spoil, { light, taken, width, height, random }: Canvas) {
  const lamps: [number, number, number][] = []
  for (let share = 0; glare && share < glare;) {
    const radius = (0.04 + random() * 0.06) * Math.sqrt(width * height)
    lamps.push([random() * width, random() * height, radius])
    share += (Math.PI * radius ** 2) / (width * height)
  }
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x
      const falls = (1 - (gradient * (x / width + y / height)) / 2) * (dark ?? 1)
      const cast = mixed ? [1.12 - 0.22 * (x / width), 1, 0.84 + 0.24 * (x / width)] : [1, 1, 1]
      // A lamp's picture in a glossy surface: burnt out in the middle, fading within a tenth of its radius.
      const burnt = Math.max(0, ...lamps.map(([lx, ly, radius]) => Math.min(1, Math.max(0, (radius - Math.hypot(x - lx, y - ly)) / (radius * 0.1)))))
      if (burnt > 0) taken[at] = 1
      for (let c = 0; c < 3; c++) light[at * 3 + c] = light[at * 3 + c]! * falls * cast[c]! + burnt * 1.1
    }
}

/** A Gaussian over light, row by row and column by column. */
function softened(light: Float32Array, width: number, height: number, sigma: number) {
  const reach = Math.ceil(3 * sigma)
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma ** 2)))
  const sum = weights.reduce((a, b) => a + b, 0)
  const pass = (stride: number, along: number, across: number, acrossStride: number) => {
    const line = new Float32Array(along)
    for (let a = 0; a < across; a++)
      for (let c = 0; c < 3; c++) {
        for (let i = 0; i < along; i++) line[i] = light[(a * acrossStride + i * stride) * 3 + c]!
        for (let i = 0; i < along; i++) {
          let total = 0
          for (let k = -reach; k <= reach; k++) total += weights[k + reach]! * line[Math.min(along - 1, Math.max(0, i + k))]!
          light[(a * acrossStride + i * stride) * 3 + c] = total / sum
        }
      }
  }
  pass(1, width, height, width)
  pass(width, height, width, 1)
}

/** Spots as somebody touches them: well inside a patch, or well clear of one, and on nothing that lies over the surface. */
function touched({
  mask,
  taken,
  width,
  height,
  random,
  spots,
}: Pick<Canvas, 'taken' | 'width' | 'height' | 'random'> & { mask: Uint8Array; blobs: Point[]; spots: number }): Pick<MadeUpBoard, 'corroded' | 'sound'> {
  const reach = 0.012 * Math.sqrt(width * height)
  const found: Record<0 | 1, Point[]> = { 0: [], 1: [] }
  for (let tries = 0; tries < 60_000 && (found[0].length < spots || found[1].length < spots); tries++) {
    const [x, y] = [random() * width, random() * height]
    const kind = mask[Math.floor(y) * width + Math.floor(x)] as 0 | 1
    if (found[kind].length >= spots) continue
    const around = Array.from({ length: 9 }, (_, i) => [x + (i ? reach * Math.cos(i) : 0), y + (i ? reach * Math.sin(i) : 0)] as const)
    const clear = around.every(([px, py]) => {
      const at = Math.floor(py) * width + Math.floor(px)
      return px >= 0 && py >= 0 && px < width && py < height && mask[at] === kind && !taken[at]
    })
    if (clear) found[kind].push([x / width, y / height])
  }
  return { corroded: found[1], sound: found[0] }
}

/** Seventeen conditions under which a surface is photographed. */
export const conditions = {
  'plain': {},
  'noise 6': { noise: 6 },
  'noise 14': { noise: 14 },
  'blur 1.5': { blur: 1.5 },
  'blur 4': { blur: 4 },
  'JPEG 60': { jpeg: 60 },
  'JPEG 30': { jpeg: 30 },
  'light falls off by 60 %': { gradient: 0.6 },
  'glare on 4 %': { glare: 0.04 },
  'glare on 18 %': { glare: 0.18 },
  'specks': { specks: true },
  'silkscreen': { silkscreen: true },
  'pads': { pads: true },
  'light of two colours': { mixed: true },
  'a third of the light': { dark: 0.33 },
  'two spots of each kind': { spots: 2 },
  'all of it': { noise: 8, blur: 1.5, jpeg: 75, gradient: 0.5, glare: 0.03, specks: true },
} as const satisfies Record<string, Spoil>
export type Condition = keyof typeof conditions
export const conditionNames = Object.keys(conditions) as Condition[]
