import fc from 'fast-check'
import { expect, it } from 'vitest'
import { cautions } from './cautions'
import { type GateVerdict, assessGate, gateVerdicts } from './gate'
import { type Hazard, type HazardSigns, hazardKindNames, hazardKinds, hazardStates, hazardsOf } from './hazards'
import { type PowerFactName, type PowerFacts, powerFactNames, powerFacts, schools } from './power-facts'

const nothing: HazardSigns = { facts: {}, assemblies: [], damages: [], claims: [], interventions: [], knownFaults: [], massKg: null }
const suspected = (more: Partial<HazardSigns>) =>
  hazardsOf({ ...nothing, ...more }, [])
    .filter(h => h.state === 'suspected')
    .map(h => h.kind)

// Source of the signs: common practice, no source.
it.each([
  [{ claims: ['It smoked when I tried it'] }, 'smoke'],
  [{ claims: ['It was fine until the coffee'] }, 'liquid'],
  [{ knownFaults: ['The nickel barrel leaks'] }, 'battery'],
  [{ damages: [{ kind: 'crust', severity: 'clear', assembly: 'Main board', where: 'beside the barrel' }] }, 'battery'],
  [{ damages: [{ kind: 'bulge', severity: 'clear', assembly: 'Supply', where: 'C3' }] }, 'bulging-capacitors'],
  [{ assemblies: [{ name: 'Picture tube and its board', presence: 'present' }] }, 'picture-tube'],
  [{ massKg: 118 }, 'heavy'],
  [{ facts: { filterCapacitors: 'sound' } }, 'line-filter'],
  [{ interventions: [{ kind: 'added-wire', state: 'not-understood', where: 'to the lid' }] }, 'unknown-wiring'],
] as [Partial<HazardSigns>, string][])('%o points to %s', (found, kind) => expect(suspected(found)).toContain(kind))

it('nothing known, nothing suspected; what is understood or missing is no sign', () => {
  expect(suspected({})).toEqual([])
  expect(
    suspected({
      interventions: [{ kind: 'added-wire', state: 'understood', where: 'x' }],
      assemblies: [{ name: 'Monitor', presence: 'missing' }],
      massKg: 25,
      claims: ['Worked when stored'],
    }),
  ).toEqual([])
})

it('what somebody found out stands, with the signs beside it', () => {
  const [hazard] = hazardsOf({ ...nothing, claims: ['It smoked when I tried it'] }, [
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
