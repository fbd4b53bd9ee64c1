import { type MemoryFailure, type MemoryFaultKind, judgeMemory } from '#core/diagnosis/memory-fault'
import { type Simulation, count } from './simulation'

/** A memory of two banks, written and then read from its first address to its last, or back, through lines that may be broken. */
interface Made {
  kind: MemoryFaultKind | 'fold'
  address: (a: number) => number
  data: (word: number) => number
  cell: (a: number, word: number) => number
  about: number[]
}
const words = 1024

function madeUp(random: () => number, widthBits: number): Made {
  const upTo = (n: number) => Math.floor(random() * n)
  const whole: Omit<Made, 'kind' | 'about'> = { address: a => a, data: w => w, cell: (_, w) => w }
  const high = random() < 0.5
  const join = (value: number, a: number, b: number) => {
    const [x, y] = [(value >> a) & 1, (value >> b) & 1]
    const both = high ? x | y : x & y
    return (value & ~((1 << a) | (1 << b))) | (both << a) | (both << b)
  }
  const bit = upTo(widthBits)
  const line = upTo(9)
  const pair = [upTo(5), 5 + upTo(3)].sort((a, b) => a - b)
  const bank = upTo(2)
  const stuck = (w: number) => (high ? w | (1 << bit) : w & ~(1 << bit))
  const made: Made[] = [
    { ...whole, kind: 'chip', about: [bit], cell: (a, w) => (a < words / 2 === (bank === 0) ? stuck(w) : w) },
    { ...whole, kind: 'data-line', about: [bit], data: stuck },
    { ...whole, kind: 'joined-bits', about: pair, data: w => join(w, pair[0]!, pair[1]!) },
    { ...whole, kind: 'joined-addresses', about: pair, address: a => join(a, pair[0]!, pair[1]!) },
    { ...whole, kind: 'address-line', about: [line], address: a => (high ? a | (1 << line) : a & ~(1 << line)) },
    { ...whole, kind: 'address-line', about: [line], address: a => (random() < 0.5 ? a ^ (1 << line) : a) },
  ]
  return made[upTo(made.length)]!
}

function test(made: Made, expected: (a: number) => number, widthBits: number, down: boolean): MemoryFailure[] {
  const cells = new Map<number, number>()
  const order = Array.from({ length: words }, (_, i) => (down ? words - 1 - i : i))
  for (const a of order) cells.set(made.address(a), made.cell(a, made.data(expected(a))))
  const mask = 2 ** widthBits - 1
  return order.map(a => ({ address: a, expected: expected(a), read: made.data(cells.get(made.address(a)) ?? mask) & mask })).filter(f => f.read !== f.expected)
}

/** What failing addresses say. */
export const memories: Simulation = {
  title: 'memories',
  runs: 200,
  simulate(random, runs) {
    let [wrongly, right, named, open, cases] = [0, 0, 0, 0, 0]
    for (let i = 0; i < runs; i++) {
      const widthBits = random() < 0.5 ? 8 : 16
      const made = madeUp(random, widthBits)
      const patterns: Record<string, (a: number) => number> = {
        address: a => a % 2 ** widthBits,
        folded: a => (widthBits === 8 ? (a & 255) ^ (a >> 8) : a),
        checkers: a => (a % 2 ? 0x5555 : 0xaaaa) % 2 ** widthBits,
      }
      const pattern = Object.keys(patterns)[Math.floor(random() * 3)]!
      const failed = test(made, patterns[pattern]!, widthBits, random() < 0.3)
      if (failed.length < 3) continue
      cases++
      // At times the list is cut short, or the map knows of one bank alone.
      const list = random() < 0.3 ? failed.slice(0, 3 + Math.floor(random() * 20)) : failed
      const bank = (name: string, from: number) => ({
        name,
        from,
        to: from + words / 2 - 1,
        chips: Array.from({ length: widthBits }, (_, c) => `${name}-${c}`),
      })
      const banks = random() < 0.2 ? [bank('low', 0)] : [bank('low', 0), bank('high', words / 2)]
      const { kind, addressLines, chips, findings } = judgeMemory({ widthBits, bitsPerChip: 1, banks, failures: list, addressInData: pattern !== 'checkers' })
      const wrong = () => void wrongly++
      const outside = list.filter(f => !banks.some(b => b.from <= f.address && f.address <= b.to)).length
      if (outside && outside < list.length && !findings.some(f => f.code === 'memory.outside-some')) wrong()
      if (kind === made.kind) right++
      else if (
        findings.some(f => /line-or-bit|joined-line|mostly-line|joined-bits/.test(f.code) && made.about.every(n => new RegExp(`\\b${n}\\b`).test(f.says)))
      )
        named++
      else if (kind === 'unclear' || kind === 'not-memory') open++
      // A cut list may show one bank of a data line; that is a chip by all that was told.
      else if (
        !((kind === 'chip' || kind === 'cell') && made.kind === 'data-line' && (list.length < failed.length || banks.length === 1)) &&
        !(pattern === 'checkers' && /address/.test(made.kind))
      )
        wrong()
      if (kind === 'address-line' && made.kind === 'address-line' && !addressLines.includes(made.about[0]!)) wrong()
      if (kind === 'joined-addresses' && made.kind === kind && `${addressLines}` !== `${made.about}`) wrong()
      if (kind === 'chip' && made.kind === 'chip' && chips[0]!.bits[0] !== made.about[0]) wrong()
    }
    return {
      figures: {
        'named rightly': count(right, cases),
        'among the two that look alike': count(named, cases),
        'left open': count(open, cases, { most: 0.3 }),
        'named wrongly': count(wrongly, cases, { most: 0.005 }),
      },
      failures: [],
    }
  },
}
