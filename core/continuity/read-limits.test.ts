import { expect, it } from 'vitest'
import { areaLine, keptFree, readAreas } from './areas'
import type { BoardPin } from './board'
import { explained } from './explained'
import { netFound } from './net-state'
import { planPatch } from './patch-plan'
import { readNetList } from './read-net-list'
import { crossing, inZone, oneHopFrom } from './zone'

// What is cut off, ambiguous or off the board, from both sides of each rule. Columns of IPC-D-356A from memory; cases made up by hand.
const record = (net: string, part: string, pin: string, place = 'X+000000Y+000000') =>
  `317${net.padEnd(14)}   ${part.padEnd(6)}-${pin.padEnd(4)} D0320PA00${place}`
const told = (...lines: string[]) => readNetList(['P  UNITS CUST 0', record('D0', 'U9', '9'), ...lines, '999'].join('\n')).problems.map(p => p.message)
const at = (name: string, net: string, xMm?: number, yMm?: number): BoardPin => {
  const [part = '', pin = ''] = name.split('.')
  return { part, pin, net, ...(xMm === undefined ? {} : { xMm, yMm }) }
}

it.each<[string[], string[]]>([
  // Records without pins: one, several, and of each kind.
  [['378D0             L01'], ['1 record without pins (conductors) left out.']],
  [
    ['378D0             L01', '379D0             X'],
    ['1 record without pins (conductors) left out.', '1 record without pins (adjacency) left out.'],
  ],
  [['388 a', '388 b'], ['2 records without pins (conductors) left out.']],
  [['399 a'], ['1 record without pins (adjacency) left out.']],
  [['777 a'], ['1 record without pins (of another kind) left out.']],
  [['017 what goes on'], []],
  // A name that fills its columns is told with those that begin like it, or as one that may be two.
  [[record('FOURTEEN_CHARS', 'U1', '1')], [expect.stringContaining('may be cut') as string]],
  [[record('THIRTEEN_CHAR', 'U1', '1')], []],
  [['P  NNAME1  FOURTEEN_CHARS_A', record('FOURTEEN_CHARS', 'U1', '1')], [expect.stringContaining('begins like FOURTEEN_CHARS_A') as string]],
  // A place that is there and cannot be read is told; none at all is not.
  [[record('D0', 'U1', '1', 'X+0000')], ['U1.1: its place cannot be read; it is kept without one.']],
  [[record('D0', 'U1', '1', '')], []],
  // Six characters of a part that stand twice on one pin, on two nets.
  [
    [record('D0', 'IC1234', '1'), record('D1', 'IC1234', '1')],
    expect.arrayContaining(['IC1234 fills its columns and may be two parts whose names were cut.']) as never,
  ],
  [[record('D0', 'IC1234', '1'), record('D0', 'IC1234', '1')], []],
])('a net list in columns with %o tells %o', (lines, messages) => {
  expect(told(...lines)).toEqual(messages)
})

it('a board whose pad has half a place keeps it without one', () => {
  const pad = (place: string) =>
    readNetList(`(board (footprint X (layer F.Cu) (at 1 2) (property Reference U1) (pad 1 smd rect (at ${place}) (layers F.Cu) (net 1 GND))))`)
  expect([pad('1 0').pins[0]!.xMm, pad('1 0').problems]).toEqual([2, []])
  for (const half of ['1 x', 'x 1']) {
    expect(pad(half).pins[0]).toMatchObject({ part: 'U1', net: 'GND' })
    expect([pad(half).pins[0]!.xMm, pad(half).problems.length]).toEqual([undefined, 1])
  }
})

it('places to keep clear of: a via has two figures, what has a size four', () => {
  const { areas, problems } = readAreas('socket 60 20 20 50\nvia 33 41.5\nhole 1 1 0 2\nvia 1\nlake 1 1 1 1\nhot 1 2 3\n\nslot 1 1 9999 1')
  expect(areas.map(areaLine)).toEqual(['socket 60 20 20 50', 'via 33 41.5'])
  expect(problems.map(p => p.line)).toEqual([3, 4, 5, 6, 8])
  expect(keptFree(areas)).toMatchObject({
    keepOuts: [
      {
        outline: [
          [60, 20],
          [80, 20],
          [80, 70],
          [60, 70],
        ],
      },
    ],
    vias: [{ xMm: 33, yMm: 41.5 }],
  })
})

it('a note is found by its stars, each piece in its order and none twice', () => {
  const says = (note: string, ...nets: string[]) => explained(nets, [{ net: note, does: 'x' }]).map(e => e.net)
  expect(says('D*', 'D0', 'd15', 'AD0', 'D')).toEqual(['D0', 'd15', 'D'])
  expect(says('*_CS_*', 'ROM_CS_N', 'ROM_CS', 'CS_N', '_CS_')).toEqual(['ROM_CS_N', '_CS_'])
  // Begin and end may not be the same letters, and what stands between has to fit there.
  expect(says('AB*BC', 'ABC', 'ABBC', 'AB BC')).toEqual(['ABBC', 'AB BC'])
  expect(says('A*X*B', 'AXB', 'AB', 'ABX', 'A__XB', 'AXX')).toEqual(['AXB', 'A__XB'])
  expect(says('A*XY*YB', 'AXYB', 'AXYYB')).toEqual(['AXYYB'])
  const both = [
    { net: 'D*', does: 'data' },
    { net: 'D7*', does: 'sign' },
  ]
  expect(explained(['D7', 'D6'], both).map(e => e.does)).toEqual(['sign', 'data'])
})

it('two stretches cross, touch, or miss each other', () => {
  const spot = (xMm: number, yMm: number) => ({ xMm, yMm })
  const [o, x, y, xy] = [spot(0, 0), spot(10, 0), spot(0, 10), spot(10, 10)]
  // Crossing; side by side; touching at an end from each side; on one line, apart and overlapping.
  expect(crossing(o, xy, x, y)).toBe(true)
  expect(crossing(o, x, y, xy)).toBe(false)
  for (const end of [
    [spot(5, 0), spot(5, 9)],
    [spot(5, 9), spot(5, 0)],
  ] as const) {
    expect(crossing(o, x, ...end)).toBe(true)
    expect(crossing(...end, o, x)).toBe(true)
  }
  for (const off of [
    [spot(11, 0), spot(11, 9)],
    [spot(11, 9), spot(11, 0)],
    [spot(11, 0), spot(20, 0)],
    [spot(-9, 0), spot(-1, 0)],
  ] as const) {
    expect(crossing(o, x, ...off)).toBe(false)
    expect(crossing(...off, o, x)).toBe(false)
  }
  expect([crossing(o, x, spot(5, 0), spot(15, 0)), crossing(spot(-5, 0), spot(5, 0), o, x)]).toEqual([true, true])
})

it('one hop goes through what has two pins and touches the zone, and through nothing else', () => {
  const pins = [
    at('R1.1', 'A'),
    at('R1.2', 'B'),
    at('R2.1', 'C'),
    at('R2.2', 'D'),
    at('U1.1', 'A'),
    at('U1.2', 'E'),
    at('U1.3', 'F'),
    at('R3.1', 'A'),
    at('R3.2', 'A'),
  ]
  expect([...oneHopFrom(pins, new Set(['A']))]).toEqual(['B'])
  expect([...oneHopFrom(pins, new Set(['B', 'D']))]).toEqual(['A', 'C'])
  expect([...inZone(pins, { parts: ['R2'] }).nets]).toEqual(['C', 'D'])
  expect(() => inZone(pins, { parts: ['R9'] })).toThrow('R9')
})

it('a net that reads otherwise than its pieces join is asked again of just that pair', () => {
  const ends = [at('A.1', 'N', 0, 0), at('B.1', 'N', 10, 0), at('C.1', 'N', 20, 0)]
  const answer = (a: string, b: string, contact: 'joined' | 'open' | 'high') => ({ a, b, contact })
  const joined = [answer('A.1', 'B.1', 'joined'), answer('B.1', 'C.1', 'joined')]
  expect(netFound(ends, joined).state).toBe('whole')
  expect(netFound(ends, [...joined, answer('A.1', 'C.1', 'open')])).toMatchObject({ state: 'doubtful', ask: { a: 'A.1', b: 'C.1', beyond: true } })
  // Two pairs read otherwise: the first of them.
  expect(netFound(ends, [answer('A.1', 'B.1', 'high'), answer('A.1', 'C.1', 'joined'), answer('C.1', 'B.1', 'joined')]).ask).toMatchObject({
    a: 'A.1',
    b: 'B.1',
  })
  expect(netFound(ends, [answer('A.1', 'B.1', 'joined'), answer('A.1', 'C.1', 'open')])).toMatchObject({ state: 'broken', breaks: [{ a: 'B.1', b: 'C.1' }] })
  expect(netFound(ends.slice(0, 1), []).state).toBe('not-yet')
})

it('a wire that ends on a bare pad says so, one and several, and one on a leg does not', () => {
  const end = (name: string, xMm: number, leg: boolean) => ({ name, xMm, yMm: 0, leg })
  const said = (...pieces: ReturnType<typeof end>[][]) =>
    planPatch({ pieces })
      .findings.filter(f => f.code === 'patch.bare-pad')
      .map(f => f.says)
  expect(said([end('A.1', 0, true)], [end('B.1', 20, true)])).toEqual([])
  expect(said([end('A.1', 0, true)], [end('B.1', 20, false)])).toEqual(['1 wire ends on a bare pad.'])
  expect(said([end('A.1', 0, false)], [end('B.1', 20, true)], [end('C.1', 40, false)])).toEqual(['2 wires end on a bare pad.'])
})
