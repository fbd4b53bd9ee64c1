import { significant } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { chemicals } from './chemicals'

/**
 * What a leaked cell or capacitor left behind, by what it came from.
 * Common practice, no source, unless a row says otherwise; the electrolytes are those of general chemistry books, from memory.
 */
export const residueSources = {
  'nickel': {
    title: 'Nickel barrel or pack',
    kind: 'alkali',
    electrolyte: 'koh',
    says: 'Potash lye: caustic, and it creeps under the mask. Left in air it turns to carbonate, which conducts when damp.',
  },
  'alkaline': { title: 'Alkaline cell', kind: 'alkali', electrolyte: 'koh', says: 'Potash lye, white and crusted once it has met the air.' },
  'zinc-carbon': {
    title: 'Zinc-carbon cell',
    kind: 'mild-acid',
    electrolyte: null,
    says: 'Zinc and ammonium chloride: mildly acid, and salt. It is the chloride that eats, and only rinsing takes it away.',
  },
  'lead-acid': {
    title: 'Lead-acid battery',
    kind: 'acid',
    electrolyte: 'h2so4',
    says: 'Sulphuric acid; it does not dry, it grows stronger as the water leaves it.',
  },
  'lithium': {
    title: 'Lithium cell',
    kind: 'solvent',
    electrolyte: null,
    says: 'An organic solvent with a salt in it; the metal burns with water, and some salts give off poison with it.',
  },
  'lithium-ion': {
    title: 'Lithium-ion cell or pack',
    kind: 'solvent',
    electrolyte: null,
    says: 'A solvent that burns, with a fluorine salt in it: with any damp it gives off hydrofluoric acid.',
  },
  'lithium-thionyl': {
    title: 'Lithium cell of 3.6 V, thionyl chloride',
    kind: 'thionyl',
    electrolyte: null,
    says: 'A liquid that burns with water and with alcohol alike, and gives off acid fumes and sulphur dioxide.',
  },
  'oil-capacitor': {
    title: 'Oil out of an old capacitor can or ballast',
    kind: 'oil',
    electrolyte: null,
    says: 'Until the 1980s many were filled with polychlorinated biphenyls, which poison slowly and stay for good; it does not show.',
  },
  'capacitor': {
    title: 'Capacitor electrolyte',
    kind: 'organic',
    electrolyte: null,
    says: 'A glycol or another solvent with organic salts, some of them mildly alkaline. There is little of it, and it wicks far.',
  },
  'unknown': { title: 'Not known', kind: 'unknown', electrolyte: null, says: 'Alkali needs acid and acid needs alkali; the wrong one makes it worse.' },
} as const satisfies Record<string, { title: string; kind: string; electrolyte: keyof typeof chemicals | null; says: string }>
export type ResidueSource = keyof typeof residueSources

export interface NeutraliseInput {
  source: ResidueSource
  /** What is there, weighed or judged, as pure electrolyte. */
  amountG?: number
  /** Or: how many cells of what capacity leaked, and how much of each. */
  cells?: number
  capacityMah?: number
  leakedPct?: number
  /** Strengths of what stands on the shelf, in g to 100 ml. */
  vinegarGPer100ml?: number
  citricGPer100ml?: number
  bicarbonateGPer100ml?: number
}

export interface Dose {
  agent: 'vinegar' | 'citric-acid' | 'bicarbonate'
  title: string
  /** Of the pure substance: exactly what the reaction takes, and what is practical. */
  exactG: number
  practicalG: number
  /** The same, of what is on the shelf. */
  exactMl: number
  practicalMl: number
}

export interface NeutraliseResult {
  /** What the sum rests on, as pure electrolyte; nothing where it cannot be told. */
  amountG: number | null
  kind: (typeof residueSources)[ResidueSource]['kind']
  doses: Dose[]
  never: string[]
  rinse: string
  findings: Finding[]
}

/**
 * Lye in a nickel cell per ampere-hour of its capacity. Sealed cells are starved: some 2 to 3 ml of 30 % lye, about 1 g of KOH for 1 Ah,
 * and alkaline primary cells hold much the same. From memory of battery handbooks, rounded up.
 */
const kohGPerAh = 1
/** Sulphuric acid to an ampere-hour: the discharge itself takes 3.66 g (two mol to two faradays), and as much again stays. */
const acidGPerAh = 7.5
/** So much more than the reaction takes is made ready: some does not reach the place. Common practice, no source. */
const practice = 3
/** Above this somebody mistyped: no machine holds so much. */
const mostG = 5000

const bounded = (field: string, value: number | undefined, least: number, most: number, what: string): void => {
  if (value !== undefined && !(value >= least && value <= most)) throw new InputError(field, value, `${what}: from ${least} to ${most}, please.`)
}

/**
 * What neutralises what a cell or capacitor left, how much of it, and what must not come near it.
 *
 * Stoichiometry from atomic weights: KOH + CH₃COOH; 3 KOH + C₆H₈O₇; H₂SO₄ + 2 NaHCO₃. An amount of cells × capacity × share is an estimate.
 * What has turned to carbonate takes the same acid, one for each potassium: K₂CO₃ + 2 CH₃COOH.
 * Lithium cells, oil of old capacitors and what is unknown are never sent to a water or acid treatment.
 * @returns doses in gram and in millilitre of what is on the shelf, rinse, findings with cautions
 * @throws InputError for amounts and strengths that are none
 */
export function neutralise({
  source,
  amountG,
  cells,
  capacityMah,
  leakedPct = 100,
  vinegarGPer100ml = 5,
  citricGPer100ml = 10,
  bicarbonateGPer100ml = 8,
}: NeutraliseInput): NeutraliseResult {
  check({ amountG, cells, capacityMah, leakedPct, vinegarGPer100ml, citricGPer100ml, bicarbonateGPer100ml })
  const { kind, electrolyte, says, title } = residueSources[source]
  const perAh = electrolyte === 'koh' ? kohGPerAh : electrolyte === 'h2so4' ? acidGPerAh : null
  const estimated = cells !== undefined && capacityMah !== undefined && perAh !== null ? ((cells * capacityMah) / 1000) * perAh * (leakedPct / 100) : null
  const amount = amountG ?? estimated
  const known = amount !== null && electrolyte !== null
  const mol = known ? amount / chemicals[electrolyte].gPerMol : 0

  const dose = (agent: Dose['agent'], name: string, molPerMol: number, gPerMol: number, gPer100ml: number): Dose => {
    const exactG = mol * molPerMol * gPerMol
    return {
      agent,
      title: name,
      exactG,
      practicalG: exactG * practice,
      exactMl: (exactG / gPer100ml) * 100,
      practicalMl: ((exactG * practice) / gPer100ml) * 100,
    }
  }
  const doses: Dose[] = !known
    ? []
    : kind === 'alkali'
      ? [
          dose('vinegar', 'White vinegar', 1, chemicals.acetic.gPerMol, vinegarGPer100ml),
          dose('citric-acid', 'Citric acid in water', 1 / 3, chemicals.citric.gPerMol, citricGPer100ml),
        ]
      : [dose('bicarbonate', 'Bicarbonate of soda in water', 2, chemicals.bicarbonate.gPerMol, bicarbonateGPer100ml)]

  return {
    amountG: known ? amount : null,
    kind,
    doses,
    never: neverWith[kind],
    rinse: rinses[kind],
    findings: [
      finding('note', 'neutralise.what', `${title}: ${ways[kind]}`, says, commonPractice),
      ...warnings[kind],
      ...(poisons[source] ?? []),
      ...(known && amountG === undefined
        ? [
            finding(
              'note',
              'neutralise.estimate',
              `The amount is an estimate: ${round(amount)} g.`,
              `${perAh} g to an ampere-hour; less may have leaked. What is carbonate by now takes the same acid; the fizzing ends when it is done.`,
              'battery handbooks, from memory',
            ),
          ]
        : []),
      ...(known
        ? [
            finding(
              'note',
              'neutralise.practice',
              `Make ${practice} times the exact amount ready, and work until it fizzes no more.`,
              kind === 'alkali' ? 'Carbonate takes the same acid as the lye did, and some does not reach the place.' : 'Some does not reach the place.',
              commonPractice,
            ),
          ]
        : []),
    ],
  }
}

function check({ amountG, cells, capacityMah, leakedPct, vinegarGPer100ml, citricGPer100ml, bicarbonateGPer100ml }: Omit<NeutraliseInput, 'source'>): void {
  bounded('amountG', amountG, 0, mostG, 'Amount in g')
  bounded('cells', cells, 1, 100, 'Cells')
  bounded('capacityMah', capacityMah, 1, 200_000, 'Capacity in mAh')
  bounded('leakedPct', leakedPct, 0, 100, 'Share leaked in %')
  bounded('vinegarGPer100ml', vinegarGPer100ml, 1, 30, 'Vinegar in g to 100 ml')
  bounded('citricGPer100ml', citricGPer100ml, 1, 60, 'Citric acid in g to 100 ml')
  bounded('bicarbonateGPer100ml', bicarbonateGPer100ml, 1, 9, 'Bicarbonate in g to 100 ml; more does not dissolve')
  if (cells !== undefined && !Number.isInteger(cells)) throw new InputError('cells', cells, 'Cells: a whole number, please.')
}

type Kind = (typeof residueSources)[ResidueSource]['kind']
const ways: Record<Kind, string> = {
  'alkali': 'neutralise with a mild acid.',
  'acid': 'neutralise with bicarbonate of soda.',
  'mild-acid': 'no neutralising to speak of; a little bicarbonate, and much rinsing.',
  'solvent': 'neither water nor acid. Wipe it up dry.',
  'thionyl': 'nothing but dry sand or dry lime, out of doors, by people trained in it.',
  'oil': 'leave it alone, and ask whoever takes such waste.',
  'organic': 'nothing to neutralise. Wash it off with alcohol, then with cleaner and water where the board bears it.',
  'unknown': 'try its pH first. No bath, no acid and no water before that.',
}
const neverWith: Record<Kind, string[]> = {
  'alkali': ['Bicarbonate or another alkali', 'Strong acids'],
  'acid': ['Vinegar, citric or another acid', 'Lye or washing soda in lumps: it boils up'],
  'mild-acid': ['Vinegar, citric or another acid'],
  'solvent': ['Water', 'Vinegar, citric or another acid', 'Bicarbonate solution'],
  'thionyl': ['Water', 'Alcohol', 'Vinegar, citric or another acid', 'Bicarbonate solution'],
  'oil': ['Water', 'Solvents: they carry it further', 'Vinegar, citric or another acid', 'Heat'],
  'organic': ['Strong acids', 'Bleach'],
  'unknown': ['Water', 'Vinegar, citric or another acid', 'Bicarbonate solution'],
}
const rinses: Record<Kind, string> = {
  'alkali': 'Distilled water, two or three times, then alcohol; dry warm.',
  'acid': 'Distilled water, two or three times, then alcohol; dry warm.',
  'mild-acid': 'Distilled water until a drop of it leaves no mark, then alcohol; dry warm.',
  'solvent': 'None, unless it is known to be no thionyl chloride cell; then alcohol on a cloth, once nothing of the cell is left.',
  'thionyl': 'None here: neither water nor alcohol.',
  'oil': 'None here; what touched it is hazardous waste.',
  'organic': 'Alcohol, then distilled water where it was washed; dry warm.',
  'unknown': 'None before its pH is known.',
}
const caustic = finding(
  'care',
  'neutralise.caustic',
  'It is caustic, dry crust too: gloves and eye protection, and water at hand.',
  'Lye eats eyes faster than acid does, and is not felt at first. Rinse for a quarter of an hour, and see a doctor.',
  commonPractice,
)
/** What is poisonous in it besides, by what leaked. */
const poisons: Partial<Record<ResidueSource, Finding[]>> = {
  'nickel': [
    finding(
      'care',
      'neutralise.cadmium',
      'Nickel packs of that age hold cadmium: poisonous, and as dust worst of all.',
      'Work wet, brush nothing dry, wash your hands; swabs, rinse and cell are hazardous waste.',
      commonPractice,
    ),
  ],
  'alkaline': [
    finding(
      'care',
      'neutralise.mercury',
      'Alkaline and button cells made before the middle of the 1990s hold mercury.',
      'Collect what falls out, with an open window; swabs and cell are hazardous waste.',
      commonPractice,
    ),
  ],
  'zinc-carbon': [
    finding(
      'care',
      'neutralise.mercury',
      'Old zinc-carbon cells hold a little mercury and cadmium.',
      'Gloves; swabs and cell are hazardous waste.',
      commonPractice,
    ),
  ],
  'lithium-ion': [
    finding(
      'stop',
      'neutralise.hydrofluoric',
      'With damp its salt gives off hydrofluoric acid: leave it to people trained in it.',
      [
        'It goes through skin without being felt and eats bone; a doctor at once, and tell them what it was.',
        'Out of doors, on sand, away from anything that burns; nobody beside it.',
      ],
      commonPractice,
    ),
  ],
}
const warnings: Record<Kind, Finding[]> = {
  'thionyl': [
    finding(
      'stop',
      'neutralise.thionyl',
      'Neither water nor alcohol: thionyl chloride burns with both.',
      'It gives off hydrogen chloride and sulphur dioxide. Out of doors, and for people trained in it.',
      commonPractice,
    ),
  ],
  'oil': [
    finding(
      'stop',
      'neutralise.oil',
      'It may hold polychlorinated biphenyls: do not touch it, wipe it or wash it.',
      'Gloves that oil does not pass, a tray below, and a place that takes such waste; local rules say which.',
      commonPractice,
    ),
  ],
  'alkali': [
    caustic,
    finding(
      'care',
      'neutralise.legend',
      'Acid lifts some legend ink and dulls bright metal.',
      'Swab it on where it is wanted, and not for long.',
      commonPractice,
    ),
  ],
  'acid': [
    caustic,
    finding('care', 'neutralise.lead', 'Lead and its salts are poisonous.', 'Gloves; keep the swabs and the rinse apart, as hazardous waste.', commonPractice),
  ],
  'mild-acid': [],
  'solvent': [
    finding(
      'stop',
      'neutralise.lithium',
      'Keep water and acid away from a lithium cell.',
      'Its metal burns with water; some of its salts give off poisonous gas with it. If it was a 3.6 V cell, do not use alcohol either.',
      commonPractice,
    ),
  ],
  'organic': [],
  'unknown': [
    finding(
      'stop',
      'neutralise.unknown',
      'It is not known what leaked: no water and no acid.',
      'Try a damp pH paper on a swab of it: blue is alkali, red is acid.',
      commonPractice,
    ),
  ],
}
const round = (g: number) => significant(g)
