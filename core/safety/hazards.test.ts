import fc from 'fast-check'
import { expect, it } from 'vitest'
import { cautions } from './cautions'
import { assessGate } from './gate'
import { type GateVerdict, gateVerdicts } from './gate-words'
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

// What an answer says of a hazard by itself: common practice, no source.
it.each<[PowerFactName, string, string | null]>([
  ['mainsLead', 'cut', 'mains-wiring present'],
  ['mainsLead', 'sound', null],
  ['filterCapacitors', 'cracked', 'line-filter present'],
  ['filterCapacitors', 'sound', 'line-filter suspected'],
  ['filterCapacitors', 'replaced', null],
  ['filterCapacitors', 'none-fitted', null],
  ['pictureTube', 'open', 'picture-tube present'],
  ['pictureTube', 'enclosed', 'picture-tube present'],
  ['pictureTube', 'none', null],
  ['battery', 'in', 'battery present'],
  ['battery', 'leaking', 'battery present'],
  ['battery', 'residue', 'battery present'],
  ['battery', 'mischarged', 'battery present'],
  ['battery', 'unlooked', 'battery suspected'],
  ['battery', 'out', null],
  ['battery', 'none-fitted', null],
  ['liquidOrDirt', 'yes', 'liquid present'],
  ['liquidOrDirt', 'dried', null],
  ['burntTrace', 'yes', 'burnt-trace present'],
  ['shortedRail', 'yes', 'shorted-rail present'],
  ['supply', 'doubtful', 'unknown-supply present'],
  ['wiring', 'doubtful', 'unknown-wiring present'],
  ['fan', 'missing', 'missing-fan present'],
  ['smoke', 'yes', 'smoke present'],
  ['smoke', 'traced', null],
])('%s: %s is %s', (name, value, expected) => {
  const hazards = hazardsOf({ ...nothing, facts: { [name]: value } }, [])
  expect(hazards.map(h => `${h.kind} ${h.state}`)).toEqual(expected ? [expected] : [])
})

it.each([
  [damage('growth', 'under the keys'), 'mould present'],
  [damage('break', 'edge of the glass'), 'sharp present'],
  [damage('break', 'a standoff'), null],
  [damage('crack', 'a capacitor'), 'bulging-capacitors present'],
  [damage('burn', 'an electrolytic'), 'bulging-capacitors present'],
  [{ assemblies: [{ name: 'Fan', presence: 'missing' }] }, 'missing-fan present'],
  [{ assemblies: [{ name: 'Fan', presence: 'present' }] }, null],
  [{ assemblies: [{ name: 'Lid', presence: 'missing' }] }, null],
  [{ assemblies: [{ name: 'Power supply', presence: 'missing' }] }, 'unknown-supply present'],
  [{ assemblies: [{ name: 'Monitor', presence: 'present' }] }, 'picture-tube suspected'],
  [{ assemblies: [{ name: 'Monitor', presence: 'missing' }] }, null],
  [{ assemblies: [{ name: 'Supply', presence: 'present' }] }, 'stored-charge suspected'],
  [{ sistersLeaked: 2 }, 'battery suspected'],
  [{ sistersLeaked: 0 }, null],
  [{ knownFaults: ['The line filter cracks'] }, 'line-filter suspected'],
  [{ knownFaults: ['The space bar sticks'] }, null],
  [{ interventions: [{ kind: 'added-wire', state: 'understood', where: 'x' }] }, null],
  [{ interventions: [{ kind: 'cut-lead', state: 'not-understood', where: 'x' }] }, 'unknown-wiring present'],
  [{ interventions: [{ kind: 'hot-glue', state: 'not-understood', where: 'x' }] }, null],
  [{ massKg: 25 }, null],
  [{ massKg: null }, null],
  [{ symptoms: [{ word: 'hot', symptom: 'too hot', open: true, at: '2026-01-01' }] }, 'heat present'],
  [{ symptoms: [{ word: 'smell', symptom: 'smells', open: false, at: '2026-01-01' }] }, 'smoke suspected'],
  [{ symptoms: [{ word: 'no-picture', symptom: 'dark', open: true, at: '2026-01-01' }] }, null],
] as [Partial<HazardSigns>, string | null][])('%o shows %s', (more, kind) => {
  const hazards = hazardsOf({ ...nothing, ...more } as HazardSigns, [])
  const told = hazards.map(h => `${h.kind} ${h.state}`)
  if (kind) expect(told).toContain(kind)
  else expect(told).toEqual([])
})

it('what was settled stands until something newer speaks, and evidence is told in the words of its record', () => {
  const t = (month: number) => `2026-0${month}-01T00:00:00.000Z`
  const of = (state: HazardState, more: Partial<HazardSigns>, at = t(3)) =>
    hazardsOf({ ...nothing, ...more }, [{ kind: 'liquid', state, evidence: 'Looked under every socket', at } as HazardSettled]).find(h => h.kind === 'liquid')
  expect(of('ruled-out', damage('tide-line', 'edge', t(2)))?.state).toBe('ruled-out')
  expect(of('ruled-out', damage('tide-line', 'edge', t(4)))?.state).toBe('present')
  expect(of('dealt-with', { claims: [{ says: 'The coffee went in', at: t(4) }] })?.state).toBe('suspected')
  expect(of('dealt-with', { claims: [{ says: 'The coffee went in', at: t(2) }] })?.state).toBe('dealt-with')
  expect(of('present', {})?.state).toBe('present')
  expect(of('suspected', {})?.state).toBe('suspected')
  expect(of('ruled-out', damage('tide-line', 'edge', t(2)))).toMatchObject({
    evidence: ['Looked under every socket.', 'Damage: tide line, supply, edge.'],
    settled: true,
    seen: true,
  })
  const [missing] = hazardsOf({ ...nothing, assemblies: [{ name: 'Blower', presence: 'missing' }] } as HazardSigns, [])
  // What it never had is neither missing nor there.
  for (const name of ['Blower', 'Picture tube']) expect(hazardsOf({ ...nothing, assemblies: [{ name, presence: 'never' }] } as HazardSigns, [])).toEqual([])
  expect(missing).toMatchObject({ kind: 'missing-fan', evidence: ['Missing: blower.'], settled: false, seen: true })
  const [tube] = hazardsOf({ ...nothing, facts: { pictureTube: 'open' } }, [])
  expect(tube!.evidence).toEqual([expect.stringMatching(/^Facts for power: /)])
  expect(tube).not.toHaveProperty('seen')
})

it('an answer deals with what was seen or said before it, and with nothing since', () => {
  const state = (answer: string, more: Partial<HazardSigns>) =>
    hazardsOf({ ...nothing, facts: { liquidOrDirt: answer }, answeredAt: { liquidOrDirt: '2026-03-01' }, ...more }, []).find(h => h.kind === 'liquid')?.state
  const tide = (...at: string[]) => ({
    damages: at.map(a => ({ kind: 'tide-line' as const, severity: 'clear' as const, assembly: 'Supply', where: 'edge', at: a })),
  })
  expect(state('dried', tide('2026-02-01'))).toBe('dealt-with')
  expect(state('dried', tide('2026-02-01', '2026-04-01'))).toBe('present')
  expect(state('dried', { claims: [{ says: 'The coffee went in', at: '2026-04-01' }] })).toBe('suspected')
  expect(state('dried', { claims: [{ says: 'The coffee went in', at: '2026-02-01' }] })).toBe('dealt-with')
  expect(state('dried', { claims: [{ says: 'The coffee went in' }] })).toBe('dealt-with')
  expect(state('dried', {})).toBeUndefined()
  expect(state('no', { claims: [{ says: 'The coffee went in' }] })).toBe('suspected')
  expect(state('no', {})).toBeUndefined()
})
