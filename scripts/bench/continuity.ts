import type { BoardPin } from '#core/continuity/board'
import { planPatch } from '#core/continuity/patch-plan'
import { planProbes } from '#core/continuity/probe-plan'
import { readNetList } from '#core/continuity/read-net-list'
import { seeded } from '#core/kernel/random'
import { median, row } from './row'

/** A made-up board of so many parts of sixteen pins, its nets dealt by chance. */
function madeUp(parts: number, nets: number): BoardPin[] {
  const random = seeded(3)
  return Array.from({ length: parts * 16 }, (_, i) => {
    const [part, pin] = [Math.floor(i / 16), i % 16]
    const [x, y] = [(part % 40) * 12 + (pin < 8 ? 0 : 7.62), Math.floor(part / 40) * 25 + (pin % 8) * 2.54]
    return { part: `U${part + 1}`, pin: String(pin + 1), net: `N${Math.floor(random() * nets)}`, xMm: x, yMm: y, side: 'both', socketed: part % 3 === 0 }
  })
}
const inColumns = (pins: readonly BoardPin[]) =>
  [
    'P  UNITS CUST 1',
    ...pins.map(p => {
      const signed = (mm: number) => `+${String(Math.round(mm * 1000)).padStart(6, '0')}`
      return `317${p.net.padEnd(14)}   ${p.part.padEnd(6)}-${p.pin.padEnd(4)} D0320PA00X${signed(p.xMm!)}Y${signed(p.yMm!)}`
    }),
    '999',
  ].join('\n')
const inBrackets = (pins: readonly BoardPin[]) => {
  const by = new Map<string, BoardPin[]>()
  for (const p of pins) by.set(p.part, [...(by.get(p.part) ?? []), p])
  return `(board\n${[...by.keys()]
    .map(
      part =>
        `(footprint "X" (layer "F.Cu") (at 0 0)\n(property "Reference" "${part}")\n${by
          .get(part)!
          .map(p => `(pad "${p.pin}" thru_hole rect (at ${p.xMm} ${p.yMm}) (size 1.5 1.5) (layers "*.Cu") (net 1 "${p.net}"))`)
          .join('\n')})`,
    )
    .join('\n')})`
}

/** How long boards are read, and sheets and patches planned. */
export function benchContinuity(): Promise<void> {
  const large = madeUp(1875, 5000)
  const [columns, brackets] = [inColumns(large), inBrackets(large)]
  const table = ['net,part,pin,x,y', ...large.map(p => [p.net, p.part, p.pin, p.xMm, p.yMm].join(','))].join('\n')
  const board = madeUp(120, 500)
  const zone = { parts: Array.from({ length: 32 }, (_, i) => `U${i + 1}`) }
  const plan = planProbes({ pins: board, zone })
  const spots = madeUp(4, 1).map(p => ({ name: `${p.part}.${p.pin}`, xMm: p.xMm!, yMm: p.yMm!, leg: true }))
  const pieces = [0, 1, 2, 3].map(i => spots.filter((_, at) => at % 4 === i))
  const keepOuts = Array.from({ length: 40 }, (_, i) => {
    const [x, y] = [(i % 8) * 5 + 2, Math.floor(i / 8) * 4 + 1]
    return {
      outline: [
        [x, y],
        [x + 2, y],
        [x + 2, y + 1],
        [x, y + 1],
      ] as [number, number][],
      why: 'socket',
    }
  })
  console.log('\nContinuity')
  row('', 'median')
  row(
    'net list in columns, 5 000 nets, 30 000 pins',
    median(3, () => readNetList(columns)),
  )
  row(
    'board in brackets, 5 000 nets, 30 000 pins',
    median(3, () => readNetList(brackets)),
  )
  row(
    'table, 5 000 nets, 30 000 pins',
    median(3, () => readNetList(table)),
  )
  row(
    `plan for a zone of ${32 * 16} pins`,
    median(5, () => planProbes({ pins: board, zone, oneHop: true })),
  )
  row('  its checks; pair by pair', String(plan.probes.length), String(plan.pairByPair))
  row(
    'patch of 4 pieces with 64 legs round 40 sockets',
    median(5, () => planPatch({ pieces, keepOuts })),
  )
  return Promise.resolve()
}
