/** What a part of a board does, as far as its type number tells. */
export const partKinds = {
  ram: 'Memory, read and write',
  rom: 'Memory, read only',
  logic: 'Logic',
  regulator: 'Regulator',
  processor: 'Processor',
  support: 'Support chip',
} as const
export type ChipKind = keyof typeof partKinds

export interface Organisation {
  words: number
  bits: number
}
export interface KnownPart {
  /** The number that all its makers print. */
  type: string
  kind: ChipKind
  says: string
  /** Of memory: how many words of how many bits. */
  organisation?: Organisation
}

const K = 1024
/** Memory by its number: words and bits. Industry numbers, from memory of data books. */
const memory: readonly (readonly [kind: 'ram' | 'rom', says: string, of: Readonly<Record<string, readonly [words: number, bits: number]>>])[] = [
  [
    'ram',
    'dynamic memory',
    {
      4027: [4 * K, 1],
      4116: [16 * K, 1],
      2118: [16 * K, 1],
      4532: [32 * K, 1],
      3732: [32 * K, 1],
      4164: [64 * K, 1],
      3764: [64 * K, 1],
      41256: [256 * K, 1],
      411000: [K * K, 1],
      511000: [K * K, 1],
      4416: [16 * K, 4],
      4464: [64 * K, 4],
      41464: [64 * K, 4],
      44256: [256 * K, 4],
      514256: [256 * K, 4],
      514400: [K * K, 4],
    },
  ],
  [
    'ram',
    'static memory',
    {
      7489: [16, 4],
      74189: [16, 4],
      6810: [128, 8],
      2101: [256, 4],
      2111: [256, 4],
      2112: [256, 4],
      5101: [256, 4],
      2102: [K, 1],
      2114: [K, 4],
      2148: [K, 4],
      2149: [K, 4],
      2147: [4 * K, 1],
      2167: [16 * K, 1],
      2016: [2 * K, 8],
      6116: [2 * K, 8],
      6264: [8 * K, 8],
      62256: [32 * K, 8],
      628128: [128 * K, 8],
    },
  ],
  [
    'rom',
    'erasable read-only memory',
    {
      1702: [256, 8],
      2708: [K, 8],
      2716: [2 * K, 8],
      2516: [2 * K, 8],
      2732: [4 * K, 8],
      2532: [4 * K, 8],
      2764: [8 * K, 8],
      27128: [16 * K, 8],
      27256: [32 * K, 8],
      27512: [64 * K, 8],
      27010: [128 * K, 8],
      27020: [256 * K, 8],
      27040: [512 * K, 8],
    },
  ],
  ['rom', 'mask read-only memory', { 2308: [K, 8], 2316: [2 * K, 8], 2332: [4 * K, 8], 2364: [8 * K, 8], 23128: [16 * K, 8], 23256: [32 * K, 8] }],
  ['rom', 'fuse read-only memory', { 74188: [32, 8], 74287: [256, 4], 74288: [32, 8] }],
]

/** Processors and what stands beside them, by industry number; from memory of data books. */
const others: readonly (readonly [kind: ChipKind, says: string, types: string])[] = [
  ['processor', '8-bit processor', '6502 6507 6510 6800 6802 6803 6809 8080 8085'],
  ['processor', '16-bit processor', '8086 8088'],
  ['processor', 'one-chip computer', '8048 8049 8050 8051 8052 8748 8749 8751 6801'],
  ['support', 'coprocessor', '8087'],
  ['support', 'parallel ports', '6520 6521 6820 6821 8255'],
  ['support', 'ports and timers', '6522 6526 6530 6532 8155 8156'],
  ['support', 'timers', '6840 8253 8254'],
  ['support', 'serial port', '6551 6850 8250 8251 8274 6852'],
  ['support', 'direct memory access', '6844 8237 8257'],
  ['support', 'interrupts', '8214 8259'],
  ['support', 'picture', '6545 6845 6847 8275'],
  ['support', 'floppy disk', '8271 8272 765'],
  ['support', 'keyboard and display', '8279'],
  ['support', 'clock of a processor', '8224 8284'],
  ['support', 'bus', '8212 8216 8226 8228 8238 8282 8283 8286 8287 8288 8289'],
  ['support', 'timer', '555 556'],
  ['support', 'serial line', '1488 1489 75188 75189'],
]
/** Logic of the 74 series by its number; from memory of data books. What is not here is logic all the same. */
const functions: Readonly<Record<string, string>> = {
  '00': 'four NAND of two',
  '02': 'four NOR of two',
  '04': 'six inverters',
  '05': 'six inverters, open collector',
  '06': 'six inverting buffers, open collector',
  '07': 'six buffers, open collector',
  '08': 'four AND of two',
  '10': 'three NAND of three',
  '11': 'three AND of three',
  '14': 'six inverters with a threshold each',
  '20': 'two NAND of four',
  '21': 'two AND of four',
  '27': 'three NOR of three',
  '30': 'one NAND of eight',
  '32': 'four OR of two',
  '38': 'four NAND of two, open collector',
  '42': 'decimal decoder',
  '51': 'two AND-OR-invert',
  '73': 'two flip-flops',
  '74': 'two flip-flops',
  '85': 'comparator of four bits',
  '86': 'four exclusive OR',
  '90': 'decade counter',
  '92': 'counter by twelve',
  '93': 'counter of four bits',
  '107': 'two flip-flops',
  '109': 'two flip-flops',
  '112': 'two flip-flops',
  '121': 'one pulse',
  '123': 'two pulses, triggered again',
  '125': 'four bus buffers',
  '126': 'four bus buffers',
  '132': 'four NAND of two with a threshold each',
  '138': 'one of eight',
  '139': 'two times one of four',
  '145': 'decimal decoder, open collector',
  '148': 'priority encoder',
  '151': 'selector of eight',
  '153': 'two selectors of four',
  '154': 'one of sixteen',
  '157': 'four selectors of two',
  '158': 'four selectors of two, inverting',
  '161': 'counter of four bits',
  '163': 'counter of four bits',
  '164': 'shift register of eight',
  '165': 'shift register of eight',
  '166': 'shift register of eight',
  '173': 'four flip-flops',
  '174': 'six flip-flops',
  '175': 'four flip-flops',
  '193': 'counter, up and down',
  '194': 'shift register of four',
  '195': 'shift register of four',
  '221': 'two pulses',
  '240': 'eight bus drivers, inverting',
  '241': 'eight bus drivers',
  '244': 'eight bus drivers',
  '245': 'eight bus transceivers',
  '251': 'selector of eight',
  '253': 'two selectors of four',
  '257': 'four selectors of two',
  '258': 'four selectors of two, inverting',
  '259': 'eight latches by address',
  '273': 'eight flip-flops',
  '279': 'four set and reset latches',
  '283': 'adder of four bits',
  '365': 'six bus drivers',
  '366': 'six bus drivers, inverting',
  '367': 'six bus drivers',
  '368': 'six bus drivers, inverting',
  '373': 'eight latches',
  '374': 'eight flip-flops',
  '393': 'two counters of four bits',
  '541': 'eight bus drivers',
  '573': 'eight latches',
  '574': 'eight flip-flops',
  '670': 'four words of four bits',
}

const table = new Map<string, KnownPart>()
for (const [kind, says, of] of memory)
  for (const [type, [words, bits]] of Object.entries(of)) table.set(type, { type, kind, says, organisation: { words, bits } })
for (const [kind, says, types] of others) for (const type of types.split(' ')) table.set(type, { type, kind, says })

/** A dynamic memory that came in two halves: of this type half the cells are dead, which half a letter behind it says. */
export const halfMemory = new Set(['4532', '3732'])

const volts = new Set(['05', '06', '08', '09', '10', '12', '15', '18', '20', '24'])
/** Letters of a family between `74` and the function. */
const logic = /(?:^|[^\d])(?:54|74)(LS|ALS|AS|HCT|HC|ACT|AC|FCT|BCT|ABT|S|L|H|F|C)?(\d{2,4})(?=\D|$)/
const regulator = /(?:^|[^\d])(78|79)(L|M|T|S|H)?(\d{2})(?=[A-Z]*\d?\D*$)/
const adjustable: readonly (readonly [RegExp, string])[] = [
  [/(?:^|[A-Z])317/, 'regulator, to be set'],
  [/(?:^|[A-Z])337/, 'regulator, negative, to be set'],
  [/(?:^|[A-Z])323/, 'regulator, +5 V, 3 A'],
  [/(?:^|[A-Z])309/, 'regulator, +5 V'],
  [/(?:^|[A-Z])723/, 'regulator, to be set'],
]

/**
 * What a marking is of, by the number in it: `D4116C-2`, `SN74LS245N`, `27C256-20`. Letters of the maker before it and of the package behind it are
 * passed over. @returns nothing where the number is in no table: that is listed, and not counted
 */
export function knownPart(marking: string): KnownPart | null {
  const text = marking.toUpperCase().replace(/\s+/g, ' ').trim()
  const found = logic.exec(text)
  if (found) {
    const number = found[2]!
    // Memory of the series goes before logic: what it holds is counted.
    const cells = table.get(`74${number}`)
    if (cells) return cells
    return { type: `74${number}`, kind: 'logic', says: functions[number] ?? 'logic' }
  }
  const fixed = regulator.exec(text)
  if (fixed && volts.has(fixed[3]!))
    return { type: `${fixed[1]}${fixed[3]}`, kind: 'regulator', says: `regulator, ${fixed[1] === '78' ? '+' : '−'}${Number(fixed[3])} V` }
  // 27C256 is a 27256, 62C256 a 62256: the letter says how it is made. What stands behind a dash is its speed.
  const [body = ''] = text.split(/[-/ ]/)
  const numbers = [...body.replace(/(\d{2})(?:HC|CX|C|LV|L)(?=\d)/g, '$1').matchAll(/\d+/g)].map(m => m[0])
  for (const number of numbers) {
    // Dynamic memory of some makers has its speed written on directly: 411620.
    const at = table.get(number)
    if (at) return at
  }
  if (/^(CD|HEF|MC1)?4\d{3}(B|UB)/.test(body) || /^(CD|HEF)4\d{3}/.test(body)) return { type: /4\d{3}/.exec(body)![0], kind: 'logic', says: 'logic, CMOS' }
  const set = adjustable.find(([shape]) => shape.test(body))
  return set ? { type: /\d{3}/.exec(body)![0], kind: 'regulator', says: set[1] } : null
}

/** Words and bits as people write them: `16K×1`, `64Kx4`, `2K × 8`, `16 Kbit`, which is by eight then. @returns nothing where it is none */
export function readOrganisation(text: string): Organisation | null {
  const found = /^(\d{1,4})\s*([KM]?)\s*[×x*]\s*(\d{1,2})$/i.exec(text.trim())
  const by = (letter: string) => (letter.toUpperCase() === 'K' ? K : letter.toUpperCase() === 'M' ? K * K : 1)
  if (found) {
    const [words, bits] = [Number(found[1]) * by(found[2]!), Number(found[3])]
    return words > 0 && bits > 0 && bits <= 36 ? { words, bits } : null
  }
  const whole = /^(\d{1,4})\s*([KM])bits?$/i.exec(text.trim())
  return whole ? { words: (Number(whole[1]) * by(whole[2]!)) / 8, bits: 8 } : null
}
const inK = (n: number) => (n >= K * K && n % (K * K) === 0 ? `${n / K / K}M` : n >= K && n % K === 0 ? `${n / K}K` : String(n))
export const organisationWords = ({ words, bits }: Organisation): string => `${inK(words)}×${bits}`
/** Bytes as people say them: `48 KB`, `4 MB`, `128 bytes`. */
export const bytesWords = (bytes: number): string =>
  bytes >= K * K && bytes % (K * K) === 0 ? `${bytes / K / K} MB` : bytes >= K ? `${Math.round((bytes / K) * 100) / 100} KB` : `${Math.round(bytes)} bytes`
