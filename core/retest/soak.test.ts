import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../kernel/random'
import { cleanPasses, exactInterval, planSoak, soaksStanding } from './soak'

describe('clean passes', () => {
  it('one failure in a hundred is ruled out at 95 % by 299', () => {
    expect(cleanPasses(0.01, 0.95)).toBe(299)
    expect(planSoak({ failureRate: 0.01, secondsAPass: 40 })).toMatchObject({ wantedPasses: 299, wantedSeconds: 11_960, verdict: 'go-on', leftPasses: 299 })
  })

  it('are the fewest: with one less the fault would still go unseen too often', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.9, noNaN: true }), fc.double({ min: 0.5, max: 0.999, noNaN: true }), (p, c) => {
        const passes = cleanPasses(p, c)
        expect((1 - p) ** passes).toBeLessThanOrEqual((1 - c) * (1 + 1e-6))
        expect((1 - p) ** (passes - 1)).toBeGreaterThan((1 - c) * (1 - 1e-6))
      }),
    )
  })
})

describe('the exact interval', () => {
  // Clopper and Pearson 1934: 0 of 10 → 0 to 0.3085; 1 of 10 → 0.0025 to 0.4450.
  it('is that of the publication', () => {
    expect(exactInterval(0, 10)).toMatchObject({ low: 0, high: expect.closeTo(0.3085, 4) as number })
    expect(exactInterval(1, 10)).toMatchObject({ low: expect.closeTo(0.0025, 4) as number, high: expect.closeTo(0.445, 4) as number })
    expect(exactInterval(10, 10)).toMatchObject({ low: expect.closeTo(1 - 0.3085, 4) as number, high: 1 })
  })

  it('holds the true rate at least as often as it says, in trials of a known one', () => {
    const random = seeded(8)
    for (const rate of [0.01, 0.1, 0.37]) {
      let held = 0
      for (let trial = 0; trial < 1500; trial++) {
        let failures = 0
        for (let i = 0; i < 60; i++) failures += Number(random() < rate)
        const { low, high } = exactInterval(failures, 60)
        held += Number(low <= rate && rate <= high)
      }
      // Three standard errors of the trial itself.
      expect(held / 1500).toBeGreaterThan(0.95 - 3 * Math.sqrt((0.95 * 0.05) / 1500))
    }
  })
})

describe('the sequential test', () => {
  /** Runs one soak to its end on a machine that fails at this rate. */
  function soak(rate: number, random: () => number, more: object) {
    let [passes, failures] = [0, 0]
    for (;;) {
      passes++
      failures += Number(random() < rate)
      const { verdict } = planSoak({ failureRate: 0.1, passes, failures, ...more })
      if (verdict !== 'go-on') return verdict
    }
  }
  const share = (rate: number, wanted: string, more: object, trials = 600) => {
    const random = seeded(21)
    let hits = 0
    for (let i = 0; i < trials; i++) hits += Number(soak(rate, random, more) === wanted)
    return hits / trials
  }

  it('keeps its error rates, by simulation', () => {
    const slack = 3 * Math.sqrt((0.05 * 0.95) / 600)
    // As before: cured must not be said more often than one time in twenty.
    expect(share(0.1, 'cured', {})).toBeLessThanOrEqual(0.05 + slack)
    expect(share(0.1, 'cured', { curedRate: 0.01 })).toBeLessThanOrEqual(0.05 + slack)
    // Cured, and allowed to fail once in a hundred: not cured must not be said more often than asked for.
    expect(share(0.01, 'not-cured', { curedRate: 0.01 })).toBeLessThanOrEqual(0.05 + slack)
    expect(share(0, 'cured', {})).toBe(1)
  })

  it('without any failure allowed agrees with the fixed count, and one failure ends it', () => {
    expect(planSoak({ failureRate: 0.01, passes: 298 }).verdict).toBe('go-on')
    expect(planSoak({ failureRate: 0.01, passes: 299 })).toMatchObject({ verdict: 'cured', leftPasses: null })
    const failed = planSoak({ failureRate: 0.01, passes: 298, failures: 1 })
    expect(failed.verdict).toBe('not-cured')
    expect(failed.findings[0]!.level).toBe('stop')
  })

  it('takes in how little a rate from few failures is worth: one failure in sixty asks for nineteen times sixty', () => {
    // By hand: of one failure in n passes, m clean ones have the odds n / (n + m).
    const { findings, failureRate, wantedPasses } = planSoak({ seenFailures: 1, seenPasses: 60 })
    expect(failureRate).toBeCloseTo(1 / 60, 12)
    expect(wantedPasses).toBe(19 * 60)
    expect(findings.find(f => f.code === 'soak.rate')!.says).toMatch(/rests on one failure.*1140, not 179/)
    // Many failures are as good as a rate.
    expect(planSoak({ seenFailures: 4000, seenPasses: 400_000 }).wantedPasses).toBeLessThan(302)
  })

  it('says cured of no more unmended faults than it says, whatever few failures their rates were learned from', () => {
    const random = seeded(33)
    const until = (rate: number) => Math.ceil(Math.log(1 - random()) / Math.log(1 - rate))
    for (const [wantedFailures, more] of [
      [1, {}],
      [2, {}],
      [3, { curedRate: 0.0005 }],
      [5, {}],
    ] as const) {
      let [cured, all] = [0, 0]
      for (let trial = 0; trial < 700; trial++) {
        const rate = 10 ** (-0.7 - 1.6 * random())
        // Watched until it had failed so often; then nothing was mended, and it is soaked to the end.
        let seenPasses = 0
        for (let k = 0; k < wantedFailures; k++) seenPasses += until(rate)
        if (seenPasses === wantedFailures) continue
        let [passes, failures, verdict] = [0, 0, 'go-on']
        while (verdict === 'go-on' && passes < 1e7) {
          const ask = { seenFailures: wantedFailures, seenPasses, ...more }
          const left = planSoak({ ...ask, passes, failures }).leftPasses!
          const clean = until(rate) - 1
          // Either it fails before those that are left have run, or they have.
          if (clean >= left) passes += left
          else [passes, failures] = [passes + clean + 1, failures + 1]
          verdict = planSoak({ ...ask, passes, failures }).verdict
        }
        all++
        cured += Number(verdict === 'cured')
      }
      expect(cured / all, `${wantedFailures} failures`).toBeLessThanOrEqual(0.05 + 3 * Math.sqrt((0.05 * 0.95) / all))
    }
  })

  it.each([
    [{}, 'How often it failed before'],
    [{ failureRate: 0 }, 'more than never'],
    [{ failureRate: 1 }, 'less than always'],
    [{ failureRate: 0.1, passes: 3, failures: 4 }, 'no more than the passes'],
    [{ failureRate: 0.1, confidence: 1 }, 'from 50'],
    [{ seenFailures: 0, seenPasses: 9 }, 'at least one'],
    [{ seenFailures: 9, seenPasses: 9 }, 'needs no soak'],
    [{ failureRate: 0.1, curedRate: 0.2 }, 'less often than before'],
    [{ failureRate: Number.NaN }, 'more than never'],
  ])('refuses %o', (input, says) => expect(() => planSoak(input)).toThrow(says))
})

describe('a soak that was not passed', () => {
  const soak = (what: string, verdict: 'cured' | 'not-cured' | 'go-on', day: number, more: object = {}) => ({
    what,
    verdict,
    wantedPasses: 300,
    failures: verdict === 'not-cured' ? 1 : 0,
    startedAt: `2026-03-0${day}T10`,
    lastAt: `2026-03-0${day}T20`,
    ...more,
  })
  const left = (soaks: ReturnType<typeof soak>[], ...repairs: string[]) => soaksStanding(soaks, repairs).map(s => s.startedAt.slice(8, 10))
  const failed = soak('Memory test', 'not-cured', 1)

  it('stands until something was mended and one at least as hard was passed', () => {
    expect(left([failed])).toEqual(['01'])
    expect(left([failed, soak('Memory test', 'cured', 3)])).toEqual(['01'])
    expect(left([failed, soak('Memory test', 'cured', 3)], '2026-03-02T10')).toEqual([])
    expect(left([failed, soak('memory test ', 'cured', 3, { wantedPasses: 20 })], '2026-03-02T10')).toEqual(['01'])
    // Mended before it failed, or after the other had begun: nothing was mended in between.
    expect(left([failed, soak('Memory test', 'cured', 3)], '2026-03-01T09', '2026-03-04T10')).toEqual(['01'])
    expect(left([failed, soak('Drive', 'cured', 3)], '2026-03-02T10')).toEqual(['01'])
    expect(left([soak('Memory test', 'cured', 1), soak('Memory test', 'not-cured', 3)], '2026-03-02T10')).toEqual(['03'])
  })

  it('and was not decided, until one as hard is, for nothing failed in it', () => {
    const given = soak('Drive', 'go-on', 1)
    expect(left([given, soak('Drive', 'cured', 2, { wantedPasses: 299 })])).toEqual(['01'])
    expect(left([given, soak('Drive', 'cured', 2)])).toEqual([])
  })
})
