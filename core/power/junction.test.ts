import { expect, it } from 'vitest'
import { type JunctionReading, type Leg, pairsOf, readJunctions } from './junction'

/** All six readings, open where nothing else is said. */
const three = (found: Record<string, number>): JunctionReading[] => pairsOf(3).map(([red, black]) => ({ red, black, volts: found[`${red}${black}`] ?? null }))
const two = (forward: number | null, back: number | null): JunctionReading[] => [
  { red: 1, black: 2, volts: forward },
  { red: 2, black: 1, volts: back },
]

// Source: common practice, no source: silicon junctions read about 0.6 V; a transistor shorted between all legs is a wire.
it('transistors are told by the base that both junctions share', () => {
  expect(readJunctions({ legs: 3, readings: three({ 21: 0.652, 23: 0.648 }) })).toMatchObject({ like: 'npn', material: 'silicon', base: 2 })
  expect(readJunctions({ legs: 3, readings: three({ 13: 0.61, 23: 0.62 }) })).toMatchObject({ like: 'pnp', base: 3 })
  expect(readJunctions({ legs: 3, readings: three({ 21: 0.25, 23: 0.24 }) })).toMatchObject({ like: 'npn', material: 'germanium' })
  expect(readJunctions({ legs: 3, readings: three({ 21: 0.652, 23: 0.648 }) }).findings.at(-1)?.says).toBe('The emitter is probably leg 1.')
})

it('a wire, a short and an open part are named', () => {
  const all = Object.fromEntries(pairsOf(3).map(([a, b]) => [`${a}${b}`, 0.001]))
  expect(readJunctions({ legs: 3, readings: three(all) }).findings[0]).toMatchObject({ level: 'stop', says: 'A short between all three legs: it is a wire.' })
  expect(readJunctions({ legs: 3, readings: three({ 12: 0, 21: 0, 32: 0.6 }) })).toMatchObject({
    like: 'shorted',
    findings: [{ level: 'stop', says: 'A short between 1 and 2.' }, {}],
  })
  expect(readJunctions({ legs: 3, readings: three({}) }).findings[0]).toMatchObject({ level: 'care', code: 'junction.open' })
})

it('a diode conducts one way', () => {
  expect(readJunctions({ legs: 2, readings: two(0.58, null) })).toMatchObject({ like: 'diode', material: 'silicon', anode: 1 })
  expect(readJunctions({ legs: 2, readings: two(null, 0.21) })).toMatchObject({ like: 'diode', material: 'germanium', anode: 2 })
  expect(readJunctions({ legs: 2, readings: two(0.4, 0.4) }).like).toBe('unclear')
  expect(readJunctions({ legs: 2, readings: two(0, 0) }).like).toBe('wire')
})

it('three junctions, a row of two, or a leaky one are not guessed at', () => {
  expect(readJunctions({ legs: 3, readings: three({ 12: 0.6, 13: 0.6, 23: 0.6 }) }).like).toBe('unclear')
  expect(readJunctions({ legs: 3, readings: three({ 21: 1.3, 23: 0.65 }) }).like).toBe('unclear')
  expect(readJunctions({ legs: 2, readings: two(0.08, null) }).like).toBe('unclear')
})

it('junctions of different kinds are no transistor, and two alike may be a double diode', () => {
  expect(readJunctions({ legs: 3, readings: three({ 21: 0.65, 23: 0.25 }) })).toMatchObject({ like: 'unclear', findings: [{ level: 'care' }, {}] })
  expect(readJunctions({ legs: 3, readings: three({ 21: 0.601, 23: 0.601 }) }).findings[0]).toMatchObject({ level: 'care', code: 'junction.alike' })
})

it('what is missing is asked for, and what cannot be is refused', () => {
  expect(readJunctions({ legs: 3, readings: three({}).slice(0, 4) }).findings[0]?.says).toBe('2 of 6 readings are missing.')
  expect(() => readJunctions({ legs: 2, readings: [{ red: 1, black: 1 as Leg, volts: 0.6 }] })).toThrow(/two of its 2 legs/)
  expect(() => readJunctions({ legs: 2, readings: [...two(0.6, null), { red: 1, black: 2, volts: 0.6 }] })).toThrow(/already/)
})
