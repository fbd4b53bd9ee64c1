import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { chemicals } from './chemicals'

/** One mol of an ideal gas at 0 °C and 101.325 kPa, in litre. */
const litrePerMol = 22.414
/**
 * One volume of oxygen from one volume of solution: 2 H₂O₂ → O₂ + 2 H₂O, so 2·34.015/22.414 = 3.035 g to the litre.
 * Source: the gas law.
 */
const gPerLPerVolume = (2 * chemicals.h2o2.gPerMol) / litrePerMol
/** The trade's round figures for volume strengths, in per cent. Common practice, no source. */
const roundFigures: Record<number, number> = { 10: 3, 20: 6, 30: 9, 40: 12, 100: 30, 130: 35 }
/** Above this it is no household strength: it burns skin white and feeds fires. Source: EU 2019/1148, limit for the general public, 12 % w/w, from memory. */
export const handledByAnyonePct = 12
/**
 * Per cent by mass of what is said in g to 100 ml: the solution is heavier than water, 1.034 kg/l at 10 % and 1.106 at 30 %.
 * Source: tables of density, from memory; 1 + 0.0035·w holds them within 0.2 %.
 */
const perKgPerL = 0.0035
/** @returns g to 100 ml of what is said in per cent by mass */
export const gPer100mlOfMass = (massPct: number): number => massPct * (1 + perKgPerL * massPct)
export const byMass = (gPer100ml: number): number => (Math.sqrt(1 + 4 * perKgPerL * gPer100ml) - 1) / (2 * perKgPerL)

/** @returns per cent by mass in volume, g to 100 ml */
export const percentOfVolumes = (volumes: number): number => (volumes * gPerLPerVolume) / 10
export const volumesOfPercent = (percent: number): number => (percent * 10) / gPerLPerVolume

/** What a per cent on a label means: of 100 g, as on strong solutions, or g to 100 ml, as in pharmacies. At 35 % that is 35 or 39 g to 100 ml. */
export const percentKinds = { 'by-mass': '% by mass, w/w', 'g-per-100ml': 'g to 100 ml, w/v' } as const
export type PercentKind = keyof typeof percentKinds

export interface PeroxideInput {
  /** What stands on the shelf, in per cent, or by its volume strength. */
  havePct?: number
  /** Where nobody says, the stronger reading is taken for what there is, and the weaker for what is wanted: it never comes out above. */
  haveIs?: PercentKind
  wantIs?: PercentKind
  haveVolumes?: number
  /** What is wanted, in the same terms. */
  wantPct?: number
  wantVolumes?: number
  /** How much of it; or what a part takes: its surface and how thick it is laid on, or its volume in a bath. */
  wantMl?: number
  areaCm2?: number
  layerMm?: number
  /** Months since it was opened, and how it was kept; it loses strength. */
  monthsOpen?: number
  keptCool?: boolean
}
export interface PeroxideResult {
  /** In g to 100 ml, and by mass. */
  havePct: number
  haveMassPct: number
  wantMassPct: number
  haveVolumes: number
  wantPct: number
  wantVolumes: number
  wantMl: number
  takeMl: number
  waterMl: number
  /** What it may have left of its strength; nothing where nobody said since when it is open. */
  leftPct: { low: number; high: number } | null
  findings: Finding[]
}

/** A layer that stays wet under film. Common practice, no source. */
const usualLayerMm = 2
/**
 * What an opened bottle loses in a year, at least and at most, kept cool or not. Common practice, no source;
 * data sheets of the closed bottle say less than 1 % a year.
 */
const lossAYear = { cool: [0.05, 0.2], warm: [0.15, 0.6] } as const

/**
 * Dilution of peroxide between strengths, and what a part needs.
 * c₁·V₁ = c₂·V₂; volume strength by the gas law.
 * @returns millilitres of each, strengths both ways, findings
 * @throws InputError for strengths that are none, or a strength that cannot be reached by adding water
 */
export function dilutePeroxide(input: PeroxideInput): PeroxideResult {
  const strength = (percent: 'havePct' | 'wantPct', volumes: 'haveVolumes' | 'wantVolumes', what: string, is: PercentKind): number => {
    const [p, v] = [input[percent], input[volumes]]
    if (p === undefined && v === undefined) throw new InputError(percent, p, `${what}: in per cent, or as a volume strength.`)
    if (p !== undefined && !(p > 0 && p <= 60)) throw new InputError(percent, p, `${what} in %: more than 0 and up to 60, please.`)
    if (v !== undefined && !(v > 0 && v <= 250)) throw new InputError(volumes, v, `${what} in volumes: more than 0 and up to 250, please.`)
    if (p !== undefined && v !== undefined && Math.min(Math.abs(percentOfVolumes(v) - p), Math.abs(byMass(percentOfVolumes(v)) - p)) > 0.06 * p + 0.3)
      throw new InputError(volumes, v, `${what}: ${v} volumes are ${percentOfVolumes(v).toFixed(1)} %, not ${p} %. Say one of the two.`)
    return p === undefined ? percentOfVolumes(v!) : is === 'by-mass' ? gPer100mlOfMass(p) : p
  }
  const havePct = strength('havePct', 'haveVolumes', 'What you have', input.haveIs ?? 'by-mass')
  const wantPct = strength('wantPct', 'wantVolumes', 'What you want', input.wantIs ?? 'g-per-100ml')
  const { wantMl: said, areaCm2, layerMm = usualLayerMm, monthsOpen, keptCool = true } = input
  if (said !== undefined && !(said > 0 && said <= 100_000)) throw new InputError('wantMl', said, 'How much, in ml: more than 0 and up to 100000, please.')
  if (areaCm2 !== undefined && !(areaCm2 > 0 && areaCm2 <= 100_000))
    throw new InputError('areaCm2', areaCm2, 'Surface in cm²: more than 0 and up to 100000, please.')
  if (!(layerMm > 0 && layerMm <= 50)) throw new InputError('layerMm', layerMm, 'Layer in mm: more than 0 and up to 50, please.')
  if (monthsOpen !== undefined && !(monthsOpen >= 0 && monthsOpen <= 240)) throw new InputError('monthsOpen', monthsOpen, 'Months open: from 0 to 240, please.')
  if (said === undefined && areaCm2 === undefined) throw new InputError('wantMl', said, 'How much: in ml, or the surface of the part in cm².')
  if (wantPct > havePct * (1 + 1e-9))
    throw new InputError('wantPct', wantPct, `${short(wantPct)} % cannot be made from ${short(havePct)} %: water only makes it weaker.`)
  const wantMl = said ?? (areaCm2! * layerMm) / 10
  const takeMl = (wantMl * wantPct) / havePct
  const loss = lossAYear[keptCool ? 'cool' : 'warm']
  const years = (monthsOpen ?? 0) / 12
  const leftPct = monthsOpen === undefined ? null : { low: havePct * (1 - loss[1]) ** years, high: havePct * (1 - loss[0]) ** years }
  return {
    havePct,
    haveMassPct: byMass(havePct),
    wantMassPct: byMass(wantPct),
    haveVolumes: volumesOfPercent(havePct),
    wantPct,
    wantVolumes: volumesOfPercent(wantPct),
    wantMl,
    takeMl,
    waterMl: wantMl - takeMl,
    leftPct,
    findings: judge({ havePct, wantPct, input, leftPct }),
  }
}

function judge({ havePct, wantPct, input, leftPct }: Pick<PeroxideResult, 'havePct' | 'wantPct' | 'leftPct'> & { input: PeroxideInput }): Finding[] {
  const round = (volumes: number | undefined) => (volumes === undefined ? undefined : roundFigures[volumes])
  const traded = [input.haveVolumes, input.wantVolumes].filter((v): v is number => round(v) !== undefined)
  const strongest = byMass(Math.max(havePct, wantPct))
  return [
    ...(strongest > handledByAnyonePct + 1e-6
      ? [
          finding(
            'stop',
            'peroxide.strong',
            `Above ${handledByAnyonePct} % by mass it is handled only by people trained in strong oxidisers, where the law lets them have it.`,
            ['It burns skin and eyes at once, and sets fire to cloth and paper as it dries.', 'Face shield, apron, gloves that suit it, a shower at hand.'],
            'EU 2019/1148, from memory; other countries have rules of their own',
          ),
        ]
      : [
          finding(
            'care',
            'peroxide.handle',
            'Gloves, glasses, and a bottle that can breathe.',
            'It burns skin white and bleaches what it touches.',
            commonPractice,
          ),
        ]),
    finding(
      'care',
      'peroxide.never',
      'Never beside acetone or vinegar, and never in metal or in anything closed.',
      [
        'With acetone it makes an explosive, with vinegar an acid that burns lungs and eyes.',
        'Iron, copper and brass make it boil up by itself; closed bottles burst. Glass or the plastic it came in, with a lid that vents.',
      ],
      commonPractice,
    ),
    ...(input.havePct !== undefined && input.haveIs === undefined && input.havePct >= 6
      ? [
          finding(
            'note',
            'peroxide.basis',
            `${short(input.havePct)} % was read as by mass: ${short(gPer100mlOfMass(input.havePct))} g to 100 ml.`,
            `Strong solutions are labelled so. If the label says g to 100 ml, say that; it comes out a little weaker until then.`,
          ),
        ]
      : []),
    ...traded.map(v =>
      finding(
        'note',
        'peroxide.trade',
        `${v} volumes are ${percentOfVolumes(v).toFixed(2)} g to 100 ml; the trade says ${round(v)} %.`,
        'By the gas law, at 0 °C and 101.325 kPa.',
        'gas law',
      ),
    ),
    ...(leftPct && leftPct.low < wantPct
      ? [
          finding(
            leftPct.high < wantPct ? 'stop' : 'care',
            'peroxide.old',
            `Of ${short(havePct)} % it may have ${short(leftPct.low)} to ${short(leftPct.high)} % left.`,
            'An opened bottle loses strength; how fast is a guess. Try it on a scrap, or take a fresh one.',
            commonPractice,
          ),
        ]
      : leftPct
        ? [
            finding(
              'note',
              'peroxide.age',
              `It may have ${short(leftPct.low)} to ${short(leftPct.high)} % left.`,
              'An opened bottle loses strength; how fast is a guess.',
              commonPractice,
            ),
          ]
        : []),
  ]
}
const short = (n: number) => String(significant(n))
