import type { CautionName } from '../safety/cautions'
import { type Material, type Method, type Soil, materialNames } from './words'

/**
 * What a method does to a material, and whether it does anything about a soil. One row says one thing of several materials or soils;
 * what stands in no row is not known.
 * Source of all rows: common practice, no source, unless a row says otherwise.
 */
export type Fit = 'suited' | 'careful' | 'never'
export type MaterialRow = readonly [fit: Fit, materials: readonly Material[], why: string]
export type SoilRow = readonly [fit: Fit, soils: readonly Soil[], why: string]

interface MethodRows {
  caution?: readonly CautionName[]
  on: readonly MaterialRow[]
  against: readonly SoilRow[]
}

const boards = ['bare-board', 'masked-board'] as const
const contacts = ['gold-contacts', 'tin-contacts'] as const
const metals = ['bare-steel', 'plated-steel', 'aluminium', 'painted-metal'] as const
const plating = 'Plating is thin, and a yellowish or dull grey one may be cadmium: its dust and its salts are poisonous.'
const wontBath = ['membrane', 'conductive-ink', 'wood', 'paper', 'transformer', 'speaker', 'tube-coating', 'foam'] as const
const allBut = (...spared: Material[]) => materialNames.filter(m => !spared.includes(m))
const soaks = 'It soaks up water and keeps it: layers part, windings rust, cones and labels are lost.'

export const methodTable: Record<Method, MethodRows> = {
  'leave': {
    on: [['suited', materialNames, 'What is left alone is not harmed by us.']],
    against: [
      ['suited', ['yellowing', 'ink', 'dust', 'smoke-film'], 'It does no harm where it is; some of it is patina.'],
      ['careful', ['grease', 'adhesive', 'rust'], 'It goes on slowly; look at it again.'],
      ['never', ['alkali', 'acid', 'electrolyte', 'mould', 'tar', 'soot'], 'It goes on eating, spreading or sticking while nobody looks.'],
    ],
  },
  'brush': {
    caution: ['dust-mould'],
    on: [
      ['suited', ['abs', ...metals, ...boards, 'wood', 'transformer', 'glass'], 'Loose dirt comes off first, so that it is not rubbed in.'],
      [
        'careful',
        [...contacts, 'legends', 'rubber', 'membrane', 'paper', 'conductive-ink'],
        'A soft anti-static brush, no pressure: bristles catch, edges lift, ink flakes.',
      ],
      ['careful', ['speaker', 'foam'], 'It tears or crumbles under a brush; vacuum beside it.'],
      ['never', ['tube-coating'], 'The coating comes off, it is part of the circuit, and the tube may hold its charge. Leave it to people trained in tubes.'],
    ],
    against: [
      ['suited', ['dust'], 'Loose dirt goes with brush and vacuum.'],
      ['careful', ['soot'], 'Vacuum first, with a fine filter, without rubbing it in; gloves and a mask.'],
      ['careful', ['rust'], 'Only what is loose, with a mask.'],
      ['careful', ['mould'], 'Never dry and indoors: spores fly. With a fine filter on the vacuum, out of doors.'],
    ],
  },
  'air': {
    caution: ['dust-mould'],
    on: [
      ['suited', ['abs', ...metals, ...boards, 'transformer', 'glass'], 'It reaches where no brush does.'],
      ['careful', [...contacts, 'legends', 'rubber', 'membrane', 'wood'], 'From a distance, so that nothing is bent or blown in.'],
      ['never', ['speaker', 'paper', 'foam', 'conductive-ink', 'tube-coating'], 'The jet tears it or carries it off.'],
    ],
    against: [
      ['suited', ['dust'], 'Out of doors, fans held still so that they do not spin.'],
      ['never', ['mould', 'alkali', 'acid', 'soot'], 'It throws spores, soot or caustic dust into the air and deeper in.'],
    ],
  },
  'conditioner': {
    caution: ['solvents'],
    on: [
      ['suited', ['rubber'], 'Rubber that has only hardened comes back for a while.'],
      [
        'never',
        ['gold-contacts', 'tin-contacts', 'bare-board', 'masked-board', 'conductive-ink', 'membrane', 'paper', 'tube-coating', 'foam'],
        'It leaves oil behind.',
      ],
    ],
    against: [['careful', ['smoke-film'], 'It takes a little off and leaves oil behind.']],
  },
  'solvent-wipe': {
    caution: ['solvents'],
    on: [
      ['suited', ['bare-steel', 'plated-steel', 'aluminium', ...boards, ...contacts, 'glass'], 'Alcohol on a swab, little of it.'],
      ['careful', ['abs', 'rubber'], 'Alcohol only, no acetone, not for long: some plastics craze and rubber swells.'],
      ['careful', ['painted-metal'], 'Old paint, lacquer and shellac may go with it: try it where nobody looks.'],
      ['never', ['transformer'], 'It dissolves the lacquer of old windings, and stays between the layers.'],
      ['careful', ['membrane'], 'A damp swab away from the ink, and dry at once.'],
      ['never', ['legends', 'conductive-ink', 'paper', 'speaker', 'foam', 'wood', 'tube-coating'], 'It dissolves the print, the ink, the glue or the finish.'],
    ],
    against: [
      ['suited', ['smoke-film', 'grease', 'adhesive'], 'Alcohol takes it up; change the swab often.'],
      ['suited', ['electrolyte'], 'Alcohol and water both take it up; water goes last.'],
      ['never', ['alkali', 'acid'], 'Salts go with water and hardly with alcohol, which only carries them further under the mask.'],
      ['careful', ['soot'], 'After it was vacuumed; the chlorides in it go with water only.'],
      ['careful', ['tar', 'ink'], 'It smears before it goes; many swabs, little solvent.'],
      ['careful', ['mould'], 'Alcohol of 70 % on what was vacuumed; it does not reach what grew in.'],
    ],
  },
  'soapy-water': {
    caution: ['wet'],
    on: [
      ['suited', ['abs', 'painted-metal', 'glass', 'rubber'], 'Lukewarm, a drop of washing-up liquid, rinsed and dried.'],
      ['careful', ['legends'], 'Soft cloth, no soaking for long: some print is only on top.'],
      ['careful', ['bare-steel', 'aluminium', 'plated-steel'], 'Dried at once, warm: flash rust comes within minutes, and aluminium spots.'],
      ['never', [...wontBath], soaks],
      ['never', ['bare-board', ...contacts], 'Tap water and soap leave salts on copper and contacts.'],
      ['careful', ['masked-board'], 'Only a board with nothing to lose; rinsed in distilled water and dried through.'],
    ],
    against: [
      ['suited', ['dust', 'smoke-film', 'grease'], 'Soap takes it up.'],
      ['suited', ['soot'], 'After it was vacuumed: fire soot of plastics carries chlorides, and water takes them away before they eat.'],
      ['careful', ['electrolyte'], 'Water takes it up.'],
      ['careful', ['mould', 'adhesive'], 'It takes what is on the surface.'],
    ],
  },
  'contact-cleaner': {
    caution: ['solvents'],
    on: [
      ['suited', [...contacts], 'Made for it; little, and let it dry.'],
      ['careful', ['masked-board', 'bare-board', 'plated-steel'], 'Only where contacts are; some kinds leave oil.'],
      [
        'never',
        ['abs', 'legends', 'rubber', 'foam', 'membrane', 'conductive-ink', 'paper', 'speaker', 'wood', 'tube-coating', 'glass', 'painted-metal', 'transformer'],
        'Its solvents craze plastic, lift print and paint, and serve nothing here.',
      ],
    ],
    against: [
      ['suited', ['grease', 'smoke-film', 'electrolyte'], 'It dissolves films on contacts.'],
      ['careful', ['rust'], 'It lifts a film of oxide, no crust.'],
    ],
  },
  'acid-neutralise': {
    caution: ['battery'],
    on: [
      ['suited', ['masked-board'], 'White vinegar on a swab, where the residue is; rinsed with distilled water, dried.'],
      [
        'careful',
        ['bare-board', ...contacts, 'bare-steel', 'abs', 'painted-metal', 'rubber'],
        'Acid goes on eating bare metal: swab it on, not for long, and rinse well.',
      ],
      ['careful', ['legends'], 'Acid lifts some legend ink.'],
      ['careful', ['aluminium'], 'Lye eats aluminium as long as it is there: plenty of water at once; then a little mild acid, briefly; rinse and dry.'],
      ['never', ['plated-steel'], plating],
      ['never', [...wontBath], soaks],
    ],
    against: [
      ['suited', ['alkali'], 'Acid and alkali make a salt and water; carbonate takes the same acid, and fizzes.'],
      ['never', ['acid'], 'More acid makes it worse.'],
    ],
  },
  'alkali-neutralise': {
    caution: ['battery'],
    on: [
      ['suited', ['masked-board', 'bare-steel', 'abs', 'painted-metal'], 'Bicarbonate of soda in water, until it fizzes no more; rinsed, dried.'],
      ['careful', ['bare-board', ...contacts, 'rubber', 'legends', 'plated-steel'], 'It leaves a white salt that conducts when damp: rinse well.'],
      ['never', ['aluminium'], 'Alkali eats aluminium.'],
      ['never', [...wontBath], soaks],
    ],
    against: [
      ['suited', ['acid'], 'Bicarbonate takes acid up and cannot be overdone by much.'],
      ['never', ['alkali'], 'More alkali makes it worse.'],
    ],
  },
  'fibre-pen': {
    caution: ['glass', 'dust-mould'],
    on: [
      ['suited', ['bare-board'], 'To bright metal, lightly; the fibres are glass: gloves, and vacuum them up.'],
      ['careful', ['tin-contacts'], 'Tin is thin too: a few strokes, for what does not wipe off. The fibres are glass: gloves, and vacuum them up.'],
      ['never', ['plated-steel'], plating],
      ['careful', ['masked-board'], 'It takes the mask off as well; where the copper under it is eaten that is wanted.'],
      ['careful', ['bare-steel', 'aluminium'], 'It scratches.'],
      ['never', ['gold-contacts'], 'Gold is thin: what is rubbed off is gone, and nickel and copper corrode under it.'],
      [
        'never',
        ['abs', 'legends', 'painted-metal', 'rubber', 'foam', 'membrane', 'conductive-ink', 'wood', 'paper', 'speaker', 'glass', 'tube-coating', 'transformer'],
        'It scratches or tears it.',
      ],
    ],
    against: [
      ['suited', ['rust'], 'It takes oxide off to bright metal.'],
      ['careful', ['alkali', 'acid', 'electrolyte'], 'Only after it was neutralised and rinsed, for what has grown into the metal.'],
    ],
  },
  'abrasive': {
    caution: ['dust-mould'],
    on: [
      ['suited', ['bare-steel'], 'Fine wool or a soft pad, then oil or wax.'],
      ['careful', ['abs'], 'Textured plastic bears a soft pad; smooth plastic is dulled for good.'],
      ['careful', ['aluminium', 'tin-contacts'], 'Lightly, along the grain; nothing of it may stay inside.'],
      ['never', allBut('bare-steel', 'abs', 'aluminium', 'tin-contacts'), 'It takes off the print, the plating, the mask or the finish.'],
    ],
    against: [
      ['suited', ['rust'], 'It takes rust off mechanically.'],
      ['careful', ['smoke-film', 'grease', 'ink', 'adhesive'], 'For the rest that soap leaves in a texture.'],
    ],
  },
  'wet-wash': {
    caution: ['wet'],
    on: [
      [
        'suited',
        ['masked-board'],
        'Battery out before anything is wet. Cleaner and distilled water, rinsed, dried for hours at about 40 °C; chips in sockets, speaker, labels and foam off first.',
      ],
      ['careful', ['bare-board', ...contacts], 'Rinsed in distilled water and dried at once: bare copper and tin spot.'],
      ['careful', ['rubber', 'abs', 'glass'], 'It bears it; lukewarm, not on the bench with the boards.'],
      ['careful', ['bare-steel', 'plated-steel'], 'Dried warm at once and oiled: flash rust comes within minutes.'],
      ['never', [...wontBath], soaks],
      ['never', ['legends'], 'A long bath lifts print.'],
    ],
    against: [
      ['suited', ['grease', 'smoke-film', 'electrolyte', 'dust', 'soot'], 'It reaches under parts, and water takes salts away.'],
      ['careful', ['alkali', 'acid'], 'They are soluble in water: after it was neutralised; else it is only spread.'],
      ['careful', ['mould'], 'After it was vacuumed, out of doors.'],
    ],
  },
  'ultrasonic': {
    caution: ['ultrasonic', 'wet'],
    on: [
      [
        'suited',
        ['masked-board'],
        'Battery out before anything is wet. One part cleaner to ten of distilled water; socketed chips, speaker, relays and crystals in cans off first.',
      ],
      ['careful', ['bare-board', ...contacts, 'bare-steel', 'glass'], 'Short runs; bare metal is attacked and thin plating shaken off.'],
      ['never', [...wontBath], soaks],
      ['never', ['abs', 'legends', 'painted-metal', 'plated-steel', 'rubber', 'aluminium'], 'It cracks, lifts paint and print, or is eaten by the cleaner.'],
    ],
    against: [
      ['suited', ['grease', 'electrolyte', 'smoke-film', 'dust'], 'It reaches under parts and into sockets.'],
      ['careful', ['alkali', 'acid'], 'After it was neutralised.'],
      ['never', ['rust', 'mould'], 'It spreads it through the bath.'],
    ],
  },
  'rust-remover': {
    caution: ['solvents', 'wet'],
    on: [
      ['suited', ['bare-steel'], 'In a bath of it, rinsed, dried warm at once and oiled, or flash rust comes within minutes; screws are counted and go back.'],
      ['careful', ['painted-metal'], 'On the spot only: it creeps under paint.'],
      ['never', allBut('bare-steel', 'painted-metal'), 'An acid, or a chelate for iron; it attacks it or stays in it.'],
    ],
    against: [['suited', ['rust'], 'It takes rust off to the metal.']],
  },
  'whitening': {
    caution: ['peroxide', 'ultraviolet'],
    on: [
      ['suited', ['abs'], 'Cream under film, a bath, vapour or sun; followed by measured colour, turned, and stopped in time.'],
      ['careful', ['legends'], 'Some print fades; mask it, or try where it cannot be seen.'],
      ['never', allBut('abs', 'legends'), 'Peroxide attacks it; metal inserts, labels and foam come off first.'],
    ],
    against: [['suited', ['yellowing'], 'It takes the yellow off, most of it; it may come back.']],
  },
}
