import { describe, expect, it } from 'vitest'
import { growingHarm } from '../safety/growing-harm'
import { basisOf } from '../safety/overrule'
import { good, now, rail, reading, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from './assess'
import { consequencesOf } from './consequences'
import { stages } from '../kernel/stages'

const codes = (change: Partial<MachineRecord>) => assess({ ...settled, ...change }, now).moves.map(m => m.code)
const without = (fact: string) => Object.fromEntries(Object.entries(good).filter(([name]) => name !== fact))
const spent = {
  where: 'IC3',
  chemistry: 'nickel-cadmium' as const,
  cells: 3,
  year: 1986,
  state: 'sound' as const,
  fitted: false,
  charging: 'yes' as const,
  replacement: null,
}
const fault = {
  symptom: 'No sound',
  symptoms: [] as string[],
  stopsMachine: true,
  open: true,
  leftAs: '' as const,
  observations: [] as unknown[],
  repairs: [] as { at: string }[],
  attempts: [],
  theories: [],
}

const testLine = { says: 'Ports', kind: 'works' as const, expect: '', unit: '', from: null, to: null, hours: null }

const listed = {
  assembly: 'Supply',
  place: 'C1',
  spec: { capacitanceF: 0.00047, technology: 'electrolytic' },
  stressed: false,
  looksBad: false,
  measured: null,
  state: 'in' as const,
}

describe('the next moves', () => {
  // One case a rule, so that none can go unseen.
  it.each<[string, Partial<MachineRecord>]>([
    ['battery-sister', { entered: without('battery'), sisters: { leaked: 1 } }],
    ['battery-sister', { entered: without('battery'), knownFaults: ['Its barrel battery leaks'] }],
    [
      'fixing-missing',
      {
        openingSteps: [
          { step: 1, what: 'Lid', state: 'back', fixings: [{ count: 4, head: '', lengthMm: null, tray: '', back: 3 }], connectors: [], hides: '', hazard: '' },
        ],
      },
    ],
    ['consent', { ours: false }],
    ['wait-over', { waits: [{ what: 'drying', until: '2026-03-03T18:59:59.999Z', kind: null }] }],
    ['booking-over', { bookings: [{ what: 'Bezel', kind: 'light', from: '2026-03-02T19:00:00.000Z', until: '2026-03-03T18:59:59.999Z' }] }],
    ['contamination', { contaminations: [{ kind: 'dirt', where: 'fan', state: 'present', at: '2026-03-02T10:00:00.000Z' }] }],
    [
      'weigh',
      {
        dryings: [
          {
            what: 'Board',
            startedAt: '2026-03-01T10:00:00.000Z',
            endedAt: null,
            endedWet: '',
            errorG: 0.1,
            leftG: 0.2,
            weighings: [{ at: '2026-03-01T10:00:00.000Z', massG: 300 }],
          },
        ],
      },
    ],
    ['measure-colour', { whitenings: [{ name: 'Bezel', endedAt: null, relookOn: null, hoursSinceColour: 4, colours: 2 }] }],
    ['relook', { whitenings: [{ name: 'Bezel', endedAt: '2025-03-01T10:00:00.000Z', relookOn: '2026-03-01', hoursSinceColour: 0, colours: 4 }] }],
    ['probe', { probeSheets: [{ title: 'x', endedAt: null, total: 3, answered: 1, broken: [], doubtful: [], shorts: [] }] }],
    ['patch', { probeSheets: [{ title: 'x', endedAt: null, total: 3, answered: 3, broken: ['D3'], doubtful: [], shorts: [] }] }],
    ['seal-copper', { bareCoppers: [{ where: 'below IC3', sealedAt: null }] }],
    ['count-parts-back', { countedParts: [{ what: 'Keycaps', out: 73, back: null }] }],
    ['cleaning-step', { cleaningSteps: [{ state: 'open', says: 'Brush', why: 'Dust.', kind: 'method', minutes: 15 }] }],
    ['gate.smoke.yes', { entered: { ...good, smoke: 'yes' } }],
    ['look', { assemblies: [{ id: 1, name: 'Case', presence: 'not-looked', grade: null }] }],
    ['checks', { damages: [{ kind: 'crust', severity: 'severe', where: 'under the battery', assemblyId: null }] }],
    [
      'corrosion-grows',
      { corrosions: [10, 20].map((areaPct, i) => ({ what: 'lower edge', assembly: 'Board', areaPct, errorPct: 2, at: `2026-0${i + 1}-01`, areaMm2: null })) },
    ],
    [
      'grade-again',
      { assemblies: [{ id: 1, name: 'Case', presence: 'present', grade: 0 }], damages: [{ kind: 'rust', severity: 'severe', where: 'edge', assemblyId: 1 }] },
    ],
    ['interventions', { interventions: [{ kind: 'added-wire', state: 'not-understood', where: 'lid' }] }],
    ['path', { stage: 'look', appraisal: null }],
    ['assess', { entered: without('wiring') }],
    ['assess', { inspectedBy: '' }],
    ['hazards', { claims: [{ says: 'It was wet', verdict: 'open' }], readings: [] }],
    ['battery-home', { batteries: [{ ...spent, state: 'neutralised' }] }],
    ['rail-drift', { readings: [reading(5.01, 'loaded', { at: '2026-02-01T19:00:00.000Z' }), reading(4.9)] }],
    ['take-away', { stage: 'home', life: 'hands-on', entered: { ...good, smoke: 'yes' }, signOff: { limits: null } }],
    ['gate.battery.in', { entered: { ...good, battery: 'in' } }],
    ['battery-replace', { batteries: [spent] }],
    ['part', { partNeeds: [{ id: 1, quantity: 1, name: 'Fuse', stops: 'start', affects: '', workaround: '', outcome: 'wanted' }] }],
    ['recap', { capacitorSchool: 'all-first', capacitors: [listed] }],
    ['fault-new', { faults: [fault] }],
    ['fault-open', { faults: [{ ...fault, observations: ['hum'] }] }],
    ['build-up', { stage: 'prove', buildUp: { steps: [{ adds: ['Supply'], expect: '', misleads: '' }], looks: [] } }],
    ['test-sheet', { stage: 'prove', testSheet: { lines: [testLine], looks: [] } }],
    ['retest-due', { stage: 'home', life: 'store', lifeSince: '2024-03-03T19:00:00.000Z' }],
    ['bulletin', { unreadBulletins: [{ happens: 'The tail cracks', seeBy: '' }] }],
    [
      'soak',
      {
        stage: 'prove',
        soaks: [{ what: 'Memory test', seenFailures: 1, seenPasses: 60, confidence: 0.95, passes: 9, failures: 0, startedAt: now, endedAt: null }],
      },
    ],
    ['fault-basics', { faults: [{ ...fault, attempts: [{ area: 'video', minutes: 180 }] }] }],
    ['sign-off', { stage: 'prove' }],
    ['life', { signOff: { limits: null }, stage: 'prove' }],
    ['retest', { stage: 'home', life: 'store' }],
    ['move-on', {}],
  ])('%s comes up where it belongs', (code, change) => {
    expect(codes(change)).toContain(code)
    expect(assess({ ...settled, ...change }, now).moves.every(m => m.why && m.who && stages.includes(m.stage))).toBe(true)
  })

  it.each<[string, Partial<MachineRecord>]>([
    ['battery-sister', { sisters: { leaked: 3 } }],
    ['consent', { ours: false, consent: {} }],
    ['wait-over', { waits: [{ what: 'drying', until: '2026-03-03T19:00:00.001Z', kind: null }] }],
    ['hazards', { claims: [{ says: 'It was wet', verdict: 'refuted' }], readings: [] }],
    // A word within another word is no water.
    ['hazards', { claims: [{ says: 'Trained on it in the straits, sweat and all', verdict: 'open' }], readings: [] }],
    ['part', { partNeeds: [{ id: 1, quantity: 1, name: 'Fuse', stops: 'start', affects: '', workaround: '', outcome: 'fitted' }] }],
    ['recap', { capacitorSchool: 'evidence', capacitors: [listed] }],
    ['recap', { capacitorSchool: 'all-first', capacitors: [{ ...listed, state: 'fitted' }] }],
    ['fault-open', { faults: [{ ...fault, observations: ['hum'], open: false }] }],
    ['sign-off', { stage: 'prove', readings: [reading(4.2)] }],
    ['life', { signOff: { limits: null }, life: 'gallery' }],
    ['retest', { stage: 'home', life: 'store', signOff: { limits: null } }],
    ['move-on', { waits: [{ what: 'drying', until: '2026-03-04T19:00:00.000Z', kind: null }] }],
  ])('%s does not where it does not', (code, change) => expect(codes(change)).not.toContain(code))

  it('put smoke first, then harm that grows, then what blocks, and what blocks before what brings it on', () => {
    const all = codes({
      entered: { ...without('battery'), smoke: 'yes' },
      sisters: { leaked: 1 },
      ours: false,
      waits: [{ what: 'drying', until: now, kind: null }],
      faults: [fault],
      assemblies: [{ id: 1, name: 'Case', presence: 'not-looked', grade: null }],
    })
    expect(all.filter(c => ['battery-sister', 'consent', 'wait-over', 'gate.smoke.yes', 'look', 'assess', 'fault-new'].includes(c))).toEqual([
      'gate.smoke.yes',
      'battery-sister',
      'consent',
      'wait-over',
      'look',
      'assess',
      'fault-new',
    ])
  })
})

describe('the run', () => {
  it('fills each stage by what is done', () => {
    const { run } = assess({ ...settled, stage: 'arrive', machine: { ...settled.machine, fromWhom: '' }, readings: [], faults: [fault] }, now)
    expect(run.map(s => s.stage)).toEqual([...stages])
    expect(run[0]).toMatchObject({ done: 2, of: 4, share: 0.5 })
    expect(run[1]).toMatchObject({ done: 1, of: 1 })
    expect(run[4]).toMatchObject({ done: 0, of: 1 })
    expect(run[5]?.steps.map(s => s.says)).toEqual(['Rail +5 V', 'Signed off'])
    expect(assess({ ...settled, stage: 'prove' }, now).run[4]?.share).toBe(1)
  })
})

describe('what time alone changes', () => {
  const due = (change: Partial<MachineRecord>) => assess({ ...settled, ...change }, now).dueAt
  it('has the instant at which it does', () => {
    expect(due({})).toBeNull()
    expect(
      due({
        waits: [
          { what: 'a', until: '2026-03-09T00:00:00.000Z', kind: null },
          { what: 'b', until: '2026-03-05T00:00:00.000Z', kind: null },
          { what: 'over', until: '2026-03-01T00:00:00.000Z', kind: null },
        ],
      }),
    ).toBe('2026-03-05T00:00:00.000Z')
    const battery = { where: 'IC3', chemistry: 'alkaline', cells: 2, year: 2020, state: 'sound', fitted: true, charging: 'no' } as const
    // The battery is judged anew each year, and harm that grows weighs more every thirty days.
    expect(due({ batteries: [battery], bookedInAt: '2025-06-01T00:00:00.000Z' })).toBe('2026-03-28T00:00:00.000Z')
    expect(due({ batteries: [{ ...battery, fitted: false }] })).toBe('2027-01-01T00:00:00.000Z')
  })
})

describe('what cannot be read', () => {
  it.each<[string, Partial<MachineRecord>]>([
    ['two rails of one name', { expectedRails: [rail, { name: '+5 V', nominalV: 12 }] }],
    ['a rail of nothing', { expectedRails: [{ name: 'ground', nominalV: 0 }] }],
    ['a tolerance of nothing', { expectedRails: [{ ...rail, tolerancePct: 0 }] }],
    ['a fact nobody knows', { entered: { ...good, moon: 'full' } as never }],
    [
      'a chemistry nobody knows',
      { batteries: [{ where: 'x', chemistry: 'plutonium', cells: 1, year: null, state: 'sound', fitted: true, charging: 'no' } as never] },
    ],
    ['a reading of nothing', { readings: [reading(Number.NaN)] }],
  ])('%s is a stop on its own machine, and fails nothing', (_, change) => {
    const { known, moves } = assess({ ...settled, ...change }, now)
    expect(known.gateInForce).toBe('keep-off')
    expect(known.gate.findings[0]).toMatchObject({ level: 'stop' })
    expect(known.signOff.allowed).toBe(false)
    expect(moves.length).toBeGreaterThan(0)
  })
})

describe('consequences', () => {
  it('an overrule ends with what it was made on, and a sign-off with what it rested on', () => {
    const { known } = assess({ ...settled, readings: [] }, now)
    const overrule = { verdict: 'clear-to-run' as const, basis: basisOf(known.gate, settled.configuration) }
    const standing = assess({ ...settled, readings: [], overrule, signOff: { limits: null } }, now)
    expect(consequencesOf({ gate: 'clear-to-run', overruled: true }, standing)).toMatchObject({
      overruleEnded: null,
      gate: null,
      signOffEnded: 'Not every rail has been read.',
    })
    const changed = assess({ ...settled, readings: [], entered: { ...good, smoke: 'yes' }, overrule, signOff: { limits: null } }, now)
    expect(consequencesOf({ gate: 'clear-to-run', overruled: true }, changed)).toMatchObject({
      overruleEnded: 'the facts have changed',
      gate: { from: 'clear-to-run', to: 'keep-off' },
      signOffEnded: 'The gate says: keep off.',
    })
    // A wait that starts after the sign-off is no reason against it.
    expect(
      consequencesOf(
        { gate: 'clear-to-run', overruled: false },
        assess({ ...settled, signOff: { limits: null }, waits: [{ what: 'post', until: '2026-04-01T00:00:00.000Z', kind: null }] }, now),
      ),
    ).toEqual({ overruleEnded: null, gate: null, signOffEnded: null })
  })
})

it('ranks harm that grows: leaking now, then an unopened sister, then damp, and by days waited', () => {
  const rank = (facts: Record<string, string>, sisters = 0, daysHere = 0) =>
    growingHarm({ facts, sistersWithLeakedBattery: sisters, modelBatteryLeaks: false, mouldPresent: false, daysHere }).rank
  expect(rank({ battery: 'leaking' })).toBeGreaterThan(rank({}, 2))
  expect(rank({}, 2)).toBeGreaterThan(rank({ liquidOrDirt: 'yes' }))
  expect(rank({ battery: 'in' }, 0, 90)).toBeGreaterThan(rank({ battery: 'in' }, 0, 2))
  expect(rank({ battery: 'out' }, 2, 900)).toBe(0)
})
