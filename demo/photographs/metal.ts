import { blot, circle, path, pencil, photograph, rect, words } from './drawing'

/** The steel bottom of a case, with rust over it in blots. */
export function chassis({ seed, rust }: { seed: number; rust: number }): string {
  const hand = pencil(seed)
  const slots = Array.from({ length: 18 }, (_, i) => rect(1180 + (i % 6) * 84, 180 + Math.floor(i / 6) * 150, 34, 110, '#2b2f31', 'rx="15"')).join('')
  const screws = [
    [130, 130],
    [1670, 130],
    [130, 1070],
    [1670, 1070],
    [900, 130],
  ]
    .map(
      ([x, y]) =>
        `<g filter="url(#shadow)">${circle(x!, y!, 32, '#9a9da0')}</g>${rect(x! - 22, y! - 4, 44, 8, '#4a4d50')}${rect(x! - 4, y! - 22, 8, 44, '#4a4d50')}`,
    )
    .join('')
  const blots = Array.from({ length: rust }, () =>
    blot(hand, hand.between(120, 1680), hand.between(300, 1120) ** 1.02, hand.between(10, 46), hand.pick(['#8a4a26', '#74391d', '#9c5a2e', '#6b3820'])),
  ).join('')
  return photograph(
    '#6e7371',
    `<g filter="url(#shadow)">${rect(50, 50, 1700, 1100, '#a9adb0', 'rx="10"')}</g>${rect(50, 50, 1700, 1100, '#fff', 'opacity="0.06"')}${slots}${screws}<g filter="url(#rough)">${blots}</g>`,
  )
}

/** A row of cards in a cage with their ribbons, before anything is touched. */
export function cardCage({ seed, empty }: { seed: number; empty: number }): string {
  const hand = pencil(seed)
  const cards = Array.from({ length: 14 }, (_, i) => {
    const x = 120 + i * 114
    if (i === empty) return rect(x, 190, 84, 800, '#15191b') + words(x + 14, 1060, `${i + 1}`, 40, '#d9d2b0')
    const colour = hand.pick(['#3d6b4a', '#37624a', '#476f43'])
    const parts = Array.from({ length: 7 }, (_, k) =>
      rect(x + 18, 250 + k * 98 + hand.between(-8, 8), 46, 62, hand.pick(['#1f2224', '#23272a', '#c58f3a']), 'rx="3"'),
    ).join('')
    return `<g filter="url(#shadow)">${rect(x, 190, 84, 800, colour)}${rect(x + 10, 196, 64, 30, '#d8d4c4')}${parts}</g>${words(x + 14, 1060, `${i + 1}`, 40, '#d9d2b0')}`
  }).join('')
  const ribbons = [
    [3, 5],
    [8, 11],
  ]
    .map(
      ([a, b]) =>
        path(`M${160 + a! * 114} 230C${160 + a! * 114} 60 ${160 + b! * 114} 60 ${160 + b! * 114} 230`, 'fill="none" stroke="#b9b5a7" stroke-width="46"') +
        path(`M${138 + a! * 114} 230C${138 + a! * 114} 38 ${182 + b! * 114} 38 ${182 + b! * 114} 230`, 'fill="none" stroke="#b3261e" stroke-width="6"'),
    )
    .join('')
  return photograph('#34393b', `${rect(60, 150, 1680, 880, '#23282a', 'rx="6"')}${cards}${ribbons}`)
}

/** The two halves of a bezel, one white, one yellowed. */
export function bezel(): string {
  const frame = 'M120 90H1680V1110H120ZM400 280V900H1400V280Z'
  return photograph(
    '#5b6566',
    `<g filter="url(#shadow)">${path(frame, 'fill="#e9e6da" fill-rule="evenodd"')}</g><clipPath id="low"><rect x="0" y="600" width="1800" height="600"/></clipPath><g clip-path="url(#low)">${path(frame, 'fill="#d3b36a" fill-rule="evenodd"')}</g>${rect(120, 594, 280, 12, '#cfc49d')}${rect(1400, 594, 280, 12, '#cfc49d')}${rect(410, 290, 980, 600, '#1d2426', 'rx="40"')}${rect(470, 330, 500, 260, '#fff', 'opacity="0.06" rx="30"')}${Array.from({ length: 9 }, (_, i) => rect(480 + i * 96, 980, 60, 12, '#00000055')).join('')}`,
  )
}

/** The tail of a membrane keyboard where it folds over the edge of a board, with two lines cracked through. */
export function tail(): string {
  const lines = Array.from({ length: 14 }, (_, i) =>
    path(
      `M${520 + i * 56} 0V640C${520 + i * 56} 760 ${540 + i * 54} 800 ${540 + i * 54} 1200`,
      `fill="none" stroke="${i === 4 || i === 9 ? '#6f6a5d' : '#8d8a80'}" stroke-width="26"`,
    ),
  ).join('')
  const crease =
    path('M470 640Q900 700 1340 640', 'fill="none" stroke="#ffffff" stroke-width="14" opacity="0.55"') +
    path('M470 656Q900 716 1340 656', 'fill="none" stroke="#3a2f14" stroke-width="7" opacity="0.6"')
  const cracks = [4, 9].map(i => path(`M${500 + i * 56} 656l16 14l-8 12l22 10l14 -16`, 'fill="none" stroke="#1c160a" stroke-width="7"')).join('')
  return photograph(
    '#7f8a80',
    `${rect(0, 880, 1800, 320, '#2a5f43')}<g filter="url(#shadow)">${path('M470 0H1340V640C1340 760 1330 800 1330 1200H500C500 800 470 760 470 640Z', 'fill="#c9b98a" opacity="0.93"')}</g>${lines}${crease}${cracks}`,
  )
}
