import { convertRgbToOklab } from 'culori/fn'
import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import type { Point } from './marks'

/**
 * Corrosion measured from the pixels of a photograph.
 *
 * Somebody touches a few spots of corrosion and a few of sound surface. Every pixel inside the outline is then explained
 * in OKLab, a perceptual colour space, as a mixture of one corroded spot C and one sound spot S:
 *     colour ≈ u·C + v·S, u and v not below zero, u + v near 1
 * by least squares over all pairs of spots. More or less light multiplies all three figures of OKLab alike, so that it
 * changes u + v but hardly u / (u + v): that is the score of the pixel, 0 as sound, 1 as corroded. The blurred edge between the
 * two is cut where it is half of each. From the threshold upwards a pixel counts as corroded.
 * Source of the colour space: Björn Ottosson, A perceptual color space for image processing, 2020 (by way of culori).
 */

/** Red, green, blue, alpha, row by row, as a canvas has them. */
export interface Pixels {
  width: number
  height: number
  data: Uint8Array | Uint8ClampedArray
}

export interface CorrosionSamples {
  /** The area of interest; the whole photograph where it has no points. Shares of width and height, 0 to 1. */
  outline: Point[]
  corroded: Point[]
  sound: Point[]
}

export interface CorrosionArea {
  /** Pixels inside the outline. */
  insidePx: number
  corrodedPx: number
  areaPct: number
  /** The method's own error, in percentage points either way. */
  errorPct: number
  findings: Finding[]
}

/** What was found of every pixel; any threshold can be asked of it without looking at the photograph again. */
export interface CorrosionScores {
  width: number
  height: number
  /** 0 outside the outline, else 1 (as sound) to 255 (as corroded). */
  scores: Uint8Array
  areaAt: (threshold: number) => CorrosionArea
}

export const defaultThreshold = 0.5
/** On made-up boards with known areas the method is good to this many percentage points; see its tests. */
export const leastErrorPct = 1.5
export const largestMegapixels = 50

/** Hue and saturation tell corrosion from shadow; lightness hardly does. */
const chromaWeight = 2.5
/** How firmly u + v is held near 1. Loosely: it is all that light may change, and all that tells a dark stain of the same hue. */
const lightFirmness = 0.02
/** Spots nearer than this have the same colour for the eye of a camera. */
const leastSeparation = 0.02
const shades = 64
const step = 256 / shades
const rowsATurn = 16

type Colour = readonly [lightness: number, a: number, b: number]

/** A colour as it is compared: OKLab with its chroma weighted. Channels 0 to 255. */
export function colourOf(red: number, green: number, blue: number): Colour {
  const { l, a, b } = convertRgbToOklab({ r: red / 255, g: green / 255, b: blue / 255 })
  return [l, (a ?? 0) * chromaWeight, (b ?? 0) * chromaWeight]
}

const dot = (p: Colour, q: Colour) => p[0] * q[0] + p[1] * q[1] + p[2] * q[2]

/** Explains a colour as u·C + v·S. @returns the share u / (u + v), and how far the mixture stays off the colour */
function mixture(colour: Colour, bad: Colour, good: Colour): { share: number; off: number } {
  const [bb, bg, gg] = [dot(bad, bad) + lightFirmness, dot(bad, good) + lightFirmness, dot(good, good) + lightFirmness]
  const [bc, gc] = [dot(bad, colour) + lightFirmness, dot(good, colour) + lightFirmness]
  const determinant = bb * gg - bg * bg
  let [u, v] = determinant > 1e-12 ? [(bc * gg - gc * bg) / determinant, (gc * bb - bc * bg) / determinant] : [bc / bb, 0]
  if (u < 0) [u, v] = [0, gc / gg]
  else if (v < 0) [u, v] = [bc / bb, 0]
  const off = dot(colour, colour) + lightFirmness - 2 * (u * bc + v * gc) + u * u * bb + 2 * u * v * bg + v * v * gg
  return { share: u / (u + v || 1), off: Math.sqrt(Math.max(0, off)) }
}

type Spots = readonly Colour[]
const every = () => true

/** The best of all mixtures of one corroded and one sound spot, of those that may be used. */
function bestOf(mixtures: readonly { share: number; off: number }[], may: (pair: number) => boolean = every): { share: number; off: number } {
  let best = { share: 0, off: Infinity }
  mixtures.forEach((tried, pair) => {
    if (tried.off < best.off - 1e-9 && may(pair)) best = tried
  })
  return best
}
const mixtures = (colour: Colour, corroded: Spots, sound: Spots) => corroded.flatMap(bad => sound.map(good => mixture(colour, bad, good)))

/** How far two spots lie apart, whatever light falls on them. */
const apart = (p: Colour, q: Colour) => mixture(p, q, q).off

/**
 * Classifies every pixel. A generator, so that whoever drives it can show how far it is, do other things in between, and stop:
 * it yields the share that is done after every few rows.
 * @throws InputError without spots of both kinds, for spots outside, too large a picture, or spots of both kinds that look alike
 */
export function* measureCorrosion(pixels: Pixels, samples: CorrosionSamples): Generator<number, CorrosionScores> {
  check(pixels, samples)
  const { width, height } = pixels
  const corroded = samples.corroded.map(p => spotColour(pixels, p))
  const sound = samples.sound.map(p => spotColour(pixels, p))
  const separation = Math.min(...corroded.flatMap(bad => sound.map(good => apart(bad, good))))
  if (separation < leastSeparation)
    throw new InputError('corroded', samples.corroded, 'A spot of corrosion and a spot of sound surface have the same colour. Touch spots that look different.')

  const scores = new Uint8Array(width * height)
  const scoreOfShade = new Uint8Array(shades ** 3)
  const inside = new Uint32Array(shades ** 3)
  const rows = shadedRows(pixels)
  const scoreOf = (shade: number) => {
    const { share } = bestOf(mixtures(colourOfShade(shade), corroded, sound))
    return (scoreOfShade[shade] = 1 + Math.round(share * 254))
  }
  for (let y = 0; y < height; y++) {
    const row = rows(y)
    for (const [from, to] of spansInside(samples.outline, y, width, height)) {
      for (let x = from; x < to; x++) {
        const shade = row[x]!
        inside[shade]!++
        scores[y * width + x] = scoreOfShade[shade]! || scoreOf(shade)
      }
    }
    if (y % rowsATurn === rowsATurn - 1) yield (y + 1) / height
  }
  return { width, height, scores, areaAt: judge({ inside, scoreOfShade, corroded, sound, separation }) }
}

/** Drives a measurement to its end at once, for pictures small enough. */
export function measureCorrosionNow(pixels: Pixels, samples: CorrosionSamples): CorrosionScores {
  const work = measureCorrosion(pixels, samples)
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}

function check({ width, height, data }: Pixels, { outline, corroded, sound }: CorrosionSamples) {
  if (width * height > largestMegapixels * 1e6)
    throw new InputError('image', `${width} × ${height}`, `The picture is larger than ${largestMegapixels} megapixels. Make it smaller first.`)
  if (data.length !== width * height * 4) throw new InputError('image', data.length, 'The picture is not whole: it has not as many pixels as it says.')
  for (const [field, spots, what] of [
    ['corroded', corroded, 'of corrosion'],
    ['sound', sound, 'of sound surface'],
  ] as const) {
    if (!spots.length) throw new InputError(field, spots, `Touch at least one spot ${what}.`)
    spots.forEach((spot, i) => {
      if (spot.some(at => !(at >= 0 && at <= 1)))
        throw new InputError(`${field}.${i}`, spot, 'This spot lies outside the picture. Points are shares of its width and height, 0 to 1.')
    })
  }
  if (outline.length === 1 || outline.length === 2)
    throw new InputError('outline', outline, 'An outline needs three points or more. Leave it out for the whole picture.')
  if (outline.flat().some(at => !(at >= 0 && at <= 1)))
    throw new InputError('outline', outline, 'A point of the outline lies outside the picture. Points are shares of its width and height, 0 to 1.')
}

/** The usual colour around a touched spot: medians, so that a speck or a little of the edge does not count. */
function spotColour({ width, height, data }: Pixels, [atX, atY]: Point): Colour {
  const reach = Math.min(6, Math.max(2, Math.round(Math.max(width, height) / 600)))
  const [midX, midY] = [Math.min(width - 1, Math.floor(atX * width)), Math.min(height - 1, Math.floor(atY * height))]
  const channels: number[][] = [[], [], []]
  for (let y = Math.max(0, midY - reach); y <= Math.min(height - 1, midY + reach); y++) {
    for (let x = Math.max(0, midX - reach); x <= Math.min(width - 1, midX + reach); x++)
      channels.forEach((values, c) => values.push(data[(y * width + x) * 4 + c]!))
  }
  const [red, green, blue] = channels.map(values => values.sort((a, b) => a - b)[values.length >> 1]!)
  return colourOf(red!, green!, blue!)
}

/**
 * Rows of colours averaged over a small square, which takes away the noise of the camera; as their shades, of which there are
 * fewer than a camera has. One row is made at a time from running sums of its columns.
 */
function shadedRows({ width, height, data }: Pixels): (y: number) => Uint32Array {
  const reach = width * height > 3e6 ? 2 : 1
  const columns = [new Int32Array(width), new Int32Array(width), new Int32Array(width)] as const
  const averaged = new Uint32Array(width)
  const rowAt = (y: number) => Math.min(height - 1, Math.max(0, y)) * width * 4
  const move = (into: number, outOf: number | null) => {
    const [red, green, blue] = columns
    const [inAt, outAt] = [rowAt(into), outOf === null ? -1 : rowAt(outOf)]
    for (let x = 0, i = inAt, o = outAt; x < width; x++, i += 4, o += 4) {
      red[x]! += data[i]! - (outAt < 0 ? 0 : data[o]!)
      green[x]! += data[i + 1]! - (outAt < 0 ? 0 : data[o + 1]!)
      blue[x]! += data[i + 2]! - (outAt < 0 ? 0 : data[o + 2]!)
    }
  }
  for (let y = -reach; y <= reach; y++) move(y, null)
  const perShade = (2 * reach + 1) ** 2 * step
  let current = 0
  return y => {
    for (; current < y; current++) move(current + 1 + reach, current - reach)
    averaged.fill(0)
    for (const column of columns) {
      let sum = 0
      for (let x = -reach; x <= reach; x++) sum += column[Math.min(width - 1, Math.max(0, x))]!
      for (let x = 0; x < width; x++) {
        averaged[x] = averaged[x]! * shades + ((sum / perShade) | 0)
        sum += column[x + reach + 1 < width ? x + reach + 1 : width - 1]! - column[x - reach > 0 ? x - reach : 0]!
      }
    }
    return averaged
  }
}

/** The parts of a row that lie inside the outline, by the even-odd rule; the whole row where there is no outline. */
function spansInside(outline: readonly Point[], y: number, width: number, height: number): [number, number][] {
  if (!outline.length) return [[0, width]]
  const middle = y + 0.5
  const crossings = outline
    .flatMap(([x1, y1], i) => {
      const [x2, y2] = outline[(i + 1) % outline.length]!
      const [top, bottom] = [y1 * height, y2 * height]
      return top <= middle === bottom <= middle ? [] : [(x1 + ((middle - top) / (bottom - top)) * (x2 - x1)) * width]
    })
    .sort((a, b) => a - b)
  const spans: [number, number][] = []
  for (let i = 0; i + 1 < crossings.length; i += 2) {
    const from = Math.max(0, Math.round(crossings[i]!))
    const to = Math.min(width, Math.round(crossings[i + 1]!))
    if (to > from) spans.push([from, to])
  }
  return spans
}

/** The middle of a shade, or of so many shades together in every channel. */
function colourOfShade(shade: number, together = 1): Colour {
  const half = (step * together) / 2
  return colourOf(Math.floor(shade / shades / shades) * step + half, (Math.floor(shade / shades) % shades) * step + half, (shade % shades) * step + half)
}

interface Counted {
  inside: Uint32Array
  scoreOfShade: Uint8Array
  corroded: Colour[]
  sound: Colour[]
  separation: number
}

/** How far the threshold is moved either way to see how much hangs on it. */
const thresholdPlay = 0.04

function judge({ inside, scoreOfShade, corroded, sound, separation }: Counted): (threshold: number) => CorrosionArea {
  const byScore = new Float64Array(256)
  // What hangs on single spots is asked of coarser shades: an eighth of the work, for a figure that is rough anyway.
  const coarse = new Map<number, number>()
  inside.forEach((count, shade) => {
    if (!count) return
    byScore[scoreOfShade[shade]!]! += count
    const coarser = shade & ~(1 + shades + shades * shades)
    coarse.set(coarser, (coarse.get(coarser) ?? 0) + count)
  })
  const seen = [...coarse].map(([shade, count]) => ({ count, tried: mixtures(colourOfShade(shade, 2), corroded, sound) }))
  const insidePx = byScore.reduce((sum, n) => sum + n, 0)
  const shareOf = (fits: (s: (typeof seen)[number]) => boolean) => seen.reduce((sum, s) => sum + (fits(s) ? s.count : 0), 0) / (insidePx || 1)
  const unlikePct = 100 * shareOf(s => bestOf(s.tried).off > separation)
  const shareAbove = (threshold: number) => byScore.subarray(1 + Math.round(threshold * 254)).reduce((sum, n) => sum + n, 0) / (insidePx || 1)
  // The pairs that are left when one spot had not been touched: the jackknife over the spots of each kind.
  const badOf = (pair: number) => Math.floor(pair / sound.length)
  const goodOf = (pair: number) => pair % sound.length
  const leaving = [
    ...(corroded.length > 1 ? corroded.map((_, spot) => (pair: number) => badOf(pair) !== spot) : []),
    ...(sound.length > 1 ? sound.map((_, spot) => (pair: number) => goodOf(pair) !== spot) : []),
  ]
  const coarseShare = (threshold: number, may?: (pair: number) => boolean) => shareOf(s => bestOf(s.tried, may).share >= threshold)
  const cached = new Map<number, CorrosionArea>()
  return threshold => {
    if (!(threshold > 0 && threshold < 1)) throw new InputError('threshold', threshold, 'The threshold lies between 0 and 1.')
    const known = cached.get(threshold)
    if (known) return known
    const share = shareAbove(threshold)
    const whole = coarseShare(threshold)
    const spread = leaving.length
      ? Math.sqrt((leaving.reduce((sum, may) => sum + (coarseShare(threshold, may) - whole) ** 2, 0) * (leaving.length - 1)) / leaving.length)
      : 0
    const play = (shareAbove(Math.max(0.01, threshold - thresholdPlay)) - shareAbove(Math.min(0.99, threshold + thresholdPlay))) / 2
    const errorPct = Math.max(leastErrorPct, 100 * Math.hypot(spread, play))
    const area = {
      insidePx,
      corrodedPx: Math.round(share * insidePx),
      areaPct: share * 100,
      errorPct,
      findings: say({ areaPct: share * 100, errorPct, unlikePct, few: corroded.length < 3 || sound.length < 3, spreadPct: spread * 100, playPct: play * 100 }),
    }
    cached.set(threshold, area)
    return area
  }
}

const round1 = (value: number) => Number(value.toFixed(1))

function say({
  areaPct,
  errorPct,
  unlikePct,
  few,
  spreadPct,
  playPct,
}: {
  areaPct: number
  errorPct: number
  unlikePct: number
  few: boolean
  spreadPct: number
  playPct: number
}): Finding[] {
  const findings = [
    finding('note', 'corrosion-area.measured', `${round1(areaPct)} % of the area is corroded, give or take ${round1(errorPct)}.`, [
      `A spot more or less changes it by ${round1(spreadPct)}, the threshold by ${round1(playPct)} percentage points; on made-up boards the method was good to ${leastErrorPct}.`,
    ]),
  ]
  if (unlikePct > 10)
    findings.push(
      finding(
        'care',
        'corrosion-area.unlike',
        `${Math.round(unlikePct)} % of the area looks like none of the spots.`,
        'Labels, metal, shadows? Touch some of it as corroded or sound, or draw the outline closer.',
      ),
    )
  if (few)
    findings.push(
      finding('note', 'corrosion-area.few', 'Fewer than three spots of a kind.', 'Touch some more, in light and in shade; common practice, no source.'),
    )
  if (errorPct > 5)
    findings.push(
      finding('care', 'corrosion-area.unsure', 'The measurement hangs on a few spots.', 'Touch more of them, or photograph it again in even light.'),
    )
  return findings
}
