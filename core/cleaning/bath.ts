import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** How a strength is said. *One to ten* is one part and ten more; *one in ten* is one part of ten. */
export const strengthKinds = {
  'parts-to': { title: 'One part to …', unit: 'parts of water' },
  'parts-in': { title: 'One part in …', unit: 'parts in all' },
  'percent-volume': { title: 'Per cent by volume', unit: '%' },
  'percent-mass': { title: 'Per cent by mass', unit: '%' },
  'grams-per-litre': { title: 'Grams per litre', unit: 'g/l' },
} as const
export type StrengthKind = keyof typeof strengthKinds

export interface BathInput {
  strength: { kind: StrengthKind; value: number }
  /** The tank by its volume, or by its inside and how high it is filled. */
  volumeL?: number
  lengthCm?: number
  widthCm?: number
  fillCm?: number
  /** What the tank holds at most, up to its mark. */
  tankL?: number
  /** What is in it already: how much, and how strong, by volume of the concentrate. */
  inItL?: number
  inItPct?: number
  /** How much of the active substance the concentrate holds, against the one the recipe was made for; 100 for the same. */
  concentratePct?: number
  recipeConcentratePct?: number
  /** For strengths by mass. */
  concentrateKgPerL?: number
}

export interface BathResult {
  /** In the tank once it is filled. */
  totalL: number
  addConcentrateL: number
  addConcentrateG: number
  addWaterL: number
  /** The strength of it, by volume of concentrate. */
  volumePct: number
  /** What has to be taken out first, so that the rest can be made right. */
  takeOutL: number
  findings: Finding[]
}

/**
 * How much concentrate and water to put into a tank, with what is in it already.
 *
 * Dilution: c₁·V₁ = c₂·V₂ (general chemistry). One part to ten is 1/11 = 9.09 % by volume, one in ten is 10 %.
 * Volumes are taken to add up, which thin cleaners and water do within a per cent.
 * @returns litres and grams to add, what to take out first, findings
 * @throws InputError for strengths and volumes that are none
 */
export function mixBath(input: BathInput): BathResult {
  const { strength, inItL = 0, inItPct = 0, concentratePct = 100, recipeConcentratePct = 100, concentrateKgPerL = 1 } = input
  check(input)
  const { kind, value } = strength
  const totalL = volumeOf(input)
  // What the recipe wants of its own concentrate, and of the one at hand.
  const recipeShare = shareOf(kind, value, concentrateKgPerL)
  const share = recipeShare * (recipeConcentratePct / concentratePct)
  if (share > 1)
    throw new InputError('concentratePct', concentratePct, 'The concentrate is too weak: not even undiluted does it come to the strength of the recipe.')

  // Keep as much of what is in it as can be brought to the strength by adding alone.
  const wantL = share * totalL
  const inIt = inItPct / 100
  const tooStrong = inIt > share ? wantL / inIt : Infinity
  const tooWeak = inIt < 1 ? (totalL - wantL) / (1 - inIt) : Infinity
  const keptL = Math.min(inItL, totalL, tooStrong, tooWeak)
  const takeOutL = inItL - keptL
  const addConcentrateL = Math.max(0, wantL - keptL * inIt)
  const addWaterL = Math.max(0, totalL - keptL - addConcentrateL)

  const findings = [
    waterFirst,
    ...(takeOutL > 1e-9 ? [takeOutFirst(takeOutL)] : []),
    ...(input.tankL !== undefined && totalL > input.tankL + 1e-9 ? [doesNotFit(totalL, input.tankL)] : []),
    ...strengthFindings(kind, value, recipeShare, concentrateKgPerL),
  ]
  return { totalL, addConcentrateL, addConcentrateG: addConcentrateL * concentrateKgPerL * 1000, addWaterL, volumePct: share * 100, takeOutL, findings }
}

function check(input: BathInput): void {
  const { strength, inItL = 0, inItPct = 0, concentratePct = 100, recipeConcentratePct = 100, concentrateKgPerL = 1 } = input
  const within = (field: string, value: number | undefined, low: number, high: number, what: string) => {
    if (value !== undefined && !(value > low && value <= high)) throw new InputError(field, value, `${what}: more than ${low} and up to ${high}, please.`)
  }
  const { kind, value } = strength
  if (kind === 'parts-in' && !(value >= 1)) throw new InputError('strength.value', value, 'One part in …: at least one; one in one is the concentrate itself.')
  within('strength.value', value, 0, kind.startsWith('percent') ? 100 : kind === 'grams-per-litre' ? 2000 : 10_000, strengthKinds[kind].title)
  for (const field of ['lengthCm', 'widthCm', 'fillCm'] as const) within(field, input[field], 0, 500, `${sides[field]} in cm`)
  within('volumeL', input.volumeL, 0, 1000, 'Volume in litres')
  within('tankL', input.tankL, 0, 1000, 'The tank in litres')
  within('concentratePct', concentratePct, 0, 100, 'The concentrate in %')
  within('recipeConcentratePct', recipeConcentratePct, 0, 100, 'The concentrate of the recipe in %')
  within('concentrateKgPerL', concentrateKgPerL, 0, 3, 'Density in kg/l')
  if (!(inItL >= 0 && inItL <= 1000)) throw new InputError('inItL', inItL, 'In it already, in litres: from 0 to 1000, please.')
  if (!(inItPct >= 0 && inItPct <= 100)) throw new InputError('inItPct', inItPct, 'How strong it is, in %: from 0 to 100, please.')
}

const waterFirst = finding(
  'note',
  'bath.water',
  'Water first, then the concentrate.',
  'So nothing splashes up that is strong. Distilled water leaves no salts on a board.',
  commonPractice,
)
const takeOutFirst = (takeOutL: number) =>
  finding(
    'care',
    'bath.take-out',
    `Take ${litres(takeOutL)} out first.`,
    'With everything left in, the tank cannot be brought to this strength and level by adding.',
  )
const doesNotFit = (totalL: number, tankL: number) =>
  finding(
    'stop',
    'bath.too-much',
    `It does not fit: ${litres(totalL)} into a tank of ${litres(tankL)}.`,
    'The parts that go in raise it further.',
    'arithmetic',
  )

/** What is to be minded about a strength in parts, or by mass. */
function strengthFindings(kind: BathInput['strength']['kind'], value: number, share: number, kgPerL: number): Finding[] {
  if (kind === 'percent-mass' || kind === 'grams-per-litre')
    return [finding('note', 'bath.by-mass', 'Weigh it rather than measure it.', `Millilitres are worked out with ${kgPerL} kg to the litre.`, 'arithmetic')]
  if (kind !== 'parts-to' && kind !== 'parts-in') return []
  const other = kind === 'parts-to' ? `one in ${number(value)} would be ${percent(1 / value)}` : `one to ${number(value)} would be ${percent(1 / (value + 1))}`
  return [
    finding(
      'note',
      'bath.parts',
      `${kind === 'parts-to' ? 'One to' : 'One in'} ${number(value)} is ${percent(share)} by volume.`,
      `Not to be taken for the other: ${other}.`,
      'arithmetic',
    ),
  ]
}

const sides = { lengthCm: 'Length', widthCm: 'Width', fillCm: 'Fill height' } as const

function volumeOf({ volumeL, lengthCm, widthCm, fillCm }: BathInput): number {
  if (volumeL !== undefined) return volumeL
  for (const [field, value] of Object.entries({ lengthCm, widthCm, fillCm }))
    if (value === undefined) throw new InputError(field, value, `${sides[field as keyof typeof sides]} in cm: needed, unless the volume is said in litres.`)
  return (lengthCm! * widthCm! * fillCm!) / 1000
}

/** The share of the whole, by volume, that is concentrate; mass per cent through the density, the rest being water at 1 kg/l. */
function shareOf(kind: StrengthKind, value: number, kgPerL: number): number {
  switch (kind) {
    case 'parts-to':
      return 1 / (1 + value)
    case 'parts-in':
      return 1 / value
    case 'percent-volume':
      return value / 100
    case 'percent-mass': {
      const [ofIt, water] = [value / 100 / kgPerL, 1 - value / 100]
      return ofIt / (ofIt + water)
    }
    case 'grams-per-litre': {
      const share = value / 1000 / kgPerL
      if (share > 1) throw new InputError('strength.value', value, `Grams per litre: a litre of it undiluted weighs ${kgPerL * 1000} g.`)
      return share
    }
  }
}

const number = (n: number) => String(significant(n, 4))
const percent = (share: number) => `${significant(share * 100)} %`
const litres = (l: number) => (l < 1 ? `${Math.round(l * 1000)} ml` : `${significant(l)} l`)
