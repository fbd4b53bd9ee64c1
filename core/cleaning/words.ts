/** What is cleaned, of what, and how: the words of the plan and of the method table. */
export const materials = {
  'abs': 'Case plastic',
  'painted-metal': 'Painted metal',
  'bare-steel': 'Bare steel',
  'plated-steel': 'Plated steel',
  'aluminium': 'Aluminium',
  'gold-contacts': 'Gold contacts',
  'tin-contacts': 'Tin contacts',
  'bare-board': 'Bare board',
  'masked-board': 'Masked board',
  'legends': 'Printed legends',
  'rubber': 'Rubber',
  'foam': 'Foam',
  'membrane': 'Membrane',
  'conductive-ink': 'Conductive ink',
  'wood': 'Wood',
  'paper': 'Paper label',
  'transformer': 'Transformer',
  'speaker': 'Speaker',
  'glass': 'Glass',
  'tube-coating': 'Coating of a picture tube',
} as const
export type Material = keyof typeof materials
export const materialNames = Object.keys(materials) as Material[]

export const soils = {
  'dust': 'Dust',
  'smoke-film': 'Smoke film',
  'soot': 'Soot of a fire',
  'grease': 'Grease',
  'alkali': 'Alkali residue',
  'acid': 'Acid residue',
  'electrolyte': 'Capacitor electrolyte',
  'rust': 'Rust',
  'mould': 'Mould',
  'adhesive': 'Adhesive',
  'tar': 'Tar of perished rubber',
  'ink': 'Ink',
  'yellowing': 'Yellowing',
} as const
export type Soil = keyof typeof soils
export const soilNames = Object.keys(soils) as Soil[]

/** From the gentlest to the strongest, for the order among equals. */
export const methods = {
  'leave': 'Leave it alone',
  'brush': 'Brush and vacuum',
  'air': 'Compressed air',
  'conditioner': 'Conditioner',
  'solvent-wipe': 'Solvent wipe',
  'soapy-water': 'Soapy water',
  'contact-cleaner': 'Contact cleaner',
  'acid-neutralise': 'Neutralise with a mild acid',
  'alkali-neutralise': 'Neutralise with bicarbonate',
  'fibre-pen': 'Fibre pen',
  'abrasive': 'Mild abrasive',
  'wet-wash': 'Wet wash and low bake',
  'ultrasonic': 'Ultrasonic bath',
  'rust-remover': 'Rust remover',
  'whitening': 'Whitening',
} as const
export type Method = keyof typeof methods
/** What takes the caustic or the acid out of a residue, wherever it is recorded. */
export const isNeutralising = (method: Method | null): boolean => method === 'acid-neutralise' || method === 'alkali-neutralise'
export const methodNames = Object.keys(methods) as Method[]

/** Whether a part works today; nobody may have tried. */
export const workings = { 'works': 'Works', 'dead': 'Does not work', 'not-known': 'Nobody has seen it work' } as const
export type Working = keyof typeof workings

export const boardSchools = {
  spot: { title: 'Spot clean', means: 'Only where it is fouled, by hand; a board that is wet nowhere dries quickly.' },
  wash: { title: 'Wet wash and low bake', means: 'The whole board in cleaner and distilled water, then some hours at 40 °C.' },
  ultrasonic: { title: 'Ultrasonic bath', means: 'One part of cleaner to ten of distilled water; socketed chips and speaker out first.' },
} as const
export type BoardSchool = keyof typeof boardSchools
export const plasticSchools = {
  leave: { title: 'Leave as patina', means: 'Yellowed plastic is part of its age; nothing is risked.' },
  whiten: { title: 'Whiten', means: 'Peroxide and light bring the colour back; it does not always last, and too much cannot be undone.' },
} as const
export type PlasticSchool = keyof typeof plasticSchools
export interface CleaningSchools {
  boards: BoardSchool
  plastic: PlasticSchool
}
export const usualSchools: CleaningSchools = { boards: 'spot', plastic: 'leave' }
