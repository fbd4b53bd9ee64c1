import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { good, measuredOff, now, rail, reading, settled } from '../../tests/support/settled-machine'
import type { Finding } from '../kernel/finding'
import { hazardKindNames, hazardKinds } from '../safety/hazards'
import { gateVerdicts } from '../safety/gate-words'
import { leavesUnassessed } from '../kernel/heard'
import { basisOf } from '../safety/overrule'
import { powerFacts } from '../safety/power-facts'
import type { MachineRecord } from '../kernel/machine'
import { assess } from './assess'

// The rules are common practice, no source; these checks are of their logic over the whole record of a machine.
type Change = (record: MachineRecord) => MachineRecord
const openness = (record: MachineRecord) => gateVerdicts.indexOf(assess(record, now).known.gate.verdict)
const rising = ['Supply', 'Main board'].map(name => ({ adds: [name], expect: '', misleads: '' }))
const earlier = '2026-03-01T10:00:00.000Z'
const later = '2026-03-02T20:00:00.000Z'
const step = { step: 1, what: 'Lid', state: 'back' as const, connectors: [], hides: '', hazard: '' }
const fixing = (back: number | null) => ({ count: 4, head: 'pan', lengthMm: 8, tray: 'A', back })
const faulty = {
  symptoms: [],
  stopsMachine: false,
  open: true,
  leftAs: '' as const,
  observations: [{}],
  repairs: [],
  attempts: [],
  theories: [],
  reportedAt: '2026-03-02T20:00:00.000Z',
}
const barrel = { where: 'IC3', chemistry: 'nickel-cadmium' as const, cells: 3, year: 1986, state: 'sound' as const, fitted: false, charging: 'yes' as const }
const add =
  <K extends keyof MachineRecord>(key: K, ...more: unknown[]): Change =>
  record => ({ ...record, [key]: [...(record[key] as unknown[]), ...more] })
const answered =
  (facts: Record<string, string>): Change =>
  record => ({
    ...record,
    entered: { ...record.entered, ...facts },
    answeredAt: { ...record.answeredAt, ...Object.fromEntries(Object.keys(facts).map(name => [name, later])) },
  })

const listed = {
  assembly: 'Supply',
  place: 'C1',
  spec: { capacitanceF: 0.00047, voltageV: 25, technology: 'electrolytic' },
  stressed: false,
  looksBad: false,
  measured: null,
  state: 'in',
}

/** What somebody may find, say or record that speaks of danger; with what the gate says of it on a machine in order. */
const dangers: Record<string, [Change, 'keep-off' | 'not-yet-assessed' | 'guarded-start']> = {
  'smoke noticed in a start': [add('witnessedAtStarts', { says: 'Smoke in a start', at: later }), 'keep-off'],
  'a start called off for ripple': [
    add('startAlarms', {
      key: 'start:start.ripple',
      at: later,
      finding: { level: 'stop', code: 'start.called.start.ripple', says: 'Ripple.', because: ['x'] },
    }),
    'keep-off',
  ],
  'a capacitor out of its place': [add('capacitors', { ...listed, state: 'out' }), 'keep-off'],
  'a capacitor that measures bad and is still in': [add('capacitors', { ...listed, measured: { capacitanceF: 0.0001 } }), 'guarded-start'],
  'a capacitor that bulges and is still in': [add('capacitors', { ...listed, looksBad: true }), 'guarded-start'],
  'a board in a tank': [add('bookings', { what: 'Main board', kind: 'tank', from: earlier, until: '2026-04-01T00:00:00.000Z' }), 'keep-off'],
  'a board in an oven whose time is over': [add('bookings', { what: 'Main board', kind: 'oven', from: earlier, until: later }), 'keep-off'],
  'a bezel under a lamp': [add('bookings', { what: 'Bezel', kind: 'light', from: earlier, until: '2026-04-01T00:00:00.000Z' }), 'guarded-start'],
  'a supply joined to a signal on a probe sheet': [
    add('probeSheets', { title: 'x', endedAt: later, total: 1, answered: 1, broken: [], doubtful: [], shorts: [{ nets: ['+5V', 'D0'], supply: true }] }),
    'keep-off',
  ],
  'a step of the build-up that failed': [
    record => ({
      ...record,
      buildUp: {
        steps: rising,
        looks: [
          { step: 0, outcome: 'as-expected' },
          { step: 1, outcome: 'failed' },
        ],
      },
    }),
    'guarded-start',
  ],
  'a build-up whose least fails': [record => ({ ...record, buildUp: { steps: rising, looks: [{ step: 0, outcome: 'failed' }] } }), 'keep-off'],
  'two signals joined on a probe sheet': [
    add('probeSheets', { title: 'x', endedAt: null, total: 1, answered: 1, broken: [], doubtful: [], shorts: [{ nets: ['D1', 'D0'], supply: false }] }),
    'guarded-start',
  ],
  'a broken net': [add('probeSheets', { title: 'x', endedAt: null, total: 1, answered: 1, broken: ['D0'], doubtful: [], shorts: [] }), 'guarded-start'],
  'a net in doubt': [add('probeSheets', { title: 'x', endedAt: null, total: 1, answered: 1, broken: [], doubtful: ['D0'], shorts: [] }), 'guarded-start'],
  'a bulge': [add('damages', { kind: 'bulge', severity: 'clear', where: 'C3', assemblyId: 1, at: later }), 'keep-off'],
  'a burn': [add('damages', { kind: 'burn', severity: 'slight', where: 'R7', assemblyId: 1, at: later }), 'keep-off'],
  'a tide line': [add('damages', { kind: 'tide-line', severity: 'slight', where: 'lower edge', assemblyId: 1, at: later }), 'keep-off'],
  'a cracked mains cable': [add('damages', { kind: 'crack', severity: 'clear', where: 'mains cable', assemblyId: 1, at: later }), 'keep-off'],
  'crust at the battery': [add('damages', { kind: 'crust', severity: 'clear', where: 'under the battery', assemblyId: 1, at: later }), 'keep-off'],
  'a case that tingles': [add('claims', { says: 'The case tingles', verdict: 'open' }), 'not-yet-assessed'],
  'a bang that the answer denies': [add('claims', { says: 'There was a bang', verdict: 'open' }), 'not-yet-assessed'],
  'a bang that was confirmed': [add('claims', { says: 'There was a bang', verdict: 'confirmed' }), 'keep-off'],
  'a sister whose battery leaked, and nobody has looked here': [
    record => ({ ...record, sisters: { leaked: 1 }, entered: Object.fromEntries(Object.entries(record.entered).filter(([name]) => name !== 'battery')) }),
    'not-yet-assessed',
  ],
  'smoke in a symptom': [add('faults', { ...faulty, symptom: 'Smoke from the supply', symptoms: ['smoke'] }), 'keep-off'],
  'a smell in a symptom of a fault that was mended': [add('faults', { ...faulty, symptom: 'Smells', symptoms: ['smell'], open: false }), 'not-yet-assessed'],
  'something hot': [add('faults', { ...faulty, symptom: 'IC7 is hot', symptoms: ['hot'] }), 'guarded-start'],
  'a fault that stops it': [add('faults', { ...faulty, symptom: 'Black screen', stopsMachine: true }), 'guarded-start'],
  'smoke that somebody wrote of, and nobody was asked about': [
    add('sayings', { kind: 'smoke', sentence: 'White smoke at the back', state: 'open', at: later }),
    'not-yet-assessed',
  ],
  'smoke that somebody wrote of, and somebody else found true': [
    add('sayings', { kind: 'smoke', sentence: 'White smoke at the back', state: 'yes', at: later }),
    'keep-off',
  ],
  'a screw that is loose, by what somebody wrote': [
    add('sayings', { kind: 'loose-metal', sentence: 'Screw loose inside', state: 'open', at: later }),
    'guarded-start',
  ],
  'a battery that leaked, by a claim': [add('claims', { says: 'The battery leaked', verdict: 'open', at: later }), 'guarded-start'],
  'a capacitor that popped, by a claim': [add('claims', { says: 'A capacitor popped', verdict: 'open' }), 'not-yet-assessed'],
  'a plug that melted, by a claim': [add('claims', { says: 'The plug melted', verdict: 'open' }), 'not-yet-assessed'],
  'a fan that is unplugged, by a claim': [add('claims', { says: 'Fan unplugged', verdict: 'open' }), 'not-yet-assessed'],
  'the supply is missing': [add('assemblies', { id: 9, name: 'Power supply', presence: 'missing', grade: null }), 'keep-off'],
  'soot that was claimed': [add('claims', { says: 'It hung in the workshop over the chimney', verdict: 'open' }), 'guarded-start'],
  'a wire nobody understands': [add('interventions', { kind: 'added-wire', state: 'not-understood', where: 'lid' }), 'keep-off'],
  'a screw missing': [add('openingSteps', { ...step, fixings: [fixing(3)] }), 'keep-off'],
  'a screw too many': [add('openingSteps', { ...step, fixings: [fixing(5)] }), 'guarded-start'],
  'a step undone': [add('openingSteps', { ...step, state: 'undone', fixings: [fixing(null)] }), 'guarded-start'],
  'a board drying': [add('waits', { what: 'board drying in the oven', until: '2026-03-09T00:00:00.000Z' }), 'keep-off'],
  'a drying time that is over': [add('waits', { what: 'board drying in the oven', until: earlier }), 'not-yet-assessed'],
  'a part away': [add('waits', { what: 'bezel in the sun', until: '2026-03-09T00:00:00.000Z' }), 'guarded-start'],
  'something laid out to dry': [
    add('dryings', { what: 'Board', startedAt: earlier, endedAt: null, endedWet: '', errorG: 0.1, leftG: 0.2, weighings: [{ at: earlier, massG: 300 }] }),
    'keep-off',
  ],
  'something taken up wet': [
    add('dryings', { what: 'Board', startedAt: earlier, endedAt: later, endedWet: 'It is wanted tonight', errorG: 0.1, leftG: 0.2, weighings: [] }),
    'not-yet-assessed',
  ],
  'electrolyte on a board': [add('contaminations', { kind: 'electrolyte', where: 'under C4', state: 'washed', at: later }), 'keep-off'],
  'liquid that was rinsed and dried, and nobody looked again': [
    add('contaminations', { kind: 'liquid', where: 'board', state: 'dried', at: later }),
    'keep-off',
  ],
  'dirt that is out, beside a tide line': [
    record => ({
      ...record,
      contaminations: [{ kind: 'dirt', where: 'case', state: 'gone', at: later }],
      damages: [{ kind: 'tide-line', severity: 'clear', where: 'lower edge', assemblyId: 1, at: earlier }],
    }),
    'keep-off',
  ],
  'a board that came from another machine': [
    add('cameHere', { assembly: 'Main board', from: 'M-2026-002', known: 'battery beside IC3', lookedAt: null }),
    'not-yet-assessed',
  ],
  'a board that is at somebody’s home': [add('away', { assembly: 'Main board', holder: 'Rua', what: 'probing', backBy: '2026-12-08' }), 'guarded-start'],
  'a regulator at 110 °C': [
    add('temperatures', { part: 'heat-sink', where: 'regulator', lastC: 110, highestC: 110, climbKPerMin: null, at: later }),
    'keep-off',
  ],
  'a warm drive': [add('temperatures', { part: 'drive', where: 'A', lastC: 50, highestC: 50, climbKPerMin: null, at: later }), 'guarded-start'],
  'an overvoltage, and a good reading since': [add('readings', reading(8.4, 'loaded', { at: earlier }), reading(5.01, 'loaded', { at: later })), 'keep-off'],
  'a missing rail after a good one under load': [add('readings', reading(0.02, 'unloaded', { at: later })), 'guarded-start'],
  'a rail the wrong way round': [add('readings', reading(-5, 'loaded', { at: later })), 'keep-off'],
  'a rail that reads low with the power off': [add('offReadings', measuredOff(3)), 'not-yet-assessed'],
  'a short': [add('offReadings', measuredOff(0.3)), 'keep-off'],
  'no short, and nothing measured': [
    record => ({ ...record, offReadings: record.offReadings.filter(r => r.reading.ohm !== null && r.reading.ohm < 5) }),
    'not-yet-assessed',
  ],
  'a battery that bulges': [add('batteries', { ...barrel, state: 'doubtful', fitted: true }), 'keep-off'],
  'an alkaline cell that is charged': [add('batteries', { ...barrel, chemistry: 'alkaline', fitted: true }), 'keep-off'],
  'lithium-ion where nickel was charged': [
    add('batteries', { ...barrel, replacement: { how: 'like-for-like', chemistry: 'lithium-ion', diode: false } }),
    'keep-off',
  ],
  'a leak that only an answer forgot': [record => ({ ...record, batteryHasLeaked: true }), 'not-yet-assessed'],
  'a cracked electrolytic': [add('damages', { kind: 'crack', severity: 'slight', where: 'electrolytic C7', assemblyId: 1, at: later }), 'keep-off'],
  'an overvoltage of a rail that goes by another name now': [
    record => ({ ...record, expectedRails: [{ name: 'Vcc', nominalV: 5 }], readings: [...record.readings, reading(8.4), { ...reading(5), rail: 'Vcc' }] }),
    'keep-off',
  ],
  'a leak that was only rinsed': [add('batteries', { ...barrel, state: 'rinsed' }), 'keep-off'],
  'boards on a bench supply that nobody described': [record => ({ ...record, configuration: { kind: 'bench-supply', out: [] } }), 'not-yet-assessed'],
  'two rails of one name': [record => ({ ...record, expectedRails: [rail, { ...rail, nominalV: 12 }] }), 'keep-off'],
  'nobody inspected it': [record => ({ ...record, inspectedBy: '' }), 'not-yet-assessed'],
  ...Object.fromEntries(
    hazardKindNames
      .filter(kind => hazardKinds[kind].gate !== 'note')
      .map(kind => [`hazard ${kind}`, [add('hazardsSettled', { kind, state: 'present', evidence: 'seen', at: later }), hazardLevel(kind)]]),
  ),
  ...Object.fromEntries(
    Object.entries(powerFacts)
      .filter(([name]) => name !== 'rails')
      .flatMap(([name, { values }]) =>
        Object.entries(values)
          .filter(([, row]) => row.level === 'stop')
          // What was measured speaks against a short that was only answered.
          .map(([value]) => [`answer ${name} ${value}`, [answered({ [name]: value }), name === 'shortedRail' ? 'not-yet-assessed' : 'keep-off']]),
      ),
  ),
}
function hazardLevel(kind: (typeof hazardKindNames)[number]) {
  return hazardKinds[kind].gate === 'stop' || kind === 'line-filter' ? 'keep-off' : 'guarded-start'
}
const names = Object.keys(dangers)
const made = (chosen: readonly string[]) => chosen.reduce((record, name) => dangers[name]![0](record), settled)

/** Every finding anywhere in what is known of a machine. */
function findingsIn(what: unknown): Finding[] {
  if (what === null || typeof what !== 'object') return []
  const own = 'level' in what && 'says' in what ? [what as Finding] : []
  return [...own, ...Object.values(what).flatMap(findingsIn)]
}

describe('what is found', () => {
  it('opens nothing on a machine in order: it is clear to run, and can be signed off', () => {
    const { known } = assess(settled, now)
    expect([known.gate.verdict, known.signOff.allowed]).toEqual(['clear-to-run', true])
  })

  it.each(names)('%s: is heard by the gate, the next moves and the sign-off', name => {
    const { known, moves } = assess({ ...made([name]), signOff: { limits: null } }, now)
    expect(known.gate.verdict).toBe(dangers[name]![1])
    expect(known.signOff.allowed).toBe(false)
    expect(known.signedOff).toBe(false)
    expect(moves.length).toBeGreaterThan(0)
  })

  it('never opens a gate further, whatever else is found', () => {
    fc.assert(
      fc.property(fc.subarray(names, { maxLength: 6 }), fc.constantFrom(...names), fc.boolean(), (others, one, strict) => {
        const before = { ...made(others), school: strict ? ('caps-first' as const) : ('baseline-first' as const) }
        // Boards on a bench supply leave out what its own supply does: another question, not more danger.
        fc.pre(!one.startsWith('boards on') && !others.some(o => o.startsWith('boards on')))
        // What is found of a build-up is the newest look at each step: one takes the place of the other.
        fc.pre(!(one.includes('build-up') && others.some(o => o.includes('build-up'))))
        // An answer takes the place of the one before; withdrawn, it leaves the machine unassessed, which starts nothing either.
        fc.pre(!(one.startsWith('a sister') && others.some(o => o.startsWith('answer battery'))))
        fc.pre(!(one.startsWith('answer') && others.some(o => o.split(' ')[1] === one.split(' ')[1])))
        expect(openness(dangers[one]![0](before))).toBeLessThanOrEqual(openness(before))
      }),
      { numRuns: 800 },
    )
  })

  it('leaves nothing clear to run or signed off while a stop stands anywhere, and says of every reason what would open it, once', () => {
    fc.assert(
      fc.property(fc.subarray(names, { minLength: 1, maxLength: 5 }), chosen => {
        const { known } = assess({ ...made(chosen), signOff: { limits: null } }, now)
        const stops = findingsIn({ ...known, signOff: null }).filter(f => f.level === 'stop')
        if (stops.length) expect([known.gate.verdict === 'clear-to-run', known.signOff.allowed, known.signedOff]).toEqual([false, false, false])
        const { findings, toOpen } = known.gate
        const reasons = findings.filter(f => f.level === 'stop' || f.level === 'care' || leavesUnassessed(f)).map(f => f.code)
        expect(toOpen.map(o => o.code).sort()).toEqual([...reasons].sort())
        expect(new Set(reasons).size).toBe(reasons.length)
      }),
      { numRuns: 300 },
    )
  })

  it('never begins with a start while it is off', () => {
    const { toOpen } = assess({ ...made(['a burn', 'a screw missing']), readings: [], entered: { ...good, wiring: undefined as never } }, now).known.gate
    expect(toOpen.map(o => o.code)).toEqual(['opening.missing', 'gate.hazard.burnt-trace', 'gate.wiring.not-looked', 'gate.rails.unread'])
  })
})

it('an overrule lets it be started, but not signed off while something keeps it off', () => {
  const burnt = made(['a burn'])
  const { known } = assess({ ...burnt, signOff: { limits: null } }, now)
  const overrule = { verdict: 'clear-to-run' as const, basis: basisOf(known.gate, burnt.configuration) }
  const overruled = assess({ ...burnt, overrule, signOff: { limits: null } }, now).known
  expect([overruled.gateInForce, overruled.signOff.allowed, overruled.signedOff]).toEqual(['clear-to-run', false, false])
})

describe('what opens it again', () => {
  it('is an explanation of what was measured, and a good reading after it', () => {
    const over = made(['an overvoltage, and a good reading since'])
    const explained = { ...over, explanations: [{ key: 'overvoltage:+5 V', says: 'Regulator shorted; replaced', at: '2026-03-03T00:00:00.000Z' }] }
    expect(assess(explained, now).known.gate.verdict).toBe('clear-to-run')
    const again = add('readings', reading(8.4, 'loaded', { at: '2026-03-03T01:00:00.000Z' }))(explained)
    expect(assess(again, now).known.gate.verdict).toBe('keep-off')
  })

  it('is its way home for a battery that has leaked, and not a step less', () => {
    const at = (state: 'leaking' | 'residue' | 'neutralised' | 'rinsed' | 'dried' | 'clean') =>
      assess({ ...settled, batteries: [{ ...barrel, state, at: later, replacement: { how: 'none', chemistry: 'unknown', diode: false } }] }, now).known.gate
        .verdict
    expect((['leaking', 'residue', 'neutralised', 'rinsed', 'dried', 'clean'] as const).map(at)).toEqual([...Array<string>(5).fill('keep-off'), 'clear-to-run'])
  })

  it('is a bench supply that is set as it should be', () => {
    const fed = (voltageV: number, polarityChecked = true, limitA = 1) =>
      assess(
        {
          ...settled,
          configuration: { kind: 'bench-supply', out: [] },
          readings: [reading(5.01, 'loaded', { configuration: 'bench-supply' })],
          offReadings: [{ ...measuredOff(), configuration: 'bench-supply' }],
          bench: [{ feeds: '+5 V', voltageV, limitA, polarityChecked }],
        },
        now,
      ).known.gate.verdict
    expect([fed(5.05), fed(9), fed(-5), fed(4.5), fed(5, false)]).toEqual(['clear-to-run', 'keep-off', 'keep-off', 'guarded-start', 'not-yet-assessed'])
  })
})
