import { describe, expect, it } from 'vitest'
import { areaKinds, areaLine, keptFree, readAreas } from './areas'
import { shortsOfPieces, shortsOfWire } from './beside'
import type { BoardPin } from './board'
import { judgeContact } from './contact'
import { netFound } from './net-state'
import { withPairs } from './pairs'
import { readFunctions } from './explained'
import { pinChart } from './pin-chart'
import { planProbes } from './probe-plan'
import { register } from './registration'
import { netOnSheet } from './sheet'
import { crossing } from './zone'

const pin = (name: string, net: string, xMm?: number, yMm = 0): BoardPin => ({
  part: name.split('.')[0]!,
  pin: name.split('.')[1]!,
  net,
  ...(xMm === undefined ? {} : { xMm, yMm }),
})

describe('areas that are typed', () => {
  it('take two figures for a via and four for the rest, and come back as they were written', () => {
    const lines = ['via 1 2', 'socket 1 2 3 4', 'hole 0 0 1 1', 'slot 5 5 2 9', 'hot 1 1 30 20']
    const { areas, problems } = readAreas(lines.join('\n'))
    expect(problems).toEqual([])
    expect(areas.map(areaLine)).toEqual(lines)
    expect(areaKinds).toHaveLength(5)
    expect(keptFree(areas).vias).toEqual([expect.objectContaining({ xMm: 1, yMm: 2 })])
    expect(keptFree(areas).keepOuts).toHaveLength(4)
  })
  it.each([
    ['via 1 2 3 4', 'A via takes x and y in mm.'],
    ['via 1', 'A via takes x and y in mm.'],
    ['socket 1 2', 'A socket takes x, y, width and height in mm.'],
    ['hole 1 2 3 x', 'A hole takes x, y, width and height in mm.'],
    ['hot 1 2 0 4', 'Width and height are larger than nothing.'],
    ['hot 1 2 3 -4', 'Width and height are larger than nothing.'],
    ['tunnel 1 2 3 4', '“tunnel”: begin with socket, hole, slot, hot, via.'],
  ])('“%s”: %s', (line, message) => expect(readAreas(`\n${line}`)).toEqual({ areas: [], problems: [{ line: 2, message }] }))
})

it('two stretches touch in an end, on a line, or not at all', () => {
  const at = (xMm: number, yMm: number) => ({ xMm, yMm })
  expect(crossing(at(0, 0), at(4, 4), at(0, 4), at(4, 0))).toBe(true)
  expect(crossing(at(0, 0), at(4, 0), at(4, 0), at(4, 4))).toBe(true)
  expect(crossing(at(0, 0), at(4, 0), at(2, 0), at(2, 4))).toBe(true)
  expect(crossing(at(0, 0), at(4, 0), at(5, 0), at(9, 0))).toBe(false)
  expect(crossing(at(4, 0), at(0, 0), at(-5, 0), at(-1, 0))).toBe(false)
  expect(crossing(at(0, 0), at(0, 4), at(0, 5), at(0, 9))).toBe(false)
  expect(crossing(at(0, 4), at(0, 0), at(0, -9), at(0, -1))).toBe(false)
  expect(crossing(at(0, 0), at(0, 4), at(0, 3), at(0, 9))).toBe(true)
  expect(crossing(at(0, 0), at(4, 0), at(1, 1), at(3, 1))).toBe(false)
})

describe('registration', () => {
  const corners = [
    [0, 0],
    [1, 0],
    [0, 1],
    [1, 1],
  ] as const
  const pairs = (turn: 1 | -1, n = 4) =>
    Array.from({ length: n }, (_, i) => {
      const [x, y] = corners[i % 4]!
      const off = Math.floor(i / 4) * 0.01
      return { board: { xMm: x * 100 + off * 100, yMm: y * 80 }, photo: { x: 0.1 + (x + off) * 0.5, y: turn > 0 ? 0.1 + y * 0.4 : 0.5 - y * 0.4 } }
    })
  it('tells a board seen from its other side, by which way it turns', () => {
    expect(register({ pairs: pairs(1), widthPx: 1000, heightPx: 1000 }).mirrored).toBe(false)
    expect(register({ pairs: pairs(-1), widthPx: 1000, heightPx: 1000 }).mirrored).toBe(true)
  })
  it('knows no error where nothing is left over, and is refused without a size or with too many places', () => {
    const few = register({ pairs: pairs(1, 3), widthPx: 1000, heightPx: 1000 })
    expect([few.residualMm, few.worst, few.findings[0]!.code]).toEqual([null, null, 'register.exact'])
    const four = register({ pairs: pairs(1), widthPx: 1000, heightPx: 1000 })
    expect([four.residualMm, four.findings[0]!.code]).toEqual([expect.closeTo(0, 6), 'register.fits'])
    expect(register({ pairs: pairs(1), widthPx: 1000, heightPx: 1000, perspective: true }).residualMm).toBeNull()
    for (const size of [
      { widthPx: 0, heightPx: 10 },
      { widthPx: 10, heightPx: 0 },
      { widthPx: Number.NaN, heightPx: 10 },
    ])
      expect(() => register({ pairs: pairs(1), ...size })).toThrow('its size in pixels')
    const most = [10, 20, 30, 40, 50, 100, 200, 500].find(n => {
      try {
        register({ pairs: pairs(1, n + 1), widthPx: 1000, heightPx: 1000 })
        return false
      } catch {
        return true
      }
    })!
    expect(() => register({ pairs: pairs(1, most + 1), widthPx: 1000, heightPx: 1000 })).toThrow('Places: from 3 to')
  })
})

it('ohms are told in the unit that people say them in, from its first figure on', () => {
  const says = (ohm: number) =>
    judgeContact({ readingsOhm: [ohm], expectOpen: true })
      .findings.map(f => `${f.says} ${f.because.join(' ')}`)
      .join(' ')
  expect(says(1_000_000)).toContain('1 MΩ')
  expect(says(999_000)).toContain('999 kΩ')
  expect(says(1000)).toContain('1 kΩ')
  expect(says(999)).toContain('999 Ω')
})

describe('a net', () => {
  const ends = [pin('U1.1', 'D0', 0), pin('U2.1', 'D0', 10), pin('U3.1', 'D0', 20), pin('U4.1', 'D0', 30)]
  it('breaks between the two of its ends that lie nearest on the way, not where it was asked', () => {
    const { breaks } = netFound(ends, [
      { a: 'U1.1', b: 'U2.1', contact: 'joined' },
      { a: 'U3.1', b: 'U4.1', contact: 'joined' },
      { a: 'U1.1', b: 'U4.1', contact: 'open' },
    ])
    expect(breaks).toEqual([{ a: 'U2.1', b: 'U3.1' }])
    expect(netFound([ends[0]!], []).state).toBe('not-yet')
    expect(netFound(ends.slice(0, 2), [{ a: 'U1.1', b: 'U2.1', contact: 'open' }]).breaks).toEqual([{ a: 'U1.1', b: 'U2.1' }])
  })
  it('knows nothing by checks of pins that are not its own', () => {
    const strange = { kind: 'whole' as const, netA: 'D0', netB: 'D0', beyond: false, contact: 'joined' as const, at: '1' }
    expect(netOnSheet(ends, [{ ...strange, a: 'U1.1', b: 'X9.9' }], [], false).found.pieces).toHaveLength(4)
    expect(netOnSheet(ends, [], [{ a: 'X9.9', b: 'U1.1', contact: 'joined', at: '1' }], false).found.pieces).toHaveLength(4)
    const across = { ...strange, b: 'U4.1', a: 'U1.1' }
    expect(netOnSheet(ends, [across], [], false).found.pieces).toHaveLength(3)
  })
  it('in one piece is asked against its neighbour once; in two, each piece is', () => {
    const broken = { net: 'D0', ends: [pin('U1.1', 'D0', 0), pin('U1.2', 'D0', 2.5)], supply: false }
    const other = { net: 'D1', ends: [pin('U2.1', 'D1', 0, 2.5), pin('U2.2', 'D1', 2.5, 2.5)], supply: false, pieces: [['U2.1', 'U2.2']] }
    const asked = (pieces: string[][]) => shortsOfPieces({ ...broken, pieces }, [other], []).map(s => `${s.a} ${s.b}`)
    expect(asked([['U1.1', 'U1.2']])).toEqual(['U1.1 U2.1'])
    expect(asked([['U1.1'], ['U1.2']])).toEqual(['U1.1 U2.1', 'U1.2 U2.2'])
    expect(shortsOfPieces({ ...broken, pieces: [['U1.1'], ['U1.2']] }, [other], [{ a: 'U1.1', b: 'U2.1' }]).map(s => s.a)).toEqual(['U1.2'])
  })
})

it('pairs join pins that have no net yet, and keep apart those that have none and no pair', () => {
  const pins = [pin('U1.1', ''), pin('U1.2', ''), pin('U1.3', 'CLK'), pin('U1.4', 'CLK')]
  const { pins: joined, merged } = withPairs(pins, [{ a: 'U1.1', b: 'U1.3', page: '1' }])
  const netOf = (n: string) => joined.find(p => `${p.part}.${p.pin}` === n)!.net
  expect([netOf('U1.1'), netOf('U1.3'), netOf('U1.4')]).toEqual(['CLK', 'CLK', 'CLK'])
  expect(netOf('U1.2')).not.toBe('CLK')
  expect(merged).toEqual([])
})

describe('a plan of probes', () => {
  const board = [pin('U1.1', 'D0', 0), pin('U2.1', 'D0', 30), pin('U1.2', 'D1', 2.5), pin('U2.2', 'D1', 32.5)]
  it('refuses what is known of pins that it does not have, by whichever of the two', () => {
    const plan = (a: string, b: string) => () => planProbes({ pins: board, zone: { parts: ['U1'] }, known: [{ a, b, joined: true }] } as never)
    expect(plan('X1.1', 'U1.1')).toThrow('X1.1 is not on this board')
    expect(plan('U1.1', 'X1.1')).toThrow('X1.1 is not on this board')
    expect(plan('U1.1', 'U2.1')).not.toThrow()
  })
  it('counts its checks and nets in words, one or more', () => {
    const says = (pins: BoardPin[]) => {
      const { findings } = planProbes({ pins, zone: { parts: ['U1'] } } as never)
      return findings.find(f => f.code === 'probe.plan')?.says
    }
    expect(says([pin('U1.1', 'D0'), pin('U2.1', 'D0')])).toMatch(/^1 check for 1 net; /)
    expect(says([pin('U1.1', 'D0'), pin('U2.1', 'D0'), pin('U3.1', 'D0')])).toMatch(/^2 checks for 1 net; /)
    expect(says([pin('U1.1', 'D0')])).toBeUndefined()
  })
})

describe('a board with places', () => {
  it('is planned without a probe of a pin against itself, nearest first, and pins without places by their numbers', () => {
    const pins = [pin('U1.1', 'D0', 0), pin('U1.2', 'D0', 2.54), pin('U2.1', 'D0', 60), pin('U2.2', 'D1', 62.5), pin('U3.1', 'D1'), pin('U3.2', 'D2')]
    const { probes } = planProbes({ pins, zone: { parts: ['U1', 'U2', 'U3'] } } as never)
    expect(probes.every(p => p.a !== p.b)).toBe(true)
    const shorts = probes.filter(p => p.kind === 'short').map(p => [p.a, p.b].sort().join(' '))
    expect(shorts).toContain('U2.1 U2.2')
    expect(shorts).toContain('U3.1 U3.2')
    expect(shorts).not.toContain('U1.1 U1.2')
  })
  it('asks a wire where it was soldered, against each net beside it once, and two supplies not against each other', () => {
    const of = { net: 'D0', supply: false, pieces: [], ends: [pin('U1.1', 'D0', 0), pin('U9.1', 'D0', 90)] }
    const beside = (net: string, supply = false) => ({ net, supply, pieces: [], ends: [pin(`U2.${net.length}`, net, 2.5), pin('U2.9', net, 2.6)] })
    expect(shortsOfWire({ a: 'U1.1', b: 'U9.1' }, of, [beside('D11'), of]).map(s => `${s.a} ${s.b} ${s.netB}`)).toEqual(['U1.1 U2.3 D11'])
    expect(shortsOfWire({ a: 'U9.1', b: 'U9.1' }, of, [beside('D11')])).toEqual([])
    expect(shortsOfWire({ a: 'U1.1', b: 'U9.1' }, { ...of, supply: true }, [beside('GND', true)])).toEqual([])
    expect(shortsOfWire({ a: 'U1.1', b: 'U9.1' }, { ...of, supply: true }, [beside('D12')])).toHaveLength(1)
  })
})

it('notes of nets are read line by line, each a net and what it does, at their lengths', () => {
  const { functions, problems } = readFunctions(
    `KD3: data line 3\nCLK = clock\nRES  reset\n\nalone\nX:\n${'n'.repeat(121)}: x\nY: ${'d'.repeat(121)}\nZ: ${'d'.repeat(120)}`,
  )
  expect(functions.map(f => f.net)).toEqual(['KD3', 'CLK', 'RES', 'Z'])
  const lengths = 'Up to 120 characters each, please.'
  expect(problems.map(p => [p.line, p.message])).toEqual([
    [5, '“alone”: write the net, a colon, and what it does.'],
    [6, '“X:”: write the net, a colon, and what it does.'],
    [7, lengths],
    [8, lengths],
  ])
})

it('a connector of two rows is drawn as it lies: an edge has two faces, a header odd pins opposite even ones', () => {
  const pins = Array.from({ length: 8 }, (_, i) => String(i + 1))
  const seen = (form: 'edge' | 'header') => pinChart(pins, form).seen
  expect(seen('edge')).toContain('Both faces side by side')
  expect(seen('header')).toContain('odd and even pins face each other')
})
