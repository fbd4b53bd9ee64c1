import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/**
 * Marks drawn on a photograph, and what they measure once the photograph has a scale.
 * Points are shares of width and height, 0 to 1, so that they hold for every copy of the photograph.
 */
export type Point = readonly [x: number, y: number]
export const markForms = ['polygon', 'line', 'point'] as const
export type MarkForm = (typeof markForms)[number]
export interface Mark {
  form: MarkForm
  points: Point[]
}

export interface PixelSize {
  widthPx: number
  heightPx: number
}

/** Two points on the photograph and the distance between them on the thing itself. */
export interface Scale {
  from: Point
  to: Point
  distanceMm: number
}

/** Points that a form needs at least. */
export const leastPoints: Record<MarkForm, number> = { polygon: 3, line: 2, point: 1 }

/** A finger or a mouse meets a point to about two pixels of the photograph as it is shown, 2000 px wide; common practice, no source. */
const pointingErrorShare = 2 / 2000

const inPixels = ([x, y]: Point, { widthPx, heightPx }: PixelSize): [number, number] => [x * widthPx, y * heightPx]

function lengthPx(points: readonly Point[], size: PixelSize): number {
  const px = points.map(p => inPixels(p, size))
  return px.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - px[i]![0], y - px[i]![1]), 0)
}

/** Area of a closed outline by the surveyor's formula, in square pixels. */
function areaPx2(points: readonly Point[], size: PixelSize): number {
  const px = points.map(p => inPixels(p, size))
  const twice = px.reduce((sum, [x, y], i) => {
    const [nextX, nextY] = px[(i + 1) % px.length]!
    return sum + x * nextY - nextX * y
  }, 0)
  return Math.abs(twice) / 2
}

/**
 * Millimetres that one pixel of the photograph covers, in the plane of the two points.
 * @throws InputError when the points lie on each other or the distance is none
 */
export function mmPerPx(scale: Scale, size: PixelSize): number {
  if (!(scale.distanceMm > 0 && scale.distanceMm <= 5000))
    throw new InputError('distanceMm', scale.distanceMm, 'Distance: more than 0 and up to 5000 mm, please.')
  const px = lengthPx([scale.from, scale.to], size)
  if (px < 5) throw new InputError('to', scale.to, 'The two points are on top of each other. Set them as far apart as the known distance allows.')
  return scale.distanceMm / px
}

/** How far a measured length may be off because of pointing alone, in per cent. */
function scaleErrorPct(scale: Scale, size: PixelSize): number {
  const error = pointingErrorShare * Math.max(size.widthPx, size.heightPx) * Math.SQRT2
  return (error / lengthPx([scale.from, scale.to], size)) * 100
}

export interface MeasuredMark {
  /** Length of a line, circumference of an outline; nothing without a scale. */
  lengthMm: number | null
  areaMm2: number | null
  /** What the extent reads as: `about 300 mm²`, `about 40 mm`, or nothing. */
  extent: string
}

const rounded = (value: number) => Number(value.toPrecision(value < 10 ? 2 : 3))

/** Measures a mark. @param scale the photograph's scale, if it has one */
export function measureMark({ form, points }: Mark, size: PixelSize, scale: Scale | null): MeasuredMark {
  if (!scale || form === 'point') return { lengthMm: null, areaMm2: null, extent: '' }
  const mm = mmPerPx(scale, size)
  if (form === 'line') {
    const lengthMm = lengthPx(points, size) * mm
    return { lengthMm, areaMm2: null, extent: `about ${rounded(lengthMm)} mm` }
  }
  const areaMm2 = areaPx2(points, size) * mm ** 2
  return { lengthMm: lengthPx([...points, points[0]!], size) * mm, areaMm2, extent: `about ${rounded(areaMm2)} mm²` }
}

/** What to think of a scale before trusting millimetres to it. */
export function judgeScale(scale: Scale, size: PixelSize): Finding[] {
  const error = scaleErrorPct(scale, size)
  const pixel = `one pixel is ${rounded(mmPerPx(scale, size))} mm`
  const says = `Lengths are good to about ${rounded(error)} %, areas to about ${rounded(2 * error)} %.`
  return [
    error > 3
      ? finding('care', 'scale.short', `The two points are close together; ${pixel}.`, [
          says,
          'Take a longer known distance, such as the whole length of a package.',
        ])
      : finding('fine', 'scale.set', `The photograph has a scale: ${pixel}.`, says),
    finding(
      'note',
      'scale.plane',
      'It holds in the plane of the two points, with the camera square to it.',
      'Anything higher, lower or at a slant measures wrong. Common practice, no source.',
    ),
  ]
}

/** Refuses what is no mark. @throws InputError */
export function checkMark({ form, points }: Mark): void {
  if (points.length < leastPoints[form]) throw new InputError('mark.points', points.length, `A ${form} needs ${leastPoints[form]} points or more.`)
  if (points.flat().some(at => !(at >= 0 && at <= 1))) throw new InputError('mark.points', points, 'A point lies outside the photograph.')
}

/** The share of its picture that an outline holds, by the shoelace formula; all of it where there is no outline. */
export const shareOfPicture = (outline: readonly Point[]): number =>
  outline.length < 3
    ? 1
    : Math.abs(
        outline.reduce((sum, [x1, y1], i) => {
          const [x2, y2] = outline[(i + 1) % outline.length]!
          return sum + x1 * y2 - x2 * y1
        }, 0) / 2,
      )

/** Where a mark lies on its picture, in words, by thirds of it: what is said until somebody says it better. */
export function placeOnPicture(points: readonly Point[]): string {
  const middle = (of: 0 | 1) => points.reduce((sum, p) => sum + p[of], 0) / points.length
  const third = (at: number, words: readonly [string, string, string]) => words[at < 1 / 3 ? 0 : at <= 2 / 3 ? 1 : 2]
  const place = [third(middle(1), ['top', '', 'bottom']), third(middle(0), ['left', '', 'right'])].filter(Boolean).join(' ')
  return `${place || 'middle'} of the photograph`
}
