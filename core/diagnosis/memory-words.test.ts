import { expect, it } from 'vitest'
import { type Wrong, aliasLines, joinedAddresses, whatWordsAre } from './memory-patterns'

// What was written and read, made up by hand: an address test writes each word its own address.
const wrong = (address: number, expected: number, read: number): Wrong => ({ address, expected, read, diff: expected ^ read, bank: undefined }) as Wrong
const range = (n: number) => Array.from({ length: n }, (_, i) => i)

it.each([
  ['addresses', [5, 9, 200], (a: number) => a, 'address'],
  // Of 0x1234 an eight-bit word keeps 0x34; folded it is 0x12 ^ 0x34.
  ['their lowest bits', [0x1234, 0x2001, 0x5], (a: number) => a & 0xff, 'cut'],
  ['all of it folded', [0x1234, 0x2001, 0x5], (a: number) => (a >> 8) ^ (a & 0xff), 'folded'],
  ['a pattern', [0x1234, 0x2001, 0x5], () => 0x55, 'pattern'],
] as const)('words that were written are told for %s', (_, addresses, written, words) => {
  const list = addresses.map(a => wrong(a, written(a), 0))
  expect(whatWordsAre(list, 8)).toBe(words)
  // One word that was written otherwise makes it a pattern.
  expect(whatWordsAre([...list, wrong(0x31, 0xaa, 0)], 8)).toBe('pattern')
})

it('a line that is turned both ways is the address’s for certain; turned one way alone it may be the data’s', () => {
  const input = { widthBits: 8, banks: [] } as never
  const turn = (addresses: number[]) => addresses.map(a => wrong(a, a, a ^ 4))
  expect(aliasLines(turn([1, 2, 5, 6]), 'cut', input)).toEqual({ bit: 2, lines: [2], sure: true })
  expect(aliasLines(turn([1, 2, 3]), 'cut', input)).toMatchObject({ sure: false })
  expect(aliasLines(turn([1, 2]), 'cut', input)).toBeNull()
  expect(aliasLines([...turn([1, 2, 5]), wrong(7, 7, 6)], 'cut', input)).toBeNull()
})

it('two address lines are joined where words came from where both differ; data lines where they only agree', () => {
  // Lines 0 and 2 joined: whoever asks with one of them high reads where both are.
  const both = range(16).flatMap(a => ((a & 5) === 1 || (a & 5) === 4 ? [wrong(a, a, a | 5)] : []))
  expect(joinedAddresses(both)).toEqual({ pair: [0, 2], sure: false })
  const unlike = [...both, wrong(0x10, 0x10, 0x11)]
  expect(joinedAddresses(unlike)).toEqual({ pair: [0, 2], sure: true })
  expect(joinedAddresses(both.slice(0, 7))).toBeNull()
  expect(joinedAddresses(both.filter(f => f.diff === 4))).toBeNull()
  expect(joinedAddresses([...both, wrong(3, 3, 11)])).toBeNull()
  // Written alike and read alike, yet elsewhere: neither explains it.
  expect(joinedAddresses([...both, wrong(5, 5, 0)])).toBeNull()
})
