import { describe, expect, it } from 'vitest'
import { good, measuredOff, now, rail, reading, settled } from '../../tests/support/settled-machine'
import { finding } from '../kernel/finding'
import { heard } from '../kernel/heard'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { closingsOf, opened } from './closings'
import { readForHazards } from './free-text'
import { assessGate } from './gate'
import { type HazardSettled, type HazardSigns, aboutHazard, hazardReasons, hazardsOf } from './hazards'
import { judgeLift } from './lift'
import { basisOf } from './overrule'
import { enteredFactNames, factValue, powerFacts } from './power-facts'
import { startChecks } from './first-start'
import { daysBetween } from '../kernel/days'
import { safetyUnknown } from './rules'
import { inWorkingOrder } from './working-order'

// What is told of dangers, to whom, in which order, and what of it stands. Common practice, no source.
const of = (more: object) => assess({ ...settled, ...more } as MachineRecord, now)
const at = (day: number) => `2026-03-0${day}T10:00:00.000Z`
const moveOf = (code: string, more: object) => of(more).moves.find(m => m.code === code)

describe('the next moves of making safe', () => {
  it('name who may, what it takes, and why; and no skill where it takes none', () => {
    expect(moveOf('gate.burntTrace.yes', { entered: { ...good, burntTrace: 'yes' } })).toMatchObject({ skill: 'fine-rework', why: 'A trace or part is burnt.' })
    const smoke = moveOf('gate.smoke.yes', { entered: { ...good, smoke: 'yes' } })!
    expect('skill' in smoke).toBe(false)
    expect(smoke.who).toBe('a bench volunteer')
  })
  it('are what keeps it off only while it is kept off, and what guards it only while it is guarded', () => {
    const codes = (more: object) => of(more).moves.map(m => m.code)
    const off = { entered: { ...good, smoke: 'yes', battery: 'in' } }
    expect(codes(off)).toContain('gate.smoke.yes')
    expect(codes(off)).not.toContain('gate.battery.in')
    const basis = basisOf(of(off).known.gate, settled.configuration)
    const overruled = { ...off, overrule: { verdict: 'guarded-start', basis } }
    expect(codes(overruled)).not.toContain('gate.smoke.yes')
    expect(codes(overruled)).toContain('gate.battery.in')
    expect(codes({ ...off, overrule: { verdict: 'clear-to-run', basis } })).not.toContain('gate.battery.in')
  })
  it('are a start by two with the skill for mains where mains comes to it, and reading again where a rail was low', () => {
    const unread = { readings: [] }
    expect(moveOf('gate.rails.unread', unread)).toMatchObject({
      band: 'guarded',
      stage: 'make-safe',
      pair: true,
      skill: 'mains',
      who: 'two people, one at the switch',
    })
    const cold = moveOf('gate.rails.unread', { ...unread, entered: { ...good, mainsLead: 'not-used' } })!
    expect([cold.pair, 'skill' in cold]).toEqual([true, false])
    const low = moveOf('gate.rails.reread', { readings: [reading(4.5, 'unloaded')] })!
    expect([low.stage, low.why.startsWith('Guarded start: ')]).toEqual([low.pair ? 'make-safe' : 'prove', true])
    expect(moveOf('gate.battery.in', { entered: { ...good, battery: 'in' } })).toMatchObject({ stage: 'make-safe' })
    expect('pair' in moveOf('gate.battery.in', { entered: { ...good, battery: 'in' } })!).toBe(false)
  })
  it('count the answers that are missing, and the sisters whose battery leaked', () => {
    const without = (...names: string[]) => ({ entered: Object.fromEntries(Object.entries(good).filter(([n]) => !names.includes(n))) })
    expect(moveOf('assess', without('wiring', 'fan', 'smoke', 'battery'))?.why).toBe('4 answers are missing before anybody may start it.')
    // Few are named, each in the words of the gate.
    expect(moveOf('assess', without('wiring', 'fan', 'smoke'))?.why).toMatch(/Fan.*Wiring|Wiring.*Fan/)
    expect(moveOf('assess', without('wiring'))?.why).toContain('Wiring')
    expect(moveOf('battery-sister', { ...without('battery'), sisters: { leaked: 2 } })?.why).toBe('2 of the same model had a leaking battery.')
    expect(moveOf('battery-sister', { ...without('battery'), knownFaults: ['Its barrel battery leaks'] })?.why).toBe(
      'The batteries of this model are known to leak.',
    )
  })
  it('confirm or rule out what is suspected, and nothing that is present or dealt with', () => {
    const settledAs = (state: string) => ({ hazardsSettled: [{ kind: 'liquid', state, evidence: 'x', at: at(2) }] })
    expect(moveOf('hazards', settledAs('suspected'))?.says).toContain('Confirm or rule out: ')
    for (const state of ['present', 'dealt-with', 'ruled-out']) expect(moveOf('hazards', settledAs(state))).toBeUndefined()
  })
  it('leave to another rule what has a move of its own', () => {
    const step = {
      step: 1,
      what: 'Lid',
      state: 'back',
      connectors: [],
      hides: '',
      hazard: '',
      fixings: [{ count: 4, head: '', lengthMm: null, tray: '', back: 3 }],
    }
    const stops = of({ openingSteps: [step] })
    expect(stops.known.gate.toOpen.filter(o => o.moved).length).toBeGreaterThan(0)
    for (const o of stops.known.gate.toOpen.filter(m => m.moved)) expect(stops.moves.filter(m => m.band === 'keeps-off' && m.code === o.code)).toEqual([])
  })
})

it('each fact that was looked at fills the run, unless it keeps it off', () => {
  const done = (more: object) => Object.fromEntries(of(more).run[2]!.steps.map(s => [s.says, s.done]))
  expect(Object.values(done({})).every(Boolean)).toBe(true)
  expect(Object.keys(done({}))).toEqual([...enteredFactNames.map(n => powerFacts[n].title), 'Assessed, and nothing keeps it off'])
  const smoke = done({ entered: { ...good, smoke: 'yes' } })
  expect([smoke[powerFacts.smoke.title], smoke['Assessed, and nothing keeps it off']]).toEqual([false, false])
  const { wiring: _, ...unlooked } = good as Record<string, string>
  expect(done({ entered: unlooked })[powerFacts.wiring.title]).toBe(false)
  expect(factValue('fan', undefined)).toBeUndefined()
  expect(enteredFactNames).not.toContain('rails')
})

describe('what was said at the door', () => {
  it('about when it was last powered points to a danger like a claim', () => {
    const kinds = (lastPoweredWhat: string) =>
      of({ lastPoweredWhat })
        .known.hazards.filter(h => h.state === 'suspected')
        .map(h => h.kind)
    expect(kinds('It smoked')).toContain('smoke')
    expect(kinds('')).toEqual([])
  })
  it('a leak that was forgotten says what was answered since', () => {
    const because = (battery?: string) => {
      const { battery: _, ...rest } = good as Record<string, string>
      return of({ batteryHasLeaked: true, entered: { ...rest, ...(battery ? { battery } : {}) } }).known.gate.findings.find(f =>
        f.code.startsWith('battery.leak-forgotten'),
      )?.because
    }
    expect(because('none-fitted')?.[0]).toMatch(/^Answered now: /)
    expect(because()).toEqual(['Nobody has answered since.', 'Residue goes on corroding under the mask.'])
  })
  it('days are whole days', () => {
    expect([daysBetween(at(1), '2026-03-02T09:59:59.999Z'), daysBetween(at(1), at(2))]).toEqual([0, 1])
  })
})

describe('a hazard', () => {
  const nothing: HazardSigns = { facts: {}, assemblies: [], damages: [], claims: [], interventions: [], knownFaults: [], massKg: null }
  const crust = (day?: number) => ({
    damages: [{ kind: 'crust' as const, severity: 'clear' as const, assembly: '', where: 'beside the barrel', at: day ? at(day) : undefined }],
  })
  const battery = (more: Partial<HazardSigns>, ...settledAs: HazardSettled[]) => hazardsOf({ ...nothing, ...more }, settledAs).find(h => h.kind === 'battery')
  const said = (day?: number) => ({ claims: [{ says: 'The battery leaked', at: day ? at(day) : undefined }] })

  it('is present while the fact shows it, whatever else was seen or said', () => {
    expect(battery({ facts: { battery: 'leaking' } })).toMatchObject({ state: 'present', settled: false })
    expect(battery({ ...crust(), facts: { battery: 'leaking' } })).toMatchObject({ state: 'present', seen: true })
  })
  it('that was only said comes up again where it was said since the answer', () => {
    const state = (day?: number) => battery({ ...said(day), facts: { battery: 'out' }, answeredAt: { battery: at(2) } })?.state
    expect([state(3), state(1), state(2), state()]).toEqual(['suspected', 'dealt-with', 'dealt-with', 'dealt-with'])
    expect(battery({ facts: { battery: 'out' } })).toBeUndefined()
    // What was seen since is more than what was said, and present.
    expect(battery({ ...crust(3), facts: { battery: 'out' }, answeredAt: { battery: at(2) } })?.state).toBe('present')
    expect(battery({ ...crust(1), facts: { battery: 'out' }, answeredAt: { battery: at(2) } })?.state).toBe('dealt-with')
  })
  it('tells where it was seen, with the assembly or without', () => {
    expect(battery(crust())?.evidence).toEqual(['Damage: crust, beside the barrel.'])
    expect(battery({ damages: [{ ...crust().damages[0]!, assembly: 'Main Board' }] })?.evidence).toEqual(['Damage: crust, main board, beside the barrel.'])
  })
  it('that somebody settled stands until something newer speaks against it, and ends its sentence', () => {
    const ruledOut = (evidence: string): HazardSettled => ({ kind: 'battery', state: 'ruled-out', evidence, at: at(2) })
    expect(battery({}, ruledOut('only dust'))).toMatchObject({ state: 'ruled-out', evidence: ['only dust.'], settled: true })
    expect(battery({}, ruledOut('only dust?'))?.evidence).toEqual(['only dust?'])
    expect(battery(crust(1), ruledOut('x'))?.state).toBe('ruled-out')
    expect(battery(crust(3), ruledOut('x'))?.state).toBe('present')
    expect(battery(said(3), ruledOut('x'))?.state).toBe('suspected')
    expect(battery(said(), ruledOut('x'))?.state).toBe('ruled-out')
  })
  it('is heard with who deals with it, and with the leave that ruling it out takes', () => {
    const reasons = (kind: string, state: string, facts: object = {}, configuration: object = settled.configuration) =>
      hazardReasons([{ kind, state, evidence: ['x'], settled: true } as never], { facts, configuration, school: 'baseline-first' } as never)
    const [mains] = reasons('mains-wiring', 'present')
    expect(mains?.open).toMatchObject({ skill: 'mains', leave: 'mains', about: 'hazard:mains-wiring' })
    const [liquid] = reasons('liquid', 'present')
    expect('skill' in liquid!.open!).toBe(false)
    expect(reasons('mains-wiring', 'suspected')[0]?.open).toMatchObject({ skill: 'mains', leave: 'mains' })
    expect('skill' in reasons('liquid', 'suspected')[0]!.open!).toBe(false)
    // A caution for whoever handles it is told, and opens nothing.
    expect(reasons('sharp', 'present').map(h => [h.finding.level, h.open])).toEqual([['note', undefined]])
    expect(reasons('sharp', 'suspected')).toEqual([])
    expect(reasons('liquid', 'dealt-with')).toEqual([])
    expect(reasons('mains-wiring', 'present', {}, { kind: 'bench-supply', out: [] })).toEqual([])
    expect([aboutHazard('mains-wiring').leave, 'leave' in aboutHazard('liquid')]).toEqual(['mains', false])
  })
  it('is suspected by several, and the first answer that fits is the one that counts', () => {
    expect(
      of({
        hazardsSettled: [
          { kind: 'mould', state: 'ruled-out', evidence: 'a', at: at(1) },
          { kind: 'mould', state: 'present', evidence: 'b', at: at(2) },
        ],
      }).known.hazards.map(h => h.state),
    ).toEqual(['ruled-out'])
  })
})

describe('what keeps a gate closed', () => {
  const stop = (code: string) => finding('stop', code, code, [])
  const care = (code: string, open?: 'unsettled') => finding('care', code, code, [], undefined, open ? { open } : {})
  const opening = (code: string, about: string, leave?: 'mains') => ({ code, do: 'x', who: 'y', about, ...(leave ? { leave } : {}) })
  it('is the strongest reason about each thing, the first of equals, with the leave it takes', () => {
    expect(
      closingsOf({ findings: [care('a'), stop('b'), care('c', 'unsettled')], toOpen: [opening('a', 'X'), opening('b', 'X', 'mains'), opening('c', 'X')] }),
    ).toStrictEqual([{ about: 'X', weight: 3, says: 'b', leave: 'mains' }])
    expect(closingsOf({ findings: [stop('a'), stop('b'), care('d')], toOpen: [opening('a', 'X'), opening('b', 'X')] })).toStrictEqual([
      { about: 'X', weight: 3, says: 'a' },
      { about: 'd', weight: 1, says: 'd' },
    ])
    expect(closingsOf({ findings: [finding('note', 'n', 'n', []), finding('fine', 'f', 'f', [])], toOpen: [] })).toEqual([])
  })
  it('has opened where the same thing closes less, or no more', () => {
    const one = (about: string, weight: number) => ({ about, weight, says: '' })
    expect(opened([one('a', 3), one('b', 1), one('c', 2)], [one('a', 2), one('b', 1), one('c', 3)]).map(c => c.about)).toEqual(['a'])
    expect(opened([one('a', 1)], []).length).toBe(1)
  })
  it('is worked through from what keeps it off to what takes power', () => {
    const found = [
      finding('care', 'powered', '', [], undefined, { when: 'powered' }),
      finding('note', 'signed', '', [], undefined, { open: 'not-signed' }),
      finding('care', 'care', '', []),
      finding('note', 'looked', '', [], undefined, { open: 'not-looked' }),
      finding('care', 'unsettled', '', [], undefined, { open: 'unsettled' }),
      finding('stop', 'stop', '', []),
      finding('stop', 'smoke', '', [], undefined, { concerns: 'smoke' }),
      finding('care', 'dry', '', [], undefined, { when: 'dry' }),
    ]
    const all = (more: typeof found = []) =>
      inWorkingOrder(
        [...found, ...more],
        [...found, ...more].map(f => opening(f.code, f.code)),
      ).map(o => o.code)
    expect(all()).toEqual(['smoke', 'stop', 'unsettled', 'looked', 'care', 'dry', 'signed', 'powered'])
    // While something dries, what wants it dry comes after that.
    expect(all([finding('stop', 'drying', '', [], undefined, { when: 'by-itself' })])).toEqual([
      'smoke',
      'stop',
      'unsettled',
      'looked',
      'care',
      'drying',
      'dry',
      'signed',
      'powered',
    ])
  })
  it('is signed for what it rests on, with what is connected unless that is everything', () => {
    const gate = assessGate({ school: 'caps-first', facts: good, inspectedBy: 'Ilka' })
    expect(basisOf(gate, { kind: 'partly', out: ['A'] })).toContain('partly|A')
    expect(basisOf(gate, { kind: 'whole', out: [] })).not.toContain('whole')
  })
  it('asks for a start by two for rails that were not read, and says who may give an answer', () => {
    const { toOpen } = assessGate({ school: 'caps-first', facts: { rails: 'unread' }, inspectedBy: '' })
    expect(toOpen.find(o => o.code === 'gate.rails.unread')).toMatchObject({ pair: true })
    expect(toOpen.filter(o => 'pair' in o)).toHaveLength(1)
    expect(toOpen.find(o => o.code === 'gate.filterCapacitors.not-looked')).toMatchObject({ skill: 'mains' })
    expect('skill' in toOpen.find(o => o.code === 'gate.smoke.not-looked')!).toBe(false)
  })
})

it('a lift on stairs stops beyond 25 kg, and a mass beyond the reference takes two', () => {
  // ISO 11228-1, from memory: 25 kg for a man of 20 to 45, 15 kg where nobody says.
  const best = { lifter: 'man-20-45' as const, fromHeightCm: 75, toHeightCm: 75, reachCm: 25, grip: 'good' as const, stairs: true }
  const stairs = (massKg: number) => judgeLift({ ...best, massKg }).findings.find(f => f.code === 'lift.stairs')!
  expect([stairs(25).level, stairs(25.1).level]).toEqual(['care', 'stop'])
  expect([stairs(25).says, stairs(25.1).says]).toEqual([expect.stringContaining('clear them'), expect.stringContaining('Not up or down')])
  const people = (massKg: number, lifter: 'man-20-45' | 'not-said' = 'man-20-45') => judgeLift({ ...best, massKg, lifter }).people
  expect([people(23), people(23.01), people(15, 'not-said'), people(15.01, 'not-said')]).toEqual([1, 2, 1, 2])
  expect(judgeLift({ ...best, massKg: 23, reachCm: 25 }).findings.some(f => f.code === 'lift.reference-mass')).toBe(false)
  expect(judgeLift({ ...best, massKg: 25 }).findings.some(f => f.code === 'lift.reference-mass')).toBe(false)
  expect(judgeLift({ ...best, massKg: 25.1 }).findings.some(f => f.code === 'lift.reference-mass')).toBe(true)
})

it('a text that was read stays read, and what was put right in one clause says nothing of the next', () => {
  const first = readForHazards('It smoked, twice')
  expect(readForHazards('It smoked, twice')).toBe(first)
  for (let i = 0; i < 2100; i++) readForHazards(`number ${i}`)
  expect(readForHazards('It smoked, twice')).toEqual(first)
  expect(readForHazards('It smoked. It smoked again.').map(h => h.sentence)).toEqual(['It smoked.'])
})

it('rails that the record has none of are measured before anything is believed of a short', () => {
  const due = (more: object) => of(more).known.gate.findings.some(f => f.code === 'gate.shortedRail.unsettled')
  expect([due({ expectedRails: [rail], offReadings: [measuredOff()] }), due({ offReadings: [] })]).toEqual([false, true])

  expect(
    safetyUnknown({ school: 'caps-first', sisters: { leaked: 0 } }, [
      heard(finding('stop', 'a', '', []), 'do'),
      { finding: finding('note', 'b', '', []) },
    ]).gate.toOpen.map(o => o.code),
  ).toEqual(['a'])
  const check = startChecks({
    school: 'caps-first',
    configuration: settled.configuration,
    facts: good,
    offState: [{ rail: '+5 V', verdict: 'plausible' }],
    firstLimitA: null,
    gate: { verdict: 'clear-to-run', findings: [] },
  }).find(c => c.code === 'off-state')
  expect([check?.why, check?.known]).toEqual(['A short reads near zero; a drive can be the short.', true])
  const disputed = (kind: string, facts: object) =>
    hazardReasons([{ kind, state: 'suspected', evidence: ['x'], settled: false } as never], {
      facts,
      configuration: settled.configuration,
      school: 'baseline-first',
    } as never)[0]!.open!
  expect(['skill' in disputed('battery', { battery: 'none-fitted' }), 'skill' in disputed('liquid', { liquidOrDirt: 'no' })]).toEqual([
    Boolean(aboutHazard('battery').leave),
    Boolean(aboutHazard('liquid').leave),
  ])
})
