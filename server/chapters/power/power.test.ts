import { describe, expect, it } from 'vitest'
import type { InputError } from '#core/kernel/input-error'
import { type HomeStep, placesToLook } from '#core/power/battery-home'
import { commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { NotAllowed, NotNow } from '../../kernel/refusals'
import { carryOut, carryOutOn } from '../../kernel/carry-out'
import { close, happen, open } from '../starts/running'
import { findBySignIn, grantSkills } from '../people/index'
import { breakOff, openStart } from '../starts/index'
import { goodFacts as good } from '../../../tests/support/good-facts'

const on = serverBench()
const { bookIn, perform, sheet } = on
const rua = () => {
  const known = findBySignIn(on.db, 'rua')
  if (known) return known
  on.collection('add-person', { name: 'Rua', signInName: 'rua', role: 'volunteer', passwordHash: 'x' })
  return findBySignIn(on.db, 'rua')!
}
/** A machine that the gate lets start, with its rails measured with the power off. */
function guarded(facts: object = {}) {
  const tag = bookIn()
  perform(tag, 'expect-rails', {
    rails: [
      { name: '+5 V', nominalV: 5, point: 'pin 9' },
      { name: '+12 V', nominalV: 12 },
    ],
  })
  perform(tag, 'assess-power', { version: 1, facts: { ...good, ...facts }, inspectedById: on.ilka.id })
  for (const rail of ['+5 V', '+12 V'])
    perform(tag, 'measure-off-state', { rail, ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
  return tag
}
const machineIdOf = (tag: string) => (on.db.$client.prepare('SELECT id FROM machines WHERE tag = ?').get(tag) as { id: number }).id
const ticked = (tag: string) =>
  sheet(tag)
    .power.startChecks.filter(c => c.known === null)
    .map(c => c.code)
const begin = (tag: string, more: object = {}) =>
  perform(tag, 'begin-start', { atProbe: rua().id, atSwitch: on.ilka.id, byMeter: false, load: 'loaded', currentLimitA: null, checked: ticked(tag), ...more })

describe('skills', () => {
  it('anybody may report a danger; saying that it is cleared takes the skill, and the refusal says who could', () => {
    const tag = bookIn()
    const volunteer = rua()
    const assess = (facts: object, version: number) => perform(tag, 'assess-power', { version, facts, inspectedById: null }, volunteer)
    assess({ filterCapacitors: 'cracked' }, 1)
    expect(() => assess({ filterCapacitors: 'replaced' }, 2)).toThrow(NotAllowed)
    expect(() => assess({ filterCapacitors: 'replaced' }, 2)).toThrow(/takes the skill “Mains”. Here: Ilka Brandvold/)
    expect(sheet(tag).power.entered.filterCapacitors).toBe('cracked')
    carryOut(on.bench, on.ilka, work => grantSkills(work, { personId: volunteer.id, version: 1, skills: ['mains'] }))
    assess({ filterCapacitors: 'replaced' }, 2)
    expect(sheet(tag).power.entered.filterCapacitors).toBe('replaced')
    expect(() => perform(tag, 'settle-hazard', { kind: 'picture-tube', version: 0, state: 'dealt-with', evidence: 'Discharged' }, volunteer)).toThrow(
      NotAllowed,
    )
  })
})

it('is inspected by somebody of the collection with leave to inspect', () => {
  const tag = bookIn()
  const sign = (inspectedById: number) => perform(tag, 'assess-power', { version: 1, facts: good, inspectedById })
  expect(() => sign(rua().id)).toThrow(/Rua has no leave to inspect. Here: Ilka Brandvold./)
  expect(() => sign(99)).toThrow(expect.objectContaining({ field: 'inspectedById' }) as InputError)
  sign(on.ilka.id)
  expect(sheet(tag).power.inspectedBy).toBe('Ilka Brandvold')
})

it('leads no life before visitors until it is signed off', () => {
  const tag = guarded()
  expect(() => perform(tag, 'choose-life', { life: 'hands-on' })).toThrow(
    expect.objectContaining({ because: [expect.stringMatching(/not signed off/)] }) as NotNow,
  )
  perform(tag, 'choose-life', { life: 'gallery' })
  for (const [rail, valueV] of [
    ['+5 V', 5],
    ['+12 V', 12],
  ] as const)
    perform(tag, 'take-reading', { rail, valueV, load: 'loaded' })
  perform(tag, 'sign-off', { statement: 'All keys' })
  perform(tag, 'choose-life', { life: 'hands-on' })
  perform(tag, 'settle-hazard', { kind: 'burnt-trace', version: 0, state: 'present', evidence: 'A brown spot under the board' })
  expect(() => perform(tag, 'choose-life', { life: 'demonstration' })).toThrow(NotNow)
})

describe('the gate', () => {
  it('asks anew in every configuration, and its changes are in the history', () => {
    const tag = guarded()
    for (const [rail, valueV] of [
      ['+5 V', 5],
      ['+12 V', 12],
    ] as const)
      perform(tag, 'take-reading', { rail, valueV, load: 'loaded' })
    expect(sheet(tag).power.inForce).toBe('clear-to-run')
    perform(tag, 'set-configuration', { version: sheet(tag).power.version, kind: 'partly', out: ['Case'] })
    // That there is no short was measured, but not as it stands now.
    expect(sheet(tag).power.inForce).toBe('not-yet-assessed')
    expect(sheet(tag).readings.map(r => r.here)).toEqual([false, false])
    expect(sheet(tag).signOff.findings.some(f => f.code === 'sign-off.configuration')).toBe(true)
    perform(tag, 'overrule-gate', { verdict: 'clear-to-run', reason: 'It runs on a stand for an hour' })
    perform(tag, 'set-configuration', { version: sheet(tag).power.version, kind: 'partly', out: ['Keyboard'] })
    expect(sheet(tag).power.overrule).toBeNull()
    expect(() => perform(tag, 'set-configuration', { version: sheet(tag).power.version, kind: 'partly', out: ['Turntable'] })).toThrow(
      /no assembly “Turntable”/,
    )
    perform(tag, 'set-configuration', { version: sheet(tag).power.version, kind: 'whole', out: [] })
    expect(sheet(tag).power.history.map(h => h.verdict)).toEqual([
      'clear-to-run',
      'not-yet-assessed',
      'clear-to-run',
      'not-yet-assessed',
      'clear-to-run',
      'guarded-start',
    ])
    expect(sheet(tag).power.history[0]?.why).toBe('No reason to keep it off or guarded is left')
    expect(sheet(tag).power.configuration.kind).toBe('whole')
  })

  it('hears of the batteries on record, and of a supply that does not suit any more', () => {
    const tag = guarded({ battery: 'none-fitted', mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
    perform(tag, 'record-battery', { where: 'IC3', chemistry: 'nickel-cadmium', cells: 3, year: 1986, state: 'leaking', fitted: true, charging: 'yes' })
    expect([sheet(tag).power.inForce, sheet(tag).power.facts.battery]).toEqual(['keep-off', 'leaking'])
    const { id, version } = sheet(tag).power.batteries[0]!
    const change = (more: object) =>
      perform(tag, 'change-battery', {
        batteryId: id,
        version,
        where: 'IC3',
        chemistry: 'nickel-cadmium',
        cells: 3,
        year: 1986,
        state: 'sound',
        fitted: false,
        charging: 'yes',
        ...more,
      })
    expect(() => change({ fitted: true, replacement: { how: 'diode-cell', chemistry: 'lithium-coin' } })).toThrow(/take the old one out/)
    expect(() =>
      perform(tag, 'record-battery', { where: 'IC9', chemistry: 'nickel-cadmium', cells: 3, state: 'clean', fitted: false, charging: 'yes' }),
    ).toThrow(/say what was found/)
    // What has leaked comes clean by its way home alone.
    for (const state of ['sound', 'clean', 'dried']) expect(() => change({ state })).toThrow(/has leaked|say what was found/)
    change({ state: 'residue' })
    const go = (step: HomeStep, lookedAt: string[] = []) =>
      perform(tag, 'step-battery', { batteryId: id, version: sheet(tag).power.batteries[0]!.version, step, lookedAt })
    expect(() => go('dried')).toThrow(/First: Neutralise/)
    for (const step of ['neutralised', 'rinsed', 'dried'] as const) {
      go(step)
      expect(sheet(tag).power).toMatchObject({ inForce: 'keep-off', facts: { battery: 'residue' } })
    }
    expect(() => go('clean', placesToLook.slice(1))).toThrow(/Not looked at yet: look under the keyboard connector/)
    perform(tag, 'record-damage', { kind: 'crust', where: 'beside the battery', severity: 'slight', photographId: null })
    const asked = () => sheet(tag).checks.filter(c => !c.done && placesToLook.some(place => c.says.toLowerCase().endsWith(place.toLowerCase()))).length
    expect(asked()).toBeGreaterThan(0)
    go('clean', [...placesToLook])
    // What was looked at there is looked at under Look too.
    expect(asked()).toBe(0)
    expect(sheet(tag).power).toMatchObject({ inForce: 'guarded-start', facts: { battery: 'out' }, batteries: [{ next: null }] })
    const { version: home } = sheet(tag).power.batteries[0]!
    change({ state: 'clean', version: home, replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: false } })
    expect(sheet(tag).power.facts.battery).toBe('mischarged')
    change({ state: 'clean', version: home + 1 })
    expect(sheet(bookIn()).sisters).toEqual([])

    const supply = { name: 'S-1', label: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1.5, regulated: true, outerMm: 5.5, innerMm: 2.1 } }
    const { supplyId } = on.collection('add-supply', commands['add-supply'].parse(supply)) as { supplyId: number }
    expect(() => perform(tag, 'assign-supply', { supplyId })).toThrow(/not known what its inlet needs/)
    perform(tag, 'expect-inlet', { inlet: { voltageV: 9, kind: 'dc', polarity: 'centre-positive', currentA: '1 A', outerMm: 5.5, innerMm: 2.1 } })
    expect(() => perform(tag, 'assign-supply', { supplyId })).toThrow(NotNow)
    perform(tag, 'expect-inlet', { inlet: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1, outerMm: 5.5, innerMm: 2.1 } })
    perform(tag, 'assign-supply', { supplyId })
    expect(sheet(tag).power.facts.supply).toBe('known')
    on.collection('change-supply', commands['change-supply'].parse({ ...supply, supplyId, version: 1, active: true, label: { ...supply.label, voltageV: 18 } }))
    expect(sheet(tag).power.facts.supply).toBe('doubtful')
  })
})

describe('a start', () => {
  it('is not begun while the gate is closed, checks are open, or one runs already', () => {
    expect(() => begin(guarded({ smoke: 'yes' }))).toThrow(/may not be started/)
    const tag = guarded()
    expect(() => begin(tag, { atProbe: on.ilka.id })).toThrow(expect.objectContaining({ field: 'atProbe' }) as InputError)
    expect(() => begin(tag, { atProbe: on.ilka.id, atSwitch: rua().id })).toThrow(expect.objectContaining({ field: 'atSwitch' }) as InputError)
    const low = guarded({ mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
    expect(() => begin(low, { atSwitch: rua().id })).toThrow(/two people/)
    expect(() => begin(low, { checked: ['dust'] })).toThrow(expect.objectContaining({ field: 'checked' }) as InputError)
    expect(() => begin(low, { byMeter: true })).toThrow(/no meter is set up/)
    begin(low)
    expect(() => begin(low)).toThrow(/running already/)
    expect(() => perform(low, 'set-configuration', { version: sheet(low).power.version, kind: 'supply-alone', out: [] })).toThrow(/A start is running/)
  })

  it('that the program did not outlive is ended as broken off, and another can be begun', () => {
    const tag = guarded({ mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
    begin(tag)
    carryOutOn(on.bench, { id: 0, name: 'Jolly Bench' }, tag, breakOff)
    expect(sheet(tag).starts[0]).toMatchObject({ outcome: 'broken-off', samples: [] })
    expect(sheet(tag).history.find(h => h.kind === 'start.ended')?.says).toContain('broken off, no rails kept. The program was stopped while it ran.')
    // What was noticed is lost with it: somebody has to say.
    expect(() => begin(tag)).toThrow(/may not be started/)
    perform(tag, 'explain-alarm', { alarm: 'start:start.broken-off', says: 'The bench computer was switched off; nothing was noticed' })
    begin(tag)
    expect(sheet(tag).starts).toHaveLength(2)
  })

  it('keeps every rail that was read, with its trace, and opens the gate; one that was called off closes it', () => {
    const tag = guarded({ mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
    const play = (readings: Record<string, number>) => {
      begin(tag)
      const row = openStart(on.db, machineIdOf(tag))!
      open(row, tag)
      const began = on.now.getTime()
      happen(row.id, { do: 'count-down' }, began)
      let ms = began + 10_000
      for (const [rail, value] of Object.entries(readings)) {
        happen(row.id, { do: 'probe', rail }, ms)
        happen(row.id, { do: 'sample', kind: 'dc-volts', value }, (ms += 1000))
        happen(row.id, { do: 'sample', kind: 'dc-volts', value }, (ms += 3000))
      }
      expect(() => perform(tag, 'end-start', {})).toThrow(/still on/)
      happen(row.id, { do: 'is-off' }, ms)
      on.now = new Date(ms)
      perform(tag, 'end-start', {})
      close(row.id, ms)
    }
    play({ '+5 V': 5.03, '+12 V': 11.9 })
    expect(sheet(tag)).toMatchObject({ power: { inForce: 'clear-to-run' }, starts: [{ outcome: 'all-read', endedAt: on.now.toISOString() }] })
    expect(sheet(tag).starts[0]!.samples.length).toBe(4)
    play({ '+5 V': 9.4 })
    expect(sheet(tag)).toMatchObject({ power: { facts: { rails: 'out' } }, starts: [{ outcome: 'called-off' }, { outcome: 'all-read' }] })
    expect(sheet(tag).starts[0]!.why).toContain('far too high')
    // A good reading since is no answer to what may have been harmed.
    expect(() => begin(tag)).toThrow(/may not be started/)
    // On a machine that is to be kept off a reading is asked about, and marked.
    expect(() => perform(tag, 'take-reading', { rail: '+5 V', valueV: 5.02, load: 'loaded' })).toThrow('kept off')
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 5.02, load: 'loaded', sure: true })
    expect(sheet(tag).readings.at(-1)).toMatchObject({ keptOff: true })
    expect(sheet(tag)).toMatchObject({ power: { facts: { rails: 'good' }, inForce: 'keep-off', alarms: [{ key: 'overvoltage:+5 V' }] } })
    expect(() => perform(tag, 'explain-alarm', { alarm: 'overvoltage:+12 V', says: 'Nothing of the kind' })).toThrow(NotNow)
    perform(tag, 'explain-alarm', { alarm: 'overvoltage:+5 V', says: 'The regulator passed its input through; replaced' })
    expect(sheet(tag).power.inForce).toBe('clear-to-run')
  })

  it('keeps every run of it; smoke that was noticed is a hazard, a fault and the first move, however well the rails read', () => {
    const tag = guarded({ mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
    begin(tag)
    const row = openStart(on.db, machineIdOf(tag))!
    open(row, tag)
    let ms = on.now.getTime()
    const go = (seconds: number, event: Parameters<typeof happen>[1]) => happen(row.id, event, (ms += seconds * 1000))
    go(0, { do: 'count-down' })
    go(10, { do: 'stop', noticed: null })
    go(1, { do: 'stop', noticed: 'smoke' })
    go(1, { do: 'is-off' })
    go(1, { do: 'count-down' })
    for (const [rail, value] of [
      ['+5 V', 5.03],
      ['+12 V', 11.9],
    ] as const) {
      go(6, { do: 'probe', rail })
      go(1, { do: 'sample', kind: 'dc-volts', value })
    }
    go(1, { do: 'is-off' })
    on.now = new Date(ms)
    perform(tag, 'end-start', {})
    close(row.id, ms)
    const seen = sheet(tag)
    expect(seen.starts[0]!.runs).toMatchObject([
      { noticed: ['smoke'], called: { says: 'Smoke was noticed.' } },
      { noticed: [], called: null, kept: { '+5 V': 5.03 } },
    ])
    expect(seen.rails?.verdict).toBe('good')
    expect(seen.hazards[0]).toMatchObject({ kind: 'smoke', state: 'present' })
    expect(seen.faults[0]).toMatchObject({ symptom: 'Smoke was noticed at a start on 3 Mar 2026', stopsMachine: true })
    expect([seen.power.inForce, seen.moves[0]?.code]).toEqual(['keep-off', 'gate.hazard.smoke'])
    // An answer does not take it back; what somebody found does.
    perform(tag, 'assess-power', { version: seen.power.version, facts: { ...seen.power.entered, smoke: 'traced' }, inspectedById: on.ilka.id })
    expect(sheet(tag).power.inForce).toBe('keep-off')
    on.now = new Date(ms + 1000)
    perform(tag, 'settle-hazard', { kind: 'smoke', version: 0, state: 'dealt-with', evidence: 'A tantalum bead on +12 V; replaced' })
    // The fault that stops it guards, until it is mended.
    expect(sheet(tag).power.inForce).toBe('guarded-start')
    perform(tag, 'repair-fault', { faultId: sheet(tag).faults[0]!.id, did: 'Bead replaced', closes: true, cause: 'A tantalum bead' } as never)
    expect(sheet(tag).power.inForce).toBe('clear-to-run')
  })
})

it('temperatures are kept one by one or as a log, and can be struck', () => {
  const tag = bookIn()
  perform(tag, 'take-temperature', { part: 'heat-sink', where: '7805', celsius: '62.5' })
  perform(tag, 'import-temperatures', {
    part: 'drive',
    samples: [
      { atSeconds: 0, celsius: 21 },
      { atSeconds: 60, celsius: 58 },
    ],
  })
  expect(sheet(tag).power.temperatures.map(t => t.findings[0]?.level)).toEqual(['stop', 'fine'])
  expect(sheet(tag).power.inForce).toBe('keep-off')
  perform(tag, 'strike-entry', { entryId: sheet(tag).history.find(h => h.kind === 'temperature.taken')!.id, reason: 'Sensor slipped off' })
  expect(sheet(tag).power.inForce).toBe('not-yet-assessed')
  expect(sheet(tag).power.temperatures).toHaveLength(1)
  expect(() =>
    perform(tag, 'import-temperatures', {
      part: 'drive',
      samples: [
        { atSeconds: 60, celsius: 21 },
        { atSeconds: 0, celsius: 22 },
      ],
    }),
  ).toThrow(/forward/)
})

describe('what people write', () => {
  it('is asked about once, and not where the hazard it speaks of stands as present', () => {
    const tag = bookIn()
    perform(tag, 'ask-question', { question: 'Why is there white smoke from the supply?' })
    const [asked] = sheet(tag).sayings
    expect(asked).toMatchObject({ kind: 'smoke' })
    perform(tag, 'settle-hazard', { kind: 'smoke', version: 0, state: 'present', evidence: 'It smoked again' })
    on.now = new Date(on.now.getTime() + 1000)
    perform(tag, 'ask-question', { question: 'Where does the smoke come from?' })
    expect(sheet(tag).sayings).toEqual([])
    // Once it was dealt with, what is written after it is asked about again.
    const { version } = sheet(tag).hazards.find(h => h.kind === 'smoke')!
    perform(tag, 'settle-hazard', { kind: 'smoke', version, state: 'dealt-with', evidence: 'The filter was replaced' })
    on.now = new Date(on.now.getTime() + 1000)
    perform(tag, 'ask-question', { question: 'Smoke again, a little?' })
    expect(sheet(tag).sayings).toHaveLength(1)
  })
})

it.each<[string, boolean | undefined, 'good' | 'unread']>([
  ['Replaced the 7805 regulator', undefined, 'unread'],
  ['Replaced the 7805 regulator', false, 'good'],
  ['Bridged a trace', undefined, 'good'],
  ['Bridged a trace', true, 'unread'],
])('after “%s”, said to have fed a rail: %s, what was read before it counts as %s', (did, feedsRails, rails) => {
  const tag = guarded()
  for (const [rail, valueV] of [
    ['+5 V', 5.01],
    ['+12 V', 12.02],
  ] as const)
    perform(tag, 'take-reading', { rail, valueV, load: 'loaded' })
  expect(sheet(tag).power.facts.rails).toBe('good')
  perform(tag, 'report-fault', { symptom: 'No picture', stopsMachine: true, firstSeen: '' })
  perform(tag, 'repair-fault', { faultId: sheet(tag).faults[0]!.id, did, closes: true, ...(feedsRails === undefined ? {} : { feedsRails }) })
  expect(sheet(tag).power.facts.rails).toBe(rails)
})
