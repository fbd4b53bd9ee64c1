import { type Finding, commonPractice, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import {
  type MemoryFaultInput,
  type MemoryFaultKind,
  type MemoryFaultResult,
  addressPattern,
  aliasLines,
  bankOf,
  bitsOf,
  chipsOf,
  few,
  joinedAddresses,
  joinedBits,
  mostlyTurned,
  orOf,
  overlaps,
  some,
  whatWordsAre,
  xor,
} from './memory-patterns'

export { type MemoryBank, type MemoryFailure, type MemoryFaultInput, type MemoryFaultKind, type MemoryFaultResult, memoryFaultKinds } from './memory-patterns'

const most = { failures: 5000, banks: 64, chips: 64 } as const

/** What is seen of the failures before anything is made of them. */
interface Seen {
  input: MemoryFaultInput
  wrong: ReturnType<typeof wrongOf>
  bits: MemoryFaultResult['bits']
  chips: MemoryFaultResult['chips']
  /** Those that lie in no bank of the map. */
  outside: ReturnType<typeof wrongOf>
  /** What the expected words are: their addresses, or a pattern. */
  words: ReturnType<typeof whatWordsAre> | 'pattern'
  failing: number[]
  /** Banks that something fails in. */
  hit: MemoryFaultInput['banks'][number][]
  /** Most bits fail. */
  everyBit: boolean
}
interface Verdict {
  kind: MemoryFaultKind
  findings: Finding[]
  addressLines: number[]
}
const told = (kind: MemoryFaultKind, findings: Finding[], addressLines: number[] = []): Verdict => ({ kind, findings, addressLines })
const wrongOf = ({ failures, banks }: Pick<MemoryFaultInput, 'failures' | 'banks'>) =>
  failures.map(f => ({ ...f, diff: xor(f.expected, f.read), bank: bankOf(f.address, banks) }))

function seenOf(input: MemoryFaultInput): Seen {
  const { widthBits, banks, addressInData = false } = input
  const wrong = wrongOf(input)
  const bits = bitsOf(wrong, widthBits)
  const failing = bits.map(b => b.bit)
  return {
    input,
    wrong,
    bits,
    chips: chipsOf(wrong, input),
    outside: wrong.filter(f => !f.bank),
    words: addressInData && wrong.length ? whatWordsAre(wrong, widthBits) : 'pattern',
    failing,
    hit: banks.filter(b => wrong.some(f => f.bank === b)),
    everyBit: failing.length >= Math.min(widthBits, 8) && failing.length > widthBits / 2,
  }
}

/** What is said beside any verdict: what lies outside of the map, words that are no addresses, and how seldom it fails. */
function besides({ wrong, outside, words, input: { addressInData = false, passes, failedPasses } }: Seen): Finding[] {
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
  return [...beside, ...seldom]
}

/** Nothing failed. */
function nothing({ wrong }: Seen): Verdict | null {
  if (!wrong.some(f => f.diff))
    return told('none', [finding('note', 'memory.none', 'No failing address is given.', 'Type what the memory test shows: address, expected, read.')])
  return null
}

/** What lies in no bank is no chip of one. */
function outOfTheMap({ wrong, outside }: Seen): Verdict | null {
  if (outside.length === wrong.length)
    return told('not-memory', [
      finding(
        'care',
        'memory.outside',
        'None of these addresses is in a bank of the map.',
        'Look at the map, at the base that addresses are written in, and at the selection of the banks.',
      ),
    ])
  return null
}

/** Words that come from where one address line differs. */
function addressLine({ wrong, words, input }: Seen): Verdict | null {
  const lines = words === 'pattern' ? null : aliasLines(wrong, words, input)
  if (lines && !lines.sure)
    return told(
      'unclear',
      [
        finding(
          'care',
          'memory.line-or-bit',
          `Address line ${orOf(lines.lines)}, or data bit ${lines.bit} stuck: with this pattern both look the same.`,
          'Where an address line is stuck, what was written last appears in both places. Run it again with the same word everywhere: if it passes then, it is the address line.',
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
  return null
}

/** Most, but not all, come from where one line differs. */
function mostlyOneLine({ wrong, words }: Seen): Verdict | null {
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
  return null
}

/** Words that come from where two address lines differ. */
function joinedLines({ wrong, words }: Seen): Verdict | null {
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
  return null
}

/** Two bits that read alike and were written unlike. */
function joinedData({ wrong, bits }: Seen): Verdict | null {
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
  return null
}

/** It holds what it is given, and not for long. */
function forgetting({ chips, input: { onlyAfterWaiting = false } }: Seen): Verdict | null {
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
  return null
}

/** One bit, in more than one bank. */
function dataLine({ chips, failing, hit, outside }: Seen): Verdict | null {
  if (failing.length === 1 && (hit.length > 1 || outside.length))
    return told('data-line', [
      finding(
        'care',
        'memory.data-line',
        `Bit ${failing[0]} fails in ${hit.length > 1 ? `${hit.length} banks` : 'a bank and outside of it'}: its data line or its buffer.`,
        `${chips.map(c => c.place).join(', ')} would have to fail at once. Probe the line from the processor to both, then the buffer.`,
      ),
    ])
  return null
}

/** All of it in one chip. */
function oneChip({ wrong, bits, chips, outside }: Seen): Verdict | null {
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
  return null
}

/** All bits of one bank. */
function oneBank({ wrong, words, everyBit, hit, outside, input: { banks } }: Seen): Verdict | null {
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
  return null
}

/** Many bits in many places. */
function tooMuch({ wrong, failing, everyBit, input: { banks } }: Seen): Verdict | null {
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
  return null
}

/** Nothing of the above. */
function unclear({ wrong, chips }: Seen): Verdict {
  return told('unclear', [
    finding(
      'note',
      'memory.unclear',
      wrong.length < few ? 'Too few failures to show a pattern.' : `${chips.length} chips come into question: ${chips.map(c => c.place).join(', ')}.`,
      'Run the test again with another pattern, and type what fails then too.',
    ),
  ])
}

/** The first that knows speaks: the order is from what no chip explains to what one does. */
const rules = [nothing, outOfTheMap, addressLine, mostlyOneLine, joinedLines, joinedData, forgetting, dataLine, oneChip, oneBank, tooMuch]

/**
 * What a list of failing addresses says: which bits, which chip by its place, an address line, or something that is no memory at all.
 * Common practice, no source, where it judges; the arithmetic is that of exclusive or.
 * @throws InputError for a width, a bank or a value that cannot be
 */
export function judgeMemory(input: MemoryFaultInput): MemoryFaultResult {
  check(input)
  const seen = seenOf(input)
  const { kind, findings, addressLines } = rules.reduce<Verdict | null>((found, rule) => found ?? rule(seen), null) ?? unclear(seen)
  return {
    kind,
    bits: seen.bits,
    chips: seen.chips,
    addressLine: addressLines.length === 1 ? addressLines[0]! : null,
    addressLines,
    findings: [...findings, ...(kind === 'none' ? [] : besides(seen)), ...overlaps(input.banks)],
  }
}

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
