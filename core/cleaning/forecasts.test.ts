import { describe, expect, it } from 'vitest'
import { fitApproach } from '../kernel/approach'
import { seeded } from '../kernel/random'
import { judgeDrying } from './drying'
import { forecastWhitening } from './whitening-forecast'

/** Normally distributed, by Box and Muller. */
const normal = (random: () => number) => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

describe('a fitted approach', () => {
  it('finds what the points were made from', () => {
    const truth = { end: 412, gap: 60, tau: 7 }
    const points = [0, 2, 5, 9, 15, 24].map(at => ({ at, value: truth.end + truth.gap * Math.exp(-at / truth.tau) }))
    const fit = fitApproach(points, 0.1)
    expect([fit.end, fit.gap, fit.tau].map(v => Number(v.toFixed(3)))).toEqual([412, 60, 7])
    expect(fit.bounded).toBe(true)
  })

  it('holds the truth about as often as it says, and says when it cannot tell the end', () => {
    const random = seeded(2024)
    let [told, held, heldAt] = [0, 0, 0]
    for (let i = 0; i < 200; i++) {
      const truth = { end: random() * 10 - 2, gap: 5 + random() * 15, tau: 2 + random() * 10 }
      const at = (t: number) => truth.end + truth.gap * Math.exp(-t / truth.tau)
      const span = truth.tau * (0.8 + random() * 2)
      const count = 4 + Math.floor(random() * 6)
      const points = Array.from({ length: count }, (_, n) => ({ at: (span * n) / (count - 1), value: at((span * n) / (count - 1)) + 0.3 * normal(random) }))
      const fit = fitApproach(points, 0.3)
      if (!fit.bounded) continue
      told++
      if (fit.endBand.low <= truth.end && truth.end <= fit.endBand.high) held++
      const later = span * 1.5
      const band = fit.valueAt(later)
      if (band.low <= at(later) && at(later) <= band.high) heldAt++
    }
    expect(told).toBeGreaterThan(75)
    expect(held / told).toBeGreaterThan(0.91)
    expect(heldAt / told).toBeGreaterThan(0.91)
  })
})

describe('drying', () => {
  const series = (tau: number, hours: number[], noise = 0.05, seed = 5) => {
    const random = seeded(seed)
    return hours.map(atHours => ({ atHours, massG: Number((310 + 22 * Math.exp(-atHours / tau) + noise * normal(random)).toFixed(2)) }))
  }

  it('comes to a dry mass and a time, and says to weigh again', () => {
    const result = judgeDrying({ weighings: series(6, [0, 2, 4, 8, 12]), errorG: 0.05, leftG: 0.2 })
    expect(result.state).toBe('drying')
    expect(result.dryMassG!.low).toBeLessThan(310)
    expect(result.dryMassG!.high).toBeGreaterThan(310)
    // 22·e^(−t/6) = 0.2 after 6·ln 110 = 28.2 h.
    expect(result.dryAtHours!.low).toBeLessThan(28.2)
    expect(result.dryAtHours!.high).toBeGreaterThan(28.2)
    expect(result.weighAgainAtHours).toBeGreaterThan(12)
  })

  it('is dry only once the band says so, and never speaks of what lies under a chip', () => {
    const hours = [0, 2, 4, 8, 12, 24, 36, 48, 72, 96, 144, 200]
    const dry = judgeDrying({ weighings: series(6, hours), errorG: 0.05, leftG: 0.2 })
    expect(dry.state).toBe('dry')
    expect(dry.findings.map(f => f.code)).toContain('drying.under')
    let early = 0
    for (let seed = 1; seed <= 120; seed++) {
      const upTo = 4 + (seed % 5)
      const now = hours[upTo - 1]!
      const result = judgeDrying({ weighings: series(6, hours.slice(0, upTo), 0.05, seed), errorG: 0.05, leftG: 0.2 })
      if (result.state === 'dry' && 22 * Math.exp(-now / 6) > 0.2) early++
    }
    expect(early).toBeLessThanOrEqual(3)
  })

  it('is not taken in by water that leaves slowly behind a quick fit', () => {
    // Two laws at once: 20 g with a time constant of 2 h, and 1.5 g that sits deep with one of 40 h.
    const deep = (t: number) => 1.5 * Math.exp(-t / 40)
    for (let seed = 1; seed <= 60; seed++) {
      const random = seeded(seed)
      for (const upTo of [5, 6, 7, 8]) {
        const weighings = [0, 1, 2, 4, 8, 12, 16, 24]
          .slice(0, upTo)
          .map(t => ({ atHours: t, massG: 300 + 20 * Math.exp(-t / 2) + deep(t) + 0.05 * normal(random) }))
        const now = weighings.at(-1)!.atHours
        if (judgeDrying({ weighings, errorG: 0.05, leftG: 0.2 }).state === 'dry') expect(deep(now)).toBeLessThan(0.2)
      }
    }
  })

  it('does not say more than it can', () => {
    expect(judgeDrying({ weighings: series(6, [0, 1, 2]) }).state).toBe('too-few')
    expect(judgeDrying({ weighings: [0, 1, 2, 3].map(h => ({ atHours: h, massG: 300 - h })), errorG: 0.3 }).state).toBe('cannot-tell')
    const rises = judgeDrying({ weighings: [0, 2, 4].map(h => ({ atHours: h, massG: 300 + h })) })
    expect([rises.state, rises.findings[0]!.level]).toEqual(['rises', 'stop'])
    expect(() => judgeDrying({ weighings: [{ atHours: 0, massG: 0 }] })).toThrow('Mass in g')
  })
})

describe('whitening', () => {
  const reference = { l: 84, a: -0.5, b: 5, error: 0.2 }
  const part = (hours: number, b: number, error = 0.2) => ({ hours, l: 80, a: 0, b, error })
  const made = (truth: { end: number; gap: number; tau: number }, hours: number[], random: () => number, error = 0.2) =>
    hours.map(h => part(h, reference.b + truth.end + truth.gap * Math.exp(-h / truth.tau) + error * normal(random), error))

  it('never allows more than brings it to the goal, whatever the part does', () => {
    const random = seeded(99)
    let [asked, past] = [0, 0]
    for (let i = 0; i < 300; i++) {
      const truth = { end: random() * 6 - 5, gap: 10 + random() * 15, tau: 3 + random() * 12 }
      const d = (h: number) => truth.end + truth.gap * Math.exp(-h / truth.tau)
      const hours = [0, 2, 5, 8].slice(0, 2 + Math.floor(random() * 3))
      const result = forecastWhitening({ reference, measured: made(truth, hours, random), goalB: 1 })
      const now = hours.at(-1)!
      if (result.nextHours <= 0) continue
      asked++
      // Beyond the goal and whiter than the reference is harm; a fit may err, but not often.
      if (result.basis === 'fit' && d(now) > 1 && d(now + result.nextHours) < -1) past++
      // A quarter of an hour at most, where by its band it may be there and by its colour it is not.
      if (result.wantedHours && result.basis === 'fit') expect(result.nextHours).toBeLessThanOrEqual(Math.max(0.25, result.wantedHours.low) + 1e-9)
    }
    expect(asked).toBeGreaterThan(150)
    expect(past / asked).toBeLessThan(0.02)
  })

  it('goes in small steps where methods were mixed', () => {
    const measured = [part(0, 24), part(4, 18), part(8, 14)]
    expect(forecastWhitening({ reference, measured }).nextHours).toBeGreaterThan(2)
    const mixed = forecastWhitening({ reference, measured, mixed: true })
    expect([mixed.nextHours, mixed.findings.at(-1)!.code]).toEqual([2, 'whitening.mixed'])
  })

  it('says stop: done, no gain, or overdone', () => {
    const state = (...measured: ReturnType<typeof part>[]) => forecastWhitening({ reference, measured }).state
    expect(state(part(0, 24), part(4, 14), part(8, 9), part(14, 5.8))).toBe('stop-done')
    expect(state(part(0, 24), part(8, 2))).toBe('overdone')
    // Lighter than its reference, and yellow still.
    expect(state(part(0, 24), { ...part(8, 12), l: 86 })).toBe('overdone')
    expect(state(part(0, 24), part(4, 15.6), part(8, 12.5), part(14, 11.06), part(24, 11), part(40, 11))).toBe('stop-no-gain')
    expect(forecastWhitening({ reference, measured: [part(0, 24), part(4, 15), part(8, 10)], hoursNow: 40 }).state).toBe('measure-first')
  })

  it('leans on similar parts before it has three colours, and says so; without them it goes in small steps', () => {
    const lent = forecastWhitening({ reference, measured: [part(0, 20)], similarTauHours: [5, 8] })
    expect([lent.basis, lent.wantedHours!.low < lent.wantedHours!.high!]).toEqual(['similar', true])
    // Source: the model itself: 15 down to 1 with a time constant of 5 h is 5·ln 15 = 13.5 h, less the error of the colour.
    expect(lent.wantedHours!.low).toBeGreaterThan(12)
    expect(lent.nextHours).toBeLessThan(lent.wantedHours!.low)
    // The quickest that is taken, common practice, no source: 12 an hour; of 15 − 1 less an error of 0.55 that is 1.1 h.
    const alone = forecastWhitening({ reference, measured: [part(0, 20)] })
    expect([alone.basis, alone.nextHours]).toEqual(['none', expect.closeTo(1.12, 2)])
    // Its own colours refute them: 15 down to 4 within two hours is no time constant of 8 h.
    const quick = forecastWhitening({ reference, measured: [part(0, 20), part(2, 9)], similarTauHours: [8, 9] })
    expect([quick.basis, quick.findings.map(f => f.code).includes('whitening.unlike'), quick.nextHours < 0.5]).toEqual(['none', true, true])
    expect(forecastWhitening({ reference, measured: [part(0, 20), part(4, 21), part(8, 23)] }).findings[0]!.code).toBe('whitening.yellower')
  })
})
