import fc from 'fast-check'
import { expect, it } from 'vitest'
import { labelWords, type SupplyMatchInput, matchSupply } from './supply-match'

const right: SupplyMatchInput = {
  needs: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1, regulatedInside: true },
  supply: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1.4, outerMm: 5.5, innerMm: 2.1, regulated: true },
}
const having = (supply: Partial<SupplyMatchInput['supply']>, needs: Partial<SupplyMatchInput['needs']> = {}) =>
  matchSupply({ needs: { ...right.needs, ...needs }, supply: { ...right.supply, ...supply } })
const codes = (r: ReturnType<typeof matchSupply>, level = 'stop') => r.findings.filter(f => f.level === level).map(f => f.code)

// Source of the rules: common practice, no source.
it('one that matches in everything suits, and a bench supply is set like it', () => {
  expect(matchSupply(right)).toMatchObject({ suits: 'yes', bench: { voltageV: 9, firstLimitA: 0.3, runLimitA: 1.2 } })
  expect(matchSupply(right).findings.every(f => f.level === 'fine')).toBe(true)
})

it.each([
  [{ polarity: 'centre-positive' }, 'supply.polarity.wrong'],
  [{ kind: 'ac' }, 'supply.ac-for-dc'],
  [{ voltageV: 12 }, 'supply.high'],
  [{ voltageV: 7.5 }, 'supply.low'],
  [{ currentA: 0.6 }, 'supply.weak'],
  [{ innerMm: 2.5 }, 'supply.plug'],
] as const)('%o is a stop: %s', (supply, code) => {
  expect(codes(having(supply))).toContain(code)
  expect(having(supply).suits).toBe('no')
})

it('an unregulated one unloaded harms a machine without a regulator, and only warms one with it', () => {
  expect(codes(having({ regulated: false }))).toEqual([])
  expect(codes(having({ regulated: false }), 'care')).toEqual(['supply.unloaded'])
  expect(codes(having({ regulated: false }, { regulatedInside: false }))).toEqual(['supply.unloaded'])
  expect(codes(having({ regulated: false, unloadedV: 9.2 }, { regulatedInside: false }))).toEqual([])
})

it('what was measured with nothing attached decides, whatever its label says', () => {
  // A 9 V inlet with 40 V, or with 0.3 V, suits nobody: common practice, no source.
  for (const inside of [true, false]) for (const unloadedV of [40, 17, 0.3, 6]) expect(having({ unloadedV }, { regulatedInside: inside }).suits).toBe('no')
  expect(having({ unloadedV: 12.6, regulated: false }).suits).toBe('yes')
})

it('what is not known never suits', () => {
  for (const key of ['kind', 'polarity', 'currentA'] as const) expect(having({ [key]: undefined }).suits).toBe('not-yet-known')
})

it('a neighbour that the plug would harm is named', () => {
  const withNeighbour = (voltageV: number) =>
    codes(
      matchSupply({ ...right, neighbours: [{ name: 'the monitor inlet', voltageV, kind: 'dc', polarity: 'centre-negative', outerMm: 5.5, innerMm: 2.1 }] }),
      'care',
    )
  expect(withNeighbour(12)).toEqual(['supply.neighbour'])
  expect(withNeighbour(9)).toEqual([])
})

it('a machine for AC gets no DC, no polarity and no bench setting', () => {
  const ac = having({ kind: 'ac', polarity: undefined }, { kind: 'ac', polarity: undefined })
  expect(ac).toMatchObject({ suits: 'yes', bench: null })
  expect(codes(having({}, { kind: 'ac' }))).toContain('supply.dc-for-ac')
})

it('a stronger supply of the same kind is never worse', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 5, noNaN: true }), fc.double({ min: 0, max: 5, noNaN: true }), (currentA, more) => {
      if (having({ currentA }).suits === 'yes') expect(having({ currentA: currentA + more }).suits).toBe('yes')
    }),
  )
  expect(() => having({ voltageV: -9 })).toThrow(/the sign is what the polarity says/)
})

it('a label reads as it is typed, and what is not on it is left out', () => {
  expect(labelWords({ voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1 })).toBe(
    '9 V DC, centre negative, 1 A, 5.5 × 2.1 mm',
  )
  expect(labelWords({ voltageV: 9, outerMm: 5.5 })).toBe('9 V, 5.5 mm outside, inside not measured')
  expect(labelWords({ voltageV: 9, innerMm: 2.1 })).toBe('9 V, outside not measured, 2.1 mm inside')
  expect(labelWords({ voltageV: 9 })).toBe('9 V')
})
