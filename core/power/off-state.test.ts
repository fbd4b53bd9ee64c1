import fc from 'fast-check'
import { expect, it } from 'vitest'
import { judgeOffState, offVerdicts, shortFact } from './off-state'

const at = (ohm: number | null, more: Partial<Parameters<typeof judgeOffState>[0]> = {}) =>
  judgeOffState({ railV: 5, loadAttached: false, ohm, rising: false, ...more })

// Source of the limits: common practice, no source.
it.each([
  [0.2, {}, 'short'],
  [0.6, { leadsOhm: 0.3 }, 'short'],
  [8, {}, 'suspect'],
  [8, { loadAttached: true }, 'plausible'],
  [350, {}, 'plausible'],
  [null, {}, 'plausible'],
  [12, { rising: true }, 'charging'],
  [0.4, { rising: true }, 'short'],
  [30, { railV: 12 }, 'suspect'],
  [300, { railV: -12, reversedOhm: 1 }, 'short'],
  // By what the rail draws, V / I: 5 V and 10 A run at 0.5 Ω, 5 V and 0.2 A at 25 Ω.
  [3, { currentA: 10 }, 'plausible'],
  [0.3, { currentA: 10 }, 'suspect'],
  [0.05, { currentA: 10 }, 'short'],
  [16, { currentA: 0.2 }, 'suspect'],
  // With the leads nulled a short reads a little below nothing.
  [-0.2, {}, 'short'],
] as const)('%s Ω with %o: %s', (ohm, more, verdict) => expect(at(ohm, more).verdict).toBe(verdict))

it('a short stops, and says what to look at; a rail that is open under a load wants care', () => {
  expect(at(0.2).findings[0]).toMatchObject({ level: 'stop', code: 'off-state.short' })
  expect(at(0.2, { loadAttached: true }).findings[0]!.because.join(' ')).toContain('Unplug the load')
  expect(at(null, { loadAttached: true }).findings.map(f => f.code)).toContain('off-state.open')
  expect(at(300).findings.map(f => f.code)).toContain('off-state.one-way')
  expect(at(300, { reversedOhm: 900 }).findings.map(f => f.code)).not.toContain('off-state.one-way')
})

it('a few ohms that a load may explain are not simply fine', () => {
  const levels = (result: ReturnType<typeof at>) => result.findings.map(f => f.level)
  for (const more of [{ loadAttached: true }, { currentA: 10 }]) {
    const judged = at(8, { ...more, reversedOhm: 9 })
    expect(judged.verdict).toBe('plausible')
    expect(judged.findings.map(f => f.code)).toContain('off-state.load-hides')
    expect(levels(judged)).not.toContain('fine')
  }
  expect(levels(at(300, { reversedOhm: 300 }))).toEqual(['fine'])
})

it('more ohms are never judged worse', () => {
  const severity = { short: 0, suspect: 1, charging: 2, plausible: 2 }
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 1e5, noNaN: true }),
      fc.double({ min: 0, max: 1e5, noNaN: true }),
      fc.constantFrom(3.3, 5, -5, 12, -12, 300),
      fc.boolean(),
      (a, b, railV, loadAttached) => {
        const judged = (ohm: number) => severity[at(ohm, { railV, loadAttached }).verdict]
        expect(judged(Math.max(a, b))).toBeGreaterThanOrEqual(judged(Math.min(a, b)))
      },
    ),
  )
  expect(offVerdicts).toHaveLength(4)
})

it('a minus sign means charge, not resistance', () => {
  expect(() => at(-5)).toThrow(/still holds a charge/)
  expect(() => at(5, { currentA: 0 })).toThrow(/What the rail draws/)
  expect(() => at(5, { railV: 0 })).toThrow(/other than zero/)
})

it('a measured short counts against whatever was entered, and a whole round of plausible rails for it', () => {
  expect(shortFact('no', ['plausible', 'short'])).toBe('yes')
  expect(shortFact(undefined, ['plausible', 'plausible'])).toBe('no')
  expect(shortFact('yes', ['plausible', null])).toBe('yes')
  expect(shortFact(undefined, ['plausible', 'suspect'])).toBeUndefined()
  expect(shortFact('no', [])).toBe('no')
})
