import { type Pencil, blot, circle, path, pencil, photograph, rect, words } from './drawing'

/** A chip in its package: where its top left corner is, its pins, and what is printed on it. */
interface Chip {
  x: number
  y: number
  pins: number
  text: string
  code?: string
  socketed?: boolean
  wide?: boolean
}

export interface Board {
  seed: number
  mask?: string
  chips: Chip[]
  /** A nickel barrel lying on the board. */
  barrel?: { x: number; y: number }
  /** Crust that has crept out of it: a multiple of its first size. */
  crust?: { x: number; y: number; spread: number }
  /** Crust along the lower edge, over so much of its length, 0 to 1. */
  edgeCrust?: number
  /** Height of a tide line above the lower edge. */
  tide?: number
  burn?: { x: number; y: number; r: number }
  wires?: string[]
  /** Round capacitors standing on end. */
  cans?: { x: number; y: number; r: number }[]
  transformer?: { x: number; y: number }
}

/** One pin pitch, 2.54 mm. */
const pitchPx = 22

function chip({ x, y, pins, text, code = '', socketed, wide }: Chip): string {
  const [length, width] = [(pins / 2) * pitchPx, (wide ? 6 : 3) * pitchPx]
  const legs = Array.from({ length: pins / 2 }, (_, i) => [y - 13, y + width - 1].map(at => rect(x + 6 + i * pitchPx, at, 10, 14, '#b9bcb6')).join('')).join('')
  return `<g filter="url(#shadow)">${socketed ? rect(x - 8, y - 16, length + 16, width + 32, '#22303a') : ''}${legs}${rect(x, y, length, width, '#1d1f22', 'rx="3"')}${path(`M${x} ${y + width / 2 - 11}a11 11 0 0 1 0 22`, 'fill="#0d0e10"')}${circle(x + 14, y + width - 14, 5, '#0f1012')}</g>
  ${words(x + 26, y + width / 2 - 2, text, 22, '#a5a8a4')}${words(x + 26, y + width / 2 + 22, code, 20, '#8e918d')}`
}

function traces({ random, between, pick }: Pencil): string {
  return Array.from({ length: 120 }, () => {
    let [x, y] = [Math.round(between(90, 1700) / 11) * 11, Math.round(between(90, 1100) / 11) * 11]
    let d = `M${x} ${y}`
    for (let i = 0; i < 4; i++) {
      const by = Math.round(between(30, 220) / 11) * 11 * pick([-1, 1])
      if (random() < 0.5) x += by
      else y += by
      x = Math.min(1710, Math.max(90, x))
      y = Math.min(1110, Math.max(90, y))
      d += `L${x} ${y}`
    }
    return (
      path(d, 'fill="none" stroke="#6f9a5d" stroke-opacity="0.55" stroke-width="5" stroke-linejoin="round"') +
      circle(x, y, 7, '#b7b98a') +
      circle(x, y, 3, '#1c2a1d')
    )
  }).join('')
}

function barrel({ x, y }: { x: number; y: number }): string {
  return `<g filter="url(#shadow)">${rect(x, y, 150, 66, '#3c6fa5', 'rx="12"')}${rect(x, y + 9, 150, 12, '#fff', 'opacity="0.25"')}${rect(x - 14, y + 20, 16, 26, '#cfd2cc')}${rect(x + 148, y + 20, 16, 26, '#cfd2cc')}</g>${words(x + 20, y + 44, '3.6V 60mAh', 19, '#dfe8f2')}`
}

const can = ({ x, y, r }: { x: number; y: number; r: number }) =>
  `<g filter="url(#shadow)">${circle(x, y, r, '#2b3b52')}${circle(x, y, r * 0.86, '#b9bdbf')}</g>${path(`M${x - r * 0.5} ${y}h${r}M${x} ${y - r * 0.5}v${r}`, 'stroke="#8a8e90" stroke-width="4"')}`

const coils = ({ x, y }: { x: number; y: number }) =>
  `<g filter="url(#shadow)">${rect(x, y, 420, 330, '#4b4f52')}${rect(x + 60, y - 26, 300, 382, '#a5673a', 'rx="22"')}${Array.from({ length: 14 }, (_, i) => rect(x + 64 + i * 21, y - 24, 8, 378, '#8a5530')).join('')}${rect(x + 40, y + 130, 340, 74, '#d9cfae')}</g>${words(x + 70, y + 178, '240V 50Hz', 34, '#4b4432')}`

function crust(hand: Pencil, at: { x: number; y: number; spread: number }): string {
  const grown = Array.from({ length: 16 }, (_, i) => {
    const [angle, reach] = [hand.between(0, 2 * Math.PI), Math.sqrt(i / 16) * 125 * at.spread]
    return blot(
      hand,
      at.x + Math.cos(angle) * reach,
      at.y + Math.sin(angle) * reach * 0.7,
      hand.between(20, 44) * Math.sqrt(at.spread),
      hand.pick(['#5fa797', '#4b9787', '#7bb9aa', '#5a9fae']),
    )
  }).join('')
  return `<g filter="url(#crusty)">${grown}</g>`
}

/** A populated board seen from above. */
export function board({
  seed,
  mask = '#25613f',
  chips,
  barrel: battery,
  crust: growth,
  edgeCrust,
  tide,
  burn,
  wires = [],
  cans = [],
  transformer,
}: Board): string {
  const hand = pencil(seed)
  const holes = [
    [80, 80],
    [1720, 80],
    [80, 1120],
    [1720, 1120],
  ]
    .map(([x, y]) => circle(x!, y!, 30, '#c4c193') + circle(x!, y!, 15, '#54605a'))
    .join('')
  const resistors = Array.from({ length: 14 }, (_, i) => {
    const [x, y] = [150 + i * 112 + hand.between(-20, 20), 1010 + hand.between(-12, 12)]
    return `<g filter="url(#shadow)">${rect(x - 24, y + 8, 92, 4, '#c9c9c2')}${rect(x, y, 44, 20, '#c8a877', 'rx="9"')}${['#7a3b1d', '#1c1c1c', '#b3261e'].map((band, b) => rect(x + 8 + b * 10, y, 5, 20, band)).join('')}</g>`
  }).join('')
  const edge =
    edgeCrust === undefined
      ? ''
      : `<g filter="url(#crusty)">${Array.from({ length: Math.round(34 * edgeCrust) }, (_, i) => blot(hand, 260 + i * 38 + hand.between(-14, 14), 1118 + hand.between(-34, 12), hand.between(16, 34), hand.pick(['#5fa797', '#4b9787', '#86c0b2']))).join('')}</g>`
  const contacts = edgeCrust === undefined ? '' : Array.from({ length: 40 }, (_, i) => rect(250 + i * 33, 1090, 20, 62, '#c9a94b')).join('')
  const line =
    tide === undefined
      ? ''
      : `<g filter="url(#rough)">${path(`M40 ${1160 - tide}Q500 ${1130 - tide} 900 ${1165 - tide}T1760 ${1150 - tide}V1160H40Z`, 'fill="#6b5836" opacity="0.42"')}${path(`M40 ${1160 - tide}Q500 ${1130 - tide} 900 ${1165 - tide}T1760 ${1150 - tide}`, 'fill="none" stroke="#e6dcc0" stroke-width="9" opacity="0.75"')}</g>`
  const burnt = burn
    ? `${circle(burn.x, burn.y, burn.r * 1.7, '#1a120c', 'opacity="0.55" filter="url(#soft)"')}<g filter="url(#rough)">${blot(hand, burn.x, burn.y, burn.r, '#140d09')}${blot(hand, burn.x + 10, burn.y - 6, burn.r * 0.4, '#3a2416')}</g>`
    : ''
  const added = wires
    .map(
      d =>
        path(d, 'fill="none" stroke="#000" stroke-opacity="0.4" stroke-width="15"') +
        path(d, 'fill="none" stroke="#2f6fd0" stroke-width="12" stroke-linecap="round"'),
    )
    .join('')
  return photograph(
    '#8b8f8c',
    `<g filter="url(#shadow)">${rect(40, 40, 1720, 1120, mask, 'rx="14"')}</g>${traces(hand)}${holes}${contacts}${resistors}${chips.map(chip).join('')}${cans.map(can).join('')}${transformer ? coils(transformer) : ''}${growth ? crust(hand, growth) : ''}${battery ? barrel(battery) : ''}${edge}${line}${burnt}${added}`,
  )
}
