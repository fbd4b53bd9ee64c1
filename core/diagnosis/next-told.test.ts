import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { readAddress } from './address-map'
import { readFailures } from './bench-maps'
import { judgeMatrix } from './keyboard-matrix'
import { type SwapPart, type SwapTest, reasonSwaps } from './swap'

// What is proposed next, and what never is. Cases made up by hand; common practice, no source.
const part = (name: string, kind: SwapPart['kind'], more: Partial<SwapPart> = {}): SwapPart => ({ name, kind, ...more })
const test = (outcome: SwapTest['outcome'], ...parts: string[]): SwapTest => ({ parts, outcome })

describe('the next swap', () => {
  const parts = [part('Drive', 'drive'), part('Controller', 'controller'), part('Lead', 'lead')]
  const spares = [
    part('Spare drive', 'drive', { knownGood: true, replaces: 'Drive' } as never),
    part('Spare lead', 'lead', { knownGood: true, replaces: 'Lead' } as never),
  ]
  it('is none where one explanation is left, and one that takes nothing that is not at hand', () => {
    expect(reasonSwaps({ parts: [parts[0]!], tests: [test('fails', 'Drive')] }).next).toEqual([])
    const { next } = reasonSwaps({ parts: [...parts, ...spares], tests: [test('fails', 'Drive', 'Controller', 'Lead')] })
    expect(next.length).toBeGreaterThan(0)
    const away = reasonSwaps({
      parts: [...parts, { ...spares[0]!, atHand: false } as SwapPart, spares[1]!],
      tests: [test('fails', 'Drive', 'Controller', 'Lead')],
    })
    expect(away.next.every(n => !n.parts.includes('Spare drive'))).toBe(true)
  })
})

describe('a fault among the next moves', () => {
  const fault = (more: object) => ({
    symptom: 'No sound',
    symptoms: [],
    open: true,
    stopsMachine: false,
    leftAs: '',
    observations: ['hum'],
    repairs: [],
    attempts: [],
    theories: [],
    ...more,
  })
  const moves = (...faults: object[]) =>
    assess({ ...settled, faults } as unknown as MachineRecord, now)
      .moves.filter(m => m.code.startsWith('fault-'))
      .map(m => `${m.code}: ${m.says} ${m.why}`)
  it('is looked into once, and gone on with after that, by what became of it', () => {
    const said = moves(fault({ observations: [], symptom: 'Hums' }), fault({}))
    expect(said.filter(m => m.includes('Look into: Hums'))).toHaveLength(1)
    expect(said.filter(m => m.includes('Look into: No sound'))).toEqual([])
    expect(said.filter(m => m.includes('Go on with: Hums'))).toEqual([])
    expect(moves(fault({})).join()).toContain('Observed, not repaired yet.')
    expect(moves(fault({ repairs: [{ at: now }] })).join()).toContain('A repair did not close it.')
    expect(moves(fault({ repairs: [{ at: now }], leftAs: 'came-back' })).join()).toContain('It came back by itself')
  })
})

it('failures are read line by line, each whole', () => {
  expect(readFailures('10 FF FB\n\n11,FF;0', 'hex')).toEqual([
    { address: 16, expected: 255, read: 251 },
    { address: 17, expected: 255, read: 0 },
  ])
  for (const line of ['10 FF', '10', ', FF FB']) expect(() => readFailures(`1 2 3\n${line}`, 'hex'), line).toThrow('Line 2: address, expected, read.')
})

it('so many keys that fail at once that not every set can be tried is said', () => {
  const keys = Array.from({ length: 20 }, (_, i) => ({ key: `k${i}`, row: `R${i}`, column: `C${i}`, state: i < 19 ? ('fails' as const) : ('works' as const) }))
  // Each sits alone on its lines, so that each fails by itself: nineteen faults, more than are tried.
  const { findings, explanationsAtLeast } = judgeMatrix({ keys })
  expect(explanationsAtLeast).toBe(1)
  expect(findings.map(f => f.code)).toContain('matrix.rivals')
  const few = judgeMatrix({ keys: keys.map((k, i) => ({ ...k, state: i < 2 ? ('fails' as const) : ('works' as const) })) })
  expect(few.findings.map(f => f.code)).not.toContain('matrix.rivals')
})

it('what is to be done with what stands on the bench is said in words, by what goes in and out and how often it is run', () => {
  const parts = [
    part('Drive', 'drive'),
    part('Spare drive', 'drive', { knownGood: true }),
    part('Controller', 'controller'),
    part('Cache', 'lead', { optional: true, place: 'cache' }),
  ]
  const bench: SwapTest[] = [
    test('fails', 'Drive', 'Controller', 'Cache'),
    { parts: ['Drive', 'Controller'], outcome: 'sometimes', runs: 4, failures: 1 },
    test('fails', 'Spare drive', 'Controller', 'Cache'),
    { parts: ['Drive', 'Controller', 'Cache'], outcome: 'sometimes', runs: 6, failures: 2 },
  ]
  for (let n = 1; n <= bench.length; n++) {
    const made = bench.slice(0, n)
    const standing = made.at(-1)!.parts
    for (const { parts: set, runs, says } of reasonSwaps({ parts, tests: made }).next as { parts: string[]; runs: number; says: string }[]) {
      const [puts, takes] = [set.filter(p => !standing.includes(p)), standing.filter(p => !set.includes(p))]
      const often = runs > 1 ? `, and run it ${runs} times` : ''
      const and = (names: string[]) => names.join(' and ')
      expect(says).toBe(
        puts.length && takes.length
          ? `From what stands on the bench, put in ${and(puts)} for ${and(takes)}${often}.`
          : puts.length
            ? `To what stands on the bench, add ${and(puts)}${often}.`
            : takes.length
              ? `From what stands on the bench, leave out ${and(takes)}${often}.`
              : `As it stands on the bench: run it ${runs === 1 ? 'once more' : `${runs} times more`}.`,
      )
    }
  }
})

it('addresses are read in the base that they say themselves, else in the one that is meant', () => {
  expect(['0x1F', '$1f', '1Fh', '0o17', '17', '1_7', ' 1 7 '].map(text => readAddress(text, 'octal'))).toEqual([31, 31, 31, 15, 15, 15, 15])
  expect([readAddress('17', 'hex'), readAddress('17', 'decimal')]).toEqual([23, 17])
  for (const text of ['0o18', '8', '0x', '', 'x']) expect(() => readAddress(text, 'octal'), text).toThrow('is no')
})
