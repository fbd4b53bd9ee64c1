import { describe, expect, it } from 'vitest'
import type { InputError } from '#core/kernel/input-error'
import { commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { NotAllowed, NotNow } from '../../kernel/refusals'
import { carryOut, carryOutOn } from '../../kernel/work'
import { close, happen, open } from '../../starts/running'
import { findBySignIn, grantSkills } from '../people/index'
import { breakOff, openStart } from '../starts/index'
import { goodFacts as good } from '../../../tests/support/good-facts'

const on = serverBench()
const { bookIn, perform, sheet } = on
const rua = () => {
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
  perform(tag, 'assess-power', { version: 1, facts: { ...good, ...facts }, inspectedBy: 'Ilka' })
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
  perform(tag, 'begin-start', { atProbe: on.ilka.id, atSwitch: on.ilka.id, byMeter: false, load: 'loaded', currentLimitA: null, checked: ticked(tag), ...more })

describe('skills', () => {
  it('anybody may report a danger; saying that it is cleared takes the skill, and the refusal says who could', () => {
    const tag = bookIn()
    const volunteer = rua()
    const assess = (facts: object, version: number) => perform(tag, 'assess-power', { version, facts, inspectedBy: '' }, volunteer)
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
    expect(sheet(tag).power.inForce).toBe('guarded-start')
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
      'guarded-start',
      'clear-to-run',
      'guarded-start',
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
    change({ replacement: { how: 'diode-cell', chemistry: 'lithium-coin', diode: false } })
    expect(sheet(tag).power.facts.battery).toBe('mischarged')
    expect(sheet(bookIn()).sisters).toEqual([])

    const supply = { name: 'S-1', label: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1.5, regulated: true, outerMm: 5.5, innerMm: 2.1 } }
    const { supplyId } = on.collection('add-supply', commands['add-supply'].parse(supply)) as { supplyId: number }
    expect(() => perform(tag, 'assign-supply', { supplyId })).toThrow(/not known what its inlet wants/)
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
    expect(() => begin(tag)).toThrow(expect.objectContaining({ field: 'atProbe' }) as InputError)
    expect(() => begin(tag, { atSwitch: rua().id })).toThrow(expect.objectContaining({ field: 'atSwitch' }) as InputError)
    const low = guarded({ mainsLead: 'not-used', filterCapacitors: 'none-fitted' })
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
    expect(sheet(tag).history[0]?.says).toContain('broken off, 0 rails kept. The program was stopped while it ran.')
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
  perform(tag, 'strike-entry', { entryId: sheet(tag).history[0]!.id, reason: 'Sensor slipped off' })
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
