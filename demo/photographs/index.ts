import { board } from './board'
import { buoymaster, gannet, lumen, petrel, predictor, sextant, spindrift } from './fronts'
import { bezel, cardCage, chassis, tail } from './metal'

const row = (y: number, x: number, parts: [pins: number, text: string, code?: string][]) => {
  let at = x
  return parts.map(([pins, text, code]) => {
    const chip = { x: at, y, pins, text, code }
    at += (pins / 2) * 22 + 70
    return chip
  })
}
const petrelBoard = {
  seed: 41,
  chips: [
    ...row(190, 160, [
      [40, 'TM 8801 A', '8603'],
      [28, 'TM 4410', '8551'],
      [28, 'ROM 2', '8549'],
    ]).map(c => ({ ...c, wide: true, socketed: true })),
    ...row(460, 160, [
      [16, '4164', '8549'],
      [16, '4164', '8549'],
      [16, '4164', '8550'],
      [16, '4164', '8549'],
      [20, '74LS245', '8546'],
    ]),
    ...row(640, 160, [
      [20, '74LS373', '8544'],
      [14, '74LS04', '8547'],
      [16, '74LS138', '8545'],
      [20, '74LS244', '8546'],
    ]),
    ...row(830, 160, [
      [24, 'CLOCK 58', '8603'],
      [14, '74LS00', '8540'],
    ]),
  ],
}
const barrel = { x: 760, y: 830 }
const sextantBoard = {
  seed: 77,
  mask: '#2c5d4a',
  chips: [
    ...row(200, 170, [
      [40, 'OF 1602', '8231'],
      [40, 'OF 1610', '8235'],
    ]).map(c => ({ ...c, wide: true })),
    ...row(480, 170, [
      [20, '74LS245', '8229'],
      [20, '74LS245', '8230'],
      [16, '4116', '8235'],
      [16, '4116', '8235'],
      [14, '74LS74', '8228'],
    ]),
    ...row(680, 170, [
      [14, '74LS32', '8227'],
      [16, '74LS157', '8233'],
      [20, '74LS374', '8234'],
      [16, '74LS139', '8232'],
    ]),
  ],
}

/** The photographs of the made-up collection. None shows a real thing. */
export const pictures = {
  'petrel-front': () => petrel({ seed: 3, yellowed: 0.25 }),
  'petrel-front-yellowed': () => petrel({ seed: 4, yellowed: 0.9 }),
  'petrel-front-dusty': () => petrel({ seed: 6, yellowed: 0.5, dusty: true }),
  'sextant-front': () => sextant({ seed: 7, yellowed: 0.3 }),
  'sextant-front-dusty': () => sextant({ seed: 8, yellowed: 0.6, dusty: true }),
  'buoymaster-front': () => buoymaster({ seed: 9 }),
  'lumen-front': () => lumen({ seed: 10, yellowed: 0.4 }),
  'lumen-front-dusty': () => lumen({ seed: 11, yellowed: 0.8, dusty: true }),
  'gannet-front': () => gannet({ seed: 12 }),
  'gannet-front-dusty': () => gannet({ seed: 13, dusty: true }),
  'spindrift-front': () => spindrift({ seed: 14, yellowed: 0.2 }),
  'spindrift-front-yellowed': () => spindrift({ seed: 15, yellowed: 0.85 }),
  'predictor-front': () => predictor({ seed: 16 }),
  'petrel-board-found': () => board({ ...petrelBoard, barrel, crust: { x: 800, y: 920, spread: 0.8 } }),
  'petrel-board-later': () => board({ ...petrelBoard, barrel, crust: { x: 800, y: 920, spread: 1.1 } }),
  'sextant-board': () => board({ ...sextantBoard, edgeCrust: 0.62 }),
  'sextant-supply': () =>
    board({
      seed: 12,
      mask: '#8a6d3c',
      tide: 380,
      transformer: { x: 1180, y: 560 },
      cans: [
        { x: 420, y: 640, r: 84 },
        { x: 640, y: 640, r: 84 },
        { x: 900, y: 700, r: 52 },
        { x: 760, y: 850, r: 40 },
      ],
      chips: row(260, 300, [
        [14, '723', '8208'],
        [16, '3524', '8212'],
      ]),
    }),
  'sextant-bottom': () => chassis({ seed: 5, rust: 26 }),
  'lumen-supply': () =>
    board({
      seed: 23,
      mask: '#8f7440',
      burn: { x: 900, y: 330, r: 70 },
      transformer: { x: 1200, y: 200 },
      cans: [
        { x: 420, y: 640, r: 70 },
        { x: 620, y: 660, r: 56 },
        { x: 820, y: 700, r: 40 },
      ],
      chips: row(300, 240, [[14, '723', '8301']]),
    }),
  'lumen-bezel': bezel,
  'buoymaster-cage': () => cardCage({ seed: 9, empty: 8 }),
  'gannet-tail': tail,
  'predictor-board': () =>
    board({
      seed: 64,
      mask: '#7b6236',
      chips: row(300, 260, [
        [16, '74LS161'],
        [16, '74LS161'],
        [14, '74LS86'],
        [16, '4051'],
      ]),
      wires: ['M420 300C500 120 1200 140 1500 90', 'M780 370C900 560 1350 520 1560 110'],
    }),
} as const satisfies Record<string, () => string>
export type PictureName = keyof typeof pictures
