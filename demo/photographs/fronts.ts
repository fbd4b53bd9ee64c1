import { blot, circle, path, pencil, photograph, rect, words } from './drawing'

/** The machines of the collection as they look from the front. Every shape is made up. */
interface Looks {
  seed: number
  /** How far its plastic has gone from white, 0 to 1. */
  yellowed?: number
  dusty?: boolean
}

const mixed = (from: readonly number[], to: readonly number[], share: number) => `rgb(${from.map((v, i) => Math.round(v + (to[i]! - v) * share)).join(' ')})`
const plastic = (yellowed = 0) => mixed([226, 224, 214], [203, 172, 104], yellowed)
const repeat = (count: number, one: (i: number) => string) => Array.from({ length: count }, (_, i) => one(i)).join('')
const box = (x: number, y: number, w: number, h: number, fill: string, more = 'rx="16"') => `<g filter="url(#shadow)">${rect(x, y, w, h, fill, more)}</g>`
const vents = (x: number, y: number, count: number, w: number) => repeat(count, i => rect(x, y + i * 22, w, 10, '#00000055', 'rx="5"'))
const keys = (x: number, y: number, rows: readonly number[], key: number, fill: string) =>
  rows
    .map((count, row) => repeat(count, i => rect(x + row * key * 0.35 + i * key * 1.14, y + row * key * 1.16, key, key, fill, 'rx="8" stroke="#00000040"')))
    .join('')
const drive = (x: number, y: number) =>
  rect(x, y, 330, 120, '#1c2022', 'rx="6"') + rect(x + 24, y + 52, 282, 12, '#000') + circle(x + 290, y + 96, 8, '#a53227')
const tube = (x: number, y: number, w: number, h: number, glow = '#26332f') =>
  rect(x, y, w, h, '#15191a', 'rx="46"') +
  rect(x + 22, y + 22, w - 44, h - 44, glow, 'rx="40"') +
  rect(x + 60, y + 46, w * 0.4, h * 0.3, '#fff', 'rx="30" opacity="0.06"')

/** Dust on what looks upwards, and the marks of fingers in it. */
function dust({ seed, dusty }: Looks) {
  if (!dusty) return ''
  const hand = pencil(seed)
  return `<g opacity="0.35" filter="url(#soft)">${repeat(26, () => blot(hand, hand.between(220, 1580), hand.between(240, 980), hand.between(20, 90), '#8f8771'))}</g>`
}
const seen = (looks: Looks, content: string) => photograph('#55605f', rect(0, 880, 1800, 320, '#6f6250') + content + dust(looks))

/** A micro in one flat case with its keyboard. */
export const petrel = (looks: Looks) =>
  seen(
    looks,
    box(240, 330, 1320, 590, plastic(looks.yellowed)) +
      rect(240, 420, 1320, 16, '#2f8776') +
      rect(240, 442, 1320, 10, '#c9862c') +
      vents(1240, 350, 3, 280) +
      keys(330, 500, [13, 12, 11], 78, '#33383a') +
      rect(560, 800, 640, 74, '#33383a', 'rx="8"'),
  )
/** An office desktop under its screen. */
export const sextant = (looks: Looks) =>
  seen(
    looks,
    box(520, 90, 760, 520, plastic(looks.yellowed)) +
      tube(590, 150, 620, 400) +
      box(300, 610, 1200, 290, plastic(looks.yellowed), 'rx="10"') +
      drive(740, 690) +
      drive(1110, 690) +
      vents(360, 660, 9, 300) +
      rect(340, 860, 60, 26, '#a53227'),
  )
/** A desk with a computer in it. */
export function buoymaster(looks: Looks) {
  const hand = pencil(looks.seed)
  return seen(
    looks,
    box(140, 300, 1520, 80, '#7b6a4d', 'rx="4"') +
      box(180, 380, 640, 620, '#b9bdb4', 'rx="4"') +
      rect(220, 420, 560, 190, '#23282a') +
      repeat(16, i => circle(260 + i * 32, 470, 9, hand.random() > 0.5 ? '#e8a33a' : '#4b3a1d')) +
      repeat(16, i => rect(251 + i * 32, 530, 18, 44, i % 3 ? '#d9d6c8' : '#a8442a', 'rx="3"')) +
      repeat(9, i => rect(220, 650 + i * 38, 560, 26, '#8f948c')) +
      rect(1560, 380, 60, 620, '#6b5c43'),
  )
}
/** A case that is carried, with a small tube in it. */
export const lumen = (looks: Looks) =>
  seen(
    looks,
    path('M620 240V170H1180V240', 'fill="none" stroke="#2b2f31" stroke-width="40"') +
      box(340, 240, 1120, 660, plastic(looks.yellowed), 'rx="28"') +
      tube(410, 310, 500, 400, '#2a3a2c') +
      drive(1010, 330) +
      drive(1010, 490) +
      vents(1020, 690, 6, 300) +
      circle(450, 800, 26, '#3a3f41') +
      circle(540, 800, 26, '#3a3f41'),
  )
/** A terminal of which the keys are printed on a film. */
export const gannet = (looks: Looks) =>
  seen(
    looks,
    box(430, 160, 940, 470, '#4b5a63', 'rx="20"') +
      tube(520, 220, 560, 340) +
      rect(1130, 260, 180, 30, '#c9862c') +
      vents(1130, 340, 8, 180) +
      box(330, 640, 1140, 290, '#37434a', 'rx="14"') +
      repeat(4, row => repeat(16, i => rect(380 + i * 65, 680 + row * 56, 54, 44, row === 0 ? '#c9862c' : '#d7d2bf', 'rx="4"'))),
  )
/** A desktop as many made them. */
export const spindrift = (looks: Looks) =>
  seen(
    looks,
    box(240, 420, 1320, 400, plastic(looks.yellowed), 'rx="8"') +
      rect(240, 600, 1320, 6, '#00000033') +
      drive(1130, 450) +
      drive(1130, 640) +
      vents(300, 460, 5, 420) +
      rect(320, 680, 90, 90, '#3a3f41', 'rx="8"') +
      circle(520, 725, 12, '#38b35a') +
      circle(570, 725, 12, '#c9862c'),
  )
/** A calculator of the tides that somebody built at home. */
export const predictor = (looks: Looks) =>
  seen(
    looks,
    box(360, 240, 1080, 640, '#8a6238', 'rx="6"') +
      rect(410, 290, 980, 540, '#bfc3ba') +
      circle(680, 520, 170, '#f0ead2', 'stroke="#333" stroke-width="8"') +
      path('M680 520L780 410', 'stroke="#a53227" stroke-width="12"') +
      repeat(12, i => circle(680 + 145 * Math.cos((i * Math.PI) / 6), 520 + 145 * Math.sin((i * Math.PI) / 6), 6, '#333')) +
      rect(930, 380, 390, 110, '#1c0f0c', 'rx="8"') +
      words(956, 464, '04:37', 96, '#e2592f', 'font-weight="bold"') +
      repeat(5, i => circle(970 + i * 80, 640, 26, '#2b2f31')),
  )
