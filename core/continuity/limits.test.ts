import { expect, it } from 'vitest'
import { planPatch } from './patch-plan'
import { likelyForm, pinChart } from './pin-chart'
import { inZone } from './zone'

// How much may be asked at once is our own rule: each limit is tried from both sides.
const at = (name: string, xMm: number, yMm = 0) => ({ name, xMm, yMm, leg: true })
const pieces = (n: number, each = 1) => Array.from({ length: n }, (_, i) => Array.from({ length: each }, (__, k) => at(`U${i}.${k}`, i * 10, k)))
const outline = (corners: number) =>
  Array.from({ length: corners }, (_, i) => [Math.cos((2 * Math.PI * i) / corners) + 500, Math.sin((2 * Math.PI * i) / corners)] as [number, number])
const round = (corners: number) => ({ name: 'cap', outline: outline(corners) })
const patch = (more: object) => () => planPatch({ pieces: pieces(2), ...more } as never)
const zoned = (corners: number) => () => inZone([{ part: 'U1', pin: '1', net: 'A', xMm: 500, yMm: 0 }], { outline: outline(corners) })

it.each([
  ['two pieces', patch({}), false],
  ['one piece', patch({ pieces: pieces(1) }), true],
  ['40 pieces', patch({ pieces: pieces(40) }), false],
  ['41 pieces', patch({ pieces: pieces(41) }), true],
  ['200 pins', patch({ pieces: pieces(2, 100) }), false],
  ['202 pins', patch({ pieces: pieces(2, 101) }), true],
  ['an outline of three corners', patch({ keepOuts: [round(3)] }), false],
  ['an outline of two corners', patch({ keepOuts: [round(2)] }), true],
  ['an outline of 40 corners', patch({ keepOuts: [round(40)] }), false],
  ['an outline of 41 corners', patch({ keepOuts: [round(41)] }), true],
  ['40 outlines', patch({ keepOuts: Array(40).fill(round(4)) }), false],
  ['41 outlines', patch({ keepOuts: Array(41).fill(round(3)) }), true],
  ['161 corners in all', patch({ keepOuts: [...Array(4).fill(round(39)), round(5)] }), true],
  ['2000 vias', patch({ vias: Array(2000).fill({ xMm: 300, yMm: 300 }) }), false],
  ['2001 vias', patch({ vias: Array(2001).fill({ xMm: 300, yMm: 300 }) }), true],
  ['no current', patch({ currentA: 0 }), true],
  ['20 A', patch({ currentA: 20 }), false],
  ['20.1 A', patch({ currentA: 20.1 }), true],
  ['a zone of three corners', zoned(3), false],
  ['a zone of two corners', zoned(2), true],
  ['a zone of 500 corners', zoned(500), false],
  ['a zone of 501 corners', zoned(501), true],
] as const)('%s', (_, ask, refused) => (refused ? expect(ask).toThrow() : expect(ask).not.toThrow()))

it('a numbered part is drawn with the pins that nobody names, up to so many; names are drawn as they are', () => {
  expect(pinChart(['1', '400'], 'row').places).toHaveLength(400)
  expect(pinChart(['1', '401'], 'row').places).toHaveLength(2)
  expect(pinChart(['3', 'B', 'A'], 'row').places.map(p => p.pin)).toEqual(['3', 'A', 'B'])
  const sides = (chart: ReturnType<typeof pinChart>) =>
    [-1, 1].map(x =>
      chart.places
        .filter(p => p.x === x)
        .map(p => p.pin)
        .join(''),
    )
  expect(sides(pinChart(['1', '2', '3', '4'], 'header'))).toEqual(['13', '24'])
  expect(sides(pinChart(['1', '2', 'A', 'B'], 'edge'))).toEqual(['12', 'AB'])
})

const numbered = (n: number) => Array.from({ length: n }, (_, i) => String(i + 1))
it.each([
  ['IC3', 3, 'row'],
  ['IC3', 4, 'dual'],
  ['IC3', 64, 'dual'],
  ['IC3', 66, 'row'],
  ['IC3', 68, 'carrier'],
  ['SK1', 8, 'round'],
  ['SK1', 10, 'header'],
  ['SK1', 9, 'row'],
  ['R1', 4, 'row'],
  ['R1', 5, 'dual'],
] as const)('%s with %i pins is taken for a %s', (part, n, form) => expect(likelyForm(part, numbered(n))).toBe(form))
