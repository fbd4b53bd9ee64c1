import { describe, expect, it } from 'vitest'
import { good, now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { aboutFact } from './hazards'
import { safetyUnknown } from './rules'

// Common practice, no source: what a whole record comes to.
const of = (more: Partial<MachineRecord>) => assess({ ...settled, ...more } as MachineRecord, now)
const codes = (more: Partial<MachineRecord>) => of(more).known.gate.findings.map(f => f.code)
const moves = (more: Partial<MachineRecord>) => of(more).moves.map(m => `${m.band} ${m.code}`)
const at = '2026-03-02T20:00:00.000Z'

describe('a battery that leaked once', () => {
  const leaked = { batteryHasLeaked: true, entered: { ...good, battery: 'out' } }
  const forgotten = (more: object) => codes({ ...leaked, ...more } as Partial<MachineRecord>).includes('battery.leak-forgotten.unsettled')
  it('is not forgotten by an answer, nor by a hazard of another kind, nor while somebody only suspects it', () => {
    expect(forgotten({})).toBe(true)
    expect(forgotten({ batteryHasLeaked: false })).toBe(false)
    expect(forgotten({ hazardsSettled: [{ kind: 'liquid', state: 'dealt-with', evidence: 'dried', at }] })).toBe(true)
    expect(forgotten({ hazardsSettled: [{ kind: 'battery', state: 'suspected', evidence: 'crust', at }] })).toBe(true)
    expect(of(leaked).known.gate.verdict).toBe('not-yet-assessed')
  })
  it.each(['dealt-with', 'ruled-out'] as const)('is settled where somebody says %s', state =>
    expect(forgotten({ hazardsSettled: [{ kind: 'battery', state, evidence: 'misread', at }] })).toBe(false),
  )
  it('is told by nobody twice: a leak that is answered, or on record, speaks for itself', () => {
    expect(forgotten({ entered: { ...good, battery: 'leaking' } })).toBe(false)
    const barrel = { where: 'IC3', chemistry: 'nickel-cadmium', cells: 3, year: 1986, state: 'leaking', fitted: true, charging: 'yes' }
    expect(forgotten({ batteries: [barrel] })).toBe(false)
  })
})

it('what was measured since an answer of danger settles it; what was measured before does not', () => {
  const differs = (answered: string) =>
    codes({ entered: { ...good, shortedRail: 'yes' }, answeredAt: { shortedRail: answered } } as Partial<MachineRecord>).includes('gate.shortedRail.unsettled')
  // The rail of the record read whole on the evening of 2 March.
  expect(differs('2026-03-03T10:00:00.000Z')).toBe(true)
  expect(differs('2026-03-02T18:00:00.000Z')).toBe(true)
  expect(differs('2026-03-01T10:00:00.000Z')).toBe(false)
})

it('is whole where everything is connected and nothing of it is undone', () => {
  const step = (state: 'ahead' | 'undone' | 'back') => ({ step: 1, what: 'Lid', state, fixings: [], connectors: [], hides: '', hazard: '' })
  expect(of({}).known.whole).toBe(true)
  expect(of({ openingSteps: [step('back')] }).known.whole).toBe(true)
  expect(of({ openingSteps: [step('undone')] }).known.whole).toBe(false)
  expect(of({ configuration: { kind: 'partly', out: ['Case'] } }).known.whole).toBe(false)
})

it('mould that is present grows; mould that is suspected, or another hazard that is present, does not', () => {
  const rank = (kind: string, state: string) =>
    of({ hazardsSettled: [{ kind, state, evidence: 'seen', at }] } as unknown as Partial<MachineRecord>).known.harm.rank
  expect([rank('mould', 'present') > 0, rank('mould', 'suspected'), rank('liquid', 'present')]).toEqual([true, 0, 0])
})

it('asks for what closes the gate before what is only a caution, and for nothing where nothing is suspected', () => {
  expect(moves({})).toEqual(['life move-on'])
  expect(moves({ entered: { ...good, burntTrace: 'yes' } } as Partial<MachineRecord>)).toContain('keeps-off gate.burntTrace.yes')
  expect(moves({ entered: { ...good, smoke: 'yes' } } as Partial<MachineRecord>)).toContain('alarm gate.smoke.yes')
  const { battery: _, ...unlooked } = good as Record<string, string>
  expect(moves({ entered: unlooked, sisters: { leaked: 2 } } as Partial<MachineRecord>)).toContain('harm battery-sister')
  expect(moves({ entered: unlooked } as Partial<MachineRecord>)).not.toContain('harm battery-sister')
  const [assessing] = of({ entered: unlooked } as Partial<MachineRecord>).moves.filter(m => m.code === 'assess')
  expect(assessing!.why).toContain('Battery')
  const suspected = of({
    hazardsSettled: [
      { kind: 'sharp', state: 'suspected', evidence: 'an edge', at },
      { kind: 'liquid', state: 'suspected', evidence: 'a tide line', at },
    ],
  }).moves.find(m => m.code === 'hazards')
  expect(suspected!.why).toBe('a tide line.')
})

it('what cannot be read is kept off, with its mains on and nothing of it taken for whole', () => {
  expect(safetyUnknown({ school: 'caps-first', sisters: { leaked: 3 } }, [])).toMatchObject({
    gate: { verdict: 'keep-off', findings: [], toOpen: [] },
    gateInForce: 'keep-off',
    overruled: false,
    mains: true,
    whole: false,
    modelBatteryLeaks: false,
    sistersWithLeakedBattery: 3,
    harm: { rank: 0 },
  })
})

it('what the model is known for points to it, and a fact is about the hazard that it shows', () => {
  const { filterCapacitors: _, ...unlooked } = good as Record<string, string>
  const suspected = (knownFaults: string[]) =>
    of({ knownFaults, entered: unlooked } as Partial<MachineRecord>)
      .known.hazards.filter(h => h.state === 'suspected')
      .map(h => h.kind)
  expect(suspected([])).toEqual([])
  expect(suspected(['The line filter cracks'])).toEqual(['line-filter'])
  expect(of({ knownFaults: ['The nickel barrel leaks'], entered: { ...good } } as Partial<MachineRecord>).known.modelBatteryLeaks).toBe(true)
  expect(of({ knownFaults: ['The barrel is hard to reach', 'The lid leaks'] }).known.modelBatteryLeaks).toBe(false)
  expect(aboutFact('fan').about).toBe('hazard:missing-fan')
  expect(aboutFact('battery').about).toBe('hazard:battery')
  expect(aboutFact('rails')).toEqual({ about: 'fact:rails' })
})
