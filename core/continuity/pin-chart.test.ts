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
