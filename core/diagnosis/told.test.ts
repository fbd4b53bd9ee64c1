import { expect, it } from 'vitest'
import { type MatrixInput, judgeMatrix } from './keyboard-matrix'
import { railsOnRecord } from './ladder'
import { type MemoryFaultInput, judgeMemory } from './memory-fault'
import { type SwapTest, reasonSwaps } from './swap'

// What is said, and what is to be measured next, from both sides of each rule. Cases made up by hand; common practice, no source.
it.each<[Parameters<typeof railsOnRecord>[0], string | null]>([
  [[], null],
  [[{ verdict: 'good', deciding: { load: 'loaded' } }], 'rails-good'],
  [[{ verdict: 'good', deciding: { load: 'unloaded' } }], null],
  [[{ verdict: 'good', deciding: { load: 'loaded' } }, { verdict: 'not-read' }], null],
  [
    [
      { verdict: 'good', deciding: { load: 'loaded' } },
      { verdict: 'out', deviationPct: -12 },
    ],
    'rail-low',
  ],
  // Too high is no low rail, and proves none either.
  [
    [
      { verdict: 'good', deciding: { load: 'loaded' } },
      { verdict: 'out', deviationPct: 12 },
    ],
    null,
  ],
  [[{ verdict: 'out' }], null],
  [[{ verdict: 'check', deviationPct: -4, deciding: { load: 'loaded' } }], null],
])('rails %o say %s to the ladder', (rails, says) => expect(railsOnRecord(rails)).toBe(says))

const grid = (fails: readonly string[], more: Partial<MatrixInput> = {}) =>
  judgeMatrix({
    keys: ['R0', 'R1', 'R2', 'R3'].flatMap(row =>
      ['C0', 'C1', 'C2', 'C3'].map(column => ({
        key: row + column,
        row,
        column,
        state: fails.includes(row) || fails.includes(column) || fails.includes(row + column) ? ('fails' as const) : ('works' as const),
      })),
    ),
    ...more,
  })

it('a keyboard says what to measure next, with what is to be expected, and not what has been', () => {
  const first = grid(['C1'])
  expect(first.measure[0]).toMatchObject({ what: expect.stringContaining('Unplug the keyboard') as string })
  expect(first.measure).toContainEqual({ what: 'Line C1, from the connector to its nearest key, with its jumper between', expect: 'under 2 Ω' })
  const printed = grid(['C1'], { printed: true })
  expect(printed.measure.at(-1)!.expect).toContain('200 to 300 Ω')
  expect(
    grid(['C1'], { lines: [{ line: 'C1', ohm: null }] })
      .measure.map(m => m.what)
      .join(),
  ).not.toContain('C1')
  const [contact] = grid(['R1C1']).measure.filter(m => m.what.startsWith('The contact of'))
  expect(contact).toEqual({ what: 'The contact of R1C1, pressed', expect: 'under 2 Ω' })
  expect(grid(['R1C1'], { printed: true }).measure.some(m => m.expect === 'some hundred ohms at most')).toBe(true)
  expect(grid([]).measure).toEqual([])
  // Shorted and typed: its electronics answer, and nobody has to unplug it again.
  expect(
    grid(['C1'], { shorted: [{ row: 'R0', column: 'C1', types: true }] })
      .measure.map(m => m.what)
      .join(),
  ).not.toContain('Unplug')
})

it('a line that reads broken while its keys answer is told, and one whose keys are dead is not', () => {
  const codes = (fails: string[], line: string) => grid(fails, { lines: [{ line, ohm: null }] }).findings.map(f => f.code)
  expect(codes([], 'C2')).toContain('matrix.contradiction')
  expect(codes(['C2'], 'C2')).not.toContain('matrix.contradiction')
  expect(codes(['C1'], 'C2')).toContain('matrix.contradiction')
})

it('all bits of one bank of two are its selection before its chips; of the only bank, and of both, they are not', () => {
  const bank = (name: string, from: number) => ({ name, from, to: from + 0x3fff, chips: Array.from({ length: 8 }, (_, i) => `${name}${i}`) })
  const [a, b] = [bank('A', 0), bank('B', 0x4000)]
  const failures = (from: number) =>
    Array.from({ length: 24 }, (_, i) => ({ address: from + i * 97, expected: i % 2 ? 0x55 : 0xaa, read: i % 2 ? 0xaa : 0x55 }))
  const judged = (more: Partial<MemoryFaultInput>) => judgeMemory({ widthBits: 8, bitsPerChip: 1, banks: [a, b], failures: failures(0x4000), ...more })
  expect(judged({})).toMatchObject({ kind: 'bank', findings: expect.arrayContaining([expect.objectContaining({ code: 'memory.bank' })]) as never })
  expect(judged({ banks: [b] }).kind).not.toBe('bank')
  expect(judged({ failures: [...failures(0), ...failures(0x4000)] }).kind).not.toBe('bank')
  expect(judged({ failures: [...failures(0x4000), ...failures(0xc000)] }).kind).not.toBe('bank')
})

it('swaps say what they rest on: nothing, one test, several, and whether one part alone explains them', () => {
  const parts = [
    { name: 'Main board', kind: 'main-board' },
    { name: 'Supply', kind: 'supply' },
    { name: 'Display', kind: 'monitor' },
  ] as const
  const test = (outcome: 'works' | 'fails', ...used: string[]): SwapTest => ({ parts: used, outcome })
  const told = (...tests: SwapTest[]) => reasonSwaps({ parts, tests }).findings.map(f => [f.says, ...f.because].join(' '))
  expect(told().join()).toContain('No test yet.')
  expect(told(test('works', 'Main board', 'Supply')).join()).toContain('Nothing to explain')
  const one = test('fails', 'Main board', 'Supply')
  expect(told(one).join()).toContain('and on one test; it is no proof.')
  expect(told(one, test('works', 'Supply', 'Display')).join()).toContain('and on 2 tests; it is no proof.')
  expect(told(one).join()).not.toContain('Hardly a single part')
})
