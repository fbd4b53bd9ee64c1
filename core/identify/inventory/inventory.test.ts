import { describe, expect, it } from 'vitest'
import { compareInventories } from './compare-inventories'
import { type InventoryAsked, judgeInventory, sizesIn } from './judge-inventory'
import { bytesWords, knownPart, organisationWords, readOrganisation } from './known-parts'
import { type InventoryLine, readInventory } from './read-inventory'

const read = (typed: string) => {
  const { lines, wrong } = readInventory(typed)
  expect(wrong).toEqual([])
  return lines
}
const judged = (typed: string, more: Partial<InventoryAsked> = {}) => judgeInventory({ lines: read(typed), notSeen: 0, claims: [], published: [], ...more })
const told = (typed: string, more: Partial<InventoryAsked> = {}) => judged(typed, more).findings.map(f => `${f.level}: ${f.says}`)
const claimed = (typed: string, says: string, more: Partial<InventoryAsked> = {}) =>
  told(typed, { claims: [{ says }], ...more }).filter(line => /claimed/.test(line))

describe('what is printed on a part', () => {
  // Industry numbers and what they hold: from memory of data books.
  it.each([
    ['D4116C-2', '4116', '16K×1'],
    ['MK 4116N-3', null, ''],
    ['4164-15', '4164', '64K×1'],
    ['TMS4464-12NL', '4464', '64K×4'],
    ['41464', '41464', '64K×4'],
    ['HM6116LP-3', '6116', '2K×8'],
    ['M27C256B-15', '27256', '32K×8'],
    ['2716', '2716', '2K×8'],
    ['uPD2114LC', '2114', '1K×4'],
    ['MC6810P', '6810', '128×8'],
    ['SN74LS189N', '74189', '16×4'],
    ['SN74LS245N', '74245', ''],
    ['74HCT00', '7400', ''],
    ['UA7805CK', '7805', ''],
    ['79L12', '7912', ''],
    ['LM317T', '317', ''],
    ['CD4011BE', '4011', ''],
    ['P8255A-5', '8255', ''],
    ['82C55', '8255', ''],
    ['R6522AP', '6522', ''],
    ['X99-7731', null, ''],
  ])('%s is a %s', (marking, type, holds) => {
    const part = knownPart(marking)
    expect(part?.type ?? null).toBe(type)
    expect(part?.organisation ? organisationWords(part.organisation) : '').toBe(holds)
  })

  it('words and bits are read as people write them', () => {
    expect(['16Kx1', '64K × 4', '128×8', '1M*1'].map(text => organisationWords(readOrganisation(text)!))).toEqual(['16K×1', '64K×4', '128×8', '1M×1'])
    // 16 Kbit are two thousand words of eight.
    expect(organisationWords(readOrganisation('16 Kbit')!)).toBe('2K×8')
    expect(['x4', '16K', '0x1', '16Kx99', 'fan'].map(readOrganisation)).toEqual([null, null, null, null, null])
    expect([49152, 512, 4 * 1024 * 1024, 1536].map(bytesWords)).toEqual(['48 KB', '512 bytes', '4 MB', '1.5 KB'])
  })
})

describe('an inventory', () => {
  it('is read as it is read aloud, a line for what is alike', () => {
    expect(read('U7 4116 15x socketed 8214')).toMatchObject([{ place: 'U7', count: 15, marking: '4116', mounting: 'socketed', dateCode: '8214' }])
    expect(read('U1-U3, U9: 4164 soldered').map(l => [l.place, l.count])).toEqual([
      ['U1', 1],
      ['U2', 1],
      ['U3', 1],
      ['U9', 1],
    ])
    expect(read('IC5 2716 "monitor 2.1" unused')).toMatchObject([{ marking: '2716', label: 'monitor 2.1', unused: true }])
    expect(read('U12 empty needed 2732 video')).toMatchObject([{ mounting: 'empty', marking: '', need: 'needed', note: 'for a 2732, video' }])
    expect(read('U3 64K x 4 2x')).toMatchObject([{ marking: '64K×4', organisation: '64K×4', count: 2 }])
    // A type number that reads like a date is the part; the one behind it is the date.
    expect(read('VR1 7805 7907')).toMatchObject([{ marking: '7805', dateCode: '7907' }])
  })

  it('keeps what can be read, and says of each line that cannot what would do', () => {
    const { lines, wrong } = readInventory('U1 4116\nthe big one\nU2\nU1 4164\nU3-U4 2114 3x\nU5 4116 0x\n# a note\n')
    expect(lines.map(l => l.place)).toEqual(['U1'])
    expect(wrong.map(w => [w.line, w.says])).toEqual([
      [2, 'It begins with no place. Write the place first, such as U7.'],
      [3, 'What is printed on it is missing: write U7 4116, or U7 empty for a socket without a part.'],
      [4, 'U1 is in the list already.'],
      [5, '3 of them, and 2 places: name as many places as there are parts.'],
      [6, 'How many: from one on.'],
    ])
    expect(() => readInventory('U1 4116\n'.repeat(9000))).toThrow('too long')
    expect(readInventory(Array.from({ length: 700 }, (_, i) => `U${i + 1} 4116`).join('\n')).wrong.at(-1)!.says).toContain('more than 600')
  })

  // Bytes = chips × words × bits ÷ 8; worked examples of practice.
  it.each([
    ['U1 4116 24x\nU30 16Kbit "basic" 2x', 48, 4],
    ['U1 16Kbit "monitor" 3x', 0, 6],
    ['U1-U8 4116', 16, 0],
    ['U1-U2 4464', 64, 0],
    ['U1-U8 2114', 4, 0],
    ['U1 6810', 0.125, 0],
    // Nine of a kind: eight hold bytes, and one is for parity.
    ['U1 41256 18x', 512, 0],
  ])('%s', (typed, ramK, romK) => {
    const { ramBytes, romBytes } = judged(typed)
    expect([ramBytes / 1024, romBytes / 1024]).toEqual([ramK, romK])
  })

  it('counts whole banks alone, and says what is left of one', () => {
    const half = judged('U7 4116 15x')
    expect(half.ramBytes).toBe(16 * 1024)
    expect(half.findings.map(f => f.says).join()).toContain('15 × 4116 make no whole banks: 1 bank of 8, and 7 of the 8 of another.')
    expect(judged('U1 4116 7x').ramBytes).toBe(0)
    expect(judged('U1 4464').ramBytes).toBe(0)
    expect(judged('U1 4164 72x').findings[0]!.because.join()).toContain('9 banks of eight, or 8 of nine with parity')
    expect(told('U1-U8 4532').join()).toContain('one half works')
  })

  it('what is unused, or in no table, is listed and not counted; words and bits that are written down count', () => {
    expect(judged('U1-U8 4116 unused').ramBytes).toBe(0)
    expect(told('U1-U8 4116 unused').join()).toContain('There, and not used: U1')
    const odd = judged('U1-U8 X99731')
    expect([odd.ramBytes, odd.groups]).toEqual([0, [{ type: 'X99731', kind: null, says: 'not known', count: 8, organisation: '', bytes: null, banks: '' }]])
    expect(judged('U1-U8 X99731 16Kx1').ramBytes).toBe(16 * 1024)
    expect(told('U1 empty\nU2 empty needed\nU3 empty optional')).toEqual([
      'care: 1 socket that is needed and empty: U2.',
      'note: 1 empty socket of which nobody knows whether it matters: U1.',
    ])
  })

  it('is held against what was claimed, and is never surer than what was looked at', () => {
    expect(claimed('U1 4116 24x', '48K of memory')).toEqual(['fine: 48 KB as claimed.'])
    expect(claimed('U1 4116 24x\nU30 2716 2x', '52 KB in all')).toEqual(['fine: 52 KB with what is read only, as claimed.'])
    // A figure that is met only with what is read only is no proof of so much memory.
    expect(claimed('U1 4116 24x\nU30 2716 2x', '52K of memory')).toEqual([
      'note: 52 KB claimed: so much it is with 4 KB of what is read only; 48 KB are to read and write.',
    ])
    expect(claimed('U1 4116 16x', 'expanded to 48K')).toEqual(['care: 48 KB claimed, and 32 KB of memory counted: 16 KB less.'])
    expect(claimed('U1 4116 24x', '16 KB')).toEqual(['note: 16 KB claimed, and 48 KB of memory counted: more than claimed.'])
    expect(claimed('U1 2716 3x', '6K ROM')).toEqual(['fine: 6 KB as claimed.'])
    // Something unknown, or taken over and not looked at, may be what is missing: then nobody knows.
    for (const more of [{ notSeen: 8 }, {}])
      expect(claimed(`U1 4116 16x${'notSeen' in more ? '' : '\nU40 X99731'}`, '48K', more)).toEqual([
        'note: 48 KB claimed, and 32 KB of memory counted so far: whether it holds is not known.',
      ])
    expect(claimed('U1 4116 8x', 'works, with a 20 MB hard disk')).toEqual([])
    for (const disk of ['two 360K 5.25 inch drives', 'a hard disk of 20 MB', 'disk 1.2M', '1.44 MB floppies', '60 MB on tape'])
      expect(sizesIn(disk), disk).toEqual([])
    expect(sizesIn('64K, later 1.5 MB; 20 MB disk; 300 kHz; 4Mhz')).toEqual([65536, 1572864])
  })

  it('a size that the model was never sold with is told, once all is known', () => {
    const published = ['16 KB', '48 KB']
    expect(told('U1 4116 16x', { published }).join()).toContain('32 KB of memory is no size that this model was sold with: 16 KB, 48 KB.')
    expect(told('U1 4116 24x', { published }).join()).not.toContain('no size')
    expect(told('U1 4116 16x', { published, notSeen: 3 }).join()).not.toContain('no size')
  })
})

it('two sisters stand side by side, what differs first; another maker, speed or week makes no other part', () => {
  const of = (typed: string) => read(typed).map((line: InventoryLine) => ({ ...line, board: 'Main board' }))
  const beside = compareInventories(
    of('U1 D4116C-2 8214\nU2 4116\nU3 2716 "basic 1"\nU5 74LS00 soldered\nU10 6522'),
    of('U1 MK4116-3 8240\nU2 4164\nU3 2716 "basic 2"\nU5 74LS00 socketed\nU9 empty'),
  )
  expect(beside.map(one => [one.place, one.differs])).toEqual([
    ['U2', 'part'],
    ['U3', 'part'],
    ['U9', 'only-there'],
    ['U10', 'only-here'],
    ['U5', 'detail'],
    ['U1', null],
  ])
  expect(beside[1]).toMatchObject({ here: '2716, “basic 1”', there: '2716, “basic 2”' })
})
