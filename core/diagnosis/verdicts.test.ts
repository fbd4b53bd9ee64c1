import { describe, expect, it } from 'vitest'
import { mapAddresses, readAddress } from './address-map'
import { type FaultSoFar, backToBasics } from './back-to-basics'
import { judgeMatrix } from './keyboard-matrix'
import { type Observation, climb } from './ladder'
import { type MemoryFaultInput, judgeMemory } from './memory-fault'
import { basicsAround } from './rules'

// Each verdict from both sides of what tells it from the next. Cases made up by hand; common practice, no source.
const range = (n: number) => Array.from({ length: n }, (_, i) => i)
const banks = range(2).map(i => ({ from: i * 0x4000, to: i * 0x4000 + 0x3fff, name: `bank ${i}`, chips: range(8).map(bit => `IC${i + 1}${bit}`) }))
const memory = (failures: [address: number, expected: number, read: number][], more: Partial<MemoryFaultInput> = {}) =>
  judgeMemory({ widthBits: 8, bitsPerChip: 1, banks, failures: failures.map(([address, expected, read]) => ({ address, expected, read })), ...more })
const verdict = (...of: Parameters<typeof memory>) => {
  const { kind, findings } = memory(...of)
  return [kind, findings.map(f => f.says)] as const
}

describe('a memory test', () => {
  it('without a failure, or with words that read as they were written, asks for the failures', () => {
    for (const failures of [[], [[5, 7, 7]]] as [number, number, number][][]) expect(verdict(failures)).toEqual(['none', ['No failing address is given.']])
  })
  it('whose one bit fails in two banks blames the line; in a bank and outside of it too; in one bank the chip', () => {
    const [line, saysLine] = verdict([
      [0x10, 0xff, 0xfb],
      [0x4010, 0xff, 0xfb],
    ])
    expect([line, saysLine[0]]).toEqual(['data-line', 'Bit 2 fails in 2 banks: its data line or its buffer.'])
    const [outside, saysOutside] = verdict([
      [0x10, 0xff, 0xfb],
      [0x9010, 0xff, 0xfb],
    ])
    expect([outside, saysOutside[0]]).toEqual(['data-line', 'Bit 2 fails in a bank and outside of it: its data line or its buffer.'])
    expect(verdict([[0x10, 0xff, 0xfb]])[0]).toBe('cell')
    expect(
      verdict([
        [0x10, 0xff, 0xfb],
        [0x11, 0xff, 0xfb],
      ])[0],
    ).toBe('chip')
  })
  it('whose every bit fails in one bank of two blames the bank; of one alone, or also outside, not the memory', () => {
    const all = range(8).map((i): [number, number, number] => [i, 0xff, 0])
    expect(verdict(all)).toEqual(['bank', [expect.stringContaining('All bits of bank 0 fail') as string]])
    expect(verdict(all, { banks: banks.slice(0, 1) })[0]).toBe('not-memory')
    expect(verdict([...all, [0x9000, 0xff, 0]])[0]).toBe('not-memory')
    expect(verdict([...all, [0x4000, 0xff, 0]])[0]).toBe('not-memory')
  })
  it('with two or three chips in question names them, and with too few failures asks for more', () => {
    const two: [number, number, number][] = [
      [0x10, 0xff, 0xfb],
      [0x20, 0xff, 0xf7],
    ]
    const [kind, [says]] = verdict(two)
    expect(kind).toBe('unclear')
    expect(says).toBe('Too few failures to show a pattern.')
    const many = range(6).flatMap(() => two)
    expect(verdict(many.map(([a, e, r], i) => [a + i * 0x101, e, r]))[1].join()).toContain('IC12, IC13')
  })
  it('is refused with more banks than are taken, and with ends that lie before their beginnings', () => {
    const of = (n: number) => range(n).map(i => ({ from: i * 0x100, to: i * 0x100 + 0xff, name: `bank ${i}`, chips: ['IC1'] }))
    const tried = (n: number) => () => memory([], { widthBits: 1, banks: of(n) })
    const most = range(400).findIndex(n => {
      try {
        tried(n + 1)()
        return false
      } catch {
        return true
      }
    })
    expect(most).toBeGreaterThanOrEqual(8)
    expect(tried(most + 1)).toThrow(`Banks: 1 to ${most}, please.`)
    expect(tried(0)).toThrow('Banks: 1 to')
  })
})

describe('addresses', () => {
  it('are none below nothing, and a map holds as many as it says', () => {
    expect(readAddress(0, 'hex')).toBe(0)
    expect(() => readAddress(-1, 'hex')).toThrow()
    const regions = (n: number) => range(n).map(i => ({ name: `r${i}`, from: i * 16, to: i * 16 + 15 }))
    const map = (n: number) => () => mapAddresses({ bits: 16, base: 'hex', regions: regions(n), ask: '' } as never)
    expect(map(200)).not.toThrow()
    expect(map(201)).toThrow()
  })
})

describe('back to basics', () => {
  const fault = (more: Partial<FaultSoFar>): FaultSoFar => ({
    open: true,
    attempts: [],
    theories: [],
    damageKnown: false,
    railsRead: true,
    zoneProbed: false,
    ...more,
  })
  const theory = (state: 'held' | 'struck', damaged = false) => ({ state, damaged }) as FaultSoFar['theories'][number]
  const because = (more: Partial<FaultSoFar>) => backToBasics(fault(more)).map(f => f.because.join(' '))
  it('goes by theories that are held, not by those that were refuted, and is content with one about the damage', () => {
    expect(because({ damageKnown: true, theories: [theory('held')] })).toEqual(['Damage is known, and no theory that is held concerns it.'])
    expect(because({ damageKnown: true, theories: [theory('struck')] })).toEqual([])
    expect(because({ damageKnown: true, theories: [theory('held'), theory('struck', true)] })).toHaveLength(1)
    expect(because({ damageKnown: true, theories: [theory('held'), theory('held', true)] })).toEqual([])
    expect(because({ damageKnown: false, theories: [theory('held')] })).toEqual([])
  })
  it('knows of rails that were read, and of zones that were probed to their end: all of them, and one at least', () => {
    const around = (more: object) => basicsAround({ damages: [], readings: [], probeSheets: [], ...more } as never)
    const sheet = (answered: number, broken: string[] = []) => ({ answered, total: 4, broken })
    expect(around({})).toEqual({ damageKnown: false, railsRead: false, zoneProbed: false })
    expect(around({ readings: [{}] }).railsRead).toBe(true)
    expect(around({ probeSheets: [sheet(4)] })).toMatchObject({ zoneProbed: true, damageKnown: false })
    expect(around({ probeSheets: [sheet(4), sheet(3)] }).zoneProbed).toBe(false)
    expect(around({ probeSheets: [sheet(3), sheet(4, ['D0'])] })).toMatchObject({ zoneProbed: false, damageKnown: true })
    expect(around({ damages: [{}] }).damageKnown).toBe(true)
  })
})

describe('the ladder', () => {
  const rung = (seen: Observation[], name: string) => climb({ machine: 'desktop', seen }).rungs.find(r => r.rung === name)!
  it('keeps what doubts a rung out of what proves it, and tells what contradicts itself', () => {
    expect(rung(['rails-good'], 'rails')).toMatchObject({ state: 'works' })
    expect(rung(['rails-good'], 'rails').because).toHaveLength(1)
    expect(rung(['rail-low'], 'rails')).toMatchObject({ state: 'suspect' })
    const both = climb({ machine: 'desktop', seen: ['rails-good', 'rail-low'] })
    expect(both.rungs[0]).toMatchObject({ state: 'contradicted' })
    expect(both.rungs[0]!.because).toHaveLength(2)
    expect(both.findings.map(f => f.code)).toContain('ladder.contradiction')
    expect(rung([], 'rails')).toMatchObject({ state: 'unknown', because: [] })
  })
  it('says that nothing was seen only where nothing was, and names the lowest rung that is not proved', () => {
    const codes = (seen: Observation[]) => climb({ machine: 'desktop', seen }).findings.map(f => f.code)
    expect(codes([])).toContain(climb({ machine: 'desktop', seen: [] }).findings[0]!.code)
    expect(codes(['rails-good']).filter(c => codes([]).includes(c) && c !== 'ladder.next')).toEqual([])
    expect(climb({ machine: 'desktop', seen: ['rails-good'] }).next).toMatchObject({ rung: 'clock' })
  })
})

it('a keyboard that is dead as a whole has one explanation, of everything that fails', () => {
  const keys = ['R0', 'R1'].flatMap(row => ['C0', 'C1'].map(column => ({ key: row + column, row, column, state: 'fails' as const })))
  const { faults, explanations, explanationsAtLeast } = judgeMatrix({ keys })
  expect(explanations).toEqual([faults])
  expect(explanationsAtLeast).toBe(1)
})
