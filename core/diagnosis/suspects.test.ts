import { describe, expect, it } from 'vitest'
import { mapAddresses, readAddress, writeAddress } from './address-map'
import { type MatrixInput, type MatrixKey, judgeMatrix } from './keyboard-matrix'
import { type MemoryFaultInput, judgeMemory } from './memory-fault'
import { bitOf, xor } from './memory-patterns'

// Suspects named by what fails, each case from both sides. Common practice, no source; bits and sums are arithmetic.
const refused = (judge: () => unknown, field: string | null) => {
  if (field === null) expect(judge).not.toThrow()
  else expect(judge).toThrow(expect.objectContaining({ field }) as Error)
}

describe('a matrix of three rows and three columns', () => {
  /** Keys A1 to C3, row by row; those named fail, stick or were not tested, the others work. */
  const keys = (fails: string[] = [], more: Partial<Record<'sticks' | 'untested', string[]>> = {}): MatrixKey[] =>
    ['A', 'B', 'C'].flatMap(row =>
      ['1', '2', '3'].map((column): MatrixKey => {
        const key = row + column
        const state = fails.includes(key) ? 'fails' : more.sticks?.includes(key) ? 'sticks' : more.untested?.includes(key) ? 'untested' : 'works'
        return { key, row, column, state }
      }),
    )
  const judge = (all: MatrixKey[], more: Partial<MatrixInput> = {}) => judgeMatrix({ keys: all, ...more })
  const faults = (...given: Parameters<typeof judge>) => judge(...given).faults.map(f => `${f.kind} ${'line' in f ? f.line : f.keys.join()}`)
  const says = (...given: Parameters<typeof judge>) => judge(...given).findings.map(f => f.says)
  const codes = (...given: Parameters<typeof judge>) => judge(...given).findings.map(f => `${f.level} ${f.code}`)
  const column1 = ['A1', 'B1', 'C1']
  const all = keys().map(k => k.key)

  it('blames a line where all of it fails, and a key by itself where the line does not explain it', () => {
    expect(faults(keys(column1))).toEqual(['line 1'])
    expect(faults(keys(['A1', 'A2', 'A3']))).toEqual(['line A'])
    expect(faults(keys(['B2']))).toEqual(['contact B2'])
    expect(faults(keys(['A1', 'B2'])).sort()).toEqual(['contact A1', 'contact B2'])
    expect([judge(keys(column1)).keyByKey, judge(keys()).keyByKey]).toEqual([3, 0])
    expect(codes(keys())).toEqual(['note matrix.none'])
    expect(says(keys())).toEqual(['Every key was tested, and none fails.'])
    expect(says(keys([], { untested: ['A1'] }))).toEqual(['No key is said to fail yet.'])
  })
  it('says which keys of the line were not tested, and asks for those first', () => {
    const judged = judge(keys(['A1', 'B1'], { untested: ['C1'] }))
    expect(judged.findings.find(f => f.code === 'matrix.line')?.because[0]).toBe('No key of it works: A1, B1, C1. Not tested on it: C1.')
    expect(judged.findings.find(f => f.code === 'matrix.untested')?.says).toBe('1 keys are not tested yet.')
    expect(codes(keys([], { untested: ['C1'], sticks: ['A1'] }))).not.toContain('note matrix.untested')
  })
  it('places a break by the order of the keys from the connector on, and only by that', () => {
    expect(judge(keys(['B1', 'C1']), { fromConnector: true }).faults).toEqual([{ kind: 'trace', line: '1', after: 'A1', keys: ['B1', 'C1'] }])
    expect(faults(keys(['B1', 'C1']))).toEqual(['part 1'])
    expect(faults(keys(['A1', 'B1']), { fromConnector: true }).every(f => f.startsWith('contact'))).toBe(true)
    expect(says(keys(['B1', 'C1']), { fromConnector: true })).toContain('Line 1 is gone beyond A1.')
    expect(says(keys(['B1', 'C1']))).toContain('A part of line 1.')
    expect(judge(keys(['B1', 'C1']), { fromConnector: true }).measure.map(m => m.what)).toContain('Line 1, from A1 to B1')
    expect(judge(keys(['B1', 'C1'])).measure.map(m => m.what)).toContain('Line 1, from key to key')
  })
  it('goes by what was measured: a whole line is acquitted, a broken one is in it', () => {
    expect(faults(keys(column1), { lines: [{ line: '1', ohm: 0.5 }] })).toEqual(['drive 1'])
    expect(faults(keys(column1), { lines: [{ line: '1', ohm: null }] })).toEqual(['line 1'])
    expect(says(keys(column1), { lines: [{ line: '1', ohm: null }] })).toContain('Line 1 as a whole: its trace, jumper or tail.')
    expect(says(keys(column1))).toContain('Line 1 as a whole: its trace, jumper, tail or driver.')
    expect(says(keys(column1), { lines: [{ line: '1', ohm: null }] })).toContain('Line 1: open.')
    // Printed lines: 200 to 300 ohms is what they have, kilohms are not.
    const printed = (ohm: number) => says(keys(column1), { printed: true, lines: [{ line: '1', ohm }] })[0]
    expect([printed(250), printed(3600)]).toEqual(['Line 1: joined.', 'Line 1: high.'])
    expect(says(keys(), { lines: [{ line: '1', ohm: null }] })).toContain('Line 1 does not read as whole, and the keys on it answer.')
    expect(judge(keys(column1), { lines: [{ line: '1', ohm: null }] }).measure.some(m => m.what.startsWith('Line 1'))).toBe(false)
  })
  it('tells electronics from keys by shorting from outside', () => {
    const side = (...types: boolean[]) => judge(keys(column1), { shorted: types.map((t, i) => ({ row: 'ABC'[i]!, column: '1', types: t })) })
    expect([side().side, side(true).side, side(true, false).side, side(false).side]).toEqual(['unknown', 'keys', 'electronics', 'electronics'])
    expect(side(true).findings[0]?.code).toBe('matrix.keys')
    expect(side(true, false).findings[0]?.because[0]).toMatch(/^B to 1: /)
    expect(side().measure[0]?.what).toContain('short a suspected row')
    expect(side(true).measure[0]?.what).not.toContain('short a suspected row')
    expect(side(true).findings.map(f => f.says)).toContain('Line 1 as a whole: its trace, jumper or tail.')
    expect(side(false).faults).toMatchObject([{ kind: 'drive', line: '1' }])
    // What keys of both lines answer cannot be deaf by what drives it.
    expect(judge(keys(['A1']), { shorted: [{ row: 'B', column: '2', types: false }] }).findings.map(f => f.code)).not.toContain('matrix.unexplained')
  })
  it('judges diodes that were measured, within 0.45 and 0.8 V', () => {
    const diode = (volts: number | null) => codes(keys(['B2']), { diodes: true, drops: [{ key: 'B2', volts }] }).includes('care matrix.diode')
    expect([diode(0.45), diode(0.44), diode(0.8), diode(0.81), diode(null)]).toEqual([false, true, false, true, true])
    expect(faults(keys(['B2']), { drops: [{ key: 'B2', volts: null }] })).toEqual(['diode B2'])
    expect(says(keys(['B2']), { drops: [{ key: 'B2', volts: 0.1 }] })).toContain('The diode of B2 reads 0.1 V.')
    expect(says(keys(['B2']), { drops: [{ key: 'B2', volts: null }] })).toEqual(
      expect.arrayContaining(['The diode of B2 reads open.', 'B2 by itself: its diode.']),
    )
    expect(says(keys(['B2']))).toContain('B2 by itself: its contact.')
  })
  it('where no key answers, looks at what they share before any line', () => {
    expect(faults(keys(all))).toEqual([`common ${all.join()}`])
    expect(faults(keys(all), { lines: [{ line: '1', ohm: null }] })).toEqual([`common ${all.join()}`, 'line 1'])
    expect(judge(keys(all)).measure).toEqual([])
    expect(judge(keys(all.slice(0, 8), { untested: ['C3'] })).findings.find(f => f.code === 'matrix.common')?.because[1]).toContain('1 keys are not tested')
    expect(faults(keys(all.slice(0, 8)))).not.toContain('common')
  })
  it('tells what sticks by itself, and what sticks by a whole line', () => {
    const because = (stuck: string[], diodes = false) => judge(keys([], { sticks: stuck }), { diodes }).findings.find(f => f.code === 'matrix.sticks')!
    expect(because(['A1']).says).toBe('A1 taken for pressed: a contact that does not open.')
    expect(because(column1).says).toBe('Keys of 1 stick together: lines joined, by dirt or a folded tail.')
    expect(because(['A1', 'A2', 'B1', 'B2']).because[0]).toContain('may be a ghost')
    expect(because(['A1', 'A2', 'B1', 'B2'], true).because[0]).toContain('Unplug the keyboard')
    expect(because(['A1', 'A2', 'B1']).because[0]).toContain('Unplug the keyboard')
  })
  it('names other explanations with as few faults, and how many there are', () => {
    const rivals = judge(keys(['A1', 'B1', 'A2', 'B2'], { untested: ['A3', 'B3', 'C1', 'C2'] }))
    expect(rivals.explanations.length).toBeGreaterThan(1)
    expect(rivals.findings.find(f => f.code === 'matrix.rivals')?.says).toBe('One other explanation takes as few faults.')
    expect(rivals.findings.find(f => f.code === 'matrix.rivals')?.because[0]).toMatch(/^Instead: line [12AB] and line [12AB]\.$/)
    expect(codes(keys(column1))).not.toContain('note matrix.rivals')
  })
  it.each<[MatrixKey[], Partial<MatrixInput>, string]>([
    [[], {}, 'keys'],
    [[{ key: ' ', row: 'A', column: '1', state: 'works' }], {}, 'keys.0'],
    [[{ key: 'A', row: ' ', column: '1', state: 'works' }], {}, 'keys.0'],
    [[{ key: 'A', row: 'A', column: ' ', state: 'works' }], {}, 'keys.0'],
    [[...keys(), keys()[0]!], {}, 'keys.9.key'],
    [keys(), { lines: [{ line: 'X', ohm: 1 }] }, 'lines.0.line'],
    [keys(), { drops: [{ key: 'X', volts: 1 }] }, 'drops.0.key'],
    [keys(), { shorted: [{ row: 'A', column: 'X', types: true }] }, 'shorted.0'],
    [Array.from({ length: 201 }, (_, i) => ({ key: `k${i}`, row: 'A', column: '1', state: 'works' as const })), {}, 'keys'],
  ])('refuses what cannot be: %#', (given, more, field) => refused(() => judge(given, more), field))
})

describe('failing memory', () => {
  const banks = [
    { name: 'Bank 0', from: 0, to: 0xff, chips: ['IC1', 'IC2'] },
    { name: 'Bank 1', from: 0x100, to: 0x1ff, chips: ['IC3', 'IC4'] },
  ]
  const judge = (failures: [address: number, expected: number, read: number][], more: Partial<MemoryFaultInput> = {}) =>
    judgeMemory({ widthBits: 8, bitsPerChip: 4, banks, failures: failures.map(([address, expected, read]) => ({ address, expected, read })), ...more })
  const codes = (...given: Parameters<typeof judge>) => judge(...given).findings.map(f => f.code)
  /** So many failures with the same bits turned, from an address on. */
  const turned = (diff: number, from: number, n: number, expected = 0x55): [number, number, number][] =>
    Array.from({ length: n }, (_, i) => [from + i, expected, expected ^ diff])

  it('is one cell, one chip, one line or one bank by where it lies', () => {
    expect(judge([[5, 0x55, 0x54]])).toMatchObject({ kind: 'cell', chips: [{ place: 'IC1', bank: 'Bank 0', bits: [0], failures: 1 }] })
    expect(
      judge([
        [5, 0x55, 0x54],
        [5, 0x55, 0x54],
      ]).kind,
    ).toBe('cell')
    expect(
      judge([
        [5, 0x55, 0x54],
        [6, 0x55, 0x54],
      ]).kind,
    ).toBe('chip')
    expect(judge([...turned(0x01, 5, 4), ...turned(0x04, 9, 4)])).toMatchObject({ kind: 'chip', chips: [{ place: 'IC1', bits: [0, 2] }] })
    expect(judge(turned(0x10, 0x80, 4)).chips[0]?.place).toBe('IC2')
    expect(judge([...turned(0x01, 5, 2), ...turned(0x01, 0x105, 2)]).kind).toBe('data-line')
    expect(judge([...turned(0x01, 5, 2), ...turned(0x01, 0x300, 2)])).toMatchObject({ kind: 'data-line' })
    expect(judge(turned(0xff, 0x10, 12)).kind).toBe('bank')
    expect(judge(turned(0xff, 0x10, 12), { banks: banks.slice(0, 1) }).kind).toBe('not-memory')
    expect(judge([...turned(0xff, 0x10, 6), ...turned(0xff, 0x110, 6)]).kind).toBe('not-memory')
    expect(judge(turned(0x1e, 0x10, 6)).kind).toBe('not-memory')
    expect(judge(turned(0x11, 0x10, 2)).kind).toBe('unclear')
  })
  it('says where a bit is stuck, and how many cells it lies in', () => {
    const chip = (...f: [number, number, number][]) => judge(f).findings[0]
    expect(chip([5, 0x55, 0x54], [6, 0x51, 0x50])?.says).toBe('IC1 in Bank 0, bit 0, stuck at 0.')
    expect(chip([5, 0x54, 0x55], [6, 0x50, 0x51])?.says).toBe('IC1 in Bank 0, bit 0, stuck at 1.')
    expect(chip([5, 0x55, 0x54], [6, 0x54, 0x55])?.says).toBe('IC1 in Bank 0, bit 0.')
    expect([chip([5, 0x55, 0x54])?.because[0], chip([5, 0x55, 0x54], [6, 0x55, 0x54])?.because[0]]).toEqual([
      expect.stringMatching(/^One cell/),
      expect.stringMatching(/^2 addresses/),
    ])
  })
  it('is no memory where it lies in no bank, and says how much of it does', () => {
    expect(judge(turned(1, 0x300, 3))).toMatchObject({ kind: 'not-memory', findings: [{ code: 'memory.outside' }] })
    expect(codes([...turned(1, 5, 1), ...turned(2, 0x300, 1)])).toContain('memory.outside-some')
    expect(codes(turned(1, 5, 2))).not.toContain('memory.outside-some')
    expect(judge([]).kind).toBe('none')
    expect(judge([[5, 1, 1]]).kind).toBe('none')
  })
  it('forgets where it fails only after waiting, and one chip alone may leak', () => {
    const waiting = (...f: [number, number, number][]) => judge(f, { onlyAfterWaiting: true })
    expect(waiting(...turned(1, 5, 2))).toMatchObject({ kind: 'refresh', findings: [{ because: [expect.stringContaining('a leaking chip there') as string] }] })
    expect(waiting(...turned(0x11, 5, 2)).findings[0]?.because[0]).toContain('More than one chip forgets')
  })
  it('is seldom where not every pass failed', () => {
    const seldom = (passes?: number, failedPasses?: number) => codes([[5, 1, 0]], { passes, failedPasses }).includes('memory.seldom')
    expect([seldom(100, 1), seldom(100, 100), seldom(100), seldom(undefined, 1)]).toEqual([true, false, false, false])
  })
  it('knows two data lines that read alike', () => {
    const joined: [number, number, number][] = [
      [5, 0b01, 0b00],
      [6, 0b10, 0b11],
      [7, 0b01, 0b11],
      [8, 0b10, 0b00],
    ]
    expect(judge(joined)).toMatchObject({ kind: 'joined-bits' })
    expect(judge(joined.slice(0, 2)).kind).not.toBe('joined-bits')
    expect(judge([...joined, [9, 0b11, 0b00]]).kind).not.toBe('joined-bits')
  })
  it('tells an address line by the words that come from where it alone differs, both ways', () => {
    const own = (...f: [number, number][]) =>
      judge(
        f.map(([a, r]) => [a, a, r]),
        { addressInData: true },
      )
    expect(own([0x10, 0x14], [0x14, 0x10], [0x20, 0x24], [0x25, 0x21])).toMatchObject({ kind: 'address-line', addressLine: 2, addressLines: [2] })
    // Turned one way alone it may be a data bit that is stuck.
    expect(own([0x10, 0x14], [0x20, 0x24], [0x21, 0x25])).toMatchObject({ kind: 'unclear', addressLines: [2], findings: [{ code: 'memory.line-or-bit' }] })
    expect(own([0x10, 0x14], [0x14, 0x10]).kind).not.toBe('address-line')
    expect(codes([[5, 1, 0]], { addressInData: true })).toContain('memory.not-addresses')
    expect(codes([[5, 5, 4]], { addressInData: true })).not.toContain('memory.not-addresses')
  })
  it('sees an address bit that stands alike in every failure, where chance would hardly have it', () => {
    const odd = Array.from({ length: 12 }, (_, i): [number, number, number] => [2 * i * 7 + 1, 0x55, 0xaa])
    expect(codes(odd, { banks: banks.slice(0, 1) })).toContain('memory.address-pattern')
    expect(judge(odd, { banks: banks.slice(0, 1) }).findings[0]?.says).toBe('Every failing address has bit 0 set.')
    expect(codes(odd.slice(0, 9), { banks: banks.slice(0, 1) })).not.toContain('memory.address-pattern')
  })
  it('names banks of the map that claim the same addresses, interleaved ones apart', () => {
    const overlap = (a: object, b: object) =>
      codes([], {
        banks: [
          { ...banks[0]!, ...a },
          { ...banks[1]!, ...b },
        ],
      }).includes('memory.overlap')
    expect([
      overlap({}, {}),
      overlap({ to: 0x100 }, {}),
      overlap({ ways: 2 }, { from: 1, to: 0xff, ways: 2 }),
      overlap({ ways: 2 }, { from: 2, to: 0xff, ways: 2 }),
    ]).toEqual([false, true, false, true])
  })
  it.each<[Partial<MemoryFaultInput>, string | null]>([
    [{ widthBits: 0 }, 'widthBits'],
    [{ widthBits: 33 }, 'widthBits'],
    [{ bitsPerChip: 9 }, 'bitsPerChip'],
    [{ bitsPerChip: 0 }, 'bitsPerChip'],
    [{ bitsPerChip: 8 }, null],
    [{ bitsPerChip: 3 }, 'banks.0.chips'],
    [{ banks: [] }, 'banks'],
    [{ banks: [{ ...banks[0]!, from: 9, to: 8 }] }, 'banks.0.to'],
    [{ banks: [{ ...banks[0]!, from: 9, to: 9 }] }, null],
    [{ failures: [{ address: -1, expected: 0, read: 0 }] }, 'failures.0.address'],
    [{ failures: [{ address: 0.5, expected: 0, read: 0 }] }, 'failures.0.address'],
    [{ failures: [{ address: 0, expected: 256, read: 0 }] }, 'failures.0.expected'],
    [{ failures: [{ address: 0, expected: 255, read: 256 }] }, 'failures.0.read'],
    [{ passes: 3, failedPasses: 4 }, 'failedPasses'],
    [{ passes: 3, failedPasses: 3 }, null],
  ])('with %o is refused at %s', (more, field) => refused(() => judge([[5, 1, 0]], more), field))
  it('exclusive or and bits hold beyond 32 bits', () => {
    expect([xor(2 ** 35 + 5, 2 ** 35 + 6), xor(2 ** 33, 1), xor(0xffffffff, 0)]).toEqual([3, 2 ** 33 + 1, 0xffffffff])
    expect([bitOf(2 ** 35, 35), bitOf(2 ** 35, 34), bitOf(5, 2)]).toEqual([1, 0, 1])
  })
})

describe('a map of addresses', () => {
  const map = (regions: [string, string, string][], more: object = {}) =>
    mapAddresses({ bits: 8, base: 'hex', regions: regions.map(([name, from, to]) => ({ name, from, to })), ...more })
  it('has its gaps, before, between and behind, and none where it is full', () => {
    const gaps = (...regions: [string, string, string][]) => map(regions).gaps.map(g => g.written.join('-'))
    expect([gaps(), gaps(['a', '10', '1F'], ['b', '30', 'EF']), gaps(['a', '0', 'FF']), gaps(['a', '0', '7F'], ['b', '80', 'FF'])]).toEqual([
      ['00-FF'],
      ['00-0F', '20-2F', 'F0-FF'],
      [],
      [],
    ])
  })
  it('names what overlaps with what, to its last shared address', () => {
    const told = (...regions: [string, string, string][]) => map(regions).findings.map(f => `${f.says} ${f.because[0]}`)
    expect(told(['a', '0', '7F'], ['b', '10', '1F'], ['c', '70', '8F'])).toEqual([
      'a and b overlap. Both hold 10 to 1F.',
      'a and c overlap. Both hold 70 to 7F.',
    ])
    expect(told(['a', '0', '7F'])).toEqual(['1 regions in 256 bytes. No two of them overlap.'])
  })
  it('tells an address in every base, and the region that holds it', () => {
    const asked = (ask: string) => map([['a', '10', '1F']], { ask }).asked
    expect([asked('10')?.region, asked('1F')?.region, asked('20')?.region, map([], { ask: '' }).asked]).toEqual(['a', 'a', 'nothing', null])
    expect(asked('2A')).toEqual({ value: 42, hex: '2A', octal: '052', decimal: '42', binary: '00101010', region: 'nothing' })
    refused(() => map([], { ask: '100' }), 'ask')
    refused(() => map([['a', '2', '1']]), 'regions.0.to')
    refused(() => map([['a', '0', '100']]), 'regions.0.to')
    refused(() => map([], { bits: 41 }), 'bits')
    refused(() => map([], { bits: 0 }), 'bits')
    refused(() => readAddress(-1, 'hex'), 'address')
    refused(() => readAddress(1.5, 'hex'), 'address')
    refused(() => readAddress('10000000000', 'hex'), null)
    refused(() => readAddress('10000000001', 'hex'), 'address')
    expect([readAddress(7, 'hex'), readAddress(' 1_0 ', 'hex'), writeAddress(8, 'octal', 9), writeAddress(8, 'decimal', 9)]).toEqual([7, 16, '010', '8'])
  })
})
