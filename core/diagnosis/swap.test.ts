import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import { minimalHittingSets } from './hitting-sets'
import { entropyBits, expectedGainBits } from './information'
import { partKinds, priorOf } from './part-priors'
import { type Mixture, scoreSwaps } from './swap-simulation'
import { type SwapPart, type SwapTest, rateRowOf, reasonSwaps, elsewhereShare } from './swap'

const sorted = (sets: number[][]) => sets.map(s => [...s].sort((a, b) => a - b).join()).sort()

describe('minimal hitting sets', () => {
  it('of the full adder are those of the publication', () => {
    // Reiter 1987, from memory: conflicts {X1, X2} and {X1, A2, O1} → {X1}, {X2, A2}, {X2, O1}.
    const [X1, X2, A2, O1] = [0, 1, 2, 3] as const
    expect(
      sorted(
        minimalHittingSets([
          [X1, X2],
          [X1, A2, O1],
        ]),
      ),
    ).toEqual(sorted([[X1], [X2, A2], [X2, O1]]))
  })

  it('of the multipliers and adders are those of the publication, and its first probe is the one it names', () => {
    // de Kleer and Williams 1987: A1, A2, M1, M2, M3.
    const [A1, A2, M1, M2, M3] = [0, 1, 2, 3, 4] as const
    const found = minimalHittingSets([
      [A1, M1, M2],
      [A1, A2, M1, M3],
    ])
    expect(sorted(found)).toEqual(sorted([[A1], [M1], [A2, M2], [M2, M3]]))
    // The outputs of M1, M2, M3 are 6 unless their multiplier is at fault; equal odds of 1 in 100. X, the output of M1, is the best place (from memory).
    const weights = found.map(set => 0.01 ** set.length)
    const gain = (m: number) =>
      expectedGainBits(
        weights,
        found.map(set => (set.includes(m) ? [0, 1] : [1, 0])),
      )
    expect(gain(M1)).toBeGreaterThan(gain(M2))
    expect(gain(M1)).toBeGreaterThan(gain(M3))
  })

  it('are those that trying everything gives', () => {
    const conflict = fc.uniqueArray(fc.nat(7), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(fc.array(conflict, { minLength: 1, maxLength: 6 }), conflicts => {
        const subsets = Array.from({ length: 256 }, (_, bits) => Array.from({ length: 8 }, (_, i) => i).filter(i => bits & (1 << i))).filter(s => s.length <= 3)
        const hits = subsets.filter(s => conflicts.every(c => c.some(m => s.includes(m))))
        const minimal = hits.filter(s => !hits.some(o => o.length < s.length && o.every(m => s.includes(m))))
        expect(sorted(minimalHittingSets(conflicts, 3))).toEqual(sorted(minimal))
      }),
    )
    expect(minimalHittingSets([])).toEqual([])
  })
})

it('a fair coin is one bit; a test tells no more than there is to know', () => {
  // Shannon 1948.
  expect(entropyBits([0.5, 0.5])).toBeCloseTo(1, 12)
  expect(
    expectedGainBits(
      [1, 1],
      [
        [1, 0],
        [0, 1],
      ],
    ),
  ).toBeCloseTo(1, 12)
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true })), { minLength: 1, maxLength: 9 }),
      list => {
        const weights = list.map(l => l[0])
        const all = weights.reduce((a, b) => a + b)
        const gain = expectedGainBits(
          weights,
          list.map(([, p]) => [p, 1 - p]),
        )
        expect(gain).toBeGreaterThanOrEqual(0)
        expect(gain).toBeLessThanOrEqual(Math.min(1, entropyBits(weights.map(w => w / all))) + 1e-9)
      },
    ),
  )
})

it('the figures of the collection outweigh the table only as they grow', () => {
  expect(priorOf('supply')).toBeCloseTo(partKinds.supply.share, 12)
  expect(priorOf('supply', { faulty: 1, looked: 1 })).toBeLessThan(0.3)
  expect(priorOf('supply', { faulty: 90, looked: 100 })).toBeGreaterThan(0.75)
})

const part = (name: string, kind: SwapPart['kind'], more: Partial<SwapPart> = {}): SwapPart => ({ name, kind, ...more })
const bed: SwapPart[] = [
  part('Supply', 'supply', { knownGood: true }),
  part('Lead', 'lead', { knownGood: true }),
  part('Drive A', 'drive'),
  part('Drive B', 'drive'),
  part('Controller', 'controller'),
]
const test = (outcome: SwapTest['outcome'], ...parts: string[]): SwapTest => ({ parts, outcome })

describe('swaps', () => {
  it('two different drives that fail in the same way point to the controller', () => {
    const { explanations, next, findings } = reasonSwaps({
      parts: [...bed, part('Spare controller', 'controller')],
      tests: [test('fails', 'Supply', 'Lead', 'Drive A', 'Controller'), test('fails', 'Supply', 'Lead', 'Drive B', 'Controller')],
    })
    expect(explanations[0]!.parts).toEqual(['Controller'])
    expect(explanations.map(e => e.parts)).toContainEqual(['Drive A', 'Drive B'])
    expect(next[0]).toMatchObject({ puts: ['Spare controller'], takes: ['Controller'] })
    expect(findings[0]!.level).not.toBe('fine')
  })

  it('two dead chips, each alone enough, are found as two', () => {
    const chips = [
      part('U1', 'custom-chip'),
      part('U2', 'rom'),
      part('Good U1', 'custom-chip', { place: 'U1', knownGood: true }),
      part('Good U2', 'rom', { place: 'U2', knownGood: true }),
    ]
    chips[0]!.place = 'U1'
    chips[1]!.place = 'U2'
    const board = part('Board', 'main-board', { knownGood: true })
    const { explanations, findings } = reasonSwaps({
      parts: [board, ...chips],
      tests: [test('fails', 'Board', 'U1', 'Good U2'), test('fails', 'Board', 'Good U1', 'U2'), test('works', 'Board', 'Good U1', 'Good U2')],
    })
    expect(explanations[0]).toMatchObject({ parts: ['U1', 'U2'] })
    expect(explanations[0]!.share).toBeGreaterThan(0.85)
    expect(findings.map(f => f.code)).toContain('swap.several')
  })

  it('a failure of parts that each worked elsewhere is named, not swallowed', () => {
    const { findings, explanations } = reasonSwaps({
      parts: bed,
      tests: [test('works', 'Drive A', 'Lead'), test('works', 'Controller', 'Drive B'), test('fails', 'Drive A', 'Controller')],
    })
    expect(findings.map(f => f.code)).toContain('swap.contradiction')
    expect(explanations.map(e => e.parts[0])).toEqual(expect.arrayContaining(['Drive A', 'Controller']))
  })

  it('a test with equipment not proven refutes nothing on its own', () => {
    const tests = [test('fails', 'Drive A', 'Controller'), { ...test('works', 'Controller', 'Drive B'), trusted: false }]
    const doubted = reasonSwaps({ parts: bed, tests })
    expect(doubted.good).toEqual([])
    expect(doubted.explanations.map(e => e.parts)).toContainEqual(['Controller'])
    expect(doubted.findings.map(f => f.code)).toContain('swap.checker')
    const trusted = reasonSwaps({ parts: bed, tests: tests.map(t => ({ ...t, trusted: true })) })
    expect(trusted.explanations[0]!.parts).toEqual(['Drive A'])
    // A test in doubt makes nothing more certain than it was.
    const without = reasonSwaps({ parts: bed, tests: tests.slice(0, 1) })
    expect(doubted.explanations[0]!.share).toBeCloseTo(without.explanations[0]!.share, 12)
    // What failed untrusted explains nothing either.
    expect(reasonSwaps({ parts: bed, tests: [{ ...test('fails', 'Drive A'), trusted: false }] }).findings[0]!.code).toBe('swap.nothing')
  })

  it('sometimes weighs less with every clean run', () => {
    const share = (runs: number) =>
      reasonSwaps({
        parts: [part('Drive A', 'drive'), part('Controller', 'controller'), part('Drive B', 'drive')],
        tests: [
          { parts: ['Drive A', 'Controller'], outcome: 'sometimes', runs: 4, failures: 1 },
          { parts: ['Drive A', 'Drive B'], outcome: 'works', runs },
        ],
      }).suspects.find(s => s.part === 'Drive A')!.share
    const shares = [1, 3, 10, 30].map(share)
    expect([...shares].sort((a, b) => b - a)).toEqual(shares)
    expect(shares[3]).toBeLessThan(0.4)
  })

  it('nothing precious is put beside a suspect that harms, nor beside a supply that nobody has checked', () => {
    const parts = [
      part('Old supply', 'supply', { harms: true }),
      part('Bench supply', 'supply', { knownGood: true }),
      part('Rare board', 'main-board', { precious: true }),
      part('Common board', 'main-board'),
      part('Lead', 'lead'),
    ]
    const { next, refused } = reasonSwaps({ parts, tests: [test('fails', 'Old supply', 'Common board', 'Lead')] })
    expect(next.length).toBeGreaterThan(0)
    for (const t of next) expect(t.parts.includes('Old supply') && t.parts.includes('Rare board')).toBe(false)
    expect(refused.some(r => r.why.includes('Old supply') && r.why.includes('Rare board'))).toBe(true)
  })

  it('gives explanations the odds that a simulation of the same assumptions gives', () => {
    // Independent of the formula: worlds are drawn, tests are run in them, and those that came out as said are counted.
    const parts = [part('P', 'drive', { prior: 0.3 }), part('Q', 'controller', { prior: 0.2 }), part('R', 'lead', { prior: 0.25 })]
    const tests: SwapTest[] = [test('fails', 'P', 'Q'), { parts: ['Q', 'R'], outcome: 'sometimes', runs: 3, failures: 1 }]
    const random = seeded(5)
    const counts = new Map<string, number>()
    for (let world = 0; world < 400_000; world++) {
      const faulty = parts.map(p => random() < p.prior!)
      const row = rateRowOf(Math.max(1, faulty.filter(Boolean).length)).slice(1)
      const rate = parts.map((p, i) => (!faulty[i] ? 0 : random() < partKinds[p.kind].sometimes ? row[Math.floor(random() * row.length)]! : 1))
      const fits = tests.every(t => {
        const runs = t.runs ?? 1
        // One test in a hundred is misread.
        if (random() < 0.01) return random() < 1 / 3
        let failed = 0
        for (let r = 0; r < runs; r++) failed += Number(t.parts.some(name => random() < rate[parts.findIndex(p => p.name === name)]!))
        return failed === (t.outcome === 'fails' ? runs : t.failures)
      })
      if (fits) {
        const key = parts
          .filter((_, i) => rate[i]! > 0)
          .map(p => p.name)
          .join('+')
        counts.set(key, (counts.get(key) ?? 0) + 1)
      }
    }
    const { explanations } = reasonSwaps({ parts, tests })
    const all = explanations.reduce((sum, e) => sum + (counts.get([...e.parts].sort().join('+')) ?? 0), 0)
    for (const e of explanations) expect(e.share).toBeCloseTo(((1 - elsewhereShare) * (counts.get([...e.parts].sort().join('+')) ?? 0)) / all, 1)
  })

  it('says what is wrong with what it is given', () => {
    expect(() => reasonSwaps({ parts: [part('A', 'drive'), part('A', 'drive')], tests: [] })).toThrow('named twice')
    expect(() => reasonSwaps({ parts: bed, tests: [test('works', 'Drive C')] })).toThrow('none of the parts')
    expect(() => reasonSwaps({ parts: bed, tests: [{ ...test('sometimes', 'Lead'), runs: 2, failures: 3 }] })).toThrow('no more failures')
  })
})

it('what is named at 90 of 100 is right so often as it says, dead faults and those that come and go, counted and not, one and two', () => {
  const random = seeded(17)
  const mixtures: Mixture[] = [
    { intermittent: 0.3, counted: true, faults: 1 },
    { intermittent: 1, counted: false, faults: 1 },
    { intermittent: 1, counted: true, faults: 2 },
  ]
  for (const mixture of mixtures) {
    const { named, right } = scoreSwaps(mixture, 20, random)
    // Three standard errors of the trial itself, which is short here; `npm run attack -- truth` and the bench make it long.
    const least = 0.9 - 3 * Math.sqrt((0.9 * 0.1) / named)
    expect(named, JSON.stringify(mixture)).toBeGreaterThan(13)
    expect(right / named, `${JSON.stringify(mixture)}: ${right} of ${named}`).toBeGreaterThanOrEqual(least)
  }
})

it('takes no longer than one by one to the same certainty for a dead fault, and names what comes and goes where one by one does not', () => {
  const dead: Mixture = { intermittent: 0, counted: true, faults: 1 }
  const [advice, byHand] = (['advice', 'one by one'] as const).map(chooser => scoreSwaps(dead, 30, seeded(3), chooser))
  expect([advice!.named, advice!.right, byHand!.named]).toEqual([30, 30, 30])
  expect(advice!.minutes).toBeLessThanOrEqual(byHand!.minutes * 1.02)
  const comesAndGoes: Mixture = { intermittent: 1, counted: true, faults: 1 }
  const [told, guessed] = (['advice', 'one by one'] as const).map(chooser => scoreSwaps(comesAndGoes, 20, seeded(4), chooser).right)
  expect(told).toBeGreaterThan(2 * guessed!)
})
