import { convertLrgbToRgb, convertRgbToLab65, convertRgbToLrgb } from 'culori/fn'
import { type Finding, finding } from '../kernel/finding'
import type { MeasuredColour } from './colour'

/** Pixels of an outlined area, four bytes each: red, green, blue and one that is not looked at; coded as sRGB. */
export type Pixels = Uint8ClampedArray | Uint8Array

/** What the neutral patch is: its lightness, as its maker says or as such a part has it. Common practice, no source, but the grey card: 18 % of light. */
export const neutrals = {
  'grey-card': { title: 'Grey card, 18 %', l: 49.5 },
  'white-card': { title: 'White card or paper without brightener', l: 94 },
  'white-part': { title: 'A part known white', l: 88 },
} as const
export type Neutral = keyof typeof neutrals

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
export const fewestPixels = 400
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

/**
 * The colour of an area on a photograph, put right by a neutral patch on the same photograph: each channel is scaled so that the patch comes out
 * grey and as light as it is known to be, which takes out the colour of the light and the exposure.
 * @param area pixels of the part @param patch pixels of the neutral
 * @param neutralL lightness L* of the neutral
 * @returns L*a*b* for D65 with its error, or nothing and why: clipped, badly lit, too small, no neutral
 */
export function patchColour(area: Pixels, patch: Pixels, neutralL: number): PatchResult {
  const [part, grey] = [summarise(area), summarise(patch)]
  const refused = [...refusals(part, 'The area'), ...refusals(grey, 'The neutral patch')]
  const [low, high] = [Math.min(...grey.light), Math.max(...grey.light)]
  if (high > mostTint * low && !refused.length)
    refused.push(
      finding(
        'stop',
        'patch.tinted',
        'The neutral patch is not neutral, or the light is strongly coloured.',
        'Its channels differ too much to be put right. Daylight, or a lamp of daylight colour.',
      ),
    )
  if (refused.length) return { colour: null, findings: refused }

  // The light of a grey of this lightness, from CIE 1976: Y = ((L* + 16)/116)³.
  const known = ((neutralL + 16) / 116) ** 3
  const gains = grey.light.map(channel => known / channel) as [number, number, number]
  const right = (light: readonly number[]) => {
    const [r, g, b] = light.map((channel, i) => channel * gains[i]!) as [number, number, number]
    const { l, a, b: yellow } = convertRgbToLab65(convertLrgbToRgb({ r, g, b }))
    return { l, a: a ?? 0, b: yellow ?? 0 }
  }
  const colour = right(part.light)
  // Uneven light over a patch moves its mean about; a tenth of L* for each hundredth, roughly the slope of the cube root.
  const lightError = (share: number) => (share * (colour.l + 16)) / 3
  const spread = lightError(part.uneven)
  const error = Math.hypot(cameraError, lightError(part.uneven) / 2, lightError(grey.uneven) / 2)
  const findings: Finding[] = [
    ...(colour.l > 100
      ? [finding('care', 'patch.brighter', 'It comes out lighter than white.', 'The neutral lay in shadow, or is lighter than was said.')]
      : []),
    ...(part.uneven > mostUneven / 2 || grey.uneven > mostUneven / 2
      ? [
          finding(
            'care',
            'patch.uneven',
            'The light is uneven over the areas.',
            'Overcast daylight, nothing that shines into it; part and neutral side by side.',
          ),
        ]
      : []),
    finding(
      'note',
      'patch.error',
      `Good to about ± ${(1.96 * error).toFixed(1)} in ΔE.`,
      'A camera sees colours its own way. Differences on one photograph are surer than between two.',
    ),
  ]
  if (colour.l > 105)
    return {
      colour: null,
      findings: [finding('stop', 'patch.too-bright', 'The area is far lighter than the neutral allows.', 'Part and neutral were not in the same light.')],
    }
  return { colour: { ...colour, l: Math.min(100, colour.l), error, spread, pixels: part.pixels }, findings }
}

function refusals({ light, clipped, uneven, pixels }: Summary, what: string): Finding[] {
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
