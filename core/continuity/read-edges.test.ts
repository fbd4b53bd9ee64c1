import { describe, expect, it } from 'vitest'
import { readAreas } from './areas'
import { mostPins } from './board'
import { Gathering } from './net-list'
import { readPairs, withPairs } from './pairs'
import { readTable } from './read-table'
import { readListed } from './s-expressions'

const linesOf = (problems: readonly { line: number }[]) => problems.map(p => p.line)

describe('a table of nets', () => {
  const head = ['Net', 'Part', 'Pin', 'X (mm)', 'Y (mm)', 'Side']
  const read = (...rows: string[][]) => readTable([head, ...rows])
  it('says which of its cells is empty, and loses none of the other rows', () => {
    const { pins, problems } = read(['', 'U1', '1'], ['D0', '', '1'], ['D0', 'U1', ' '], ['', '', ''], ['D0', 'U1', '2'])
    expect(problems).toEqual([
      { line: 2, message: 'net is empty.' },
      { line: 3, message: 'part is empty.' },
      { line: 4, message: 'pin is empty.' },
    ])
    expect(pins).toEqual([{ net: 'D0', part: 'U1', pin: '2', side: 'both' }])
  })
  it('takes a place of two figures and nothing less, with either mark of the decimals', () => {
    const places = (...cells: string[]) => read(['D0', 'U1', '1', ...cells])
    expect(places('1,5', '-2.25', 'top').pins[0]).toMatchObject({ xMm: 1.5, yMm: -2.25, side: 'front' })
    for (const cells of [
      ['1', ''],
      ['', '2'],
      ['1', 'two'],
      ['one', '2'],
    ]) {
      expect(linesOf(places(...cells).problems), cells.join()).toEqual([2])
      expect(places(...cells).pins[0]).toEqual({ net: 'D0', part: 'U1', pin: '1', side: 'both' })
    }
    expect(places('', '').problems).toEqual([])
    expect(places('0', '0').pins[0]).toMatchObject({ xMm: 0, yMm: 0 })
  })
  it('knows the sides by their names, and keeps a pin whose side it does not know', () => {
    const side = (cell: string) => read(['D0', 'U1', '1', '', '', cell])
    expect(['F', 'component', 'Bottom', 'b.cu', 'through', '*', ''].map(cell => side(cell).pins[0]!.side)).toEqual([
      'front',
      'front',
      'back',
      'back',
      'both',
      'both',
      'both',
    ])
    expect(side('inner')).toMatchObject({ pins: [{ side: 'both' }], problems: [{ line: 2 }] })
  })
  it('names the columns that its first row does not', () => {
    expect(readTable([['Net', 'Part']]).problems[0]!.message).toMatch(/pin is missing.*Net, Part/)
    expect(readTable([['X']]).problems[0]!.message).toMatch(/net, part, pin are missing/)
    expect(readTable([]).problems[0]!.message).toMatch(/nothing/)
    expect(
      readTable([
        ['Pin', 'Signal', 'RefDes'],
        ['3', 'D0', 'U1'],
      ]).pins,
    ).toEqual([{ net: 'D0', part: 'U1', pin: '3', side: 'both' }])
  })
})

describe('what is gathered from a file', () => {
  it('keeps a pin in the net that it stood in first, and counts what is in none', () => {
    const into = new Gathering()
    into.add(1, { part: 'U1', pin: '1', net: 'D0' })
    into.add(2, { part: 'U1', pin: '1', net: 'D0' })
    expect(into.problems).toEqual([])
    into.add(3, { part: 'U1', pin: '1', net: 'D1' })
    into.add(4, { part: 'U1', pin: '2', net: '' })
    expect(into.as('table')).toMatchObject({ pins: [{ net: 'D0' }], unconnected: 1, problems: [{ line: 3 }] })
    expect([into.stands('U1', '1'), into.stands('U1', '2')]).toEqual(['D0', undefined])
  })
  it('says once that a board has too many pins, and of other faults a hundred', () => {
    const into = new Gathering()
    for (let i = 0; i < mostPins + 3; i++) into.add(i, { part: 'U1', pin: String(i), net: 'D0' })
    expect(into.pins).toHaveLength(mostPins)
    expect(linesOf(into.problems)).toEqual([mostPins])
    for (let i = 0; i < 150; i++) into.wrong(i, 'No.')
    expect(into.problems).toHaveLength(100)
  })
})

describe('lists in brackets', () => {
  const read = (text: string) => {
    const wrong: number[] = []
    return { root: readListed(text, line => wrong.push(line)), wrong }
  }
  it('know on which line each begins, across words in quotation marks', () => {
    const { root, wrong } = read('(a "one\ntwo"\n(b c\\d)\r\n)\n(e "q\\"r")')
    expect(wrong).toEqual([])
    expect(root.items).toEqual([
      { line: 1, items: ['a', 'one\ntwo', { line: 3, items: ['b', 'c\\d'] }] },
      { line: 5, items: ['e', 'q"r'] },
    ])
  })
  it('say where a bracket or a quotation mark is wrong, and go on', () => {
    expect(read('(a)\n)\n(b)')).toMatchObject({ wrong: [2], root: { items: [{ items: ['a'] }, { items: ['b'] }] } })
    expect(read('(a\n(b')).toMatchObject({ wrong: [2], root: { items: [{ items: ['a', { items: ['b'] }] }] } })
    expect(read('(a)\n"b').wrong).toEqual([2])
    expect(read('"b"').wrong).toEqual([])
    expect(read('('.repeat(200) + ')'.repeat(200)).wrong).toEqual([])
    expect(read('('.repeat(201) + ')'.repeat(201)).wrong[0]).toBe(1)
  })
})

describe('lines that were typed', () => {
  it('of areas: a kind, its figures within five metres, larger than nothing', () => {
    expect(readAreas('Socket 60, 20 20;50\n\nvia 33 41.5').areas).toEqual([
      { kind: 'socket', xMm: 60, yMm: 20, widthMm: 20, heightMm: 50 },
      { kind: 'via', xMm: 33, yMm: 41.5, widthMm: 0, heightMm: 0 },
    ])
    const wrong = readAreas('box 1 2 3 4\nvia 1\nvia 1 2 3 4\nslot 1 2\nslot 1 2 0 4\nslot 1 2 3 0\nhole 1 2 3 x\nvia 5001 0\nvia -5000 5000\nslot 1 2 -3 4')
    expect(linesOf(wrong.problems)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 10])
    expect(wrong.problems[1]!.message).not.toBe(wrong.problems[3]!.message)
    expect(wrong.areas).toHaveLength(1)
  })
  it('of areas: forty outlines and three hundred vias, each by themselves', () => {
    const many = readAreas([...Array.from({ length: 41 }, () => 'slot 1 2 3 4'), ...Array.from({ length: 301 }, () => 'via 1 2')].join('\n'))
    expect([many.areas.length, linesOf(many.problems)]).toEqual([340, [41, 342]])
  })
  it('of pairs: two pins and a page, its own or that of the lines above', () => {
    expect(readPairs('U7.12 - R31.1, page 3\np. 4\nU1.1=U2.2\nU3.1 U4.1')).toEqual({
      pairs: [
        { a: 'U7.12', b: 'R31.1', page: '3' },
        { a: 'U1.1', b: 'U2.2', page: '4' },
        { a: 'U3.1', b: 'U4.1', page: '4' },
      ],
      problems: [],
    })
    expect(linesOf(readPairs('U7 - R31.1\nU7.1 - R31\nU7.1\nU7.1 - U7.1').problems)).toEqual([1, 2, 3, 4])
    expect(readPairs(Array.from({ length: 2000 }, (_, i) => `U1.${i} - U2.${i}`).join('\n')).pairs).toHaveLength(2000)
    expect(() => readPairs(Array.from({ length: 2001 }, (_, i) => `U1.${i} - U2.${i}`).join('\n'))).toThrow('2000')
  })
  it('pins of pairs that are written otherwise are refused, and new ones take the name of the net', () => {
    const board = [{ part: 'U1', pin: '1', net: 'D0' }]
    expect(() => withPairs(board, [{ a: 'U1.1', b: 'U2', page: '' }])).toThrow('U2 is no pin')
    expect(() => withPairs(board, [{ a: 'U1.1', b: '.2', page: '' }])).toThrow('no pin')
    expect(withPairs(board, [{ a: 'U1.1', b: 'U2.2', page: '' }]).pins.map(p => p.net)).toEqual(['D0', 'D0'])
    expect(withPairs([], [{ a: 'U1.1', b: 'U2.2', page: '' }]).pins.map(p => p.net)).toEqual(['U1.1', 'U1.1'])
  })
})
