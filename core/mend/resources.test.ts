import fc from 'fast-check'
import highs from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import type { Solve } from '../kernel/programme'
import { type Card, type Range, type ResourceKind, judgeResources, readCards } from './resources'

let solve: Solve
beforeAll(async () => {
  const { solve: run } = await highs()
  solve = programme => {
    const answer = run(programme, { mip_rel_gap: 0, mip_abs_gap: 0 })
    return { worth: answer.ObjectiveValue, values: Object.fromEntries(Object.entries(answer.Columns).map(([name, column]) => [name, column.Primal as number])) }
  }
})
const judged = (text: string) => judgeResources(readCards(text), solve)

describe('cards as they are written', () => {
  it('are read with what they take now, and what else they can be set to', () => {
    expect(readCards('Sound: irq 5 or 7; DMA 1; port 220-22F or 240h-24Fh; mem 0xC8000-CBFFF\n# spare\nClock: ports 240')).toEqual([
      {
        name: 'Sound',
        takes: [
          { kind: 'irq', now: { from: 5, to: 5 }, others: [{ from: 7, to: 7 }] },
          { kind: 'dma', now: { from: 1, to: 1 }, others: [] },
          { kind: 'port', now: { from: 0x220, to: 0x22f }, others: [{ from: 0x240, to: 0x24f }] },
          { kind: 'mem', now: { from: 0xc8000, to: 0xcbfff }, others: [] },
        ],
      },
      { name: 'Clock', takes: [{ kind: 'port', now: { from: 0x240, to: 0x240 }, others: [] }] },
    ])
  })

  it.each([
    ['', 'a line each'],
    ['Sound', 'a name, a colon'],
    ['Sound:', 'stands behind the colon'],
    ['Sound: 5', 'stands first'],
    ['Sound: irq five', 'a number, such as irq 5 or 7'],
    ['Sound: irq 99', '15 at most'],
    ['Sound: port 22G', 'hexadecimal'],
    ['Sound: port 22F-220', 'up to a higher one'],
    ['Sound: irq 5\nsound: irq 7', 'stands there twice'],
    [Array.from({ length: 30 }, (_, i) => `c${i}: irq 1`).join('\n'), '24 at most'],
  ])('%s is refused', (text, says) => {
    expect(() => readCards(text)).toThrow(says)
  })
})

describe('what collides', () => {
  it('is told with where, and ended by the fewest changes', () => {
    const { clashes, changes, left } = judged(
      'Sound: irq 7 or 5; port 220-22F\nPrinter: irq 7\nNetwork: irq 5 or 9; port 300-31F\nClock: port 22C-22F or 2A0-2A3',
    )
    expect(clashes.map(c => [c.kind, c.cards.join(), c.where])).toEqual([
      ['irq', 'Sound,Printer', '7'],
      ['port', 'Sound,Clock', '22C–22F'],
    ])
    // Sound has to leave 7 for 5, so that the network card leaves 5 for 9; the clock moves its ports.
    expect(changes.map(c => `${c.card} ${c.from} ${c.to}`).sort()).toEqual(['Clock 22C–22F 2A0–2A3', 'Network 5 9', 'Sound 7 5'])
    expect(left).toEqual([])
  })

  it('is said where no setting ends it; and nothing is called sure where nothing is known to collide', () => {
    const { changes, left, findings } = judged('A: irq 5\nB: irq 5\nC: mem C8000-CFFFF or D0000-D7FFF\nD: mem CC000-CFFFF')
    expect([changes.map(c => c.card), left.map(c => c.cards.join())]).toEqual([['C'], ['A,B']])
    expect(findings[0]).toMatchObject({ level: 'stop' })
    expect(judged('A: irq 5\nB: irq 7\nC: dma 5').findings[0]!.because.join()).toContain('may collide all the same')
  })

  it('is as good as the best of all ways to set them', () => {
    const range = (from: number): Range => ({ from, to: from })
    const cards: fc.Arbitrary<Card[]> = fc
      .array(
        fc.array(
          fc.record({
            kind: fc.constantFrom<ResourceKind>('irq', 'dma'),
            now: fc.integer({ min: 1, max: 4 }).map(range),
            others: fc.array(fc.integer({ min: 1, max: 4 }).map(range), { maxLength: 2 }),
          }),
          { minLength: 1, maxLength: 2 },
        ),
        { minLength: 1, maxLength: 4 },
      )
      .map(all => all.map((takes, i) => ({ name: `c${i}`, takes })))
    fc.assert(
      fc.property(cards, all => {
        const { changes, left } = judgeResources(all, solve)
        const flat = all.flatMap((card, c) => card.takes.map(t => ({ ...t, c, options: [t.now, ...t.others] })))
        let best = [Infinity, Infinity]
        const tried = (at: number, chosen: number[]): void => {
          if (at < flat.length) return flat[at]!.options.forEach((_, o) => tried(at + 1, [...chosen, o]))
          const clashes = flat.flatMap((a, i) =>
            flat.slice(i + 1).filter((b, j) => a.kind === b.kind && a.options[chosen[i]!]!.from === b.options[chosen[i + 1 + j]!]!.from),
          ).length
          const changed = chosen.filter(o => o > 0).length
          if (clashes < best[0]! || (clashes === best[0] && changed < best[1]!)) best = [clashes, changed]
        }
        tried(0, [])
        expect([left.length, changes.length]).toEqual(best)
      }),
      { numRuns: 80 },
    )
  })
})
