import type { BoardArea } from '#core/continuity/areas'
import type { BoardPin } from '#core/continuity/board'

/**
 * A made-up main board of the home micros: processor, memory, sixteen pieces of logic, resistors, connectors, with its nets and places in mm.
 * Chips are named by their place alone.
 */
type Row = [pin: string, net: string]
const data = Array.from({ length: 8 }, (_, i) => `D${i}`)
const address = Array.from({ length: 16 }, (_, i) => `A${i}`)
const rows = (nets: readonly string[]): Row[] => nets.map((net, i) => [String(i + 1), net])

/** A dual in-line package: pins down the left side, and up the right one, 7.62 or 15.24 mm apart. */
function dual(part: string, nets: readonly string[], x: number, y: number, { wide = false, socketed = false } = {}): BoardPin[] {
  const half = nets.length / 2
  return rows(nets).map(([pin, net], i) => ({
    part,
    pin,
    net,
    xMm: x + (i < half ? 0 : wide ? 15.24 : 7.62),
    yMm: Number((y + (i < half ? i : nets.length - 1 - i) * 2.54).toFixed(2)),
    side: 'both',
    socketed,
  }))
}
const line = (part: string, nets: readonly string[], x: number, y: number, pitch = 2.54): BoardPin[] =>
  rows(nets).map(([pin, net], i) => ({ part, pin, net, xMm: x, yMm: Number((y + i * pitch).toFixed(2)), side: 'both' }))
const across = (part: string, [a, b]: [string, string], x: number, y: number): BoardPin[] => [
  { part, pin: '1', net: a, xMm: x, yMm: y, side: 'both' },
  { part, pin: '2', net: b, xMm: x + 10.16, yMm: y, side: 'both' },
]

const processor = [...address.slice(11), 'CLK', ...data.slice(0, 4), '+5V', ...data.slice(4), 'INT', 'NMI', 'HALT', 'MREQ', 'IORQ'].concat(
  ['RD', 'WR', 'BUSAK', 'WAIT', 'BUSRQ', 'RESET', 'M1', 'RFSH', 'GND'],
  address.slice(0, 11),
)
const memory = (bit: number) => ['-5V', `D${bit}`, 'WR', 'RAS', 'MA0', 'MA2', 'MA1', '+12V', '+5V', 'MA5', 'MA4', 'MA3', 'MA6', `D${bit}`, 'CAS', 'GND']
const rom = [
  'A12',
  ...address.slice(0, 8).reverse(),
  ...data.slice(0, 3),
  'GND',
  ...data.slice(3),
  'ROMCS',
  'A10',
  'RD',
  'A11',
  'A9',
  'A8',
  'A13',
  '+5V',
  '+5V',
  '+5V',
].slice(0, 28)
const logic = (i: number) => {
  const near = (k: number) => [...address, ...data, 'RD', 'WR', 'MREQ', 'IORQ', 'CLK', 'RESET', 'RAS', 'CAS'][(i * 5 + k * 3) % 32]!
  return [...Array.from({ length: 6 }, (_, k) => near(k)), 'GND', ...Array.from({ length: 6 }, (_, k) => (k === 0 ? `SEL${i}` : near(k + 7))), '+5V']
}

export const mainBoard: BoardPin[] = [
  ...dual('IC1', processor, 60, 20, { wide: true, socketed: true }),
  ...dual('IC2', rom, 90, 20, { wide: true, socketed: true }),
  ...data.flatMap((_, bit) => dual(`IC${3 + bit}`, memory(bit), 120 + (bit % 4) * 14, 20 + Math.floor(bit / 4) * 30, { socketed: bit > 3 })),
  ...Array.from({ length: 16 }, (_, i) => dual(`IC${11 + i}`, logic(i), 20 + (i % 8) * 18, 90 + Math.floor(i / 8) * 30)).flat(),
  ...Array.from({ length: 16 }, (_, i) => across(`R${i + 1}`, [i < 8 ? `KD${i}` : `SEL${i}`, i < 8 ? `D${i}` : '+5V'], 20, 20 + i * 4)).flat(),
  ...Array.from({ length: 12 }, (_, i) => across(`C${i + 1}`, ['+5V', 'GND'], 170, 90 + i * 4)).flat(),
  ...line('J1', [...Array.from({ length: 8 }, (_, i) => `KD${i}`), ...address.slice(8)], 8, 20),
  ...line('J2', [...data, ...address, 'RD', 'WR', 'MREQ', 'IORQ', 'CLK', 'RESET', '+5V', 'GND'], 190, 20),
]

/** What the nets do, as somebody has noted it; and what wires keep clear of. */
const areas: BoardArea[] = [
  { kind: 'hole', xMm: 2, yMm: 2, widthMm: 6, heightMm: 6 },
  { kind: 'hole', xMm: 184, yMm: 136, widthMm: 6, heightMm: 6 },
  { kind: 'hot', xMm: 168, yMm: 70, widthMm: 22, heightMm: 14 },
  { kind: 'via', xMm: 84, yMm: 30, widthMm: 0, heightMm: 0 },
  { kind: 'via', xMm: 86, yMm: 55, widthMm: 0, heightMm: 0 },
  { kind: 'via', xMm: 112, yMm: 44, widthMm: 0, heightMm: 0 },
]
export const boardNotes = {
  functions: [
    ...data.map((net, bit) => ({ net, does: `data line ${bit} between the processor, its memory and all ports` })),
    ...address.map((net, bit) => ({ net, does: `address line ${bit}` })),
    ...Array.from({ length: 8 }, (_, i) => ({ net: `KD${i}`, does: `data line ${i} of the keyboard port` })),
    { net: 'RESET', does: 'reset of the processor and the ports' },
    { net: 'CLK', does: 'clock of the processor' },
    { net: 'RAS', does: 'row strobe of the memory: its refresh hangs on it' },
  ],
  areas,
}

/** What a probe would read between two pins of it, with these nets parted at a place from left to right. */
export function readsBetween(a: string, b: string, parted: Readonly<Record<string, number>>): number | null {
  const [p, q] = [a, b].map(name => mainBoard.find(pin => `${pin.part}.${pin.pin}` === name)!)
  if (!p || !q || p.net !== q.net) return null
  const at = parted[p.net]
  return at !== undefined && p.xMm! < at !== q.xMm! < at ? null : 0.4
}
