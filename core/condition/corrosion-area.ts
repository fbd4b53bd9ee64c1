import { decimals } from '../kernel/figure'
import { convertLrgbToRgb, convertRgbToLrgb } from 'culori/fn'
import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Seen, type Spots, apart, bestOf, mixtures, seenAs } from './corrosion-colour'
import type { Point } from './marks'

/**
 * Corrosion measured from the pixels of a photograph.
 *
 * Somebody touches a few spots of corrosion and a few of sound surface. Every pixel inside the outline is then explained
 * in OKLab, a perceptual colour space, as a mixture of one corroded spot C and one sound spot S:
 *     colour ≈ u·C + v·S, u and v not below zero, u + v near 1
 * by least squares over all pairs of spots; the pair that explains it best is kept. Of that pair the share u / (u + v) is taken in linear light,
 * for that is how a lens mixes what lies on both sides of an edge: 0 as sound, 1 as corroded, and a blurred edge is cut where it is half of each.
 * More or less light changes u + v, but hardly the share. From the threshold upwards a pixel counts as corroded.
 *
 * What a lamp has burnt out, and what looks like none of the spots, is taken out of the count, and said. The error is not promised but put together
 * from what the picture shows: how much hangs on single spots and on the threshold, how often the touched places are misread, how much of the area
 * is edge, how much of it was not seen or not known, and how few pixels there are.
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
  /** 0 where it was not counted: outside the outline, burnt out, or like none of the spots; else 1 (as sound) to 255 (as corroded). */
  scores: Uint8Array
  areaAt: (threshold: number) => CorrosionArea
}

export const defaultThreshold = 0.5
/** On made-up boards with known areas, evenly lit and in focus, the method is good to this many percentage points; it never claims better. */
const leastErrorPct = 1.5
/** An outline with fewer pixels than this is no area to measure. */
const leastInsidePx = 30
const largestMegapixels = 50

/** Spots nearer than this have the same colour for the eye of a camera. */
const leastSeparation = 0.02
const shades = 64
const step = 256 / shades
const rowsATurn = 16

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

  const { blind, isBlind } = yield* burntOut(pixels)
  for (const field of ['corroded', 'sound'] as const)
    for (const [i, spot] of samples[field].entries())
      if (isBlind(spot))
        throw new InputError(
          `${field}.${i}`,
          spot,
          `Spot ${i + 1} of ${surfaceNames[field]} lies where a lamp has burnt the picture out. Take it away, and touch another place.`,
        )
  const scores = new Uint8Array(width * height)
  const scoreOfShade = new Uint8Array(shades ** 3)
  const inside = new Uint32Array(shades ** 3)
  let blindPx = 0
  const rows = shadedRows(pixels)
  const isUnlike = new Uint8Array(shades ** 3)
  const tooFar = Math.max(unlike.least, unlike.share * separation)
  const scoreOf = (shade: number) => {
    const { share, off } = bestOf(mixtures(colourOfShade(shade), corroded, sound))
    isUnlike[shade] = Number(off > tooFar)
    return (scoreOfShade[shade] = 1 + Math.round(share * 254))
  }
  const touched = touchedPlaces(pixels, samples)
  for (let y = 0; y < height; y++) {
    const row = rows(y)
    touched.forEach(place => place.take(y, row))
    for (const [from, to] of spansInside(samples.outline, y, width, height)) {
      for (let x = from; x < to; x++) {
        if (blind[y * width + x]) {
          blindPx++
          continue
        }
        const shade = row[x]!
        inside[shade]!++
        const score = scoreOfShade[shade]! || scoreOf(shade)
        if (!isUnlike[shade]) scores[y * width + x] = score
      }
    }
    if (y % rowsATurn === rowsATurn - 1) yield 0.2 + (0.8 * (y + 1)) / height
  }
  return { width, height, scores, areaAt: judge({ inside, blindPx, scoreOfShade, isUnlike, corroded, sound, touched }) }
}

/** Levels from which on all three channels are burnt out. */
const burntLevel = 250

const surfaceNames = { corroded: 'corrosion', sound: 'sound surface' } as const

/** Where a lamp has burnt the picture out, with a rim around it that its light has reached. */
function* burntOut({ width, height, data }: Pixels): Generator<number, { blind: Uint8Array; isBlind: (spot: Point) => boolean }> {
  const blind = new Uint8Array(width * height)
  const rim = Math.max(3, Math.round(0.012 * Math.sqrt(width * height)))
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const at = (y * width + x) * 4
      if (data[at]! < burntLevel || data[at + 1]! < burntLevel || data[at + 2]! < burntLevel || isSpeck(data, at, width)) continue
      for (let by = Math.max(0, y - rim); by <= Math.min(height - 1, y + rim); by++)
        blind.fill(1, by * width + Math.max(0, x - rim), by * width + Math.min(width, x + rim + 1))
    }
    if (y % rowsATurn === rowsATurn - 1) yield (0.2 * (y + 1)) / height
  }
  const isBlind = ([x, y]: Point) => blind[Math.min(height - 1, Math.floor(y * height)) * width + Math.min(width - 1, Math.floor(x * width))] === 1
  return { blind, isBlind }
}

/** A single burnt pixel is noise: those beside and below it are not. */
const isSpeck = (data: Pixels['data'], at: number, width: number) =>
  [4, 5, 6].some(next => (data[at + next] ?? 0) < burntLevel) && [0, 1, 2].some(c => (data[at + width * 4 + c] ?? 0) < burntLevel)

/** The shades around one touched spot, of which it is known what they are. */
interface Place {
  corroded: boolean
  spot: number
  shades: number[]
  take: (y: number, row: Uint32Array) => void
}
function touchedPlaces({ width, height }: Pixels, { corroded, sound }: CorrosionSamples): Place[] {
  const reach = reachOf({ width, height })
  const place =
    (isCorroded: boolean) =>
    ([atX, atY]: Point, spot: number): Place => {
      const [midX, midY] = [Math.min(width - 1, Math.floor(atX * width)), Math.min(height - 1, Math.floor(atY * height))]
      const found: number[] = []
      return {
        corroded: isCorroded,
        spot,
        shades: found,
        take: (y, row) => {
          if (Math.abs(y - midY) <= reach) for (let x = Math.max(0, midX - reach); x <= Math.min(width - 1, midX + reach); x++) found.push(row[x]!)
        },
      }
    }
  return [...corroded.map(place(true)), ...sound.map(place(false))]
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

/** How far around a touched spot is looked at. */
const reachOf = ({ width, height }: { width: number; height: number }) => Math.min(6, Math.max(2, Math.round(Math.max(width, height) / 600)))

/** The usual colour around a touched spot: medians, so that a speck or a little of the edge does not count. */
function spotColour({ width, height, data }: Pixels, [atX, atY]: Point): Seen {
  const reach = reachOf({ width, height })
  const [midX, midY] = [Math.min(width - 1, Math.floor(atX * width)), Math.min(height - 1, Math.floor(atY * height))]
  const channels: number[][] = [[], [], []]
  for (let y = Math.max(0, midY - reach); y <= Math.min(height - 1, midY + reach); y++) {
    for (let x = Math.max(0, midX - reach); x <= Math.min(width - 1, midX + reach); x++)
      channels.forEach((values, c) => values.push(data[(y * width + x) * 4 + c]!))
  }
  const [red, green, blue] = channels.map(values => values.sort((a, b) => a - b)[values.length >> 1]!)
  return seenAs(red!, green!, blue!)
}

/** Levels of a camera as light, and light as shades, by table: a sum of levels is no sum of light. */
const lightSteps = 4096
const lightOfLevel = Int32Array.from({ length: 256 }, (_, level) => Math.round(convertRgbToLrgb({ r: level / 255, g: 0, b: 0 }).r * (lightSteps - 1)))
const shadeOfLight = Uint8Array.from({ length: lightSteps }, (_, light) =>
  Math.min(shades - 1, Math.floor((convertLrgbToRgb({ r: light / (lightSteps - 1), g: 0, b: 0 }).r * 255 + 0.5) / step)),
)

/**
 * Rows of colours averaged over a small square, in light, which takes away the noise of the camera; as their shades, of which there are
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
      red[x]! += lightOfLevel[data[i]!]! - (outAt < 0 ? 0 : lightOfLevel[data[o]!]!)
      green[x]! += lightOfLevel[data[i + 1]!]! - (outAt < 0 ? 0 : lightOfLevel[data[o + 1]!]!)
      blue[x]! += lightOfLevel[data[i + 2]!]! - (outAt < 0 ? 0 : lightOfLevel[data[o + 2]!]!)
    }
  }
  for (let y = -reach; y <= reach; y++) move(y, null)
  const within = (2 * reach + 1) ** 2
  let current = 0
  return y => {
    for (; current < y; current++) move(current + 1 + reach, current - reach)
    averaged.fill(0)
    for (const column of columns) {
      let sum = 0
      for (let x = -reach; x <= reach; x++) sum += column[Math.min(width - 1, Math.max(0, x))]!
      for (let x = 0; x < width; x++) {
        averaged[x] = averaged[x]! * shades + shadeOfLight[(sum / within) | 0]!
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
function colourOfShade(shade: number, together = 1): Seen {
  const half = (step * together) / 2
  return seenAs(Math.floor(shade / shades / shades) * step + half, (Math.floor(shade / shades) % shades) * step + half, (shade % shades) * step + half)
}

interface Counted {
  inside: Uint32Array
  /** Pixels inside that a lamp has burnt out. */
  blindPx: number
  scoreOfShade: Uint8Array
  /** Shades that look like none of the spots. */
  isUnlike: Uint8Array
  corroded: Seen[]
  sound: Seen[]
  touched: readonly Place[]
}

/** How far the threshold is moved either way to see how much hangs on it. */
const thresholdPlay = 0.06
/** So far off every mixture, in shares of how far the spots lie apart, or as far as this, a colour is like none of them. */
const unlike = { share: 0.35, least: 0.04 } as const
/** Of what is between sound and corroded, so much may lie on the wrong side of the cut. Found on made-up boards. */
const edgeShare = 0.2
/** With fewer spots of a kind than this the error is widened: what was not touched is not known. */
const fewSpots = 3
const fewWidens = 1.5
/** The terms are put together as independent ones; they are not quite. Found on made-up boards, so that the error holds on others. */
const safety = 1.2

interface Terms {
  spread: number
  play: number
  misread: number
  edge: number
  unseen: number
  unlike: number
  grain: number
}

function judge({ inside, blindPx, scoreOfShade, isUnlike, corroded, sound, touched }: Counted): (threshold: number) => CorrosionArea {
  // What hangs on single spots is asked of coarser shades: an eighth of the work, for a figure that is rough anyway.
  const coarse = new Map<number, number>()
  const byScore = new Float64Array(256)
  let seenPx = 0
  inside.forEach((count, shade) => {
    seenPx += count
    if (!count || isUnlike[shade]) return
    byScore[scoreOfShade[shade]!]! += count
    const coarser = shade & ~(1 + shades + shades * shades)
    coarse.set(coarser, (coarse.get(coarser) ?? 0) + count)
  })
  const known = [...coarse].map(([shade, count]) => ({ count, tried: mixtures(colourOfShade(shade, 2), corroded, sound) }))
  const knownPx = byScore.reduce((sum, n) => sum + n, 0)
  const insidePx = seenPx + blindPx
  if (insidePx < leastInsidePx)
    throw new InputError(
      'outline',
      insidePx,
      `The outline holds ${insidePx} pixels; at least ${leastInsidePx}, please. Draw it larger, or take a closer photograph.`,
    )
  const [unseenShare, unlikeShare] = [blindPx / insidePx, (seenPx - knownPx) / insidePx]
  const shareOf = (fits: (s: (typeof known)[number]) => boolean) => known.reduce((sum, s) => sum + (fits(s) ? s.count : 0), 0) / (knownPx || 1)
  const sumAbove = (threshold: number) => byScore.subarray(1 + Math.round(threshold * 254)).reduce((sum, n) => sum + n, 0)
  const shareAbove = (threshold: number) => sumAbove(threshold) / (knownPx || 1)
  // The pairs that are left when one spot had not been touched: the jackknife over the spots of each kind.
  const badOf = (pair: number) => Math.floor(pair / sound.length)
  const goodOf = (pair: number) => pair % sound.length
  const leaving = [
    ...(corroded.length > 1 ? corroded.map((_, spot) => (pair: number) => badOf(pair) !== spot) : []),
    ...(sound.length > 1 ? sound.map((_, spot) => (pair: number) => goodOf(pair) !== spot) : []),
  ]
  const coarseShare = (threshold: number, may?: (pair: number) => boolean) => shareOf(s => bestOf(s.tried, may).share >= threshold)
  const few = Math.min(corroded.length, sound.length) < fewSpots
  const misreads = misreadsOf(touched, corroded, sound)
  const cached = new Map<number, CorrosionArea>()
  return threshold => {
    if (!(threshold > 0 && threshold < 1)) throw new InputError('threshold', threshold, 'The threshold lies between 0 and 1.')
    const there = cached.get(threshold)
    if (there) return there
    const share = shareAbove(threshold)
    const whole = coarseShare(threshold)
    const wrong = misreads(threshold)
    const terms: Terms = {
      spread: leaving.length
        ? Math.sqrt((leaving.reduce((sum, may) => sum + (coarseShare(threshold, may) - whole) ** 2, 0) * (leaving.length - 1)) / leaving.length)
        : 0,
      play: (shareAbove(Math.max(0.01, threshold - thresholdPlay)) - shareAbove(Math.min(0.99, threshold + thresholdPlay))) / 2,
      misread: Math.max(wrong.sound * (1 - share), wrong.corroded * share),
      edge: edgeShare * (shareAbove(0.15) - shareAbove(0.85)),
      // What a lamp hides is as likely corroded as the rest; what looks like nothing touched may be either.
      unseen: unseenShare / 2,
      unlike: unlikeShare * Math.max(share, 1 - share),
      grain: 1 / Math.sqrt(insidePx),
    }
    const errorPct = Math.min(100, Math.max(leastErrorPct, 100 * safety * Math.hypot(...Object.values(terms)) * (few ? fewWidens : 1)))
    const area = {
      insidePx,
      corrodedPx: Math.round(share * insidePx),
      areaPct: share * 100,
      errorPct,
      findings: say({ areaPct: share * 100, errorPct, terms, few, unseenPct: unseenShare * 100, unlikePct: unlikeShare * 100 }),
    }
    cached.set(threshold, area)
    return area
  }
}

/** How often the places around the touched spots are misread, each by the other spots: the shares of sound and of corroded ones. */
function misreadsOf(touched: readonly Place[], corroded: Spots, sound: Spots): (threshold: number) => { corroded: number; sound: number } {
  const tried = touched.map(({ corroded: isCorroded, spot, shades: around }) => {
    // Its own spot would explain it best; where there is no other of its kind it has to.
    const may = (pair: number) =>
      isCorroded ? corroded.length === 1 || Math.floor(pair / sound.length) !== spot : sound.length === 1 || pair % sound.length !== spot
    const counts = new Map<number, number>()
    for (const shade of around) counts.set(shade, (counts.get(shade) ?? 0) + 1)
    return {
      isCorroded,
      all: around.length,
      shares: [...counts].map(([shade, count]) => ({ count, share: bestOf(mixtures(colourOfShade(shade), corroded, sound), may).share })),
    }
  })
  return threshold => {
    const rate = (kind: boolean) => {
      const places = tried.filter(t => t.isCorroded === kind && t.all)
      const wrong = places.reduce((sum, t) => sum + t.shares.reduce((n, s) => n + (s.share >= threshold === kind ? 0 : s.count), 0) / t.all, 0)
      return places.length ? wrong / places.length : 0
    }
    return { corroded: rate(true), sound: rate(false) }
  }
}

const worded: Record<keyof Terms, string> = {
  spread: 'single spots',
  play: 'the threshold',
  misread: 'places that are misread',
  edge: 'soft edges',
  unseen: 'glare',
  unlike: 'what looks like none of the spots',
  grain: 'few pixels',
}

function say({
  areaPct,
  errorPct,
  terms,
  few,
  unseenPct,
  unlikePct,
}: {
  areaPct: number
  errorPct: number
  terms: Terms
  few: boolean
  unseenPct: number
  unlikePct: number
}): Finding[] {
  const telling = (Object.keys(terms) as (keyof Terms)[]).filter(t => terms[t] > 0.002).sort((a, b) => terms[b] - terms[a])
  const findings = [
    finding('note', 'corrosion-area.measured', `${decimals(areaPct, 1)} % of what can be seen is corroded, give or take ${decimals(errorPct, 1)}.`, [
      telling.length
        ? `The error comes from ${telling
            .slice(0, 3)
            .map(t => `${worded[t]} (${decimals(terms[t] * 100, 1)})`)
            .join(', ')}; it never claims better than ${leastErrorPct}.`
        : `Nothing in the picture speaks against it; it never claims better than ${leastErrorPct}.`,
    ]),
  ]
  if (unseenPct >= 0.5)
    findings.push(
      finding(
        unseenPct > 5 ? 'care' : 'note',
        'corrosion-area.glare',
        `${decimals(unseenPct, 1)} % of the area is burnt out by a lamp, and not counted.`,
        'Turn the lamp or the board, or photograph it through a diffuser.',
      ),
    )
  if (unlikePct >= 1)
    findings.push(
      finding(
        unlikePct > 10 ? 'care' : 'note',
        'corrosion-area.unlike',
        `${decimals(unlikePct, 1)} % of the area looks like none of the spots, and is not counted.`,
        'Labels, metal, specks, shadows? Touch some of it as corroded or sound, or draw the outline closer.',
      ),
    )
  if (terms.edge > 0.015)
    findings.push(
      finding(
        'care',
        'corrosion-area.focus',
        'Much of it is on soft edges: the picture is out of focus, or the corrosion fades out.',
        'Focus on the surface, and come closer.',
      ),
    )
  if (few)
    findings.push(
      finding('note', 'corrosion-area.few', 'Fewer than three spots of a kind.', 'Touch some more, in light and in shade; common practice, no source.'),
    )
  if (errorPct > 5)
    findings.push(
      finding('care', 'corrosion-area.unsure', 'The measurement is unsure.', 'Touch more spots, or photograph it again in focus and in even light.'),
    )
  return findings
}
