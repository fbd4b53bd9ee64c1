import { expect, it } from 'vitest'
import { damageKinds } from './damage'
import { impliedChecks, rules } from './implied-checks'

const seen = (kind: keyof typeof damageKinds, where: string, assembly = 'Main board', severity: 'slight' | 'clear' | 'severe' = 'clear') => ({
  kind,
  where,
  assembly,
  severity,
})

// Source of the pairs: common practice, no source.
it.each([
  [seen('crust', 'beside the nickel barrel'), ['keyboard connector', 'socket', 'other side', 'clock chip']],
  [seen('tide-line', 'lower half'), ['below']],
  [seen('crack', 'paper line-filter capacitor', 'Supply'), ['filter']],
])('%o asks for what it brings along', (damage, words) => {
  const says = impliedChecks([damage])
    .map(c => c.says.toLowerCase())
    .join(' | ')
  for (const word of words) expect(says).toContain(word)
})

it('a check names its assembly, its reason and what it rests on; the same one is asked for once', () => {
  const [first] = impliedChecks([seen('crust', 'under the battery')])
  expect(first).toMatchObject({
    says: expect.stringMatching(/^Main board: /) as string,
    why: expect.stringContaining('Seen: crust, under the battery.') as string,
    source: expect.stringContaining('ommon practice') as string,
  })
  const twice = impliedChecks([seen('crust', 'under the battery'), seen('crust', 'beside the battery', 'Main board', 'severe')])
  expect(new Set(twice.map(c => c.code)).size).toBe(twice.length)
  expect(twice[0]!.why).toContain('beside the battery')
})

it('crust far from a battery does not ask about the clock chip', () => {
  expect(impliedChecks([seen('crust', 'lower edge')]).some(c => /clock chip/.test(c.says))).toBe(false)
})

it('every rule stands for a kind that there is, and asks for something', () => {
  for (const rule of rules) {
    expect(rule.kinds.every(kind => kind in damageKinds)).toBe(true)
    expect(rule.checks.length * rule.why.length).toBeGreaterThan(0)
  }
})
