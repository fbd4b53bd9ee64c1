import { describe, expect, it } from 'vitest'
import { keptFree, readAreas } from './areas'
import { explained, readFunctions } from './explained'
import { likelyForm, pinChart } from './pin-chart'

const numbered = (n: number) => Array.from({ length: n }, (_, i) => String(i + 1))
const at = (form: Parameters<typeof pinChart>[1], n: number, pin: string) => pinChart(numbered(n), form).places.find(p => p.pin === pin)!

describe('a pin chart', () => {
  // JEDEC MS-001, from memory: anticlockwise from the notch, seen from above; pin 1 upper left, the last upper right.
  it.each([8, 14, 16, 20, 24, 28, 40, 64])('counts a dual in-line package of %i pins anticlockwise', n => {
    expect(at('dual', n, '1')).toMatchObject({ words: 'left', y: 0.5 })
    expect(at('dual', n, String(n / 2))).toMatchObject({ words: 'left', y: n / 2 - 0.5 })
    expect(at('dual', n, String(n / 2 + 1))).toMatchObject({ words: 'right', y: n / 2 - 0.5 })
    expect(at('dual', n, String(n))).toMatchObject({ words: 'right', y: 0.5 })
  })

  it('counts a chip carrier of 44 pins from the middle of its top edge', () => {
    // JEDEC MS-018, from memory: pin 1 in the middle of the top, 7 uppermost on the left, 18 leftmost below, 29 lowest on the right, 40 rightmost above.
    expect(at('carrier', 44, '1')).toMatchObject({ x: 0, y: 0, words: 'above' })
    expect(at('carrier', 44, '7')).toMatchObject({ x: -5.5, y: 0.5, words: 'left' })
    expect(at('carrier', 44, '18')).toMatchObject({ x: -5, y: 11, words: 'below' })
    expect(at('carrier', 44, '29')).toMatchObject({ x: 5.5, y: 10.5, words: 'right' })
    expect(at('carrier', 44, '40')).toMatchObject({ x: 5, y: 0, words: 'above' })
  })

  it('draws pins that nobody named where a part has them, each place once', () => {
    const { places } = pinChart(['2', '7', '13'], 'dual')
    expect(places.map(p => p.pin)).toEqual(numbered(14))
    for (const form of ['dual', 'carrier', 'edge', 'header', 'round', 'row'] as const)
      for (const n of [1, 5, 20, 84]) {
        const all = pinChart(numbered(n), form).places
        expect(new Set(all.map(p => `${p.x.toFixed(4)} ${p.y.toFixed(4)}`)).size).toBe(all.length)
        expect(all.length).toBeGreaterThanOrEqual(n)
      }
    expect(() => pinChart([], 'dual')).toThrow('there is none')
    expect(() => pinChart(numbered(500), 'row')).toThrow('up to 400')
  })

  it('puts the faces of an edge connector side by side', () => {
    const { places } = pinChart(['A1', 'A2', 'B1', 'B2'], 'edge')
    expect(places).toMatchObject([
      { pin: 'A1', words: 'left', y: 0.5 },
      { pin: 'A2', words: 'left', y: 1.5 },
      { pin: 'B1', words: 'right', y: 0.5 },
      { pin: 'B2', words: 'right', y: 1.5 },
    ])
  })

  // Common practice, no source.
  it.each([
    ['IC7', 40, 'dual'],
    ['U3', 44, 'carrier'],
    ['J2', 34, 'header'],
    ['SK1', 5, 'round'],
    ['R3', 2, 'row'],
  ] as const)('guesses the form of %s with %i pins: %s', (part, n, form) => expect(likelyForm(part, numbered(n))).toBe(form))
})

describe('a pin chart, at its edges', () => {
  const chart = (form: Parameters<typeof pinChart>[1], n: number) => pinChart(numbered(n), form)
  // JEDEC MS-001 and MS-011, from memory: rows 7.62 mm apart, of the larger packages 15.24 mm; in pitches of 2.54 mm.
  it.each([
    [24, 3],
    [26, 6],
    [40, 6],
  ])('a dual in-line package of %i pins is %i pitches wide, its rows at its sides', (n, width) => {
    expect(chart('dual', n)).toMatchObject({ width, height: n / 2 })
    expect([...new Set(chart('dual', n).places.map(p => p.x))]).toEqual([-width / 2, width / 2])
  })
  it('dual in-line packages have pins by the pair, carriers one of their sizes, others as many as they have', () => {
    expect(chart('dual', 7).places).toHaveLength(8)
    expect([19, 20, 21, 29, 33, 45, 53, 69].map(n => chart('carrier', n).places.length)).toEqual([20, 20, 28, 32, 44, 52, 68, 84])
    expect(chart('carrier', 90).places).toHaveLength(90)
    expect(chart('row', 7).places).toHaveLength(7)
    expect(chart('row', 400).places).toHaveLength(400)
    expect(pinChart(['1', '401'], 'row').places.map(p => p.pin)).toEqual(['1', '401'])
    expect(chart('carrier', 44)).toMatchObject({ form: 'carrier', width: 11, height: 11 })
  })
  it('a header counts across, a round connector from its left in a half circle, with its words outward', () => {
    expect(chart('header', 6).places.map(p => [p.pin, p.words, p.y])).toEqual([
      ['1', 'left', 0.5],
      ['3', 'left', 1.5],
      ['5', 'left', 2.5],
      ['2', 'right', 0.5],
      ['4', 'right', 1.5],
      ['6', 'right', 2.5],
    ])
    expect(chart('header', 5)).toMatchObject({ form: 'header', height: 3 })
    const round = chart('round', 5)
    expect(round).toMatchObject({ form: 'round', width: 3 })
    expect(round.places.map(p => p.words)).toEqual(['left', 'left', 'left', 'right', 'right'])
    expect(round.places.map(p => p.x)).toEqual(round.places.map(p => p.x).toSorted((a, b) => a - b))
    expect(chart('round', 12).width).toBe(6)
    expect(round.seen).not.toBe(chart('row', 5).seen)
  })
  it('the faces of an edge are told by letters before or instead of numbers, and by turns where there are none', () => {
    const faces = (...pins: string[]) => pinChart(pins, 'edge').places.map(p => `${p.pin} ${p.words}`)
    expect(faces('1', '2', 'A', 'B')).toEqual(['1 left', '2 left', 'A right', 'B right'])
    expect(faces('1', '2', '3', '4')).toEqual(['1 left', '3 left', '2 right', '4 right'])
    expect(faces('A1', 'B1', 'C1', 'D1').map(w => w.split(' ')[1])).toEqual(['left', 'left', 'right', 'right'])
    // Letters on a header are no faces.
    expect(pinChart(['A1', 'A2', 'B1', 'B2'], 'header').places.map(p => `${p.pin} ${p.words}`)).toEqual(['A1 left', 'B1 left', 'A2 right', 'B2 right'])
  })
  // Common practice, no source.
  it.each([
    ['U1', numbered(3), 'row'],
    ['U1', numbered(4), 'dual'],
    ['U1', numbered(64), 'dual'],
    ['U1', numbered(65), 'row'],
    ['U1', numbered(68), 'carrier'],
    ['CPU', ['1', '84'], 'carrier'],
    ['J1', numbered(8), 'row'],
    ['J1', numbered(10), 'header'],
    ['J1', numbered(9), 'row'],
    ['X1', numbered(8), 'round'],
    ['SK1', numbered(10), 'header'],
    ['SK1', numbered(9), 'row'],
    ['R1', numbered(4), 'row'],
    ['RN1', numbered(5), 'dual'],
    ['BUS', ['1', '2', 'A1', 'B1'], 'edge'],
    ['BUS', ['A1', 'A2', 'B1'], 'edge'],
    ['BUS', ['1', '2', 'A'], 'row'],
    ['Q1', ['E', 'B', 'C'], 'row'],
  ] as const)('guesses the form of %s with pins %j: %s', (part, pins, form) => expect(likelyForm(part, pins)).toBe(form))
})

describe('notes of a board', () => {
  it('say what hangs on broken nets, the closest note first', () => {
    const { functions, problems } = readFunctions(
      'KD*: a data line of the keyboard port\nKD3: data line 3 of the keyboard port\n\nIRQ the interrupt line\nlonely',
    )
    expect(problems).toEqual([{ line: 5, message: expect.stringContaining('lonely') as string }])
    expect(explained(['KD3', 'kd5', 'IRQ', 'A0'], functions)).toEqual([
      { net: 'KD3', does: 'data line 3 of the keyboard port' },
      { net: 'kd5', does: 'a data line of the keyboard port' },
      { net: 'IRQ', does: 'the interrupt line' },
    ])
    const stars = [{ net: `${'*a'.repeat(50)}b`, does: 'x' }]
    expect(explained(['a'.repeat(100)], stars)).toEqual([])
    expect(explained(['xAyAzB'], [{ net: '*a*a*b', does: 'fits' }])).toHaveLength(1)
    expect(explained(['ab'], [{ net: 'ab*b', does: 'too long' }])).toEqual([])
  })

  it('are read line by line, and what is wrong is said with its line', () => {
    const { areas, problems } = readAreas('socket 60 20 20 50\nvia 33, 41.5\nfence 1 2 3 4\nhole 1 2\nslot 1 2 0 5\nhot 1 2 3 1e9')
    expect(areas.map(a => a.kind)).toEqual(['socket', 'via'])
    expect(problems.map(p => p.line)).toEqual([3, 4, 5, 6])
    const free = keptFree(areas)
    expect(free.vias).toEqual([{ xMm: 33, yMm: 41.5 }])
    expect(free.keepOuts[0]!.outline).toEqual([
      [60, 20],
      [80, 20],
      [80, 70],
      [60, 70],
    ])
    expect(readAreas(Array.from({ length: 50 }, () => 'hole 0 0 1 1').join('\n'))).toMatchObject({ areas: { length: 40 }, problems: { length: 10 } })
  })
})
