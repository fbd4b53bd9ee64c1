import { type Finding, finding } from '../kernel/finding'

/** A cell that did not give back what was written. Addresses count words of the width. */
export interface MemoryFailure {
  address: number
  expected: number
  read: number
}
export interface MemoryBank {
  name: string
  /** First and last address, both within; every `ways`th word from the first where banks are interleaved. */
  from: number
  to: number
  ways?: number
  /** Chips by their place on the board, the one with bit 0 first; each holds `bitsPerChip` bits. */
  chips: readonly string[]
}
export interface MemoryFaultInput {
  widthBits: number
  bitsPerChip: number
  banks: readonly MemoryBank[]
  failures: readonly MemoryFailure[]
  /** Each word held its own address: then a wrong word tells where it came from. */
  addressInData?: boolean
  /** It failed only after the pattern had stood for a while. */
  onlyAfterWaiting?: boolean
  /** Passes of the test, and in how many of them anything failed. */
  passes?: number
  failedPasses?: number
}
export const memoryFaultKinds = [
  'none',
  'cell',
  'chip',
  'data-line',
  'joined-bits',
  'address-line',
  'joined-addresses',
  'bank',
  'refresh',
  'not-memory',
  'unclear',
] as const
export type MemoryFaultKind = (typeof memoryFaultKinds)[number]
export interface MemoryFaultResult {
  kind: MemoryFaultKind
  bits: { bit: number; failures: number; stuck: '0' | '1' | 'either' }[]
  /** Places under suspicion, with how many of the failures each explains. */
  chips: { place: string; bank: string; bits: number[]; failures: number }[]
  /** The one that is suspected; nothing where there is none, or more than one come into question. */
  addressLine: number | null
  /** All that come into question: words narrower than their addresses cannot tell some from others. */
  addressLines: number[]
  findings: Finding[]
}

/** Fewer failures than this show no pattern. Common practice, no source. */
export const few = 3
/** What takes many chips or two lines at once wants more of them. Common practice, no source. */
export const some = 8

/** Exclusive or of values beyond 32 bits. */
export function xor(a: number, b: number): number {
  const high = 2 ** 30
  return ((Math.floor(a / high) ^ Math.floor(b / high)) >>> 0) * high + (((a % high) ^ (b % high)) >>> 0)
}
export const bitOf = (value: number, bit: number) => Math.floor(value / 2 ** bit) % 2

export type Wrong = MemoryFailure & { diff: number; bank: MemoryBank | undefined }

export const bankOf = (address: number, banks: readonly MemoryBank[]) =>
  banks.find(b => b.from <= address && address <= b.to && (address - b.from) % (b.ways ?? 1) === 0)

export function bitsOf(wrong: readonly Wrong[], widthBits: number): MemoryFaultResult['bits'] {
  return Array.from({ length: widthBits }, (_, bit) => {
    const failing = wrong.filter(f => bitOf(f.diff, bit))
    const read = new Set(failing.map(f => bitOf(f.read, bit)))
    return { bit, failures: failing.length, stuck: read.size === 1 ? (read.has(1) ? '1' : '0') : 'either' } as const
  }).filter(b => b.failures)
}

export function chipsOf(wrong: readonly Wrong[], { widthBits, bitsPerChip }: MemoryFaultInput): MemoryFaultResult['chips'] {
  const by = new Map<string, MemoryFaultResult['chips'][number]>()
  for (const { diff, bank } of wrong)
    if (bank)
      for (let chip = 0; chip * bitsPerChip < widthBits; chip++) {
        const bits = Array.from({ length: bitsPerChip }, (_, i) => chip * bitsPerChip + i).filter(bit => bitOf(diff, bit))
        if (!bits.length) continue
        const key = `${bank.name}\n${chip}`
        const found = by.get(key) ?? { place: bank.chips[chip]!, bank: bank.name, bits: [], failures: 0 }
        found.bits = [...new Set([...found.bits, ...bits])].sort((a, b) => a - b)
        found.failures++
        by.set(key, found)
      }
  return [...by.values()].sort((a, b) => b.failures - a.failures)
}

export const orOf = (lines: readonly number[]) => lines.join(' or ')

type Words = 'address' | 'cut' | 'folded'
/** Lines of the widest address in the list and in the map. */
const addressBits = (wrong: readonly Wrong[], banks: readonly MemoryBank[]) =>
  Math.max(1, Math.ceil(Math.log2(Math.max(...wrong.map(f => f.address), ...banks.map(b => b.to)) + 1)))
const folded = (address: number, widthBits: number) => {
  let [word, rest] = [0, address]
  for (; rest; rest = Math.floor(rest / 2 ** widthBits)) word = xor(word, rest % 2 ** widthBits)
  return word
}
/** What a test that writes addresses wrote where a word is narrower: the address itself, its lowest bits, or all of it folded by exclusive or. */
export function whatWordsAre(wrong: readonly Wrong[], widthBits: number): Words | 'pattern' {
  if (wrong.every(f => f.expected === f.address)) return 'address'
  if (wrong.every(f => f.expected === f.address % 2 ** widthBits)) return 'cut'
  return wrong.every(f => f.expected === folded(f.address, widthBits)) ? 'folded' : 'pattern'
}

/**
 * The address lines that every wrong word may differ from its address in; nothing where there is none. A data bit that is stuck turns
 * the same bit, and always to the same value: only words that were turned both ways are the line's for certain.
 */
export function aliasLines(
  wrong: readonly Wrong[],
  words: Words,
  { widthBits, banks }: MemoryFaultInput,
): { bit: number; lines: number[]; sure: boolean } | null {
  const turned = new Set(wrong.map(f => f.diff))
  const [only] = turned
  const bit = turned.size === 1 && only !== undefined && wrong.length >= few ? Math.log2(only) : Number.NaN
  if (!Number.isInteger(bit)) return null
  // Where all addresses in the list are narrow, the wider lines may be folded onto them unseen.
  const lines =
    words === 'folded' || (words === 'address' && addressBits(wrong, banks) > widthBits)
      ? Array.from({ length: Math.ceil((addressBits(wrong, banks) - bit) / widthBits) }, (_, i) => bit + i * widthBits)
      : [bit]
  return { bit, lines, sure: new Set(wrong.map(f => bitOf(f.read, bit))).size === 2 }
}

/** One bit that most wrong words have turned and nothing else, where the rest is not explained by it. */
export function mostlyTurned(wrong: readonly Wrong[]): number | null {
  const counts = new Map<number, number>()
  for (const f of wrong) counts.set(f.diff, (counts.get(f.diff) ?? 0) + 1)
  const [diff, n] = [...counts].reduce((a, b) => (b[1] > a[1] ? b : a))
  const bit = Math.log2(diff)
  // Two that are turned about as often, or with few others beside, are told otherwise.
  const others = [...counts].filter(([d]) => d !== diff && !Number.isInteger(Math.log2(d)))
  return Number.isInteger(bit) && counts.size > 3 && n >= few && n >= 0.2 * wrong.length && others.length ? bit : null
}

/**
 * Two address lines that are joined: wrong words differ from their addresses in these two bits alone. Joined data lines give words that are
 * alike in both bits where they were written unlike; a word that came back unlike can only come from another place.
 */
export function joinedAddresses(wrong: readonly Wrong[]): { pair: [number, number]; sure: boolean } | null {
  const turned = [...new Set(wrong.map(f => f.diff))]
  const bits = [...new Set(turned.flatMap(diff => Array.from({ length: 32 }, (_, bit) => bit).filter(bit => bitOf(diff, bit))))].sort((a, b) => a - b)
  const [a, b] = bits
  if (bits.length !== 2 || a === undefined || b === undefined || turned.length < 2 || wrong.length < some) return null
  const unlike = wrong.some(f => bitOf(f.read, a) !== bitOf(f.read, b))
  const asData = wrong.every(f => bitOf(f.expected, a) !== bitOf(f.expected, b) && bitOf(f.read, a) === bitOf(f.read, b))
  return unlike || asData ? { pair: [a, b], sure: unlike } : null
}

/** Address bits that stand alike in every failing address, where chance would hardly have it: words land or come from where a line is wrong. */
export function addressPattern(wrong: readonly Wrong[], banks: readonly MemoryBank[]): Finding[] {
  const addresses = [...new Set(wrong.map(f => f.address))]
  // A bit that no address of the map has differently says nothing.
  const told = Array.from({ length: addressBits(wrong, banks) }, (_, bit) => bit).filter(
    bit => new Set(addresses.map(a => bitOf(a, bit))).size === 1 && banks.some(b => b.to - b.from + 1 > 2 ** bit),
  )
  if (addresses.length < 10 || !told.length || told.length > 4) return []
  return [
    finding(
      'care',
      'memory.address-pattern',
      `Every failing address has ${told.map(bit => `bit ${bit} ${bitOf(addresses[0]!, bit) ? 'set' : 'clear'}`).join(' and ')}.`,
      'An address line that is stuck, open or joined does that. Run the test with each address as its own word.',
    ),
  ]
}

/** Banks of the map that claim the same addresses: which chip a failure belongs to is then not known. */
export function overlaps(banks: readonly MemoryBank[]): Finding[] {
  return banks.flatMap((one, i) =>
    banks.slice(i + 1).flatMap(other => {
      const [from, to] = [Math.max(one.from, other.from), Math.min(one.to, other.to)]
      const steps = (one.ways ?? 1) * (other.ways ?? 1)
      for (let a = from; a <= Math.min(to, from + steps); a++)
        if (bankOf(a, [one]) && bankOf(a, [other]))
          return [
            finding(
              'care',
              'memory.overlap',
              `${one.name} and ${other.name} overlap in the map.`,
              `Failures in both are counted for ${one.name}. Put the map right before a chip is changed.`,
            ),
          ]
      return []
    }),
  )
}

/** Two bits that read alike in every failure, and were written unlike in each; both fail in some. */
export function joinedBits(wrong: readonly Wrong[], bits: MemoryFaultResult['bits']): [number, number] | null {
  const [a, b] = bits.map(x => x.bit)
  if (bits.length !== 2 || a === undefined || b === undefined || wrong.length < few) return null
  return wrong.every(f => bitOf(f.read, a) === bitOf(f.read, b) && bitOf(f.expected, a) !== bitOf(f.expected, b)) ? [a, b] : null
}
