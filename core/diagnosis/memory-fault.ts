import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

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

const most = { failures: 5000, banks: 64, chips: 64 } as const
/** Fewer failures than this show no pattern. Common practice, no source. */
const few = 3
/** What takes many chips or two lines at once wants more of them. Common practice, no source. */
const some = 8

/**
 * What a list of failing addresses says: which bits, which chip by its place, an address line, or something that is no memory at all.
 * Common practice, no source, where it judges; the arithmetic is that of exclusive or.
 * @throws InputError for a width, a bank or a value that cannot be
 */
export function judgeMemory(input: MemoryFaultInput): MemoryFaultResult {
  check(input)
  const { widthBits, failures, banks, addressInData = false, onlyAfterWaiting = false, passes, failedPasses } = input
  const told = (kind: MemoryFaultKind, findings: Finding[], addressLines: number[] = []): MemoryFaultResult => ({
    kind,
    bits,
    chips,
    addressLine: addressLines.length === 1 ? addressLines[0]! : null,
    addressLines,
    findings: [...findings, ...(kind === 'none' ? [] : [...beside, ...seldom]), ...overlaps(banks)],
  })
  const wrong = failures.map(f => ({ ...f, diff: xor(f.expected, f.read), bank: bankOf(f.address, banks) }))
  const bits = bitsOf(wrong, widthBits)
  const chips = chipsOf(wrong, input)
  const seldom =
    passes !== undefined && failedPasses !== undefined && failedPasses < passes
      ? [
          finding(
            'care',
            'memory.seldom',
            `It failed in ${failedPasses} of ${passes} passes: a real fault, and perhaps not of the memory.`,
            'Supply, timing and sockets do the same. Look at them before a chip is changed.',
            commonPractice,
          ),
        ]
      : []
  const outside = wrong.filter(f => !f.bank)
  const words = addressInData && wrong.length ? whatWordsAre(wrong, widthBits) : 'pattern'
  const beside = [
    ...(outside.length && outside.length < wrong.length
      ? [
          finding(
            'care',
            'memory.outside-some',
            `${outside.length} of ${wrong.length} failing addresses lie in no bank of the map.`,
            'A chip explains only its own bank: what they share is before any chip. Or the map is not that of this machine.',
          ),
        ]
      : []),
    ...(addressInData && wrong.length && words === 'pattern'
      ? [
          finding(
            'care',
            'memory.not-addresses',
            'The words that were expected are not their addresses.',
            'They are judged as a pattern; where a wrong word came from is not known.',
          ),
        ]
      : []),
  ]
  if (!wrong.some(f => f.diff))
    return told('none', [finding('note', 'memory.none', 'No failing address is given.', 'Type what the memory test shows: address, expected, read.')])

  if (outside.length === wrong.length)
    return told('not-memory', [
      finding(
        'care',
        'memory.outside',
        'None of these addresses lies in a bank of the map.',
        'Look at the map, at the base that addresses are written in, and at the selection of the banks.',
      ),
    ])

  const lines = words === 'pattern' ? null : aliasLines(wrong, words, input)
  if (lines && !lines.sure)
    return told(
      'unclear',
      [
        finding(
          'care',
          'memory.line-or-bit',
          `Address line ${orOf(lines.lines)}, or data bit ${lines.bit} stuck: with this pattern both look the same.`,
          'Where an address line is stuck, what was written last stands in both places. Run it again with the same word everywhere: if it passes then, it is the address line.',
        ),
      ],
      lines.lines,
    )
  if (lines)
    return told(
      'address-line',
      [
        finding(
          'care',
          'memory.address-line',
          `Address line ${orOf(lines.lines)}: words come from where that line alone differs.`,
          `Each wrong word is the address with bit ${lines.bit} turned. The line is open, stuck or joined to another; a chip is not at fault by that.${lines.lines.length > 1 ? ' The words are narrower than the addresses, so these look the same.' : ''}`,
        ),
      ],
      lines.lines,
    )
  const mostly = words === 'pattern' ? null : mostlyTurned(wrong)
  if (mostly !== null)
    return told(
      'unclear',
      [
        finding(
          'care',
          'memory.mostly-line',
          `Most of the wrong words have bit ${mostly} turned alone, and some are quite different.`,
          `Address line ${mostly}, coming and going, with places that were never written; or data bit ${mostly} and something beside it. Run it again, and with the same word everywhere.`,
        ),
      ],
      [mostly],
    )
  const both = words === 'pattern' ? null : joinedAddresses(wrong)
  if (both)
    return told(
      both.sure ? 'joined-addresses' : 'unclear',
      [
        both.sure
          ? finding(
              'care',
              'memory.joined-addresses',
              `Address lines ${both.pair.join(' and ')} are joined${words === 'address' ? '' : ', or lines that fold onto them'}: words come from where both differ.`,
              'Words that were written alike in these two bits came back unlike; joined data lines cannot do that. Probe the two lines with the power off.',
            )
          : finding(
              'care',
              'memory.joined-line-or-bit',
              `Address lines ${both.pair.join(' and ')} joined, or data lines ${both.pair.join(' and ')}: with this pattern both look the same.`,
              'Run it again with the same word everywhere: if it passes then, it is the address lines. Probe both pairs with the power off.',
            ),
      ],
      both.sure ? both.pair : [],
    )

  const pair = joinedBits(wrong, bits)
  if (pair)
    return told('joined-bits', [
      finding(
        'care',
        'memory.joined-bits',
        `Bits ${pair.join(' and ')} read the same whenever they fail, and were written differently.`,
        'Two data lines are joined, on the board or in a buffer; or cells of one chip are coupled. Probe the two lines with the power off.',
      ),
    ])

  const failing = bits.map(b => b.bit)
  const hit = banks.filter(b => wrong.some(f => f.bank === b))
  const everyBit = failing.length >= Math.min(widthBits, 8) && failing.length > widthBits / 2
  if (onlyAfterWaiting)
    return told('refresh', [
      finding(
        'care',
        'memory.refresh',
        'It forgets while it waits: refresh, or a leaking chip.',
        chips.length === 1
          ? `All of it lies in ${chips[0]!.place}: a leaking chip there. If more follow, the refresh counter or its strobe.`
          : 'More than one chip forgets: the refresh counter, its strobe or its timing before any chip.',
        commonPractice,
      ),
    ])
  if (failing.length === 1 && (hit.length > 1 || outside.length))
    return told('data-line', [
      finding(
        'care',
        'memory.data-line',
        `Bit ${failing[0]} fails in ${hit.length > 1 ? `${hit.length} banks` : 'a bank and outside of it'}: its data line or its buffer.`,
        `${chips.map(c => c.place).join(', ')} would have to fail at once. Probe the line from the processor to both, then the buffer.`,
      ),
    ])
  if (chips.length === 1 && !outside.length) {
    const [chip] = chips
    const stuck = bits.filter(b => b.stuck !== 'either')
    const cells = new Set(wrong.map(f => f.address)).size
    return told(cells === 1 ? 'cell' : 'chip', [
      finding(
        'care',
        'memory.chip',
        `${chip!.place} in ${chip!.bank}, bit ${chip!.bits.join(', ')}${stuck.length === bits.length ? `, stuck at ${stuck[0]!.stuck}` : ''}.`,
        `${cells === 1 ? 'One cell' : `${cells} addresses`}, and all of it in this chip. Change it over with a neighbour: a fault that goes along is the chip's, one that stays is the socket's or the line's.`,
      ),
    ])
  }
  if (
    everyBit &&
    hit.length === 1 &&
    hit[0] &&
    banks.length > 1 &&
    !outside.length &&
    (words === 'pattern' || (wrong.length >= some && !wrong.some(f => Number.isInteger(Math.log2(f.diff)))))
  )
    return told('bank', [
      finding(
        'care',
        'memory.bank',
        `All bits of ${hit[0].name} fail: its selection, its strobe or its supply, before its chips.`,
        'So many chips hardly fail at once. Read the rails at the pins of one chip of the bank, then its strobes.',
      ),
    ])
  if (everyBit || failing.length > 3)
    return told('not-memory', [
      ...addressPattern(wrong, banks),
      finding(
        'care',
        'memory.not-memory',
        'Not the memory, by this pattern: many bits in many places.',
        'Rails at the chips first, then strobes and refresh, then the bus and its buffers, and the supply under load.',
        commonPractice,
      ),
    ])
  return told('unclear', [
    finding(
      'note',
      'memory.unclear',
      wrong.length < few ? 'Too few failures to show a pattern.' : `${chips.length} chips come into question: ${chips.map(c => c.place).join(', ')}.`,
      'Run the test again with another pattern, and type what fails then too.',
    ),
  ])
}

/** Exclusive or of values beyond 32 bits. */
function xor(a: number, b: number): number {
  const high = 2 ** 30
  return ((Math.floor(a / high) ^ Math.floor(b / high)) >>> 0) * high + (((a % high) ^ (b % high)) >>> 0)
}
const bitOf = (value: number, bit: number) => Math.floor(value / 2 ** bit) % 2

function check({ widthBits, bitsPerChip, banks, failures, passes, failedPasses }: MemoryFaultInput): void {
  if (!Number.isInteger(widthBits) || widthBits < 1 || widthBits > 32) throw new InputError('widthBits', widthBits, 'Width: 1 to 32 bits a word.')
  if (!Number.isInteger(bitsPerChip) || bitsPerChip < 1 || bitsPerChip > widthBits)
    throw new InputError('bitsPerChip', bitsPerChip, `Bits a chip: 1 to ${widthBits}.`)
  if (!banks.length || banks.length > most.banks) throw new InputError('banks', banks.length, `Banks: 1 to ${most.banks}, please.`)
  if (failures.length > most.failures) throw new InputError('failures', failures.length, `Failures: up to ${most.failures}; the first ones will do.`)
  banks.forEach((b, i) => {
    if (!(b.to >= b.from && b.from >= 0)) throw new InputError(`banks.${i}.to`, b.to, `${b.name}: it ends before it begins.`)
    if (b.chips.length * bitsPerChip < widthBits)
      throw new InputError(
        `banks.${i}.chips`,
        b.chips.join(' '),
        `${b.name}: ${Math.ceil(widthBits / bitsPerChip)} chips hold its ${widthBits} bits; ${b.chips.length} are named.`,
      )
  })
  failures.forEach((f, i) => {
    for (const field of ['address', 'expected', 'read'] as const)
      if (!Number.isSafeInteger(f[field]) || f[field] < 0) throw new InputError(`failures.${i}.${field}`, f[field], `Failure ${i + 1}: ${field} is no number.`)
    for (const field of ['expected', 'read'] as const)
      if (f[field] >= 2 ** widthBits) throw new InputError(`failures.${i}.${field}`, f[field], `Failure ${i + 1}: ${f[field]} has more than ${widthBits} bits.`)
  })
  if (passes !== undefined && failedPasses !== undefined && failedPasses > passes)
    throw new InputError('failedPasses', failedPasses, 'Passes: no more of them failed than there were.')
}

type Wrong = MemoryFailure & { diff: number; bank: MemoryBank | undefined }

const bankOf = (address: number, banks: readonly MemoryBank[]) =>
  banks.find(b => b.from <= address && address <= b.to && (address - b.from) % (b.ways ?? 1) === 0)

function bitsOf(wrong: readonly Wrong[], widthBits: number): MemoryFaultResult['bits'] {
  return Array.from({ length: widthBits }, (_, bit) => {
    const failing = wrong.filter(f => bitOf(f.diff, bit))
    const read = new Set(failing.map(f => bitOf(f.read, bit)))
    return { bit, failures: failing.length, stuck: read.size === 1 ? (read.has(1) ? '1' : '0') : 'either' } as const
  }).filter(b => b.failures)
}

function chipsOf(wrong: readonly Wrong[], { widthBits, bitsPerChip }: MemoryFaultInput): MemoryFaultResult['chips'] {
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

const orOf = (lines: readonly number[]) => lines.join(' or ')

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
function whatWordsAre(wrong: readonly Wrong[], widthBits: number): Words | 'pattern' {
  if (wrong.every(f => f.expected === f.address)) return 'address'
  if (wrong.every(f => f.expected === f.address % 2 ** widthBits)) return 'cut'
  return wrong.every(f => f.expected === folded(f.address, widthBits)) ? 'folded' : 'pattern'
}

/**
 * The address lines that every wrong word may differ from its address in; nothing where there is none. A data bit that is stuck turns
 * the same bit, and always to the same value: only words that were turned both ways are the line's for certain.
 */
function aliasLines(wrong: readonly Wrong[], words: Words, { widthBits, banks }: MemoryFaultInput): { bit: number; lines: number[]; sure: boolean } | null {
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
function mostlyTurned(wrong: readonly Wrong[]): number | null {
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
function joinedAddresses(wrong: readonly Wrong[]): { pair: [number, number]; sure: boolean } | null {
  const turned = [...new Set(wrong.map(f => f.diff))]
  const bits = [...new Set(turned.flatMap(diff => Array.from({ length: 32 }, (_, bit) => bit).filter(bit => bitOf(diff, bit))))].sort((a, b) => a - b)
  const [a, b] = bits
  if (bits.length !== 2 || a === undefined || b === undefined || turned.length < 2 || wrong.length < some) return null
  const unlike = wrong.some(f => bitOf(f.read, a) !== bitOf(f.read, b))
  const asData = wrong.every(f => bitOf(f.expected, a) !== bitOf(f.expected, b) && bitOf(f.read, a) === bitOf(f.read, b))
  return unlike || asData ? { pair: [a, b], sure: unlike } : null
}

/** Address bits that stand alike in every failing address, where chance would hardly have it: words land or come from where a line is wrong. */
function addressPattern(wrong: readonly Wrong[], banks: readonly MemoryBank[]): Finding[] {
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
function overlaps(banks: readonly MemoryBank[]): Finding[] {
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
function joinedBits(wrong: readonly Wrong[], bits: MemoryFaultResult['bits']): [number, number] | null {
  const [a, b] = bits.map(x => x.bit)
  if (bits.length !== 2 || a === undefined || b === undefined || wrong.length < few) return null
  return wrong.every(f => bitOf(f.read, a) === bitOf(f.read, b) && bitOf(f.expected, a) !== bitOf(f.expected, b)) ? [a, b] : null
}
