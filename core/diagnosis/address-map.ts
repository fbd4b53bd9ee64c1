import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'

/** How addresses are written on a machine. */
export const bases = ['hex', 'octal', 'decimal'] as const
export type Base = (typeof bases)[number]
const radix: Record<Base, number> = { hex: 16, octal: 8, decimal: 10 }
const digits: Record<Base, RegExp> = { hex: /^[0-9a-f]+$/i, octal: /^[0-7]+$/, decimal: /^\d+$/ }
const mostBits = 40

/**
 * Reads an address or a value as it is written there: `17760000`, `0x3FE000`, `$C000`, `0FFh`, `0o177`; a sign of its own base goes before the base.
 * @throws InputError at the field
 */
export function readAddress(text: string | number, base: Base, field = 'address'): number {
  if (typeof text === 'number') {
    if (!Number.isSafeInteger(text) || text < 0) throw new InputError(field, text, 'Address: a whole number, not below nothing.')
    return text
  }
  const plain = text.trim().replaceAll(/[\s_]/g, '')
  const [word, in_] = /^(0x|\$)/i.test(plain)
    ? [plain.replace(/^(0x|\$)/i, ''), 'hex' as const]
    : /^0o/i.test(plain)
      ? [plain.slice(2), 'octal' as const]
      : /^[0-9a-f]+h$/i.test(plain)
        ? [plain.slice(0, -1), 'hex' as const]
        : [plain, base]
  const value = digits[in_].test(word) ? Number.parseInt(word, radix[in_]) : Number.NaN
  if (!Number.isFinite(value) || value > 2 ** mostBits)
    throw new InputError(field, text, `“${text.slice(0, 24)}” is no ${in_} number of up to ${mostBits} bits.`)
  return value
}

/** As it is written on such a machine, with all its leading places. @param bits how many the machine has */
export function writeAddress(value: number, base: Base, bits = 16): string {
  const places = base === 'hex' ? Math.ceil(bits / 4) : base === 'octal' ? Math.ceil(bits / 3) : 1
  return value.toString(radix[base]).toUpperCase().padStart(places, '0')
}

export interface Region {
  name: string
  /** First and last address, both within. */
  from: number
  to: number
}
export interface AddressMapInput {
  /** Address lines. */
  bits: number
  base: Base
  regions: readonly { name: string; from: string | number; to: string | number }[]
  /** An address to be told. */
  ask?: string | number
}
export interface AddressMapResult {
  spaceBytes: number
  regions: (Region & { bytes: number; written: [string, string] })[]
  /** What no region holds. */
  gaps: (Region & { bytes: number; written: [string, string] })[]
  asked: { value: number; hex: string; octal: string; decimal: string; binary: string; region: string } | null
  findings: Finding[]
}

/**
 * A map of an address space: the sizes of its regions, what lies between them, what overlaps, and where an address lies.
 * 4 MB of a 22-bit space in octal less its page from 17760000 is 4088 KB.
 * @throws InputError for what cannot be read, or ends before it begins
 */
export function mapAddresses({ bits, base, regions, ask }: AddressMapInput): AddressMapResult {
  if (!Number.isInteger(bits) || bits < 1 || bits > mostBits) throw new InputError('bits', bits, `Address lines: 1 to ${mostBits}.`)
  if (regions.length > 200) throw new InputError('regions', regions.length, 'Regions: up to 200, please.')
  const space = 2 ** bits
  const told = (r: Region) => ({
    ...r,
    bytes: r.to - r.from + 1,
    written: [writeAddress(r.from, base, bits), writeAddress(r.to, base, bits)] as [string, string],
  })
  const read = regions.map((r, i): Region => {
    const [from, to] = [readAddress(r.from, base, `regions.${i}.from`), readAddress(r.to, base, `regions.${i}.to`)]
    if (to < from) throw new InputError(`regions.${i}.to`, r.to, `${r.name}: it ends before it begins.`)
    if (to >= space) throw new InputError(`regions.${i}.to`, r.to, `${r.name}: ${bits} address lines reach to ${writeAddress(space - 1, base, bits)}.`)
    return { name: r.name, from, to }
  })
  const sorted = [...read].sort((a, b) => a.from - b.from)
  const findings: Finding[] = []
  const gaps: Region[] = []
  let reached = 0
  let last = ''
  for (const r of sorted) {
    if (r.from > reached) gaps.push({ name: 'nothing', from: reached, to: r.from - 1 })
    if (r.from < reached)
      findings.push(
        finding(
          'care',
          'map.overlap',
          `${last} and ${r.name} overlap.`,
          `Both hold ${writeAddress(r.from, base, bits)} to ${writeAddress(Math.min(reached - 1, r.to), base, bits)}.`,
        ),
      )
    if (r.to + 1 > reached) [reached, last] = [r.to + 1, r.name]
  }
  if (reached < space) gaps.push({ name: 'nothing', from: reached, to: space - 1 })
  if (!findings.length)
    findings.push(finding('note', 'map.read', `${read.length} regions in ${space.toLocaleString('en-GB')} bytes.`, 'No two of them overlap.'))
  const value = ask === undefined || ask === '' ? null : readAddress(ask, base, 'ask')
  if (value !== null && value >= space) throw new InputError('ask', ask!, `Address: ${bits} address lines reach to ${writeAddress(space - 1, base, bits)}.`)
  return {
    spaceBytes: space,
    regions: sorted.map(told),
    gaps: gaps.map(told),
    asked:
      value === null
        ? null
        : {
            value,
            hex: writeAddress(value, 'hex', bits),
            octal: writeAddress(value, 'octal', bits),
            decimal: String(value),
            binary: value.toString(2).padStart(bits, '0'),
            region: sorted.find(r => r.from <= value && value <= r.to)?.name ?? 'nothing',
          },
    findings,
  }
}
