import { convertLrgbToRgb, convertRgbToLab65, convertRgbToLrgb } from 'culori/fn'
import { type Finding, finding } from '../kernel/finding'
import type { MeasuredColour } from './colour'

/** Pixels of an outlined area, four bytes each: red, green, blue and one that is not looked at; coded as sRGB. */
export type Pixels = Uint8ClampedArray | Uint8Array

/** A neutral: its lightness as its maker says or as such a part has it, how far one of its kind may be off in that, and in tint. */
export interface NeutralKind {
  title: string
  l: number
  /** One standard deviation of L*. */
  lError: number
  /** The same of a* and b*. */
  tintError: number
}
/** Common practice, no source, but the grey card: 18 % of light. Three steps of a printed scale are offered for the tone curve. */
export const neutrals = {
  'grey-card': { title: 'Grey card, 18 %', l: 49.5, lError: 1, tintError: 0.7 },
  'white-card': { title: 'White card or paper without brightener', l: 94, lError: 1.5, tintError: 1 },
  'white-part': { title: 'A part known white', l: 88, lError: 3, tintError: 2 },
  'scale-white': { title: 'Grey scale, its white', l: 95, lError: 1, tintError: 0.7 },
  'scale-light': { title: 'Grey scale, its light grey', l: 75, lError: 1, tintError: 0.7 },
  'scale-mid': { title: 'Grey scale, its middle grey', l: 50, lError: 1, tintError: 0.7 },
} as const satisfies Record<string, NeutralKind>
export type Neutral = keyof typeof neutrals
/** What may lie beside the part, and which neutrals that is; of a scale two steps do, and three are better. */
export const neutralSets = {
  'grey-card': { title: neutrals['grey-card'].title, neutrals: ['grey-card'] },
  'white-card': { title: neutrals['white-card'].title, neutrals: ['white-card'] },
  'white-part': { title: neutrals['white-part'].title, neutrals: ['white-part'] },
  'grey-scale': { title: 'Grey scale, two or three of its steps', neutrals: ['scale-white', 'scale-light', 'scale-mid'] },
} as const satisfies Record<string, { title: string; neutrals: readonly Neutral[] }>
export type NeutralSet = keyof typeof neutralSets
/** Whether so many neutrals of a set do: the one there is, and of a scale two of its steps. */
export const enoughNeutrals = (set: NeutralSet, drawn: number): boolean => drawn >= Math.min(2, neutralSets[set].neutrals.length)

/** A neutral on the photograph, and how far from the part it lies, as a share of the picture's longer side. */
export interface NeutralPatch extends Pick<NeutralKind, 'l' | 'lError' | 'tintError'> {
  pixels: Pixels
  apart: number
}

export interface PatchColour extends MeasuredColour {
  pixels: number
  /** How far the area is from being of one colour, as one standard deviation in ΔE. */
  spread: number
}
export interface PatchResult {
  colour: PatchColour | null
  findings: Finding[]
}

/** Fewer pixels than this are a detail, not a surface. */
const fewestPixels = 400
/** A channel at its end says nothing; more than this share of them, and the mean is wrong. */
const mostClipped = 0.005
/** Darker than this the noise of the camera and its coding decide. Linear share of full light. */
const leastLight = 0.01
/** A neutral patch that is more tinted than this was lit by coloured light, or is no neutral. Largest over smallest channel, linear. */
const mostTint = 2.5
/** Areas that vary more than this are lit unevenly, or are not of one colour. Relative standard deviation of light. */
const mostUneven = 0.2
/**
 * A camera sees colours its own way, and its maker's rendering bends them: so far off, as one standard deviation of ΔE,
 * even where everything else is in order. Common practice, no source.
 */
const cameraError = 1
/** Light falls off across a picture: by so large a share over its length, one standard deviation, and by the second at least. Common practice, no source. */
const sideLight = { across: 0.3, least: 0.02 } as const
/** Its tint too, where daylight and a lamp mix: so large a share of one channel against another. Common practice, no source. */
const mixedLight = { across: 0.04, least: 0.004 } as const
/**
 * A camera bends light into pictures by a curve of its maker's: contrast in the middle, a soft shoulder. So much is a part off for each step
 * of L* away from the neutral, and its chroma by so large a share, one standard deviation; less so between two neutrals. Common practice, no source.
 */
const toneCurve = { perL: 0.1, chroma: 0.12, between: 0.3, beyond: 0.55 } as const

interface Summary {
  light: [number, number, number]
  clipped: number
  /** Relative standard deviation of the light, over blocks so that noise does not count. */
  uneven: number
  pixels: number
}

/** Mean light of an area, channel by channel. Light is averaged, not its coding. */
function summarise(pixels: Pixels): Summary {
  const count = Math.floor(pixels.length / 4)
  const light: [number, number, number] = [0, 0, 0]
  const table = linear()
  let clipped = 0
  const blocks = Math.max(1, Math.min(64, Math.floor(count / 50)))
  const sums = new Float64Array(blocks)
  const sizes = new Float64Array(blocks)
  for (let i = 0; i < count; i++) {
    const [r, g, b] = [pixels[i * 4]!, pixels[i * 4 + 1]!, pixels[i * 4 + 2]!]
    if (r >= 254 || g >= 254 || b >= 254) clipped++
    light[0] += table[r]!
    light[1] += table[g]!
    light[2] += table[b]!
    const block = Math.min(blocks - 1, Math.floor((i / count) * blocks))
    sums[block]! += table[g]!
    sizes[block]!++
  }
  for (const channel of [0, 1, 2] as const) light[channel] /= count || 1
  const means = [...sums].map((sum, i) => sum / (sizes[i]! || 1))
  const mean = means.reduce((sum, m) => sum + m, 0) / means.length
  const deviation = Math.sqrt(means.reduce((sum, m) => sum + (m - mean) ** 2, 0) / Math.max(1, means.length - 1))
  return { light, clipped: clipped / (count || 1), uneven: mean > 0 ? deviation / mean : 0, pixels: count }
}

let table: Float64Array | undefined
/** Light for each value of a channel. */
const linear = () => (table ??= Float64Array.from({ length: 256 }, (_, v) => convertRgbToLrgb({ r: v / 255, g: v / 255, b: v / 255 }).r))

export interface PatchBox {
  x: number
  y: number
  width: number
  height: number
}
/** Whether two areas share some of the picture: then the part would be measured against itself. */
export const boxesOverlap = (a: PatchBox, b: PatchBox): boolean => a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

/** How far two areas lie apart, as a share of the picture's longer side. @param aspect width of the picture over its height */
export function apartOf(a: PatchBox, b: PatchBox, aspect: number): number {
  const [dx, dy] = [a.x + a.width / 2 - b.x - b.width / 2, a.y + a.height / 2 - b.y - b.height / 2]
  return Math.hypot(dx * Math.min(1, aspect), dy * Math.min(1, 1 / aspect))
}

/** Light of a grey of this lightness, from CIE 1976: Y = ((L* + 16)/116)³. */
const lightOf = (l: number) => ((l + 16) / 116) ** 3

interface KnownGrey {
  l: number
  light: [number, number, number]
}

/**
 * The curve from what the picture shows in one channel to light: through every neutral, straight between them in logarithms, and going on
 * as it ended. One neutral alone gives a gain and nothing more.
 */
function toneOf(greys: readonly KnownGrey[], channel: 0 | 1 | 2): (shown: number) => number {
  const points = greys.map(g => ({ x: Math.log(g.light[channel]), y: Math.log(lightOf(g.l)) })).sort((a, b) => a.x - b.x)
  return shown => {
    const x = Math.log(Math.max(shown, 1e-6))
    if (points.length === 1) return Math.exp(x - points[0]!.x + points[0]!.y)
    const at = Math.min(
      points.length - 2,
      Math.max(
        0,
        points.findLastIndex(p => p.x <= x),
      ),
    )
    const [p, q] = [points[at]!, points[at + 1]!]
    return Math.exp(p.y + ((x - p.x) * (q.y - p.y)) / (q.x - p.x))
  }
}

/**
 * The colour of an area on a photograph, put right by one to three neutral patches on the same photograph: each channel is bent so that they
 * come out grey and as light as they are known to be, which takes out the colour of the light and the exposure, and with more than one the
 * camera's tone curve.
 *
 * Its error is of all that is not known: the camera's own colours, light that falls off between part and neutral, the tone curve, and the
 * tolerance of the neutral itself.
 * @param area pixels of the part
 * @returns L*a*b* for D65 with its error, or nothing and why: clipped, badly lit, too small, no neutral, neutrals that disagree
 */
export function patchColour(area: Pixels, patches: readonly NeutralPatch[]): PatchResult {
  const part = summarise(area)
  const greys = patches.map((patch, i) => ({ ...patch, ...summarise(patch.pixels), name: patches.length > 1 ? `Neutral ${i + 1}` : 'The neutral patch' }))
  const refused = [...refusals(part, 'The area'), ...greys.flatMap(grey => refusals(grey, grey.name))]
  for (const grey of greys)
    if (Math.max(...grey.light) > mostTint * Math.min(...grey.light) && !refused.length)
      refused.push(
        finding(
          'stop',
          'patch.tinted',
          `${grey.name} is not neutral, or the light is strongly coloured.`,
          'Its channels differ too much to be put right. Daylight, or a lamp of daylight colour.',
        ),
      )
  const rising = [...greys].sort((a, b) => a.l - b.l)
  // Each lighter one shows more light, by a step that a curve of a camera can make of it.
  const order = rising.slice(1).map((g, i) => Math.log(g.light[1] / rising[i]!.light[1]) / Math.log(lightOf(g.l) / lightOf(rising[i]!.l)))
  if (!refused.length && order.some(slope => !(slope > 0.4 && slope < 2)))
    refused.push(
      finding(
        'stop',
        'patch.order',
        'The neutrals do not go together: a lighter one is not lighter by as much as it should be.',
        'A box is on a different patch from the one named, or they are lit differently. Draw them again, side by side.',
      ),
    )
  if (!greys.length || refused.length) return { colour: null, findings: refused }

  const curves = ([0, 1, 2] as const).map(channel => toneOf(greys, channel))
  const [r, g, b0] = part.light.map((channel, i) => curves[i]!(channel)) as [number, number, number]
  const { l, a = 0, b = 0 } = convertRgbToLab65(convertLrgbToRgb({ r, g, b: b0 }))
  const colour = { l, a, b }
  // A share of light is so much of L*, by the slope of the cube root; of a step of L* at this lightness ΔE₀₀ counts so much (CIE 142-2001).
  const perL = 1 / (1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2))
  const perChroma = 1 / (1 + 0.045 * Math.hypot(a, b))
  const lightError = (share: number) => ((share * (l + 16)) / 3) * perL
  const nearest = greys.reduce((one, other) => (Math.abs(other.l - l) < Math.abs(one.l - l) ? other : one))
  const apart = nearest.apart
  const [lowest, highest] = [rising[0]!.l, rising.at(-1)!.l]
  const known = greys.length === 1 ? 1 : l >= lowest - 3 && l <= highest + 3 ? toneCurve.between : toneCurve.beyond
  const parts = {
    place: lightError(sideLight.least + sideLight.across * apart),
    // A channel against another moves chroma about twice as far as all of them move lightness.
    mixed: ((mixedLight.least + mixedLight.across * apart) * 2 * perChroma * (l + 16)) / 3,
    tone: Math.hypot(toneCurve.perL * Math.abs(nearest.l - l) * perL, toneCurve.chroma * Math.hypot(a, b) * perChroma) * known,
    neutral: Math.hypot(nearest.lError * perL, nearest.tintError * Math.SQRT2 * perChroma),
    uneven: Math.hypot(lightError(part.uneven) / 2, lightError(nearest.uneven) / 2),
  }
  const error = Math.hypot(cameraError, ...Object.values(parts))
  const [largest] = Object.entries(parts).sort((one, other) => other[1] - one[1])[0] as [keyof typeof parts, number]
  const findings: Finding[] = [
    ...(colour.l > 100
      ? [finding('care', 'patch.brighter', 'It comes out lighter than white.', 'The neutral lay in shadow, or is lighter than entered.')]
      : []),
    ...(part.uneven > mostUneven / 2 || greys.some(grey => grey.uneven > mostUneven / 2)
      ? [
          finding(
            'care',
            'patch.uneven',
            'The light is uneven over the areas.',
            'Overcast daylight, nothing that shines into it; part and neutral side by side.',
          ),
        ]
      : []),
    finding('note', 'patch.error', `Good to about ± ${(1.96 * error).toFixed(1)} in ΔE.`, [
      smaller[largest],
      'A camera sees colours its own way. Differences on one photograph are surer than between two.',
    ]),
  ]
  if (colour.l > 105)
    return {
      colour: null,
      findings: [finding('stop', 'patch.too-bright', 'The area is far lighter than the neutral allows.', 'Part and neutral were not in the same light.')],
    }
  return { colour: { ...colour, l: Math.min(100, colour.l), error, spread: lightError(part.uneven), pixels: part.pixels }, findings }
}

/** What would make the largest part of the error smaller. */
const smaller = {
  place: 'Most of it is light from one side: the neutral right beside the part, and overcast daylight, make it smaller.',
  mixed: 'Most of it is the tint of mixed light: one kind of light, and the neutral right beside the part, make it smaller.',
  tone: 'Most of it is the tone curve of the camera: two or three steps of a grey scale, one as light as the part, make it smaller.',
  neutral: 'Most of it is the neutral itself: a grey card or a printed scale make it smaller.',
  uneven: 'Most of it is uneven light: overcast daylight and a smaller outline make it smaller.',
} as const

function refusals({ light, clipped, uneven, pixels }: Pick<Summary, 'light' | 'clipped' | 'uneven'> & { pixels: number }, what: string): Finding[] {
  const found: Finding[] = []
  if (pixels < fewestPixels)
    found.push(
      finding('stop', 'patch.small', `${what} is too small: ${pixels} pixels.`, `At least ${fewestPixels} are needed, or a detail is taken for the surface.`),
    )
  if (clipped > mostClipped)
    found.push(
      finding(
        'stop',
        'patch.clipped',
        `${what} is overexposed: ${(clipped * 100).toFixed(1)} % of it is at the end of the scale.`,
        'What is clipped has no colour left. Photograph it darker.',
      ),
    )
  if (pixels && Math.max(...light) < leastLight)
    found.push(finding('stop', 'patch.dark', `${what} is too dark to be measured.`, 'Photograph it lighter, in even light.'))
  else if (uneven > mostUneven)
    found.push(
      finding(
        'stop',
        'patch.uneven',
        `${what} is badly lit: one side is far lighter than the other.`,
        'Or it is not of one colour. Overcast daylight, nothing that shines into it; a smaller outline.',
      ),
    )
  return found
}
