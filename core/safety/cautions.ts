import type { Skill } from '../kernel/skills'

/**
 * The usual cautions, shown beside the step they belong to.
 * Each names the hazard, the harm, the measures, who should do it, and whose rules apply. Common practice, no source.
 */
export interface Caution {
  title: string
  harm: string
  measures: string
  who: string
  rules: string
  /** What the one who does it has to be granted. */
  skill?: Skill
}

const localRules = 'Your local electrical code and your house rules apply.'

export const cautions = {
  'mains': {
    title: 'Mains voltage',
    harm: 'Shock, burns, fire.',
    measures: 'Unplug and wait before you open it. Switch at the extension lead, one hand, nobody alone.',
    who: 'People experienced with mains, with a second person there.',
    rules: localRules,
    skill: 'mains',
  },
  'stored-charge': {
    title: 'Stored charge',
    harm: 'Big capacitors can burn and shock long after the plug is out.',
    measures: 'Measure across each big capacitor, discharge through a resistor, measure again.',
    who: 'People who have been shown how.',
    rules: localRules,
  },
  'picture-tube': {
    title: 'Picture tube',
    harm: 'High voltage held for days; implosion throws glass.',
    measures: 'Leave the tube and its cap alone. Keep the covers on. Eye protection near bare glass.',
    who: 'Only people trained in picture tubes.',
    rules: localRules,
    skill: 'picture-tube',
  },
  'battery': {
    title: 'Battery residue',
    harm: 'Caustic to skin and eyes; the crust is harmful to swallow or breathe.',
    measures: 'Gloves and glasses, ventilate, no food on the bench, bag the old cell.',
    who: 'Anyone with gloves and glasses on.',
    rules: 'Your local rules for hazardous waste apply.',
  },
  'peroxide': {
    title: 'Peroxide',
    harm: 'Burns skin and eyes, bleaches what it touches; a closed bottle can burst.',
    measures: 'Gloves, glasses and an apron, vented bottles, water at hand, nothing metal or oily beside it.',
    who: 'People who have been shown how, never alone.',
    rules: 'The supplier’s safety data sheet and your local rules on oxidisers apply.',
  },
  'ultraviolet': {
    title: 'Ultraviolet',
    harm: 'Burns eyes and skin before it is felt; some lamps make ozone.',
    measures: 'A closed box with a switch on the lid, glasses and sleeves, ventilate, lamp off before the lid is lifted.',
    who: 'People who have been shown the box.',
    rules: 'The lamp maker’s notes and your house rules apply.',
  },
  'ultrasonic': {
    title: 'Ultrasonic bath',
    harm: 'Shakes parts and skin to pieces; a flammable liquid in it catches fire.',
    measures: 'Hands out while it runs, lid on, water-based cleaner only, socketed chips and speaker out first.',
    who: 'People who have been shown the bath.',
    rules: 'The data sheet of the cleaner and your house rules apply.',
  },
  'solvents': {
    title: 'Solvents',
    harm: 'Vapour harms and catches fire.',
    measures: 'Ventilate, small amounts, no flame or hot iron nearby, gloves that suit the solvent.',
    who: 'Anyone who has read the data sheet.',
    rules: 'The supplier’s safety data sheet and your fire rules apply.',
  },
  'dust-mould': {
    title: 'Dust and mould',
    harm: 'Irritates the lungs; old dust may hold harmful fibres.',
    measures: 'Mask, work out of doors or at an extractor, never dry-brush mould indoors.',
    who: 'Anyone without a lung complaint, with a mask on.',
    rules: 'Your house rules on dust apply.',
  },
  'solder': {
    title: 'Soldering',
    harm: 'Fume irritates; lead is poisonous; the iron burns.',
    measures: 'Extract the fume, wash your hands, no food on the bench.',
    who: 'People who have been shown how.',
    rules: 'Your house rules on soldering apply.',
  },
  'lifting': {
    title: 'Lifting',
    harm: 'Backs, toes, and the machine.',
    measures: 'Clear the way, agree on the words, bend the knees, keep it close.',
    who: 'People who feel able to; nobody is asked twice.',
    rules: 'Your house rules on manual handling apply.',
    skill: 'lifting',
  },
  'glass': {
    title: 'Broken glass and sharp edges',
    harm: 'Cuts; splinters in the eyes.',
    measures: 'Gloves and eye protection. Cover the edge or take the piece out before anything else.',
    who: 'Anyone with gloves and glasses on.',
    rules: 'Your house rules on sharps apply.',
  },
  'media': {
    title: 'Original media',
    harm: 'A dirty head or a perished roller destroys what may be the only copy.',
    measures: 'Nothing original goes into a drive until its transport has been cleaned and passed with a blank.',
    who: 'Whoever passed the drive.',
    rules: 'Your house rules on handling originals apply.',
  },
  'wet': {
    title: 'Washing and drying',
    harm: 'Water left under parts shorts and corrodes once power is on.',
    measures: 'Rinse in distilled water, dry warm for hours, wait the wait out before power.',
    who: 'Anyone.',
    rules: 'Your house rules on the wash place apply.',
  },
} as const satisfies Record<string, Caution>

export type CautionName = keyof typeof cautions

/** What is used, and the caution that goes with it. Common practice, no source. */
const byWords: [words: RegExp, caution: CautionName][] = [
  [/peroxide|bleach|whiten/i, 'peroxide'],
  [/ultra-?violet|\buv\b|sun ?light|lamp/i, 'ultraviolet'],
  [/ultrasonic|ultrasound/i, 'ultrasonic'],
  [/alcohol|acetone|solvent|spirit|contact cleaner|rust remover|petrol/i, 'solvents'],
  [/water|wash|rinse|soap|bath/i, 'wet'],
  [/batter|alkali|vinegar|crust/i, 'battery'],
]

/** The cautions that go with what somebody writes they use or work on; none for words that are not known. */
export const cautionsFor = (text: string): CautionName[] => byWords.filter(([words]) => words.test(text)).map(([, caution]) => caution)
