import { describe, expect, it } from 'vitest'
import { type KeyState, type MatrixInput, type MatrixKey, judgeMatrix } from './keyboard-matrix'

/** A keyboard of rows by columns; what a key does by its place. */
const grid = (rows: number, columns: number, state: (r: number, c: number) => KeyState): MatrixKey[] =>
  Array.from({ length: rows * columns }, (_, i) => {
    const [r, c] = [Math.floor(i / columns), i % columns]
    return { key: `${r}/${c}`, row: `R${r}`, column: `C${c}`, state: state(r, c) }
  })
const judge = (keys: MatrixKey[], more: Partial<MatrixInput> = {}) => judgeMatrix({ keys, ...more })
const codes = (...of: Parameters<typeof judge>) => judge(...of).findings.map(f => f.code)
const works = grid(4, 4, () => 'works')
const deadColumn = grid(4, 4, (_, c) => (c === 2 ? 'fails' : 'works'))

describe('a key matrix', () => {
  it('that shows nothing says so: not yet, or not any more', () => {
    const none = (state: KeyState) => judge(grid(2, 2, () => state)).findings
    expect(none('works')).toMatchObject([{ code: 'matrix.none', says: 'Every key was tested, and none fails.' }])
    expect(none('untested')).toMatchObject([{ code: 'matrix.none', says: 'No key is said to fail yet.' }])
    // What was measured is told instead.
    expect(codes(works, { drops: [{ key: '0/0', volts: 1.2 }] })).toEqual(['matrix.diode'])
    expect(codes(works, { shorted: [{ row: 'R0', column: 'C0', types: true }] })).toEqual(['matrix.keys'])
  })
  it('with keys that nobody tested wants those tested, where others fail', () => {
    const some = (state: KeyState) => codes(grid(4, 4, (r, c) => (c === 2 && r < 3 ? 'fails' : c === 2 ? state : 'works')))
    expect(some('untested')).toContain('matrix.untested')
    expect(some('fails')).not.toContain('matrix.untested')
    expect(codes(grid(2, 2, r => (r ? 'works' : 'untested')))).toEqual(['matrix.none'])
  })
  // Common practice, no source: a silicon junction in the diode test, 0.45 to 0.8 V.
  it.each([
    [0.44, 1],
    [0.45, 0],
    [0.6, 0],
    [0.8, 0],
    [0.81, 1],
    [null, 1],
  ])('a diode that reads %s V', (volts, told) => expect(codes(works, { drops: [{ key: '0/0', volts }] }).filter(c => c === 'matrix.diode')).toHaveLength(told))

  it('of which none answers has a common cause, from four dead keys on; a line that was measured broken stays beside it', () => {
    const dead = (rows: number, columns: number) => judge(grid(rows, columns, () => 'fails'))
    expect(dead(2, 2)).toMatchObject({ faults: [{ kind: 'common', keys: ['0/0', '0/1', '1/0', '1/1'] }], explanationsAtLeast: 1, measure: [] })
    expect(dead(1, 3).faults.map(f => f.kind)).not.toContain('common')
    expect(
      judge(
        grid(2, 2, () => 'fails'),
        { lines: [{ line: 'R0', ohm: null }] },
      ).faults,
    ).toMatchObject([{ kind: 'common' }, { kind: 'line', line: 'R0' }])
    const one = grid(2, 2, (r, c) => (r + c ? 'fails' : 'works'))
    expect(judge(one).faults.map(f => f.kind)).not.toContain('common')
  })

  it('tells its side by what answers to a short at the connector: every one, or not', () => {
    const side = (...types: boolean[]) => judge(deadColumn, { shorted: types.map((t, i) => ({ row: `R${i}`, column: 'C2', types: t })) }).side
    expect([side(), side(true, true), side(true, false), side(false)]).toEqual(['unknown', 'keys', 'electronics', 'electronics'])
    const told = judge(deadColumn, { shorted: [{ row: 'R1', column: 'C2', types: false }] })
    expect(told.findings[0]).toMatchObject({ code: 'matrix.electronics' })
    expect(told.findings[0]!.because.join(' ')).toContain('R1 to C2')
  })

  it('proposes what to measure of each fault, once, and the short at the connector only while its side is unknown', () => {
    const what = (more: Partial<MatrixInput> = {}, keys = deadColumn) => judge(keys, more).measure.map(m => m.what)
    expect(what()).toEqual([
      'Unplug the keyboard and short a suspected row to a suspected column at the connector',
      'Line C2, from the connector to its nearest key, with its jumper between',
    ])
    expect(what({ shorted: [{ row: 'R0', column: 'C2', types: true }] })).toHaveLength(1)
    expect(what({ lines: [{ line: 'C2', ohm: null }] })).toHaveLength(1)
    const one = grid(4, 4, (r, c) => (r === 1 && c === 1 ? 'fails' : 'works'))
    expect(what({}, one).at(-1)).toBe('The contact of 1/1, pressed')
    expect(judge(one).measure.at(-1)!.expect).not.toBe(judge(one, { printed: true }).measure.at(-1)!.expect)
    const beyond = grid(4, 4, (r, c) => (c === 2 && r >= 2 ? 'fails' : 'works'))
    expect(what({ fromConnector: true }, beyond)).toContain('Line C2, from 1/2 to 2/2')
    expect(what({}, beyond)).toContain('Line C2, from key to key')
    expect(
      what(
        {},
        grid(8, 8, (r, c) => (r === c ? 'fails' : 'works')),
      ),
    ).toHaveLength(6)
  })

  it('keys that stick are one line where they share it and nothing of it works, else contacts; four without diodes may be a ghost', () => {
    const sticks = (state: (r: number, c: number) => KeyState, diodes = false) =>
      judge(grid(4, 4, state), { diodes }).findings.find(f => f.code === 'matrix.sticks')!
    expect(sticks((_, c) => (c === 1 ? 'sticks' : 'works')).says).toMatch(/^Keys of C1 stick together/)
    expect(sticks((r, c) => (c === 1 && r < 3 ? 'sticks' : 'works')).says).toMatch(/^0\/1, 1\/1, 2\/1 taken for pressed/)
    expect(sticks((r, c) => (c === 1 && r === 0 ? 'sticks' : c === 1 ? 'untested' : 'works')).says).toMatch(/^0\/1 taken for pressed/)
    const corner = (r: number, c: number): KeyState => (r < 2 && c < 2 ? 'sticks' : 'works')
    expect(sticks(corner).because.join()).toMatch(/ghost/)
    expect(sticks(corner, true).because.join()).not.toMatch(/ghost/)
    expect(sticks((r, c) => (r < 2 && c < 2 && r + c < 2 ? 'sticks' : 'works')).because.join()).not.toMatch(/ghost/)
    expect(codes(works)).not.toContain('matrix.sticks')
  })

  it('other explanations of as few faults are counted and five of them named', () => {
    // Two keys in a diagonal of an otherwise untested field: each by itself, or by any line of its own.
    const rivals = judge(grid(3, 3, (r, c) => (r === c && r < 2 ? 'fails' : 'untested')))
    const told = rivals.findings.find(f => f.code === 'matrix.rivals')!
    expect(rivals.explanations).toHaveLength(6)
    expect(rivals.explanationsAtLeast).toBeGreaterThan(6)
    expect(told.says).toContain(`${rivals.explanationsAtLeast - 1} other explanations take`)
    expect(told.because.filter(b => b.startsWith('Instead: '))).toHaveLength(5)
    expect(told.because).toContain(`And ${rivals.explanationsAtLeast - 6} more.`)
    expect(codes(deadColumn)).not.toContain('matrix.rivals')
  })

  it('what was measured and does not go together with the keys is said', () => {
    expect(codes(works, { lines: [{ line: 'C2', ohm: null }] })).toContain('matrix.contradiction')
    expect(codes(deadColumn, { lines: [{ line: 'C2', ohm: null }] })).not.toContain('matrix.contradiction')
    expect(
      codes(
        grid(4, 4, (_, c) => (c === 2 ? 'untested' : 'works')),
        { lines: [{ line: 'C2', ohm: null }] },
      ),
    ).not.toContain('matrix.contradiction')
    // A short that nobody heard where both lines are alive.
    expect(
      codes(
        grid(4, 4, (r, c) => (r === 1 && c === 1 ? 'untested' : 'works')),
        { shorted: [{ row: 'R1', column: 'C1', types: false }] },
      ),
    ).toContain('matrix.unexplained')
  })

  it('keys that fail are told up to eight, and the rest by their number', () => {
    const long = judge(grid(10, 2, (_, c) => (c ? 'fails' : 'works'))).findings.find(f => f.code === 'matrix.line')!
    expect(long.because.join()).toMatch(/0\/1, 1\/1, 2\/1, 3\/1, 4\/1, 5\/1, 6\/1, 7\/1 and 2 more/)
    const eight = judge(grid(8, 2, (_, c) => (c ? 'fails' : 'works'))).findings.find(f => f.code === 'matrix.line')!
    expect(eight.because.join()).not.toContain('more')
    const open = judge(grid(4, 2, (r, c) => (c && r ? 'fails' : c ? 'untested' : 'works'))).findings.find(f => f.code === 'matrix.line')!
    expect(open.because.join()).toContain('Not tested on it: 0/1.')
  })

  it.each<[string, () => unknown, string]>([
    ['no key', () => judge([]), '1 to 200'],
    ['201', () => judge(grid(3, 67, () => 'works')), '1 to 200'],
    ['a key without a name', () => judge([{ key: ' ', row: 'R0', column: 'C0', state: 'works' }]), 'needs a name'],
    ['without a row', () => judge([{ key: 'A', row: '', column: 'C0', state: 'works' }]), 'needs a name'],
    ['without a column', () => judge([{ key: 'A', row: 'R0', column: '', state: 'works' }]), 'needs a name'],
    ['a key twice', () => judge([works[0]!, works[0]!]), 'named twice'],
    ['a line that is none', () => judge(works, { lines: [{ line: 'X', ohm: 1 }] }), 'no row and no column'],
    ['a diode of no key', () => judge(works, { drops: [{ key: 'X', volts: 0.6 }] }), 'none of the keys'],
    ['a short of no column', () => judge(works, { shorted: [{ row: 'R0', column: 'X', types: true }] }), 'no row and no column'],
    ['a short of no row', () => judge(works, { shorted: [{ row: 'X', column: 'C0', types: true }] }), 'no row and no column'],
  ])('refuses %s', (_, made, message) => expect(made).toThrow(message))
  it('takes two hundred keys', () => expect(codes(grid(2, 100, () => 'works'))).toEqual(['matrix.none']))
})
