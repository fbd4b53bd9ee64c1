import { describe, expect, it } from 'vitest'
import { partKinds, priorOf } from './part-priors'
import { type SwapPart, type SwapTest, rateRowOf, reasonSwaps } from './swap'

const part = (name: string, kind: SwapPart['kind'], more: Partial<SwapPart> = {}): SwapPart => ({ name, kind, ...more })
const test = (outcome: SwapTest['outcome'], ...parts: string[]): SwapTest => ({ parts, outcome })

describe('swaps, reckoned again', () => {
  // Singles alone: any part of every failing test explains all of it. The same assumptions, summed in another way: one rate after the other.
  const chance = (t: SwapTest, rate: number): number => {
    const n = t.runs ?? 1
    const ok = 1 - rate
    if (t.outcome === 'works') return ok ** n
    if (t.outcome === 'fails') return rate ** n
    if (t.failures !== undefined && t.failures > 0 && t.failures < n) return rate ** t.failures * ok ** (n - t.failures)
    if (t.runs === undefined) return rate > 0 && rate < 1 ? 1 : 0
    const asked = n < 2 ? 2 : n
    return 1 - rate ** asked - ok ** asked
  }
  const told = (t: SwapTest, rate: number) => 0.99 * chance(t, rate) + 0.01 / 3
  function singles(parts: SwapPart[], tests: SwapTest[]) {
    const weights = parts.map(p => {
      const prior = p.prior ?? priorOf(p.kind)
      const rates = rateRowOf(1)
      const often = partKinds[p.kind].sometimes
      return rates.reduce((sum, rate) => {
        const way = rate === 1 ? 1 - often : often / (rates.length - 1)
        return sum + (prior / (1 - prior)) * way * tests.reduce((product, t) => product * told(t, t.parts.includes(p.name) ? rate : 0), 1)
      }, 0)
    })
    const all = weights.reduce((a, b) => a + b)
    return Object.fromEntries(parts.map((p, i) => [p.name, (0.92 * weights[i]!) / all]))
  }
  const three = [part('P', 'drive', { prior: 0.3 }), part('Q', 'controller'), part('R', 'lead', { prior: 0.05 })]
  const everything = ['P', 'Q', 'R']
  it.each<[string, SwapTest[]]>([
    ['one that failed', [{ parts: everything, outcome: 'fails' }]],
    ['failed in each of five runs', [{ parts: everything, outcome: 'fails', runs: 5 }]],
    ['now and then, in runs that nobody counted', [{ parts: everything, outcome: 'sometimes' }]],
    ['now and then in one run, as somebody put it', [{ parts: everything, outcome: 'sometimes', runs: 1 }]],
    ['now and then in six runs, its failures not counted', [{ parts: everything, outcome: 'sometimes', runs: 6 }]],
    ['two failures in six', [{ parts: everything, outcome: 'sometimes', runs: 6, failures: 2 }]],
    ['a count that says always', [{ parts: everything, outcome: 'sometimes', runs: 6, failures: 6 }]],
    ['a count that says never', [{ parts: everything, outcome: 'sometimes', runs: 6, failures: 0 }]],
    [
      'failed, and worked without one of them',
      [
        { parts: everything, outcome: 'fails' },
        { parts: ['Q', 'R'], outcome: 'works', runs: 4 },
      ],
    ],
  ])('%s', (_, tests) => {
    const found = reasonSwaps({ parts: three, tests })
    const wanted = singles(three, tests)
    for (const name of everything) expect(found.suspects.find(s => s.part === name)!.share, name).toBeCloseTo(wanted[name]!, 9)
  })

  it('how sure it is shows in its first finding, and whether one part does for all of it', () => {
    const first = (tests: SwapTest[], parts = three) => reasonSwaps({ parts, tests }).findings.map(f => `${f.level} ${f.code}`)
    expect(first([])).toEqual(['note swap.nothing'])
    expect(first([test('fails', 'P', 'Q')])).toEqual(['note swap.open'])
    expect(first([test('fails', 'P')])).toEqual(['care swap.likely'])
    // Worked once in one test and failed in another: not dead, and not shown never to fail.
    expect(first([test('fails', 'P', 'Q'), test('works', 'Q')])).toContain('note swap.once')
    expect(first([test('works', 'Q')])).toEqual(['note swap.nothing'])
    // Four tests that share no part: no three parts explain them.
    const apart = ['A', 'B', 'C', 'D'].map(name => part(name, 'drive'))
    expect(
      first(
        apart.map(p => test('fails', p.name)),
        apart,
      ),
    ).toEqual(['care swap.too-many'])
    const twoLeft = reasonSwaps({ parts: apart, tests: [test('fails', 'A'), test('fails', 'B')] })
    expect(twoLeft.findings.map(f => f.code)).toEqual(['swap.likely', 'swap.several'])
    expect(twoLeft.findings[0]!.because[0]).toContain('2 tests')
    expect(reasonSwaps({ parts: apart, tests: [test('fails', 'A')] }).findings[0]!.because[0]).toContain('one test')
  })

  it('a shortest run of what worked is what it goes by', () => {
    const once = (runs: (number | undefined)[]) =>
      reasonSwaps({ parts: three, tests: [test('fails', 'P', 'Q'), ...runs.map(n => ({ ...test('works', 'Q'), runs: n }))] }).findings.find(
        f => f.code === 'swap.once',
      )!
    expect(once([4, 9]).says).toContain('4 runs')
    expect(once([9, undefined]).says).toContain('one run.')
    expect(once([22]).because[0]).toContain('10 in 100')
  })

  const named = 'A name may be as long as this and not longer, and this one is eighty letters lon'
  it.each<[Partial<SwapPart>, Partial<SwapTest>, string | null]>([
    [{}, {}, null],
    [{ name: named.slice(0, 80) }, {}, null],
    [{ name: `${named}g` }, {}, 'parts.0.name'],
    [{ name: '  ' }, {}, 'parts.0.name'],
    [{ prior: 0 }, {}, 'parts.0.prior'],
    [{ prior: 1 }, {}, 'parts.0.prior'],
    [{ minutes: 0 }, {}, null],
    [{ minutes: 10_000 }, {}, null],
    [{ minutes: -1 }, {}, 'parts.0.minutes'],
    [{ minutes: 10_001 }, {}, 'parts.0.minutes'],
    [{}, { parts: [] }, 'tests.0.parts'],
    [{}, { runs: 0 }, 'tests.0.runs'],
    [{}, { runs: 1.5 }, 'tests.0.runs'],
    [{}, { runs: 10_000 }, null],
    [{}, { runs: 10_001 }, 'tests.0.runs'],
    [{}, { runs: 3, failures: 3 }, null],
    [{}, { runs: 3, failures: 0 }, null],
    [{}, { runs: 3, failures: 4 }, 'tests.0.failures'],
    [{}, { runs: 3, failures: -1 }, 'tests.0.failures'],
    [{}, { runs: 3, failures: 0.5 }, 'tests.0.failures'],
  ])('what is typed is looked at: %o %o', (p, t, field) => {
    const one = { name: 'One', kind: 'drive', ...p } as const
    const asked = () => reasonSwaps({ parts: [one, part('Two', 'lead')], tests: [{ parts: [one.name, 'Two'], outcome: 'sometimes', ...t }] })
    if (field) expect(asked).toThrow(expect.objectContaining({ field }))
    else expect(asked).not.toThrow()
  })
  it('up to 40 parts and 30 tests are taken', () => {
    const many = (n: number) => Array.from({ length: n }, (_, i) => part(`part ${i}`, 'lead'))
    const tests = (n: number) => Array.from({ length: n }, () => test('works', 'part 0'))
    expect(() => reasonSwaps({ parts: many(40), tests: tests(30) })).not.toThrow()
    expect(() => reasonSwaps({ parts: many(41), tests: [] })).toThrow(expect.objectContaining({ field: 'parts' }))
    expect(() => reasonSwaps({ parts: [], tests: [] })).toThrow(expect.objectContaining({ field: 'parts' }))
    expect(() => reasonSwaps({ parts: many(2), tests: tests(31) })).toThrow(expect.objectContaining({ field: 'tests' }))
  })
})

describe('the next test', () => {
  const spares = [part('Old drive', 'drive'), part('New drive', 'drive'), part('Old card', 'controller'), part('New card', 'controller'), part('Lamp', 'lead')]
  const onBench = [test('fails', 'Old drive', 'Old card', 'Lamp')]
  const nextOf = (more: Record<string, Partial<SwapPart>> = {}, tests = onBench) => reasonSwaps({ parts: spares.map(p => ({ ...p, ...more[p.name] })), tests })

  it('is made of one from each place, says what goes in and out, and is worth its minutes', () => {
    const { next } = nextOf()
    expect(next.length).toBeGreaterThan(1)
    for (const t of next) {
      expect(t.puts.every(name => t.parts.includes(name))).toBe(true)
      expect(t.takes.some(name => t.parts.includes(name))).toBe(false)
      expect(t.parts.filter(name => name.endsWith('drive'))).toHaveLength(1)
      expect(t.minutes).toBe(5 + 5 * (t.puts.length + t.takes.length) + (t.runs - 1))
      expect(t.gainBits).toBeGreaterThanOrEqual(0.01)
    }
    const worth = next.map(t => t.gainBits / t.minutes)
    expect(worth).toEqual([...worth].sort((a, b) => b - a))
  })
  it('needs nothing that is not at hand, and leaves out only what may be left out', () => {
    expect(nextOf().next.some(t => t.puts.includes('New card'))).toBe(true)
    expect(nextOf({ 'New card': { atHand: false } }).next.some(t => t.parts.includes('New card'))).toBe(false)
    // What stands on the bench and was taken home is in no test either.
    expect(nextOf({ 'Old card': { atHand: false } }).next.some(t => t.parts.includes('Old card'))).toBe(false)
    expect(nextOf().next.some(t => !t.parts.includes('Lamp'))).toBe(false)
    const without = nextOf({ Lamp: { optional: true } }).next.find(t => !t.parts.includes('Lamp'))!
    expect(without).toMatchObject({ puts: [], takes: ['Lamp'] })
    expect(without.says).toContain('leave out Lamp')
  })
  it('costs what its parts cost to change', () => {
    const dear = nextOf({ 'Old card': { minutes: 90 } }).next.find(t => t.takes.includes('Old card') && t.puts.length === 1)
    const cheap = nextOf().next.find(t => t.takes.includes('Old card') && t.puts.length === 1)!
    expect(dear === undefined || dear.minutes - dear.runs === cheap.minutes - cheap.runs + 85).toBe(true)
    expect(nextOf({ 'Old card': { minutes: 90 } }).next[0]!.takes).not.toContain('Old card')
  })
  it('is made again where it failed now and then, and nothing is asked where one explanation is left', () => {
    const again = nextOf({}, [{ parts: ['Old drive', 'Old card'], outcome: 'sometimes' }]).next
    expect(again.some(t => t.runs > 1)).toBe(true)
    expect(nextOf({}, [test('fails', 'Lamp')]).next).toEqual([])
  })
  it.each<[string, Partial<SwapPart>, SwapTest[], string | null]>([
    ['a supply that nobody checked', { kind: 'supply' }, [], 'nobody has checked'],
    ['a supply that worked here once', { kind: 'supply' }, [test('works', 'Beside')], 'nobody has checked'],
    ['a supply known good', { kind: 'supply', knownGood: true }, [], null],
    ['what harms and was suspected', { kind: 'drive', harms: true }, [], 'at fault with odds of'],
    ['what harms, hardly suspected, and never worked', { kind: 'drive', harms: true, prior: 0.0001 }, [], 'has not worked yet'],
    ['what harms, hardly suspected, and worked', { kind: 'drive', harms: true, prior: 0.0001 }, [test('works', 'Beside')], null],
    ['what harms nothing', { kind: 'drive' }, [], null],
  ])('beside what cannot be had again: %s', (_, beside, before, why) => {
    const parts = [
      part('Rare', 'main-board', { precious: true }),
      part('Common', 'main-board'),
      part('Third', 'lead', { prior: 0.2 }),
      { ...part('Beside', 'lead', { place: 'bay' }), ...beside },
    ]
    const { next, refused } = reasonSwaps({ parts, tests: [...before, test('fails', 'Common', 'Beside', 'Third')] })
    const together = (t: { parts: string[] }) => t.parts.includes('Rare') && t.parts.includes('Beside')
    if (why) expect(refused.find(together)!.why).toContain(why)
    else expect(refused.find(together)).toBeUndefined()
    expect(next.some(together)).toBe(why === null)
  })
})
