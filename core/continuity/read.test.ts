import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { apply, inverse, onPhoto, register } from './registration'
import { boardByAnotherWriter as byAnother } from './fixtures/board-by-another-writer'
import { readNetList } from './read-net-list'

/** One line of a bare-board net list. Columns from memory of IPC-D-356A. */
const record = (net: string, part: string, pin: string, x: number, y: number, access = 'A00') => {
  const signed = (v: number) => `${v < 0 ? '-' : '+'}${String(Math.abs(v)).padStart(6, '0')}`
  return `317${net.padEnd(14)}   ${part.padEnd(6)}-${pin.padEnd(4)} D0320P${access}X${signed(x)}Y${signed(y)}X0600Y0600R000S0`
}

describe('a bare-board net list in columns', () => {
  it('gives nets, parts, pins, places in either unit, sides and long names; comments, vias and no-nets are left out', () => {
    const text = [
      'C  made up',
      'P  JOB   board',
      'P  UNITS CUST 0',
      'P  NNAME1  A_VERY_LONG_NET_NAME',
      record('D0', 'U1', '12', 10000, -5000),
      record('NNAME1', 'R31', '1', 0, 0, 'A02'),
      record('D0', 'VIA', '', 1, 1),
      record('N/C', 'U1', '13', 1, 1),
      '999',
      'what comes after the end',
    ].join('\r\n')
    const read = readNetList(text)
    expect(read).toMatchObject({
      format: 'ipc-d-356',
      problems: [],
      unconnected: 1,
      pins: [
        { part: 'U1', pin: '12', net: 'D0', side: 'both' },
        { part: 'R31', pin: '1', net: 'A_VERY_LONG_NET_NAME', side: 'back' },
      ],
    })
    // 1 inch and half an inch.
    expect([read.pins[0]!.xMm, read.pins[0]!.yMm]).toEqual([expect.closeTo(25.4, 9), expect.closeTo(-12.7, 9)])
    expect(readNetList(`P  UNITS CUST 1\n${record('D0', 'U1', '1', 25400, 0)}`).pins[0]!.xMm).toBeCloseTo(25.4, 9)
  })
  it('tells a bad line with its number and loses none of the others', () => {
    const { pins, problems } = readNetList(
      [
        'P  UNITS CUST 0',
        'hello',
        record('D0', 'U1', '1', 0, 0),
        record('D0', 'U2', '', 0, 0),
        record('', 'U3', '1', 0, 0),
        record('D1', 'U1', '1', 0, 0),
        '999',
      ].join('\n'),
    )
    expect(pins.map(p => p.part)).toEqual(['U1'])
    expect(problems.map(p => p.line)).toEqual([2, 4, 5, 6])
  })

  it('tells what was cut, what holds no pins and what may hide two names, and is known by its records whatever its comments hold', () => {
    const cut = 'A_LONG_NAME_CU'
    const text = [
      'C  drawn, checked; and sent on',
      'P  UNITS CUST 0',
      `P  NNAME1  ${cut}T_A`,
      record('NNAME1', 'U1', '1', 0, 0),
      record(cut, 'U1', '2', 100, 0),
      record(cut, 'U2', '2', 100, 900),
      record('FOURTEEN_CHARS', 'U3', '1', 0, 0),
      '378D0             L01 X0100 X+000000Y+000000X+001000Y+000000',
      record('D0', 'U9', '1', 0, 0).slice(0, 24),
    ].join('\n')
    const { format, pins, problems } = readNetList(text)
    expect([format, pins.length, pins.filter(p => p.net === cut).length]).toEqual(['ipc-d-356', 4, 2])
    for (const said of ['kept apart', 'may be cut', 'conductors', 'after 24 columns', '999']) expect(problems.map(p => p.message).join(' ')).toContain(said)
  })
})

describe('a file in s-expressions', () => {
  // Written by a general-purpose package for such files (kicadts 0.0.58 of the registry); its first word, the name of a program, is left out.
  it('by another writer is read, turned parts and back sides too', () => {
    const { format, pins, problems } = readNetList(byAnother)
    expect([format, problems, pins.length]).toEqual(['board', [], 6])
    const at = (part: string, pin: string) => pins.find(p => p.part === part && p.pin === pin)
    // By hand: turned by 90° counter-clockwise, what lay to the right lies above, and y grows downwards.
    expect(at('U1', '2')).toMatchObject({ net: 'D1', xMm: 50, yMm: 37.46, side: 'both' })
    expect(at('U1', '3')).toMatchObject({ net: 'GND', xMm: 57.62, yMm: 37.46 })
    expect(at('R1', '1')).toMatchObject({ net: 'D0', xMm: 79, yMm: 40, side: 'back' })
  })
  it('of older and newer kinds is read: modules with texts, nets by name alone, net lists quoted and bare', () => {
    const old = '(board (net 1 GND) (module X (layer F.Cu) (at 1 2) (fp_text reference U1 (at 0 0)) (pad 1 thru_hole rect (at 1 0) (layers *.Cu) (net 1 GND))))'
    const newest = '(board (footprint "X" (layer "F.Cu") (at 1 2) (property "Reference" "U1") (pad "1" smd rect (at 1 0) (layers "F.Cu") (net "GND"))))'
    expect([readNetList(old), readNetList(newest)].map(r => r.pins[0])).toMatchObject([
      { part: 'U1', pin: '1', net: 'GND', xMm: 2, yMm: 2, side: 'both' },
      { part: 'U1', net: 'GND', side: 'front' },
    ])
    const quoted = '(export (version "E") (nets (net (code "1") (name "/D0") (node (ref "U1") (pin "1") (pinfunction "A")) (node (ref "R1") (pin "2")))))'
    const bare = '(export (version D) (nets (net (code 1) (name /D0) (node (ref U1) (pin 1)) (node (ref R1) (pin 2)))))'
    for (const text of [quoted, bare])
      expect(readNetList(text)).toMatchObject({
        format: 'net list',
        pins: [
          { part: 'U1', net: '/D0' },
          { part: 'R1', pin: '2' },
        ],
      })
  })
  it('that is cut off keeps what was whole, and says where', () => {
    const cut = byAnother.slice(0, byAnother.indexOf('"made:R1"'))
    const { pins, problems } = readNetList(cut)
    expect(pins).toHaveLength(4)
    expect(problems[0]).toMatchObject({ message: expect.stringContaining('never closed') })
    expect(
      readNetList('(board (footprint "X" (at 1 2) (pad "1" smd rect (net 1 "A"))))')
        .problems.map(p => p.message)
        .join(),
    ).toContain('without its reference')
    expect(readNetList(`(a ${'('.repeat(1000)}`).problems[0]!.message).toContain('Brackets deeper')
  })
})

describe('a table', () => {
  it('is read whichever way its columns stand; bad rows are told with their line', () => {
    const { pins, problems } = readNetList('Pin;Ref;Net;x (mm);y;side\n12;U7;D3;10,5;-2;top\n1;R31;D3;;;\n1;R32;;;;\n2;R31;D4;a;1;left\n12;U7;D9;;;\n')
    expect(pins).toEqual([
      { part: 'U7', pin: '12', net: 'D3', xMm: 10.5, yMm: -2, side: 'front' },
      { part: 'R31', pin: '1', net: 'D3', side: 'both' },
      { part: 'R31', pin: '2', net: 'D4', side: 'both' },
    ])
    expect(problems.map(p => p.line)).toEqual([4, 5, 5, 6])
    expect(readNetList('a,b\n1,2').problems[0]!.message).toContain('net, part, pin are missing')
    expect(() => readNetList('  ')).toThrow('it is empty')
    expect(() => readNetList('\u0000\u0001')).toThrow('no text')
  })
  it('and whatever else is thrown at it ends in pins, problems or a message', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 400 }),
          fc.string({ unit: fc.constantFrom('(', ')', '"', ' ', '\n', 'net', 'pad', '317', 'X+', ',', 'P  '), maxLength: 200 }),
        ),
        text => {
          try {
            const { pins } = readNetList(text)
            for (const p of pins) expect(p.part && p.pin && p.net).toBeTruthy()
          } catch (error) {
            expect((error as Error).name).toBe('InputError')
          }
        },
      ),
      { numRuns: 300 },
    )
  })
})

describe('a board registered to a photograph', () => {
  const size = { widthPx: 4000, heightPx: 3000 }
  const corners = [
    [0, 0],
    [200, 0],
    [200, 150],
    [0, 150],
    [100, 75],
    [40, 120],
  ].map(([xMm, yMm]) => ({ xMm: xMm!, yMm: yMm! }))
  const seen = (m: number[], noise: (i: number) => number = () => 0) =>
    corners.map((board, i) => {
      const [x, y] = apply(m, board.xMm, board.yMm)
      return { board, photo: { x: (x + noise(2 * i)) / size.widthPx, y: (y + noise(2 * i + 1)) / size.heightPx } }
    })
  const turned = [14, 3, 300, -2.5, 13.5, 400, 0, 0, 1]
  const tilted = [14, 3, 300, -2.5, 13.5, 400, 0.0004, -0.0003, 1]

  it('is found again: an affine map from three places exactly, one with perspective from four and more', () => {
    // Closed form: what is solved from exact places is the map they were made by.
    expect(register({ pairs: seen(turned).slice(0, 3), ...size }).matrix.map(v => Number(v.toFixed(6)))).toEqual(turned)
    expect(register({ pairs: seen(tilted).slice(0, 4), ...size, perspective: true }).matrix.map(v => Number(v.toFixed(6)))).toEqual(tilted)
    const whole = register({ pairs: seen(tilted), ...size, perspective: true })
    expect(whole.residualMm).toBeLessThan(1e-6)
    expect(onPhoto(whole, { xMm: 10, yMm: 20 }, size)).toMatchObject({ x: expect.closeTo(apply(tilted, 10, 20)[0] / 4000, 6) as number })
  })
  it('says what is left over, about as large as the noise; nothing where places fit by themselves', () => {
    expect(register({ pairs: seen(turned).slice(0, 3), ...size })).toMatchObject({ residualMm: null, findings: [{ code: 'register.exact' }] })
    // ±7 px at about 14 px to the mm is half a millimetre each way.
    const noise = (i: number) => [7, -7, -7, 7, 7, 7, -7, -7, 7, -7, -7, 7][i]!
    const { residualMm, findings } = register({ pairs: seen(turned, noise), ...size })
    expect(residualMm!).toBeGreaterThan(0.4)
    expect(residualMm!).toBeLessThan(1)
    expect(findings[0]!.code).toBe('register.loose')
    const off = seen(turned).map((p, i) => (i === 4 ? { ...p, photo: { ...p.photo, x: p.photo.x + 0.03 } } : p))
    expect(register({ pairs: off, ...size })).toMatchObject({ worst: { pair: 4 }, findings: [{ level: 'stop', code: 'register.off' }] })
  })
  it('knows the back by its mirror, and refuses places on one line or too few', () => {
    expect(register({ pairs: seen([-14, 0, 3000, 0, 14, 0, 0, 0, 1]), ...size }).mirrored).toBe(true)
    expect(register({ pairs: seen(turned), ...size }).mirrored).toBe(false)
    const line = seen(turned).map((p, i) => ({ ...p, board: { xMm: i * 10, yMm: i * 5 } }))
    expect(() => register({ pairs: line, ...size })).toThrow('are on one line')
    expect(() => register({ pairs: seen(turned).slice(0, 2), ...size })).toThrow('from 3 to 60')
    expect(() => register({ pairs: seen(turned).slice(0, 3), ...size, perspective: true })).toThrow('it takes four')
    const back = inverse(tilted)!
    expect(apply(back, ...apply(tilted, 33, 44)).map(v => Number(v.toFixed(6)))).toEqual([33, 44])
  })
})
