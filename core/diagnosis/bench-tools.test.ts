import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readBanks, readFailures, readKeyboardMap } from './bench-maps'
import { mapAddresses, readAddress, writeAddress } from './address-map'
import { judgeMatrix, type MatrixKey } from './keyboard-matrix'
import { climb, ladderRules, machineClasses, observationNames, rungsOf } from './ladder'
import { type MemoryBank, type MemoryFailure, judgeMemory } from './memory-fault'

describe('addresses', () => {
  it('4 MB of a 22-bit octal space less its page of 8 KB is 4088 KB', () => {
    // Outside value: 0 to 17777777 octal, less 17760000 and above.
    const { regions, gaps, asked } = mapAddresses({
      bits: 22,
      base: 'octal',
      regions: [
        { name: 'memory', from: '0', to: '17757777' },
        { name: 'input and output', from: '17760000', to: '17777777' },
      ],
      ask: '17770000',
    })
    expect(regions.map(r => r.bytes / 1024)).toEqual([4088, 8])
    expect(gaps).toEqual([])
    expect(asked).toMatchObject({ region: 'input and output', hex: '3FF000', decimal: '4190208' })
  })

  it('are read in every spelling, and written so that they read the same again', () => {
    expect([
      readAddress('0x1F', 'octal'),
      readAddress('$C000', 'decimal'),
      readAddress('0FFh', 'octal'),
      readAddress('17', 'octal'),
      readAddress('17', 'hex'),
    ]).toEqual([31, 49152, 255, 15, 23])
    for (const [text, base] of [
      ['8', 'octal'],
      ['12G', 'hex'],
      ['-1', 'decimal'],
      ['', 'hex'],
    ] as const)
      expect(() => readAddress(text, base)).toThrow('is no')
    fc.assert(
      fc.property(fc.nat(2 ** 24), fc.constantFrom('hex', 'octal', 'decimal'), (value, base) => {
        expect(readAddress(writeAddress(value, base, 24), base)).toBe(value)
      }),
    )
  })

  it('overlaps and gaps are named, and together regions and gaps fill the space', () => {
    const { findings, gaps } = mapAddresses({
      bits: 16,
      base: 'hex',
      regions: [
        { name: 'ROM', from: '0', to: '3FFF' },
        { name: 'screen', from: '3000', to: '57FF' },
      ],
    })
    expect(findings).toMatchObject([{ level: 'care', says: 'ROM and screen overlap.' }])
    expect(gaps).toMatchObject([{ from: 0x5800, to: 0xffff }])
    expect(() => mapAddresses({ bits: 8, base: 'hex', regions: [{ name: 'x', from: '0', to: '100' }] })).toThrow('reach to FF')
  })
})

describe('failing memory', () => {
  const chips = (prefix: string) => Array.from({ length: 8 }, (_, i) => `${prefix}${i}`)
  const banks: MemoryBank[] = [
    { name: 'bank 0', from: 0, to: 0x3fff, chips: chips('A') },
    { name: 'bank 1', from: 0x4000, to: 0x7fff, chips: chips('B') },
  ]
  const judge = (failures: MemoryFailure[], more: object = {}) => judgeMemory({ widthBits: 8, bitsPerChip: 1, banks, failures, ...more })
  const at = (addresses: number[], change: (word: number, i: number) => number, expected = (i: number) => (i % 2 ? 0xaa : 0x55)) =>
    addresses.map((address, i) => ({ address, expected: expected(i), read: change(expected(i), i) }))

  it('one bit in one bank is its chip by its place; stuck where it always reads the same', () => {
    const result = judge(at([0x4100, 0x4200, 0x7000, 0x5005], w => w | 0b1000))
    expect(result).toMatchObject({ kind: 'chip', chips: [{ place: 'B3', bits: [3] }], bits: [{ bit: 3, stuck: '1' }] })
    expect(judge(at([0x4100], w => w ^ 1)).kind).toBe('cell')
  })

  it('one bit in two banks is its line, not two chips', () => {
    expect(judge(at([0x10, 0x4010, 0x200, 0x4200], w => w & ~0b100)).kind).toBe('data-line')
  })

  it('two lines joined read alike', () => {
    const join = (w: number) => (w & 0b11 && (w & 0b11) !== 0b11 ? w & ~0b11 : w)
    expect(judge(at([1, 2, 3, 0x4001, 0x4002], join))).toMatchObject({ kind: 'joined-bits' })
  })

  it.each([0, 3, 6])('address line %i open in a simulated memory is told from a stuck data bit where it can be, and not where it cannot', line => {
    // A made-up memory whose address line floats: half the accesses lose it, one way and the other.
    const turned = [0x21, 0x64, 0x0f, 0x5a].map(address => ({ address, expected: address, read: address ^ (1 << line) }))
    // The words are of 8 bits in a memory of 32 KB: a line 8 higher may be folded onto it.
    expect(judge(turned, { addressInData: true })).toMatchObject({ kind: 'address-line', addressLine: null, addressLines: [line, line + 8] })
    // Stuck low: what was written last stands in both places, exactly as a data bit stuck at 1 looks.
    const cells = new Map<number, number>()
    for (let a = 0; a < 128; a++) cells.set(a & ~(1 << line), a)
    const failures = Array.from({ length: 128 }, (_, a) => ({ address: a, expected: a, read: cells.get(a & ~(1 << line))! })).filter(f => f.expected !== f.read)
    expect(judge(failures, { addressInData: true }).kind).toBe('unclear')
    expect(judge(failures, { addressInData: true }).findings[0]!.code).toBe('memory.line-or-bit')
  })

  it('joined address lines are told from joined data lines where they can be; what lies outside of the map weighs', () => {
    // Lines 2 and 5 joined, the lower wins, written upwards: the last that was written stands in three places.
    const cell = (a: number) => ((a >> 2) & 1 && (a >> 5) & 1 ? a : a & ~0b100100)
    const cells = new Map<number, number>()
    for (let a = 0; a < 256; a++) cells.set(cell(a), a)
    const failures = Array.from({ length: 256 }, (_, address) => ({ address, expected: address, read: cells.get(cell(address))! })).filter(
      f => f.expected !== f.read,
    )
    const small = { banks: [{ name: 'all', from: 0, to: 255, chips: chips('A') }], addressInData: true }
    expect(judge(failures, small)).toMatchObject({ kind: 'joined-addresses', addressLines: [2, 5] })
    // Told by the very words that a joined pair of data lines would give.
    const alike = failures.filter(f => f.expected & 4).map(f => ({ ...f, read: f.expected & ~0b100100 }))
    expect(
      judge(
        alike.filter(f => (f.expected & 36) === 4 || (f.expected & 36) === 32),
        small,
      ).kind,
    ).not.toBe('joined-addresses')
    const outside = judge([...at([0x4100, 0x4200, 0x7000], w => w | 8), ...at([0x9000, 0x9100], w => w | 8)])
    expect([outside.kind, outside.findings.map(f => f.code).includes('memory.outside-some')]).toEqual(['data-line', true])
    const overlapping = [banks[0]!, { ...banks[1]!, from: 0x3000 }]
    expect(judgeMemory({ widthBits: 8, bitsPerChip: 1, banks: overlapping, failures: [] }).findings.map(f => f.code)).toContain('memory.overlap')
  })

  it('many bits in many places are not the memory; all bits of one bank are its selection', () => {
    const noise = [0x13, 0xe7, 0x5c, 0x99, 0x2d]
    expect(judge(at([0x100, 0x4200, 0x3000, 0x5123, 0x7fff], (w, i) => w ^ noise[i]!)).kind).toBe('not-memory')
    expect(judge(at([0x4000, 0x5000, 0x6000], w => w ^ 0xff)).kind).toBe('bank')
    expect(judge(at([0x9000], w => w ^ 1)).kind).toBe('not-memory')
  })

  it('what forgets while it waits is refresh; one failure in a hundred is real, and perhaps not the memory', () => {
    expect(
      judge(
        at([1, 2, 3], w => w ^ 1),
        { onlyAfterWaiting: true },
      ).kind,
    ).toBe('refresh')
    expect(
      judge(
        at([1, 2, 3], w => w ^ 1),
        { passes: 100, failedPasses: 1 },
      ).findings.map(f => f.code),
    ).toContain('memory.seldom')
    for (const level of judge(at([1], w => w ^ 1)).findings.map(f => f.level)) expect(level).not.toBe('fine')
  })

  it('says what is wrong with what it is given', () => {
    expect(() => judge([{ address: 1, expected: 256, read: 0 }])).toThrow('more than 8 bits')
    expect(() => judgeMemory({ widthBits: 16, bitsPerChip: 1, banks, failures: [] })).toThrow('16 chips')
  })
})

describe('a keyboard matrix', () => {
  const grid = (fails: (r: number, c: number) => boolean, untested: (r: number, c: number) => boolean = () => false): MatrixKey[] =>
    Array.from({ length: 40 }, (_, i) => {
      const [r, c] = [i % 5, Math.floor(i / 5)]
      return { key: `${r}/${c}`, row: `R${r}`, column: `C${c}`, state: untested(r, c) ? 'untested' : fails(r, c) ? 'fails' : 'works' }
    })

  it('two dead columns are two lines, not ten keys', () => {
    const result = judgeMatrix({
      keys: grid((_, c) => c === 3 || c === 6),
      printed: true,
      lines: [
        { line: 'C3', ohm: 3600 },
        { line: 'C6', ohm: null },
        { line: 'C1', ohm: 250 },
      ],
    })
    expect(result.faults).toMatchObject([
      { kind: 'line', line: 'C3' },
      { kind: 'line', line: 'C6' },
    ])
    expect(result.keyByKey).toBe(10)
    // Common practice, no source: 4, 100 and 300 ohms are fine for a printed jumper, 3.6 kilohms and 8 megohms are not.
    expect(result.findings.filter(f => f.code.startsWith('matrix.line.')).map(f => f.says)).toEqual(['Line C3: high.', 'Line C6: open.', 'Line C1: joined.'])
    for (const ohm of [4, 100, 300])
      expect(judgeMatrix({ keys: grid(() => false), printed: true, lines: [{ line: 'C1', ohm }] }).findings[0]!.level).toBe('fine')
  })

  it('a line that works up to a key is gone beyond it; a lone key is a contact', () => {
    const result = judgeMatrix({ keys: grid((r, c) => (c === 2 && r >= 3) || (c === 5 && r === 1)), fromConnector: true })
    expect(result.faults).toMatchObject([
      { kind: 'trace', line: 'C2', after: '2/2', keys: ['3/2', '4/2'] },
      { kind: 'contact', keys: ['1/5'] },
    ])
  })

  it('a key that sticks proves its lines; what every key needs comes before any line; rivals are named', () => {
    const keys = grid((_, c) => c === 3)
    const held = keys.map(k => (k.key === '4/3' ? { ...k, state: 'sticks' as const } : k))
    expect(judgeMatrix({ keys: held }).faults).toMatchObject([{ kind: 'part', line: 'C3', keys: ['0/3', '1/3', '2/3', '3/3'] }])
    const dead = judgeMatrix({ keys: grid(() => true), fromConnector: true })
    expect([dead.faults, dead.findings.find(f => f.code === 'matrix.common')?.level]).toMatchObject([[{ kind: 'common' }], 'care'])
    // A corner of two by two, nothing else tested: both rows, both columns, and mixed with contacts none is less.
    const corner = judgeMatrix({
      keys: grid(
        (r, c) => r < 2 && c < 2,
        (r, c) => r >= 2 || c >= 2,
      ).map(k => (k.key === '4/7' ? { ...k, state: 'works' as const } : k)),
    })
    expect(corner.explanations.map(e => e.map(f => ('line' in f ? f.line : f.kind)).sort())).toEqual(
      expect.arrayContaining([
        ['C0', 'C1'],
        ['R0', 'R1'],
      ]),
    )
    expect(corner.findings.map(f => f.code)).toContain('matrix.rivals')
  })

  it('what lines measured is used in the same answer', () => {
    const keys = grid((_, c) => c === 3)
    const kinds = (more: object) => judgeMatrix({ keys, ...more }).faults.map(f => f.kind)
    expect(kinds({ lines: [{ line: 'C3', ohm: 0.4 }] })).toEqual(['drive'])
    expect(kinds({ lines: [{ line: 'C3', ohm: 0.4 }], shorted: [{ row: 'R1', column: 'C3', types: true }] })).toEqual(Array(5).fill('contact'))
    expect(kinds({ lines: [{ line: 'C3', ohm: null }] })).toEqual(['line'])
    // Open, and every key of it answers: that does not go together.
    const codes = judgeMatrix({ keys: grid(() => false), lines: [{ line: 'C3', ohm: null }] }).findings.map(f => f.code)
    expect(codes).toContain('matrix.contradiction')
  })

  it('never accuses a line on which a key works, and is never larger than key by key', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('untested', 'works', 'fails'), { minLength: 40, maxLength: 40 }), states => {
        const keys = grid(() => false).map((k, i) => ({ ...k, state: states[i]! as MatrixKey['state'] }))
        const works = new Set(keys.filter(k => k.state === 'works').map(k => k.key))
        const { faults, keyByKey } = judgeMatrix({ keys })
        const told = new Set(faults.flatMap(f => f.keys))
        for (const f of faults) expect(f.keys.some(k => works.has(k))).toBe(false)
        for (const k of keys) if (k.state === 'fails') expect(told.has(k.key)).toBe(true)
        expect(faults.length).toBeLessThanOrEqual(keyByKey)
      }),
      { numRuns: 40 },
    )
  })

  it('tells electronics from keys by shorting from outside, and asks for it first', () => {
    const keys = grid((_, c) => c === 3)
    expect(judgeMatrix({ keys }).measure[0]!.what).toContain('Unplug the keyboard')
    expect(judgeMatrix({ keys, shorted: [{ row: 'R1', column: 'C3', types: true }] }).side).toBe('keys')
    expect(judgeMatrix({ keys, shorted: [{ row: 'R1', column: 'C3', types: false }] }).side).toBe('electronics')
    expect(() => judgeMatrix({ keys, shorted: [{ row: 'R9', column: 'C3', types: false }] })).toThrow('no row')
    expect(judgeMatrix({ keys, diodes: true, drops: [{ key: '1/3', volts: null }] }).findings.map(f => f.code)).toContain('matrix.diode')
  })
})

describe('the ladder', () => {
  // Common practice, no source.
  it('well-formed characters in random places: the video works, the processor never cleared the screen', () => {
    const { rungs, next } = climb({ machine: 'single-board', seen: ['good-characters', 'rails-good'] })
    const of = (rung: string) => rungs.find(r => r.rung === rung)!.state
    expect([of('video-timing'), of('video-data'), of('bus'), of('rails')]).toEqual(['works', 'works', 'suspect', 'works'])
    expect(next!.rung).toBe('clock')
  })

  it('irregular changes of a data pin mean that code is running; rails are next until they were read, whatever runs', () => {
    const { rungs, next } = climb({ machine: 'terminal', seen: ['bus-irregular', 'key-answers'] })
    expect(rungs.filter(r => r.state === 'works').map(r => r.rung)).toEqual(['clock', 'reset', 'bus', 'keyboard'])
    expect(next!.rung).toBe('rails')
  })

  it('what contradicts itself is named', () => {
    const { findings } = climb({ machine: 'desktop', seen: ['bus-still', 'bus-irregular', 'rails-good'] })
    expect(findings.map(f => f.code)).toContain('ladder.contradiction')
  })

  it('every observation has a rule, and no rule proves and suspects the same rung', () => {
    expect(new Set(ladderRules.map(r => r.when))).toEqual(new Set(observationNames))
    for (const r of ladderRules) expect(r.proves?.filter(p => r.suspects?.includes(p)) ?? []).toEqual([])
    for (const machine of machineClasses) {
      expect(climb({ machine, seen: [] }).next!.rung).toBe('rails')
      expect(rungsOf[machine][0]).toBe('rails')
    }
  })
})

describe('maps as they are written down', () => {
  it('a keyboard by its columns, with a dash where there is no key', () => {
    expect(readKeyboardMap('C1: 1 - Q\n\nC2: 2 W')).toEqual([
      { key: '1', row: 'R1', column: 'C1' },
      { key: 'Q', row: 'R3', column: 'C1' },
      { key: '2', row: 'R1', column: 'C2' },
      { key: 'W', row: 'R2', column: 'C2' },
    ])
    expect(() => readKeyboardMap('1 2 3')).toThrow('Line 1: the column, a colon')
  })

  it('banks and failures in the spelling of the machine', () => {
    expect(readBanks('000000 017777 low /2: IC3 IC4', 'octal')).toEqual([{ from: 0, to: 8191, name: 'low', ways: 2, chips: ['IC3', 'IC4'] }])
    expect(readFailures('177 0 1', 'octal')).toEqual([{ address: 127, expected: 0, read: 1 }])
    expect(() => readBanks('4000 7FFF', 'hex')).toThrow('chips from bit 0')
    expect(() => readFailures('4000 55', 'hex')).toThrow('address, expected, read')
  })
})
