import { counted } from '../../kernel/figure'
import { type Finding, commonPractice, finding, mostPressingFirst } from '../../kernel/finding'
import { byName } from '../../kernel/places'
import { type ChipKind, type Organisation, bytesWords, halfMemory, knownPart, organisationWords, readOrganisation } from './known-parts'
import type { InventoryLine } from './read-inventory'

/** What is counted of like parts. */
export interface PartGroup {
  /** The number of its type, or what is printed on it where that is in no table. */
  type: string
  kind: ChipKind | null
  says: string
  count: number
  /** Of memory, where it is known: what all of them hold, and how they make banks. */
  organisation: string
  bytes: number | null
  banks: string
}
export interface InventoryJudged {
  groups: PartGroup[]
  /** What is counted of memory to read and write, and of memory to read only, in complete banks. */
  ramBytes: number
  romBytes: number
  findings: Finding[]
}
/** What is said of how much there is: in a claim, or in what was published of the model. */
export interface Claimed {
  says: string
}
export interface InventoryAsked {
  /** Lines that were looked at here; what was taken over and nobody looked at stands in `notSeen`. */
  lines: readonly InventoryLine[]
  notSeen: number
  claims: readonly Claimed[]
  /** Sizes of memory that the model was sold with, as they are written: `16 KB`. */
  published: readonly string[]
}

const K = 1024
const wantsRom = /\bROM\b|read.only/i
/** What is said of a disk or a tape, before or behind the figure, says nothing of the memory. */
const media = '(?:hard|floppy|floppies|disks?|drives?|diskettes?|tapes?|winchester|cartridges?)'
// Not beyond another size, or the end of a sentence.
const mediaBehind = new RegExp(`^(?:(?!\\d\\s*[KM]|\\.\\s)[^,;]){0,24}?\\b${media}\\b`, 'i')
const mediaBefore = new RegExp(`\\b${media}\\b[^,;.\\d]{0,12}$`, 'i')
/** It speaks of all there is, what is read only among it. */
const ofAll = /\b(in all|all told|in total|total|altogether|together)\b/i

/** Sizes of memory that a sentence names, in bytes: `64K`, `48 KB`, `4 MB`. A size of a disk is none. */
export function sizesIn(text: string): number[] {
  return [...text.matchAll(/(\d{1,5}(?:[.,]\d{1,2})?)\s*(K|M|KB|MB|Kbytes?|Mbytes?|kilobytes?|megabytes?)(?![a-z0-9])/gi)].flatMap(found => {
    if (mediaBehind.test(text.slice(found.index + found[0].length)) || mediaBefore.test(text.slice(0, found.index))) return []
    const bytes = Number(found[1]!.replace(',', '.')) * (/^m/i.test(found[2]!) ? K * K : K)
    return bytes > 0 ? [bytes] : []
  })
}

/** The organisation of a line: as it is written on it, or as its number tells. */
export const organisationOf = (line: Pick<InventoryLine, 'marking' | 'organisation'>): Organisation | null =>
  (line.organisation ? readOrganisation(line.organisation) : null) ?? knownPart(line.marking)?.organisation ?? readOrganisation(line.marking)

/** Chips of so many bits that make eight, and nine where each word has a bit of parity. */
function banksOf(count: number, { bits }: Organisation): { complete: number; left: number; says: string } {
  if (bits >= 8) return { complete: count, left: 0, says: '' }
  const per = 8 / bits
  if (bits === 1 && count % 9 === 0 && count % 8 !== 0) {
    const banks = count / 9
    return { complete: banks * 8, left: 0, says: `${counted(banks, 'bank')} of nine, a bit of each word for parity` }
  }
  if (bits === 1 && count % 72 === 0)
    return { complete: count, left: 0, says: `${count / 8} banks of eight, or ${count / 9} of nine with parity: its nets tell which` }
  const left = count % per
  return {
    complete: count - left,
    left,
    says: [
      ...(count >= per ? [per === 1 ? counted(count, 'bank') : `${counted(Math.floor(count / per), 'bank')} of ${per}`] : []),
      ...(left ? [`${left} of the ${per} of ${count >= per ? 'another' : 'one'}`] : []),
    ].join(', and '),
  }
}

interface Group extends PartGroup {
  counts: number
  left: number
}
function grouped(lines: readonly InventoryLine[]): Group[] {
  const groups = new Map<string, { of: InventoryLine; count: number }>()
  for (const line of lines) {
    const organisation = organisationOf(line)
    const key = `${knownPart(line.marking)?.type ?? line.marking.toUpperCase()} ${organisation ? organisationWords(organisation) : ''}`
    const group = groups.get(key)
    if (group) group.count += line.count
    else groups.set(key, { of: line, count: line.count })
  }
  return [...groups.values()]
    .map(({ of, count }): Group => {
      const part = knownPart(of.marking)
      const organisation = organisationOf(of)
      // What holds words and bits and is in no table is memory; which, a label on it tells.
      const kind = part?.kind ?? (organisation ? (of.label ? 'rom' : 'ram') : null)
      const isMemory = organisation !== null && (kind === 'ram' || kind === 'rom')
      const banks = isMemory ? banksOf(count, organisation) : null
      const bytesOf = (chips: number) => (chips * organisation!.words * organisation!.bits) / 8
      return {
        type: part?.type ?? of.marking,
        kind,
        says: part?.says ?? (organisation ? 'memory, by what is written of it' : 'not known'),
        count,
        organisation: organisation ? organisationWords(organisation) : '',
        bytes: isMemory ? bytesOf(count) : null,
        banks: banks?.says ?? '',
        counts: banks ? bytesOf(banks.complete) : 0,
        left: banks?.left ?? 0,
      }
    })
    .sort((a, b) => (b.bytes ?? 0) - (a.bytes ?? 0) || Number(a.kind === null) - Number(b.kind === null) || byName(a.type, b.type))
}

/** What a claim of so many bytes comes to, against what was counted. */
function judgeClaim({ says }: Claimed, ram: number, rom: number, doubts: string[]): Finding[] {
  const sizes = sizesIn(says)
  const readOnly = wantsRom.test(says)
  return sizes.map(size => {
    const has = readOnly ? rom : ram
    const [claimed, counts] = [bytesWords(size), bytesWords(has)]
    const quote = `“${says.length > 80 ? `${says.slice(0, 79)}…` : says}”`
    const of = readOnly ? 'memory to read only' : 'memory'
    if (has === size) return finding('fine', `inventory.claim.${size}`, `${claimed} as claimed.`, quote)
    if (!readOnly && ram + rom === size)
      return ofAll.test(says)
        ? finding('fine', `inventory.claim.${size}`, `${claimed} with what is read only, as claimed.`, quote)
        : finding(
            'note',
            `inventory.claim.${size}`,
            `${claimed} claimed: so much it is with ${bytesWords(rom)} of what is read only; ${counts} are to read and write.`,
            quote,
          )
    if (has < size && doubts.length)
      return finding('note', `inventory.claim.${size}`, `${claimed} claimed, and ${counts} of ${of} counted so far: whether it holds is not known.`, [
        quote,
        ...doubts,
      ])
    return has < size
      ? finding('care', `inventory.claim.${size}`, `${claimed} claimed, and ${counts} of ${of} counted: ${bytesWords(size - has)} less.`, quote)
      : finding('note', `inventory.claim.${size}`, `${claimed} claimed, and ${counts} of ${of} counted: more than claimed.`, quote)
  })
}

/**
 * What a machine is made of, counted: bytes = chips × words × bits ÷ 8, banks complete or not, empty sockets and whether they matter, and all of it
 * against what was claimed and what was published. What is in no table is listed and not counted; what is unused is told apart.
 */
export function judgeInventory({ lines, notSeen, claims, published }: InventoryAsked): InventoryJudged {
  const there = lines.filter(line => line.mounting !== 'empty')
  const groups = grouped(there.filter(line => !line.unused))
  const unused = there.filter(line => line.unused)
  const bytesOf = (kind: ChipKind) => groups.reduce((sum, group) => sum + (group.kind === kind ? group.counts : 0), 0)
  const [ramBytes, romBytes] = [bytesOf('ram'), bytesOf('rom')]
  const unknown = groups.filter(group => group.kind === null)
  const empty = (need: InventoryLine['need']) => lines.filter(line => line.mounting === 'empty' && line.need === need)
  const named = (of: readonly InventoryLine[]) =>
    of
      .slice(0, 8)
      .map(line => `${line.place}${line.note && ` (${line.note})`}`)
      .join(', ') + (of.length > 8 ? ` and ${of.length - 8} more` : '')
  const doubts = [
    ...(notSeen ? [`${counted(notSeen, 'line')} taken over from elsewhere and not looked at here.`] : []),
    ...(unknown.length
      ? [
          `${counted(unknown.length, 'type')} in no table: ${unknown
            .slice(0, 6)
            .map(group => group.type)
            .join(', ')}.`,
        ]
      : []),
  ]
  const findings: Finding[] = [
    ...(ramBytes + romBytes
      ? [
          finding(
            'note',
            'inventory.memory',
            [...(ramBytes ? [`${bytesWords(ramBytes)} to read and write`] : []), ...(romBytes ? [`${bytesWords(romBytes)} to read only`] : [])].join(', ') +
              (ramBytes && romBytes ? `: ${bytesWords(ramBytes + romBytes)} in all.` : '.'),
            groups
              .filter(group => group.bytes)
              .map(group => `${group.count} × ${group.type}, ${group.organisation}: ${bytesWords(group.bytes!)}${group.banks && `; ${group.banks}`}.`),
            'Type numbers from memory of data books',
          ),
        ]
      : []),
    ...groups
      .filter(group => group.left)
      .map(group =>
        finding(
          'care',
          `inventory.bank.${group.type}`,
          `${group.count} × ${group.type} make no whole banks: ${group.banks}.`,
          'What is missing of a bank stands empty, is not written down, or sits on another board. Only whole banks are counted.',
        ),
      ),
    ...groups
      .filter(group => halfMemory.has(group.type))
      .map(group =>
        finding(
          'note',
          `inventory.half.${group.type}`,
          `${group.type} is made of a part of twice the size of which one half works.`,
          'A letter or a figure behind its number says which half, and all of a bank are of the same.',
          'Data books, from memory',
        ),
      ),
    ...(empty('needed').length
      ? [
          finding(
            'care',
            'inventory.needed',
            `${counted(empty('needed').length, 'socket')} that ${empty('needed').length === 1 ? 'is' : 'are'} needed and empty: ${named(empty('needed'))}.`,
            'It will not do all it should until they are filled.',
          ),
        ]
      : []),
    ...(empty('not-known').length
      ? [
          finding(
            'note',
            'inventory.sockets',
            `${counted(empty('not-known').length, 'empty socket')} of which nobody knows whether it matters: ${named(empty('not-known'))}.`,
            'Its schematic, or a sister, tells.',
          ),
        ]
      : []),
    ...(unused.length ? [finding('note', 'inventory.unused', `There, and not used: ${named(unused)}.`, 'It is not counted.')] : []),
    ...(unknown.length
      ? [
          finding(
            'note',
            'inventory.unknown',
            `${counted(unknown.length, 'type')} in no table, listed and not counted: ${unknown
              .slice(0, 8)
              .map(group => group.type)
              .join(', ')}.`,
            'State words and bits behind it, such as 16K×1, where it is memory.',
          ),
        ]
      : []),
    ...(notSeen
      ? [finding('note', 'inventory.not-seen', `${counted(notSeen, 'line')} taken over and not looked at here: not counted.`, 'Look at each, and tick it off.')]
      : []),
    ...claims.flatMap(claim => judgeClaim(claim, ramBytes, romBytes, doubts)),
  ]
  const sizes = published.flatMap(sizesIn)
  if (ramBytes && sizes.length && !doubts.length && !sizes.includes(ramBytes))
    findings.push(
      finding(
        'care',
        'inventory.published',
        `${bytesWords(ramBytes)} of memory is no size that this model was sold with: ${published.join(', ')}.`,
        'Somebody has added to it or taken from it, or something is not written down.',
        commonPractice,
      ),
    )
  return { groups: groups.map(({ counts: _, left: __, ...group }) => group), ramBytes, romBytes, findings: mostPressingFirst(findings) }
}
