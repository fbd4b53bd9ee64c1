import { convertRgbToLrgb, convertRgbToOklab } from 'culori/fn'

/**
 * Colours of a photograph as they are compared, and the mixtures of two touched spots that explain them.
 * Source of the colour space: Björn Ottosson, A perceptual color space for image processing, 2020 (by way of culori).
 */

/** Hue and saturation tell corrosion from shadow; lightness hardly does. */
const chromaWeight = 2.5
/** How firmly u + v is held near 1. Loosely: it is all that light may change, and all that tells a dark stain of the same hue. */
const lightFirmness = 0.02

export type Colour = readonly [number, number, number]
/** A colour twice: as it is compared, OKLab with its chroma weighted; and as light, linear. */
export interface Seen {
  lab: Colour
  light: Colour
}

/** A colour as it is compared: OKLab with its chroma weighted. Channels 0 to 255. */
export function colourOf(red: number, green: number, blue: number): Colour {
  const { l, a, b } = convertRgbToOklab({ r: red / 255, g: green / 255, b: blue / 255 })
  return [l, (a ?? 0) * chromaWeight, (b ?? 0) * chromaWeight]
}
export function seenAs(red: number, green: number, blue: number): Seen {
  const { r, g, b } = convertRgbToLrgb({ r: red / 255, g: green / 255, b: blue / 255 })
  return { lab: colourOf(red, green, blue), light: [r, g, b] }
}

const dot = (p: Colour, q: Colour) => p[0] * q[0] + p[1] * q[1] + p[2] * q[2]

/**
 * Explains a colour as u·C + v·S. @param held what one is in the figures of the colour space, squared: lengths are measured in it
 * @returns the share u / (u + v), and how far the mixture stays off the colour
 */
function mixture(colour: Colour, bad: Colour, good: Colour, held = 1): { share: number; off: number } {
  const firm = lightFirmness * held
  const [bb, bg, gg] = [dot(bad, bad) + firm, dot(bad, good) + firm, dot(good, good) + firm]
  const [bc, gc] = [dot(bad, colour) + firm, dot(good, colour) + firm]
  const determinant = bb * gg - bg * bg
  let [u, v] = determinant > 1e-12 * held * held ? [(bc * gg - gc * bg) / determinant, (gc * bb - bc * bg) / determinant] : [bc / bb, 0]
  if (u < 0) [u, v] = [0, gc / gg]
  else if (v < 0) [u, v] = [bc / bb, 0]
  const off = dot(colour, colour) + firm - 2 * (u * bc + v * gc) + u * u * bb + 2 * u * v * bg + v * v * gg
  return { share: u / (u + v || 1), off: Math.sqrt(Math.max(0, off)) }
}

export type Spots = readonly Seen[]
/** A mixture of one pair of spots: how far off it is as colours are compared, and the share in linear light. */
export interface Tried {
  off: number
  share: number
}
const every = () => true

/** The best of all mixtures of one corroded and one sound spot, of those that may be used. */
export function bestOf(tried: readonly Tried[], may: (pair: number) => boolean = every): Tried {
  let best: Tried = { share: 0, off: Infinity }
  tried.forEach((one, pair) => {
    if (one.off < best.off - 1e-9 && may(pair)) best = one
  })
  return best
}
export function mixtures(colour: Seen, corroded: Spots, sound: Spots): Tried[] {
  return corroded.flatMap(bad =>
    sound.map(good => {
      const { off } = mixture(colour.lab, bad.lab, good.lab)
      const held = (dot(bad.light, bad.light) + dot(good.light, good.light)) / 2
      return { off, share: mixture(colour.light, bad.light, good.light, held).share }
    }),
  )
}

/** How far two spots lie apart, whatever light falls on them. */
export const apart = (p: Seen, q: Seen) => mixture(p.lab, q.lab, q.lab).off
