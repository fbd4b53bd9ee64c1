import { convertLab65ToXyz65, differenceCiede2000 } from 'culori/fn'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** A measured colour: CIE L*a*b* for D65 and the 2° observer, with its error as one standard deviation of a colour difference. */
export interface Lab {
  l: number
  a: number
  b: number
}
export interface MeasuredColour extends Lab {
  error: number
}

const difference = differenceCiede2000()
const lab65 = ({ l, a, b }: Lab) => ({ mode: 'lab65' as const, l, a, b })

/** Colour difference ΔE₀₀. Source: CIE 142-2001; Sharma, Wu and Dalal 2005 (by way of culori). */
export const deltaE00 = (one: Lab, other: Lab): number => difference(lab65(one), lab65(other))

/** Coefficients of the yellowness index. Source: ASTM E313, from memory. */
const yellowness = { 'D65/2': [1.2985, 1.1335], 'C/2': [1.2769, 1.0592], 'D65/10': [1.3013, 1.1498] } as const
export type Illuminant = keyof typeof yellowness

/** Yellowness index, YI = 100·(Cx·X − Cz·Z)/Y. Source: ASTM E313. @param xyz tristimulus values, Y from 0 to 100 */
export function yellownessOfXyz({ x, y, z }: { x: number; y: number; z: number }, illuminant: Illuminant = 'D65/2'): number {
  const [cx, cz] = yellowness[illuminant]
  return (100 * (cx * x - cz * z)) / y
}
/** @returns the yellowness index of a colour, for D65 and 2° */
export function yellownessOf(colour: Lab): number {
  const { x, y, z } = convertLab65ToXyz65(colour)
  return yellownessOfXyz({ x: x * 100, y: y * 100, z: z * 100 })
}

export const matches = ['none', 'slight', 'visible', 'overdone', 'cannot-tell'] as const
export type Match = (typeof matches)[number]
export const matchWords: Record<Match, string> = {
  'none': 'No visible difference',
  'slight': 'Slight',
  'visible': 'Visible',
  'overdone': 'Overdone: whiter than the reference',
  'cannot-tell': 'Too close to call',
}
/** Up to the first nobody sees it without a straight join; up to the second only side by side. Common practice of colour matching, no single source. */
export const visibleFrom = { slight: 1, visible: 2 } as const

export interface ColourMatchInput {
  part: MeasuredColour
  reference: MeasuredColour
}
export interface ColourMatchResult {
  deltaE: number
  /** How much of it may be error of measuring, 95 times of 100. */
  deltaEError: number
  deltaL: number
  deltaB: number
  partYellowness: number
  referenceYellowness: number
  match: Match
  findings: Finding[]
}

/** About 95 times of 100 within. */
const twice = 1.96

/**
 * Whether a part looks like its reference: the part that was never yellowed.
 * @returns ΔE₀₀ with its error, ΔL* and Δb* of the part against the reference, yellowness of both, words
 * @throws InputError for colours that are none
 */
export function matchColour({ part, reference }: ColourMatchInput): ColourMatchResult {
  for (const [name, colour] of [
    ['part', part],
    ['reference', reference],
  ] as const) {
    if (!(colour.l >= 1 && colour.l <= 100)) throw new InputError(`${name}.l`, colour.l, 'L*: from 1 to 100, please.')
    for (const axis of ['a', 'b'] as const)
      if (!(Math.abs(colour[axis]) <= 128)) throw new InputError(`${name}.${axis}`, colour[axis], `${axis}*: from −128 to 128, please.`)
    if (!(colour.error >= 0 && colour.error <= 20)) throw new InputError(`${name}.error`, colour.error, 'Error: from 0 to 20, please.')
  }
  const deltaE = deltaE00(part, reference)
  const deltaEError = twice * Math.hypot(part.error, reference.error)
  const [deltaL, deltaB] = [part.l - reference.l, part.b - reference.b]
  const measured = `ΔE₀₀ ${deltaE.toFixed(1)} ± ${deltaEError.toFixed(1)}; lightness (ΔL*) ${signed(deltaL)}, yellowing (Δb*) ${signed(deltaB)}.`
  // Whiter is less yellow than the reference, and no darker: by more than may be error, and by enough to be seen.
  const whiter = -deltaB > Math.max(visibleFrom.slight, deltaEError) && deltaL >= -deltaEError
  const [least, most] = [deltaE - deltaEError, deltaE + deltaEError]
  const match: Match = whiter
    ? 'overdone'
    : most <= visibleFrom.slight
      ? 'none'
      : least > visibleFrom.visible
        ? 'visible'
        : least <= visibleFrom.slight && most > visibleFrom.visible
          ? 'cannot-tell'
          : deltaE <= visibleFrom.slight
            ? 'none'
            : deltaE <= visibleFrom.visible
              ? 'slight'
              : 'visible'
  return {
    deltaE,
    deltaEError,
    deltaL,
    deltaB,
    partYellowness: yellownessOf(part),
    referenceYellowness: yellownessOf(reference),
    match,
    findings: [judgements[match](measured)],
  }
}

const judgements: Record<Match, (measured: string) => Finding> = {
  'none': measured => finding('fine', 'colour.none', 'No visible difference.', measured, commonPractice),
  'slight': measured => finding('note', 'colour.slight', 'A slight difference, seen side by side.', measured, commonPractice),
  'visible': measured => finding('care', 'colour.visible', 'A visible difference.', measured, commonPractice),
  'overdone': measured =>
    finding(
      'stop',
      'colour.overdone',
      'Overdone: it is whiter than the reference. No more of it.',
      [measured, 'Bleaching past the old colour also makes the surface chalky, and there is no way back.'],
      commonPractice,
    ),
  'cannot-tell': measured =>
    finding(
      'care',
      'colour.cannot-tell',
      'Too close to call: the error of measuring hides whether it can be seen.',
      [measured, 'Measure again in even light, larger areas, both on one photograph.'],
      commonPractice,
    ),
}
const signed = (n: number) => `${n < 0 ? '−' : '+'}${Math.abs(n).toFixed(1)}`
