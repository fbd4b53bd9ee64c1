import fc from 'fast-check'
import { expect, it } from 'vitest'
import { cautions } from './cautions'
import { type GateVerdict, assessGate, gateVerdicts } from './gate'
import type { DamageSeen } from '../condition/implied-checks'
import { whole } from './configuration'
import {
  type Hazard,
  type HazardSettled,
  type HazardSigns,
  type HazardState,
  hazardKindNames,
  hazardKinds,
  hazardReasons,
  hazardStates,
  hazardsOf,
} from './hazards'
import { type PowerFactName, type PowerFacts, type School, powerFactNames, powerFacts, schools } from './power-facts'

const nothing: HazardSigns = { facts: {}, assemblies: [], damages: [], claims: [], interventions: [], knownFaults: [], massKg: null }
const found = (more: Partial<HazardSigns>, state: HazardState) =>
  hazardsOf({ ...nothing, ...more }, [])
    .filter(h => h.state === state)
    .map(h => h.kind)
const suspected = (more: Partial<HazardSigns>) => found(more, 'suspected')

// Source of the signs: common practice, no source.
it.each([
  [{ claims: [{ says: 'It smoked when I tried it' }] }, 'smoke'],
  [{ claims: [{ says: 'It was fine until the coffee' }] }, 'liquid'],
  [{ claims: [{ says: 'The case tingles' }] }, 'mains-wiring'],
  [{ knownFaults: ['The nickel barrel leaks'] }, 'battery'],
  [{ assemblies: [{ name: 'Picture tube and its board', presence: 'present' }] }, 'picture-tube'],
  [{ massKg: 118 }, 'heavy'],
  [{ facts: { filterCapacitors: 'sound' } }, 'line-filter'],
] as [Partial<HazardSigns>, string][])('%o points to %s', (found, kind) => expect(suspected(found)).toContain(kind))

// Somebody saw these: they are there, not suspected.
const damage = (kind: DamageSeen['kind'], where: string, at?: string) => ({ damages: [{ kind, severity: 'clear' as const, assembly: 'Supply', where, at }] })
it.each([
  [damage('crust', 'beside the barrel'), 'battery'],
  [damage('bulge', 'C3'), 'bulging-capacitors'],
  [damage('tide-line', 'transformer'), 'liquid'],
  [damage('burn', 'by the switch'), 'burnt-trace'],
  [damage('crack', 'mains cable at the strain relief'), 'mains-wiring'],
  [damage('crack', 'mains capacitor'), 'line-filter'],
  [damage('wear', 'insulation of the transformer leads'), 'old-insulation'],
  [{ interventions: [{ kind: 'added-wire', state: 'not-understood', where: 'to the lid' }] }, 'unknown-wiring'],
  [{ claims: [{ says: 'It smoked', how: 'confirmed' }] }, 'smoke'],
] as [Partial<HazardSigns>, string][])('%o is %s, present', (more, kind) => expect(found(more, 'present')).toContain(kind))
it('a cracked ribbon cable is no mains hazard', () => expect(found(damage('crack', 'ribbon cable'), 'present')).toEqual([]))

it('a record is not outvoted by an older answer, nor by one that only denies it; work done since deals with it', () => {
  const crust = damage('crust', 'beside the barrel', '2026-02-01T00:00:00.000Z')
  const state = (battery: string, at?: string) =>
    hazardsOf({ ...nothing, ...crust, facts: { battery }, answeredAt: at ? { battery: at } : {} }, []).find(h => h.kind === 'battery')?.state
  expect(state('out')).toBe('present')
  expect(state('out', '2026-01-01T00:00:00.000Z')).toBe('present')
  expect(state('none-fitted', '2026-03-01T00:00:00.000Z')).toBe('present')
  expect(state('out', '2026-03-01T00:00:00.000Z')).toBe('dealt-with')
})

it('what was said since the answer is not answered by it', () => {
  const smoke = (at: string) =>
    hazardsOf({ ...nothing, claims: [{ says: 'It smoked again', at }], facts: { smoke: 'traced' }, answeredAt: { smoke: '2026-02-01T00:00:00.000Z' } }, [])[0]
      ?.state
  expect([smoke('2026-01-01T00:00:00.000Z'), smoke('2026-03-01T00:00:00.000Z')]).toEqual(['dealt-with', 'suspected'])
})

it('what was settled stands until something newer speaks against it; *present* is taken back by a finding alone', () => {
  const settled = (state: HazardState, at: string) =>
    hazardsOf({ ...nothing, ...damage('tide-line', 'lower edge', '2026-02-01T00:00:00.000Z') }, [{ kind: 'liquid', state, evidence: 'x', at }])[0]?.state
  expect(settled('dealt-with', '2026-03-01T00:00:00.000Z')).toBe('dealt-with')
  expect(settled('ruled-out', '2026-01-01T00:00:00.000Z')).toBe('present')
  expect(hazardsOf({ ...nothing, facts: { smoke: 'traced' } }, [{ kind: 'smoke', state: 'present', evidence: 'x' }])[0]?.state).toBe('present')
})

it('an answer that denies what was said keeps the machine unassessed, until somebody settles it', () => {
  const claims = [{ says: 'There was a bang' }]
  const codes = (settled: HazardSettled[]) =>
    hazardReasons(hazardsOf({ ...nothing, claims, facts: { smoke: 'no' } }, settled), {
      facts: { smoke: 'no' },
      configuration: whole,
      school: 'caps-first',
    }).map(h => h.finding.code)
  expect(codes([])).toEqual(['gate.suspected.smoke.unsettled'])
  expect(codes([{ kind: 'smoke', state: 'ruled-out', evidence: 'A fuse, loudly' }])).toEqual([])
})

it('a line-filter hazard that is present is off under caps first; seen cracked, under every school', () => {
  const level = (school: School, seen?: boolean) =>
    hazardReasons([{ kind: 'line-filter', state: 'present', evidence: ['x'], settled: true, ...(seen ? { seen } : {}) }], {
      facts: { filterCapacitors: 'sound' },
      configuration: whole,
      school,
    })[0]?.finding.level
  // Under baseline first the fact speaks for itself: old, not cracked, care.
  expect([level('caps-first'), level('baseline-first'), level('baseline-first', true)]).toEqual(['stop', 'care', 'stop'])
})

it('nothing known, nothing suspected; what is understood or missing is no sign', () => {
  expect(suspected({})).toEqual([])
  expect(
    suspected({
      interventions: [{ kind: 'added-wire', state: 'understood', where: 'x' }],
      assemblies: [{ name: 'Monitor', presence: 'missing' }],
      massKg: 25,
      claims: [{ says: 'Worked when stored' }],
    }),
  ).toEqual([])
})

it('what somebody found out stands, with the signs beside it', () => {
  const [hazard] = hazardsOf({ ...nothing, claims: [{ says: 'It smoked when I tried it' }] }, [
    { kind: 'smoke', state: 'dealt-with', evidence: 'Filter capacitor replaced' },
  ])
  expect(hazard).toEqual({
    kind: 'smoke',
    state: 'dealt-with',
    evidence: ['Filter capacitor replaced.', 'Claimed: “It smoked when I tried it”.'],
    settled: true,
  })
})

it('what somebody saw and put down among the facts is present, not suspected', () => {
  expect(hazardsOf({ ...nothing, facts: { battery: 'leaking', fan: 'missing' } }, [])).toEqual([
    { kind: 'battery', state: 'present', evidence: ['Facts for power: battery, leaking.'], settled: false },
    { kind: 'missing-fan', state: 'present', evidence: ['Facts for power: fan, missing or stuck.'], settled: false },
  ])
})

it('every kind has a caution and says what takes it away', () => {
  for (const kind of hazardKindNames) expect([hazardKinds[kind].caution in cautions, hazardKinds[kind].deal.endsWith('.')]).toEqual([true, true])
})

const openness = (verdict: GateVerdict) => gateVerdicts.indexOf(verdict)
const anyFacts: fc.Arbitrary<PowerFacts> = fc.record(
  Object.fromEntries(powerFactNames.map(name => [name, fc.option(fc.constantFrom(...Object.keys(powerFacts[name].values)), { nil: undefined })])) as Record<
    PowerFactName,
    fc.Arbitrary<string | undefined>
  >,
)
const anyHazards: fc.Arbitrary<Hazard[]> = fc.uniqueArray(
  fc.record({ kind: fc.constantFrom(...hazardKindNames), state: fc.constantFrom(...hazardStates), evidence: fc.constant(['seen']), settled: fc.boolean() }),
  { selector: h => h.kind },
)

it('adding a hazard never opens the gate, whatever it is and whatever the facts are', () => {
  fc.assert(
    fc.property(fc.constantFrom(...schools), anyFacts, anyHazards, anyHazards, (school, facts, some, more) => {
      const verdict = (hazards: Hazard[]) => openness(assessGate({ school, facts, inspectedBy: 'Ilka', hazards }).verdict)
      expect(verdict([...some, ...more.filter(m => !some.some(h => h.kind === m.kind))])).toBeLessThanOrEqual(verdict(some))
      expect(verdict(some)).toBeLessThanOrEqual(verdict([]))
    }),
  )
})

it('with hazards too, the strict school is never looser, every reason has its way to open, and no reason is given twice', () => {
  fc.assert(
    fc.property(anyFacts, anyHazards, (facts, hazards) => {
      const [strict, baseline] = (['caps-first', 'baseline-first'] as const).map(school => assessGate({ school, facts, inspectedBy: 'Ilka', hazards }))
      expect(openness(strict!.verdict)).toBeLessThanOrEqual(openness(baseline!.verdict))
      for (const { findings, toOpen } of [strict!, baseline!]) {
        for (const f of findings.filter(f => f.level === 'stop' || f.level === 'care')) expect(toOpen.map(o => o.code)).toContain(f.code)
        expect(new Set(findings.map(f => f.code)).size).toBe(findings.length)
      }
    }),
  )
})

it('a battery that the facts call leaking is one reason, not two', () => {
  const codes = (facts: PowerFacts) =>
    assessGate({ school: 'caps-first', facts, inspectedBy: 'Ilka', hazards: [{ kind: 'battery', state: 'present', evidence: ['seen'], settled: true }] })
      .findings.filter(f => f.level === 'stop')
      .map(f => f.code)
  expect(codes({ battery: 'leaking' })).toEqual(['gate.battery.leaking'])
  expect(codes({ battery: 'out' })).toEqual(['gate.hazard.battery'])
  // Somebody found more than the fact says: that counts.
  expect(codes({ battery: 'in' })).toEqual(['gate.hazard.battery'])
})

it('a bare denial rules nothing out: that takes somebody who says what was found', () => {
  const state = (settled: HazardSettled[]) =>
    hazardsOf({ ...nothing, claims: [{ says: 'There was a bang' }], facts: { smoke: 'no' } }, settled).find(h => h.kind === 'smoke')?.state
  expect([state([]), state([{ kind: 'smoke', state: 'ruled-out', evidence: 'A fuse, loudly' }])]).toEqual(['suspected', 'ruled-out'])
})
