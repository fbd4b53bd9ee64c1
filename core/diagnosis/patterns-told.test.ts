import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readBanks, readKeyboardMap } from './bench-maps'
import { type MatrixInput, judgeMatrix } from './keyboard-matrix'
import { judgeMemory } from './memory-fault'
import { type Wrong, addressPattern, bankOf, bitsOf, chipsOf, joinedBits, mostlyTurned, overlaps } from './memory-patterns'

// Patterns made up by hand, each from both sides of what makes it one. Common practice, no source.
const range = (n: number) => Array.from({ length: n }, (_, i) => i)
const wrong = (address: number, expected: number, read: number): Wrong => ({ address, expected, read, diff: expected ^ read, bank: undefined }) as Wrong
const bank = (name: string, from: number, to: number, ways?: number) => ({
  name,
  from,
  to,
  chips: range(8).map(i => `${name}-${i}`),
  ...(ways ? { ways } : {}),
})
const memory = (failures: Wrong[], more: object = {}) =>
  judgeMemory({
    widthBits: 8,
    bitsPerChip: 1,
    banks: [bank('low', 0, 0x3fff), bank('high', 0x4000, 0x7fff)],
    failures: failures.map(({ address, expected, read }) => ({ address, expected, read })),
    addressInData: true,
    ...more,
  })
const said = (...of: Parameters<typeof memory>) => memory(...of).findings.map(f => `${f.code}: ${f.says}`)

describe('words that are addresses', () => {
  it('turned in one bit both ways blame that line, and lines that fold onto it where words are narrower', () => {
    const turned = [1, 2, 5, 6, 9].map(a => wrong(a, a, a ^ 4))
    const { kind, addressLines, findings } = memory(turned, { banks: [bank('all', 0, 0xff)] })
    expect([kind, addressLines]).toEqual(['address-line', [2]])
    expect(findings[0]!.because.join(' ')).not.toContain('narrower')
    const wide = memory(turned)
    expect(wide.addressLines).toEqual([2, 10])
    expect(wide.findings[0]!.says).toBe('Address line 2 or 10: words come from where that line alone differs.')
    expect(wide.findings[0]!.because.join(' ')).toContain('narrower')
    // Written as a pattern they say nothing of addresses.
    expect(memory(turned, { addressInData: false }).kind).not.toBe('address-line')
  })
  it('turned one way alone may be the data bit, and say so', () => {
    const { kind, findings } = memory([1, 2, 3, 8].map(a => wrong(a, a, a | 4)))
    expect([kind, findings[0]!.code]).toEqual(['unclear', 'memory.line-or-bit'])
  })
  it('from where two lines differ are told as joined for certain only where one came back unlike', () => {
    const both = range(16).flatMap(a => ((a & 5) === 1 || (a & 5) === 4 ? [wrong(a, a, a | 5)] : []))
    expect(said(both, { banks: [bank('all', 0, 0xff)] })[0]).toMatch(/^memory\.joined-line-or-bit: Address lines 0 and 2 joined, or data lines 0 and 2/)
    const sure = memory([...both, wrong(0x10, 0x10, 0x11)], { banks: [bank('all', 0, 0xff)] })
    expect([sure.kind, sure.addressLines]).toEqual(['joined-addresses', [0, 2]])
    expect(sure.findings[0]!.says).toBe('Address lines 0 and 2 are joined: words come from where both differ.')
  })
})

it('one bit turned in most, with several others beside, is most likely that line or bit; with fewer it is not told', () => {
  const list = (...diffs: number[]) => diffs.map((d, i) => wrong(i, 0xff, 0xff ^ d))
  const many = [4, 4, 4, 4, 4, 4, 4, 4]
  expect(mostlyTurned(list(...many, 3, 5, 6))).toBe(2)
  expect(mostlyTurned(list(...many, 3, 5))).toBeNull()
  // Others that are single bits themselves are told otherwise.
  expect(mostlyTurned(list(...many, 1, 2, 8))).toBeNull()
  expect(mostlyTurned(list(...many, 1, 2, 3))).toBe(2)
  expect(mostlyTurned(list(3, 3, 3, 3, 3, 3, 3, 3, 4, 5, 6))).toBeNull()
})

it('two bits are joined where they read alike and were written unlike in every failure, and both fail', () => {
  const list = [wrong(0, 0b01, 0b11), wrong(1, 0b10, 0b11), wrong(2, 0b01, 0b00), wrong(3, 0b10, 0b00)]
  const joined = (of: Wrong[]) => joinedBits(of, bitsOf(of, 8))
  expect(joined(list)).toEqual([0, 1])
  expect(joined([...list, wrong(4, 0b00, 0b11)])).toBeNull()
  expect(joined([...list, wrong(4, 0b01, 0b10)])).toBeNull()
  expect(joined(list.slice(0, 1))).toBeNull()
  expect(joined([...list, wrong(5, 0b100, 0b000)])).toBeNull()
})

it('a failure belongs to the bank and the chip that hold it, and to no bit beyond the word', () => {
  const banks = [bank('even', 0, 7, 2), bank('odd', 1, 7, 2)]
  expect([0, 1, 6, 7, 8].map(a => bankOf(a, banks)?.name)).toEqual(['even', 'odd', 'even', 'odd', undefined])
  const of = (bitsPerChip: number, widthBits = 8) =>
    chipsOf([{ ...wrong(0, 0xff, 0x6f), bank: banks[0]! }], { widthBits, bitsPerChip, banks, failures: [] }).map(c => `${c.place} ${c.bits.join()}`)
  expect(of(1)).toEqual(['even-4 4', 'even-7 7'])
  expect(of(4)).toEqual(['even-1 4,7'])
  expect(of(1, 7)).toEqual(['even-4 4'])
  expect(chipsOf([wrong(0, 1, 0)], { widthBits: 8, bitsPerChip: 1, banks, failures: [] })).toEqual([])
})

it('banks overlap where both hold an address, and not where they only take turns', () => {
  expect(overlaps([bank('a', 0, 7), bank('b', 7, 9)])).toHaveLength(1)
  expect(overlaps([bank('a', 0, 7), bank('b', 8, 9)])).toHaveLength(0)
  expect(overlaps([bank('a', 0, 7, 2), bank('b', 1, 7, 2)])).toHaveLength(0)
  expect(overlaps([bank('a', 0, 7, 2), bank('b', 0, 7, 3)])).toHaveLength(1)
})

it('addresses that all have a bit alike are told, where ten or more do and the map has both', () => {
  const list = (n: number, step: number) => range(n).map(i => wrong(i * step, 1, 0))
  const codes = (of: Wrong[], to = 0xff) => addressPattern(of, [bank('all', 0, to)]).map(f => f.says)
  expect(codes(list(32, 8))).toEqual(['Every failing address has bit 0 clear and bit 1 clear and bit 2 clear.'])
  expect(codes(list(9, 2))).toEqual([])
  expect(codes(list(32, 1))).toEqual(['Every failing address has bit 5 clear and bit 6 clear and bit 7 clear.'])
  expect(codes(list(256, 1))).toEqual([])
})

describe('a keyboard', () => {
  type Key = MatrixInput['keys'][number]
  const keys = (state: (row: number, column: number) => Key['state'], rows = 3, columns = 3): Key[] =>
    range(rows).flatMap(r => range(columns).map(c => ({ key: `k${r}${c}`, row: `R${r}`, column: `C${c}`, state: state(r, c) })))
  it('with a line that measures broken while its keys answer contradicts itself, and not where they do not', () => {
    const codes = (fails: number, ohm: number | null) =>
      judgeMatrix({ keys: keys((_, c) => (c === fails ? 'fails' : 'works')), lines: [{ line: 'C1', ohm }] }).findings.map(f => f.code)
    expect(codes(0, null)).toContain('matrix.contradiction')
    expect(codes(1, null)).not.toContain('matrix.contradiction')
    expect(codes(0, 0.5)).not.toContain('matrix.contradiction')
  })
  it('is not dead as a whole while a key answers, or where one line explains it', () => {
    const kinds = (state: Parameters<typeof keys>[0], more: Partial<MatrixInput> = {}, rows = 3, columns = 3) =>
      judgeMatrix({ keys: keys(state, rows, columns), ...more }).faults.map(f => f.kind)
    expect(kinds(() => 'fails')).toEqual(['common'])
    expect(kinds(() => 'fails', {}, 4, 1)).toEqual(['line'])
    expect(kinds((r, c) => (r + c ? 'fails' : 'sticks'))).not.toContain('common')
  })
  it('has as few faults as explain every key, by trying every set', () => {
    // Lines that have a living key are none; each key may fail by itself.
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 9, maxLength: 9 }), fails => {
        const all = keys((r, c) => (fails[r * 3 + c] ? 'fails' : 'works'))
        const { explanations, faults } = judgeMatrix({ keys: all, fromConnector: true })
        const failing = all.filter(k => k.state === 'fails').map(k => k.key)
        if (!failing.length) return void expect(faults).toEqual([])
        if (faults.some(f => f.kind === 'common')) return void expect(failing).toHaveLength(9)
        for (const set of explanations) {
          expect(failing.every(k => set.some(f => f.keys.includes(k)))).toBe(true)
          expect(set.every(f => f.keys.every(k => failing.includes(k)))).toBe(true)
          expect(set.length).toBe(explanations[0]!.length)
        }
        // Whole lines, and stretches of a line beyond its last living key: two keys or more.
        const lines = (['row', 'column'] as const).flatMap(axis =>
          [...new Set(all.map(k => k[axis]))].flatMap(line => {
            const on = all.filter(k => k[axis] === line)
            const beyond = on.slice(on.findLastIndex(k => k.state === 'works') + 1).map(k => k.key)
            return beyond.length > 1 ? [beyond] : []
          }),
        )
        const choices = [...lines, ...failing.map(k => [k])]
        const least = (open: string[], budget: number): boolean =>
          !open.length ||
          (budget > 0 &&
            choices.some(
              c =>
                c.includes(open[0]!) &&
                least(
                  open.filter(k => !c.includes(k)),
                  budget - 1,
                ),
            ))
        expect(least(failing, explanations[0]!.length)).toBe(true)
        expect(least(failing, explanations[0]!.length - 1)).toBe(false)
      }),
      { numRuns: 150 },
    )
  })
  it('is written line by line: a column, a colon, its keys; nothing less', () => {
    expect(readKeyboardMap('C1: 1 - Q\n\n C2 : A')).toEqual([
      { key: '1', row: 'R1', column: 'C1' },
      { key: 'Q', row: 'R3', column: 'C1' },
      { key: 'A', row: 'R1', column: 'C2' },
    ])
    for (const line of ['C1 1 2', ': 1 2', 'C1:', 'C1:  ']) expect(() => readKeyboardMap(`C0: 1\n${line}`), line).toThrow('Line 2: the column, a colon')
    expect(readBanks('4000 7FFF\tvideo: IC3 IC4', 'hex')).toEqual([{ from: 0x4000, to: 0x7fff, name: 'video', chips: ['IC3', 'IC4'] }])
    expect(readBanks('0 3FFF even /2: IC1', 'hex')[0]).toMatchObject({ ways: 2 })
    for (const line of ['4000: IC1', '4000 7FFF bank:', '4000 7FFF bank']) expect(() => readBanks(line, 'hex'), line).toThrow('Line 1: first, last, name')
  })
})
